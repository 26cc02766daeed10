import type { Option, Settings, TermFacetAnswer } from '@ivy/core';
import { choicesOf, choose, startChoices, toggle, withForeign, writeChoices, type Choices } from './choices.js';

const option = (value: string, parent: string | null, depth: number): Option => ({
  value,
  label: value,
  count: 1,
  selected: false,
  partly: false,
  parent,
  depth,
});
const habitat: TermFacetAnswer = {
  key: 'habitat',
  kind: 'tree',
  label: 'Habitat',
  visible: true,
  selected: ['mudflat'],
  options: [
    option('shore', null, 0),
    option('mudflat', 'shore', 1),
    option('pool', 'mudflat', 2),
    option('wetland', null, 0),
  ],
};
const settings = {
  facets: [{ key: 'habitat' }, { key: 'kind' }],
  defaultSort: 'newest',
  paging: { mode: 'pages', size: 12, sizes: [] },
  address: { prefix: '', sort: 'sort', page: 'page', apply: 'change' },
  names: ['habitat', 'zone', 'kind', 'sort', 'page'],
} as unknown as Settings;
const nothing: Choices = { facets: {}, sort: null, page: 1 };

test('a value is chosen and un-chosen, and the page goes back to the first', () => {
  const on = toggle({ ...nothing, page: 4 }, habitat, 'wetland', false);
  expect(on).toEqual({ facets: { habitat: ['wetland'] }, sort: null, page: 1 });
  expect(toggle(on, habitat, 'wetland', false)).toEqual(nothing);
});

test('a parent takes the place of what was chosen below it', () => {
  const below = choose(nothing, 'habitat', ['pool', 'wetland']);
  expect(toggle(below, habitat, 'shore', false).facets.habitat).toEqual(['wetland', 'shore']);
});

test('of a single choice the new one takes the place of the old', () => {
  expect(toggle(choose(nothing, 'habitat', ['shore']), habitat, 'wetland', true).facets.habitat).toEqual(['wetland']);
});

test('writes facets in the lens’s order, values sorted, defaults left out', () => {
  expect(writeChoices({ facets: { kind: ['b c'], habitat: ['z', 'a'] }, sort: null, page: 1 }, settings)).toBe(
    'habitat=a,z&kind=b+c',
  );
  expect(writeChoices({ facets: {}, sort: 'title', page: 3 }, settings)).toBe('sort=title&page=3');
});

test('parameters of others stay in front as they came, old names of ours go', () => {
  expect(withForeign('utm=a%20b&zone=x&habitat=y&z', 'habitat=a', settings.names)).toBe('utm=a%20b&z&habitat=a');
});

test('an answer says what was chosen; a default sort is no choice', () => {
  const answer = {
    facets: [habitat],
    address: 'habitat=mudflat&page=2',
    sort: 'newest',
    page: 2,
  } as unknown as Parameters<typeof choicesOf>[0];
  expect(choicesOf(answer, settings)).toEqual({ facets: { habitat: ['mudflat'] }, sort: null, page: 2 });
});

test('a switch that starts as yes is left out when it is on, and said when it is not', () => {
  const own = [
    { key: 'open', kind: 'switch', start: 'yes', visible: true },
    { key: 'fixed', kind: 'switch', start: 'no', visible: false },
    { key: 'kind', visible: true },
  ];
  const started = { ...settings, facets: own } as unknown as Settings;
  const write = (facets: Choices['facets']) => writeChoices({ ...nothing, facets }, started);
  expect(startChoices(started)).toEqual({ open: ['yes'] });
  expect(write({ open: ['yes'], fixed: ['no'] })).toBe('');
  expect(write({ open: ['no'], fixed: ['no'], kind: ['a'] })).toBe('open=no&kind=a');
  expect(write({})).toBe('open=either&fixed=either');
});
