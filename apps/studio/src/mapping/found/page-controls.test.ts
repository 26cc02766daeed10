import { controlsOn, endOf, fieldFor, type PageControl } from './page-controls.js';

const page = (html: string) => new DOMParser().parseFromString(html, 'text/html');
const brief = (html: string) =>
  controlsOn(page(html), null).map(({ what, label, at, boxes }) => [what, label, at, boxes.length]);
const tick = (value: string, name = 'at') =>
  `<label><input type="checkbox" name="${name}" value="${value}"> ${value}</label>`;

test('boxes of one name are one, called by the legend around them', () => {
  expect(
    brief(`<form><fieldset class="f"><legend>Habitat:</legend>${tick('a')}${tick('b')}</fieldset></form>`),
  ).toEqual([['choice', 'Habitat', '.f', 2]]);
});

test('boxes among others are told one by one', () => {
  expect(
    brief(`<form><p>${tick('a')}${tick('b')}<input type="search" name="q" placeholder="Find"></p></form>`),
  ).toEqual([
    ['choice', 'at', expect.stringContaining(', '), 2],
    ['search', 'Find', 'input[name="q"]', 1],
  ]);
});

test('boxes without names belong to the group they are in', () => {
  const box = '<label><input type="radio"> x</label>';
  expect(
    brief(`<form><ul class="a">${box}${box}</ul><ul class="b">${box}${box}</ul></form>`).map(([, , at]) => at),
  ).toEqual(['.a', '.b']);
});

test('days from and to are one; orders, searches and numbers are what they are', () => {
  expect(
    brief(`<form><p><input type="date" name="date_from"><input type="date" name="date_to"></p><label>Order <select name="sort"><option value="new">Newest</option></select></label>
      <input type="number" name="min"><select name="kind" aria-label="Kind"><option>a</option></select></form>`).map(
      ([what, label, , n]) => [what, label, n],
    ),
  ).toEqual([
    ['dates', '', 2],
    ['sort', 'Order', 1],
    ['numbers', '', 1],
    ['choice', 'Kind', 1],
  ]);
});

test('what is in the list, hidden or sends is no control of it', () => {
  const document = page(
    '<ul><li><input name="a"></li></ul><input type="hidden" name="b"><input type="submit"><input type="file">',
  );
  expect(controlsOn(document, document.querySelector('ul'))).toEqual([]);
});

test('which end a box is goes by its name, its label or its place', () => {
  const all = [
    ...page('<input name="x"><input name="day_to"><label>since <input name="y"></label>').querySelectorAll('input'),
  ];
  expect(all.map((one) => endOf(one, all))).toEqual(['from', 'to', 'from']);
});

describe('the field a control is of', () => {
  const fields = [
    { key: 'habitat', type: 'terms', terms: ['Mud', 'Salt marsh'] },
    { key: 'kind', type: 'terms', terms: ['Works'] },
    { key: 'day', type: 'date', terms: [] },
    { key: 'seen', type: 'date', terms: [] },
  ];
  const control = (more: Partial<PageControl>): PageControl => ({
    boxes: [],
    elements: [],
    at: 'x',
    label: '',
    name: '',
    what: 'choice',
    offers: [],
    ...more,
  });
  test.each([
    [
      'one with its values, however they are written',
      { name: 'kind', offers: [{ value: 'saltmarsh', words: '' }] },
      'habitat',
    ],
    ['one called like it, where no value meets', { label: 'Kind', offers: [{ value: 'q', words: '' }] }, 'kind'],
    ['days: the one of its name', { what: 'dates' as const, name: 'seen' }, 'seen'],
    ['days: the first', { what: 'dates' as const }, 'day'],
    ['numbers where there are none', { what: 'numbers' as const }, null],
    ['a search', { what: 'search' as const }, null],
    ['values that nothing has', { offers: [{ value: 'q', words: '' }] }, null],
  ])('%s', (_what, more, field) => {
    expect(fieldFor(control(more), fields)).toBe(field);
  });
});
