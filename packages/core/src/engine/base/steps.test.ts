import { finished, inParts } from './steps.js';

test.each([
  [0, []],
  [
    5,
    [
      [0, 2],
      [2, 4],
      [4, 5],
    ],
  ],
  [
    4,
    [
      [0, 2],
      [2, 4],
    ],
  ],
])('%i things in parts of two', (size, expected) => {
  const parts: [number, number][] = [];
  const steps = inParts(size, 2, (from, to) => parts.push([from, to]));
  expect(parts).toEqual([]);
  finished(steps);
  expect(parts).toEqual(expected);
});

test('nothing is done between steps, and what the last gives is given', () => {
  const done: number[] = [];
  const steps = (function* () {
    yield* inParts(3, 1, (from) => done.push(from));
    return 'all';
  })();
  steps.next();
  expect(done).toEqual([0]);
  expect(finished(steps)).toBe('all');
  expect(done).toEqual([0, 1, 2]);
});
