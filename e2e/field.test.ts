import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** A field that was read wrongly is taken in hand: seen first, kept, answered, and undone. */

const csv = `id,title,seen,place
1,Low water,03/04/2026,Reedbed + Mudflat
2,Terns,05/04/2026,Mudflat
3,Gate shut,late May,Lagoon + Reedbed
4,Ice,31/02/2026,Lagoon
5,Count,12/04/2026,Mudflat
6,Mud,11/04/2026,mud flat
`;

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  const body = new FormData();
  body.append('file', new Blob([csv]), 'messy.csv');
  await fetch(`${stage.studio}/api/v1/sources`, { method: 'POST', body });
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const cells = () => browser.texts('tbody tr');
const field = async (key: string) => {
  const { fields } = (await (await fetch(`${stage.studio}/api/v1/sources/messy`)).json()) as {
    fields: { key: string; type: string; separator: string | null }[];
  };
  return fields.find((one) => one.key === key)!;
};

test('a text becomes days, seen on its own values first; kept, and undone again', async () => {
  await browser.size(1280, 800);
  await browser.go(`${stage.studio}/sources/messy`);
  await browser.press('main li button', 'No. 3');
  await browser.press('aside a', 'Take in hand');
  await browser.untilText('main h2', 'Seen');
  await browser.press('[aria-label="Read as"] button', 'Day');
  await browser.until('it is shown', async () => (await cells()).includes('1 03/04/2026 03/04/2026 2026-04-03'));
  expect((await cells())[2]).toBe('3 late May late May not read');
  await browser.untilText('main', '4 of 6 can be read');
  expect((await field('seen')).type).toBe('text');
  expect(await browser.axe()).toEqual([]);
  await (await browser.find('select')).sendKeys('published');
  await browser.press('button', 'Keep');
  await browser.untilText('[role=status]', 'The values as they came stay underneath');
  expect((await field('seen')).type).toBe('date');
  await browser.press('[role=status] button', 'Undo');
  await browser.until('it is as it was', async () => (await field('seen')).type === 'text');
  expect(await browser.errors()).toEqual([]);
});

test('by keys alone, on a phone: terms are parted, and a lens has them at once', async () => {
  await browser.size(390, 844);
  await browser.go(`${stage.studio}/sources/messy/fields/place`);
  const parted = () => browser.named('input', 'Parted by');
  const box = await parted();
  await box.sendKeys('+', Key.ENTER);
  await browser.untilText('main', '4 terms');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  expect(await browser.axe()).toEqual([]);
  await (await browser.named('button', 'Keep')).sendKeys(Key.ENTER);
  await browser.untilText('[role=status]', 'The values as they came stay underneath');
  expect((await field('place')).separator).toBe('+');
  const config = { facets: [{ key: 'place', kind: 'checkboxes', field: 'place' }] };
  const headers = { 'content-type': 'application/json' };
  await fetch(`${stage.studio}/api/v1/lenses`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ name: 'Messy', source: 'messy', config }),
  });
  const { matched } = (await (
    await fetch(`${stage.studio}/api/v1/lenses/messy/draft/results?place=reedbed`)
  ).json()) as { matched: number };
  expect(matched).toBe(2);
});

test('the tray can be used on a phone, and Escape leaves a field as it is', async () => {
  await browser.go(`${stage.studio}/sources/messy`);
  await browser.find('main li');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  await browser.go(`${stage.studio}/sources/messy/fields/title`);
  await browser.press('[aria-label="Read as"] button', 'Left out');
  await browser.untilText('header', 'not kept yet');
  await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
  await browser.until('it is left as it is', async () => !(await browser.text('header')).includes('not kept yet'));
});

test('two spellings are read as one where they were found, what comes of it first, and taken back', async () => {
  await browser.size(1280, 800);
  await browser.go(`${stage.studio}/sources/messy`);
  await browser.press('aside button', 'Read all as “Mudflat”');
  await browser.untilText('aside', '1 post changes');
  expect(await browser.axe()).toEqual([]);
  await browser.press('aside button', 'Keep');
  await browser.untilText('aside', 'Mended');
  const terms = async () =>
    ((await (await fetch(`${stage.studio}/api/v1/sources/messy/terms/place`)).json()) as { label: string }[]).map(
      ({ label }) => label,
    );
  expect(await terms()).not.toContain('mud flat');
  await browser.press('aside button', 'Undo');
  await browser.until('it is as it was', async () => (await terms()).includes('mud flat'));
  expect(await browser.errors()).toEqual([]);
});

test('a messy file, by keys alone: two types changed, twins mended, one undone, and a lens of it', async () => {
  const rows = ['walk_no,title,seen,open,place'].concat(
    Array.from({ length: 24 }, (_, i) => {
      const seen = i === 5 ? '31/02/2026' : `${10 + (i % 18)}/0${1 + (i % 6)}/2026`;
      const place = ['Mudflat', 'Reedbed', 'Lagoon'][i % 3]!;
      return `w${i},Walk ${i},${seen},${i % 2 ? 'offen' : 'zu'},${i === 6 ? 'mudflat' : i === 7 ? 'Reed-bed' : place}`;
    }),
  );
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-file-')), 'wall-walks.csv');
  writeFileSync(path, rows.join('\n'));
  const enter = async (selector: string, name: string) => (await browser.named(selector, name)).sendKeys(Key.ENTER);
  const source = async () =>
    (await (await fetch(`${stage.studio}/api/v1/sources/wall-walks`)).json()) as {
      fields: { key: string; type: string; mends?: object[] }[];
      findings: { code: string }[];
    };
  const typeOf = async (key: string) => (await source()).fields.find((one) => one.key === key)!.type;
  await browser.go(`${stage.studio}/sources`);
  await (await browser.find('input[type=file]')).sendKeys(path);
  await browser.untilText('h1', 'Wall walks');

  await enter('main li button', 'No. 4');
  await enter('aside a', 'Take in hand');
  await browser.untilText('main h2', 'Open');
  await enter('[aria-label="Read as"] button', 'Yes or no');
  await browser.untilText('main', '0 of 24 can be read');
  await (await browser.named('input', 'Means yes')).sendKeys('offen', Key.ENTER);
  await browser.untilText('main', '12 of 24 can be read');
  await (await browser.named('input', 'Means no')).sendKeys('zu', Key.ENTER);
  await browser.untilText('main', '24 of 24 can be read');
  await enter('button', 'Keep');
  await browser.until('it is kept', async () => (await typeOf('open')) === 'boolean');

  await enter('nav a', 'walk_no');
  await browser.untilText('main h2', 'Walk no');
  await browser.go(`${stage.studio}/sources/wall-walks/fields/title`);
  await enter('[aria-label="Read as"] button', 'Terms');
  await browser.untilText('main', '24 terms');
  await enter('button', 'Keep');
  await browser.until('it is kept', async () => (await typeOf('title')) === 'terms');

  await browser.go(`${stage.studio}/sources/wall-walks`);
  await enter('main li button', 'No. 5');
  await browser.untilText('figure', 'small letters');
  await enter('aside button', 'Mend all of this kind');
  await browser.untilText('aside [role=status]', '2 posts change');
  await browser.untilText('aside [role=status]', '5 terms → 3 terms');
  expect(await browser.axe()).toEqual([]);
  // what was to be pressed next has the focus
  await browser.driver.switchTo().activeElement().sendKeys(Key.ENTER);
  await browser.untilText('section[aria-label=Mended]', 'Read all as “Reedbed”');
  await enter('section[aria-label=Mended] button', 'Undo “Read all as “Reedbed””');
  await browser.until('one is undone', async () => {
    const { fields, findings } = await source();
    const { mends = [] } = fields.find(({ key }) => key === 'place')!;
    return mends.length === 1 && findings.filter(({ code }) => code === 'near-twins').length === 1;
  });

  await enter('button', 'Start a lens');
  await browser.untilText('section[aria-label=Address]', 'of 24');
  await browser.inFrame(() => browser.untilText('.ivy-facet[data-facet=place], [data-facet=place]', 'Reed-bed'));
  expect(await browser.errors()).toEqual([]);
});
