import { helpPages } from './help-pages.js';

test('every page of the help is short, and found by words of its own', () => {
  const ids = helpPages.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const { steps, words, title, shows } of helpPages) {
    expect(steps.length).toBeGreaterThan(2);
    expect(steps.join(' ').split(/\s+/).length).toBeLessThan(140);
    expect(words.split(' ').some((word) => !title.toLowerCase().includes(word))).toBe(true);
    expect(shows).not.toBe('');
  }
});
