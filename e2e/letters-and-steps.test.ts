import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** A row of letters, and a tree chosen list by list: by mouse, by keyboard, and without scripts. */

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  const config = {
    facets: [
      { key: 'letter', kind: 'letters', field: 'title', label: 'Title begins with' },
      { key: 'place', kind: 'steps', field: 'place', label: 'Place', levels: ['Region', 'Area', 'Spot'] },
    ],
    sort: { options: [{ key: 'title', label: 'Title', field: 'title' }] },
  };
  const post = (path: string, body: object) =>
    fetch(`${stage.studio}/api/v1/lenses${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  await post('', { name: 'A to Z', slug: 'letters', source: 'orrin-field-notes', config });
  await post('/letters/releases', {});
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const open = async (search = '') => {
  await browser.size(1280, 900);
  await browser.go(`${stage.studio}/l/letters${search}`);
  await browser.find('ivy-lens[data-status=ready] .ivy-fold');
};
const chips = () => browser.texts('.ivy-chips .ivy-chip');
const lists = () => browser.texts('.ivy-step-title');
const chosenSteps = () => browser.texts('.ivy-step[data-chosen=true]:not([data-any=true]) .ivy-label');
const titles = () => browser.texts('.ivy-title');

test('letters stand in a whole row, those without posts drawn back; one is pressed, and another beside it', async () => {
  await open();
  const row = await browser.texts('[data-as=letters] .ivy-link > span:first-child');
  expect(row.join('')).toContain('ABCDEFGHIJKLMNOPQRSTUVWXYZ');
  expect((await browser.texts('[data-as=letters] .ivy-muted')).length).toBeGreaterThan(0);
  await browser.run(
    `[...document.querySelectorAll('[data-as=letters] .ivy-link')].find((one) => one.textContent.trim()[0] === 'R').click()`,
  );
  await browser.untilSearch('?letter=r');
  expect(await chips()).toEqual(['Title begins with: R']);
  await browser.until('titles begin with R', async () => (await titles()).every((title) => title.startsWith('R')));
  const link = await browser.named('[data-as=letters] .ivy-link', 'T 43');
  expect(await link.getAttribute('href')).toContain('letter=r,t');
  await link.sendKeys(Key.ENTER);
  await browser.untilSearch('?letter=r,t');
  await browser.press('.ivy-chips .ivy-chip', 'Remove Title begins with: R');
  await browser.untilSearch('?letter=t');
});

test('a choice in one list opens the next, and the address says the deepest alone', async () => {
  await open();
  expect(await lists()).toEqual(['Region']);
  await browser.run(`document.querySelector('.ivy-steps input:not(:checked)').focus()`);
  // the arrows of a group of radios move and choose
  await browser.driver.switchTo().activeElement().sendKeys(Key.SPACE);
  await browser.untilSearch('?place=inner-estuary');
  await browser.until('the second list', async () => (await lists()).join() === 'Region,Area');
  await browser.driver.switchTo().activeElement().sendKeys(Key.ARROW_DOWN);
  await browser.untilSearch('?place=river-head');
  // tab leads from a list to the next
  await browser.driver.switchTo().activeElement().sendKeys(Key.ARROW_UP);
  await browser.untilSearch('?place=inner-estuary');
  await browser.until('the second list again', async () => (await lists()).join() === 'Region,Area');
  await browser.driver.switchTo().activeElement().sendKeys(Key.TAB);
  await browser.driver.switchTo().activeElement().sendKeys(Key.ARROW_DOWN);
  await browser.until('a third list', async () => (await lists()).length === 3);
  expect(await chosenSteps()).toHaveLength(2);
  expect(await browser.search()).toMatch(/^\?place=[^&,]+$/);
  await browser.run('history.back()');
  await browser.untilSearch('?place=inner-estuary');
  await browser.until('the lists of before', async () => (await lists()).length === 2);
});

test('both read well to those who hear them, wide and narrow', async () => {
  await open('?letter=r&place=north-shore');
  expect(await browser.axe('ivy-lens')).toEqual([]);
  await browser.size(390, 844);
  await browser.go(`${stage.studio}/l/letters?place=north-shore`);
  await browser.press('.ivy-filters');
  await browser.find('.ivy-sheet[open] .ivy-steps');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  expect(await browser.axe('.ivy-sheet')).toEqual([]);
});

test('without scripts letters are links, and lists are sent together', async () => {
  await browser.size(1280, 900);
  await browser.go(`${stage.studio}/l/letters/draft`);
  await browser.run(
    `[...document.querySelectorAll('[data-as=letters] a')].find((one) => one.textContent.trim()[0] === 'R').click()`,
  );
  await browser.untilSearch('?letter=r');
  const select = (place: number, value: string) =>
    browser.run(`document.querySelectorAll('select[name=place]')[${place}].value = '${value}'`);
  await select(0, 'outer-estuary');
  await browser.press('.ivy-show');
  await browser.find('select[aria-label=Area]');
  await select(1, 'north-shore');
  await browser.press('.ivy-show');
  await browser.find('select[aria-label=Spot]');
  expect(await chips()).toEqual(['Title begins with: R', 'North Shore']);
  // a branch that is changed leaves behind what stood under the one before
  await select(0, 'inner-estuary');
  await browser.press('.ivy-show');
  await browser.until('the other branch', async () => (await chips()).includes('Inner estuary'));
  expect(await chips()).toEqual(['Title begins with: R', 'Inner estuary']);
});

test('on the Bench a title is shown by its letters with one press, and a tree by steps', async () => {
  await browser.go(`${stage.studio}/lenses/letters`);
  await browser.press('[data-row=letter]');
  await browser.press('button', 'Dropdown');
  await browser.press('button', 'Letters');
  await browser.press('[aria-label="Pass over articles"]');
  await browser.press('[data-row=place]');
  await browser.press('button', 'Tree');
  await browser.press('button', 'Steps');
  await browser.inFrame(async () => {
    await browser.find('.ivy-steps');
    await browser.find('[data-as=letters]');
  });
  expect(await browser.errors()).toEqual([]);
});
