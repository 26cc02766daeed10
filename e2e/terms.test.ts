import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** The terms of a field shaped, by mouse and by keyboard, and seen by visitors. */

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

const api = () => `${stage.studio}/api/v1/sources/orrin-field-notes/terms/habitat`;

/** Each test begins with the terms as they came. */
beforeEach(async () => {
  while ((await fetch(`${api()}/undo`, { method: 'POST' })).ok);
  await browser.go(`${stage.studio}/sources/orrin-field-notes/terms/habitat`);
  await browser.find('[role=treeitem]');
});

const terms = () => browser.texts('[role=treeitem]');
const press = async (...keys: string[]) =>
  browser.driver
    .switchTo()
    .activeElement()
    .sendKeys(...keys);
const focused = () => browser.run<string | undefined>('return document.activeElement.dataset.slug');
const focusOn = (slug: string) => browser.run(`document.querySelector('[role=treeitem][data-slug="${slug}"]').focus()`);
const done = () => browser.texts('aside ol li');
const until = (what: string, holds: () => Promise<boolean>) => browser.until(what, holds);

/** What visitors find on the released lens. */
async function visitors(query: string) {
  const answer = await fetch(`${stage.studio}/api/v1/lenses/field-notes/results?${query}`);
  return (await answer.json()) as { matched: number; address: string; facets: { options?: { label: string }[] }[] };
}

test('one term dropped on another becomes one with it: told before, seen by visitors, undone', async () => {
  const before = await visitors('habitat=mudflat');
  const at = (slug: string) => browser.find(`[data-slug="${slug}"] [data-zone=merge]`);
  const [from, into] = [await at('mud-flat'), await at('mudflat')];
  const hand = () => browser.driver.actions({ async: true });
  await hand().move({ origin: from }).press().move({ origin: into, x: 2, y: 2 }).pause(400).perform();
  await until('it says what would come of it', async () =>
    /4 posts move/.test(await browser.text('[role=status].fixed')),
  );
  await hand().release().perform();
  await until('it is done', async () => (await done()).includes('Mud flat into Mudflat'));
  const after = await visitors('habitat=mud-flat');
  expect([after.matched, after.address]).toEqual([before.matched + 4, 'habitat=mudflat']);
  await browser.press('button', 'Undo');
  await until('it is undone', async () => (await terms()).some((text) => text.startsWith('Mud flat')));
  expect((await visitors('habitat=mud-flat')).matched).toBe(4);
});

test('by keys alone: order, out and in, merge, hide, a new name, a new term, delete', async () => {
  await browser.press('button', 'Rows');
  await focusOn('lagoon');
  await press(Key.chord(Key.ALT, Key.ARROW_UP));
  await until('it stands first', async () => (await done())[0] === 'Lagoon among its siblings');
  await until('the focus stayed', async () => (await focused()) === 'lagoon');
  await press(Key.chord(Key.ALT, Key.ARROW_LEFT));
  await until('it stands out', async () => (await done())[0] === 'Lagoon at the top');
  await until('the focus stayed', async () => (await focused()) === 'lagoon');
  await press('m');
  await press(Key.ARROW_DOWN);
  await until('it says what Enter does', async () => /Enter to merge/.test(await browser.text('[role=status].fixed')));
  await press(Key.ESCAPE);
  await until('nothing is carried', async () => (await browser.texts('[role=status].fixed')).length === 0);
  await focusOn('hedgerow');
  await press('h');
  await until('it is hidden', async () => (await done())[0] === 'Hedgerow hidden');
  const shown = (await visitors('')).facets.flatMap(({ options = [] }) => options.map(({ label }) => label));
  expect(shown).not.toContain('Hedgerow');
  await focusOn('reedbed');
  await press(Key.F2);
  await press('Reeds', Key.ENTER);
  await until('it has a new name', async () => (await done())[0] === 'Reedbed, now Reeds');
  await focusOn('shore');
  await press('n');
  await press('Dune', Key.ENTER);
  await until('it is there', async () => (await done())[0] === 'Dune, new');
  await focusOn('dune');
  await press(Key.DELETE);
  await until('it says what that comes to', async () => /0 posts lose it/.test(await browser.text('aside')));
  await press(Key.ENTER);
  await until('it is gone', async () => (await done())[0] === 'Dune deleted');
  await press(Key.chord(Key.CONTROL, 'z'));
  await until('it is back', async () => (await terms()).some((text) => text.includes('Dune')));
});

test('a Bench that is open in another tab hears of it', async () => {
  await browser.go(`${stage.studio}/lenses/field-notes`);
  const options = () => browser.inFrame(() => browser.texts('[data-facet=habitat] .ivy-label'));
  await until('the live page is there', async () => (await options()).includes('Reedbed'));
  const bench = await browser.driver.getWindowHandle();
  await browser.driver.switchTo().newWindow('tab');
  await browser.go(`${stage.studio}/sources/orrin-field-notes/terms/habitat`);
  await browser.find('[role=treeitem]');
  await focusOn('reedbed');
  await press(Key.F2);
  await press('Reeds', Key.ENTER);
  await until('it has a new name', async () => (await done())[0] === 'Reedbed, now Reeds');
  await browser.driver.close();
  await browser.driver.switchTo().window(bench);
  await until('the live page has it', async () => (await options()).includes('Reeds'));
});

test('it can be read by everybody, and used on a phone', async () => {
  expect(await browser.axe()).toEqual([]);
  await browser.press('button', 'Rows');
  expect(await browser.axe()).toEqual([]);
  await browser.size(390, 844);
  await browser.go(`${stage.studio}/sources/orrin-field-notes/terms/place`);
  await browser.find('[role=treeitem]');
  expect(await browser.run('return document.documentElement.scrollWidth')).toBe(390);
  await browser.size(1280, 800);
});
