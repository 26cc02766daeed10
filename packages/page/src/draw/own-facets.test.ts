import type { Mark } from '@ivy/core';
import { Page } from '../../test/page.js';
import { applyMarks } from '../read/mapping.js';

const items = ['Reedbed', 'Mudflat', 'Mudflat', 'Lagoon', 'Mudflat']
  .map(
    (at, i) =>
      `<li><b data-ivy-field="title">n${i}</b> <i data-ivy-field="habitat">${at}</i> <u data-ivy-field="day">2026-05-0${i + 1}</u></li>`,
  )
  .join('');
const list = `<ul data-ivy-list="notices">${items}</ul>`;
const place = (more = '', inner = '') =>
  `<div data-ivy-for="notices" data-ivy-facet="habitat" data-ivy-label="Habitat" ${more}>${inner}</div>`;

let page: Page;
afterEach(() => page.close());
const words = (selector: string) =>
  [...document.querySelectorAll(selector)].map((one) => one.textContent.trim().replace(/\s+/g, ' '));

test('ticks for what the items have, most first, each with its number; they filter', async () => {
  page = await Page.open(place() + list);
  expect([words('legend'), words('fieldset label')]).toEqual([['Habitat'], ['Mudflat 3', 'Lagoon 1', 'Reedbed 1']]);
  await page.press('[value=Lagoon]');
  await page.press('[value=Reedbed]');
  expect([page.shown, location.search]).toEqual([['n0', 'n3'], '?habitat=lagoon,reedbed']);
});

test('they stand in the stead of the page’s own, and keep a name it has in addresses', async () => {
  page = await Page.open(
    place('data-ivy-as="at"', '<select name="x"><option>Sea</option></select>') + list,
    '?at=mudflat',
  );
  expect(page.element('select').hidden).toBe(true);
  expect([page.shown, page.element<HTMLInputElement>('[value=Mudflat]').checked]).toEqual([['n1', 'n2', 'n4'], true]);
});

test.each([
  ['radios', '[value=Reedbed]', ['n0']],
  ['dropdown', null, ['n3']],
])('%s', async (kind, press, shown) => {
  page = await Page.open(place(`data-ivy-kind="${kind}"`) + list);
  if (press) await page.press(press);
  else await page.type('select', 'Lagoon');
  expect(page.shown).toEqual(shown);
});

test('days have two boxes, which say which end they are', async () => {
  page = await Page.open(
    `<p data-ivy-for="notices" data-ivy-facet="day" data-ivy-label="Day" data-ivy-kind="dates"></p>${list}`,
  );
  expect([...document.querySelectorAll('input')].map((one) => one.getAttribute('aria-label'))).toEqual([
    'Day ≥',
    'Day ≤',
  ]);
  await page.type('[data-ivy-end=from]', '2026-05-03');
  await page.type('[data-ivy-end=to]', '2026-05-04');
  expect([page.shown, location.search]).toEqual([['n2', 'n3'], '?day=2026-05-03/2026-05-04']);
});

test('a list that is drawn anew with other terms has other ticks', async () => {
  page = await Page.open(place() + list);
  page.element('[data-ivy-list]').innerHTML =
    '<li><b data-ivy-field="title">x</b> <i data-ivy-field="habitat">Dune</i></li>';
  await page.settle();
  expect(words('fieldset label')).toEqual(['Dune 1']);
});

test('a place that says itself what it is called is not called twice; and what is drawn is no place itself', async () => {
  const marks: Mark[] = [{ at: 'fieldset', in: 'page', says: { for: '', facet: 'habitat' } }];
  const own = '<fieldset><legend>Where</legend><label><input type="checkbox" name="x"> Sea</label></fieldset>';
  page = await Page.open(own + list, '', () => applyMarks(document, 'notices', marks));
  for (let i = 0; i < 2; i++) {
    applyMarks(document, 'notices', marks);
    page.element('[data-ivy-list]').append(document.createElement('li'));
    await page.settle();
  }
  expect([words('legend'), words('fieldset'), words('[data-ivy-drawn] label')]).toEqual([
    ['Where'],
    [expect.stringContaining('Mudflat 3')],
    ['Mudflat 3', 'Lagoon 1', 'Reedbed 1'],
  ]);
});
