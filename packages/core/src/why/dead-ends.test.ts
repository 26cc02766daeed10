import { isFavourites, isLetters, isRange, isSearch, isSingle, isTerms } from '../../test/facets.js';
import { type Facet } from '../kinds/kinds.js';
import { type Selection } from '../model/selection.js';
import fc from 'fast-check';
import { asked } from '../../test/arbitrary.js';
import { expectedAnswer, has, letterOf, lettersOf, termsOf } from '../../test/reference.js';
import { buildIndex } from '../engine/index/build.js';

import type { Query } from '../lens/query.js';
import { finished } from '../engine/base/steps.js';
import { readAddress } from '../address/read.js';
import { crossTable } from './cross-table.js';
import { prepareDeadEnds } from './dead-ends.js';

test('dead ends are the pairs of choices that each have posts and together have none', () => {
  fc.assert(
    fc.property(asked, ({ collection, query: { lens } }) => {
      const ask = (selections: Query['selections']) =>
        expectedAnswer(collection, { lens, selections, sort: null, page: 1 }).matched;
      const shown = (facet: Facet, slug: string) => {
        if (!isTerms(facet)) return true;
        const lineage = termsOf(collection, facet.field);
        for (let at: string | null = slug; at !== null; at = lineage.find((term) => term.slug === at)!.parent)
          if (facet.hide.includes(at)) return false;
        return facet.only.length === 0 || facet.only.includes(slug);
      };
      const slugsIn = (facet: Facet, field: string) =>
        isLetters(facet) ? lettersOf(collection, lens, field) : termsOf(collection, field).map(({ slug }) => slug);
      const choices = lens.facets.flatMap((facet) =>
        isSearch(facet) || isRange(facet) || isFavourites(facet)
          ? []
          : slugsIn(facet, facet.field)
              .filter((slug) => shown(facet, slug) && ask({ [facet.key]: selectionOf(facet, [slug]) }) > 0)
              .map((slug) => ({ facet, slug })),
      );
      let [pairs, dead] = [0, 0];
      choices.forEach((a, i) => {
        for (const b of choices.slice(i + 1)) {
          const same = a.facet === b.facet;
          if (same && !(isTerms(a.facet) && a.facet.match === 'all' && !isSingle(a.facet))) continue;
          pairs++;
          const both: Query['selections'] = same
            ? { [a.facet.key]: selectionOf(a.facet, [a.slug, b.slug]) }
            : { [a.facet.key]: selectionOf(a.facet, [a.slug]), [b.facet.key]: selectionOf(b.facet, [b.slug]) };
          if (ask(both) === 0) dead++;
        }
      });
      const index = buildIndex(collection);
      const shares: number[] = [];
      const found = finished(prepareDeadEnds(index, lens, 1000, (share) => shares.push(share)));
      expect(shares).toEqual([...shares].sort((a, b) => a - b));
      expect(found.between.reduce((sum, one) => sum + one.dead, 0)).toBe(dead);
      expect([found.pairs, found.dead, found.worst.length]).toEqual([pairs, dead, dead]);
      for (const {
        choices: [a, b],
        address,
      } of found.worst) {
        expect(ask(readAddress(address, lens, index, 0).query.selections)).toBe(0);
        const table = crossTable(index, lens, [a.facet, b.facet])!;
        const at = (of: 'rows' | 'columns', one: typeof a) => table[of].findIndex(({ value }) => value === one.value);
        const [row, column] = [at('rows', a), at('columns', b)];
        if (row >= 0 && column >= 0) expect(table.counts[row]![column]).toBe(0);
        const carries = (choice: typeof a) => {
          const facet = lens.facets.find((one) => one.key === choice.facet)!;
          return collection.posts.filter(
            (post) =>
              'field' in facet &&
              (isLetters(facet)
                ? letterOf(post, facet.field) === choice.value
                : has(collection, post, facet.field, choice.value)),
          );
        };
        expect(carries(a).length).toBeGreaterThanOrEqual(a.count);
        expect(Math.min(a.count, b.count)).toBeGreaterThan(0);
      }
    }),
    { numRuns: 30 },
  );
});

function selectionOf(facet: Facet, terms: string[]): Selection {
  return facet.kind === 'switch' ? { type: 'switch', on: terms[0] === 'yes' } : { type: 'terms', terms };
}
