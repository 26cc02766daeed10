import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { readAddress } from '../address/read.js';
import { writeAddress } from '../address/write.js';
import { buildIndex } from '../engine/index/build.js';
import { changesBetween } from './changes.js';
import { checkLens } from './check.js';
import { keepNames } from './kept-names.js';
import type { Lens } from './lens.js';

/** A lens as it might be called after someone worked on it: facets renamed, left out, in another order, under a prefix. */
const reworked = (lens: Lens) =>
  fc
    .record({
      named: fc.array(fc.constantFrom('', '-b', '2', '_x'), { minLength: 12, maxLength: 12 }),
      turned: fc.boolean(),
      without: fc.array(fc.nat(9), { maxLength: 2 }),
      prefix: fc.constantFrom('', '', 'n-', 'm_'),
      sort: fc.constantFrom('sort', 'order'),
      page: fc.constantFrom('page', 'p'),
    })
    .map(({ named, turned, without, prefix, sort, page }): Lens => {
      const facets = lens.facets
        // of two that read one field either may be what the other became
        .filter(({ key }) => key !== 'place' && key !== 'at')
        .map((facet, i) => ({ ...facet, key: `${facet.key}${named[i]}`, aliases: [] }))
        .filter((_, i) => !without.includes(i));
      return { ...lens, facets: turned ? facets.reverse() : facets, address: { ...lens.address, prefix, sort, page } };
    });

const history = asked.chain(({ collection, query }) =>
  fc
    .tuple(reworked(query.lens), reworked(query.lens), reworked(query.lens))
    .map((states) => ({ index: buildIndex(collection), query, states })),
);

/** The same choices as a state of the lens calls them. */
function asIn(lens: Lens, { lens: first, ...query }: Parameters<typeof writeAddress>[0]) {
  const selections = Object.fromEntries(
    lens.facets.flatMap((facet) => {
      const was = first.facets.find(({ key }) => facet.key.startsWith(key) && keyOf(facet.key) === key);
      const selection = was && query.selections[was.key];
      return selection ? [[facet.key, selection]] : [];
    }),
  );
  return { ...query, lens, selections };
}

const keyOf = (key: string) => key.replace(/(-b|2|_x)$/, '');

test('a release reads every name that was ever live, whatever became of the lens', () => {
  fc.assert(
    fc.property(history, ({ index, query, states }) => {
      const [first, second, last] = states;
      const live = [first, keepNames(second, [first])];
      const kept = keepNames(last, live);
      expect(checkLens(kept, index.fields)).toEqual([]);
      for (const before of [first, second]) {
        const then = asIn(before, query);
        const { query: now, notices } = readAddress(writeAddress(then), kept, index, 0);
        expect(notices.filter(({ code }) => code !== 'moved')).toEqual([]);
        // written again it is the address in force, which says nothing old
        const again = readAddress(writeAddress(now), kept, index, 0);
        expect([again.query.selections, again.notices]).toEqual([now.selections, []]);
        for (const facet of kept.facets) {
          const was = before.facets.find(({ key }) => keyOf(key) === keyOf(facet.key));
          // a name that means something else by now keeps that meaning
          const isSpoken = was && last.facets.some(({ key }) => key === was.key && keyOf(key) !== keyOf(was.key));
          if (!was || isSpoken) continue;
          expect([facet.key, now.selections[facet.key]]).toEqual([facet.key, then.selections[was.key]]);
        }
        expect(now.page).toBe(then.page);
      }
      // keeping what is kept adds nothing, and breaks nothing
      expect(keepNames(kept, live)).toEqual(kept);
      const gone = live[1]!.facets.filter((was) => !kept.facets.some((one) => keyOf(one.key) === keyOf(was.key)));
      const broken = changesBetween(live[1]!, kept).filter(({ breaks }) => breaks);
      expect(broken.length).toBe(gone.length);
    }),
    { numRuns: 300 },
  );
});

const facets = [{ key: 'habitat', kind: 'tree', field: 'habitat', aliases: ['zone'] }];

test('a name that was let go stays gone, and its loss is told', () => {
  const before = lensOf({ facets });
  const after = lensOf({ facets: [{ ...facets[0], aliases: [] }], address: { gone: ['zone'] } });
  expect(keepNames(after, [before])).toEqual(after);
  expect(changesBetween(before, after)).toEqual([
    { facet: 'habitat', breaks: true, title: 'Addresses with “zone” are read no more' },
  ]);
  expect(keepNames(lensOf({ facets: [{ ...facets[0], aliases: [] }] }), [before]).facets[0]!.aliases).toEqual(['zone']);
});

test('orders keep what addresses called them', () => {
  const options = [{ key: 'newest', field: 'day', order: 'desc' }];
  const before = lensOf({ sort: { options } });
  const after = keepNames(lensOf({ sort: { options: [{ ...options[0], key: 'latest' }] } }), [before]);
  expect(after.sort.options[0]).toMatchObject({ key: 'latest', aliases: ['newest'] });
  const index = buildIndex({ fields: [], taxonomies: {}, posts: [] });
  expect(readAddress('sort=newest', after, index, 0)).toMatchObject({ query: { sort: 'latest' }, notices: [] });
});

test('nothing differs where only what visitors never see does', () => {
  const one = lensOf({ facets: [{ ...facets[0], hue: 3, label: '' }] });
  const other = lensOf({ facets: [{ ...facets[0], hue: 5, label: 'Where' }], address: { gone: ['q'] } });
  const fields = [field('habitat', 'terms', { label: 'Where' })];
  expect(changesBetween(one, other, fields)).toEqual([]);
  expect(
    changesBetween(one, lensOf({ facets: [{ ...facets[0], field: 'place' }] })).filter(({ breaks }) => breaks),
  ).toHaveLength(1);
});
