import type { ReadOptions } from '../src/format.js';
import { workbookOf, zipOf } from './sheet.js';

/** An awkward file, and what must be read from it. */
export interface GivenCase {
  name: string;
  bytes: string | Uint8Array;
  options?: ReadOptions;
  type?: string;
  address?: string;
  format: string;
  /** Records it has, and what some of them must hold. */
  records: number;
  first?: Record<string, unknown>;
  last?: Record<string, unknown>;
  /** Lines, or records, that are set aside. */
  rejected?: (number | undefined)[];
}

const encode = (text: string, table: Readonly<Record<string, number>>) =>
  Uint8Array.from(text, (letter) => table[letter] ?? letter.charCodeAt(0));
const wide = (text: string, isBig: boolean, mark: boolean) => {
  const units = [...(mark ? '\ufeff' : ''), ...text].map((letter) => letter.charCodeAt(0));
  return Uint8Array.from(units.flatMap((unit) => (isBig ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8])));
};
const csvOf = (...lines: string[]) => lines.join('\n');

const tables: Record<string, GivenCase> = {
  'cells parted by pipes': {
    ...{ name: 'a.csv', bytes: 'id|title|kind\n1|A, and more|x\n2|B, too|y', format: 'csv', records: 2 },
    first: { id: '1', title: 'A, and more', kind: 'x' },
  },
  'semicolons with more commas than semicolons': {
    ...{ name: 'a.csv', bytes: 'id;preis;text\n1;1,50;a, b, c\n2;2,00;d, e\n3;3,10;f', format: 'csv', records: 3 },
    first: { preis: '1,50', text: 'a, b, c' },
  },
  'single quotes around cells': {
    ...{ name: 'a.csv', bytes: "id,title\n'1','Walk, long'\n'2','It''s here'", format: 'csv', records: 2 },
    first: { id: '1', title: 'Walk, long' },
    last: { title: "It's here" },
  },
  'a title line above': {
    name: 'a.csv',
    bytes: csvOf('Notes of May 2026,,,', '', 'id,title,kind,place', '1,A,x,Mudflat', '2,B,y,Lagoon'),
    ...{ format: 'csv', records: 2, first: { id: '1', place: 'Mudflat' } },
  },
  'no line of names': {
    name: 'a.csv',
    bytes: csvOf('1,Walk,2026-05-01', '2,Talk,2026-05-02', '3,Count,2026-05-03'),
    ...{ format: 'csv', records: 3, first: { 'column 1': '1', 'column 3': '2026-05-01' } },
  },
  'no line of names, said by hand': {
    ...{ name: 'a.csv', bytes: 'Mudflat,Walk\nLagoon,Talk', options: { header: false }, format: 'csv', records: 2 },
    first: { 'column 1': 'Mudflat' },
  },
  'lines above that are skipped by hand': {
    ...{ name: 'a.csv', bytes: 'x,y\nid,title\n1,A', options: { skip: 1 }, format: 'csv', records: 1 },
    first: { id: '1', title: 'A' },
  },
  'a delimiter said by hand': {
    ...{ name: 'a.csv', bytes: 'a,b;c\n1,2;3', options: { delimiter: ';' }, format: 'csv', records: 1 },
    first: { 'a,b': '1,2', c: '3' },
  },
  'UTF-16 with a mark': {
    ...{
      name: 'a.csv',
      bytes: wide('id,title\n1,Möwe', false, true),
      format: 'csv',
      records: 1,
      first: { title: 'Möwe' },
    },
  },
  'UTF-16, the other way round, without a mark': {
    ...{ name: 'a.csv', bytes: wide('id,title\n1,Möwe\n2,Watt', true, false), format: 'csv', records: 2 },
    first: { id: '1', title: 'Möwe' },
  },
  'Windows-1250, as Polish spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id;nazwa\n1;Żółte łąki nad brzegiem\n2;Gęś i ślad na śniegu\n3;Świt nad rzeką', {
      ...{ Ż: 0xaf, ó: 0xf3, ł: 0xb3, ą: 0xb9, ę: 0xea, ś: 0x9c, Ś: 0x8c, G: 0x47 },
    }),
    ...{ format: 'csv', records: 3, first: { nazwa: 'Żółte łąki nad brzegiem' }, last: { nazwa: 'Świt nad rzeką' } },
  },
  'Windows-1251, as Russian spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id;имя\n1;Чайка над водой\n2;Тростник', {
      ...Object.fromEntries([...'абвгдежзийклмнопрстуфхцчшщъыьэюя'].map((letter, i) => [letter, 0xe0 + i])),
      ...Object.fromEntries([...'АБВГДЕЖЗИЙКЛМНОПРСТУФХЦЧШЩЪЫЬЭЮЯ'].map((letter, i) => [letter, 0xc0 + i])),
    }),
    ...{ format: 'csv', records: 2, first: { имя: 'Чайка над водой' } },
  },
  'MacRoman, as old spreadsheets save': {
    name: 'a.csv',
    bytes: encode('id,title\n1,Möwen über der Küste\n2,Caf\u00e9 am Fluß\n3,Größe der Flächen', {
      ...{ ö: 0x9a, ü: 0x9f, é: 0x8e, ß: 0xa7, ä: 0x8a },
    }),
    ...{ format: 'csv', records: 3, first: { title: 'Möwen über der Küste' }, last: { title: 'Größe der Flächen' } },
  },
  'Windows-1252 with its signs': {
    ...{
      name: 'a.csv',
      bytes: encode('id,title\n1,“Terns” – at dawn\n2,Café', { '“': 0x93, '”': 0x94, '–': 0x96, é: 0xe9 }),
    },
    ...{ format: 'csv', records: 2, first: { title: '“Terns” – at dawn' } },
  },
  'an encoding said by hand': {
    ...{
      name: 'a.csv',
      bytes: Uint8Array.from([0x61, 0x0a, 0xe4]),
      options: { encoding: 'windows-1251' },
      format: 'csv',
    },
    ...{ records: 1, first: { a: 'д' } },
  },
  'a quote in the middle of a cell': {
    ...{
      name: 'a.csv',
      bytes: csvOf('id,title,kind', '1,A,x', '2,B "old" wall,y', '3,D,x'),
      format: 'csv',
      records: 3,
    },
    last: { id: '3' },
  },
  'a quote that is never closed, in one row': {
    ...{ name: 'a.csv', bytes: csvOf('id,title,kind', '1,A,x', '2,"B,y', '3,C,z', '4,D,x') },
    ...{ format: 'csv', records: 3, rejected: [3], last: { id: '4', kind: 'x' } },
  },
  'TSV with quotes that are no quotes for rows': {
    ...{ name: 'a.tsv', bytes: 'id\ttitle\n1\tA\n2\tB', format: 'tsv', records: 2, first: { id: '1', title: 'A' } },
  },
  'a table that came as text': {
    ...{ name: 'download', type: 'text/csv; charset=utf-8', bytes: 'id,title\n1,A', format: 'csv', records: 1 },
  },
  'a table whose first cell is a bracket': {
    ...{ name: 'a.csv', bytes: '[id],title\n1,A\n2,B', format: 'csv', records: 2, first: { '[id]': '1' } },
  },
  'a workbook': {
    name: 'a.xlsx',
    bytes: workbookOf([
      ['id', 'title', 'seen', 'minutes'],
      [1, 'Walk & talk', { day: 46143 }, 12.5],
      [2, 'Count', { day: 46144.5 }, 0.30000000000000004],
    ]),
    ...{ format: 'xlsx', records: 2, first: { id: '1', title: 'Walk & talk', seen: '2026-05-01', minutes: '12.5' } },
    last: { seen: '2026-05-02T12:00', minutes: '0.3' },
  },
  'a workbook whose first sheet is hidden, with a title above': {
    name: 'a.xlsx',
    bytes: workbookOf([['Notes', null, null], [null], ['id', 'title', 'kind'], [1, 'A', 'x'], [2, 'B', 'y']], true),
    ...{ format: 'xlsx', records: 2, first: { id: '1', kind: 'x' } },
  },
};

const jsons: Record<string, GivenCase> = {
  'a list deep within': {
    ...{
      name: 'a.json',
      bytes: JSON.stringify({ meta: { tags: ['a'] }, data: { notes: { items: [{ a: 1 }, { a: 2 }] } } }),
    },
    ...{ format: 'json', records: 2, first: { a: 1 } },
  },
  'several lists, of which the largest are the posts': {
    name: 'a.json',
    bytes: JSON.stringify({
      authors: [{ id: 1, name: 'Ann' }],
      notes: [1, 2, 3].map((id) => ({ id, title: `N${id}`, by: 1 })),
    }),
    ...{ format: 'json', records: 3, first: { title: 'N1' } },
  },
  'another of several lists, by its path': {
    name: 'a.json',
    bytes: JSON.stringify({ authors: [{ id: 1, name: 'Ann' }], notes: [{ id: 1 }, { id: 2 }] }),
    ...{ options: { path: '/authors' }, format: 'json', records: 1, first: { name: 'Ann' } },
  },
  'a path with a slash in a name': {
    ...{
      name: 'a.json',
      bytes: JSON.stringify({ 'a/b': [{ x: 1 }], c: [{ y: 1 }, { y: 2 }] }),
      options: { path: '/a~1b' },
    },
    ...{ format: 'json', records: 1, first: { x: 1 } },
  },
  'objects under their ids': {
    ...{
      name: 'a.json',
      bytes: JSON.stringify({ n1: { title: 'A' }, n2: { title: 'B' } }),
      format: 'json',
      records: 2,
    },
    first: { id: 'n1', title: 'A' },
  },
  'objects within objects': {
    ...{ name: 'a.json', bytes: '[{"id":1,"at":{"place":{"name":"Wall"}}}]', format: 'json', records: 1 },
    first: { id: 1, 'at.place.name': 'Wall' },
  },
  'NDJSON called JSON': {
    ...{ name: 'a.json', bytes: '{"a":1}\n{"a":2}\n', format: 'ndjson', records: 2, last: { a: 2 } },
  },
  'NDJSON with lines that are none': {
    ...{ name: 'a.ndjson', bytes: '{"a":1}\nnope\n\n[1]\n{"a":2}', format: 'ndjson', records: 2, rejected: [2, 4] },
  },
  'a sequence of JSON texts': {
    ...{ name: 'a.jsonl', bytes: '\u001e{"a":1}\n\u001e{"a":2}\n', format: 'ndjson', records: 2 },
  },
  GeoJSON: {
    ...{ name: 'a.geojson', format: 'json', records: 1, first: { 'properties.name': 'Wall', type: 'Feature' } },
    bytes: JSON.stringify({
      type: 'FeatureCollection',
      features: [{ type: 'Feature', geometry: { type: 'Point', coordinates: [1, 2] }, properties: { name: 'Wall' } }],
    }),
  },
};

const shapes: Record<string, GivenCase> = {
  'a line that says the sign between cells': {
    ...{
      name: 'a.csv',
      bytes: 'sep=;\nid;title\n1;A, b\n2;B',
      format: 'csv',
      records: 2,
      first: { id: '1', title: 'A, b' },
    },
  },
  'a table as lists in JSON': {
    ...{
      name: 'a.json',
      bytes: '[["id","title"],[1,"A"],[2,null]]',
      format: 'json',
      records: 2,
      first: { id: '1', title: 'A' },
    },
  },
  'entries that only hold the posts': {
    ...{ name: 'a.json', format: 'json', records: 2, first: { cursor: 'a', id: 1, title: 'A' } },
    bytes:
      '{"data":{"posts":{"edges":[{"cursor":"a","node":{"id":1,"title":"A"}},{"cursor":"b","node":{"id":2,"title":"B"}}]}}}',
  },
  'JSON:API, with what it includes': {
    name: 'a.json',
    bytes: JSON.stringify({
      data: [1, 2].map((id) => ({
        ...{ type: 'notes', id: String(id), attributes: { title: `N${id}` } },
        relationships: { author: { data: { type: 'authors', id: '9' } }, tags: { data: [{ type: 'tags', id: '3' }] } },
      })),
      included: [{ type: 'authors', id: '9', attributes: { name: 'Ann' } }],
    }),
    ...{ format: 'json', records: 2, first: { id: '1', title: 'N1', author: '9', tags: ['3'] } },
  },
  'texts with an object around each': {
    ...{ name: 'a.json', format: 'json', records: 2 },
    bytes:
      '[{"id":1,"title":{"rendered":"A &amp; B"},"body":{"rendered":"<p>x &amp; y</p>","locked":false}},{"id":2,"title":{"rendered":"C"},"body":{"rendered":"<p>z</p>","locked":true}}]',
    first: { title: 'A & B', body: '<p>x &amp; y</p>' },
  },
  'a feed with “and” as it stands': {
    ...{
      name: 'a.rss',
      format: 'rss',
      records: 1,
      first: { title: 'A & B', url: 'https://a.example/?x=1&y=2', summary: 'c & d' },
    },
    bytes:
      '<rss version="2.0"><channel><item><title>A & B</title><link>https://a.example/?x=1&y=2</link><description><![CDATA[c & d]]></description></item></channel></rss>',
  },
  'a feed that says its encoding': {
    ...{ name: 'a.xml', format: 'rss', records: 1, first: { title: 'Дом' } },
    bytes: encode(
      '<?xml version="1.0" encoding="koi8-r"?><rss version="2.0"><channel><item><title>Дом</title></item></channel></rss>',
      { Д: 0xe4, о: 0xcf, м: 0xcd },
    ),
  },
  'a table on a page, with the names of its columns': {
    ...{
      name: 'a.html',
      format: 'html',
      records: 3,
      first: { Title: 'Walk 1 along the wall', Place: 'Quay', url: '/1' },
    },
    bytes: `<html><table><thead><tr><th>Title</th><th>Place</th></tr></thead><tbody>${[1, 2, 3].map((i) => `<tr><td><a href="/${i}">Walk ${i} along the wall</a></td><td>Quay</td></tr>`).join('')}</tbody></table>`,
  },
};

const feeds: Record<string, GivenCase> = {
  'JSON Feed of today': {
    name: 'feed.json',
    bytes: JSON.stringify({
      version: 'https://jsonfeed.org/version/1.1',
      items: [
        {
          id: '1',
          url: 'https://a.example/1',
          title: 'A',
          authors: [{ name: 'Ann' }, { url: 'https://b.example' }],
          tags: ['x'],
        },
      ],
    }),
    ...{ format: 'jsonfeed', records: 1, first: { authors: ['Ann', 'https://b.example'], tags: ['x'] } },
  },
  'JSON Feed of before, by its media type alone': {
    ...{ name: 'feed', type: 'application/feed+json', format: 'jsonfeed', records: 1, first: { authors: ['Bo'] } },
    bytes: '{"version":"https://jsonfeed.org/version/1","items":[{"id":"1","author":{"name":"Bo"}}]}',
  },
  'RSS 2.0 with its modules': {
    name: 'feed.xml',
    bytes: `<?xml version="1.0" encoding="UTF-8"?>
<rss version="2.0" xmlns:content="http://purl.org/rss/1.0/modules/content/" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:media="http://search.yahoo.com/mrss/" xmlns:own="https://own.example/">
<channel><title>Notes</title><item><title>Terns &amp; gulls</title><link>https://a.example/1</link><guid isPermaLink="false">n-1</guid>
<pubDate>Fri, 01 May 2026 10:00:00 GMT</pubDate><dc:creator><![CDATA[Ann Reed]]></dc:creator><category>Birds</category><category>Shore</category>
<description>Short.</description><content:encoded><![CDATA[<p>Long <b>text</b>.</p>]]></content:encoded>
<media:content url="https://a.example/1.jpg" medium="image"/><own:tide>ebb</own:tide></item></channel></rss>`,
    ...{ format: 'rss', records: 1 },
    first: {
      ...{
        id: 'n-1',
        url: 'https://a.example/1',
        title: 'Terns & gulls',
        summary: 'Short.',
        image: 'https://a.example/1.jpg',
      },
      ...{ content_html: '<p>Long <b>text</b>.</p>', authors: ['Ann Reed'], tags: ['Birds', 'Shore'], tide: 'ebb' },
    },
  },
  'RSS of a podcast': {
    name: 'feed.rss',
    bytes: `<rss version="2.0" xmlns:itunes="http://www.itunes.com/dtds/podcast-1.0.dtd"><channel><item><title>One</title><guid>https://a.example/1</guid>
<itunes:duration>12:30</itunes:duration><itunes:episode>4</itunes:episode><itunes:author>Bo</itunes:author><enclosure url="https://a.example/1.mp3" type="audio/mpeg" length="1"/></item></channel></rss>`,
    ...{
      format: 'rss',
      records: 1,
      first: { url: 'https://a.example/1', duration: '12:30', episode: '4', authors: ['Bo'] },
    },
    last: { attachment: 'https://a.example/1.mp3' },
  },
  'RSS with signs that only HTML names': {
    ...{
      name: 'a.xml',
      bytes: '<rss version="2.0"><channel><item><title>A&nbsp;B &ndash; C</title></item></channel></rss>',
    },
    ...{ format: 'rss', records: 1, first: { title: 'A\u00a0B – C' } },
  },
  'RSS with a writer by mail': {
    ...{ name: 'a.xml', format: 'rss', records: 1, first: { authors: ['Ann Reed'] } },
    bytes:
      '<rss version="2.0"><channel><item><title>A</title><author>ann@a.example (Ann Reed)</author></item></channel></rss>',
  },
  'RSS 1.0': {
    name: 'feed.rdf',
    bytes: `<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns="http://purl.org/rss/1.0/" xmlns:dc="http://purl.org/dc/elements/1.1/">
<channel rdf:about="https://a.example/"><title>Notes</title></channel>
<item rdf:about="https://a.example/1"><title>A</title><link>https://a.example/1</link><dc:date>2026-05-01</dc:date><dc:subject>Birds</dc:subject></item></rdf:RDF>`,
    ...{
      format: 'rss',
      records: 1,
      first: { id: 'https://a.example/1', title: 'A', date_published: '2026-05-01', tags: ['Birds'] },
    },
  },
  'a feed that is called a page': {
    ...{ name: 'feed.html', type: 'text/html', format: 'rss', records: 1, first: { title: 'A' } },
    bytes: '\n<rss version="2.0"><channel><item><title>A</title></item></channel></rss>',
  },
  'Atom, with text of all three kinds': {
    name: 'feed.atom',
    bytes: `<feed xmlns="http://www.w3.org/2005/Atom" xml:base="https://a.example/"><title>Notes</title>
<entry xml:base="https://a.example/notes/"><id>tag:a.example,2026:1</id><title type="html">Terns &amp;lt;b&amp;gt; &lt;i&gt;here&lt;/i&gt;</title><link href="1"/><link rel="enclosure" type="image/png" href="1.png"/>
<published>2026-05-01T10:00:00Z</published><updated>2026-05-02T10:00:00Z</updated><author><name>Ann</name></author><category term="b" label="Birds"/>
<content type="xhtml"><div xmlns="http://www.w3.org/1999/xhtml"><p>Low <em>tide</em> &amp; more</p></div></content></entry></feed>`,
    ...{ format: 'atom', records: 1 },
    first: {
      ...{ id: 'tag:a.example,2026:1', url: 'https://a.example/notes/1', image: 'https://a.example/notes/1.png' },
      ...{ authors: ['Ann'], tags: ['Birds'], content_html: '<div><p>Low <em>tide</em> &amp; more</p></div>' },
      ...{ date_published: '2026-05-01T10:00:00Z', date_modified: '2026-05-02T10:00:00Z' },
    },
  },
  'Atom that says only when it was updated': {
    ...{
      name: 'feed',
      type: 'application/atom+xml',
      format: 'atom',
      records: 1,
      first: { date_published: '2026-05-02' },
    },
    bytes:
      '<feed xmlns="http://www.w3.org/2005/Atom"><entry><id>1</id><title>A</title><updated>2026-05-02</updated></entry></feed>',
  },
};

const event = (...lines: string[]) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
const calendar = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR'].join('\r\n');
const zone = [
  ...['BEGIN:VTIMEZONE', 'TZID:Europe/Berlin', 'BEGIN:DAYLIGHT', 'TZOFFSETFROM:+0100', 'TZOFFSETTO:+0200'],
  ...['DTSTART:19700329T020000', 'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'END:DAYLIGHT', 'BEGIN:STANDARD'],
  ...['TZOFFSETFROM:+0200', 'TZOFFSETTO:+0100', 'DTSTART:19701025T030000', 'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU'],
  ...['END:STANDARD', 'END:VTIMEZONE'],
];

const calendars: Record<string, GivenCase> = {
  'an event in a zone': {
    name: 'a.ics',
    bytes: calendar(
      ...zone,
      ...event(
        'UID:1',
        'SUMMARY:Walk\\, long',
        'DTSTART;TZID=Europe/Berlin:20260501T100000',
        'DTEND;TZID=Europe/Berlin:20260501T120000',
        'CATEGORIES:Walk,Shore',
        'ORGANIZER;CN=Ann Reed:mailto:a@a.example',
      ),
    ),
    ...{ format: 'ics', records: 1 },
    first: {
      ...{ id: '1', title: 'Walk, long', start: '2026-05-01T10:00:00+02:00', end: '2026-05-01T12:00:00+02:00' },
      ...{ tags: ['Walk', 'Shore'], organizer: 'Ann Reed', all_day: 'no' },
    },
  },
  'an event of whole days, whose end is the day after': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Fair', 'DTSTART;VALUE=DATE:20260501', 'DTEND;VALUE=DATE:20260504')),
    },
    ...{ format: 'ics', records: 1, first: { start: '2026-05-01', end: '2026-05-03', all_day: 'yes' } },
  },
  'an event each week, with one left out and one moved': {
    name: 'a.ics',
    bytes: calendar(
      ...event(
        'UID:1',
        'SUMMARY:Count',
        'DTSTART:20260601T080000Z',
        'DTEND:20260601T090000Z',
        'RRULE:FREQ=WEEKLY;COUNT=4',
        'EXDATE:20260608T080000Z',
      ),
      ...event(
        'UID:1',
        'RECURRENCE-ID:20260615T080000Z',
        'SUMMARY:Count, later',
        'DTSTART:20260615T100000Z',
        'DTEND:20260615T110000Z',
      ),
    ),
    ...{ format: 'ics', records: 3, first: { start: '2026-06-01T08:00:00Z' }, last: { start: '2026-06-22T08:00:00Z' } },
  },
  'an event without end, up to a horizon': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Tide', 'DTSTART:20260101T080000Z', 'RRULE:FREQ=MONTHLY')),
    },
    ...{ options: { months: 2 }, format: 'ics', records: 8, last: { start: '2026-08-01T08:00:00Z' } },
  },
  'lines that are folded': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:A walk along the', '  wall', 'DTSTART:20260601T080000Z')),
    },
    ...{ format: 'ics', records: 1, first: { title: 'A walk along the wall' } },
  },
  'an event without a beginning among others': {
    ...{
      name: 'a.ics',
      bytes: calendar(...event('UID:1', 'SUMMARY:Lost'), ...event('UID:2', 'SUMMARY:Here', 'DTSTART:20260601')),
    },
    ...{ format: 'ics', records: 1, rejected: [undefined] },
  },
  'two calendars in one file': {
    ...{ name: 'a.ics', format: 'ics', records: 2 },
    bytes: `${calendar(...event('UID:1', 'SUMMARY:A', 'DTSTART:20260601T080000Z'))}\r\n${calendar(...event('UID:2', 'SUMMARY:B', 'DTSTART:20260602T080000Z'))}`,
  },
};

const pages: Record<string, GivenCase> = {
  'Markdown with YAML, in folders': {
    name: 'notes.zip',
    bytes: zipOf({
      'site/shore/2026-05-01-terns.md': '---\ntitle: Terns\ntags: [birds, shore]\ndraft: false\n---\nLow **tide**.\n',
      'site/shore/index.md': '# The shore\n\nAll of it.',
      'site/marsh/deep/eels.md': '---\ntitle: Eels\ndate: 2026-04-02\n---\n',
    }),
    ...{ format: 'markdown', records: 3 },
    first: {
      path: 'shore/2026-05-01-terns',
      title: 'Terns',
      date: '2026-05-01',
      folder: 'shore',
      tags: ['birds', 'shore'],
    },
    last: { title: 'Eels', date: '2026-04-02', folder: 'marsh > deep' },
  },
  'Markdown with TOML': {
    ...{
      name: 'a.md',
      bytes: '+++\ntitle = "Terns"\ndate = 2026-05-01\n[extra]\ntide = "ebb"\n+++\nText',
      format: 'markdown',
      records: 1,
    },
    first: { title: 'Terns', date: '2026-05-01', 'extra.tide': 'ebb', content: '<p>Text</p>' },
  },
  'Markdown with a heading and nothing above': {
    ...{
      name: 'walk.md',
      bytes: '# A long walk\n\n<script>alert(1)</script>\n\n[x](javascript:alert(1))',
      format: 'markdown',
      records: 1,
    },
    first: {
      title: 'A long walk',
      content: '&lt;script&gt;alert(1)&lt;/script&gt;\n<p><a href="">x</a></p>',
    },
  },
  'Markdown of which one is broken': {
    ...{ name: 'a.zip', format: 'markdown', records: 1, rejected: [undefined] },
    bytes: zipOf({ 'a.md': '---\ntitle: "A\n---\nText', 'b.md': '---\ntitle: B\n---\nText' }),
  },
  'Markdown without folders as terms': {
    ...{ name: 'a.zip', options: { folders: false }, format: 'markdown', records: 2 },
    bytes: zipOf({ 'a/x.md': 'X', 'b/y.md': 'Y' }),
    first: { path: 'a/x', title: 'x' },
  },
  'a zip with one table': {
    ...{
      name: 'a.zip',
      bytes: zipOf({ 'data/notes.csv': 'id,title\n1,A', '__MACOSX/._notes.csv': 'x' }),
      format: 'csv',
      records: 1,
    },
    first: { id: '1' },
  },
  'a zip with several tables': {
    ...{
      name: 'a.zip',
      bytes: zipOf({ 'may.csv': 'id,title\n1,A', 'june.csv': 'id,title\n2,B\n3,C' }),
      format: 'csv',
      records: 3,
    },
    first: { id: '1', file: 'may.csv' },
    last: { id: '3', file: 'june.csv' },
  },
  'a page with h-entry': {
    name: 'a.html',
    address: 'https://a.example/notes/',
    bytes: `<!doctype html><ul>
<li class="h-entry"><a class="p-name u-url" href="1">Terns</a> <time class="dt-published" datetime="2026-05-01">1 May</time> <span class="p-category">Birds</span> <span class="p-category">Shore</span> <span class="p-author h-card"><img class="u-photo" src="ann.png" alt=""><span class="p-name">Ann</span></span><div class="e-content"><p>Low tide.</p></div></li>
<li class="h-entry"><a class="p-name u-url" href="/2">Eels</a></li></ul>`,
    ...{ format: 'html', records: 2, last: { title: 'Eels', url: 'https://a.example/2' } },
    first: {
      ...{ title: 'Terns', url: 'https://a.example/notes/1', date_published: '2026-05-01', tags: ['Birds', 'Shore'] },
      ...{ authors: ['Ann'], content_html: '<p>Low tide.</p>' },
    },
  },
  'a page with h-event': {
    ...{
      name: 'a.html',
      format: 'html',
      records: 2,
      first: { title: 'Walk', start: '2026-05-01T10:00', location: 'Quay' },
    },
    bytes: `<html><div class="h-event"><h3 class="p-name">Walk</h3><time class="dt-start" datetime="2026-05-01T10:00">x</time><span class="p-location">Quay</span></div><div class="h-event"><h3 class="p-name">Talk</h3></div>`,
  },
  'a page with microdata': {
    name: 'a.html',
    bytes: `<html><div itemscope itemtype="https://schema.org/BlogPosting"><h2 itemprop="headline">Terns</h2><a itemprop="url" href="https://a.example/1">more</a><meta itemprop="datePublished" content="2026-05-01"><span itemprop="author" itemscope itemtype="https://schema.org/Person"><b itemprop="name">Ann</b></span><span itemprop="keywords">birds, shore</span></div>
<div itemscope itemtype="https://schema.org/BlogPosting"><h2 itemprop="headline">Eels</h2></div>`,
    ...{ format: 'html', records: 2 },
    first: {
      title: 'Terns',
      url: 'https://a.example/1',
      date_published: '2026-05-01',
      authors: ['Ann'],
      tags: ['birds', 'shore'],
    },
  },
  'a page with JSON-LD': {
    name: 'a.html',
    bytes: `<html><script type="application/ld+json">{"@context":"https://schema.org","@type":"ItemList","itemListElement":[{"@type":"ListItem","position":1,"item":{"@type":"Event","name":"Walk","startDate":"2026-05-01","location":{"@type":"Place","name":"Quay"},"offers":{"price":"3.50","priceCurrency":"EUR"}}},{"@type":"ListItem","position":2,"item":{"@type":"Event","name":"Talk"}}]}</script>`,
    ...{
      format: 'html',
      records: 2,
      first: { title: 'Walk', start: '2026-05-01', location: 'Quay', 'offers.price': '3.50' },
    },
  },
  'a page with JSON-LD as a graph, and a broken one': {
    name: 'a.html',
    bytes: `<html><script type="application/ld+json">{oops</script><script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"S"},{"@type":"NewsArticle","headline":"A","image":{"@type":"ImageObject","url":"/a.png"}},{"@type":"NewsArticle","headline":"B"}]}</script>`,
    ...{
      address: 'https://a.example/x',
      format: 'html',
      records: 2,
      first: { title: 'A', image: 'https://a.example/a.png' },
    },
  },
  'a page that marks nothing': {
    name: 'a.html',
    address: 'https://a.example/',
    bytes: `<!doctype html><body><nav><ul><li><a href="/">Home page of ours</a><li><a href="/x">Another page of ours</a><li><a href="/y">A third page of ours</a></ul></nav>
<main><div class="card"><h3><a href="/1">Terns back on the bank</a></h3><p class="lead">Nine pairs by evening.</p><time datetime="2026-05-01">1 May</time><span class="card__place">Mudflat</span></div>
<div class="card"><h3><a href="/2">Eel pass clogged again</a></h3><p class="lead">Weed from the last flood.</p><time datetime="2026-05-02">2 May</time><span class="card__place">Lagoon</span></div>
<div class="card"><h3><a href="/3">Moth lamp by the reed hide</a></h3><p class="lead">Forty kinds.</p><time datetime="2026-05-03">3 May</time><span class="card__place">Reedbed</span></div></main>`,
    ...{ format: 'html', records: 3 },
    first: {
      title: 'Terns back on the bank',
      url: 'https://a.example/1',
      date: '2026-05-01',
      lead: 'Nine pairs by evening.',
      place: 'Mudflat',
    },
  },
  'a page with a plain table': {
    ...{ name: 'a.html', format: 'html', records: 3, first: { 'column 1': 'Terns on the bank', url: '/1' } },
    bytes: `<html><table><tbody><tr><td><a href="/1">Terns on the bank</a></td><td>May</td></tr><tr><td><a href="/2">Eels in the pass</a></td><td>June</td></tr><tr><td><a href="/3">Moths by the hide</a></td><td>July</td></tr></tbody></table>`,
  },
};

/** Each an awkward file of one of the formats that are read. */
export const givenFiles: Record<string, GivenCase> = {
  ...tables,
  ...jsons,
  ...shapes,
  ...feeds,
  ...calendars,
  ...pages,
};
