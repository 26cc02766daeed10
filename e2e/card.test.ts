import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** A card is composed on the live page, by mouse and by keys alone, and stands on the site once it is released. */

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  // here the live page is drawn at its full size: the driver misses in a frame that is drawn smaller
  await browser.size(1440, 900);
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

/** Presses where something is on the live page, whatever lies over it. */
const pressAt = (selector: string) =>
  browser.inFrame(async () => {
    const origin = await browser.find(selector);
    await browser.driver.actions().move({ origin }).click().perform();
  });
const parts = () => browser.texts('[aria-label="Parts of the card"] [data-part-row]');
const saved = () => browser.find('[data-saving=saved]');
const first = (selector: string) => browser.inFrame(async () => (await browser.texts(`.ivy-card ${selector}`))[0]);

test('a part pressed on the live page is taken in hand, whatever link lies over it', async () => {
  await browser.go(`${stage.studio}/lenses/field-notes`);
  await pressAt('.ivy-summary');
  await browser.untilText('[data-part-row][aria-pressed=true]', 'Summary');
  await pressAt('.ivy-picture');
  await browser.untilText('[data-part-row][aria-pressed=true]', 'Image');
  // the page itself has stayed where it was
  expect(await first('.ivy-title')).toContain('Walking the lagoon');
});

test('by mouse: a shorter summary, another shape of picture, a button; each at once on the page, and taken back', async () => {
  await browser.press('[aria-label="Image on the card"] button', '3:2');
  await browser.inFrame(() =>
    browser.until('another shape', () =>
      browser.run(`return document.querySelector('.ivy-picture').style.aspectRatio === '3 / 2'`),
    ),
  );
  await browser.press('[data-part-row]', 'Summary');
  const box = await browser.find('#part-characters');
  await box.sendKeys('30', Key.ENTER);
  await browser.until('it is cut', async () => (await first('.ivy-summary'))?.endsWith('…') ?? false);
  await browser.run(
    `const box = document.querySelector('[aria-label="Put on the card"]'); box.value = 'button'; box.dispatchEvent(new Event('change', { bubbles: true }))`,
  );
  await browser.until('a button', async () => (await first('.ivy-read')) === 'Read on');
  await browser.press('button[aria-label^=Undo]');
  await browser.until('no button', async () => (await first('.ivy-read')) === undefined);
  await browser.press('button[aria-label^=Redo]');
  await browser.until('a button again', async () => (await first('.ivy-read')) === 'Read on');
});

test('by keys alone: a part is moved, and one taken away', async () => {
  const before = await parts();
  const row = await browser.named('[data-part-row]', 'Title');
  await row.sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
  await browser.until('it has moved', async () => (await parts()).join() !== before.join());
  expect(await browser.run('return document.activeElement.textContent')).toContain('Title');
  await (await browser.named('[data-part-row]', 'Minutes')).sendKeys(Key.DELETE);
  await browser.until('one less', async () => (await parts()).length === before.length - 1);
  expect(await browser.axe('[aria-label=Wiring]')).toEqual([]);
});

test('released, the card stands so on the site, and without scripts', async () => {
  await saved();
  const response = await fetch(`${stage.studio}/api/v1/lenses/field-notes/releases`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{}',
  });
  expect(response.status).toBe(201);
  const look = async () => {
    await browser.find('.ivy-card');
    return browser.run<unknown[]>(`const card = document.querySelector('.ivy-card');
      return [card.querySelector('.ivy-summary').textContent.length <= 31, card.querySelector('.ivy-read').textContent,
        card.querySelector('.ivy-picture').style.aspectRatio, card.querySelectorAll('a').length]`);
  };
  await browser.go(stage.site);
  expect(await look()).toEqual([true, 'Read on', '3 / 2', 1]);
  expect(await browser.axe('main')).toEqual([]);
  await browser.command('Emulation.setScriptExecutionDisabled', { value: true });
  await browser.go(`${stage.studio}/l/field-notes`);
  await browser.command('Emulation.setScriptExecutionDisabled', { value: false });
  expect(await look()).toEqual([true, 'Read on', '3 / 2', 1]);
});
