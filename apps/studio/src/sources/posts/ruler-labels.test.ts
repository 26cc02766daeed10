import { rulerLabels } from './ruler-labels.js';

const years = (...places: number[]) => places.map((place, i) => ({ place, words: String(2026 - i) }));

test('marks far enough apart are written out', () => {
  const { labels, ticks } = rulerLabels(years(0, 50, 80), 100, 400);
  expect([labels.map(({ words }) => words), ticks]).toEqual([['2026', '2025', '2024'], []]);
});

test('marks that stand close are ticks, and closer ones nothing', () => {
  const { labels, ticks } = rulerLabels(years(0, 1, 2, 3, 50), 100, 400);
  expect(labels.map(({ place }) => place)).toEqual([0, 50]);
  expect(ticks).toEqual([1, 2, 3]);
  expect(rulerLabels(years(0, 1, 2, 3), 1000, 400).ticks).toEqual([]);
});

test('where an order has no marks, places are told in round numbers', () => {
  const { labels } = rulerLabels([], 100_000, 600);
  expect(labels.map(({ words }) => words)).toEqual(
    Array.from({ length: 10 }, (_, i) => (i + 1).toString() + '0,000').map((words) => words),
  );
  expect(rulerLabels([], 7, 600).labels.map(({ place }) => place)).toEqual([0, 1, 2, 3, 4, 5, 6]);
});
