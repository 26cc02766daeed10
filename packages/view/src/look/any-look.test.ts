import {
  arrangementNames,
  colourNames,
  pageLook,
  placeNames,
  presetNames,
  readLens,
  typeLevels,
  type Colours,
  type Look,
  type Type,
} from '@ivy/core';
import fc from 'fast-check';
import { transform } from 'lightningcss';
import { contrastsOf } from './contrast.js';
import { plainPlaced } from './plain-placed.js';
import { lookSheet, pageSheet, plainLookSheet } from './sheet.js';

/*
 * Any look that a config may say becomes a sheet that can be read: nothing in it can end a rule or begin another.
 */
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const optional = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined });
const colours: fc.Arbitrary<Colours> = fc.record(
  Object.fromEntries(colourNames.map((name) => [name, hex])) as Record<
    (typeof colourNames)[number],
    fc.Arbitrary<string>
  >,
  { requiredKeys: [] },
);
const family = fc.stringMatching(/^[A-Za-z ,'"_-]{1,40}$/);
const type: fc.Arbitrary<Type> = fc.record(
  {
    family,
    size: fc.integer({ min: 50, max: 300 }),
    weight: fc.integer({ min: 100, max: 900 }),
    line: fc.integer({ min: 80, max: 300 }),
    spacing: fc.integer({ min: -100, max: 500 }),
    case: fc.constantFrom('none', 'upper', 'lower', 'title', 'small-caps'),
    colour: hex,
  },
  { requiredKeys: [] },
);
const placed = {
  facets: fc.constantFrom(...placeNames),
  align: fc.constantFrom('start', 'center', 'end'),
  arrangement: fc.constantFrom(...arrangementNames),
  columns: fc.integer({ min: 1, max: 6 }),
  gap: fc.integer({ min: 0, max: 80 }),
  equal: fc.boolean(),
  picture: fc.constantFrom('own', 'top', 'side', 'none'),
};
const span = fc.record({ ...placed, folded: fc.constant({}) }, { requiredKeys: ['folded'] });
const look = fc.record(
  {
    ...placed,
    tabletFrom: fc.integer({ min: 240, max: 900 }),
    desktopFrom: fc.integer({ min: 900, max: 3000 }),
    tablet: span,
    phone: span,
    preset: fc.constantFrom(...presetNames),
    scheme: fc.constantFrom('light', 'dark', 'system', 'host'),
    light: colours,
    dark: colours,
    type: fc.dictionary(fc.constantFrom(...typeLevels), type),
    space: fc.integer({ min: 50, max: 200 }),
    radius: optional(fc.integer({ min: 0, max: 40 })),
    border: optional(fc.integer({ min: 0, max: 6 })),
  },
  { requiredKeys: [] },
);

function read(config: object): Look {
  const lens = readLens({ look: config });
  if (!lens.ok) throw new Error(JSON.stringify(lens.problems));
  return lens.value.look;
}

/** The rules of a sheet outside of their layer, and how many there are in it. */
function rulesOf(sheet: string): { outside: number; within: number } {
  const found = { outside: 0, within: 0 };
  let depth = 0;
  transform({
    filename: 'look.css',
    code: Uint8Array.from(sheet, (one) => one.charCodeAt(0)),
    errorRecovery: true,
    visitor: {
      Rule: { 'layer-block': () => void depth++, style: () => void (depth > 0 ? found.within++ : found.outside++) },
      RuleExit: { 'layer-block': () => void depth-- },
    },
  });
  return found;
}

test('any look becomes a sheet whose rules all stand in its layer', () => {
  fc.assert(
    fc.property(look, (config) => {
      const drawn = { card: [], facets: [] };
      const whole = read(config);
      for (const sheet of [lookSheet(whole, drawn, 'walks'), plainLookSheet(whole, drawn)]) {
        const { outside, within } = rulesOf(sheet);
        expect(outside).toBe(0);
        expect(within).toBeGreaterThan(3);
        expect(sheet.split('{').length).toBe(sheet.split('}').length);
      }
      expect(pageSheet(whole)).not.toMatch(/undefined|NaN/);
    }),
    { numRuns: 150 },
  );
});

test('contrasts of any look are from 1 to 21, each scheme’s own', () => {
  fc.assert(
    fc.property(look, (config) => {
      const whole = read(config);
      const all = contrastsOf(whole);
      for (const { ratio } of all) expect(ratio >= 1 && ratio <= 21.01).toBe(true);
      const schemes = new Set(all.map(({ scheme }) => scheme));
      if (whole.scheme === 'light' || whole.scheme === 'dark')
        expect([...schemes].every((one) => one === whole.scheme)).toBe(true);
    }),
    { numRuns: 150 },
  );
});

test('what is read is what was written, and reads the same again', () => {
  fc.assert(
    fc.property(look, (config) => {
      const once = read(config);
      expect(read(JSON.parse(JSON.stringify(once)) as object)).toEqual(once);
    }),
    { numRuns: 150 },
  );
});

test('a page that knows no width has all that some width shows', () => {
  const of = (config: object) => plainPlaced(pageLook(read(config)));
  expect(of({ arrangement: 'list', phone: { arrangement: 'grid' } }).arrangement).toBe('grid');
  expect(of({ arrangement: 'list' }).arrangement).toBe('list');
  expect(of({ arrangement: 'table', phone: { arrangement: 'rows' } }).arrangement).toBe('table');
  expect(of({ picture: 'none', phone: { picture: 'top' } }).picture).toBe('top');
  expect(of({ picture: 'none' }).picture).toBe('none');
});
