import { Taxonomy } from './taxonomy.js';

test('a term is known by its path, and stands after what is above it', () => {
  const taxonomy = new Taxonomy();
  expect(['North', 'South'].map((label) => taxonomy.place([label, 'Harbour']))).toEqual(['harbour', 'harbour-2']);
  expect(taxonomy.terms.map(({ slug, parent }) => [slug, parent])).toEqual([
    ['north', null],
    ['harbour', 'north'],
    ['south', null],
    ['harbour-2', 'south'],
  ]);
});

test('what is known keeps its slug, and its place where that is wished', () => {
  const known = [
    { slug: 'reed', label: 'Reed', parent: null },
    { slug: 'mud', label: 'Mudflat', parent: null },
  ];
  const kept = new Taxonomy(known);
  const found = new Taxonomy(known, 'found');
  for (const taxonomy of [kept, found]) {
    expect([taxonomy.place(['Mudflat']), taxonomy.place(['Lagoon'])]).toEqual(['mud', 'lagoon']);
  }
  expect(kept.terms.map(({ slug }) => slug)).toEqual(['reed', 'mud', 'lagoon']);
  expect(found.terms.map(({ slug }) => slug)).toEqual(['mud', 'lagoon']);
});

test('the slug of what is read as something else leads there, and is its own again afterwards', () => {
  const first = new Taxonomy();
  for (const label of ['mudflat', 'Mudflat', 'Reed']) first.place([label]);
  expect(first.terms.map(({ slug }) => slug)).toEqual(['mudflat', 'mudflat-2', 'reed']);
  const mended = new Taxonomy(first.terms, 'found');
  mended.lead(['mudflat'], mended.place(['Mudflat'])!);
  expect(mended.terms).toEqual([{ slug: 'mudflat-2', label: 'Mudflat', parent: null, aliases: ['mudflat'] }]);
  const back = new Taxonomy(mended.terms, 'found');
  for (const label of ['mudflat', 'Mudflat', 'Reed']) back.place([label]);
  expect(back.terms).toEqual(first.terms);
});

test('a slug that leads elsewhere is given to nobody else', () => {
  const known = [{ slug: 'mudflat', label: 'Mudflat', parent: null, aliases: ['mud-flat'] }];
  const taxonomy = new Taxonomy(known);
  taxonomy.lead(['mud flat'], 'mudflat');
  expect(taxonomy.place(['Mud-flat'])).toBe('mud-flat-2');
  expect(taxonomy.terms[0]!.aliases).toEqual(['mud-flat']);
});

test('what is placed by itself needs nothing to lead to it', () => {
  const taxonomy = new Taxonomy();
  const slug = taxonomy.place(['Reed'])!;
  taxonomy.lead(['Reed'], slug);
  expect(taxonomy.terms).toEqual([{ slug: 'reed', label: 'Reed', parent: null }]);
});
