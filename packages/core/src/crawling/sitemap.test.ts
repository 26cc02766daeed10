import fc from 'fast-check';
import { asked } from '../../test/arbitrary.js';
import { expectedAnswer } from '../../test/reference.js';
import { readAddress } from '../address/read.js';
import { writeAddress } from '../address/write.js';
import { buildIndex } from '../engine/index/build.js';
import { finished } from '../engine/base/steps.js';
import { mayBeIndexed } from './indexing.js';
import { fewestOfPair, prepareSitemap } from './sitemap.js';

const rule = fc.constantFrom(undefined, 'never' as const, 'alone' as const, 'paired' as const);

test('every address of a sitemap may be kept, is canonical, and finds as many posts as it says', () => {
  fc.assert(
    fc.property(asked, fc.array(rule, { minLength: 12, maxLength: 12 }), ({ collection, query }, rules) => {
      const index = buildIndex(collection);
      const lens = { ...query.lens, facets: query.lens.facets.map((facet, i) => ({ ...facet, indexed: rules[i] })) };
      const found = finished(prepareSitemap(index, lens));
      expect(new Set(found.map(({ address }) => address)).size).toBe(found.length);
      for (const { address, matched, facets } of found) {
        const { query: read, notices } = readAddress(address, lens, index, 0);
        if (address === '') continue;
        expect([writeAddress(read), notices]).toEqual([address, []]);
        expect(facets.length === 2 ? matched >= fewestOfPair : matched > 0).toBe(true);
        // a switch that is on at first narrows what a term alone finds
        const isPlain = lens.facets.every((facet) => !('start' in facet) || facet.start === 'either');
        if (!isPlain) continue;
        expect(expectedAnswer(collection, read).matched).toBe(matched);
        expect(mayBeIndexed(read, matched)).toBe(true);
      }
    }),
    { numRuns: 150 },
  );
});

test('what is said of no facet, of several terms, in another order or size, or finds nothing is not kept', () => {
  fc.assert(
    fc.property(asked, ({ query }) => {
      if (query.sort !== null || query.size !== undefined) expect(mayBeIndexed(query, 5)).toBe(false);
      expect(mayBeIndexed(query, 0)).toBe(false);
      const never = { ...query.lens, facets: query.lens.facets.map((one) => ({ ...one, indexed: 'never' as const })) };
      const { q, minutes, seen } = query.selections;
      if (q ?? minutes ?? seen) expect(mayBeIndexed(query, 5)).toBe(false);
      if (query.selections.habitat) expect(mayBeIndexed({ ...query, lens: never }, 5)).toBe(false);
    }),
  );
});
