import fc from 'fast-check';
import { livingTerms, type Term } from '../../model/post.js';
import { Taxonomy } from '../read/taxonomy.js';
import { changeTaxonomy } from './change-taxonomy.js';
import { mostTermLevels, type TermChange } from './term-change.js';
import { shapedTerms } from './term-paths.js';

const shore: Term[] = [
  { slug: 'shore', label: 'Shore', parent: null },
  { slug: 'mudflat', label: 'Mudflat', parent: 'shore' },
  { slug: 'mud-flat', label: 'Mud flat', parent: 'shore' },
  { slug: 'wetland', label: 'Wetland', parent: null },
  { slug: 'reedbed', label: 'Reedbed', parent: 'wetland' },
];

/** The terms after some changes, each of which can be made. */
function changed(terms: readonly Term[], ...changes: TermChange[]): Term[] {
  return changes.reduce<Term[]>(
    (before, change) => {
      const { terms: after, problem } = changeTaxonomy(before, change);
      if (problem) throw new Error(problem.text);
      return after;
    },
    [...terms],
  );
}

/** The branches as text: each term by its slug under what it stands under. */
function drawn(terms: readonly Term[], parent: string | null = null, depth = 0): string[] {
  return livingTerms(terms)
    .filter((term) => term.parent === parent)
    .flatMap(({ slug }) => [`${' '.repeat(depth)}${slug}`, ...drawn(terms, slug, depth + 1)]);
}

const problemOf = (terms: readonly Term[], change: TermChange) => changeTaxonomy(terms, change).problem?.code;

test('a term is called otherwise: its slug stays, values still lead to it', () => {
  const terms = changed(shore, { does: 'rename', term: 'shore', label: 'Coast' });
  expect(terms[0]).toMatchObject({ slug: 'shore', label: 'Coast', paths: [['Shore']] });
  const taxonomy = new Taxonomy(terms);
  expect(
    [['Shore'], ['Shore', 'Mudflat'], ['Coast', 'Mudflat'], ['Wetland', 'Reedbed']].map((path) => taxonomy.place(path)),
  ).toEqual(['shore', 'mudflat', 'mudflat', 'reedbed']);
  expect(taxonomy.terms).toHaveLength(shore.length);
});

test('a slug that goes leads to the term, and can be given back', () => {
  const terms = changed(shore, { does: 'rename', term: 'wetland', slug: 'wet' });
  expect(terms[3]).toMatchObject({ slug: 'wet', aliases: ['wetland'], was: ['wetland'] });
  expect(terms[4]!.parent).toBe('wet');
  const back = changed(terms, { does: 'rename', term: 'wetland', slug: 'wetland' });
  expect(back[3]).toMatchObject({ slug: 'wetland', aliases: ['wet'], was: ['wet'] });
  expect(problemOf(terms, { does: 'rename', term: 'shore', slug: 'wetland' })).toBe('slug-taken');
});

test('merged terms: posts, slugs and what stands under them go over', () => {
  const terms = changed(shore, { does: 'merge', from: ['mud-flat', 'wetland'], into: 'mudflat' });
  expect(drawn(terms)).toEqual(['shore', ' mudflat', '  reedbed']);
  expect(terms.find(({ slug }) => slug === 'mudflat')!.aliases).toEqual(['mud-flat', 'wetland']);
  const taxonomy = new Taxonomy(terms);
  expect(taxonomy.place(['Shore', 'Mud flat'])).toBe('mudflat');
  expect(taxonomy.place(['Wetland', 'Reedbed'])).toBe('reedbed');
  expect(taxonomy.place(['Wetland', 'Fen'])).toBe('fen');
  expect(taxonomy.terms.find(({ slug }) => slug === 'fen')!.parent).toBe('mudflat');
});

test('a term can be merged into one that stands under it', () => {
  const terms = changed(shore, { does: 'merge', from: ['shore'], into: 'mudflat' });
  expect(drawn(terms)).toEqual(['mudflat', ' mud-flat', 'wetland', ' reedbed']);
});

test('a deleted term is passed over, and what stood under it moves up', () => {
  const terms = changed(shore, { does: 'remove', term: 'shore' });
  expect(drawn(terms)).toEqual(['mudflat', 'mud-flat', 'wetland', ' reedbed']);
  const taxonomy = new Taxonomy(terms, 'found');
  expect([['Shore'], ['Shore', 'Mudflat'], ['Shore', 'Dune']].map((path) => taxonomy.place(path))).toEqual([
    null,
    'mudflat',
    'dune',
  ]);
  expect(taxonomy.terms.find(({ slug }) => slug === 'dune')!.parent).toBeNull();
  expect(problemOf(terms, { does: 'hide', term: 'shore', hidden: true })).toBe('no-such-term');
});

test('terms are moved in the tree and among their siblings', () => {
  const first = changed(shore, { does: 'move', term: 'mud-flat', position: 0 });
  expect(drawn(first)).toEqual(['shore', ' mud-flat', ' mudflat', 'wetland', ' reedbed']);
  const under = changed(first, { does: 'move', term: 'wetland', parent: 'shore', position: 1 });
  expect(drawn(under)).toEqual(['shore', ' mud-flat', ' wetland', '  reedbed', ' mudflat']);
  expect(new Taxonomy(under).place(['Wetland', 'Reedbed'])).toBe('reedbed');
  expect(problemOf(under, { does: 'move', term: 'shore', parent: 'reedbed' })).toBe('in-a-circle');
});

test('a new term waits for posts, and takes up values that name it', () => {
  const terms = changed(shore, { does: 'add', label: 'Dune', parent: 'shore' });
  expect(terms.at(-1)).toEqual({ slug: 'dune', label: 'Dune', parent: 'shore', paths: [['Shore', 'Dune']] });
  expect(new Taxonomy(terms, 'found').place(['Shore', 'Dune'])).toBe('dune');
  expect(changed(terms, { does: 'add', label: 'Dune' }).at(-1)!.slug).toBe('dune-2');
  expect(problemOf(terms, { does: 'add', label: 'Dune', slug: 'dune' })).toBe('slug-taken');
});

test('trees stay within their depth', () => {
  const chain = Array.from({ length: mostTermLevels }, (_, i): Term => ({
    slug: `t${i}`,
    label: `T${i}`,
    parent: i === 0 ? null : `t${i - 1}`,
  }));
  expect(problemOf(chain, { does: 'add', label: 'Deeper', parent: `t${mostTermLevels - 1}` })).toBe('too-deep');
  expect(problemOf([...chain, ...shore], { does: 'move', term: 'shore', parent: 't18' })).toBe('too-deep');
});

const labels = fc.constantFrom('Shore', 'Mud', 'Reed', 'Fen', 'Dune');
const path = fc.array(labels, { minLength: 1, maxLength: 3 });
const nth = fc.nat({ max: 30 });
const step = fc.record({
  does: fc.constantFrom('rename', 'slug', 'move', 'add', 'remove', 'merge'),
  one: nth,
  other: nth,
  label: labels,
  position: fc.nat({ max: 4 }),
});

function changeOf(
  terms: readonly Term[],
  { does, one, other, label, position }: typeof step extends fc.Arbitrary<infer S> ? S : never,
): TermChange | null {
  const living = livingTerms(terms);
  if (living.length === 0) return null;
  const [term, into] = [living[one % living.length]!.slug, living[other % living.length]!.slug];
  if (does === 'rename') return { does, term, label };
  if (does === 'slug') return { does: 'rename', term, slug: `s${other}` };
  if (does === 'move') return { does, term, parent: other % 3 === 0 ? null : into, position };
  if (does === 'add') return { does, label, parent: other % 3 === 0 ? null : into };
  return does === 'merge' ? { does, from: [term], into } : { does: 'remove', term };
}

test('whatever is done to terms, every value leads where its old slug leads, and comes in again without a new term', () => {
  fc.assert(
    fc.property(fc.array(path, { minLength: 1, maxLength: 12 }), fc.array(step, { maxLength: 8 }), (paths, steps) => {
      const before = new Taxonomy();
      const slugs = paths.map((one) => before.place(one)!);
      let terms: Term[] = before.terms;
      // an old slug is given to nobody else, so it tells for good where its values are
      for (const one of steps) {
        const change = changeOf(terms, one);
        if (change) terms = changeTaxonomy(terms, change).terms ?? terms;
      }
      const leads = new Map(
        livingTerms(terms).flatMap(({ slug, aliases = [] }) => [slug, ...aliases].map((each) => [each, slug])),
      );
      const names = livingTerms(terms).flatMap(({ slug, aliases = [] }) => [slug, ...aliases]);
      expect(new Set(names).size).toBe(names.length);
      const again = new Taxonomy(terms, 'found');
      expect(paths.map((one) => again.place(one))).toEqual(slugs.map((slug) => leads.get(slug) ?? null));
      expect(again.terms.map(({ slug }) => slug)).toEqual(terms.map(({ slug }) => slug));
      // each stands under one that is there, and none under itself
      expect(drawn(terms)).toHaveLength(livingTerms(terms).length);
    }),
    { numRuns: 1000 },
  );
});

test('whatever is renamed, and merged with a sibling, every address that ever answered finds the same posts or more', () => {
  const gentle = step.map((one) => ({
    ...one,
    does: one.does === 'move' || one.does === 'remove' ? 'slug' : one.does,
  }));
  fc.assert(
    fc.property(fc.array(path, { minLength: 1, maxLength: 10 }), fc.array(gentle, { maxLength: 8 }), (paths, steps) => {
      const taxonomy = new Taxonomy();
      const slugs = paths.map((one) => taxonomy.place(one)!);
      let terms: Term[] = taxonomy.terms;
      /** The posts at an address, as places in `paths`: those with the term or one under it. */
      const postsAt = (address: string) => {
        const leads = new Map(
          terms.flatMap(({ slug, aliases = [] }) => [slug, ...aliases].map((each) => [each, slug])),
        );
        const bySlug = new Map(terms.map((term) => [term.slug, term]));
        const wanted = leads.get(address);
        const isUnder = (slug: string | null | undefined): boolean =>
          slug != null && (slug === wanted || isUnder(bySlug.get(slug)?.parent));
        return new Set(slugs.flatMap((slug, i) => (wanted !== undefined && isUnder(leads.get(slug)) ? [i] : [])));
      };
      const seen = new Map<string, Set<number>>();
      const look = () => {
        for (const { slug } of terms) seen.set(slug, new Set([...postsAt(slug), ...(seen.get(slug) ?? [])]));
      };
      look();
      for (const one of steps) {
        const change = changeOf(terms, one);
        const parentOf = (slug: string) => terms.find((term) => term.slug === slug)!.parent;
        // what is merged into a term of another branch leaves its own
        if (change?.does === 'merge' && parentOf(change.from[0]!) !== parentOf(change.into)) continue;
        if (change) terms = changeTaxonomy(terms, change).terms ?? terms;
        for (const [address, before] of seen)
          expect([...before].filter((post) => !postsAt(address).has(post))).toEqual([]);
        look();
      }
    }),
    { numRuns: 500 },
  );
});

test('terms that someone shaped are told from the others, with what they stand under', () => {
  expect(shapedTerms(shore)).toEqual([]);
  const terms = changed(shore, { does: 'hide', term: 'reedbed', hidden: true }, { does: 'remove', term: 'mud-flat' });
  expect(shapedTerms(terms).map(({ slug }) => slug)).toEqual(['shore', 'mud-flat', 'wetland', 'reedbed']);
});

test('a colour and a picture are given, kept apart and taken away', () => {
  const drawnOnce = changed(shore, { does: 'picture', term: 'shore', colour: '#aabbcc', picture: '/s.svg' });
  expect(drawnOnce[0]).toMatchObject({ colour: '#aabbcc', picture: '/s.svg' });
  const bare = changed(drawnOnce, { does: 'picture', term: 'shore', colour: null });
  expect([bare[0]!.colour, bare[0]!.picture]).toEqual([undefined, '/s.svg']);
  // what has none takes that of what is merged into it
  const merged = changed(bare, { does: 'merge', from: ['shore'], into: 'wetland' });
  expect(merged.find(({ slug }) => slug === 'wetland')).toMatchObject({ picture: '/s.svg' });
});
