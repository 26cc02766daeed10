import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

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

const titles = () => browser.texts('.ivy-title');
const chips = () => browser.texts('.ivy-chip');
const untilChips = (...expected: string[]) =>
  browser.until(`chips ${expected.join(', ')}`, async () => (await chips()).join() === expected.join());
const untilTitles = (what: string, holds: (all: string[]) => boolean) =>
  browser.until(what, async () => holds(await titles()));
const count = async (label: string) => {
  const row = (await browser.texts('.ivy-option')).find((text) => text.startsWith(`${label} `));
  return Number(row?.split(' ').at(-1));
};

test('a page of another origin shows the released lens, and nothing but the snippet is ours', async () => {
  const html = await (await fetch(stage.site)).text();
  expect(html).toContain(`<script type="module" src="${stage.studio}/embed/ivy-lens.js"></script>`);
  expect(html).toContain('<ivy-lens name="field-notes"></ivy-lens>');
  await browser.go(stage.site);
  await browser.untilText('.ivy-count-line', '480 notes');
  expect((await titles()).length).toBe(12);
  expect(await chips()).toEqual([]);
});

test('ticking updates results, counts, chips, count line, pager and address without a reload', async () => {
  await browser.run('window.mark = 1');
  const [before, survey] = [await titles(), await count('Survey')];
  const mudflat = await count('Mudflat');
  await browser.press('[data-facet=habitat] input', 'Mudflat');
  await browser.untilSearch('?habitat=mudflat');
  await untilChips('Mudflat');
  await browser.untilText('.ivy-count-line', `${mudflat} notes of 480`);
  expect(await count('Survey')).toBeLessThan(survey);
  // the counts of its own facet stay: they say what choosing another would give
  expect(await count('Mudflat')).toBe(mudflat);
  expect(await titles()).not.toEqual(before);
  expect(await browser.text('.ivy-pager')).toContain(String(Math.ceil(mudflat / 12)));
  expect(await browser.run('return window.mark')).toBe(1);
});

test('a page further keeps the choice; another choice goes back to the first page', async () => {
  const first = await titles();
  await browser.press('.ivy-page', 'Page 2');
  await browser.untilSearch('?habitat=mudflat&page=2');
  // the page is marked before its cards have come
  await untilTitles('the cards of page 2', (all) => all.length > 0 && all.join() !== first.join());
  await browser.until('page 2 is marked', async () => (await browser.text('.ivy-page[aria-current]')) === '2');
  const before = await titles();
  await browser.press('[data-facet=kind] input', 'Survey');
  await browser.untilSearch('?habitat=mudflat&kind=survey');
  await untilTitles('other cards', (all) => all.join() !== before.join());
});

test('back and forward restore choices, page and results', async () => {
  const now = await titles();
  await browser.back();
  await browser.untilSearch('?habitat=mudflat&page=2');
  await untilChips('Mudflat');
  await untilTitles('other cards', (all) => all.join() !== now.join());
  await browser.back();
  await browser.back();
  await browser.untilSearch('');
  await untilChips();
  await browser.driver.navigate().forward();
  await browser.driver.navigate().forward();
  await browser.driver.navigate().forward();
  await browser.untilSearch('?habitat=mudflat&kind=survey');
  await untilTitles('the same cards', (all) => all.join() === now.join());
});

test('a reload and a shared link in a fresh tab show the same', async () => {
  const now = await titles();
  await browser.driver.navigate().refresh();
  await untilTitles('the same cards', (all) => all.join() === now.join());
  const url = await browser.driver.getCurrentUrl();
  await browser.driver.switchTo().newWindow('tab');
  await browser.size(1280, 800);
  await browser.go(url);
  await untilTitles('the same cards', (all) => all.join() === now.join());
  expect(await chips()).toEqual(['Mudflat', 'Survey']);
});

test('a parent that is partly on takes all below it; chips and “Clear all” undo', async () => {
  const shore = await browser.named('[data-facet=habitat] input', 'Shore');
  expect(await browser.run('return arguments[0].indeterminate', shore)).toBe(true);
  await browser.press('[data-facet=habitat] input', 'Shore');
  await browser.untilSearch('?habitat=shore&kind=survey');
  await untilChips('Shore', 'Survey');
  await browser.press('.ivy-chip', 'Remove Kind of note: Survey');
  await browser.untilSearch('?habitat=shore');
  await browser.press('.ivy-clear');
  await browser.untilSearch('');
  await browser.untilText('.ivy-count-line', '480 notes');
});

test('by keyboard alone: tick, and remove the chip with Backspace', async () => {
  const box = await browser.named('[data-facet=habitat] input', 'Lagoon');
  await box.sendKeys(Key.SPACE);
  await browser.untilSearch('?habitat=lagoon');
  expect(await browser.run('return document.activeElement.value')).toBe('lagoon');
  await (await browser.find('.ivy-chip')).sendKeys(Key.BACK_SPACE);
  await browser.untilSearch('');
});

test('a search answers as one types, marks what matched, and is one step back', async () => {
  const box = await browser.find('input[type=search]');
  await box.sendKeys('ter');
  await browser.untilSearch('?q=ter');
  await box.sendKeys('n');
  await browser.untilSearch('?q=tern');
  await untilChips('“tern”');
  expect(await browser.run('return document.activeElement.type')).toBe('search');
  await browser.find('.ivy-mark');
  await browser.back();
  await browser.untilSearch('');
  await browser.until(
    'the box is empty',
    async () => (await browser.run('return document.querySelector("input[type=search]").value')) === '',
  );
});

test('a misspelt search says what it took it for', async () => {
  await browser.go(`${stage.site}/?q=oystercatchrs`);
  await browser.untilText('.ivy-notices', 'Nothing for “oystercatchrs”, showing “oystercatchers”.');
  expect((await titles()).length).toBeGreaterThan(0);
});

test('a range of days and one of numbers narrow together, and the chips say it in words', async () => {
  await browser.go(`${stage.site}/?observed=2026-03/2026-05&minutes=../5`);
  await browser.untilSearch('?observed=2026-03-01/2026-05-31&minutes=../5');
  await untilChips('1 Mar – 31 May 2026', 'up to 5 min');
  const before = await browser.text('.ivy-count-line');
  const to = await browser.find('[data-facet=minutes] label:nth-child(2) input');
  await to.clear();
  await to.sendKeys('3', Key.ENTER);
  await browser.untilSearch('?observed=2026-03-01/2026-05-31&minutes=../3');
  await browser.until('fewer notes', async () => (await browser.text('.ivy-count-line')) !== before);
});

test('what is in the address and not the lens’s stays, and old forms become canonical', async () => {
  await browser.go(`${stage.site}/?from=letter&habitat=reedbed&habitat=mudflat&sort=newest&page=0#notes`);
  await browser.untilSearch('?from=letter&habitat=mudflat,reedbed');
  expect(new URL(await browser.driver.getCurrentUrl()).hash).toBe('#notes');
  await (await browser.find('.ivy-sort select')).sendKeys('Title');
  await browser.untilSearch('?from=letter&habitat=mudflat,reedbed&sort=title');
  await browser.until('sorted', async () => {
    const all = await titles();
    const bare = all.map((title) => title.normalize('NFKD').toLowerCase());
    return all.length === 12 && bare.join() === [...bare].sort().join();
  });
});

test('the first paint is the right one: no chip, count or card appears that is then taken away', async () => {
  await browser.command('Page.addScriptToEvaluateOnNewDocument', {
    source: `window.seen = []; new MutationObserver(() => {
      const count = document.querySelector('.ivy-count-line')?.innerText.replace(/\\s+/g, ' ').trim();
      const chips = [...document.querySelectorAll('.ivy-chip')].map((chip) => chip.innerText.trim()).join();
      const state = count + '|' + chips + '|' + document.querySelectorAll('.ivy-card').length;
      if (count !== undefined && window.seen.at(-1) !== state) window.seen.push(state);
    }).observe(document, { subtree: true, childList: true, characterData: true });`,
  });
  await browser.go(`${stage.site}/?habitat=lagoon`);
  await browser.find('.ivy-card');
  const matched = await count('Lagoon');
  expect(await browser.run('return window.seen')).toEqual([`${matched} notes of 480|Lagoon|12`]);
});

test('without a connection the page says so, keeps what it has, and goes on by itself once there is one', async () => {
  await browser.go(stage.site);
  await browser.find('.ivy-card');
  await browser.command('Network.enable');
  await browser.command('Network.emulateNetworkConditions', {
    offline: true,
    latency: 0,
    downloadThroughput: 0,
    uploadThroughput: 0,
  });
  await browser.press('[data-facet=habitat] input', 'Lagoon');
  await browser.untilText('[role=alert]', 'There is no connection');
  await browser.find('.ivy-retry');
  expect((await titles()).length).toBe(12);
  await browser.command('Network.emulateNetworkConditions', {
    offline: false,
    latency: 0,
    downloadThroughput: -1,
    uploadThroughput: -1,
  });
  await untilChips('Lagoon');
  await browser.until('all is well', async () => (await browser.texts('[role=alert]')).length === 0);
  expect((await titles()).length).toBe(12);
});

test('a plain rule of the site’s own sheet wins over ours', async () => {
  await browser.run(
    `const s = document.createElement('style'); s.textContent = 'ul { padding-left: 7px } .ivy-chip { background: rgb(1, 2, 3) }'; document.head.append(s)`,
  );
  expect(
    await browser.run(
      `return [getComputedStyle(document.querySelector('.ivy-cards')).paddingLeft, getComputedStyle(document.querySelector('.ivy-chip')).backgroundColor]`,
    ),
  ).toEqual(['7px', 'rgb(1, 2, 3)']);
});

test('parts can stand apart on a page and stay in step', async () => {
  await browser.go(`${stage.site}/join`);
  await browser.run(`document.querySelector('main').innerHTML = '<ivy-count name="field-notes"></ivy-count><ivy-facet name="field-notes" key="kind"></ivy-facet><ivy-results name="field-notes"></ivy-results><ivy-results name="field-notes"></ivy-results>';
    const s = document.createElement('script'); s.type = 'module'; s.src = '${stage.studio}/embed/ivy-lens.js'; document.head.append(s)`);
  await browser.untilText('ivy-count', '480 notes');
  await browser.press('ivy-facet input', 'Interview');
  await browser.untilSearch('?kind=interview');
  await browser.until('both lists follow', async () => {
    const lists = await browser.run<string[]>(
      'return [...document.querySelectorAll("ivy-results")].map((list) => list.innerText)',
    );
    return lists.length === 2 && lists[0] === lists[1] && (await browser.text('ivy-count')).includes('of 480');
  });
});

test.each([
  [1280, 800],
  [390, 844],
])('axe finds nothing at %i by %i', async (width, height) => {
  await browser.size(width, height);
  await browser.go(`${stage.site}/?habitat=mudflat&kind=survey`);
  await browser.find('.ivy-card');
  if (width < 600) {
    await browser.press('.ivy-filters');
    expect(await browser.run('return document.activeElement.closest(".ivy-sheet") !== null')).toBe(true);
  }
  expect(await browser.axe()).toEqual([]);
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
});
