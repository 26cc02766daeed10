import { readLens, type Facet, type FacetKind, type FieldDescription } from '@ivy/core';
import { act, type ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { KindWiring, ThereWiring } from './kind-wiring.js';
import { ShowsAs } from './shows-as.js';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

let root: Root;
let page: HTMLElement;
beforeEach(() => {
  page = document.body.appendChild(document.createElement('div'));
  root = createRoot(page);
});
afterEach(() => {
  act(() => root.unmount());
  page.remove();
});

const draw = (what: ReactNode) => act(() => root.render(what));
const named = <E extends HTMLElement>(name: string) => {
  const found = [...page.querySelectorAll<E>('button, input, select')].find(
    (one) => (one.getAttribute('aria-label') ?? one.textContent) === name,
  );
  if (!found) throw new Error(`Nothing is called ${name}: ${page.textContent}`);
  return found;
};
const press = (name: string) => act(() => named(name).click());
const type = (name: string, value: string) =>
  act(() => {
    const box = named<HTMLInputElement>(name);
    const proto = box instanceof HTMLSelectElement ? HTMLSelectElement.prototype : HTMLInputElement.prototype;
    Object.getOwnPropertyDescriptor(proto, 'value')!.set!.call(box, value);
    box.dispatchEvent(new Event(box instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }));
  });

function facetOf(config: object): Facet {
  const read = readLens({ facets: [config] });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value.facets[0]!;
}

/** What a setting asks to be changed. */
function changes(config: object, work: () => void): Partial<Facet>[] {
  const asked: Partial<Facet>[] = [];
  draw(<KindWiring facet={facetOf(config)} onChange={(patch) => asked.push(patch)} />);
  work();
  return asked;
}

test('buttons: pills or links, wrapped or scrolled', () => {
  const config = { key: 'kind', kind: 'buttons', field: 'kind' };
  expect(changes(config, () => (press('plain links'), press('scroll')))).toEqual([{ as: 'links' }, { row: 'scroll' }]);
  expect(named('pills').getAttribute('aria-pressed')).toBe('true');
});

test('a tree: levels, and all of them again', () => {
  const config = { key: 'place', kind: 'tree', field: 'place', levels: 2 };
  expect(changes(config, () => (press('top'), press('all')))).toEqual([{ levels: 1 }, { levels: undefined }]);
});

test('a switch: a third way and own words; an emptied word is the language’s again', () => {
  const config = { key: 'open', kind: 'switch', field: 'open', labels: { yes: 'Come' } };
  const asked = changes(config, () => {
    press('“No” matters too');
    type('Words for no', 'Closed');
    type('Words for yes', '');
  });
  expect(asked).toEqual([{ both: true }, { labels: { yes: 'Come', no: 'Closed' } }, { labels: {} }]);
});

test('numbers: a unit and a step that is a whole number or none', () => {
  const config = { key: 'm', kind: 'number-range', field: 'm', step: 5 };
  const asked = changes(config, () => {
    type('Unit', 'km');
    type('Step of the slider', '10');
    type('Step of the slider', '-3');
    type('Step of the slider', '');
  });
  expect(asked).toEqual([{ unit: 'km' }, { step: 10 }, { step: undefined }]);
});

test('days: presets are offered once, reworded, and taken away', () => {
  const config = {
    key: 'd',
    kind: 'date-range',
    field: 'd',
    presets: [{ label: 'Last 30 days', range: 'P30D' }],
  };
  const asked = changes(config, () => {
    type('Label of preset 1', 'Lately');
    press('Take Last 30 days away');
  });
  expect(asked).toEqual([{ presets: [{ label: 'Lately', range: 'P30D' }] }, { presets: [] }]);
  expect(() => named(' Last 30 days')).toThrow();
  expect(page.textContent).toContain('This year');
});

test('a facet may be single, folded, and wait for another', () => {
  const read = readLens({
    facets: [
      { key: 'kind', kind: 'buttons', field: 'kind' },
      { key: 'place', kind: 'tree', field: 'place' },
    ],
  });
  if (!read.ok) throw new Error('The lens of this test is wrong.');
  const lens = read.value;
  const asked: Partial<Facet>[] = [];
  const labelOf = (facet: Facet) => facet.key.toUpperCase();
  draw(<ThereWiring lens={lens} facet={lens.facets[0]!} labelOf={labelOf} onChange={(patch) => asked.push(patch)} />);
  press('One at a time');
  press('Folded at first');
  type('Shown once something is chosen in', 'place');
  expect(asked).toEqual([{ single: true }, { folded: true }, { dependsOn: 'place' }]);
  expect(page.textContent).toContain('a choice in PLACE');
});

test('only ways that can work are offered, and the suiting one is named with why', () => {
  const picked: FacetKind[] = [];
  const field = { key: 'kind', type: 'terms', tree: false, distinct: 60 } as FieldDescription;
  draw(<ShowsAs field={field} kind="checkboxes" onPick={(kind) => picked.push(kind)} />);
  expect([...page.querySelectorAll('button')].map((one) => one.getAttribute('aria-label'))).toEqual([
    'Ticks',
    'One of',
    'Buttons',
    'Dropdown',
  ]);
  expect(page.textContent).toContain('Dropdown would suit: 60 terms are best typed for.');
  press('Dropdown');
  expect(picked).toEqual(['dropdown']);
});
