/** HTML that is safe to send: made by `html`, never from text. */
export class Markup {
  constructor(readonly text: string) {}
}

type Part = Markup | string | number | false | null | undefined | readonly Part[];

/** Puts values into HTML: text is escaped, HTML made here goes in as it is, nothing and false are left out. */
export function html(strings: TemplateStringsArray, ...parts: Part[]): Markup {
  return new Markup(strings.map((string, i) => string + (i < parts.length ? written(parts[i]) : '')).join(''));
}

function written(part: Part): string {
  if (part instanceof Markup) return part.text;
  if (typeof part === 'string' || typeof part === 'number') return escapeHtml(String(part));
  return part ? part.map(written).join('') : '';
}

/** Text as it stands in HTML, also between quotes. */
export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (mark) => `&#${mark.charCodeAt(0)};`);
}
