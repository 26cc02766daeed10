import type { Choices } from '@ivy/view';
import { drivenBy, type Driver } from './following.js';

const follows = [
  { lens: 'walks', facet: 'place', field: 'where' },
  { lens: 'walks', facet: 'kind', field: 'type' },
  { lens: 'talks', facet: 'place', field: 'where' },
];
const driver = (facets: Choices['facets'], known: Promise<void> = Promise.resolve()): Driver => ({
  choices: { facets, sort: null, page: 1 },
  known,
});
const among = (drivers: Record<string, Driver>) => ({ driverOf: (lens: string) => drivers[lens], changed: () => {} });

test('what is chosen in each listing that is followed stands in a question, by the fields here', async () => {
  const page = among({ walks: driver({ place: ['coast', 'north'], kind: [] }), talks: driver({ place: ['inland'] }) });
  expect(decodeURIComponent(await drivenBy(follows, page))).toBe('~driven=where:coast,north;where:inland&');
});

test('nothing is said where nothing is chosen, the other is not there, or nothing is followed', async () => {
  const page = among({ walks: driver({}) });
  expect(await drivenBy(follows, page)).toBe('');
  expect(await drivenBy(follows, undefined)).toBe('');
  expect(await drivenBy([], page)).toBe('');
});

test('a listing whose choices are not known yet is waited for', async () => {
  let isKnown!: () => void;
  const walks = driver({}, new Promise((done) => (isKnown = done)));
  let said: string | undefined;
  void drivenBy(follows, among({ walks })).then((driven) => (said = driven));
  await new Promise((done) => setTimeout(done, 5));
  expect(said).toBeUndefined();
  walks.choices.facets.place = ['coast'];
  isKnown();
  await new Promise((done) => setTimeout(done, 5));
  expect(said).toBe('~driven=where%3Acoast&');
});
