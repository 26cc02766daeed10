import { makeLook, pageLook, type Answer, type Settings } from '@ivy/core';
import { keepShape } from '../later/keep-shape.js';
import { readShape } from './shape.js';

const look = pageLook(makeLook({ facets: 'top', columns: 2 }));
const settings = {
  facets: [
    { key: 'place', visible: true, folded: false },
    { key: 'day', visible: true, folded: true },
    { key: 'fixed', visible: false, folded: false },
  ],
  look,
  card: [{ show: 'title', field: 'title', words: '' }],
} as unknown as Settings;
const answer = {
  pageSize: 24,
  facets: [
    { key: 'place', options: Array.from({ length: 20 }, () => ({})) },
    { key: 'day', buckets: [] },
  ],
} as unknown as Answer;

beforeEach(() => localStorage.clear());

test('a listing that comes again has the shape it had, drawn no longer than fits a screen', () => {
  keepShape('walks', settings, look.desktop, '.ivy-card {}', answer);
  const sheet = '.ivy-card {}';
  expect(readShape('walks')).toEqual({ look, sheet, hasFacets: true, cards: 12, hasPictures: false, lines: [8, 0] });
  expect(readShape('talks').look.desktop).toMatchObject({ facets: 'side', columns: 3 });
});

test('without facets that are seen there are none in its shape', () => {
  keepShape('walks', { ...settings, facets: settings.facets.slice(2) }, look.desktop, undefined, answer);
  expect(readShape('walks')).toMatchObject({ hasFacets: false, lines: [] });
});

test('what was kept wrongly, or can’t be, is as if it had never been here', () => {
  localStorage.setItem('ivy-lens-shape:walks', '{"lines":');
  expect(readShape('walks')).toMatchObject({ cards: 6 });
  localStorage.setItem('ivy-lens-shape:walks', '{"cards":900}');
  expect(readShape('walks')).toMatchObject({ cards: 6 });
});
