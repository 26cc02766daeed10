import { Page } from '../../test/page.js';
import { findingsOf, showCheck } from './check.js';

const form = `<form data-ivy-for="notices"><select name="kind"><option value="">All</option><option>Works</option><option>Cal</option></select>
  <select name="colour"><option value="">All</option><option>Red</option></select></form>`;
const list = `<ul data-ivy-list="notices"><li><b data-ivy-field="title">a</b><i data-ivy-field="kind">Works</i></li>
  <li><b data-ivy-field="title">b</b><i data-ivy-field="kind">Call</i></li></ul>`;

let page: Page;
afterEach(() => page.close());
const found = (strange: string[] = []) => findingsOf([page.list.report()], strange);
const faults = (strange?: string[]) =>
  found(strange)
    .filter(({ holds }) => !holds)
    .map(({ title }) => title);

test('what holds is said with its numbers', async () => {
  page = await Page.open(form.replace('<option>Cal</option>', '').replace(/<select name="colour".*/, '</form>') + list);
  expect(found().map(({ holds, title }) => [holds, title])).toEqual([
    [true, 'The script is there, with 1 list'],
    [true, 'List “notices” is ready'],
    [true, 'List “notices”: 2 items'],
    [true, 'List “notices”: 2 fields'],
    [true, 'List “notices”: “title” is text, in 2 of 2 items'],
    [true, 'List “notices”: “kind” is terms, in 2 of 2 items'],
    [true, 'List “notices”: 1 control of the page'],
    [true, 'List “notices”: control “kind”: 1 of 1 value meet an item'],
    [true, 'Headings are in order'],
  ]);
});

test('each fault is named, before all that holds', async () => {
  page = await Page.open(`<h1 id="x">N</h1><h3 id="x">n</h3>${form}${list}`);
  expect(faults(['data-ivy-filed'])).toEqual([
    'List “notices”: no item has a field “colour”, which the control “colour” reads.',
    'List “notices”: no item has “Cal”, which the control “kind” offers. Did you mean “Call”?',
    '“data-ivy-filed” is no attribute that is read',
    'The id “x” stands twice on the page',
    'After a heading of level 1 comes one of level 3',
  ]);
  expect(found(['data-ivy-filed'])[0]!.holds).toBe(false);
});

test('a page without a list, and a list without a form, are told what is missing', async () => {
  page = await Page.open(list);
  expect(faults()).toEqual([
    'List “notices”: 0 controls of the page',
    'List “notices”: nothing drives it. Put data-ivy-for="notices" on a form.',
  ]);
  expect(findingsOf([], []).find(({ holds }) => !holds)).toMatchObject({
    mend: 'Put data-ivy-list="name" on the list.',
  });
});

test('it is shown on the page, apart from its rules, and can be closed', async () => {
  page = await Page.open(form + list);
  const host = showCheck([page.list.report()], []);
  expect(host.shadowRoot!.querySelector('h2')!.textContent).toMatch(/^\d+ of \d+ hold$/);
  host.shadowRoot!.querySelector('button')!.click();
  expect(host.isConnected).toBe(false);
});
