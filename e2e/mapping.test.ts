import { By, Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** A page that knows nothing of us is marked in the studio, and filtered where it stands. */

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

const shown = () =>
  browser.run<string[]>(
    `return [...document.querySelectorAll('tbody tr')].filter((one) => one.getClientRects().length > 0).map((one) => one.querySelector('a').textContent)`,
  );
const rows = () =>
  browser.run<string[]>(
    `return [...document.querySelectorAll('nav[aria-label="What is marked"] li button')].map((one) => one.innerText.replace(/\\s+/g, ' '))`,
  );

/** Presses what a selector finds on the page in the frame, as a mouse does: on what lies over it. */
async function pressOnPage(selector: string): Promise<void> {
  const at = await browser.run<{ x: number; y: number }>(
    `const frame = document.querySelector('iframe[title="The page"]');
    const element = frame.contentDocument.querySelector(arguments[0]);
    const desk = frame.closest('.squared');
    desk.scrollTop += element.getBoundingClientRect().top + frame.getBoundingClientRect().top - 400;
    const [box, outer] = [element.getBoundingClientRect(), frame.getBoundingClientRect()];
    return { x: Math.round(outer.left + box.left + Math.min(box.width / 2, 20)), y: Math.round(outer.top + box.top + box.height / 2) };`,
    selector,
  );
  await browser.driver.actions({ async: true }).move(at).click().perform();
}

test('the board of the demo bears one line, and is filtered by its own form over all its pages', async () => {
  await browser.size(1280, 800);
  await browser.go(`${stage.site}/board`);
  expect(
    await browser.run(
      `return document.documentElement.outerHTML.match(/data-ivy-[a-z]+(?=[="])/g).includes('data-ivy-name')`,
    ),
  ).toBe(true);
  await browser.find('[data-ivy-list][data-ivy-state=ready]');
  await browser.press('input[value=Reedbed]');
  await browser.untilSearch('?habitat=reedbed');
  const count = Number(await browser.text('.fits'));
  expect([count > 0 && count < 68, (await shown()).length]).toEqual([true, Math.min(24, count)]);
  // what its plain form sends is read too, by the names it has for it
  await browser.go(`${stage.site}/board?q=&kind=Works&from=2026-03-01&to=2026-04-30&habitat=Mudflat`);
  await browser.untilSearch('?kind=works&when=2026-03-01/2026-04-30&habitat=mudflat');
  expect((await shown()).length).toBe(Number(await browser.text('.fits')));
  expect(await browser.axe('body')).toEqual([]);
  expect(await browser.errors()).toEqual([]);
});

test('by mouse: an item is pressed, then what is in it, then a control; kept and published, the page reads it', async () => {
  await browser.size(1440, 900);
  await browser.go(`${stage.studio}/sources`);
  await (await browser.driver.findElement(By.linkText('a page that lists its posts'))).click();
  await (await browser.find('#page-address')).sendKeys(`${stage.site}/board`, Key.ENTER);
  await browser.until('the page is drawn', () =>
    browser.run<boolean>(
      `return document.querySelector('iframe[title="The page"]')?.contentDocument?.querySelector('tbody time') != null`,
    ),
  );
  await browser.until('its sheet is there', () =>
    browser.run<boolean>(`return document.querySelector('iframe[title="The page"]').offsetHeight > 600`),
  );
  await pressOnPage('tbody td');
  await browser.until('all like it', async () => (await rows()).includes('Item 24 alike'));
  for (const selector of ['tbody time', 'tbody a', 'tbody td:nth-of-type(4)']) await pressOnPage(selector);
  await browser.until('three fields', async () => (await rows()).filter((row) => / 24$/.test(row)).length === 3);
  await browser.press('button', 'a control');
  await pressOnPage('fieldset label');
  await browser.until('a control', async () => (await rows()).includes('Habitat ticks'));
  await browser.press('button', 'a place');
  await pressOnPage('.pages a');
  await pressOnPage('.fits');
  await browser.until('the other pages come along', async () => (await rows()).includes('habitat 68'));
  expect(await browser.axe('#studio')).toEqual([]);
  await browser.press('button', 'Keep the mapping');
  await browser.until('it is kept', async () =>
    (await browser.driver.getCurrentUrl()).endsWith('/lenses/notices-2/page'),
  );
  await browser.press('a', 'Publish');
  await browser.press('button', 'Publish release 1');
  await browser.until('it is live', async () => (await browser.text('main')).includes('Release 1 is live'));
  const { marks } = (await (await fetch(`${stage.studio}/api/v1/lenses/notices-2/markup`)).json()) as {
    marks: object[];
  };
  expect(marks).toHaveLength(8);
  expect(await browser.errors()).toEqual([]);
});

test('by keys alone, from the lists that are offered', async () => {
  await browser.go(`${stage.studio}/from-page`);
  await (await browser.find('#page-address')).sendKeys(`${stage.site}/board`, Key.ENTER);
  const take = async (start: string) => {
    const row = await browser.run<never>(
      `return [...document.querySelectorAll('nav[aria-label="What is marked"] button')].find((one) => one.innerText.trim().startsWith(arguments[0]))`,
      start,
    );
    await browser.driver.executeScript('arguments[0].focus()', row);
    await browser.driver.actions().sendKeys(Key.ENTER).perform();
  };
  await browser.until('lists are offered', async () => (await rows()).some((row) => row.endsWith('24 alike')));
  await take('30 May');
  await browser.until('fields are offered', async () => (await rows()).some((row) => row.startsWith('when')));
  await take('take all');
  await browser.until('controls are offered', async () => (await rows()).includes('Habitat choice'));
  await take('take all');
  await browser.until('they are read', async () => (await rows()).includes('Habitat ticks'));
  // what is taken can be taken back
  await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await browser.until('it is taken back', async () => (await rows()).includes('Habitat choice'));
  // the page in the frame is no place that keys lead to
  expect(
    await browser.run<number>(
      `const { contentDocument } = document.querySelector('iframe[title="The page"]');
       return [...contentDocument.querySelectorAll('a[href], input, select, button')].filter((one) => one.tabIndex >= 0).length`,
    ),
  ).toBe(0);
});

test('a facet of ours may stand in the stead of the page’s control, once', async () => {
  await browser.go(`${stage.studio}/lenses/notices/page`);
  await browser.until('the control is there', async () => (await rows()).includes('Habitat ticks'));
  await browser.run(
    `[...document.querySelectorAll('nav[aria-label="What is marked"] button')].find((one) => one.innerText.trim().startsWith('Habitat')).click()`,
  );
  await browser.press('button', 'ours, here');
  await browser.press('button', 'Keep the mapping');
  await browser.until('it is kept', async () => (await browser.texts('button')).includes('Kept'));
  await fetch(`${stage.studio}/api/v1/lenses/notices/releases`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{}',
  });
  await browser.go(`${stage.site}/board`);
  await browser.find('[data-ivy-drawn]');
  await browser.driver.sleep(300);
  expect(await browser.texts('fieldset legend')).toEqual(['Habitat']);
  await browser.press('[data-ivy-drawn] input[value=Lagoon]');
  await browser.untilSearch('?habitat=lagoon');
  expect((await shown()).length).toBe(Number(await browser.text('.fits')));
  expect(await browser.axe('body')).toEqual([]);
});

test('what is gone from the page is said in the studio and by the check, and visitors keep the page as it is', async () => {
  const lens = `${stage.studio}/api/v1/lenses/notices`;
  const { draft, draftRevision } = (await (await fetch(lens)).json()) as {
    draft: { markup: { marks: { at: string; says: Record<string, string> }[] } };
    draftRevision: number;
  };
  const marks = draft.markup.marks.map((mark) =>
    mark.says.list === undefined && mark.says.item === undefined ? mark : { ...mark, at: '.gone' },
  );
  const config = { ...draft, markup: { ...draft.markup, marks } };
  const send = (path: string, method: string, body: object) =>
    fetch(lens + path, {
      method,
      headers: { 'content-type': 'application/json', 'if-match': `"${draftRevision}"` },
      body: JSON.stringify(body),
    });
  expect((await send('/draft', 'PUT', { config })).status).toBe(200);
  await fetch(`${lens}/releases`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' });
  await browser.go(`${stage.site}/board?habitat=mudflat`);
  await browser.until('it is told', async () => (await browser.warnings()).some((words) => words.includes('“.gone”')));
  expect((await shown()).length).toBe(24);
  const query = new URLSearchParams({ page: `${stage.site}/board` }).toString();
  const found = (await (await fetch(`${lens}/check?${query}`)).json()) as { code: string; ok: boolean }[];
  expect(found.filter(({ ok }) => !ok).map(({ code }) => code)).toEqual(expect.arrayContaining(['items', 'mark']));
  await browser.go(`${stage.studio}/lenses/notices/page`);
  await browser.until('the studio says it', async () => (await rows()).includes('Item gone'));
});
