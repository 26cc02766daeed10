/**
 * A text cut to so many characters, between words where there is a gap near the end.
 * @param most  characters; 0 for all
 */
export function cutText(text: string, most: number): string {
  if (most === 0 || text.length <= most) return text;
  const cut = text.slice(0, most + 1);
  const gap = cut.search(/\s\S*$/);
  // text without gaps, as some scripts are written, is cut where it must be, but never within a character
  const end = gap > most / 2 ? gap : most - (/[\ud800-\udbff]$/.test(text.slice(0, most)) ? 1 : 0);
  return `${text.slice(0, end).replace(/[\s.,;:–-]+$/u, '')}…`;
}
