import { colourNames, makeLook, makePart, presetNames, typeLevels, type Look } from '@ivy/core';
import { transform } from 'lightningcss';
import { coloursOf } from './colours.js';
import { contrastOf, contrastsOf } from './contrast.js';
import { presets } from './presets/presets.js';
import { lookSheet, pageSheet, plainLookSheet } from './sheet.js';
import { spanAt } from './span.js';

const drawn = {
  card: [
    makePart({ show: 'date', field: 'day', icon: 'clock' }),
    makePart({ show: 'yes-no', field: 'open' }),
    makePart({ show: 'terms', field: 'place' }),
    makePart({ show: 'mark' }),
    makePart({ show: 'button' }),
  ],
  facets: (['letters', 'steps', 'favourites'] as const).map((kind) => ({ kind })),
};

/** The selectors of a sheet that have any weight, as a parser reads them; what it can’t read makes the test fail. */
function weighty(rules: string): { seen: number; heavy: string[] } {
  const heavy: string[] = [];
  let seen = 0;
  transform({
    filename: 'look.css',
    code: Uint8Array.from(rules, (one) => one.charCodeAt(0)),
    errorRecovery: false,
    visitor: {
      Rule: {
        style({ value }) {
          for (const selector of value.selectors) {
            seen++;
            const isLight = selector.every(
              (one) => one.type === 'pseudo-element' || (one.type === 'pseudo-class' && one.kind === 'where'),
            );
            if (!isLight) heavy.push(JSON.stringify(selector));
          }
        },
      },
    },
  });
  return { seen, heavy };
}

const allTypes: Look['type'] = Object.fromEntries(
  typeLevels.map((level) => [
    level,
    {
      family: "Georgia, 'Book Antiqua', serif",
      size: 110,
      weight: 600,
      line: 150,
      spacing: 20,
      case: 'upper',
      colour: '#123456',
    },
  ]),
);

test.each(presetNames)('the sheet of %s can be read, and its selectors weigh nothing', (preset) => {
  for (const arrangement of ['grid', 'columns-reversed', 'rows', 'rows-reversed', 'list', 'table'] as const) {
    for (const facets of ['side', 'top', 'stacked', 'sheet'] as const) {
      for (const align of ['start', 'center', 'end'] as const) {
        const look = makeLook({ preset, arrangement, facets, align, type: allTypes, scheme: 'system' });
        for (const sheet of [lookSheet(look, drawn, 'walks'), plainLookSheet(look, drawn)]) {
          const { seen, heavy } = weighty(sheet);
          expect(seen).toBeGreaterThan(30);
          expect(heavy).toEqual([]);
        }
      }
    }
  }
});

test('a listing carries the rules of what it draws, and of nothing else', () => {
  const bare = lookSheet(makeLook(), { card: [], facets: [] }, 'walks');
  const whole = lookSheet(makeLook(), drawn, 'walks');
  for (const of of [
    '.ivy-ribbon span',
    '.ivy-step',
    "[data-as='letters']",
    '.ivy-badges',
    '.ivy-read',
    "[data-icon='clock']",
  ]) {
    expect([of, bare.includes(of), whole.includes(of)]).toEqual([of, false, true]);
  }
  expect(whole.split('.ivy-ribbon[aria-pressed').length).toBe(2);
});

test('what is the same at all widths is said once, and what differs once for each', () => {
  const same = lookSheet(makeLook({ phone: { facets: 'side', folded: {} } }), drawn, 'walks');
  expect(same).not.toContain('data-span');
  const other = lookSheet(makeLook({ phone: { columns: 2, folded: {} } }), drawn, 'walks');
  expect(other).toMatch(/\[name='walks'\]:is\(\[data-span='phone'\]\)\) \{\n\s+--i-columns: var\(--ivy-columns, 2\);/);
  expect(other).toMatch(/:is\(\[data-span='tablet'\], \[data-span='desktop'\]\)/);
});

test('without scripts the width of the window counts, at the widths the flags stand', () => {
  const look = makeLook({ tabletFrom: 500, desktopFrom: 900, tablet: { columns: 2, folded: {} } });
  const sheet = plainLookSheet(look, drawn);
  expect(sheet).toContain('@media (width < 500px)');
  expect(sheet).toContain('@media (500px <= width < 900px)');
  expect(sheet).toContain('@media (width >= 900px)');
});

test('a width is in the span whose flag it has reached', () => {
  const look = { tabletFrom: 640, desktopFrom: 1000 };
  expect([320, 639, 640, 999, 1000, 2000].map((width) => spanAt(look, width))).toEqual([
    'phone',
    'phone',
    'tablet',
    'tablet',
    'desktop',
    'desktop',
  ]);
});

test('a colour is one of its own, the preset’s, or both by light-dark(), and always the host’s first', () => {
  const of = (look: Partial<Look>) => lookSheet(makeLook(look), { card: [], facets: [] }, 'walks');
  expect(of({})).not.toContain('--i-accent');
  expect(of({ light: { accent: '#123456' } })).toContain('--i-accent: var(--ivy-accent, #123456);');
  const both = of({ scheme: 'system', light: { accent: '#123456' }, dark: { accent: '#abcdef' } });
  expect(both).toContain('--i-accent: var(--ivy-accent, light-dark(#123456, #abcdef));');
  expect(both).toContain('color-scheme: light dark;');
  expect(of({ scheme: 'host' })).not.toContain('color-scheme');
  expect(of({ scheme: 'dark' })).toContain(`--i-ink: var(--ivy-ink, ${presets.plain.dark.ink});`);
});

test('a page that is the listing’s alone has its ground, and its ink on it', () => {
  expect(pageSheet(makeLook())).not.toContain('background');
  const sheet = pageSheet(makeLook({ preset: 'lantern', scheme: 'dark' }));
  expect(sheet).toContain(`background: ${presets.lantern.dark.ground};`);
  expect(sheet).toContain('color-scheme: dark;');
});

test('contrast is measured as WCAG does', () => {
  expect(contrastOf('#ffffff', '#000000')).toBeCloseTo(21, 5);
  expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(contrastOf('currentcolor', '#ffffff')).toBeNull();
});

test.each(presetNames)('every text and every edge of %s holds AA, in light and in dark', (preset) => {
  const low = contrastsOf(makeLook({ preset, scheme: 'system' })).filter(({ ratio, least }) => ratio < least);
  expect(low).toEqual([]);
});

test('a colour that is too faint is told, with what it should be', () => {
  const look = makeLook({ light: { 'ink-2': '#bbbbbb' } });
  const low = contrastsOf(look).filter(({ ratio, least }) => ratio < least);
  expect(low.map(({ what, least }) => [what, least])).toContainEqual(['fainter text', 4.5]);
  expect(coloursOf(look, 'light')['ink-2']).toBe('#bbbbbb');
  expect(Object.keys(coloursOf(look, 'dark'))).toEqual([...colourNames]);
});
