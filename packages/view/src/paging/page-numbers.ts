/** First, last, and those around the current page; null stands for a gap of two or more. */
export function pageNumbers(page: number, pages: number): (number | null)[] {
  const shown = new Set([1, pages, page - 1, page, page + 1].filter((n) => n >= 1 && n <= pages));
  // a gap of one page takes the room of the page it hides
  for (const n of [3, pages - 2]) if (shown.has(n - 1) && shown.has(n + 1)) shown.add(n);
  if (shown.has(3)) shown.add(2);
  if (pages > 2 && shown.has(pages - 2)) shown.add(pages - 1);
  const numbers: (number | null)[] = [];
  let before = 0;
  for (const n of [...shown].sort((a, b) => a - b)) {
    if (n > before + 1) numbers.push(null);
    numbers.push(n);
    before = n;
  }
  return numbers;
}
