import { Pager, showChips, showClears, showGroups, showItems } from './draw.js';

const element = <E extends HTMLElement>(selector: string) => document.querySelector<E>(selector)!;
const all = (selector: string) => [...document.querySelectorAll<HTMLElement>(selector)];

test('items keep their places among headings while their order does, and are not touched', () => {
  document.body.innerHTML = '<section><h2>A</h2><p id="a"></p><p id="b"></p><h2>B</h2><p id="c"></p></section>';
  const items = all('p');
  const moved = jest.spyOn(Element.prototype, 'before');
  showItems(items, [items[0]!, items[2]!]);
  expect([moved.mock.calls.length, items.map(({ hidden }) => hidden)]).toEqual([0, [false, true, false]]);
  moved.mockRestore();
  expect(all('section > *').map(({ tagName }) => tagName)).toEqual(['H2', 'P', 'P', 'H2', 'P']);
});

test('in another order they take one another’s places, between the headings, and go back', () => {
  document.body.innerHTML = '<section><h2>A</h2><p id="a"></p><p id="b"></p><h2>B</h2><p id="c"></p></section>';
  const items = all('p');
  showItems(items, [...items].reverse());
  expect(all('section > *').map(({ id, tagName }) => id || tagName)).toEqual(['H2', 'c', 'b', 'H2', 'a']);
  showItems(items, items);
  expect(all('section > *').map(({ id, tagName }) => id || tagName)).toEqual(['H2', 'a', 'b', 'H2', 'c']);
});

test('in another order they are moved, each within what it stood in', () => {
  document.body.innerHTML = '<div><p id="a"></p><p id="b"></p></div><div><p id="c"></p><p id="d"></p></div>';
  const [a, b, c, d] = all('p') as [HTMLElement, HTMLElement, HTMLElement, HTMLElement];
  showItems([a, b, c, d], [d, b, a]);
  expect(all('div').map((one) => [...one.children].map(({ id }) => id).join(''))).toEqual(['ba', 'cd']);
  expect(all('p:not([hidden])').map(({ id }) => id)).toEqual(['b', 'a', 'd']);
});

test('chips are drawn by the page’s template; text is text, and the focus goes on to the next', () => {
  document.body.innerHTML =
    '<ul data-ivy-chips="l"><template><li><b data-ivy-text></b><button data-ivy-remove>x</button></li></template></ul>';
  const removed: string[] = [];
  const chip = (words: string) => ({ words, remove: () => removed.push(words) });
  showChips('l', [chip('<i>Mud</i>'), chip('Reed')]);
  expect(all('[data-ivy-text]').map(({ textContent }) => textContent)).toEqual(['<i>Mud</i>', 'Reed']);
  expect(element('li i')).toBeNull();
  element('button').focus();
  element('button').click();
  showChips('l', [chip('Reed')]);
  expect([removed, document.activeElement === element('button')]).toEqual([['<i>Mud</i>'], true]);
  showChips('l', []);
  expect([all('li').length, element('ul').hidden, element('template')]).toEqual([0, true, expect.anything()]);
});

test('a page without a template has no chips', () => {
  document.body.innerHTML = '<ul data-ivy-chips="l"><li>kept</li></ul>';
  showChips('l', [{ words: 'Mud', remove: () => {} }]);
  expect(element('ul').textContent).toBe('kept');
});

describe('the pager of the page', () => {
  const went: number[] = [];
  beforeEach(() => {
    went.length = 0;
    document.body.innerHTML =
      '<nav><a rel="prev" href="?p=1"><b>Back</b></a> <a class="p" href="?p=2">2</a> <a rel="next" href="?p=3">On</a></nav>';
    const pager = new Pager(element('nav'));
    pager.draw(
      2,
      3,
      (page) => `?page=${page}`,
      (page) => went.push(page),
    );
  });

  test('is drawn as it was, with links that are addresses', () => {
    expect(
      all('nav a').map((one) => [one.textContent, one.getAttribute('href'), one.className, one.getAttribute('rel')]),
    ).toEqual([
      ['Back', '?page=1', 'p', 'prev'],
      ['1', '?page=1', 'p', null],
      ['2', '?page=2', 'p', null],
      ['3', '?page=3', 'p', null],
      ['On', '?page=3', 'p', 'next'],
    ]);
    expect(all('nav [aria-current=page]').map(({ textContent }) => textContent)).toEqual(['2']);
  });

  test('is followed here, but for presses that open beside', () => {
    const press = (init: MouseEventInit) => {
      const event = new MouseEvent('click', { bubbles: true, cancelable: true, ...init });
      // a browser of these tests goes nowhere
      document.body.addEventListener('click', (one) => one.preventDefault(), { once: true });
      all('nav a')[4]!.dispatchEvent(event);
    };
    press({});
    press({ ctrlKey: true });
    press({ metaKey: true });
    press({ button: 1 });
    expect(went).toEqual([3]);
  });
});

test('what clears is there while there is something to clear, and the focus is not lost with it', () => {
  document.body.innerHTML =
    '<form><input name="q"><button type="reset">x</button><button data-ivy-clear="kind">y</button></form>';
  const forms = [element('form')];
  showClears(forms, (control) => control === '');
  expect([element('[type=reset]').hidden, element('[data-ivy-clear]').hidden]).toEqual([false, true]);
  element('[type=reset]').focus();
  showClears(forms, () => false);
  expect([element('[type=reset]').hidden, document.activeElement]).toEqual([true, element('input')]);
});

test('a group is there while one of its items is; the rest of the page is left alone', () => {
  document.body.innerHTML = `<ul data-ivy-list="l"><li data-ivy-group><h3>a</h3><p data-ivy-item></p></li><li data-ivy-group><h3>b</h3><p data-ivy-item></p><p data-ivy-item></p></li></ul>`;
  const items = [...document.querySelectorAll<HTMLElement>('[data-ivy-item]')];
  const seen = () => [...document.querySelectorAll<HTMLElement>('[data-ivy-group]')].map((one) => !one.hidden);
  items[0]!.hidden = true;
  items[1]!.hidden = true;
  showGroups('l', items);
  expect(seen()).toEqual([false, true]);
  items[0]!.hidden = false;
  items[2]!.hidden = true;
  showGroups('l', items);
  expect(seen()).toEqual([true, false]);
});
