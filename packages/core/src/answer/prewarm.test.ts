import { type SearchFacet } from '../../test/facets.js';
import { textIndexOf } from '../kinds/search/finding.js';
import { field, lensOf } from '../../test/arbitrary.js';
import { buildIndex } from '../engine/index/build.js';

import type { Collection } from '../model/post.js';

import { planOf } from './plan.js';
import { prewarm, prewarmAll } from './prewarm.js';

const lens = lensOf({
  facets: [
    { key: 'tags', kind: 'checkboxes', field: 'tags' },
    { key: 'open', kind: 'switch', field: 'open' },
  ],
});

/** Posts of which the `t`th term of `terms` is on every `t + 1`th. */
function collectionOf(size: number, terms: number): Collection {
  const tags = Array.from({ length: terms }, (_, t) => ({ slug: `t${t}`, label: `Term ${t}`, parent: null }));
  return {
    fields: [field('tags', 'terms', { multiple: true }), field('open', 'boolean')],
    taxonomies: { tags },
    posts: Array.from({ length: size }, (_, p) => ({
      id: `p${String(p).padStart(4, '0')}`,
      values: { tags: tags.filter((_, t) => p % (t + 1) === 0).map(({ slug }) => slug), open: p % 2 === 0 },
    })),
  };
}

/** Terms under which counts are kept, by facet. */
const keptUnder = (index: ReturnType<typeof buildIndex>) =>
  planOf(index, lens).facets.map(({ common }) => [...common.keys()].filter((term) => common[term]));

test('counts are kept under every term that one in a hundred posts has, and under no other', () => {
  const index = buildIndex(collectionOf(400, 150));
  prewarm(index, lens);
  const [tags, open] = keptUnder(index);
  const { sizes } = index.column('tags');
  expect(tags).toEqual([...sizes.keys()].filter((t) => sizes[t]! >= 4));
  expect(tags!.length).toBeLessThan(150);
  expect(open).toHaveLength(2);
});

test('the more terms there are, the fewer have counts kept under them', () => {
  const collection = collectionOf(400, 130);
  const many = Array.from({ length: 60_000 }, (_, t) => ({ slug: `n${t}`, label: `None ${t}`, parent: null }));
  const index = buildIndex({ ...collection, taxonomies: { tags: [...collection.taxonomies.tags!, ...many] } });
  prewarm(index, lens);
  const kept = keptUnder(index).flat().length;
  expect(kept).toBeGreaterThan(10);
  expect(kept * index.column('tags').terms.length).toBeLessThanOrEqual(4_000_000);
});

test('what is worked out ahead comes in steps, each of one common term at most', () => {
  const index = buildIndex(collectionOf(400, 20));
  let before = 0;
  for (const _step of prewarmAll(index, lens)) {
    const now = keptUnder(index).flat().length;
    expect(now - before).toBeLessThanOrEqual(1);
    before = now;
  }
  expect(before).toBe(22);
});

test('words are found in steps of few posts, and taken as they are where an answer asked for them first', () => {
  const size = 1000;
  const searched = lensOf({ facets: [{ key: 'q', kind: 'search', fields: ['title'] }] });
  const [facet] = searched.facets;
  let cut = 0;
  const posts = Array.from({ length: size }, (_, p) => {
    const title = `Tern ${p % 7}`;
    return { id: `p${p}`, values: { title } };
  });
  const make = () => buildIndex({ fields: [field('title', 'text', { role: 'title' })], taxonomies: {}, posts });
  const index = make();
  const read = jest.spyOn(index, 'textOf');
  for (const _step of prewarmAll(index, searched)) {
    expect(read.mock.calls.length - cut).toBeLessThanOrEqual(100);
    cut = read.mock.calls.length;
  }
  expect(cut).toBe(size);
  const other = make();
  const steps = prewarmAll(other, searched);
  for (let i = 0; i < 5; i++) steps.next();
  const asked = textIndexOf(other, facet as SearchFacet);
  for (let step = steps.next(); !step.done; step = steps.next());
  expect(other.texts.map(({ text }) => text)).toEqual([asked]);
  expect(asked).toEqual(index.texts[0]!.text);
});
