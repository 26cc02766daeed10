import { plainField } from '../model/post.js';
import { changesBetween } from './changes.js';
import { checkLens } from './check.js';
import { bestLanguage, languagesOf, lensIn, lensTexts } from './languages.js';
import { readLens, type Lens } from './lens.js';

const fields = [
  { ...plainField('place', 'Place'), type: 'terms' as const, tree: true },
  { ...plainField('day', 'Day'), type: 'date' as const },
  { ...plainField('minutes', 'Minutes'), type: 'number' as const },
];
function lensWith(config: object = {}): Lens {
  const read = readLens({
    facets: [
      { key: 'place', kind: 'steps', field: 'place', levels: ['Country', 'Town'] },
      { key: 'minutes', kind: 'number-range', field: 'minutes', label: 'Time', unit: 'min' },
      { key: 'day', kind: 'date-range', field: 'day', presets: [{ label: 'Last month', range: 'P30D' }] },
    ],
    sort: {
      options: [
        { key: 'new', label: 'Newest', field: 'day', order: 'desc' },
        { key: 'long', field: 'minutes' },
      ],
    },
    card: { parts: [{ show: 'number', field: 'minutes', words: 'min' }] },
    texts: { posts: '{n} walk|{n} walks' },
    ...config,
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
const german = {
  de: {
    texts: { emptyTitle: 'Keine Wanderung' },
    labels: {
      'facets/place/label': 'Ort',
      'facets/place/levels/1': 'Stadt',
      'facets/minutes/unit': 'Min.',
      'facets/day/presets/0/label': 'Letzter Monat',
      'sort/new/label': 'Neueste',
      'card/minutes/words': 'Min.',
    },
  },
};

test('all that a lens says itself is listed with where it stands, as it reads in its own language', () => {
  expect(lensTexts(lensWith(), fields)).toEqual([
    { at: 'facets/place/label', text: 'Place' },
    { at: 'facets/place/levels/0', text: 'Country' },
    { at: 'facets/place/levels/1', text: 'Town' },
    { at: 'facets/minutes/label', text: 'Time' },
    { at: 'facets/minutes/unit', text: 'min' },
    { at: 'facets/day/label', text: 'Day' },
    { at: 'facets/day/presets/0/label', text: 'Last month' },
    { at: 'sort/new/label', text: 'Newest' },
    { at: 'sort/long/label', text: 'Minutes' },
    { at: 'card/minutes/words', text: 'min' },
  ]);
});

test('in another language it has that one’s words; what was not written there stays, but for orders and built-in texts', () => {
  const lens = lensWith({ languages: german });
  const made = lensIn(lens, 'de');
  expect([made.language, made.languages, checkLens(made, fields)]).toEqual(['de', {}, []]);
  expect(made.texts).toEqual({ emptyTitle: 'Keine Wanderung' });
  expect(lensTexts(made, fields).map(({ text }) => text)).toEqual([
    'Ort',
    'Country',
    'Stadt',
    'Time',
    'Min.',
    'Day',
    'Letzter Monat',
    'Neueste',
    'Minutes',
    'Min.',
  ]);
  expect(lensIn(lens, 'en')).toBe(lens);
  expect(lensIn(lens, 'fr')).toBe(lens);
});

test('a reader gets the nearest of its languages', () => {
  const lens = lensWith({ languages: { de: {}, 'pt-BR': {} } });
  expect(languagesOf(lens)).toEqual(['en', 'de', 'pt-BR']);
  const found = (...wanted: string[]) => bestLanguage(lens, wanted);
  expect([found('de'), found('DE-at'), found('pt'), found('pt-PT'), found('fr', 'de'), found('fr'), found()]).toEqual([
    'de',
    'de',
    'pt-BR',
    'pt-BR',
    'de',
    'en',
    'en',
  ]);
});

test('a language that is none, or the lens’s own, is refused with its place', () => {
  const problems = checkLens(lensWith({ languages: { en: {}, 'no such': {} } }), fields);
  expect(problems.map(({ pointer }) => pointer)).toEqual(['/languages/en', '/languages/no such']);
});

test('a further language, and other words in it, are told before a release', () => {
  const titles = (before: Lens, after: Lens) => changesBetween(before, after).map(({ title }) => title);
  const spoken = lensWith({ languages: german });
  expect(titles(lensWith(), spoken)).toEqual(['The listing speaks other languages besides']);
  expect(titles(spoken, lensWith({ languages: { de: {} } }))).toEqual([
    'Some words read differently in other languages',
  ]);
});

test('what stands in for a label is in the lens’s own words where it has some', () => {
  const config = {
    facets: [{ key: 'q', kind: 'search', fields: ['place'] }],
    sort: { options: [{ key: 'new', field: 'day', order: 'desc' }] },
    texts: { search: 'Look for', newest: 'Latest' },
  };
  expect(lensTexts(lensWith(config), fields).map(({ text }) => text)).toEqual(['Look for', 'Latest', 'min']);
});
