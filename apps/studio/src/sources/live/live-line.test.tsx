import type { LiveView } from '@ivy/client';
import { BesideServer } from '../../../test/beside-server.js';
import { LiveLine } from './live-line.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const live = (more: Partial<LiveView> = {}): LiveView => ({
  ...{ url: 'https://a.example/api', feeds: [{ address: 'https://a.example/api', name: 'a.example' }], every: 60 },
  ...{ headers: ['X-Key'], paging: 'all in one answer', found: [], joins: [], state: 'fresh', failures: 0 },
  ...{ checkedAt: new Date(Date.now() - 120_000).toISOString(), nextAt: null, problem: null, held: null, hub: null },
  ping: { path: '/api/v1/pings/1', secret: 's' },
  ...more,
});
const drawn = (view: LiveView) => page.visit(<LiveLine slug="notes" posts={90} live={view} />, '/', '/');

test('one looks now, and what is new is said', async () => {
  await drawn(live());
  expect(page.texts('section')[0]).toContain('looked at 2 minutes ago');
  page.answer('POST /sources/notes/refresh', { state: 'done', added: 3, changed: 1, removed: 0 });
  await page.pressAndSettle('Look now');
  expect(page.texts('[role=status]')).toEqual(['3 new, 1 changed']);
});

test('one that fails says why, how often, and that the posts stay', async () => {
  await drawn(live({ state: 'failing', failures: 3, problem: { code: 'x', text: 'a.example answered 503.' } }));
  expect(page.texts('[role=alert]')[0]).toBe(
    'It could not be fetched 3 times in a row: a.example answered 503. The 90 posts that came last stay.',
  );
});

test('one that waits is let go by a press', async () => {
  await drawn(live({ state: 'held', held: { at: '', added: 1, changed: 0, removed: 60, total: 31 } }));
  expect(page.texts('[role=alert]')[0]).toContain('60 posts would go, of 90');
  page.answer('POST /sources/notes/refresh', { state: 'done', added: 1, changed: 0, removed: 60 });
  await page.pressAndSettle('Let them go');
  expect(page.texts('[role=status]')).toEqual(['1 new, 60 gone']);
});

test('where and how often is changed, and what headers say is never there to be read', async () => {
  await drawn(live());
  await page.pressAndSettle('Where and how often');
  expect(page.texts('form')[0]).toContain('X-Key');
  await page.pressAndSettle('A header, such as a key');
  expect(page.element.querySelectorAll('input[type=password]')).toHaveLength(1);
  await page.pressAndSettle('Stop looking there');
  expect(page.texts('form')[0]).toContain('Its posts stay as they are now');
});
