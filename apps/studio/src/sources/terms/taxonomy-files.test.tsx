import { act } from 'react';
import { OnPage } from '../../../test/on-page.js';
import { TaxonomyFiles } from './taxonomy-files.js';
import type { Shaping } from './use-shaping.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const brought: File[] = [];
const shaping = (more: Partial<Shaping> = {}) =>
  ({
    ...{ slug: 'field notes', field: 'habitat', isBusy: false },
    bring: (file: File) => Promise.resolve(void brought.push(file)),
    ...more,
  }) as unknown as Shaping;

/** Chooses a file as the browser's own dialog does. */
function choose(file: File): void {
  const input = page.element.querySelector<HTMLInputElement>('input[type=file]')!;
  Object.defineProperty(input, 'files', { value: [file], configurable: true });
  act(() => {
    input.dispatchEvent(new Event('change', { bubbles: true }));
  });
}

test('terms go out as two files, and come in from one', () => {
  page.draw(<TaxonomyFiles shaping={shaping()} />);
  const links = [...page.element.querySelectorAll('a')].map((link) => link.getAttribute('href'));
  const at = '/api/v1/sources/field%20notes/terms/habitat/export';
  expect(links).toEqual([`${at}?as=turtle`, `${at}?as=jsonld`]);
  const file = new File(['<a> a <b> .'], 'habitats.ttl');
  choose(file);
  expect(brought).toEqual([file]);
});

test('while a change is on its way no other comes in', () => {
  page.draw(<TaxonomyFiles shaping={shaping({ isBusy: true })} />);
  expect(page.named<HTMLButtonElement>('Bring SKOS in').disabled).toBe(true);
});
