import type { GivenCase } from './case.js';

export const feeds: Record<string, GivenCase> = {
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
