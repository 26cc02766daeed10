import { type Facet, type FacetKind, type FacetOf, type FieldDescription } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import { KindWiring, ThereWiring } from './kind-wiring.js';
import { RangeWiring } from './range-wiring.js';
import { ShowsAs } from './shows-as.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());
const named = (name: string) => page.named(name);
const press = (name: string) => page.press(name);
const type = (name: string, value: string) => page.type(name, value);

function facetOf(config: object): Facet {
  return lensOf({ facets: [config] }).facets[0]!;
}

/** What a setting asks to be changed. */
function changes(config: object, work: () => void): Partial<Facet>[] {
  const asked: Partial<Facet>[] = [];
  page.draw(<KindWiring facet={facetOf(config)} onChange={(patch) => asked.push(patch)} />);
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
  expect(page.element.textContent).toContain('This year');
});

test('a facet may be single, folded, and wait for another', () => {
  const lens = lensOf({
    facets: [
      { key: 'kind', kind: 'buttons', field: 'kind' },
      { key: 'place', kind: 'tree', field: 'place' },
    ],
  });
  const asked: Partial<Facet>[] = [];
  const labelOf = (facet: Facet) => facet.key.toUpperCase();
  page.draw(
    <ThereWiring lens={lens} facet={lens.facets[0]!} labelOf={labelOf} onChange={(patch) => asked.push(patch)} />,
  );
  press('One at a time');
  press('Folded at first');
  type('Shown once something is chosen in', 'place');
  expect(asked).toEqual([{ single: true }, { folded: true }, { dependsOn: 'place' }]);
  expect(page.element.textContent).toContain('a choice in PLACE');
});

test('only ways that can work are offered, and the suiting one is named with why', () => {
  const picked: FacetKind[] = [];
  const field = { key: 'kind', type: 'terms', tree: false, distinct: 60 } as FieldDescription;
  page.draw(<ShowsAs field={field} kind="checkboxes" onPick={(kind) => picked.push(kind)} />);
  expect([...page.element.querySelectorAll('button')].map((one) => one.getAttribute('aria-label'))).toEqual([
    'Ticks',
    'One of',
    'Buttons',
    'Dropdown',
  ]);
  expect(page.element.textContent).toContain('Dropdown would suit: 60 terms are best typed for.');
  press('Dropdown');
  expect(picked).toEqual(['dropdown']);
});

test('dates with a time are shown by days or by hours; days alone are only days', () => {
  const picked: FacetKind[] = [];
  const offered = (type: FieldDescription['type']) => {
    const field = { key: 'seen', type, tree: false, distinct: 60 } as FieldDescription;
    page.draw(<ShowsAs field={field} kind="date-range" onPick={(kind) => picked.push(kind)} />);
    return [...page.element.querySelectorAll('button')].map((one) => one.getAttribute('aria-label'));
  };
  expect(offered('date')).toEqual([]);
  expect(offered('datetime')).toEqual(['Days', 'Hours']);
  press('Hours');
  expect(picked).toEqual(['time-range']);
});

describe('a range lasts until another field', () => {
  const fields = [
    { key: 'starts', label: 'Starts', type: 'date' },
    { key: 'ends', label: 'Ends', type: 'date' },
    { key: 'pages', label: 'Pages', type: 'number' },
  ] as FieldDescription[];
  const draw = (config: object, asked: Partial<Facet>[] = [], known = fields) => {
    const facet = facetOf(config) as FacetOf<'date-range'>;
    const field = known.find(({ key }) => key === facet.field);
    page.draw(
      <RangeWiring
        {...{
          source: 'shows',
          posts: 3,
          fields: known,
          lens: lensOf({ facets: [config] }),
          facet,
          field,
          dryRun: null,
        }}
        onEdit={() => {}}
        onChange={(patch) => asked.push(patch)}
      />,
    );
    return asked;
  };

  test('one of its own sort, or none', () => {
    const config = { key: 'when', kind: 'date-range', field: 'starts' };
    const asked = draw(config);
    expect(page.texts('option')).toEqual(['the same value: no span', 'Ends']);
    type('Lasts until', 'ends');
    draw({ ...config, endField: 'ends' }, asked);
    type('Lasts until', '');
    expect(asked).toEqual([{ endField: 'ends' }, { endField: undefined }]);
  });

  test('where there is no other, nothing is asked', () => {
    draw({ key: 'when', kind: 'date-range', field: 'starts' }, [], fields.slice(0, 1));
    expect(page.texts('select')).toEqual([]);
  });
});
