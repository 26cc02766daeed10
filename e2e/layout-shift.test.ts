import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Nothing on a page moves by itself: while it loads, while one chooses, types and pages, on fast and slow networks. */

/** Cumulative layout shift that visitors do not notice. */
const still = 0.02;
const slow = { offline: false, latency: 700, downloadThroughput: 200_000, uploadThroughput: 60_000 };
const fast = { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1 };

let stage: Stage;
let browser: Browser;
let host: Server;
let plain: string;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  const snippet = `<script type="module" src="${stage.studio}/embed/ivy-lens.js"></script>
    <ivy-lens name="field-notes" style="display:block;min-height:100vh"></ivy-lens>`;
  const page = `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>Plain</title>
    <h1>Our notes</h1>${snippet}<footer><h2>About us</h2><p>A plain page with a foot of some lines.</p></footer>`;
  host = createServer((_request, response) => response.setHeader('content-type', 'text/html').end(page));
  await new Promise<void>((done) => host.listen(0, '127.0.0.1', done));
  plain = `http://127.0.0.1:${(host.address() as AddressInfo).port}/`;
  await browser.command('Network.enable');
  await browser.command('Network.setCacheDisabled', { cacheDisabled: true });
  await browser.command('Page.addScriptToEvaluateOnNewDocument', {
    source: `window.shifts = [];
      new PerformanceObserver((list) => shifts.push(...list.getEntries())).observe({ type: 'layout-shift', buffered: true })`,
  });
});
afterAll(async () => {
  await browser?.close();
  host?.close();
  await stage?.stop();
});

/** What moved without a visitor's doing since the page was opened, as the browser counts it. */
async function moved(): Promise<number> {
  await browser.driver.sleep(600);
  return browser.run('return shifts.filter((one) => !one.hadRecentInput).reduce((sum, { value }) => sum + value, 0)');
}

const answered = () =>
  browser.until('an answer', () =>
    browser.run(`return document.querySelector('.ivy-results-body')?.getAttribute('aria-busy') === 'false'`),
  );

async function open(url: string, network: object): Promise<void> {
  await browser.size(1280, 800);
  await browser.command('Network.emulateNetworkConditions', network);
  await browser.go(url);
  await browser.find('.ivy-card');
  await answered();
}

async function use(): Promise<void> {
  await browser.press('[data-facet=habitat] input', 'Mudflat');
  await browser.untilSearch('?habitat=mudflat');
  await answered();
  const box = await browser.find('input[type=search]');
  for (const letter of 'tern') await box.sendKeys(letter);
  await browser.until('the search is written', async () => (await browser.search()).includes('q=tern'));
  await answered();
  await browser.press('.ivy-clear');
  await browser.untilSearch('');
  await answered();
  await browser.press('.ivy-page', 'Next');
  await browser.untilSearch('?page=2');
  await answered();
}

test.each([
  ['a plain page', 'fast', fast, () => plain],
  ['a plain page', 'slow', slow, () => plain],
  ['the demo site, whose fonts come late', 'fast', fast, () => stage.site],
  ['the demo site, whose fonts come late', 'slow', slow, () => stage.site],
])('%s keeps still on a %s network', async (_page, _speed, network, url) => {
  await open(url(), network);
  expect(await moved()).toBeLessThanOrEqual(still);
  await use();
  expect(await moved()).toBeLessThanOrEqual(still);
});

test('what stands in place of the list while it loads has the shape the list had before', async () => {
  await open(plain, fast);
  const facets = await browser.run<number>(`return document.querySelectorAll('.ivy-facet').length`);
  await browser.command('Network.emulateNetworkConditions', slow);
  await browser.go(plain);
  await browser.find('.ivy-ghost');
  expect(await browser.run(`return document.querySelectorAll('.ivy-ghost-facet').length`)).toBe(facets);
  expect(await browser.run(`return document.querySelectorAll('.ivy-ghost[data-picture]').length`)).toBe(12);
});

test('cards go to their new places on a choice, unless a visitor wants no motion', async () => {
  const moves = () => browser.run<number>('return window.moves');
  const choose = async () => {
    await open(stage.site, fast);
    await browser.run(`window.moves = 0; const start = document.startViewTransition.bind(document);
      document.startViewTransition = (draw) => { window.moves++; return start(draw); }`);
    // what moves them comes once the page is at rest
    await browser.until('it is there', () =>
      browser.run(`return performance.getEntriesByType('resource').some(({ name }) => name.includes('ivy-later'))`),
    );
    await browser.press('[data-facet=habitat] input', 'Mudflat');
    await browser.untilText('.ivy-count-line', '107 notes');
    await browser.press('[data-facet=kind] input', 'Survey');
    await browser.untilSearch('?habitat=mudflat&kind=survey');
    await browser.until('all is still', () => browser.run(`return !document.querySelector('[data-moving]')`));
  };
  await choose();
  expect(await moves()).toBe(2);
  await browser.command('Emulation.setEmulatedMedia', {
    features: [{ name: 'prefers-reduced-motion', value: 'reduce' }],
  });
  await choose();
  expect(await moves()).toBe(0);
  await browser.command('Emulation.setEmulatedMedia', { features: [] });
});
