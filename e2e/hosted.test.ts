import { unzipSync } from 'fflate';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** The hosted page, with scripts and without. */

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

const scripts = (on: boolean) => browser.command('Emulation.setScriptExecutionDisabled', { value: !on });
const open = (query: string) => browser.go(`${stage.studio}/l/field-notes?${query}`);
const line = () => browser.text('.ivy-count-line');

describe('without scripts', () => {
  beforeAll(() => scripts(false));
  afterAll(() => scripts(true));

  test('a choice is ticked and sent, and the address says it', async () => {
    await open('ref=letter');
    expect(await line()).toContain('480 notes');
    await browser.press('[data-facet=habitat] input[value=mudflat]');
    await (await browser.find('[data-facet=q] input')).sendKeys('wigeon');
    await browser.press('.ivy-apply button');
    await browser.until('fewer', async () => !(await line()).includes('480 notes'));
    const sent = new URLSearchParams(await browser.search());
    expect([sent.get('ref'), sent.get('habitat'), sent.get('q')]).toEqual(['letter', 'mudflat', 'wigeon']);
    expect(await browser.texts('.ivy-chip')).toEqual(['“wigeon”', 'Mudflat']);
    expect((await browser.texts('mark')).map((mark) => mark.toLowerCase())).toContain('wigeon');
  });

  test('a range is typed into two boxes, or taken ready', async () => {
    await open('habitat=mudflat');
    await (await browser.find('[name="minutes.from"]')).sendKeys('4');
    await browser.press('.ivy-apply button');
    await browser.untilSearch('?habitat=mudflat&minutes=4/..');
    expect(await browser.texts('.ivy-chip')).toEqual(['Mudflat', 'from 4 min']);
    await browser.press('.ivy-presets a', '2026');
    await browser.untilSearch('?habitat=mudflat&observed=2026&minutes=4/..');
    expect(await browser.texts('.ivy-presets [aria-current]')).toEqual(['2026']);
  });

  test('a chip takes its choice away, a page link turns the page, and back goes back', async () => {
    await open('habitat=mudflat&kind=survey');
    await browser.press('.ivy-chip');
    await browser.untilSearch('?kind=survey');
    await browser.press('.ivy-pager a[rel=next]');
    await browser.untilSearch('?kind=survey&page=2');
    await browser.back();
    await browser.back();
    expect(await browser.texts('.ivy-chip')).toEqual(['Mudflat', 'Survey']);
  });

  test.each([1280, 390])('all of it fits at %i wide', async (width) => {
    await browser.size(width, 800);
    await open('habitat=mudflat');
    expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
    expect(await browser.run('return document.querySelector(".ivy-facet").getBoundingClientRect().width > 100')).toBe(
      true,
    );
    await browser.size(1280, 800);
  });
});

test('with scripts the page is taken over, and nothing that was there jumps', async () => {
  await open('habitat=mudflat');
  const places = `return [...document.querySelectorAll('.ivy-card')].slice(0, 3).map((card) => Math.round(card.getBoundingClientRect().top))`;
  await browser.find('form[data-plain], ivy-lens > .ivy-frame:not([data-plain])');
  await browser.find('ivy-lens[data-status=ready] > div.ivy-frame');
  expect(await browser.texts('[data-plain]')).toEqual([]);
  const now = await browser.run<number[]>(places);
  await scripts(false);
  await open('habitat=mudflat');
  expect(await browser.run<number[]>(places)).toEqual(now);
  await scripts(true);
  await open('habitat=mudflat');
  await browser.find('ivy-lens[data-status=ready] > div.ivy-frame');
  await browser.press('[data-facet=habitat] input', 'Lagoon');
  await browser.untilSearch('?habitat=lagoon,mudflat');
});

test('axe finds nothing on the page as it is sent', async () => {
  await browser.command('Network.enable');
  await browser.command('Network.setBlockedURLs', { urls: ['*/embed/ivy-lens.js'] });
  await open('habitat=mudflat&observed=2026');
  await browser.find('form[data-plain]');
  expect(await browser.axe()).toEqual([]);
  await browser.command('Network.setBlockedURLs', { urls: [] });
});

describe('taken along', () => {
  const folder = mkdtempSync(join(tmpdir(), 'ivy-along-'));
  const page = pathToFileURL(join(folder, 'field-notes', 'index.html')).href;
  const offline = (is: boolean) =>
    browser.command('Network.emulateNetworkConditions', {
      ...{ offline: is, latency: 0, downloadThroughput: -1, uploadThroughput: -1 },
    });

  beforeAll(async () => {
    await browser.command('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await browser.command('Network.enable');
    await browser.go(`${stage.studio}/lenses/field-notes/publish`);
    await browser.press('button', 'Take it along');
    await browser.untilText('section[aria-label="To take along"]', 'field-notes.zip is yours.');
    const zip = join(folder, 'field-notes.zip');
    await browser.until('the file on the disk', () => Promise.resolve(existsSync(zip)));
    mkdirSync(join(folder, 'field-notes'));
    for (const [name, bytes] of Object.entries(unzipSync(readFileSync(zip)))) {
      writeFileSync(join(folder, 'field-notes', name), bytes);
    }
  });
  afterAll(async () => {
    await offline(false);
    rmSync(folder, { recursive: true });
  });

  test('a page opened from the disk answers as the server does, with nobody to ask', async () => {
    expect(readdirSync(join(folder, 'field-notes')).sort()).toEqual(['README.md', 'index.html', 'ivy-lens.js']);
    const address = 'habitat=mudflat&q=wigeon';
    await open(address);
    const titles = await browser.texts('.ivy-title');
    const counts = await browser.texts('[data-facet=kind] .ivy-tick');
    expect([titles.length, counts.length]).not.toContain(0);
    await offline(true);
    await browser.go(`${page}?${address}`);
    await browser.until('the same posts', async () => (await browser.texts('.ivy-title')).join() === titles.join());
    expect(await browser.texts('[data-facet=kind] .ivy-tick')).toEqual(counts);
    expect(await browser.texts('.ivy-chip')).toEqual(['“wigeon”', 'Mudflat']);
  });

  test('choices, the way back and a reload are those of any page', async () => {
    await offline(true);
    await browser.go(page);
    await browser.untilText('.ivy-count-line', '480');
    await browser.press('[data-facet=kind] input', 'Survey');
    await browser.untilSearch('?kind=survey');
    await browser.untilText('.ivy-count-line', 'of 480');
    const chosen = await line();
    await browser.go(`${page}?kind=survey`);
    await browser.untilText('.ivy-count-line', 'of 480');
    expect(await line()).toBe(chosen);
    await browser.press('.ivy-clear');
    await browser.untilSearch('');
    await browser.back();
    await browser.untilSearch('?kind=survey');
    // pictures stay where they were, and nothing else is asked for
    expect((await browser.errors()).filter((one) => !one.includes('/pictures/'))).toEqual([]);
  });

  test('without scripts its posts are there as links', async () => {
    await scripts(false);
    await browser.go(page);
    expect((await browser.texts('noscript li a')).length).toBe(480);
    await scripts(true);
  });
});
