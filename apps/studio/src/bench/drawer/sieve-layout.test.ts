import type { Sieve } from '@ivy/core';
import { layOut } from './sieve-layout.js';

const sieve = (total: number, ...facets: [key: string, left: number, alone: number, without: number][]): Sieve => ({
  total,
  matched: facets.at(-1)?.[1] ?? total,
  facets: facets.map(([key, left, alone, without]) => ({ key, left, alone, without })),
});

test('every height is true to one scale, and every mesh takes over where the one before left', () => {
  const { meshes, start, end } = layOut(
    ['q', 'place', 'kind'],
    sieve(400, ['q', 200, 200, 80], ['kind', 50, 100, 200]),
    null,
    800,
    100,
  );
  expect(meshes.map(({ key, before, after }) => [key, before, after])).toEqual([
    ['q', 100, 50],
    ['kind', 50, 12.5],
  ]);
  expect(meshes[1]!.x).toBe(meshes[0]!.end);
  expect([start.height, end.height, end.x]).toEqual([100, 12.5, meshes[1]!.end]);
  expect(meshes[1]!.now).toEqual({ left: 50, fallen: 150, alone: 100, back: 150 });
});

test('what would be stands beside what is, and a facet that would be chosen has its mesh already', () => {
  const now = sieve(400, ['q', 200, 200, 400]);
  const then = sieve(400, ['q', 200, 200, 100], ['kind', 100, 100, 200]);
  const { meshes, end } = layOut(['q', 'place', 'kind'], now, then, 800, 100);
  expect(meshes.map(({ key, now: is, then: would }) => [key, is?.left ?? null, would?.left])).toEqual([
    ['q', 200, 200],
    ['kind', null, 100],
  ]);
  expect(meshes[1]).toMatchObject({ before: 50, after: 50, ghost: { before: 50, after: 25 } });
  expect([end.height, end.ghost]).toEqual([50, 25]);
});

test('few of very many are seen still, and none are not', () => {
  const few = layOut(['q'], sieve(100_000, ['q', 3, 3, 100_000]), null, 800, 100);
  expect(few.end.height).toBeGreaterThan(1);
  const none = layOut(['q'], sieve(100_000, ['q', 0, 0, 100_000]), null, 800, 100);
  expect(none.end.height).toBe(0);
  expect(layOut(['q'], sieve(0), null, 800, 100)).toMatchObject({ meshes: [], start: { height: 0 } });
});
