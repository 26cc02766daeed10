/** A scheme at the beginning of an address (RFC 3986, 3.1). */
const scheme = /^([a-z][a-z0-9+.-]*):/i;

/**
 * A link or picture address as a browser would read it, if it leads to the web or stays within its site; null for any
 * other, such as `javascript:`. As in the URL standard, control characters and spaces around an address and tabs and
 * line breaks within it do not count, so they can hide no scheme.
 */
export function safeAddress(text: string): string | null {
  let [start, end] = [0, text.length];
  // written out: a pattern that looks for blanks at the end tries again at each blank in the middle
  while (start < end && text.charCodeAt(start) <= 0x20) start++;
  while (end > start && text.charCodeAt(end - 1) <= 0x20) end--;
  const address = text.slice(start, end).replace(/[\t\n\r]/g, '');
  if (address === '') return null;
  const name = scheme.exec(address)?.[1]?.toLowerCase();
  return name === undefined || name === 'http' || name === 'https' ? address : null;
}
