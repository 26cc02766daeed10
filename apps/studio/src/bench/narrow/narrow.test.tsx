import { fieldOf } from '../../../test/field-of.js';
import { openDialogs } from '../../../test/dialogs.js';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { huesOf } from '../edits.js';
import { SeedsRail } from './seeds-rail.js';
import { Sheet } from './sheet.js';

const page = new OnPage();
beforeEach(() => {
  openDialogs();
  page.open();
});
afterEach(() => page.close());

const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
    { key: 'kind', kind: 'radios', field: 'kind', label: 'Kind of note', visible: false },
  ],
});

test('folded, each facet is a seed that says its name, and takes it in hand', () => {
  const took: (string | null)[] = [];
  const opened: string[] = [];
  page.draw(
    <SeedsRail
      lens={lens}
      fields={[fieldOf('habitat', 'terms'), fieldOf('kind', 'terms')]}
      hues={huesOf(lens.facets)}
      focus="kind"
      onFocus={(key) => took.push(key)}
      onUnfold={() => opened.push('outline')}
      onHand={() => opened.push('wiring')}
    />,
  );
  for (const name of ['Habitat', 'Kind of note', 'Cards, order and pages', 'Unfold the outline', 'Open the wiring'])
    page.press(name);
  expect([took, opened]).toEqual([
    ['habitat', 'kind', null],
    ['outline', 'wiring'],
  ]);
  expect(page.named('Kind of note').getAttribute('aria-current')).toBe('true');
  expect(page.named('Habitat').getAttribute('aria-current')).toBeNull();
});

test('a sheet lies over the page until it is shut', () => {
  let shut = 0;
  page.draw(
    <Sheet label="Wiring" from="below" onClose={() => shut++}>
      <p>Settings</p>
    </Sheet>,
  );
  expect(page.element.querySelector('dialog')!.open).toBe(true);
  page.press('Shut wiring');
  expect(shut).toBe(1);
});
