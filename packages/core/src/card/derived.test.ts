import { minutesOf, beginningOf } from './derived.js';

test('a text takes a minute at least, and one more for every 230 words', () => {
  expect(minutesOf('Terns over the bar')).toBe(1);
  expect(minutesOf('tern '.repeat(230 * 4))).toBe(4);
  expect(minutesOf('— … !')).toBe(1);
});

test('scripts without spaces are counted by their characters', () => {
  expect(minutesOf('潮'.repeat(2 * 230 * 3))).toBe(3);
});

test('the beginning of a text is some longer than what is shown of it', () => {
  expect(beginningOf('x'.repeat(5000), 140)).toHaveLength(220);
  expect(beginningOf('x'.repeat(5000), 0)).toHaveLength(1080);
  expect(beginningOf('short', 140)).toBe('short');
});
