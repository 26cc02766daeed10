import type { GivenCase } from './case.js';

export const jsons: Record<string, GivenCase> = {
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
