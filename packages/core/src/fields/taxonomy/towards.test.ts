import fc from 'fast-check';
import { livingTerms, type Term } from '../../model/post.js';
import { changeTaxonomy } from './change-taxonomy.js';
import { changesTowards, type TaxonomyTerm } from './towards.js';

const term = (slug: string, label: string, parent: string | null = null, more: Partial<Term> = {}): Term => ({
  ...{ slug, label, parent },
  ...more,
});
const wanted = (slug: string, label: string, parent: string | null = null): TaxonomyTerm => ({
  ...{ slug, label, parent, hidden: false, picture: null, colour: null },
});
const said = (terms: readonly Term[]) =>
  livingTerms(terms).map(({ slug, label, parent }) => `${parent ?? ''}/${slug} ${label}`);
const after = (terms: Term[], list: TaxonomyTerm[]) => {
  const { changes } = changesTowards(terms, list);
  return changeTaxonomy(terms, { does: 'several', changes: changes! }).terms!;
};
const terms = [term('shore', 'Shore'), term('mudflat', 'Mudflat', 'shore'), term('lagoon', 'Lagoon')];

test('what is the same already is left as it is', () => {
  expect(
    changesTowards(terms, [
      wanted('shore', 'Shore'),
      wanted('mudflat', 'Mudflat', 'shore'),
      wanted('lagoon', 'Lagoon'),
    ]),
  ).toEqual({
    ...{ changes: [], problem: null },
  });
});

test('terms are renamed, moved, added and put in order; what is not known stays', () => {
  const list = [wanted('wet', 'Wetland'), wanted('lagoon', 'Lagoons', 'wet'), wanted('shore', 'Shore')];
  expect(said(after(terms, list))).toEqual(
    expect.arrayContaining(['/wet Wetland', 'wet/lagoon Lagoons', '/shore Shore', 'shore/mudflat Mudflat']),
  );
  const top = livingTerms(after(terms, list)).filter(({ parent }) => parent === null);
  expect(top.map(({ slug }) => slug)).toEqual(['wet', 'shore']);
});

test('a term is found by what led to it, and by its label', () => {
  const old = [term('mudflat', 'Mudflat', null, { aliases: ['mud'] })];
  expect(said(after(old, [wanted('mud', 'Mud flats')]))).toEqual(['/mudflat Mud flats']);
  expect(said(after(old, [wanted('h-77', 'mudflat')]))).toEqual(['/mudflat mudflat']);
});

test('whatever is wanted, terms are as wanted then, and wanting it again changes nothing', () => {
  const slugs = ['a', 'b', 'c', 'd', 'e'];
  const list = fc
    .record({
      order: fc.shuffledSubarray(slugs, { minLength: 1 }),
      ups: fc.array(fc.nat({ max: 4 }), { minLength: 5, maxLength: 5 }),
      labels: fc.array(fc.constantFrom('One', 'Two', 'Six'), { minLength: 5, maxLength: 5 }),
    })
    .map(({ order, ups, labels }) =>
      order.map((slug, i) => ({
        ...wanted(slug, `${labels[i]} ${slug}`),
        parent: ups[i]! < i && ups[i]! > 1 ? order[ups[i]! - 1]! : null,
      })),
    )
    .map((all) => {
      const under = (parent: string | null): TaxonomyTerm[] =>
        all.filter((one) => one.parent === parent).flatMap((one) => [one, ...under(one.slug)]);
      return under(null);
    });
  fc.assert(
    fc.property(list, list, (first, second) => {
      const begun = after([], first);
      const then = after(begun, second);
      const known = new Set(second.map(({ slug }) => slug));
      const seen = livingTerms(then).filter(({ slug }) => known.has(slug));
      expect(seen.map(({ slug, label, parent }) => [slug, label, parent]).sort()).toEqual(
        second.map(({ slug, label, parent }) => [slug, label, parent]).sort(),
      );
      expect(changesTowards(then, second).changes).toEqual([]);
    }),
  );
});
