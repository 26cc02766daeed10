import { encode, type GivenCase } from './case.js';

export const shapes: Record<string, GivenCase> = {
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
