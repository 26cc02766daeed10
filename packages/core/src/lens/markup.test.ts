import { changesBetween } from './changes.js';
import { checkLens } from './check.js';
import { readLens, type Lens } from './lens.js';
import { markNames } from './markup.js';

const read = (markup: unknown) => readLens({ markup });
const lensWith = (marks: unknown[]): Lens => {
  const found = read({ page: 'https://example.org/news', marks });
  if (!found.ok) throw new Error(JSON.stringify(found.problems));
  return found.value;
};

test('a lens stands on no page of its own unless it says so', () => {
  const found = readLens({});
  expect(found.ok && found.value.markup).toEqual({ page: '', marks: [] });
});

test('a mark looks on the page where it does not say in the items', () => {
  const { markup } = lensWith([{ at: '.list', says: { list: '' } }]);
  expect(markup.marks).toEqual([{ at: '.list', in: 'page', says: { list: '' } }]);
});

test('what nothing reads is refused, with where it stands', () => {
  const marks = [{ at: 'b', in: 'item', says: { field: 'x', colour: 'red', on: '' } }];
  const problems = checkLens(lensWith(marks), []).map(({ pointer }) => pointer);
  // what the script sets itself is no mark either
  expect(problems).toEqual(['/markup/marks/0/says/colour', '/markup/marks/0/says/on']);
  for (const name of markNames) expect(checkLens(lensWith([{ at: 'b', says: { [name]: 'x' } }]), [])).toEqual([]);
});

test.each([
  [{ marks: [{ at: '', says: {} }] }, '/markup/marks/0/at'],
  [{ marks: [{ at: 'b', in: 'elsewhere', says: {} }] }, '/markup/marks/0/in'],
  [{ marks: [{ at: 'b', says: { field: 3 } }] }, '/markup/marks/0/says/field'],
  [{ marks: Array.from({ length: 301 }, () => ({ at: 'b', says: {} })) }, '/markup/marks'],
  [{ page: 'x'.repeat(2001) }, '/markup/page'],
])('%#: a wrong form is told by a pointer', (markup, pointer) => {
  const found = read(markup);
  expect(found.ok ? [] : found.problems.map((one) => one.pointer)).toEqual([pointer]);
});

test('a mark more is a change that is told', () => {
  const [before, after] = [lensWith([]), lensWith([{ at: 'b', says: { list: '' } }])];
  expect(changesBetween(before, after).map(({ title }) => title)).toEqual(['Other things are marked on its page']);
  expect(changesBetween(after, after)).toEqual([]);
});
