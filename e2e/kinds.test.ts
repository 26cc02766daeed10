import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Every kind of facet as a visitor uses it, by mouse and by keyboard alone. */

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  await release('kinds', { facets });
  await release('marking', { facets: [{ key: 'mine', kind: 'favourites', label: 'Mine' }] });
  await release('waiting', { facets: facets.slice(0, 3), address: { apply: 'button' } });
  await release('kinds-ar', { facets, language: 'ar' });
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const facets = [
  { key: 'habitat', kind: 'tree', field: 'habitat', label: 'Habitat' },
  { key: 'observer', kind: 'checkboxes', field: 'observer', label: 'Observer', dependsOn: 'kind' },
  { key: 'kind', kind: 'buttons', field: 'kind', label: 'Kind of note', as: 'links' },
  { key: 'species', kind: 'dropdown', field: 'species', label: 'Species group' },
  { key: 'tide', kind: 'dropdown', field: 'tide_state', label: 'Tide', single: true },
  { key: 'place', kind: 'tree', field: 'place', label: 'Place', folded: true },
  {
    key: 'open',
    kind: 'switch',
    field: 'volunteers',
    label: 'Joining in',
    both: true,
    labels: { yes: 'Come along', no: 'Wardens only' },
  },
  {
    key: 'observed',
    kind: 'date-range',
    field: 'observed_on',
    label: 'Observed',
    presets: [{ label: 'Spring 2026', range: '2026-03/2026-05' }],
  },
  { key: 'day', kind: 'date-range', field: 'published', label: 'Published on', pick: 'day' },
  { key: 'when', kind: 'time-range', field: 'published', label: 'To the minute' },
  { key: 'minutes', kind: 'number-range', field: 'minutes', label: 'Reading time', unit: 'min' },
  { key: 'hidden', kind: 'checkboxes', field: 'tide_state', label: 'Fixed', visible: false },
];

async function release(slug: string, config: object): Promise<void> {
  const post = async (path: string, body: object) => {
    const response = await fetch(`${stage.studio}/api/v1/lenses${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!response.ok) throw new Error(await response.text());
  };
  await post('', { name: slug, slug, source: 'orrin-field-notes', config });
  await post(`/${slug}/releases`, {});
}

/** A page of another site with a lens on it. */
async function open(name: string, search = '', direction = 'ltr'): Promise<void> {
  await browser.go(`${stage.site}/join${search === '' ? '' : `?${search}`}`);
  await browser.run(`document.documentElement.dir = '${direction}';
    document.querySelector('main').innerHTML = '<h1>Notes</h1><ivy-lens name="${name}"></ivy-lens><p style="height:900px">below</p>';
    const s = document.createElement('script'); s.type = 'module'; s.src = '${stage.studio}/embed/ivy-lens.js'; document.head.append(s)`);
  await browser.find('.ivy-card');
}

const matched = async () => Number(/\d+/.exec(await browser.text('.ivy-count-line strong'))?.[0]);
const untilMatched = (what: string, holds: (n: number) => boolean) =>
  browser.until(what, async () => holds(await matched()));
const active = () => browser.driver.switchTo().activeElement();
const focused = (property: string) => browser.run<string>(`return document.activeElement.${property}`);
const chips = () => browser.texts('.ivy-chips .ivy-chip');

test('a tree opens a branch without choosing anything, by mouse and by keyboard', async () => {
  await open('kinds');
  expect(await browser.texts('[data-facet=place] .ivy-facet-body:not([hidden]) .ivy-option')).toEqual([]);
  await browser.press('[data-facet=place] .ivy-fold');
  const tops = (await browser.texts('[data-facet=place] .ivy-facet-body:not([hidden]) .ivy-option')).length;
  await browser.press('[data-facet=place] .ivy-branch', 'What is under Inner estuary');
  const opened = (await browser.texts('[data-facet=place] .ivy-facet-body:not([hidden]) .ivy-option')).length;
  expect(opened).toBeGreaterThan(tops);
  expect(await browser.search()).toBe('');
  await active().sendKeys(Key.ENTER);
  expect(await browser.texts('[data-facet=place] .ivy-facet-body:not([hidden]) .ivy-option')).toHaveLength(tops);
  await active().sendKeys(Key.TAB, Key.SPACE);
  await browser.untilSearch('?place=inner-estuary');
  await untilMatched('fewer notes', (n) => n < 480);
});

test('what a visitor folds stays folded when they come again', async () => {
  await browser.press('[data-facet=habitat] .ivy-fold');
  expect(await browser.text('[data-facet=habitat]')).not.toContain('Mudflat');
  await open('kinds');
  expect(await browser.text('[data-facet=habitat]')).not.toContain('Mudflat');
  await browser.press('[data-facet=habitat] .ivy-fold');
  expect(await browser.text('[data-facet=habitat]')).toContain('Mudflat');
});

test('a chosen branch is open on arrival, and typing finds over the whole tree', async () => {
  await open('kinds', 'place=cobb-lane');
  expect(await browser.text('[data-facet=place]')).toContain('Cobb Lane');
  const find = await browser.find('[data-facet=place] .ivy-find');
  await find.sendKeys('osier');
  await browser.until('the found one and those above', async () => {
    const found = (await browser.texts('[data-facet=place] .ivy-facet-body:not([hidden]) .ivy-option')).map((text) =>
      text.replace(/ \d+$/, ''),
    );
    return found.join() === 'Inner estuary,Reed side,Osier Quay';
  });
  await find.sendKeys(Key.TAB, Key.TAB, Key.TAB, Key.SPACE);
  await browser.untilSearch('?place=cobb-lane,osier-quay');
  await find.sendKeys('zzz');
  await browser.untilText('[data-facet=place]', 'Nothing here is called that.');
  await find.sendKeys(Key.ESCAPE);
});

test('one facet is cleared alone, and the focus goes to its heading', async () => {
  await open('kinds', 'place=cobb-lane&kind=survey');
  await browser.press('.ivy-facet-clear', 'Clear Place');
  await browser.untilSearch('?kind=survey');
  expect(await focused('className')).toBe('ivy-fold');
});

test('a facet that waits for another comes when something is chosen there', async () => {
  await open('kinds');
  expect(await browser.texts('[data-facet=observer]')).toEqual([]);
  await browser.press('[data-facet=kind] a', 'Interview');
  await browser.untilSearch('?kind=interview');
  await browser.find('[data-facet=observer] input');
});

test('links lead to a real address, and press without a reload', async () => {
  await browser.run('window.mark = 1');
  const survey = await browser.named('[data-facet=kind] a', 'Survey');
  expect(new URL((await survey.getAttribute('href'))!).search).toBe('?kind=interview,survey');
  await survey.sendKeys(Key.ENTER);
  await browser.untilSearch('?kind=interview,survey');
  expect(await browser.run('return window.mark')).toBe(1);
  expect(await survey.getAttribute('aria-current')).toBe('true');
});

test('several of a list are typed for and picked, by keyboard alone', async () => {
  await open('kinds');
  const box = await browser.find('[data-facet=species] [role=combobox]');
  await box.sendKeys('wa');
  await browser.until('the list is open', async () => (await box.getAttribute('aria-expanded')) === 'true');
  expect((await browser.texts('[data-facet=species] [role=option]')).map((text) => text.replace(/ \d+$/, ''))).toEqual([
    'Waders',
  ]);
  await box.sendKeys(Key.ENTER);
  await browser.untilSearch('?species=waders');
  await box.sendKeys(Key.BACK_SPACE, Key.BACK_SPACE, Key.ARROW_DOWN, Key.ENTER);
  await browser.until('two are picked', async () => (await chips()).length === 2);
  expect(await browser.run('return document.activeElement.getAttribute("aria-activedescendant")')).not.toBeNull();
  await box.sendKeys(Key.ESCAPE);
  expect(await box.getAttribute('aria-expanded')).toBe('false');
  await box.sendKeys(Key.BACK_SPACE);
  await browser.until('the last is taken back', async () => (await chips()).length === 1);
});

test('several of a list are picked by mouse, and the list stays open', async () => {
  await open('kinds');
  await browser.press('[data-facet=species] [role=combobox]');
  await browser.press('[data-facet=species] [role=option]', 'Eels');
  await browser.untilSearch('?species=eels');
  await browser.press('[data-facet=species] [role=option]', 'Moths');
  await browser.untilSearch('?species=eels,moths');
  await browser.press('.ivy-picked .ivy-chip', 'Remove Species group: Eels');
  await browser.untilSearch('?species=moths');
});

test('one of a list is the browser’s own', async () => {
  await open('kinds');
  const box = await browser.find('[data-facet=tide] select');
  await box.sendKeys(Key.ARROW_DOWN);
  await browser.until('one tide', async () => /^\?tide=/.test(await browser.search()));
  await box.sendKeys(Key.HOME);
  await browser.untilSearch('');
});

test('where “no” matters a switch has three ways, with own words', async () => {
  await open('kinds');
  const either = await browser.find('[data-facet=open] input:checked');
  await either.sendKeys(Key.ARROW_RIGHT);
  await browser.untilSearch('?open=yes');
  await browser.until('the chip has the own words', async () => (await chips()).join() === 'Come along');
  const yes = await matched();
  await active().sendKeys(Key.ARROW_RIGHT);
  await browser.untilSearch('?open=no');
  await untilMatched('another number', (n) => n !== yes);
  await browser.press('[data-facet=open] label:first-child');
  await browser.untilSearch('');
});

test('days: a preset, a year typed alone, and a thumb moved by keys', async () => {
  await open('kinds');
  await browser.press('[data-facet=observed] .ivy-presets button', 'Spring 2026');
  await browser.untilSearch('?observed=2026-03-01/2026-05-31');
  await browser.until('it is pressed', async () =>
    browser.run<boolean>('return document.querySelector(".ivy-presets button").ariaPressed === "true"'),
  );
  const from = await browser.find('[data-facet=observed] input[type=text]');
  await from.clear();
  await from.sendKeys('2025', Key.ENTER);
  await browser.untilSearch('?observed=2025-01-01/2026-05-31');
  await from.clear();
  // an open end is a choice too: what comes of it is drawn before one types on
  await browser.untilSearch('?observed=../2026-05-31');
  await browser.until('it is drawn', () =>
    browser.run<boolean>(
      'return document.querySelector(".ivy-results-body").ariaBusy === "false" && !document.querySelector("[data-moving]")',
    ),
  );
  await from.sendKeys('soon', Key.ENTER);
  await browser.until('the field says it is no day', async () => (await from.getAttribute('aria-invalid')) === 'true');
  await (await browser.find('[data-facet=observed] .ivy-thumb[data-end=to]')).sendKeys(Key.ARROW_LEFT);
  await browser.untilSearch('?observed=../2026-04-30');
});

test('times: ends typed with their hours, a thumb moved by keys, the same in the chip and without scripts', async () => {
  await open('kinds');
  const from = await browser.find('[data-facet=when] input[type=text]');
  await from.sendKeys('2025-05-03 14:30', Key.ENTER);
  await browser.untilSearch('?when=2025-05-03T14:30/..');
  expect(await chips()).toEqual([expect.stringMatching(/^from May 3, 2025, 2:30\sPM$/)]);
  const search = await browser.search();
  const response = await fetch(`${stage.studio}/api/v1/lenses/kinds/results${search}`);
  const answer = (await response.json()) as { matched: number };
  await untilMatched('it is drawn', (n) => n === answer.matched);
  await (await browser.find('[data-facet=when] .ivy-thumb[data-end=to]')).sendKeys(Key.ARROW_LEFT);
  await browser.until('it ends with a month', async () =>
    /^\?when=2025-05-03T14:30\/2026-\d\d-\d\dT23:59$/.test(await browser.search()),
  );
  const page = await (await fetch(`${stage.studio}/l/kinds?when=2025-05-03T14:30/..`)).text();
  expect(page).toMatch(/type="datetime-local"\s+name="[^"]+"\s+value="2025-05-03T14:30"/);
});

test('a single day is picked as one', async () => {
  await open('kinds', 'day=2026-06-11');
  await browser.untilSearch('?day=2026-06-11/2026-06-11');
  expect(await chips()).toEqual(['Jun 11, 2026']);
  expect(await browser.run('return document.querySelector("[data-facet=day] input[type=date]").value')).toBe(
    '2026-06-11',
  );
});

test('numbers: both thumbs by keys, an end typed, the unit in the chip, and the same in a fresh tab', async () => {
  await open('kinds');
  await (
    await browser.find('[data-facet=minutes] .ivy-thumb[data-end=from]')
  ).sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
  await browser.untilSearch('?minutes=3/..');
  const to = await browser.find('[data-facet=minutes] label:nth-child(2) input');
  await to.sendKeys('8', Key.ENTER);
  await browser.untilSearch('?minutes=3/8');
  await browser.until('the chip', async () => (await chips()).join() === '3 – 8 min');
  await browser.until('the answer', () =>
    browser.run(`return document.querySelector('.ivy-results-body').ariaBusy === 'false'`),
  );
  const now = await matched();
  const search = await browser.search();
  await browser.driver.switchTo().newWindow('tab');
  await browser.size(1280, 800);
  await open('kinds', search.slice(1));
  expect(await matched()).toBe(now);
  expect(await chips()).toEqual(['3 – 8 min']);
  expect(
    await browser.run(
      'return [...document.querySelectorAll("[data-facet=minutes] .ivy-thumb")].map((t) => t.ariaValueText)',
    ),
  ).toEqual(['3', '8']);
});

test('what is fixed in the address counts, and visitors neither see nor clear it', async () => {
  await open('kinds', 'hidden=rising&kind=survey');
  const fixed = await matched();
  expect(await chips()).toEqual(['Survey']);
  await browser.press('.ivy-clear');
  await browser.untilSearch('?hidden=rising');
  await untilMatched('more, but not all', (n) => n > fixed && n < 480);
});

test('posts are marked on their cards, kept on the device, shown alone, and shared by address', async () => {
  await browser.go(stage.site);
  await browser.find('.ivy-ribbon');
  const [first, second] = await browser.texts('.ivy-title');
  const ribbons = await browser.driver.findElements({ css: '.ivy-ribbon' });
  await ribbons[0]!.click();
  await ribbons[1]!.sendKeys(Key.SPACE);
  expect(await ribbons[1]!.getAttribute('aria-pressed')).toBe('true');
  await browser.driver.navigate().refresh();
  await browser.untilText('[data-facet=marked]', 'Only what I marked 2');
  await browser.press('[data-facet=marked] input');
  await untilMatched('two', (n) => n === 2);
  expect(await browser.texts('.ivy-title')).toEqual([first, second]);
  expect(await chips()).toEqual(['2 marked']);
  // a mark that is taken away while only marked posts are shown goes at once
  await browser.press('.ivy-ribbon');
  await untilMatched('one', (n) => n === 1);
  // another lens of the same source knows what is left
  await open('marking');
  await browser.untilText('[data-facet=mine]', 'Only what I marked 1');
  await browser.go(`${stage.site}/?marked=n-0001,gone`);
  await browser.untilSearch('?marked=n-0001');
  await untilMatched('the shared one', (n) => n === 1);
  await browser.press('.ivy-chips .ivy-chip');
  await browser.untilSearch('');
});

test('a slash goes to the search box, but not while one writes', async () => {
  await browser.go(stage.site);
  await browser.find('.ivy-card');
  await (await browser.find('body')).sendKeys('/');
  expect(await focused('type')).toBe('search');
  await active().sendKeys('a/b');
  expect(await focused('value')).toBe('a/b');
});

test('with a button, choices wait for it, and it says how much it will show', async () => {
  await open('waiting');
  const before = await browser.text('.ivy-results-body');
  await browser.press('[data-facet=habitat] input', 'Lagoon');
  await browser.until('the button counts along', async () => !(await browser.text('.ivy-apply')).includes('480'));
  const promised = Number(/\d+/.exec(await browser.text('.ivy-apply'))![0]);
  expect(await browser.search()).toBe('');
  expect(await browser.text('.ivy-results-body')).toBe(before);
  await browser.press('.ivy-apply button');
  await browser.untilSearch('?habitat=lagoon');
  await untilMatched('as promised', (n) => n === promised);
});

test('on a phone the facets are a sheet: focus stays in, Escape gives it back, the page stays where it was', async () => {
  await browser.size(390, 844);
  await open('kinds', 'kind=survey');
  await browser.run('scrollTo(0, 120)');
  await (await browser.find('.ivy-filters')).sendKeys(Key.ENTER);
  await browser.find('dialog[open]');
  const top = await browser.run('return scrollY');
  expect(top).toBeGreaterThan(0);
  await browser.press('.ivy-sheet [data-facet=habitat] input', 'Mudflat');
  await browser.untilSearch('?habitat=mudflat&kind=survey');
  await browser.until('the button counts along', async () => !(await browser.text('.ivy-sheet-foot')).includes('203'));
  for (let n = 0; n < 60; n++) await active().sendKeys(Key.TAB);
  expect(
    await browser.run(
      'const at = document.activeElement; return at === document.body || at.closest("dialog") !== null',
    ),
  ).toBe(true);
  expect(await browser.axe()).toEqual([]);
  await (await browser.find('.ivy-sheet-close')).sendKeys(Key.ESCAPE);
  await browser.until('the sheet is gone', async () => (await browser.texts('dialog')).length === 0);
  expect(await focused('className')).toBe('ivy-filters');
  expect(await browser.run('return scrollY')).toBe(top);
  await browser.size(1280, 800);
});

test.each([
  ['left to right', 'kinds', 'ltr', 'Clear all'],
  ['right to left, in Arabic', 'kinds-ar', 'rtl', 'مسح الكل'],
])('axe finds nothing %s', async (_way, name, direction, word) => {
  await open(name, 'habitat=mudflat&species=waders&observed=2026', direction);
  expect(await browser.text('.ivy-clear')).toBe(word);
  await browser.press('[data-facet=species] [role=combobox]');
  expect(await browser.axe()).toEqual([]);
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
});
