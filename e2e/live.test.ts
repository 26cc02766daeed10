import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Posts come from wherever they live, and stay fresh by themselves. */

let stage: Stage;
let browser: Browser;
const folder = mkdtempSync(join(tmpdir(), 'ivy-given-'));
const mood = (said: object) =>
  fetch(`${stage.press}/press/mood`, { method: 'POST', body: JSON.stringify(said) }).then((reply) => reply.text());
const given = (name: string, text: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});
beforeEach(async () => {
  await mood({});
  await browser.size(1280, 800);
});

test('a feed is looked at, kept, and tells by itself how fresh it is', async () => {
  await browser.go(`${stage.studio}/sources`);
  await (await browser.find('#posts-address')).sendKeys(`${stage.press}/notes.rss`);
  await browser.press('button', 'Look there');
  await browser.untilText('main', '60 posts');
  expect(await browser.text('aside')).toContain('all in one answer');
  expect(await browser.axe()).toEqual([]);
  const name = await browser.find('aside input');
  await name.clear();
  await name.sendKeys('News of the wardens');
  await browser.press('button', 'Keep it fresh');
  await browser.untilText('[aria-label="Where it comes from"]', 'looked at');
  expect(await browser.text('main')).toContain('fields on the tray');
  expect(await browser.axe()).toEqual([]);
  await browser.size(390, 844);
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  expect(await browser.errors()).toEqual([]);
});

test('one that fails says why and keeps its posts, recovers, and asks before much is taken away', async () => {
  await browser.go(`${stage.studio}/sources/wardens-press`);
  await browser.untilText('[aria-label="Where it comes from"]', 'looked at');
  await mood({ fail: 503 });
  await browser.press('button', 'Look now');
  await browser.untilText('[role=alert]', 'answered 503');
  await browser.untilText('[role=alert]', 'posts that came last stay');
  expect(await browser.axe()).toEqual([]);
  // what it publishes meanwhile is there once it answers again
  await mood({
    publish: {
      title: 'A seal by the hide',
      text: 'Seen twice.',
      posted: '2026-07-01T10:00:00Z',
      author: 11,
      habitats: [101],
      kind: 31,
    },
  });
  await browser.press('button', 'Look now');
  await browser.until(
    'it is fresh again',
    async () => (await browser.run<number>('return document.querySelectorAll("[role=alert]").length')) === 0,
  );
  await browser.untilText('[aria-label="Where it comes from"]', 'new');
  await mood({ lose: 200 });
  await browser.press('button', 'Look now');
  await browser.untilText('[role=alert]', 'posts would go');
  expect(await browser.axe()).toEqual([]);
  await browser.press('a', 'History');
  await browser.untilText('main', 'Waits for you');
  await browser.untilText('main', 'answered 503');
  expect(await browser.axe()).toEqual([]);
  await browser.back();
  await browser.press('button', 'Let them go');
  await browser.untilText('[aria-label="Where it comes from"]', 'gone');
  // the browser notes what the server refused, which was asked for here
  expect((await browser.errors()).filter((words) => !words.includes('/refresh'))).toEqual([]);
});

test('someone who looks at it sees it change by itself', async () => {
  const body = JSON.stringify({ name: 'Seen', slug: 'seen', url: `${stage.press}/api/walks`, every: 60 });
  const headers = { 'content-type': 'application/json' };
  await fetch(`${stage.studio}/api/v1/sources`, { method: 'POST', body, headers });
  await browser.go(`${stage.studio}/sources/seen`);
  await browser.untilText('[aria-label="How it was read"]', '44 posts');
  await fetch(`${stage.studio}/api/v1/sources/seen/live`, {
    method: 'PUT',
    headers,
    body: JSON.stringify({ url: `${stage.press}/walks.ics`, every: 0 }),
  });
  await browser.untilText('[aria-label="Where it comes from"]', 'walks.ics');
});

test('a page that marks nothing is read by what repeats, and one can press its parts instead', async () => {
  await browser.go(`${stage.studio}/look?address=${encodeURIComponent(`${stage.press}/plain`)}`);
  await browser.untilText('main', '80 posts');
  const heads = await browser.texts('th');
  expect(heads.join(' ')).toMatch(/Title.*Date.*Lead/s);
  await browser.press('a', 'Press its parts yourself');
  await browser.untilText('body', 'Keep the mapping');
  expect(await browser.errors()).toEqual([]);
});

test('a list of feeds becomes one source', async () => {
  await browser.go(`${stage.studio}/look?address=${encodeURIComponent(`${stage.press}/feeds.opml`)}`);
  await browser.untilText('main', '2 feeds in this list');
  expect(await browser.axe()).toEqual([]);
  await browser.press('button', 'Keep it fresh');
  await browser.untilText('[aria-label="Where it comes from"]', '2 feeds');
  await browser.untilText('main', 'feed');
});

test('a table that is read wrong is said otherwise, and brought in as it was seen', async () => {
  await browser.go(`${stage.studio}/sources`);
  await browser.press('button', 'Look at it first');
  await (
    await browser.find('input[type=file]')
  ).sendKeys(given('walks.csv', 'Mudflat;Walk\nLagoon;Talk\nReedbed;Count'));
  await browser.untilText('main', '2 posts');
  await (await browser.named('select', 'names')).sendKeys('in no row');
  await browser.untilText('main', '3 posts');
  expect(await browser.axe()).toEqual([]);
  await browser.size(390, 844);
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  await browser.press('button', 'Bring it in');
  await browser.untilText('main', 'fields on the tray');
  expect(await browser.text('[aria-label="How it was read"]')).toContain('3 posts');
  expect(await browser.errors()).toEqual([]);
});

test('of several lists in a file the posts are picked', async () => {
  const document = { wardens: [{ id: 1, name: 'Ann' }], walks: [1, 2, 3].map((id) => ({ id, title: `Walk ${id}` })) };
  await browser.go(`${stage.studio}/sources`);
  await browser.press('button', 'Look at it first');
  await (await browser.find('input[type=file]')).sendKeys(given('all.json', JSON.stringify(document)));
  await browser.untilText('main', '3 posts');
  await (await browser.named('select', 'posts')).sendKeys('/wardens');
  await browser.untilText('main', '1 post');
  await browser.untilText('main', 'Ann');
});
