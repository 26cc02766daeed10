import { checkLens, type Mark } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { listsAround } from './found/alike.js';
import * as edits from './marks.js';
import { controlsOn } from './found/page-controls.js';

const page = new DOMParser().parseFromString(
  `<form><fieldset><legend>Habitat</legend><label><input type="checkbox" name="at[]" value="Mud"></label><label><input type="checkbox" name="at[]" value="Reed"></label></fieldset>
   <input type="date" name="from"><input type="date" name="to"><input type="search" placeholder="Find">
   <select id="order"><option value="">–</option><option value="new">Newest first</option><option value="x">Odd</option><option value="a">A to Z</option></select></form>
   <ul class="posts"><li><a href="#">a</a></li><li><a href="#">b</a></li></ul>`,
  'text/html',
);
const [ticks, days, search, sort] = controlsOn(page, null);
const fields = [
  { key: 'day', type: 'date' },
  { key: 'title', type: 'text' },
];
const alike = listsAround(page.querySelector('a')!)[0]!;
const started = edits.setList([], alike);
const says = (marks: readonly Mark[]) => marks.map((mark) => [mark.at, mark.says]);

test('the list and its items come first, whatever was marked before', () => {
  const marks = edits.addField(started, { key: 'title', at: 'a', from: null, split: ',', filled: 2, samples: [] });
  expect(says(edits.setList(marks, alike))).toEqual([
    ['.posts', { list: '' }],
    ['.posts > li', { item: '' }],
    ['a', { field: 'title', split: ',' }],
  ]);
});

test('a control is told what it reads, and what an address calls it where it has no name for that', () => {
  expect(says(edits.addControl([], ticks!, 'habitat'))).toEqual([
    ['fieldset', { for: '', reads: 'habitat', as: 'at' }],
  ]);
  expect(edits.addControl([], search!, null).map((mark) => mark.says)).toEqual([{ for: '', search: '', as: 'q' }]);
  expect(says(edits.addControl([], days!, 'day'))).toEqual([
    ['input[name="from"], input[name="to"]', { for: '', reads: 'day', as: 'day' }],
    ['input[name="from"]', { end: 'from' }],
    ['input[name="to"]', { end: 'to' }],
  ]);
});

test('what orders mean is read from their words, as far as that goes', () => {
  expect(says(edits.addControl([], sort!, null, fields))).toEqual([
    ['#order', { for: '', sort: '' }],
    ['#order option[value="new"]', { order: 'day:desc' }],
    ['#order option[value="a"]', { order: 'title:asc' }],
  ]);
});

test('a field that is renamed is renamed wherever it is named', () => {
  let marks = edits.addField(started, { key: 'day', at: 'time', from: null, split: null, filled: 2, samples: [] });
  marks = edits.addControl(marks, days!, 'day');
  marks = edits.addControl(marks, sort!, null, fields);
  marks = edits.changeMark(
    edits.addControl(marks, search!, 'day'),
    edits.idOf(edits.addControl([], search!, null)[0]!),
    { search: 'day title' },
  );
  const text = JSON.stringify(edits.renameField(marks, 'day', 'on'));
  expect(text).toContain('"field":"on"');
  expect(text).toContain('"reads":"on"');
  expect(text).toContain('"order":"on:desc"');
  expect(text).toContain('"search":"on title"');
});

test('with a control goes what stands in it, and nothing else', () => {
  const marks = [days!, sort!, ticks!].reduce<Mark[]>((all, one) => edits.addControl(all, one, 'day', fields), []);
  const without = edits.removeMark(marks, `page ${days!.at}`);
  expect(says(without).map(([at]) => at)).toEqual([
    '#order',
    '#order option[value="new"]',
    '#order option[value="a"]',
    'fieldset',
  ]);
  expect(edits.removeMark(without, 'page gone')).toEqual(without);
});

test('a place is one thing at a time, and is written as by hand', () => {
  const marks = edits.addPlace(edits.addPlace([], 'count', 'b'), 'total', 'b');
  expect(says(marks)).toEqual([['b', { total: '' }]]);
  expect(edits.writtenOf(marks[0]!, 'notices')).toBe('data-ivy-total="notices"');
  expect(edits.writtenOf({ at: 'x', in: 'page', says: { for: '', match: 'all', label: 'a "b"' } }, 'n')).toBe(
    'data-ivy-for="n" data-ivy-match="all" data-ivy-label="a &quot;b&quot;"',
  );
});

test('whatever is marked is what a lens may say', () => {
  const marks = [ticks!, days!, search!, sort!].reduce<Mark[]>(
    (all, one) => edits.addControl(all, one, 'day', fields),
    started,
  );
  const changed = edits.changeMark(marks, 'page fieldset', {
    reads: undefined,
    facet: 'day',
    kind: 'radios',
    label: 'x',
    match: 'all',
  });
  expect(checkLens(lensOf({ markup: { marks: edits.addPlace(changed, 'pager', 'nav') } }), [])).toEqual([]);
  expect(marks.map(edits.roleOf)).toEqual([
    'list',
    'item',
    'control',
    'control',
    'detail',
    'detail',
    'control',
    'control',
    'detail',
    'detail',
  ]);
});
