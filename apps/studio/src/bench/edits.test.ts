import { arrangesTerms, readLens, type FacetKind, type Lens } from '@ivy/core';
import fc from 'fast-check';
import { fieldOf } from '../../test/field-of.js';
import { lensOf } from '../../test/lens-of.js';
import {
  addFacet,
  changeKind,
  changePaging,
  dropAlias,
  duplicateFacet,
  huesOf,
  moveFacet,
  moveTerm,
  placeFacet,
  placeTerm,
  relabelTerm,
  removeFacet,
  renameFacet,
  toggleTerm,
  withPresentSlugs,
} from './edits.js';
import { kindDesks } from './kinds/kind-desks.js';

const fields = [
  fieldOf('title', 'text', { role: 'title' }),
  fieldOf('habitat', 'terms'),
  fieldOf('place', 'terms', { tree: true }),
  fieldOf('seen', 'date', { role: 'published' }),
  fieldOf('count', 'number'),
  fieldOf('open', 'boolean'),
];
const terms = [
  { slug: 'coast', parent: null },
  { slug: 'mudflat', parent: 'coast' },
  { slug: 'dune', parent: 'coast' },
  { slug: 'reed', parent: null },
];
const empty = lensOf({});
/** A lens as it comes when nobody has given its facets a colour yet. */
const plain = lensOf({
  facets: ['habitat', 'place', 'kind', 'age'].map((key) => ({ key, kind: 'checkboxes', field: key })),
});

/** One thing done on the Bench. `a` and `b` say to what; an edit that finds nothing to do leaves the lens as it was. */
interface Step {
  what: keyof typeof edits;
  a: number;
  b: number;
}

const keyOf = (lens: Lens, at: number) => lens.facets[at % Math.max(1, lens.facets.length)]?.key ?? 'none';
/** The ways to show a facet of terms. */
const ways: FacetKind[] = ['checkboxes', 'radios', 'dropdown', 'buttons', 'tree'];
const slugOf = (at: number) => terms[at % terms.length]!.slug;
const edits = {
  add: (lens: Lens, a: number) => addFacet(lens, fields[a % fields.length]!).lens,
  search: (lens: Lens) => kindDesks.search.addition!.add(lens, fields)?.lens ?? lens,
  marked: (lens: Lens) => kindDesks.favourites.addition!.add(lens, fields)!.lens,
  duplicate: (lens: Lens, a: number) => (lens.facets.length > 0 ? duplicateFacet(lens, keyOf(lens, a)).lens : lens),
  remove: (lens: Lens, a: number) => removeFacet(lens, keyOf(lens, a)),
  move: (lens: Lens, a: number, b: number) => moveFacet(lens, keyOf(lens, a), b % 2 === 0 ? 1 : -1),
  place: (lens: Lens, a: number, b: number) => placeFacet(lens, keyOf(lens, a), keyOf(lens, b)),
  kind: (lens: Lens, a: number, b: number) => {
    const facet = lens.facets.find(({ key }) => key === keyOf(lens, a));
    return facet && arrangesTerms(facet) ? changeKind(lens, facet.key, ways[b % ways.length]!) : lens;
  },
  rename: (lens: Lens, a: number, b: number) =>
    renameFacet(lens, keyOf(lens, a), `own-${a}-${b}-${lens.facets.length}`),
  alias: (lens: Lens, a: number) => dropAlias(lens, keyOf(lens, a), lens.facets[0]?.aliases[0] ?? ''),
  hide: (lens: Lens, a: number, b: number) => toggleTerm(lens, keyOf(lens, a), slugOf(b)),
  label: (lens: Lens, a: number, b: number) => relabelTerm(lens, keyOf(lens, a), slugOf(b), b % 3 === 0 ? ' ' : 'Mine'),
  term: (lens: Lens, a: number, b: number) => placeTerm(lens, keyOf(lens, a), terms, slugOf(a), slugOf(b)),
  shift: (lens: Lens, a: number, b: number) => moveTerm(lens, keyOf(lens, a), terms, slugOf(b), a % 2 === 0 ? 1 : -1),
};
const whats = Object.keys(edits) as Step['what'][];
const steps = fc.array(
  fc.record<Step>({ what: fc.constantFrom(...whats), a: fc.nat({ max: 30 }), b: fc.nat({ max: 30 }) }),
  { maxLength: 25 },
);
const after = (lens: Lens, { what, a, b }: Step) => edits[what](lens, a, b);

test('whatever is done to a lens, it can be kept, and reads back as it is', () => {
  fc.assert(
    fc.property(steps, (all) => {
      const lens = all.reduce(after, empty);
      const kept: unknown = JSON.parse(JSON.stringify(lens));
      const names = lens.facets.flatMap(({ key, aliases }) => [key, ...aliases]);
      expect(new Set(names).size).toBe(names.length);
      expect(readLens(kept)).toEqual({ ok: true, value: kept });
    }),
    { numRuns: 300 },
  );
});

test('no facet changes its colour by what is done to others', () => {
  const moving = new Set<Step['what']>(['search', 'add', 'marked', 'duplicate', 'remove', 'move', 'place']);
  fc.assert(
    fc.property(steps, (all) => {
      all.reduce((lens, step) => {
        const next = after(lens, step);
        if (!moving.has(step.what)) return next;
        const [before, now] = [huesOf(lens.facets), huesOf(next.facets)];
        for (const [key, hue] of now) if (before.has(key)) expect([key, hue]).toEqual([key, before.get(key)]);
        return next;
      }, plain);
    }),
    { numRuns: 200 },
  );
});

test('the address name of the size gives way to a facet that has it, and is left alone while it is not in use', () => {
  const lens = lensOf({ facets: [{ key: 'size', kind: 'checkboxes', field: 'size' }] });
  expect(changePaging(lens, { size: 24 }).address.size).toBe('size');
  const offered = changePaging(lens, { sizes: [12, 24] });
  expect([offered.address.size, offered.paging.sizes]).toEqual(['size-2', [12, 24]]);
  expect(changePaging(offered, { mode: 'endless' }).address.size).toBe('size-2');
  expect(addFacet(changePaging(empty, { sizes: [24] }), fieldOf('size', 'terms')).key).toBe('size-2');
});

test('another address name of a facet keeps what it is called in other languages', () => {
  const labels = { 'facets/kind/label': 'Art', 'facets/kindred/label': 'Sippe' };
  const lens = lensOf({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }], languages: { de: { labels } } });
  const { languages } = renameFacet(lens, 'kind', 'type');
  expect(languages.de!.labels).toEqual({ 'facets/type/label': 'Art', 'facets/kindred/label': 'Sippe' });
});

test('what is said of terms by slugs they had is said by those they have, so that it can be taken back', () => {
  const facet = {
    ...{ key: 'place', kind: 'checkboxes', field: 'place', hide: ['mud', 'dune'], sequence: ['reeds', 'mud'] },
    labels: { reeds: 'In the reeds' },
  };
  const lens = lensOf({ facets: [facet] });
  const now = [
    { slug: 'mudflat', was: ['mud', 'flats'] },
    { slug: 'reed', was: ['reeds'] },
    { slug: 'dune', was: [] },
  ];
  const spoken = withPresentSlugs(lens, 'place', now);
  expect(spoken.facets[0]).toMatchObject({
    hide: ['mudflat', 'dune'],
    sequence: ['reed', 'mudflat'],
    labels: { reed: 'In the reeds' },
  });
  expect(toggleTerm(spoken, 'place', 'mudflat').facets[0]).toMatchObject({ hide: ['dune'] });
  expect(withPresentSlugs(spoken, 'place', now)).toBe(spoken);
  expect(withPresentSlugs(lens, 'place', [{ slug: 'dune', was: [] }])).toBe(lens);
  expect(withPresentSlugs(lens, 'nothing', now)).toBe(lens);
});
