import { listsAround, listsOn } from './alike.js';

const page = (html: string) => new DOMParser().parseFromString(html, 'text/html');
const around = (html: string, selector: string) => listsAround(page(html).querySelector(selector)!)[0];
const cards = (n: number) =>
  Array.from(
    { length: n },
    (_, i) => `<li class="card${i === 0 ? ' first' : ''}"><a href="#">${i}</a><time>x</time></li>`,
  ).join('');

test.each([
  ['a list', `<ul class="posts">${cards(4)}</ul>`, 'time', '.posts > li.card', 4],
  [
    'rows of a table',
    '<table><thead><tr><th>A</th></tr></thead><tbody><tr><td>a</td><td>b</td></tr><tr><td>c</td><td>d</td></tr></tbody></table>',
    'td',
    'tbody > tr',
    2,
  ],
  [
    'cards among other things',
    '<main><h2>x</h2><article><a href="#">a</a></article><aside></aside><article><a href="#">b</a></article></main>',
    'a',
    'main > article',
    2,
  ],
  [
    'cards in columns',
    `<div class="row"><div class="col"><p class="card"><a href="#">a</a></p></div><div class="col"><p class="card"><a href="#">b</a></p></div><div class="col"><p class="card"><a href="#">c</a></p></div></div>`,
    'a',
    '.row > div.col',
    3,
  ],
  [
    'rows of cards',
    `<section><div class="row">${cards(2)}</div><div class="row">${cards(3)}</div></section>`,
    'time',
    'section > div.row > li.card',
    5,
  ],
  [
    'a list with lists in its items',
    '<ul class="o"><li><a href="#">a</a><ul><li>x</li><li>y</li></ul></li><li><a href="#">b</a><ul><li>z</li></ul></li><li><a href="#">c</a></li></ul>',
    'ul ul li',
    '.o > li',
    3,
  ],
])('%s: a press anywhere in one finds all like it', (_what, html, pressed, item, n) => {
  const alike = around(html, pressed)!;
  expect([alike.at.item, alike.items.length]).toEqual([item, n]);
  expect([...alike.list.ownerDocument.querySelectorAll(alike.at.item)]).toEqual(alike.items);
});

test('what is there once is in no list', () => {
  expect(listsAround(page('<main><h1>a</h1><p>b</p></main>').querySelector('h1')!)).toEqual([]);
});

test('of the lists of a page the one with posts comes first, and forms do not', () => {
  const html = `<nav><a href="#">1</a><a href="#">2</a><a href="#">3</a></nav><form><label><input></label><label><input></label><label><input></label></form><ul class="posts">${cards(6)}</ul>`;
  expect(listsOn(page(html))[0]!.at.item).toBe('.posts > li.card');
  expect(listsOn(page('<p>x</p>'))).toEqual([]);
});
