// What a listing costs a visitor's browser, with 12 facets and more than 200 terms in sight: scripting until the first
// cards are there and for each choice after, with 12 cards and with 100 (Chromium's own account, medians); how far things
// move by themselves, on a fast and a slow network; when the largest thing is painted, beside a page without a listing;
// which pictures are fetched; bytes as they go over the wire.
import { createServer } from 'node:http';
import { By, until, withChromium } from './chromium.mjs';
import { makeCollection } from './posts.mjs';
import { withServed } from './served.mjs';

/* global document, PerformanceObserver, requestAnimationFrame */
const loads = 9;
const choices = 24;

const lens = {
  facets: [
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'place', kind: 'tree', field: 'place' },
    { key: 'tags', kind: 'buttons', field: 'tags' },
    ...['kind', 'author', 'region', 'level'].map((key) => ({ key, kind: 'checkboxes', field: key })),
    { key: 'who', kind: 'dropdown', field: 'author' },
    { key: 'open', kind: 'switch', field: 'open' },
    { key: 'guided', kind: 'radios', field: 'guided' },
    { key: 'published', kind: 'date-range', field: 'published' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
  card: {
    parts: [
      { show: 'picture', field: 'image' },
      { show: 'title', field: 'title' },
      { show: 'date', field: 'published' },
      { show: 'terms', field: 'kind' },
    ],
  },
  paging: { size: 12, sizes: [100] },
};

const slow = { offline: false, latency: 700, downloadThroughput: 200_000, uploadThroughput: 60_000 };
const fast = { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1 };

/** The posts of the bench, each with a picture of its own. */
function illustrated(size) {
  const collection = makeCollection(size, false);
  const image = { ...collection.fields[0], key: 'image', label: 'image', type: 'image', role: 'image' };
  const posts = collection.posts.map((post, i) => ({
    ...post,
    values: { ...post.values, image: `/pictures/${i}.svg` },
  }));
  return { ...collection, fields: [...collection.fields, image], posts };
}

export function measurePage() {
  return withServed(illustrated(480), lens, async (port) => {
    const snippet = `<script type="module" src="http://127.0.0.1:${port}/embed/ivy-lens.js"></script><ivy-lens name="bench" style="display:block;min-height:100vh"></ivy-lens>`;
    const fetched = [];
    const site = createServer((request, response) => {
      const path = request.url.split('?')[0];
      if (path.startsWith('/pictures/')) {
        fetched.push(path);
        response.setHeader('content-type', 'image/svg+xml').end(picture);
        return;
      }
      response.setHeader('content-type', 'text/html').end(hostPage(path === '/bare' ? '' : snippet));
    });
    await new Promise((done) => site.listen(0, '127.0.0.1', done));
    const url = `http://127.0.0.1:${site.address().port}/`;
    try {
      return await withChromium(async (driver) => {
        const scripting = await measureScripting(driver, url, '');
        const hundred = await measureScripting(driver, url, '?size=100');
        const shift = {};
        for (const [name, network] of Object.entries({ fast, slow }))
          shift[name] = await measureShift(driver, url, network);
        const paint = { bare: await largestPaint(driver, `${url}bare`), listing: await largestPaint(driver, url) };
        fetched.length = 0;
        await open(driver, url);
        await driver.sleep(1500);
        const bytes = await bytesOf(driver);
        return { ...scripting, hundred: hundred.update, shift, paint, pictures: new Set(fetched).size, bytes };
      });
    } finally {
      site.close();
    }
  });
}

const picture =
  '<svg xmlns="http://www.w3.org/2000/svg" width="320" height="180"><path fill="#7fa399" d="M0 0h320v180H0z"/></svg>';

/** A page such as a host may have: a head with a picture, the listing, a foot. */
function hostPage(listing) {
  return `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>bench</title>
    <style>body{font:16px sans-serif;margin:16px}img.head{display:block;width:100%;height:240px;object-fit:cover}</style>
    <img class="head" src="/pictures/head.svg" alt="" width="1200" height="240"><h1>Walks and talks</h1>${listing}<footer><p>A foot of some words.</p></footer>`;
}

const command = (driver, name, parameters = {}) => driver.sendAndGetDevToolsCommand(name, parameters);

async function open(driver, url) {
  await driver.get(url);
  await driver.wait(until.elementLocated(By.css('.ivy-card')), 20_000);
}

/** Layout shift that no press accounts for: while loading, choosing and paging. */
async function measureShift(driver, url, network) {
  await command(driver, 'Network.enable');
  await command(driver, 'Network.setCacheDisabled', { cacheDisabled: true });
  await command(driver, 'Network.emulateNetworkConditions', network);
  const { identifier } = await command(driver, 'Page.addScriptToEvaluateOnNewDocument', {
    source: `window.moved = 0; new PerformanceObserver((list) => {
      for (const { value, hadRecentInput } of list.getEntries()) if (!hadRecentInput) window.moved += value;
    }).observe({ type: 'layout-shift', buffered: true })`,
  });
  const answered = async () => {
    await driver.sleep(200);
    await driver.wait(
      () => driver.executeScript("return document.querySelector('.ivy-results-body')?.ariaBusy === 'false'"),
      20_000,
    );
    await driver.sleep(700);
  };
  await open(driver, url);
  await answered();
  for (const selector of ['[data-facet=tags] .ivy-button', '.ivy-clear', '.ivy-page[rel=next]']) {
    const press = await driver.findElement(By.css(selector));
    await driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", press);
    await press.click();
    await answered();
  }
  const moved = await driver.executeScript('return window.moved');
  await command(driver, 'Page.removeScriptToEvaluateOnNewDocument', { identifier });
  await command(driver, 'Network.emulateNetworkConditions', fast);
  await command(driver, 'Network.setCacheDisabled', { cacheDisabled: false });
  await command(driver, 'Network.disable');
  return moved;
}

/** Milliseconds after which the largest thing of a page is painted. */
async function largestPaint(driver, url) {
  const times = [];
  for (let n = 0; n < loads; n++) {
    await driver.get(url);
    await driver.sleep(600);
    const time = await driver.executeAsyncScript((done) => {
      new PerformanceObserver((list) => done(list.getEntries().at(-1).startTime)).observe({
        type: PerformanceObserver.supportedEntryTypes.find((type) => type.startsWith('largest-')),
        buffered: true,
      });
    });
    times.push(time);
  }
  return median(times);
}

/** Bytes of a page as they went over the wire. */
function bytesOf(driver) {
  return driver.executeScript(() => {
    const size = (part) => {
      const entries = performance.getEntriesByType('resource').filter(({ name }) => name.includes(part));
      return entries.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0);
    };
    return { script: size('/embed/ivy-lens.js') };
  });
}

async function measureScripting(driver, url, address) {
  await command(driver, 'Performance.enable');
  const scripting = async () => {
    const { metrics } = await command(driver, 'Performance.getMetrics');
    return metrics.find(({ name }) => name === 'ScriptDuration').value * 1000;
  };
  const first = [];
  for (let n = 0; n < loads; n++) {
    await driver.get('about:blank');
    const before = await scripting();
    await open(driver, url + address);
    // the counter of a page starts with the page
    const after = await scripting();
    first.push(after >= before ? after - before : after);
  }
  const facets = (await driver.findElements(By.css('.ivy-facet'))).length;
  const terms = (await driver.findElements(By.css('.ivy-option, .ivy-button'))).length;
  const update = [];
  for (let n = 0; n < choices; n++) {
    const before = await scripting();
    await driver.executeAsyncScript((at, done) => {
      const options = [...document.querySelectorAll('[data-facet=tags] .ivy-button')];
      document
        .querySelector('ivy-lens')
        .addEventListener('ivy:answer', () => requestAnimationFrame(() => requestAnimationFrame(() => done())), {
          once: true,
        });
      options[at].click();
    }, n % 12);
    update.push((await scripting()) - before);
  }
  return { facets, terms, first: median(first), update: median(update.slice(4)) };
}

function median(all) {
  return all.sort((a, b) => a - b)[all.length >> 1];
}
