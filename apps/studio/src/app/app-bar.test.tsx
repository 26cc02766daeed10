import { act } from 'react';
import { BesideServer } from '../../test/beside-server.js';
import { AppBar } from './app-bar.js';

const page = new BesideServer();
beforeEach(() => {
  page.open();
  delete document.documentElement.dataset.theme;
  localStorage.clear();
});
afterEach(() => page.close());

const crumbs = [{ label: 'Sources', to: '/sources' }, { label: 'Field notes', to: '/sources/notes' }, { label: 'All' }];

test('where one is is the heading, and the way back is links', async () => {
  await page.visit(<AppBar crumbs={crumbs} />, '/lenses/all');
  expect(page.texts('h1')).toEqual(['All']);
  expect(page.texts('nav a')).toEqual(['Sources', 'Field notes']);
  const back = [...page.element.querySelectorAll<HTMLElement>('nav a')].find(
    (one) => one.textContent === 'Field notes',
  )!;
  act(() => back.click());
  expect(page.place).toBe('/sources/notes');
});

test('the name leads to the sources from everywhere', async () => {
  await page.visit(<AppBar crumbs={crumbs} />, '/lenses/all');
  act(() => page.element.querySelector<HTMLElement>('header > a')!.click());
  expect(page.place).toBe('/sources');
});

test('day and night are changed by a press, and kept on the device', async () => {
  await page.visit(<AppBar crumbs={crumbs} />, '/');
  page.press('Go to night colours');
  expect(document.documentElement.dataset.theme).toBe('ivy-night');
  expect(localStorage.getItem('ivy-theme')).toBe('ivy-night');
  page.press('Go to day colours');
  expect(document.documentElement.dataset.theme).toBe('ivy');
  expect(localStorage.getItem('ivy-theme')).toBe('ivy');
});

test('a page that came in night colours offers the day', async () => {
  document.documentElement.dataset.theme = 'ivy-night';
  await page.visit(<AppBar crumbs={crumbs} />, '/');
  expect(page.named('Go to day colours').title).toBe('Day');
});
