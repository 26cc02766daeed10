import type { SourceSummary } from '@ivy/client';
import { alikeOf } from './alike.js';

const source = (slug: string, keys: string, fieldCount = keys.split(' ').length) =>
  ({ slug, fieldCount, fields: keys.split(' ').map((key) => ({ key })) }) as unknown as SourceSummary;
const programme = source('programme', 'no title theme place tags day price about');
const others = [source('birds', 'no name family wingspan'), source('shop', 'sku title price stock about')];

test.each([
  ['the same fields in another order, and one more', 'title no day theme place tags price about language', 'programme'],
  ['one field less', 'no title theme place tags day price', 'programme'],
  ['half of them', 'no title theme place other more still another', null],
  ['few in common, though nearly all there are', 'no title theme', null],
  ['fields of nobody', 'a b c d e f', null],
])('%s', (_what, keys, slug) => {
  expect(alikeOf(keys.split(' '), [...others, programme])?.slug ?? null).toBe(slug);
});

test('of several the one that has the most of its fields and the fewest others', () => {
  const wider = source('wider', 'no title theme place tags day price about language room');
  expect(alikeOf('no title theme place tags day price about'.split(' '), [wider, programme])).toBe(programme);
});

test('of a source with more fields than a list tells, those it tells are looked for', () => {
  const wide = source('wide', 'a b c d e f', 40);
  const file = [...'abcdefghijklmnopqrst'];
  expect(alikeOf(file, [wide])).toBe(wide);
  expect(alikeOf(file, [source('narrow', 'a b c d e f')])).toBeNull();
});
