import { fieldOf, proposeFields, separatorOf } from './propose-fields.js';

const items = (html: string, selector = 'li') => [
  ...new DOMParser().parseFromString(html, 'text/html').querySelectorAll(selector),
];
const list = (...all: string[]) => items(`<ul>${all.map((one) => `<li>${one}</li>`).join('')}</ul>`);
const keys = (all: Element[]) => proposeFields(all).map(({ key, from, filled }) => [key, from, filled]);

test('texts, days and pictures are called by what the page calls them', () => {
  const card =
    '<img src="a.png"><h3><a href="#">A</a></h3><time datetime="2026-05-01">x</time><p class="card__place">P</p><b itemprop="author">C</b><p>some words</p>';
  expect(keys(list(card, card, card))).toEqual([
    ['picture', 'src', 3],
    ['title', null, 3],
    ['date', null, 3],
    ['place', null, 3],
    ['author', null, 3],
    ['text', null, 3],
  ]);
});

test('cells are called by the head of their column, and descriptions by their term', () => {
  const rows = items(
    '<table><thead><tr><th>When</th><th>Where is it?</th></tr></thead><tbody><tr><td>1</td><td>a</td></tr></tbody></table>',
    'tbody tr',
  );
  expect(keys(rows).map(([key]) => key)).toEqual(['when', 'where-is-it']);
  expect(keys(list('<dl><dt>Kind</dt><dd>Works</dd></dl>')).map(([key]) => key)).toContain('kind');
});

test('what few items have, what is a button and what is marked already is no proposal', () => {
  const all = Array.from(
    { length: 40 },
    (_, i) => `<b class="a">x${i}</b><button>Save</button>${i === 0 ? '<i class="odd">y</i>' : ''}`,
  );
  expect(keys(list(...all)).map(([key]) => key)).toHaveLength(1);
  const linked = list('<h3 class="title"><a href="#">A</a></h3>');
  expect(proposeFields(linked, [{ at: '.title', key: 'title' }])).toEqual([]);
});

test('two of one name have two', () => {
  expect(keys(list('<p>a</p><p>b</p>')).map(([key]) => key)).toEqual(['text', 'text-2']);
  const [item] = list('<b class="place">x</b>');
  expect(fieldOf(item!.querySelector('b')!, item!, [item!], ['place'])!.key).toBe('place-2');
});

test.each([
  [[['Mud, Reed'], ['Reed, Mud'], ['Mud']], ','],
  [[['a | b'], ['b | c'], ['c | a']], '|'],
  // a comma within sentences parts nothing
  [[['Gone, for good'], ['Here, again'], ['x']], null],
  [[['Mud, Reed'], ['Reed']], null],
  [[['Mud, Reed'], ['Reed, Mud', 'x']], null],
])('%#: values are parted where their parts come again', (values, sign) => {
  expect(separatorOf(values)).toBe(sign);
});
