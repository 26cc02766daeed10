const entities: Record<string, string> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  hellip: '…',
  ndash: '–',
  mdash: '—',
  rsquo: '’',
  lsquo: '‘',
  rdquo: '”',
  ldquo: '“',
};

/**
 * The words of a piece of HTML, for a card that shows text. The result is text: whoever draws it must escape it
 * like any other.
 */
export function plainText(html: string): string {
  return decodeEntities(withoutTags(html)).replace(/\s+/g, ' ').trim();
}

/** A text with what HTML writes as `&amp;` or `&#38;` as the characters those are. */
export function decodeEntities(text: string): string {
  return text.replace(/&(#x[0-9a-f]{1,6}|#\d{1,7}|[a-z]+);/gi, (whole, name: string) => character(name) ?? whole);
}

/**
 * Goes through a text once, whatever is opened in it and never closed: what stands in tags, comments, scripts and style
 * sheets is left out, a blank in its place.
 */
function withoutTags(html: string): string {
  let text = '';
  for (let at = 0; at < html.length;) {
    const tag = html.indexOf('<', at);
    if (tag < 0) return text + html.slice(at);
    text += `${html.slice(at, tag)} `;
    const end = endOfTag(html, tag);
    if (end < 0) return text;
    at = end;
  }
  return text;
}

/** Where what begins with the `<` at a place is over; -1 where it never is. */
function endOfTag(html: string, tag: number): number {
  if (html.startsWith('<!--', tag)) return after(html, '-->', tag + 4);
  const end = after(html, '>', tag);
  const name = end < 0 ? null : /^<(script|style)\b/i.exec(html.slice(tag, tag + 8))?.[1];
  if (!name) return end;
  const closing = new RegExp(`</${name}>`, 'gi');
  closing.lastIndex = end;
  return closing.test(html) ? closing.lastIndex : -1;
}

function after(html: string, mark: string, from: number): number {
  const at = html.indexOf(mark, from);
  return at < 0 ? -1 : at + mark.length;
}

function character(name: string): string | undefined {
  if (!name.startsWith('#'))
    return Object.hasOwn(entities, name.toLowerCase()) ? entities[name.toLowerCase()] : undefined;
  const code = /^#x/i.test(name) ? parseInt(name.slice(2), 16) : Number(name.slice(1));
  return code > 0 && code <= 0x10ffff && !(code >= 0xd800 && code <= 0xdfff) ? String.fromCodePoint(code) : undefined;
}
