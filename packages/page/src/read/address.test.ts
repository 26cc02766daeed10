import fc from 'fast-check';
import { answer, readQuestion } from '@ivy/core';
import { controlsOf, isChosen } from './controls.js';
import { addressOfControls, readAddress, writeAddress } from './address.js';
import { itemsIn, readItems } from './items.js';
import { Notes } from '../notes.js';
import { setUp, type Setup } from './setup.js';

const kinds = ['Works', 'Call for hands', 'Größe, klein'];
const page = `<form data-ivy-for="notices"><input type="search" name="q" data-ivy-search="title">
  ${kinds.map((one) => `<label><input type="checkbox" name="Kind" value="${one}"> ${one}</label>`).join('')}
  <input type="date" name="date" data-ivy-end="from"><input type="date" name="date" data-ivy-end="to">
  <input type="number" name="minutes">
  <select name="sort" data-ivy-sort><option value="">As here</option><option value="date:desc">Newest</option></select></form>
  <ul data-ivy-list="notices">${kinds
    .map(
      (kind, i) => `<li><b data-ivy-field="title">n ${i}</b><i data-ivy-field="kind">${kind}</i>
      <time data-ivy-field="date" datetime="2026-0${i + 1}-10"></time><u data-ivy-field="minutes">${i * 5}</u></li>`,
    )
    .join('')}</ul>`;

let setup: Setup;
let sort: HTMLSelectElement | null;
function make(prefix = ''): void {
  jest.spyOn(console, 'warn').mockImplementation(() => {});
  document.body.innerHTML = page;
  const controls = controlsOf('notices');
  const notes = new Notes('notices');
  sort = controls.sort;
  setup = setUp(
    readItems(itemsIn(document.querySelector('ul')!), notes),
    controls,
    { prefix, size: 0, stacks: false },
    notes,
  );
}
afterEach(() => jest.restoreAllMocks());

const canonical = (own: string) => {
  const { query, notices } = readQuestion(setup.index, setup.lens, own, 0);
  return answer(setup.index, query, notices).address;
};
/** An address as the page writes it, and as it stands once it is read and written again. */
const again = (search: string) => {
  const { own, foreign } = readAddress(search, setup);
  return writeAddress(canonical(own), foreign, setup);
};

test.each([
  ['Kind=Works', 'Kind=works'],
  ['kind=works', 'Kind=works'],
  ['KIND=Works&Kind=Call+for+hands', 'Kind=call-for-hands,works'],
  // a value of the page may hold a comma itself
  ['Kind=Gr%C3%B6%C3%9Fe%2C+klein', `Kind=${encodeURIComponent('größe-klein')}`],
  ['date=&date=2026-02-01', 'date=../2026-02-01'],
  ['date=2026-01-05&date=', 'date=2026-01-05/..'],
  ['date=2026-01-05/2026-02-01', 'date=2026-01-05/2026-02-01'],
  ['date=2026', 'date=2026-01-01/2026-12-31'],
  ['minutes=5', 'minutes=5/5'],
  ['q=&Kind=&date=&date=&minutes=&sort=', ''],
  ['sort=date:desc', 'sort=date:desc'],
  ['sort=date-desc', 'sort=date:desc'],
  ['utm=1&q=two+words&x=%26', 'utm=1&x=%26&q=two+words'],
])('%s comes to %s', (search, expected) => {
  make();
  expect(decodeURIComponent(again(search))).toBe(decodeURIComponent(expected));
  // written again it stays as it is
  expect(again(again(search))).toBe(again(search));
});

test('with a prefix other names are others’', () => {
  make('n-');
  expect(again('kind=works&n-Kind=Works&page=2')).toBe('kind=works&page=2&n-Kind=works');
});

test('whatever an address says, it is read, and stays as it is once it is written', () => {
  make();
  const name = fc.constantFrom('Kind', 'kind', 'q', 'date', 'minutes', 'sort', 'page', 'x', '', '%', 'date:');
  const value = fc.oneof(
    fc.constantFrom(...kinds, 'works,,', '../..', '2026-13-45', '5/1', '%E0%A4%A', '0'),
    fc.string(),
  );
  const search = fc.array(fc.tuple(name, value), { maxLength: 8 });
  fc.assert(
    fc.property(search, (parts) => {
      const once = again(`?${parts.map(([key, said]) => `${key}=${encodeURIComponent(said)}`).join('&')}`);
      expect(again(once)).toBe(once);
    }),
    { numRuns: 300 },
  );
});

test('what the controls say is what the address says', () => {
  make();
  const set = (selector: string, said: string) => {
    document.querySelector<HTMLInputElement>(selector)!.value = said;
  };
  document.querySelector<HTMLInputElement>('[value="Call for hands"]')!.checked = true;
  set('[name=q]', ' n 1 ');
  set('[data-ivy-end=to]', '2026-03-01');
  set('[name=sort]', 'date:desc');
  const isOn = (facet: Setup['facets'][number], said: string) =>
    facet.choices.some((choice) => choice.value === said && isChosen(choice));
  const own = addressOfControls(setup, sort, isOn);
  expect(writeAddress(canonical(own), [], setup)).toBe('q=n+1&Kind=call-for-hands&date=../2026-03-01&sort=date:desc');
});
