import { hint, Notes } from './notes.js';

test('a thing is said once', () => {
  const said = jest.spyOn(console, 'warn').mockImplementation(() => {});
  const notes = new Notes('walks');
  for (const words of ['one', 'two', 'one']) notes.say(words);
  expect([notes.said, said.mock.calls.length]).toEqual([['one', 'two'], 2]);
  expect(said.mock.calls[0]![0]).toBe('Ivy Lens, list “walks”: one');
  said.mockRestore();
});

test.each([
  ['Lagon', ' Did you mean “Lagoon”?'],
  ['habitats', ' Did you mean “habitat”?'],
  ['hbaitat', ' Did you mean “habitat”?'],
  ['colour', ''],
  ['x', ''],
  ['', ''],
])('near %j is%s', (name, words) => {
  expect(hint(name, ['Lagoon', 'habitat', 'title'])).toBe(words);
});

test('of several the nearest is told', () => {
  expect(hint('mudflats', ['mudflap', 'mudflat'])).toContain('mudflat”');
});
