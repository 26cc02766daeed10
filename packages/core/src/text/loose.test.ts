import { loose, meant } from './loose.js';

test('case, accents, spaces and signs make no other name', () => {
  expect(['Salt marsh', 'saltmarsh', 'SALT-MARSH', 'Sált_marsh'].map(loose)).toEqual(Array(4).fill('saltmarsh'));
  expect(loose('潮 間')).toBe('潮間');
});

test('a name means itself first, then what is written differently alone', () => {
  expect(meant('Kind', ['kind', 'Kind'])).toBe('Kind');
  expect(meant('habitat[]', ['title', 'Habitat'])).toBe('Habitat');
  expect(meant('habitats', ['habitat'])).toBeNull();
  expect(meant('', [])).toBeNull();
});
