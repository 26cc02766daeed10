import type { Facet, Mark } from '@ivy/core';
import { fieldOf } from '../../test/field-of.js';
import { lensOf } from '../../test/lens-of.js';
import { configOf, postsOf, type Mapped } from './keep.js';
import { readPages } from './read-pages.js';

const html = `<form><label><input type="checkbox" name="kind" value="Works"></label></form>
  <ul class="l"><li><a href="n/1">A</a> <b>Works</b></li><li><b>Call</b></li></ul>`;
const marks = (more: Record<string, string> = {}): Mark[] => [
  { at: '.l', in: 'page', says: { list: '' } },
  { at: '.l > li', in: 'page', says: { item: '' } },
  { at: 'b', in: 'item', says: { field: 'kind' } },
  { at: 'form', in: 'page', says: { for: '', reads: 'kind', ...more } },
];
const page = { address: 'https://w.example/news/', html };
const mapped = (all = marks()): Mapped => ({
  page,
  marks: all,
  reading: readPages([page], all),
  labels: new Map([['kind', 'Kind']]),
});
const fields = [fieldOf('kind', 'terms')];
const facetsOf = (config: object) =>
  (config as { facets: Facet[] }).facets.map(({ key, label, aliases }) => [key, label, aliases]);

test('a control becomes a facet, called as the page calls it; what the source has no field for does not', () => {
  expect(facetsOf(configOf(lensOf({}), fields, mapped(), true))).toEqual([['kind', 'Kind', []]]);
  expect(facetsOf(configOf(lensOf({}), [], mapped(), true))).toEqual([]);
});

test('facets that are there stay; one whose control is called otherwise keeps the name it had', () => {
  const lens = lensOf({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Mine' }] });
  expect(facetsOf(configOf(lens, fields, mapped(), false))).toEqual([['kind', 'Mine', []]]);
  const renamed = mapped(marks({ as: 'art', was: 'kind' }));
  expect(facetsOf(configOf(lens, fields, renamed, false))).toEqual([['art', 'Mine', ['kind']]]);
});

test('posts lead where their items do, whole', () => {
  expect(postsOf(mapped().reading, page.address)).toEqual([
    { kind: 'Works', link: 'https://w.example/news/n/1' },
    { kind: 'Call' },
  ]);
});
