// What the press writes: its notes and walks in the formats that sites have for them.
const escape = (text) => String(text).replace(/[&<>"]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const nameOf = (list, id) => list.find((one) => one.id === id)?.name ?? '';
const termsOf = (note, { habitats, kinds }) => [
  ...note.habitats.map((id) => nameOf(habitats, id)),
  nameOf(kinds, note.kind),
];
const linkOf = (note, origin) => `${origin}/notes/${note.slug}`;
/** Notes a feed has: the newest. */
const inFeed = 60;

/** A note with its author and terms within it, and links beside it. */
export function linked(note, { authors, habitats, kinds }, origin) {
  const self = linkOf(note, origin);
  return {
    ...note,
    _links: { self: { href: self }, author: { href: `${origin}/api/authors` } },
    _embedded: {
      author: authors.find(({ id }) => id === note.author),
      terms: [
        note.habitats.map((id) => habitats.find((one) => one.id === id)),
        kinds.filter(({ id }) => id === note.kind),
      ],
    },
  };
}

export function rss(given, origin) {
  const items = given.notes.slice(0, inFeed).map(
    (
      note,
    ) => `<item><title>${escape(note.title)}</title><link>${linkOf(note, origin)}</link><guid isPermaLink="false">${note.slug}</guid>
<pubDate>${new Date(note.posted).toUTCString()}</pubDate><dc:creator>${escape(nameOf(given.authors, note.author))}</dc:creator>
${termsOf(note, given)
  .map((term) => `<category>${escape(term)}</category>`)
  .join(
    '',
  )}<description>${escape(note.text)}</description>${note.picture ? `<media:content url="${given.site}${note.picture}" medium="image"/>` : ''}</item>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<rss version="2.0" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:media="http://search.yahoo.com/mrss/"><channel>
<title>Notes of the wardens</title><link>${origin}/notes</link><description>The newest notes</description>
${items.join('\n')}
</channel></rss>
`;
}

export function atom(given, origin) {
  const entries = given.notes.slice(0, inFeed).map(
    (
      note,
    ) => `<entry><id>${linkOf(note, origin)}</id><title>${escape(note.title)}</title><link href="${linkOf(note, origin)}"/>
<published>${note.posted}</published><updated>${note.posted}</updated><author><name>${escape(nameOf(given.authors, note.author))}</name></author>
${termsOf(note, given)
  .map((term) => `<category term="${escape(term)}"/>`)
  .join('')}<summary>${escape(note.text)}</summary></entry>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<feed xmlns="http://www.w3.org/2005/Atom"><id>${origin}/notes</id><title>Notes of the wardens</title><updated>${given.notes[0]?.posted ?? ''}</updated>
${entries.join('\n')}
</feed>
`;
}

export function jsonFeed(given, origin) {
  const items = given.notes.slice(0, inFeed).map((note) => ({
    ...{ id: note.slug, url: linkOf(note, origin), title: note.title, summary: note.text, date_published: note.posted },
    ...(note.picture && { image: `${given.site}${note.picture}` }),
    ...{ authors: [{ name: nameOf(given.authors, note.author) }], tags: termsOf(note, given) },
  }));
  return JSON.stringify({ version: 'https://jsonfeed.org/version/1.1', title: 'Notes of the wardens', items });
}

export function calendar(walks) {
  const day = (text) => text.replaceAll('-', '');
  const after = (text) => day(new Date(Date.parse(text) + 86_400_000).toISOString().slice(0, 10));
  const plain = (text) => text.replace(/[\\,;]/g, (mark) => `\\${mark}`);
  const events = walks.flatMap((walk) => [
    ...['BEGIN:VEVENT', `UID:${walk.id}`, `SUMMARY:${plain(walk.title)}`, `DESCRIPTION:${plain(walk.summary)}`],
    ...[`DTSTART;VALUE=DATE:${day(walk.begins)}`, `DTEND;VALUE=DATE:${after(walk.ends)}`],
    ...[`LOCATION:${plain(walk.place.split(' > ').at(-1))}`, `CATEGORIES:${plain(walk.kind)}`, 'END:VEVENT'],
  ]);
  return ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//wardens//press//EN', ...events, 'END:VCALENDAR', ''].join(
    '\r\n',
  );
}

export function opml(origin) {
  return `<?xml version="1.0"?>
<opml version="2.0"><body><outline text="Wardens">
<outline text="Notes" type="rss" xmlUrl="${origin}/notes.rss"/>
<outline text="Notes, by Atom" type="rss" xmlUrl="${origin}/notes.atom"/>
</outline></body></opml>
`;
}

/** The notes as a page: marked as entries (h-entry), or with nothing that says what is what. */
export function listing(isMarked, notes, given, next) {
  const is = (name) => (isMarked ? ` class="${name}"` : '');
  const items = notes.map((note) => {
    const terms = termsOf(note, given).map((term) =>
      isMarked ? `<span class="p-category">${escape(term)}</span>` : `<span class="tag">${escape(term)}</span>`,
    );
    return `<article${isMarked ? ' class="h-entry"' : ' class="note"'}>
<h2${is('p-name')}><a${is('u-url')} href="/notes/${note.slug}">${escape(note.title)}</a></h2>
<p><time${is('dt-published')} datetime="${note.posted}">${new Date(note.posted).toUTCString().slice(5, 16)}</time>
${isMarked ? `<span class="p-author">${escape(nameOf(given.authors, note.author))}</span>` : `<span class="by">${escape(nameOf(given.authors, note.author))}</span>`}</p>
<p${isMarked ? ' class="p-summary"' : ' class="lead"'}>${escape(note.text)}</p>
<p>${terms.join(' ')}</p></article>`;
  });
  return page(`${items.join('\n')}${next === null ? '' : `<p><a rel="next" href="${next}">Older notes</a></p>`}`);
}

export function frontPage() {
  const paths =
    '/api/notes /api/linked/notes /api/walks /notes.rss /notes.atom /notes.json /walks.ics /feeds.opml /notes /plain';
  const links = paths.split(' ').map((path) => `<li><a href="${path}">${path}</a></li>`);
  return page(`<h1>What the wardens publish</h1><ul>${links.join('')}</ul>`);
}

function page(main) {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Notes of the wardens</title>
<nav><a href="/">Front page</a> <a href="/notes">Notes</a> <a href="/plain">Notes, plain</a></nav><main>
${main}
</main></html>
`;
}
