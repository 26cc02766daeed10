import { cutText } from './cut.js';

test('a text is cut between words, and says that it goes on', () => {
  expect(cutText('Terns over the bar, before breakfast', 20)).toBe('Terns over the bar…');
  expect(cutText('Terns over', 20)).toBe('Terns over');
  expect(cutText('Terns over the bar', 0)).toBe('Terns over the bar');
  expect(cutText('Terns over the bar', 10)).toBe('Terns over…');
});

test('where words are not parted it is cut anywhere, but never within a character', () => {
  expect(cutText('干潟のシギとチドリを数える', 6)).toBe('干潟のシギと…');
  expect(cutText('🐦🐦🐦🐦', 3)).toBe('🐦…');
});
