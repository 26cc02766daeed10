import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

function file(name: string, text: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-file-')), name);
  writeFileSync(path, text);
  return path;
}

test('a broken file gets a clear sentence and changes nothing', async () => {
  await browser.go(`${stage.studio}/sources`);
  await browser.untilText('main', '4 sources');
  await (await browser.find('input[type=file]')).sendKeys(file('walks.json', '[{"title": "One"},\n{"title": }]'));
  await browser.untilText('[role=alert]', 'walks.json: The JSON is broken near line 2');
  expect(await browser.text('main')).toContain('4 sources');
});

test('a file of one’s own becomes a source, its fields found, and a sensible lens on it', async () => {
  const walks = Array.from({ length: 30 }, (_, i) => ({
    id: `w${i}`,
    name: `Walk ${i}`,
    region: ['North > Fells', 'North > Coast', 'South > Downs'][i % 3],
    terrain: i % 2 ? ['Steep', 'Boggy'] : ['Easy'],
    miles: 2 + (i % 7) / 2,
    date: `2026-0${1 + (i % 6)}-10`,
    dogs: i % 2 === 0,
  }));
  await (await browser.find('input[type=file]')).sendKeys(file('hill-walks.json', JSON.stringify(walks)));
  await browser.untilText('h1', 'Hill walks');
  const tray = await browser.text('main');
  expect(tray).toContain('7 fields on the tray');
  expect(tray).toContain('5 would make good facets.');
  for (const words of [
    'terms in a tree',
    'terms, many each',
    'numbers',
    'days',
    'yes or no',
    'card title',
    'the key',
    'published',
  ])
    expect(tray).toContain(words);
  await browser.press('button', 'Start a lens');
  await browser.untilText('section[aria-label=Address]', 'of 30');
  const facets = await browser.inFrame(async () => {
    await browser.find('.ivy-card');
    return browser.texts('.ivy-facet-title');
  });
  expect(facets).toEqual(['Search', 'Region', 'Terrain', 'Dogs', 'Miles', 'Date']);
  await browser.inFrame(async () => (await browser.named('[data-facet=terrain] input', 'Steep')).sendKeys(Key.SPACE));
  await browser.untilSearch('?terrain=steep');
  await browser.until('15 of 30', async () => (await browser.text('[data-testid=matched]')) === '15');
});

test('a file can be dropped on the page', async () => {
  await browser.go(`${stage.studio}/sources`);
  await browser.untilText('main', '5 sources');
  await browser.run(`const data = new DataTransfer();
    data.items.add(new File(['id,title,kind\\n1,A,x\\n2,B,y\\n3,C,x'], 'dropped.csv', { type: 'text/csv' }));
    const zone = document.querySelector('.squared');
    for (const type of ['dragover', 'drop']) zone.dispatchEvent(new DragEvent(type, { bubbles: true, cancelable: true, dataTransfer: data }));`);
  await browser.untilText('h1', 'Dropped');
});
