import fc from 'fast-check';
import { asked } from '../../test/arbitrary.js';
import { isSearch, isTerms } from '../../test/facets.js';
import { expectedAnswer } from '../../test/reference.js';
import { buildIndex } from '../engine/index/build.js';
import { matchEffects } from './effects.js';

test('any and all give what they would give once set', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const effects = matchEffects(buildIndex(collection), query);
      for (const facet of query.lens.facets) {
        const effect = effects[facet.key];
        if (!effect || (!isTerms(facet) && !isSearch(facet))) continue;
        for (const match of ['any', 'all'] as const) {
          const set = isSearch(facet) ? { ...facet, words: match } : { ...facet, match };
          const facets = query.lens.facets.map((one) => (one === facet ? set : one));
          const { matched } = expectedAnswer(collection, { ...query, lens: { ...query.lens, facets } });
          expect(effect[match]).toBe(matched);
        }
      }
    }),
    { numRuns: 100 },
  );
});
