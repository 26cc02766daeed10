import type { FieldChange, FieldDescription } from '@ivy/core';
import { OnPage } from '../../test/on-page.js';
import { FieldSettings } from './field-settings.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

function field(key: string, more: Partial<FieldDescription> = {}): FieldDescription {
  return {
    ...{
      key,
      label: key,
      type: 'text',
      role: null,
      multiple: false,
      tree: false,
      separator: null,
      pathSeparator: null,
    },
    ...{ filled: 3, distinct: 3, samples: [], spread: null },
    ...more,
  };
}
const others = [field('above'), field('last', { type: 'date' }), field('pages', { type: 'number' })];

/** What a setting asks to be said of a field. */
function changes(of: FieldDescription, work: () => void, change: FieldChange = {}): FieldChange[] {
  const asked: FieldChange[] = [];
  page.draw(
    <FieldSettings
      field={of}
      fields={[of, ...others]}
      source="notes"
      change={change}
      types={null}
      onChange={(one) => asked.push(one)}
    />,
  );
  work();
  return asked;
}

function write(name: string, value: string): void {
  page.type(name, value);
  page.leave(name);
}

test('terms stand under what another field names, where no path does', () => {
  const terms = field('topic', { type: 'terms' });
  expect(changes(terms, () => page.type('Stands under', 'above'))).toEqual([{ parent: 'above' }]);
  const tree = { ...terms, tree: true, parent: 'above' };
  expect(changes(tree, () => page.type('Stands under', ''))).toEqual([{ parent: null }]);
  changes({ ...terms, pathSeparator: '>' }, () => {});
  expect(() => page.named('Stands under')).toThrow();
});

test('days last until another field of days', () => {
  const days = field('first', { type: 'date' });
  expect(changes(days, () => page.type('Lasts until', 'last'))).toEqual([{ end: 'last' }]);
  expect(page.texts('option')).not.toContain('pages');
  expect(changes({ ...days, end: 'last' }, () => page.type('Lasts until', ''))).toEqual([{ end: null }]);
});

test('numbers have a unit, and yes and no words of their own', () => {
  expect(changes(field('length', { type: 'number' }), () => write('Unit', 'km'))).toEqual([{ unit: 'km' }]);
  expect(changes(field('length', { type: 'number', unit: 'km' }), () => write('Unit', ''))).toEqual([{ unit: null }]);
  const open = field('open', { type: 'boolean', words: { yes: ['offen'], no: [] } });
  expect(changes(open, () => write('Means no', 'zu, gesperrt,'))).toEqual([
    { words: { yes: ['offen'], no: ['zu', 'gesperrt'] } },
  ]);
  expect(changes(open, () => write('Means yes', ''))).toEqual([{ words: null }]);
});

test('another type lets go of what a value stood for', () => {
  const reference = { source: 'wardens', key: 'no', label: 'who' };
  const of = field('warden', { type: 'reference', reference });
  // what is drawn for a reference asks the server: only the press is looked at here
  expect(changes({ ...of, type: 'terms' }, () => page.press('Text'))).toEqual([
    { type: 'text', left: false, reference: null },
  ]);
});
