/** What XML 1.0 can't hold at all. */
const unwritable = /[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu;

/** A text as it stands in XML, in an element or an attribute; what XML can't hold is left out. */
export function xml(text: string): string {
  const signs: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', '\r': '&#13;' };
  return text.replace(unwritable, '').replace(/[&<>"\r]/g, (sign) => signs[sign]!);
}

/** JSON as it stands in XML: what XML can’t hold is escaped as JSON escapes it, so that nothing is lost. */
export function xmlJson(value: unknown): string {
  return xml(
    JSON.stringify(value).replace(unwritable, (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, '0')}`),
  );
}
