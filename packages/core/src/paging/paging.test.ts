import { firstStacked, pageSizeOf, pagingNames, sizesOf } from './paging.js';

const paging = { size: 12, sizes: [48, 24] };

test.each([
  ['pages', 12, 24],
  ['more', 12, 24],
  ['endless', 12, 24],
  ['all', 1000, 1000],
] as const)('%s has %i posts a page, or as many as a visitor chose', (mode, own, chosen) => {
  expect(pageSizeOf({ mode, ...paging }, null)).toBe(own);
  expect(pageSizeOf({ mode, ...paging }, 24)).toBe(chosen);
});

test('sizes to choose from hold the lens’s own, and none are offered where all is shown or none are given', () => {
  expect(sizesOf({ mode: 'pages', ...paging })).toEqual([12, 24, 48]);
  expect(sizesOf({ mode: 'all', ...paging })).toEqual([]);
  expect(sizesOf({ mode: 'more', size: 12, sizes: [] })).toEqual([]);
});

test('where pages stand below one another, all up to the one asked for are there', () => {
  expect(firstStacked({ mode: 'more', ...paging }, 3, 12)).toBe(1);
  expect(firstStacked({ mode: 'endless', ...paging }, 3, 12, 3)).toBe(3);
  expect(firstStacked({ mode: 'pages', ...paging }, 3, 12)).toBe(3);
});

test('no more posts stand on a page than it may hold', () => {
  expect(firstStacked({ mode: 'more', ...paging }, 500, 12)).toBe(500 - 83 + 1);
  for (const mode of pagingNames) {
    const size = pageSizeOf({ mode, ...paging }, null);
    expect((500 - firstStacked({ mode, ...paging }, 500, size) + 1) * size).toBeLessThanOrEqual(1000);
  }
});
