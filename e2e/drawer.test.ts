import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  // the driver misses in a live page that is drawn smaller than it is
  await browser.size(1440, 900);
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const panel = '#drawer-panel';
const matched = async () => Number((await browser.text('[data-testid=matched]')).replace(/\D/g, ''));
const bench = async (query: string, slug = 'field-notes') => {
  await browser.go(`${stage.studio}/lenses/${slug}${query}`);
  await browser.untilText('section[aria-label=Address]', 'of 480');
};
const isOpen = (name: string) =>
  browser.run<boolean>(
    'return document.querySelector("#drawer-panel")?.getAttribute("aria-labelledby") === arguments[0]',
    `drawer-${name.toLowerCase()}`,
  );
/** Opens a tab, where it is not open already: pressed once more it would be shut. */
const tab = async (name: string) => {
  if (!(await isOpen(name))) await browser.press('[role=tab]', name);
  await browser.until(`${name} is open`, () => isOpen(name));
};
const sourceOfDemo = async () =>
  ((await (await fetch(`${stage.studio}/api/v1/lenses/field-notes`)).json()) as { source: string }).source;

test('the sieve tells what each facet takes away, and who falls out', async () => {
  await bench('?habitat=mudflat,reedbed&kind=survey');
  const shown = await matched();
  await browser.untilText(panel, `${shown} shown`);
  expect(await browser.texts(`${panel} [data-sieve] ul li`)).toHaveLength(3);
  await browser.press(`${panel} button[aria-expanded]`);
  await browser.untilText(panel, 'fall out at');
  await browser.until('small cards', async () => (await browser.texts(`${panel} li b`)).length > 3);
  await browser.press(`${panel} button`, 'Back to the sieve');
  await browser.until('the sieve is back', async () => !(await browser.text(panel)).includes('fall out at'));
});

test('what a choice would change is seen before it is made, and is what one gets', async () => {
  await bench('?habitat=mudflat');
  const before = await matched();
  await browser.inFrame(async () => {
    const choice = await browser.named('[data-facet=habitat] input', 'Reedbed');
    await browser.driver.actions().move({ origin: choice }).perform();
    await browser.until('the count line tells what would be', () =>
      browser.run<boolean>('return document.querySelector(".ivy-count-line [data-ghost-figure]") !== null'),
    );
  });
  const would = await browser.inFrame(() =>
    browser.run<string>('return document.querySelector(".ivy-count-line [data-ghost-figure]").dataset.ghostFigure'),
  );
  expect(await matched()).toBe(before);
  await browser.untilText(panel, `would be ${would}`);
  await browser.inFrame(() => browser.press('[data-facet=habitat] input', 'Reedbed'));
  await browser.until('it is so', async () => String(await matched()) === would);
  await browser.driver
    .actions()
    .move({ origin: await browser.find('#drawer-sieve') })
    .perform();
  await browser.inFrame(() =>
    browser.until('nothing is to come any more', () =>
      browser.run<boolean>('return document.querySelector(".ivy-count-line [data-ghost-figure]") === null'),
    ),
  );
});

test('why a post is missing is found, and it is let in, by keys alone', async () => {
  await bench('?habitat=mudflat&kind=survey');
  const before = await matched();
  await browser.driver.executeScript('document.activeElement.blur()');
  await browser.driver.actions().sendKeys('2').perform();
  await browser.untilText(panel, 'One step away');
  const row = `${panel} tbody tr:first-child button`;
  await browser.find(row);
  await browser.run('document.querySelector("#drawer-why").focus()');
  const untilFocus = async (selector: string) => {
    for (let i = 0; i < 40; i++) {
      if (await browser.run<boolean>('return document.activeElement.matches(arguments[0])', selector)) return;
      await browser.driver.actions().sendKeys(Key.TAB).perform();
    }
    throw new Error(`The keys do not lead to ${selector}.`);
  };
  await untilFocus(row);
  const title = await browser.text(row);
  await browser.driver.actions().sendKeys(Key.ENTER).perform();
  await browser.untilText(panel, 'To let it in');
  const way = `${panel} tbody tr:nth-child(2) button`;
  await browser.find(way);
  await untilFocus(way);
  const more = Number(/\+(\d+)$/.exec((await browser.text(way)).trim())![1]);
  await browser.driver.actions().sendKeys(Key.ENTER).perform();
  await browser.until('it is let in', async () => (await matched()) === before + more);
  await browser.press(`${panel} [role=group] button`, 'Shown');
  await browser.until('it is among those shown', async () =>
    (await browser.texts(`${panel} tbody th`)).includes(title.trim()),
  );
});

test('a post is found by its title, with what stops it', async () => {
  await bench('?kind=survey&minutes=1/2');
  await tab('Why');
  const find = await browser.find(`${panel} input[type=search]`);
  await find.sendKeys('what five visits');
  await browser.untilText(panel, 'found');
  const rows = await browser.texts(`${panel} tbody th`);
  expect(rows.length).toBeGreaterThan(0);
  for (const row of rows) expect(row).toMatch(/what five visits/i);
});

test('a setting that can’t work is found and mended', async () => {
  const hidden = { key: 'habitat', kind: 'checkboxes', field: 'habitat', only: ['mudflat'], hide: ['mudflat'] };
  const { status } = await fetch(`${stage.studio}/api/v1/lenses`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'Faulty',
      slug: 'faulty',
      source: await sourceOfDemo(),
      config: { facets: [{ key: 'kind', kind: 'buttons', field: 'kind' }, hidden] },
    }),
  });
  expect(status).toBe(201);
  await bench('', 'faulty');
  await tab('Findings');
  await browser.untilText(panel, 'Every term is hidden');
  await browser.press(`${panel} section[aria-label="Findings of the lens"] li button`);
  await browser.untilText('aside[aria-label=Wiring]', 'Lists');
  await browser.press('aside[aria-label=Wiring] button', 'all but hidden');
  await browser.until('it is mended', async () => !(await browser.text(panel)).includes('Every term is hidden'));
});

test('a slow request is read: what it asked, how long it took, and what came', async () => {
  await bench('?habitat=mudflat');
  await tab('Requests');
  await browser.untilText(panel, 'habitat=mudflat');
  await browser.command('Network.enable', {});
  await browser.command('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: 400, downloadThroughput: -1, uploadThroughput: -1 },
  });
  await browser.inFrame(() => browser.press('[data-facet=habitat] input', 'Lagoon'));
  await browser.untilText(panel, 'habitat=lagoon,mudflat');
  await browser.command('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1 },
  });
  await browser.press(`${panel} tbody button`);
  await browser.untilText(panel, 'Slow.');
  expect(await browser.text(panel)).toMatch(/ms counting, .* on its way/);
  await browser.untilText(panel, 'answer:');
  await browser.press(`${panel} button`, 'Copy as curl');
  await browser.untilText(panel, 'Copied');
});

test('a dead end is found, seen, and taken away', async () => {
  await bench('');
  await tab('Findings');
  await browser.press(`${panel} button`, 'Look for them');
  await browser.untilText(panel, 'find nothing');
  await browser.untilText(panel, 'Most within reach');
  await browser.press(`${panel} section[aria-label="Dead ends"] li button`);
  await browser.until('nothing is there', async () => (await matched()) === 0);
  await browser.press(`${panel} button`, 'Hide what has no post');
  await browser.untilText(panel, 'What has no post is hidden here');
});

test('every tab holds to WCAG 2.2 AA, remembers its height, and is shut and opened by keys', async () => {
  await bench('?habitat=mudflat&kind=survey');
  for (const name of ['Sieve', 'Why', 'Requests', 'Findings']) {
    if (name !== 'Sieve') await tab(name);
    await browser.until('it has something to show', async () => (await browser.text(panel)).trim().length > 20);
    expect(await browser.axe('section[aria-label=Drawer]')).toEqual([]);
  }
  const height = () =>
    browser.run<number>('return document.querySelector("section[aria-label=Drawer]").getBoundingClientRect().height');
  const first = await height();
  const edge = await browser.find('[role=separator][aria-label="Height of the drawer"]');
  await edge.sendKeys(Key.ARROW_UP, Key.ARROW_UP);
  await browser.until('it is higher', async () => (await height()) === first + 40);
  await browser.run('document.activeElement.blur()');
  const press = (key: string) => browser.driver.actions().sendKeys(key).perform();
  await press('1');
  await browser.until('the sieve has its own height', async () => (await height()) !== first + 40);
  await press('4');
  await browser.until('the findings have theirs', async () => (await height()) === first + 40);
  await press('4');
  await browser.until('it is shut', async () => (await height()) < 40);
  await browser.driver.navigate().refresh();
  await browser.untilText('section[aria-label=Address]', 'of 480');
  expect(await height()).toBeLessThan(40);
  await press('1');
  await browser.until('it is open', async () => (await height()) > 100);
});
