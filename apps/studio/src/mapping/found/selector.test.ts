import { isLike, selectorInItems, selectorOf } from './selector.js';

function page(html: string): Document {
  return new DOMParser().parseFromString(html, 'text/html');
}
const at = (document: Document, selector: string) => document.querySelector(selector)!;

test.each([
  ['<main><ul id="posts"><li></li></ul><ul></ul></main>', '#posts', '#posts'],
  ['<ul class="list"></ul><ul></ul>', '.list', '.list'],
  // what changes from load to load is no way to find something again
  ['<ul id="list-84512"></ul><ul></ul>', 'ul', 'body > ul:nth-of-type(1)'],
  ['<ul class="is-open"></ul><ul></ul>', 'ul', 'body > ul:nth-of-type(1)'],
  ['<input name="q"><input name="r">', '[name=q]', 'input[name="q"]'],
  ['<div class="a"><p></p><p></p></div><div><p></p></div>', '.a p:nth-of-type(2)', '.a > p:nth-of-type(2)'],
  // names of sizes and states say nothing of what something is
  ['<div class="md:flex"></div><div></div>', 'div', 'body > div:nth-of-type(1)'],
])('%s: %s is %s', (html, element, selector) => {
  const document = page(html);
  expect(selectorOf(at(document, element), document)).toBe(selector);
  expect([...document.querySelectorAll(selector)]).toEqual([at(document, element)]);
});

test('any element of a page is found by its selector alone', () => {
  const document = page(
    '<header><a>1</a><a>2</a></header><main class="x"><ul><li><b>1</b></li><li><b>2</b><b class="y">3</b></li></ul><p>a</p><p>b</p></main>',
  );
  for (const element of document.body.querySelectorAll('*')) {
    expect([...document.querySelectorAll(selectorOf(element, document))]).toEqual([element]);
  }
});

describe('in items', () => {
  const items = (html: string) => [...page(`<ul>${html}</ul>`).querySelectorAll('li')];
  const inItems = (html: string, selector: string) => {
    const all = items(html);
    return selectorInItems(all[0]!.querySelector(selector)!, all[0]!, all);
  };

  test('what something is called finds it in all of them', () => {
    const html = '<li><b class="place x123456">a</b><b>b</b></li><li><b>c</b><b class="place">d</b></li>';
    expect(inItems(html, '.place')).toBe('.place');
    expect(inItems('<li><time></time></li><li><time></time></li>', 'time')).toBe('time');
    expect(inItems('<li><i itemprop="author">a</i></li>', 'i')).toBe('[itemprop="author"]');
  });

  test('several of one make are several values', () => {
    expect(inItems('<li><ul><b class="tag">a</b><b class="tag">b</b></ul></li>', '.tag')).toBe('.tag');
  });

  test('cells go by their place', () => {
    const document = page('<table><tr><td>a</td><td>b</td></tr><tr><td>c</td><td>d</td></tr></table>');
    const rows = [...document.querySelectorAll('tr')];
    const selector = selectorInItems(rows[0]!.cells[1]!, rows[0]!, rows);
    expect(rows.map((row) => row.querySelector(selector)!.textContent)).toEqual(['b', 'd']);
  });

  test('the item itself', () => {
    const all = items('<li></li>');
    expect(selectorInItems(all[0]!, all[0]!, all)).toBe(':scope');
  });
});

test('likeness is of tags, and of classes that say what something is', () => {
  const document = page('<b class="tag is-on"></b><b class="tag"></b><b class="other"></b><i class="tag"></i>');
  const [a, b, c] = document.querySelectorAll('b');
  expect([isLike(a!, b!), isLike(a!, c!), isLike(a!, at(document, 'i'))]).toEqual([true, false, false]);
});
