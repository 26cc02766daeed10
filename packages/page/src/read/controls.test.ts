import { Page } from '../../test/page.js';
import { choicesOf, controlsOf, isChosen, setChosen } from './controls.js';

function groups(html: string) {
  document.body.innerHTML = html;
  return controlsOf('l').groups.map(({ name, reads, does, match, single, controls }) => [
    name,
    reads,
    does,
    match,
    single,
    controls.length,
  ]);
}

test.each([
  [
    '<input type="checkbox" name="a" value="1"><input type="checkbox" name="a" value="2">',
    ['a', ['a'], 'choose', 'any', false, 2],
  ],
  [
    '<fieldset data-ivy-match="all"><input type="checkbox" name="a"></fieldset>',
    ['a', ['a'], 'choose', 'all', false, 1],
  ],
  ['<input type="radio" name="a" value="1">', ['a', ['a'], 'choose', 'any', true, 1]],
  ['<select name="a"><option>x</option></select>', ['a', ['a'], 'choose', 'any', true, 1]],
  ['<select name="a" multiple><option>x</option></select>', ['a', ['a'], 'choose', 'any', false, 1]],
  ['<input type="search" name="q">', ['q', [], 'search', 'any', false, 1]],
  ['<input name="q" data-ivy-search="title  place">', ['q', ['title', 'place'], 'search', 'any', false, 1]],
  [
    '<input type="date" name="a" data-ivy-end="from"><input type="date" name="a" data-ivy-end="to">',
    ['a', ['a'], 'range', 'any', false, 2],
  ],
  ['<input type="number" name="a" data-ivy-reads="minutes">', ['a', ['minutes'], 'range', 'any', false, 1]],
  [
    '<div data-ivy-reads="kind"><button type="button" name="a" value="x">X</button></div>',
    ['a', ['kind'], 'choose', 'any', false, 1],
  ],
])('%s is understood', (html, group) => {
  expect(groups(`<form data-ivy-for="l">${html}</form>`)).toEqual([group]);
  // the same around controls that are in no form
  expect(groups(`<div data-ivy-for="l">${html}</div>`)).toEqual([group]);
});

test('what is no control of a list is passed over, and a sort is none', () => {
  expect(
    groups(`<form data-ivy-for="l"><input type="hidden" name="a"><input type="submit" name="b"><input name=""><input type="file" name="c">
      <button name="d">Go</button><button type="button">x</button><select name="s" data-ivy-sort></select></form>
      <form data-ivy-for="other"><input type="checkbox" name="e"></form>`),
  ).toEqual([]);
  expect(controlsOf('l').sort?.name).toBe('s');
});

test('several forms drive one list, and a control may stand outside of its form', () => {
  const outside =
    '<form data-ivy-for="l" id="f"></form><input type="checkbox" name="a" form="f"><div data-ivy-for="l"><input type="radio" name="b"></div>';
  expect(groups(outside).map(([name]) => name)).toEqual(['a', 'b']);
});

test('a choice is called by its label, and by its value where it says one', () => {
  document.body.innerHTML = `<form data-ivy-for="l"><label><input type="checkbox" name="a"> Salt <b>marsh</b> <i data-ivy-number>12</i></label>
    <input type="checkbox" name="a" value="mud" id="m"><label for="m">Mudflat</label><input type="checkbox" name="a" value="">
    <select name="s"><option value="">All</option><option value="w"> Works </option></select></form>`;
  const [a, s] = controlsOf('l').groups;
  expect(choicesOf(a!).map(({ value, words }) => [value, words])).toEqual([
    ['Salt marsh', 'Salt marsh'],
    ['mud', 'Mudflat'],
  ]);
  expect(choicesOf(s!).map(({ value, words }) => [value, words])).toEqual([['w', 'Works']]);
});

test('choices of all sorts are made and taken back alike', () => {
  document.body.innerHTML = `<form data-ivy-for="l"><input type="checkbox" name="a" value="1"><select name="b"><option value="">All</option><option>x</option></select>
    <button type="button" name="c" value="y">Y</button></form>`;
  for (const group of controlsOf('l').groups) {
    const [choice] = choicesOf(group);
    for (const on of [true, false]) {
      setChosen(choice!, on);
      expect([group.name, isChosen(choice!)]).toEqual([group.name, on]);
    }
  }
});

describe('what a page names otherwise', () => {
  let page: Page;
  afterEach(() => page.close());
  const list = `<ul data-ivy-list="notices">${[
    ['a', 'Works', '2026-05-01'],
    ['b', 'Call', '2026-05-02'],
    ['c', 'Works', '2026-05-03'],
  ]
    .map(
      ([title, kind, day]) =>
        `<li><b data-ivy-field="title">${title}</b> <i data-ivy-field="kind">${kind}</i> <time data-ivy-field="day" datetime="${day}"></time></li>`,
    )
    .join('')}</ul>`;

  test('links choose one: by their query, by their words, or nothing; once more takes it back', async () => {
    page = await Page.open(
      `<nav data-ivy-for="notices" data-ivy-reads="kind"><a href="/notices">All</a> <a href="?kind=Works">W</a> <a href="/tag/call">Call</a></nav>${list}`,
    );
    expect(page.element('a').getAttribute('aria-current')).toBe('true');
    await page.press('a:nth-of-type(2)');
    expect([page.shown, location.search, page.element('a').getAttribute('aria-current')]).toEqual([
      ['a', 'c'],
      '?kind=works',
      'false',
    ]);
    expect(page.element('a:nth-of-type(2)').hasAttribute('data-ivy-on')).toBe(true);
    await page.press('a:nth-of-type(3)');
    expect(page.shown).toEqual(['b']);
    await page.press('a:nth-of-type(1)');
    expect([page.shown.length, location.search]).toEqual([3, '']);
  });

  test('a name for the address where the control has none or another; what it was called before is still read', async () => {
    const form = `<form data-ivy-for="notices"><span data-ivy-as="kind" data-ivy-was="art type">
      <label><input type="checkbox" name="k[]" value="Works"></label><label><input type="checkbox" name="k[]" value="Call"></label></span></form>`;
    for (const search of ['?kind=call', '?art=Call', '?type=call', '?k%5B%5D=Call']) {
      page = await Page.open(form + list, search);
      expect([search, page.shown, location.search]).toEqual([search, ['b'], '?kind=call']);
      page.close();
    }
    page = await Page.open(form + list);
  });

  test('two boxes of a range may have two names', async () => {
    const form = `<form data-ivy-for="notices" data-ivy-as="day"><input type="date" name="from" data-ivy-end="from"><input type="date" name="to" data-ivy-end="to"></form>`;
    page = await Page.open(form + list, '?from=2026-05-02&to=');
    expect([page.shown, location.search]).toEqual([['b', 'c'], '?day=2026-05-02/..']);
    page.close();
    page = await Page.open(form + list, '?from=&to=2026-05-02');
    expect([page.shown, location.search]).toEqual([['a', 'b'], '?day=../2026-05-02']);
  });

  test('an order says what it is where its value does not; the form around a control alone resets it', async () => {
    page = await Page.open(
      `<form><select name="by" data-ivy-for="notices" data-ivy-sort><option value="">–</option><option value="new" data-ivy-order="day:desc">New</option></select>
       <label><input type="checkbox" name="kind" value="Works" data-ivy-for="notices"></label><button type="reset">x</button></form>${list}`,
    );
    await page.type('select', 'new');
    expect([page.shown, location.search]).toEqual([['c', 'b', 'a'], '?sort=new']);
    await page.press('[type=checkbox]');
    expect(page.shown).toEqual(['c', 'a']);
    await page.press('[type=reset]');
    expect([page.shown, page.element('[type=reset]').hidden]).toEqual([['a', 'b', 'c'], true]);
  });
});
