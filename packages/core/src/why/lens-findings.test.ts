import { field, lensOf } from '../../test/arbitrary.js';
import { buildIndex } from '../engine/index/build.js';
import { finished } from '../engine/base/steps.js';
import { describeFields } from '../fields/describe.js';
import type { Post } from '../model/post.js';
import { prepareFindings } from './lens-findings.js';

const terms = (...slugs: string[]) => slugs.map((slug) => ({ slug, label: slug.toUpperCase(), parent: null }));
const fields = [
  field('place', 'terms'),
  field('region', 'terms'),
  field('kind', 'terms'),
  field('all', 'terms', { multiple: true }),
];
const taxonomies = {
  place: terms('pier', 'dune', 'moor', 'fen', 'gone'),
  region: terms('coast', 'inland', 'isles'),
  kind: terms('walk', 'talk'),
  all: terms('one', 'two'),
};
const places = ['pier', 'dune', 'moor', 'fen'];
const posts = Array.from({ length: 80 }, (_, i): Post => ({
  id: `n${i}`,
  values: {
    place: [places[i % 4]!],
    region: [i % 4 < 2 ? 'coast' : i % 4 === 2 ? 'inland' : 'isles'],
    kind: [i % 3 === 0 ? 'walk' : 'talk'],
    all: ['one', 'two'],
  },
}));
const index = buildIndex({ fields: describeFields({ fields, taxonomies, posts }), taxonomies, posts });
const found = (facets: object[]) =>
  finished(prepareFindings(index, lensOf({ facets }))).map(({ code, facet, text }) => `${facet} ${code}: ${text}`);

test('one facet that tells another, terms without posts, and a facet that changes nothing are found', () => {
  expect(
    found([
      { key: 'place', kind: 'checkboxes', field: 'place', label: 'Place' },
      { key: 'region', kind: 'radios', field: 'region', label: 'Region' },
      { key: 'kind', kind: 'buttons', field: 'kind' },
      { key: 'all', kind: 'checkboxes', field: 'all' },
    ]),
  ).toEqual([
    'place no-posts: GONE has no post. Hide what has none, or shape the terms.',
    'all changes-nothing: Whatever is chosen here, all posts stay. Visitors do without it.',
    'region follows: “Region” follows from “Place” in 100 % of posts. One of them may be enough.',
  ]);
});

test('what is hidden where it has no posts, and facets of one field, are fine', () => {
  expect(
    found([
      { key: 'place', kind: 'checkboxes', field: 'place', zero: 'hide' },
      { key: 'same', kind: 'radios', field: 'place', hide: ['gone'] },
    ]),
  ).toEqual([]);
});

test('settings that can’t work come first', () => {
  expect(found([{ key: 'x', kind: 'checkboxes', field: 'nothing' }])[0]).toMatch(/^x field-gone: /);
});
