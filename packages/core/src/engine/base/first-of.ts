/** The first `first` of `0 … size - 1` in an order. Most are turned away by one look at the last that is kept. */
export function firstOf(size: number, first: number, compare: (a: number, b: number) => number): number[] {
  const kept: number[] = [];
  if (first > 2000)
    return Array.from({ length: size }, (_, i) => i)
      .sort(compare)
      .slice(0, first);
  if (first === 0) return kept;
  for (let i = 0; i < size; i++) {
    if (kept.length === first && compare(i, kept[first - 1]!) >= 0) continue;
    let low = 0;
    let high = kept.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (compare(kept[middle]!, i) <= 0) low = middle + 1;
      else high = middle;
    }
    // moved by hand: to splice costs more than the few steps it saves
    if (kept.length < first) kept.push(i);
    for (let at = kept.length - 1; at > low; at--) kept[at] = kept[at - 1]!;
    kept[low] = i;
  }
  return kept;
}
