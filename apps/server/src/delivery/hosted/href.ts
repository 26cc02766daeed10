/** A link on a page: parameters that are not the lens's stay in front. */
export function hrefOn(path: string, foreign: readonly string[], own: string): string {
  const address = [...foreign, own].filter((part) => part !== '').join('&');
  return address === '' ? path : `${path}?${address}`;
}
