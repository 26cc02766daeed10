import type { Option } from '@ivy/core';
import { withTheirBranch } from './options.js';

const option = (value: string, label: string, parent: string | null = null): Option => {
  return { value, label, count: 1, selected: false, partly: false, parent, depth: parent === null ? 0 : 1 };
};
const options = [
  option('shore', 'Shore'),
  option('mudflat', 'Mudflat', 'shore'),
  option('muehle', 'Mühle', 'shore'),
  option('upland', 'Upland'),
  option('meadow', 'Hay meadow', 'upland'),
];
const values = (text: string) => withTheirBranch(options, text).map((one) => one.value);

test('what is found stands under those above it', () => {
  expect(values('mud')).toEqual(['shore', 'mudflat']);
  expect(values('ow')).toEqual(['upland', 'meadow']);
  expect(values('shore')).toEqual(['shore']);
  expect(values('zzz')).toEqual([]);
});

test('letters with marks are found without them', () => {
  expect(values('muhle')).toEqual(['shore', 'muehle']);
});

test('of very many no more are drawn than one would read', () => {
  const many = Array.from({ length: 500 }, (_, i) => option(`t${i}`, `Term ${i}`));
  expect(withTheirBranch(many, 'term')).toHaveLength(100);
});
