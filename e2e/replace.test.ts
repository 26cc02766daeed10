import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Posts that came in once come in again next month, and what was done wrong is taken back. */

let stage: Stage;
let browser: Browser;
const folder = mkdtempSync(join(tmpdir(), 'ivy-file-'));
const row = (i: number, place: string) => `w${i},Walk ${i},${place},${i % 5}`;
const may = ['id,title,place,hours', ...Array.from({ length: 12 }, (_, i) => row(i, ['Mudflat', 'Lagoon'][i % 2]!))];
/** One is changed, one is gone, two are new. */
const june = [...may.slice(0, 5), row(4, 'Reedbed'), ...may.slice(6, 12), row(20, 'Mudflat'), row(21, 'Lagoon')];

function file(name: string, lines: readonly string[]): string {
  const path = join(folder, name);
  writeFileSync(path, lines.join('\n'));
  return path;
}
async function total(): Promise<number> {
  const response = await fetch(`${stage.studio}/api/v1/lenses/walks-lens/draft/results`);
  return response.ok ? ((await response.json()) as { total: number }).total : 0;
}

beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  const body = new FormData();
  body.append('slug', 'walks');
  body.append('name', 'Walks by day');
  body.append('file', new Blob([may.join('\n')]), 'walks-by-day.csv');
  await fetch(`${stage.studio}/api/v1/sources`, { method: 'POST', body });
  await fetch(`${stage.studio}/api/v1/lenses`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Walks lens', source: 'walks' }),
  });
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

test('next month’s file is dropped, its changes read, what it lacks kept back, and all undone', async () => {
  await browser.size(1280, 800);
  await browser.go(`${stage.studio}/sources`);
  await browser.untilText('main', 'Walks by day');
  await (await browser.find('input[type=file]')).sendKeys(file('walks-june.csv', june));
  // it goes by another name, and has the fields of what is there
  await browser.untilText('main', 'walks-june.csv has the fields of Walks by day');
  await browser.press('button', 'Replace its posts');
  await browser.untilText('[aria-label=changed]', '~1');
  await browser.untilText('[aria-label=changed]', 'Reedbed');
  expect(await browser.text('[aria-label=removed]')).toContain('Walk 11');
  expect(await browser.axe()).toEqual([]);
  expect(await total()).toBe(12);
  await browser.press('main input[type=checkbox]');
  await browser.untilText('header ~ section', 'of 14 posts');
  await browser.press('button', 'Keep 14');
  await browser.untilText('h1', 'Walks by day');
  expect(await total()).toBe(14);
  await browser.press('a', 'History');
  await browser.untilText('main', '2 runs');
  expect(await browser.axe()).toEqual([]);
  await browser.press('main button', 'Undo');
  await browser.untilText('main', '3 runs');
  expect(await total()).toBe(12);
  expect(await browser.errors()).toEqual([]);
});

test('a source is deleted with its lens, and brought back from the bottom drawer', async () => {
  await browser.size(390, 844);
  await browser.go(`${stage.studio}/sources`);
  await browser.press('main button', 'Delete Walks by day');
  await browser.untilText('main [role=status]', '“Walks lens” with it');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  await browser.press('main button', 'Delete');
  await browser.untilText('[aria-label="Bottom drawer"]', 'Walks by day');
  expect(await total()).toBe(0);
  expect(await browser.axe()).toEqual([]);
  await browser.press('[aria-label="Bottom drawer"] button', 'Bring back Walks by day');
  await browser.until('it is back', async () => (await total()) === 12);
  expect(await browser.errors()).toEqual([]);
});

test('a hundred thousand posts are listed, gone through by the ruler, narrowed, ordered, and one is opened, by keys', async () => {
  const rows = Array.from(
    { length: 100_000 },
    (_, i) => `p${i},Post ${i},${['Mudflat', 'Lagoon'][i % 2]},${i},${1962 + Math.floor(i / 2000)}-05-01`,
  );
  const body = new FormData();
  body.append('slug', 'many');
  body.append('file', new Blob([['id,title,place,minutes,seen', ...rows].join('\n')]), 'many.csv');
  await fetch(`${stage.studio}/api/v1/sources`, { method: 'POST', body });
  await browser.size(1280, 800);
  await browser.go(`${stage.studio}/sources/many`);
  await browser.press('a', 'Posts');
  await browser.untilText('[role=status]', '100,000 of 100,000 posts');
  await browser.untilText('main', '2011');
  expect(await browser.axe()).toEqual([]);
  await (await browser.named('button', 'Minutes')).sendKeys(Key.ENTER);
  await browser.untilText('[data-place="0"]', 'Post 0');
  await (await browser.named('button', 'Minutes')).sendKeys(Key.ENTER);
  await browser.untilText('[data-place="0"]', 'Post 99999');
  const ruler = await browser.find('[role=scrollbar]');
  await ruler.sendKeys(Key.END);
  await browser.untilText('[data-place="99999"]', 'Post 0');
  await ruler.sendKeys(Key.HOME);
  await browser.untilText('[data-place="0"]', 'Post 99999');
  // half-way down the ruler is half-way through the posts
  await browser.driver.actions().move({ origin: ruler }).press().release().perform();
  await browser.until('it is half-way', async () => {
    const at = await browser.run<number>(`return document.querySelector('[role=table]').scrollTop / 34`);
    return Math.abs(at - 50_000) < 200;
  });
  const row = await browser.run<number>(`
    const top = Math.ceil(document.querySelector('[role=table]').scrollTop / 34);
    return top + 4 + (top % 2)`);
  await browser.untilText(`[data-place="${row}"]`, `Post ${99_999 - row}`);
  await (await browser.find(`[data-place="${row}"]`)).sendKeys(Key.ARROW_DOWN);
  await browser.driver.switchTo().activeElement().sendKeys(Key.ENTER);
  await browser.untilText('aside h2', `Post ${99_998 - row}`);
  await browser.untilText('aside tbody', 'Mudflat');
  expect(await browser.axe()).toEqual([]);
  await browser.driver.actions().sendKeys(Key.ESCAPE).perform();
  await (await browser.find('input[type=search]')).sendKeys('post 42');
  await (await browser.named('select', 'Only Place')).sendKeys('Mudflat');
  await browser.untilText('[data-place="0"]', 'Post 42');
  expect(await browser.errors()).toEqual([]);
}, 120_000);
