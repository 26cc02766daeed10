/** A scheme at the beginning of an address (RFC 3986, 3.1). */
const scheme = /^([a-z][a-z0-9+.-]*):/i;

/**
 * A link or picture address as a browser would read it, if it leads to the web or stays within its site; null for any
 * other, such as `javascript:`. As in the URL standard, control characters and spaces around an address and tabs and
 * line breaks within it do not count, so they can hide no scheme.
 */
export function safeAddress(text: string): string | null {
  const address = text
    // eslint-disable-next-line no-control-regex -- these are the very characters that browsers pass over
    .replace(/^[\u0000-\u0020]+|[\u0000-\u0020]+$/g, '')
    .replace(/[\t\n\r]/g, '');
  if (address === '') return null;
  const name = scheme.exec(address)?.[1]?.toLowerCase();
  return name === undefined || name === 'http' || name === 'https' ? address : null;
}
