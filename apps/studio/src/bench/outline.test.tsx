import { fieldOf } from '../../test/field-of.js';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import { huesOf } from './edits.js';
import { Outline } from './outline.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const fields = [
  fieldOf('kind', 'terms'),
  fieldOf('place', 'terms', { distinct: 300 }),
  fieldOf('open', 'boolean'),
  fieldOf('title', 'text'),
];

function drawn(facets: object[], focus: string | null = null) {
  const lens = lensOf({ facets });
  const asked: unknown[][] = [];
  const ask =
    (what: string) =>
    (...of: unknown[]) =>
      asked.push([what, ...of]);
  page.draw(
    <Outline
      lens={lens}
      fields={fields}
      answer={undefined}
      hues={huesOf(lens.facets)}
      focus={focus}
      problem={null}
      onFocus={ask('focus')}
      onPlace={ask('place')}
      onMove={ask('move')}
      onEye={ask('eye')}
      onAdd={(one) => asked.push(['add', one.key])}
      onAddition={(addition) => asked.push(['add', addition.name])}
    />,
  );
  return asked;
}

const kind = { key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Kind' };
const place = { key: 'place', kind: 'dropdown', field: 'place', label: 'Place' };
const rows = () => [...page.element.querySelectorAll<HTMLElement>('[data-outline]')].map((row) => row.dataset.outline);

test('parts stand in order, and fields that are not used yet below, with how much they hold', () => {
  drawn([place, kind]);
  expect(rows()).toEqual(['place', 'kind']);
  expect(page.element.textContent).toContain('openyes, no');
  expect(page.element.textContent).not.toContain('place300 terms');
});

test('a lens without facets says what to do', () => {
  drawn([]);
  expect(page.element.textContent).toContain('No facet yet. Add one from the fields below.');
});

test('a field is added by a press; so are a search and marks, once each', () => {
  const asked = drawn([kind]);
  const add = (name: string) =>
    [...page.element.querySelectorAll<HTMLElement>('button')].find((one) => one.textContent.startsWith(name))?.click();
  add('open');
  add('place');
  expect(asked).toEqual([
    ['add', 'open'],
    ['add', 'place'],
  ]);
  drawn([
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'mine', kind: 'favourites' },
  ]);
  expect(page.element.textContent).not.toContain('what visitors mark');
});

test('arrows walk, Alt and an arrow move; at an end nothing is walked to', () => {
  const asked = drawn([kind, place], 'kind');
  const press = (key: string, altKey = false) =>
    page.element
      .querySelector('[data-row=kind]')!
      .dispatchEvent(new KeyboardEvent('keydown', { key, altKey, bubbles: true, cancelable: true }));
  press('ArrowDown');
  press('ArrowUp');
  press('ArrowDown', true);
  expect(asked).toEqual([
    ['focus', 'place'],
    ['move', 'kind', 1],
  ]);
  expect(document.activeElement?.getAttribute('data-row')).toBe('place');
});

test('the part in hand can be moved by buttons, but not past the ends', () => {
  const asked = drawn([kind, place], 'kind');
  expect(page.named<HTMLButtonElement>('Move Kind up').disabled).toBe(true);
  page.press('Move Kind down');
  page.press('Hide Kind from visitors');
  expect(asked).toEqual([
    ['move', 'kind', 1],
    ['eye', 'kind'],
  ]);
});

test('a facet that can’t work is marked', () => {
  drawn([kind, { ...place, field: 'gone' }]);
  const marked = [...page.element.querySelectorAll('[aria-label="Needs a look"]')];
  expect(marked.map((mark) => mark.closest('[data-outline]')!.getAttribute('data-outline'))).toEqual(['place']);
});
