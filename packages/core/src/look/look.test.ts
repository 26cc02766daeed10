import { readLens } from '../lens/lens.js';
import { checkLens } from '../lens/check.js';
import { makeLook, pageLook, placedAt } from './look.js';

const problemsOf = (look: object) => {
  const read = readLens({ look });
  return read.ok ? [] : read.problems.map(({ pointer, message }) => `${pointer} ${message}`);
};

test('a look that says nothing has facets beside the cards, and on a phone in a sheet', () => {
  const { phone, tablet, desktop } = pageLook(makeLook());
  expect([phone.facets, tablet.facets, desktop.facets]).toEqual(['sheet', 'side', 'side']);
  expect([desktop.columns, desktop.exact]).toEqual([3, false]);
});

test('a span has what all widths have, but for what it says itself', () => {
  const look = makeLook({
    columns: 4,
    gap: 10,
    facets: 'top',
    tablet: { columns: 2, folded: {} },
    phone: { facets: 'stacked', arrangement: 'rows', folded: { place: true } },
  });
  expect(placedAt(look, 'tablet')).toMatchObject({ columns: 2, exact: true, gap: 10, facets: 'top', folded: {} });
  expect(placedAt(look, 'phone')).toMatchObject({
    columns: 4,
    exact: false,
    arrangement: 'rows',
    facets: 'stacked',
    folded: { place: true },
  });
  expect(placedAt(look, 'desktop')).toMatchObject({ columns: 4, facets: 'top', arrangement: 'grid', folded: {} });
});

test.each([
  [{ light: { accent: 'red' } }, '/look/light/accent must be a colour such as #1f5b40'],
  [{ light: { accent: '#12345' } }, '/look/light/accent must be a colour such as #1f5b40'],
  [{ dark: { colour: '#123456' } }, '/look/dark/colour is not known here'],
  [{ type: { title: { family: 'a; } body { color: red' } } }, '/look/type/title/family must be names of fonts'],
  [{ type: { footer: {} } }, '/look/type/footer is not known here'],
  [{ preset: 'mine' }, '/look/preset must be one of plain, herbarium'],
  [{ columns: 0 }, '/look/columns must be a whole number from 1 to 6'],
  [{ phone: { columns: 9 } }, '/look/phone/columns must be a whole number from 1 to 6'],
  [{ tabletFrom: 3 }, '/look/tabletFrom must be a whole number from 240 to 2000'],
])('%j is refused', (look, words) => {
  expect(problemsOf(look).join('\n')).toContain(words);
});

test('a desktop may not begin before a tablet does', () => {
  const read = readLens({ look: { tabletFrom: 900, desktopFrom: 800 } });
  expect(read.ok && checkLens(read.value, []).map(({ pointer }) => pointer)).toEqual(['/look/desktopFrom']);
});
