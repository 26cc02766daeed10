import type { Mark } from '@ivy/core';
import { markCounts } from './mark-counts.js';

const page = `<ul class="list"><li><b>a</b><time>1</time></li><li><b>b</b></li></ul><script>document.body.remove()</script>`;
const counts = (...marks: Mark[]) => markCounts(page, [{ at: '.list > li', in: 'page', says: { item: '' } }, ...marks]);
const field = (at: string): Mark => ({ at, in: 'item', says: { field: 'x' } });

test('elements on the page, and items that have one; a page runs nothing', () => {
  expect(counts({ at: '.list', in: 'page', says: { list: '' } }, field('b'), field('time'), field(':scope'))).toEqual([
    2, 1, 2, 1, 2,
  ]);
});

test('what is gone, and what is no selector, is found nowhere', () => {
  expect(counts(field('em'), field('li >'), { at: '[[', in: 'page', says: { for: '' } })).toEqual([2, 0, 0, 0]);
  expect(markCounts('', [field('b')])).toEqual([0]);
});
