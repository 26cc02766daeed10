const figures = new Intl.NumberFormat('en');

/** 12,480 */
export function figure(n: number): string {
  return figures.format(n);
}

/** “1 post”, “480 posts”. */
export function countOf(n: number, noun: string, plural = `${noun}s`): string {
  return `${figure(n)} ${n === 1 ? noun : plural}`;
}
