import { type Answer } from '../lens/answer.js';
import { isTerms } from '../../test/facets.js';
import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { actualAnswer, expectedAnswer } from '../../test/reference.js';
import { buildIndex } from '../engine/index/build.js';
import { readLens } from '../lens/lens.js';
import { plainField } from '../model/post.js';
import type { Option } from '../model/answer.js';

import type { Collection } from '../model/post.js';
import type { Query } from '../lens/query.js';
import { answer, countMatched } from './answer.js';
import { readAddress } from '../address/read.js';
import { rankedAhead, prepareAnswer } from './prepare-answer.js';
import { prewarm, prewarmAll } from './prewarm.js';

declare const process: { env: Record<string, string | undefined> };

/** Cases a run; the long run sets more. */
const runs = 8 * Math.ceil(Number(process.env.IVY_CASES ?? 600) / 8);

test('answers as the reference does, on any posts, lens and query', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const expected = expectedAnswer(collection, query);
      expect(actualAnswer(answer(index, query))).toEqual(expected);
      expect(countMatched(index, query)).toBe(expected.matched);
    }),
    { numRuns: runs },
  );
});

test('answers the same once it is prewarmed, whatever was asked before', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      prewarm(index, query.lens);
      // the choices of a query one by one, so that counts under each are kept before all are asked for
      for (const [key, selection] of Object.entries(query.selections)) {
        const alone = { ...query, selections: { [key]: selection } };
        expect(actualAnswer(answer(index, alone))).toEqual(expectedAnswer(collection, alone));
      }
      const first = answer(index, query);
      expect(actualAnswer(first)).toEqual(expectedAnswer(collection, query));
      expect(answer(index, query)).toEqual(first);
      expect(answer(buildIndex(collection), query)).toEqual(first);
    }),
    { numRuns: runs / 4 },
  );
});

test('answers the same however far it is prewarmed', () => {
  let stopped = 0;
  fc.assert(
    fc.property(asked, fc.nat({ max: 30 }), ({ collection, query }, most) => {
      const index = buildIndex(collection);
      const steps = prewarmAll(index, query.lens);
      for (let i = 0; i < most && !steps.next().done; i++) stopped = Math.max(stopped, i);
      const expected = expectedAnswer(collection, query);
      expect(actualAnswer(answer(index, query))).toEqual(expected);
      // and goes on from there
      while (!steps.next().done);
      expect(actualAnswer(answer(index, query))).toEqual(expected);
    }),
    { numRuns: runs / 8 },
  );
  expect(stopped).toBeGreaterThan(5);
});

test.each([null, 0])(
  'answers the same when it was made ready step by step with other answers in between, arena from %s',
  (arenaFrom) => {
    let [steps, ranked] = [0, 0];
    fc.assert(
      fc.property(asked, ({ collection, query }) => {
        const index = buildIndex(collection, arenaFrom ?? undefined);
        const other: Query = { ...query, selections: {}, sort: null };
        for (const making = prepareAnswer(index, query, -1); !making.next().done; steps++) answer(index, other);
        if (rankedAhead(query)) ranked++;
        expect(actualAnswer(answer(index, query))).toEqual(expectedAnswer(collection, query));
      }),
      { numRuns: runs / 4 },
    );
    expect(steps).toBeGreaterThan(100);
    expect(ranked).toBeGreaterThan(runs / 250);
  },
);

test('the steps of a histogram add up to the posts with a value', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const { minutes: _minutes, seen: _seen, at: _at, ...selections } = query.selections;
      const bare: Query = {
        ...query,
        selections,
        lens: { ...query.lens, paging: { mode: 'all', size: 1, sizes: [] } },
      };
      const all = answer(buildIndex(collection), bare);
      for (const facet of all.facets) {
        if (!('buckets' in facet)) continue;
        const keys =
          facet.key === 'seen' || facet.key === 'at'
            ? ['seen']
            : JSON.stringify(query.lens).includes('endField')
              ? ['minutes', 'until']
              : ['minutes'];
        const valued = all.items.filter((item) => keys.some((key) => item.fields[key] !== undefined));
        expect(facet.buckets.reduce((sum, bucket) => sum + bucket.count, 0)).toBe(valued.length);
      }
    }),
    { numRuns: 300 },
  );
});

test('an added term never takes posts from an any and never gives posts to an all', () => {
  fc.assert(
    fc.property(asked, fc.nat(), ({ collection, query }, pick) => {
      const terms = collection.taxonomies.habitat!.filter(
        (term) => term.parent === null && !collection.taxonomies.habitat!.some((other) => other.parent === term.slug),
      );
      const before = query.selections.habitat;
      fc.pre(terms.length > 0 && before?.type === 'terms');
      const term = terms[pick % terms.length]!.slug;
      const more: Query = {
        ...query,
        selections: {
          ...query.selections,
          habitat: { type: 'terms', terms: [...new Set([...before.terms, term])].sort() },
        },
      };
      const index = buildIndex(collection);
      const [few, many] = [answer(index, query).matched, answer(index, more).matched];
      const facet = query.lens.facets[0]!;
      if (isTerms(facet) && facet.match === 'all') expect(many).toBeLessThanOrEqual(few);
      else expect(many).toBeGreaterThanOrEqual(few);
    }),
    { numRuns: 500 },
  );
});

test('choosing a term alone gives as many posts as its count said', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const any = withMatch(query, 'any');
      for (const option of optionsOf(answer(index, any))) {
        const chosen: Query = {
          ...any,
          page: 1,
          selections: { ...any.selections, habitat: { type: 'terms', terms: [option.value] } },
        };
        expect(answer(index, chosen).matched).toBe(option.count);
      }
    }),
    { numRuns: 200 },
  );
});

test('counts of an any do not move with its own selection', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const any = withMatch(query, 'any');
      const { habitat: _own, ...others } = any.selections;
      expect(optionsOf(answer(index, any)).map((option) => option.count)).toEqual(
        optionsOf(answer(index, { ...any, selections: others })).map((option) => option.count),
      );
    }),
    { numRuns: 200 },
  );
});

function optionsOf({ facets }: Pick<Answer, 'facets'>): readonly Option[] {
  const [first] = facets;
  if (!first || !('options' in first)) throw new Error('The first facet has no options.');
  return first.options;
}

function withMatch(query: Query, match: 'any' | 'all'): Query {
  const facets = query.lens.facets.map((facet) => (isTerms(facet) ? { ...facet, match } : facet));
  return { ...query, lens: { ...query.lens, facets } };
}

const shore: Collection = {
  fields: [
    field('title', 'text', { role: 'title' }),
    field('habitat', 'terms', { tree: true, multiple: true }),
    field('day', 'date', { role: 'published' }),
  ],
  taxonomies: {
    habitat: [
      { slug: 'shore', label: 'Shore', parent: null },
      { slug: 'mudflat', label: 'Mudflat', parent: 'shore' },
      { slug: 'shingle', label: 'Shingle', parent: 'shore' },
      { slug: 'upland', label: 'Upland', parent: null },
    ],
  },
  posts: [
    { id: 'a', values: { title: 'Both', habitat: ['mudflat', 'shingle'], day: '2026-01-01' } },
    { id: 'b', values: { title: 'Mud', habitat: ['mudflat'], day: '2026-01-03' } },
    { id: 'c', values: { title: 'Bare', day: '2026-01-02' } },
    { id: 'd', values: { title: 'No day', habitat: ['shingle'] } },
  ],
};

function ask(config: object, selections: Query['selections'] = {}, page = 1) {
  const lens = lensOf({ facets: [{ key: 'habitat', kind: 'tree', field: 'habitat', ...config }], paging: { size: 2 } });
  return answer(buildIndex(shore), { lens, selections, sort: null, page });
}

test('a post with two children of a term counts once for it, and a parent is partly on', () => {
  const { facets, matched } = ask({}, { habitat: { type: 'terms', terms: ['mudflat'] } });
  expect(matched).toBe(2);
  expect(optionsOf({ facets })).toEqual([
    { value: 'shore', label: 'Shore', count: 3, selected: false, partly: true, parent: null, depth: 0 },
    { value: 'mudflat', label: 'Mudflat', count: 2, selected: true, partly: false, parent: 'shore', depth: 1 },
    { value: 'shingle', label: 'Shingle', count: 2, selected: false, partly: false, parent: 'shore', depth: 1 },
    { value: 'upland', label: 'Upland', count: 0, selected: false, partly: false, parent: null, depth: 0 },
  ]);
});

test('counts of an all are what is left on adding a term', () => {
  const { facets } = ask({ match: 'all' }, { habitat: { type: 'terms', terms: ['mudflat'] } });
  expect(optionsOf({ facets }).map((option) => [option.value, option.count])).toEqual([
    ['shore', 2],
    ['mudflat', 2],
    ['shingle', 1],
    ['upland', 0],
  ]);
});

test('terms with no posts can be hidden, but never a chosen one', () => {
  const values = (zero: string, terms: string[]) =>
    optionsOf(ask({ zero }, terms.length > 0 ? { habitat: { type: 'terms', terms } } : {})).map(
      (option) => option.value,
    );
  expect(values('hide', [])).toEqual(['shore', 'mudflat', 'shingle']);
  expect(values('keep', [])).toEqual(['shore', 'mudflat', 'shingle', 'upland']);
  expect(values('hide', ['upland'])).toContain('upland');
});

test('a hidden term takes its branch along, and its posts stay reachable', () => {
  const { facets, matched } = ask({ hide: ['shore'] }, { habitat: { type: 'terms', terms: ['shingle'] } });
  expect(matched).toBe(2);
  expect(optionsOf({ facets }).map((option) => [option.value, option.parent, option.depth])).toEqual([
    ['shingle', null, 0],
    ['upland', null, 0],
  ]);
});

test('terms can be listed by name or by count, each among its siblings, and bear own labels', () => {
  const labels = (config: object) => optionsOf(ask(config)).map((option) => option.label);
  expect(labels({ order: 'label', labels: { mudflat: 'Zebra mud' } })).toEqual([
    'Shore',
    'Shingle',
    'Zebra mud',
    'Upland',
  ]);
  expect(labels({ order: 'count', only: ['shingle', 'mudflat'] })).toEqual(['Mudflat', 'Shingle']);
});

test('posts with no value come last, and a page past the end is the last one', () => {
  const first = ask({});
  expect(first.items.map((item) => item.id)).toEqual(['b', 'c']);
  const last = ask({}, {}, 9);
  expect(last.items.map((item) => item.id)).toEqual(['a', 'd']);
  expect(last.page).toBe(2);
  expect(last.notices.map((notice) => notice.code)).toEqual(['page-clamped']);
});

test('every way out leads where it says, and there is always one while anything is chosen', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const { matched, ways, total } = answer(index, query);
      if (matched > 0) return expect(ways).toEqual([]);
      if (Object.keys(query.selections).length === 0) return expect([total, ways]).toEqual([0, []]);
      expect(ways.length).toBeGreaterThan(0);
      for (const way of ways) {
        const there = answer(index, readAddress(way.address, query.lens, index, 0).query);
        expect([there.matched, there.address]).toEqual([way.matched, way.address]);
      }
    }),
    { numRuns: 400 },
  );
});

test('when nothing matches, ways out are offered, most results first', () => {
  const lens = lensOf({
    facets: [
      { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
      { key: 'title', kind: 'checkboxes', field: 'title' },
    ],
  });
  const selections: Query['selections'] = {
    habitat: { type: 'terms', terms: ['mudflat'] },
    title: { type: 'terms', terms: ['bare'] },
  };
  const empty = answer(buildIndex(shore), { lens, selections, sort: null, page: 1 });
  expect(empty.matched).toBe(0);
  expect(empty.ways.filter((way) => !way.instead)).toEqual([
    { without: 'title', lifts: ['title'], matched: 2, address: 'habitat=mudflat' },
    { without: 'habitat', lifts: ['habitat'], matched: 1, address: 'title=bare' },
    { without: 'habitat', lifts: ['habitat', 'title'], matched: empty.total, address: '' },
  ]);
  expect(empty.ways.filter((way) => way.instead)).toEqual([
    {
      ...{ without: 'title', lifts: ['title'], matched: 1, address: 'habitat=mudflat&title=both' },
      instead: { facet: 'title', value: 'both', for: 'bare' },
    },
  ]);
});

test('where nothing matches, other posts stand if the lens wants some: the first in its own order, pinned ones before', () => {
  const field = (key: string, type: 'terms' | 'date' | 'text') => ({ ...plainField(key, key), type });
  const fields = [
    field('kind', 'terms'),
    field('title', 'text'),
    { ...field('day', 'date'), role: 'published' as const },
  ];
  const kinds = ['walk', 'talk'].map((slug) => ({ slug, label: slug, parent: null }));
  const posts = Array.from({ length: 8 }, (_, i) => ({
    id: `p${i}`,
    values: { kind: [i % 2 === 0 ? 'walk' : 'talk'], title: `Post ${i}`, day: `2026-01-0${i + 1}` },
  }));
  const index = buildIndex({ fields, taxonomies: { kind: kinds }, posts });
  const ask = (nothing: object, address: string, scope: object = {}) => {
    const facets = [
      { key: 'kind', kind: 'checkboxes', field: 'kind' },
      { key: 'day', kind: 'date-range', field: 'day' },
    ];
    const read = readLens({ facets, nothing, scope });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { query } = readAddress(address, read.value, index, Date.UTC(2026, 5, 1));
    return answer(index, query);
  };
  const none = 'day=1999-01-01/1999-12-31';
  expect([ask({}, none).matched, ask({}, none).others]).toEqual([0, undefined]);
  const others = (nothing: object, scope?: object) =>
    ask({ show: 'posts', ...nothing }, none, scope).others?.map(({ id }) => id);
  expect(others({})).toEqual(['p7', 'p6', 'p5']);
  expect(others({ size: 2, where: [{ field: 'kind', is: ['walk'] }] })).toEqual(['p6', 'p4']);
  expect(others({ size: 2 }, { pinned: ['p1'], exclude: ['p7'] })).toEqual(['p1', 'p6']);
  expect(others({ where: [{ field: 'kind', is: ['gone'] }] })).toBeUndefined();
  expect(ask({ show: 'posts' }, 'kind=walk').others).toBeUndefined();
});
