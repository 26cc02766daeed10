// What the page script costs a visitor's browser: scripting until the first cards are there, and for each choice after,
// with 12 facets and more than 200 terms in sight. Chromium's own account of time spent in scripts, medians.
import { createServer } from 'node:http';
import { By, until, withChromium } from './chromium.mjs';
import { makeCollection } from './posts.mjs';
import { withServed } from './served.mjs';

/* global document, requestAnimationFrame */
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
      { show: 'title', field: 'title' },
      { show: 'date', field: 'published' },
      { show: 'terms', field: 'kind' },
    ],
  },
  paging: { size: 12 },
};

export function measurePage() {
  return withServed(makeCollection(480, false), lens, async (port) => {
    const page = `<!doctype html><title>bench</title><script type="module" src="http://127.0.0.1:${port}/embed/ivy-lens.js"></script><ivy-lens name="bench"></ivy-lens>`;
    const site = createServer((_request, response) => response.setHeader('content-type', 'text/html').end(page));
    await new Promise((done) => site.listen(0, '127.0.0.1', done));
    try {
      return await withChromium((driver) => measure(driver, `http://127.0.0.1:${site.address().port}/`));
    } finally {
      site.close();
    }
  });
}

async function measure(driver, url) {
  const command = (name, parameters = {}) => driver.sendAndGetDevToolsCommand(name, parameters);
  await command('Performance.enable');
  const scripting = async () => {
    const { metrics } = await command('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'ScriptDuration').value * 1000;
  };
  const first = [];
  for (let n = 0; n < loads; n++) {
    await driver.get('about:blank');
    const before = await scripting();
    await driver.get(url);
    await driver.wait(until.elementLocated(By.css('.ivy-card')), 10_000);
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
        .addEventListener('ivy:answer', () => requestAnimationFrame(() => done()), { once: true });
      options[at].click();
    }, n % 12);
    update.push((await scripting()) - before);
  }
  const median = (all) => all.sort((a, b) => a - b)[all.length >> 1];
  return { facets, terms, first: median(first), update: median(update.slice(4)) };
}
