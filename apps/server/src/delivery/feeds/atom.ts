import { xml } from '../../shared/xml.js';
import type { Entry, Feed } from './feed.js';

/** A feed as Atom 1.0 has it (RFC 4287). */
export function writeAtom({ title, language, id, self, page, updated, entries }: Feed): string {
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n` +
    `<feed xmlns="http://www.w3.org/2005/Atom" xml:lang="${xml(language)}"><id>${xml(id)}</id><title>${xml(title)}</title>` +
    `<updated>${updated}</updated><link rel="self" type="application/atom+xml" href="${xml(self)}"/>` +
    `<link rel="alternate" type="text/html" href="${xml(page)}"/><author><name>${xml(title)}</name></author>\n` +
    `${entries.map((entry) => entryIn(entry, updated)).join('')}</feed>\n`
  );
}

function entryIn({ id, title, link, published, summary, author, tags }: Entry, updated: string): string {
  const element = (name: string, text: string) => (text === '' ? '' : `<${name}>${xml(text)}</${name}>`);
  return (
    `<entry><id>${xml(id)}</id><title>${xml(title)}</title>${link === '' ? '' : `<link href="${xml(link)}"/>`}` +
    `<updated>${published || updated}</updated>${element('published', published)}` +
    `${author === '' ? '' : `<author>${element('name', author)}</author>`}` +
    `${tags.map((tag) => `<category term="${xml(tag)}"/>`).join('')}${element('summary', summary)}</entry>\n`
  );
}
