import { repeated, skippedLevel } from './page-order.js';

test('what stands twice is told once, however often it stands', () => {
  expect(repeated(['a', 'b', 'a', 'c', 'a', 'b'])).toEqual(['a', 'b']);
  expect(repeated(['a', 'b'])).toEqual([]);
});

test('a level that is left out is told with the one before; going up leaves none out', () => {
  expect(skippedLevel([1, 2, 3, 2, 4])).toEqual([2, 4]);
  expect(skippedLevel([3, 1, 2])).toBeNull();
  expect(skippedLevel([])).toBeNull();
});
