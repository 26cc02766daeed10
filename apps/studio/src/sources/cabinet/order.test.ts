import type { LensSummary, SourceSummary } from '@ivy/client';
import { drawersFound, shelvesOf, type Drawer } from './order.js';

const now = Date.parse('2026-06-20T12:00:00Z');
const drawer = (
  name: string,
  more: Partial<SourceSummary> = {},
  lenses: string[] = [],
  asked: string | null = null,
): Drawer => ({
  source: {
    ...{ slug: name.toLowerCase(), name, posts: 10, fieldCount: 1, findingCount: 0, fileName: `${name}.csv` },
    ...{ updatedAt: '2026-06-20T10:00:00Z', fields: [{ key: 'kind', label: 'Kind', type: 'terms', filled: 10 }] },
    ...{ live: null, ...more },
  },
  lenses: lenses.map((lens, i) => ({ name: lens, askedAt: i === 0 ? asked : null }) as LensSummary),
});
const all = [
  drawer('Tides', { posts: 26_000 }, ['Tide tables'], '2026-06-20T11:00:00Z'),
  drawer('Moths', { updatedAt: '2026-06-16T00:00:00Z', findingCount: 3 }),
  drawer('Boats', { updatedAt: '2025-01-01T00:00:00Z', posts: 400 }, ['On the water']),
];
const names = (drawers: readonly Drawer[]) => drawers.map(({ source }) => source.name);
const shelves = (by: Parameters<typeof shelvesOf>[1]) =>
  shelvesOf(all, by, now).map(({ heading, drawers }) => [heading, ...names(drawers)].join(' | '));

test('drawers stand under headings, by when they came, their names, sizes or findings', () => {
  expect(shelves('fresh')).toEqual(['within a day | Tides', 'this week | Moths', 'before | Boats']);
  expect(shelves('name')).toEqual(['B | Boats', 'M | Moths', 'T | Tides']);
  expect(shelves('size')).toEqual([
    '10,000 posts and more | Tides',
    'hundreds | Boats',
    'fewer than a hundred | Moths',
  ]);
  expect(shelves('asked')).toEqual(['within a day | Tides', 'never | Boats | Moths']);
  expect(shelves('findings')).toEqual(['want a look | Moths', 'nothing found | Boats | Tides']);
});

test('a source is found by its name, file, field or lens', () => {
  expect(names(drawersFound(all, 'MOTH', 'all'))).toEqual(['Moths']);
  expect(names(drawersFound(all, 'on the water', 'all'))).toEqual(['Boats']);
  expect(names(drawersFound(all, 'kind', 'all'))).toHaveLength(3);
  expect(names(drawersFound(all, '', 'findings'))).toEqual(['Moths']);
  expect(names(drawersFound(all, '', 'no-lens'))).toEqual(['Moths']);
  expect(names(drawersFound(all, 'zebra', 'all'))).toEqual([]);
});
