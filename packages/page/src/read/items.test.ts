import { itemsIn, readItems, valuesOf } from './items.js';
import { Notes } from '../notes.js';

const told: string[] = [];
beforeEach(() => {
  told.length = 0;
  jest.spyOn(console, 'warn').mockImplementation((words: string) => void told.push(words));
});
afterEach(() => jest.restoreAllMocks());

function read(html: string) {
  document.body.innerHTML = html;
  return readItems(itemsIn(document.querySelector('[data-ivy-list]')!), new Notes('l'));
}
const holder = (html: string): HTMLElement => {
  document.body.innerHTML = html;
  return document.body.firstElementChild as HTMLElement;
};

test.each([
  ['<b>  two   words\n </b>', ['two words']],
  ['<time datetime="2026-05-04">4 May</time>', ['2026-05-04']],
  ['<time>2026-05-04</time>', ['2026-05-04']],
  ['<data value="12">a dozen</data>', ['12']],
  ['<meta content="x">', ['x']],
  ['<img src="/a.jpg" alt="A tern">', ['/a.jpg']],
  ['<img src="/a.jpg" alt="A tern" data-ivy-from="alt">', ['A tern']],
  ['<a href="/n/1" data-ivy-from="href">one</a>', ['/n/1']],
  ['<a data-ivy-from="href">one</a>', []],
  ['<b data-ivy-split=",">a, b,, c</b>', ['a', 'b', 'c']],
  ['<b data-ivy-split=" · ">a · b</b>', ['a', 'b']],
  ['<b></b>', []],
])('%s holds %j', (html, values) => {
  expect(valuesOf(holder(html))).toEqual(values);
});

test('items are what says so, or what is in the list; of a table its rows, heads left out', () => {
  expect(read('<ul data-ivy-list="l"><li></li><template></template><li></li></ul>').elements).toHaveLength(2);
  const marked = '<div data-ivy-list="l"><h2></h2><p><b data-ivy-item></b><b data-ivy-item></b></p></div>';
  expect(read(marked).elements.map(({ tagName }) => tagName)).toEqual(['B', 'B']);
  const table =
    '<table data-ivy-list="l"><thead><tr></tr></thead><tbody><tr></tr></tbody><tbody><tr></tr></tbody></table>';
  expect(read(table).elements).toHaveLength(2);
});

test('an item may hold a value itself, and has nothing of a list within it', () => {
  const { records } = read(`<ul data-ivy-list="l"><li data-ivy-field="kind" data-ivy-from="class" class="works">
    <b data-ivy-field="title">a</b><ul data-ivy-list="inner"><li><i data-ivy-field="title">not this</i></li></ul></li></ul>`);
  expect(records).toEqual([{ kind: 'works', title: 'a' }]);
});

test('two writings of a field are one, and told once; a type that is none is told', () => {
  const { records, types } = read(`<ul data-ivy-list="l">
    <li><b data-ivy-field="Kind" data-ivy-type="terms">a</b></li><li><b data-ivy-field="kind" data-ivy-type="word">b</b></li>
    <li><b data-ivy-field=" kind ">c</b><i data-ivy-field="when" data-ivy-type="day">d</i><u data-ivy-field="">e</u></li></ul>`);
  expect(records).toEqual([{ Kind: 'a' }, { Kind: 'b' }, { Kind: 'c', when: 'd' }]);
  expect([...types]).toEqual([['Kind', 'terms']]);
  expect(told).toHaveLength(2);
  expect(told[0]).toContain('a field is called “Kind” in one item and “kind” in another');
  expect(told[1]).toContain('“day” is no type of a field');
});

test('names that every object has are fields like others', () => {
  expect(read('<ul data-ivy-list="l"><li><b data-ivy-field="constructor">a</b></li></ul>').records[0]).toEqual({
    constructor: 'a',
  });
});
