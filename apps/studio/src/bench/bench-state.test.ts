import type { FieldDescription, Lens } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { benchReducer, startBench, type BenchState } from './bench-state.js';
import { changesBetween } from '@ivy/core';
import {
  addFacet,
  changeFacet,
  changeKind,
  dropAlias,
  duplicateFacet,
  huesOf,
  listAll,
  listOnly,
  moveFacet,
  moveTerm,
  placeFacet,
  placeTerm,
  relabelTerm,
  removeFacet,
  renameFacet,
  toggleTerm,
} from './edits.js';
import { cleanAddress, tokensOf, withoutToken } from './strip/address-tokens.js';

const lens = lensOf({
  facets: ['habitat', 'kind', 'place'].map((key) => ({
    key,
    kind: 'checkboxes',
    field: key,
    label: key.toUpperCase(),
  })),
});
const keys = (one: Lens) => one.facets.map((facet) => facet.key);
const field = (key: string) => ({ key, label: key, type: 'terms', tree: false, distinct: 3 }) as FieldDescription;
const run = (...actions: Parameters<typeof benchReducer>[1][]) => actions.reduce(benchReducer, startBench(lens));

test('edits are undone and redone one by one', () => {
  const one = moveFacet(lens, 'kind', -1);
  const two = removeFacet(one, 'place');
  const edited = run({ type: 'edit', lens: one }, { type: 'edit', lens: two });
  expect(keys(edited.lens)).toEqual(['kind', 'habitat']);
  const undone = benchReducer(edited, { type: 'undo' });
  expect(keys(undone.lens)).toEqual(['kind', 'habitat', 'place']);
  expect(keys(benchReducer(undone, { type: 'redo' }).lens)).toEqual(['kind', 'habitat']);
  expect(benchReducer(startBench(lens), { type: 'undo' }).lens).toBe(lens);
});

test('choices and settings are one line of steps', () => {
  const one = moveFacet(lens, 'kind', -1);
  const went = run({ type: 'go', address: 'kind=a' }, { type: 'edit', lens: one }, { type: 'go', address: 'kind=a,b' });
  // the same written otherwise is no step
  const written = benchReducer(went, { type: 'go', address: 'kind=b,a', isSame: true });
  expect(written.past).toHaveLength(3);
  const back = [1, 2, 3].reduce<BenchState[]>(
    (all) => [...all, benchReducer(all.at(-1)!, { type: 'undo' })],
    [written],
  );
  expect(back.map((state) => [state.address, state.lens === one])).toEqual([
    ['kind=b,a', true],
    ['kind=a', true],
    ['kind=a', false],
    ['', false],
  ]);
  expect(benchReducer(back.at(-1)!, { type: 'redo' }).address).toBe('kind=a');
});

test('what is typed in one box is one step', () => {
  const typed = ['N', 'No', 'Not'].reduce<BenchState>(
    (state, label) =>
      benchReducer(state, { type: 'edit', lens: changeFacet(state.lens, 'kind', { label }), topic: 'label kind' }),
    startBench(lens),
  );
  expect(typed.past.length).toBe(1);
  expect(benchReducer(typed, { type: 'undo' }).lens).toBe(lens);
});

test('the facet in hand is always one that is there', () => {
  const state = run({ type: 'focus', key: 'place' }, { type: 'edit', lens: removeFacet(lens, 'place') });
  expect(state.focus).toBe('habitat');
  expect(run({ type: 'focus', key: null }).focus).toBeNull();
});

test('a facet keeps its hue when others move or go, and a new one takes the first that is free', () => {
  const fewer = removeFacet(moveFacet(lens, 'place', -1), 'habitat');
  expect(Object.fromEntries(huesOf(fewer.facets))).toEqual({ place: 3, kind: 2 });
  const added = addFacet(fewer, field('tide'));
  expect([added.key, huesOf(added.lens.facets).get('tide')]).toEqual(['tide', 1]);
});

test('a new facet never takes an address name that is in use, old ones included', () => {
  const renamed = renameFacet(lens, 'kind', 'sort-of');
  expect(addFacet(renamed, field('kind')).key).toBe('kind-2');
  expect(addFacet(lens, field('page')).key).toBe('page-2');
});

test('a rename keeps the old name; going back to it leaves no alias of itself', () => {
  const renamed = renameFacet(lens, 'kind', 'sort-of');
  expect(renamed.facets[1]).toMatchObject({ key: 'sort-of', aliases: ['kind'] });
  expect(renameFacet(renamed, 'sort-of', 'kind').facets[1]).toMatchObject({ key: 'kind', aliases: ['sort-of'] });
});

test('another way of showing keeps what both ways know', () => {
  const all = changeFacet(lens, 'kind', { match: 'all', hide: ['x'], hue: 9 });
  expect(changeKind(all, 'kind', 'dropdown').facets[1]).toMatchObject({
    kind: 'dropdown',
    match: 'all',
    hide: ['x'],
    label: 'KIND',
    hue: 9,
  });
});

test('says in visitors’ words what changed', () => {
  const after = toggleTerm(
    changeFacet(renameFacet(removeFacet(lens, 'place'), 'habitat', 'zone'), 'kind', { match: 'all' }),
    'kind',
    'notice',
  );
  expect(changesBetween(lens, after).map((change) => change.title)).toEqual([
    'Addresses say zone where they said habitat',
    'KIND takes posts with all of the ticked terms',
    'KIND no longer lists notice',
    'PLACE is no longer a facet',
  ]);
  expect(changesBetween(lens, lens)).toEqual([]);
  expect(changesBetween(lens, moveFacet(lens, 'kind', 1)).map((change) => change.title)).toEqual([
    'The facets stand in another order',
  ]);
});

test('an address falls into tokens, and one can be taken away', () => {
  const address = 'habitat=a,b&utm=1&page=2';
  expect(tokensOf(address, lens).map((token) => [token.name, token.facet, token.known])).toEqual([
    ['habitat', 'habitat', true],
    ['utm', null, false],
    ['page', null, true],
  ]);
  expect(withoutToken(address, 1)).toBe('habitat=a,b&page=2');
});

test.each([
  ['?habitat=a', 'habitat=a'],
  [' https://example.org/notes?habitat=a&q=b#x ', 'habitat=a&q=b'],
  ['https://example.org/notes', ''],
  ['habitat=two words', 'habitat=two+words'],
])('pasted %s is the address %s', (text, expected) => {
  expect(cleanAddress(text)).toBe(expected);
});

test('a copy of a facet stands behind it, with a name and a hue of its own', () => {
  const renamed = renameFacet(lens, 'kind', 'sort-of');
  const copied = duplicateFacet(renamed, 'sort-of');
  expect(keys(copied.lens)).toEqual(['habitat', 'sort-of', 'sort-of-2', 'place']);
  expect(copied.lens.facets[2]).toMatchObject({ key: copied.key, field: 'kind', label: 'KIND', aliases: [], hue: 4 });
  expect(huesOf(copied.lens.facets).get('place')).toBe(3);
});

test('a facet that is pulled takes the place of the one it is dropped on', () => {
  expect(keys(placeFacet(lens, 'place', 'habitat'))).toEqual(['place', 'habitat', 'kind']);
  expect(keys(placeFacet(lens, 'habitat', 'place'))).toEqual(['kind', 'place', 'habitat']);
  expect(placeFacet(lens, 'habitat', 'gone')).toBe(lens);
});

test('a term gets a label of its own, and the source’s back', () => {
  const own = relabelTerm(lens, 'kind', 'survey', ' Counts ');
  expect(own.facets[1]).toMatchObject({ labels: { survey: 'Counts' } });
  expect(relabelTerm(own, 'kind', 'survey', '').facets[1]).toMatchObject({ labels: {} });
});

test('an old address name can be let go', () => {
  const renamed = renameFacet(renameFacet(lens, 'kind', 'b'), 'b', 'c');
  expect(renamed.facets[1]!.aliases).toEqual(['kind', 'b']);
  expect(dropAlias(renamed, 'c', 'b').facets[1]!.aliases).toEqual(['kind']);
});

test('no difference visitors could notice goes unsaid', () => {
  const titles = (after: Lens) => changesBetween(lens, after).map((change) => change.title);
  const withKind = (change: object) => changeFacet(lens, 'kind', change);
  expect(titles(withKind({ hue: 12 }))).toEqual([]);
  expect(titles(withKind({ folded: true }))).toEqual(['KIND is folded at first']);
  expect(titles(withKind({ dependsOn: 'habitat' }))).toEqual(['KIND is there at another time']);
  expect(titles(withKind({ labels: { a: 'A' } }))).toEqual(['KIND words some choices differently']);
  expect(titles(withKind({ only: ['a'] }))).toEqual(['KIND lists only a']);
  expect(titles(withKind({ aSettingToCome: 1 }))).toEqual(['KIND is set another way']);
  expect(titles({ ...lens, address: { ...lens.address, apply: 'button' }, language: 'ar' })).toEqual([
    'Choices take effect another way',
    'The listing speaks another language',
  ]);
  expect(titles({ ...lens, address: { ...lens.address, prefix: 'n-' } })).toContain(
    'Names in addresses begin another way',
  );
});

describe('the terms of a facet', () => {
  const terms = [
    { slug: 'shore', parent: null },
    { slug: 'mud', parent: 'shore' },
    { slug: 'sand', parent: 'shore' },
    { slug: 'inland', parent: null },
    { slug: 'wood', parent: 'inland' },
  ];
  const facetOf = (one: Lens) => one.facets[0] as Extract<Lens['facets'][number], { kind: 'checkboxes' }>;
  const order = (one: Lens) => facetOf(one).sequence.join(' ');

  test('are put where another one stands, among their siblings', () => {
    expect(order(placeTerm(lens, 'habitat', terms, 'sand', 'mud'))).toBe('sand mud shore inland wood');
    expect(order(placeTerm(lens, 'habitat', terms, 'inland', 'shore'))).toBe('inland shore mud sand wood');
  });

  test('over a term of another branch go beside that branch, or stay', () => {
    expect(order(placeTerm(lens, 'habitat', terms, 'inland', 'sand'))).toBe('inland shore mud sand wood');
    expect(placeTerm(lens, 'habitat', terms, 'mud', 'wood')).toBe(lens);
    expect(placeTerm(lens, 'habitat', terms, 'mud', 'gone')).toBe(lens);
  });

  test('keep an order that was by name, but for the one that is moved', () => {
    const byName = changeFacet(lens, 'habitat', { order: 'label' });
    const moved = facetOf(moveTerm(byName, 'habitat', terms, 'sand', -1));
    expect([moved.order, moved.sequence.slice(0, 2)]).toEqual(['given', ['sand', 'mud']]);
    expect(moveTerm(byName, 'habitat', terms, 'mud', -1)).toBe(byName);
  });

  test('are listed only, or all but some, and what is shown stays the same', () => {
    const hidden = toggleTerm(lens, 'habitat', 'sand');
    const only = listOnly(hidden, 'habitat', terms);
    expect(facetOf(only)).toMatchObject({ only: ['shore', 'mud', 'inland', 'wood'], hide: [] });
    expect(facetOf(toggleTerm(only, 'habitat', 'mud')).only).toEqual(['shore', 'inland', 'wood']);
    expect(facetOf(listAll(only, 'habitat', terms))).toMatchObject({ only: [], hide: ['sand'] });
    const last = changeFacet(lens, 'habitat', { only: ['mud'] });
    expect(toggleTerm(last, 'habitat', 'mud')).toBe(last);
  });

  test('say what changed for visitors', () => {
    const titles = (after: Lens) => changesBetween(lens, after).map((change) => change.title);
    expect(titles(placeTerm(lens, 'habitat', terms, 'sand', 'mud'))).toEqual([
      'HABITAT lists its terms in another order',
    ]);
    expect(titles(changeFacet(lens, 'habitat', { only: ['mud'] }))).toEqual(['HABITAT lists only mud']);
  });
});
