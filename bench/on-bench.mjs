// How long a change on the Bench takes until the live page shows it: from the press to the first frame that is drawn
// with it, and, apart, until the draft is saved.
import { By, until, withChromium } from './chromium.mjs';
import { makeCollection } from './posts.mjs';
import { withServed } from './served.mjs';

/* global document, requestAnimationFrame, MutationObserver */
const changes = 31;

/** @param size  posts of the source */
export function measureBench(size, lens) {
  return withServed(makeCollection(size, false), lens, async (port) => {
    const studio = `http://127.0.0.1:${port}`;
    const made = await fetch(`${studio}/api/v1/lenses`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Tuned', slug: 'tuned', source: 'bench', config: lens }),
    });
    if (!made.ok) throw new Error(await made.text());
    return withChromium((driver) => measure(driver, `${studio}/lenses/tuned`));
  });
}

async function measure(driver, url) {
  await driver.manage().window().setRect({ width: 1440, height: 900 });
  await driver.get(url);
  await driver.wait(until.elementLocated(By.css('[data-row=kind]')), 20_000);
  await driver.executeScript(() => document.querySelector('[data-row=kind]').click());
  const box = await driver.wait(until.elementLocated(By.css('input[aria-label="Show counts"]')), 10_000);
  const frame = await driver.findElement(By.css('iframe'));
  await driver.wait(
    () =>
      driver.executeScript((at) => at.contentDocument?.querySelector('[data-facet=kind] .ivy-count') !== null, frame),
    30_000,
  );
  const shown = [];
  for (let n = 0; n < changes; n++) {
    shown.push(
      await driver.executeAsyncScript(
        (toggle, at, done) => {
          const page = at.contentDocument;
          const counted = () => page.querySelector('[data-facet=kind] .ivy-count') !== null;
          const wanted = !counted();
          const start = performance.now();
          const watcher = new MutationObserver(() => {
            if (counted() !== wanted) return;
            watcher.disconnect();
            requestAnimationFrame(() => done(performance.now() - start));
          });
          watcher.observe(page.body, { childList: true, subtree: true });
          toggle.click();
        },
        box,
        frame,
      ),
    );
    // as a person does: the next change comes once the last is saved
    await driver.wait(
      () => driver.executeScript(() => document.querySelector('[data-saving]').dataset.saving === 'saved'),
      10_000,
    );
    await driver.sleep(450);
  }
  const sorted = shown.slice(3).sort((a, b) => a - b);
  return { p50: sorted[sorted.length >> 1], p95: sorted[Math.floor(sorted.length * 0.95)] };
}
