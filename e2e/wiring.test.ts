import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** What a developer tunes on the Bench, kind by kind, and sees on the live page at once. */

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  await browser.size(1440, 900);
  await browser.go(`${stage.studio}/lenses/field-notes`);
  await browser.find('[data-row=observed]');
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const onPage = <T>(work: () => Promise<T>) => browser.inFrame(work);
const untilOnPage = (what: string, holds: () => Promise<boolean>) => onPage(() => browser.until(what, holds));
const saving = () => browser.run<string>('return document.querySelector("[data-saving]").dataset.saving');
const untilSaved = () =>
  browser
    .until('the draft is saved', async () => (await saving()) === 'saved')
    .catch(async (error: Error) => {
      throw new Error(`${error.message} It is ${await saving()}.`);
    });
const wiring = () => browser.text('[aria-label=Wiring]');
const pick = async (label: string, option: string) => {
  const box = await browser.find(`select[aria-label="${label}"]`);
  await browser.run(
    `const [box, words] = arguments; box.value = [...box.options].find((one) => one.text.startsWith(words)).value;
     box.dispatchEvent(new Event('change', { bubbles: true }))`,
    box,
    option,
  );
};

interface Point {
  x: number;
  y: number;
}
const mouse = (type: string, point: Point) =>
  browser.command('Input.dispatchMouseEvent', { type, ...point, button: 'left', buttons: 1, clickCount: 1 });
/** Drags with the mouse as a hand does, step by step. */
async function pull(from: Point, to: Point): Promise<void> {
  await mouse('mousePressed', from);
  for (let step = 1; step <= 10; step++) {
    await mouse('mouseMoved', { x: from.x, y: from.y + ((to.y - from.y) * step) / 10 });
  }
  await mouse('mouseReleased', to);
}

test.each(['ivy', 'ivy-night'])('axe finds nothing in any wiring, in %s colours', async (theme) => {
  await browser.run(`localStorage.setItem('ivy-theme', '${theme}')`);
  await browser.driver.navigate().refresh();
  await browser.find('[data-row=observed]');
  const rows = await browser.run<string[]>(
    'return [...document.querySelectorAll("[data-row]")].map((row) => row.dataset.row)',
  );
  expect(rows.length).toBeGreaterThan(8);
  const found: string[] = [];
  for (const row of rows) {
    await browser.press(`[data-row="${row}"]`);
    await browser.until('its wiring is there', async () => (await wiring()).length > 40);
    found.push(...(await browser.axe('[aria-label=Wiring]')).map((problem) => `${row} ${problem}`));
  }
  await browser.press('[aria-label=Outline] button', 'Cards, order and pages');
  for (const tab of ['Card', 'Layout', 'Posts', 'Order', 'Pages', 'Words']) {
    await browser.press('[role=tab]', tab);
    found.push(...(await browser.axe('[aria-label=Wiring]')).map((problem) => `${tab} ${problem}`));
  }
  expect(found).toEqual([]);
  await browser.run(`localStorage.removeItem('ivy-theme')`);
});

test('days: presets are offered, worded and pressed; one day instead of two ends', async () => {
  await browser.press('[data-row=observed]');
  await browser.press('[aria-label=Wiring] button', 'Last 30 days');
  await untilOnPage('it is there', async () =>
    (await browser.texts('[data-facet=observed] .ivy-presets button')).includes('Last 30 days'),
  );
  const label = await browser.find('input[aria-label="Label of preset 4"]');
  await label.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Back then');
  await onPage(async () => {
    await browser.untilText('[data-facet=observed]', 'Back then');
    await browser.press('[data-facet=observed] .ivy-presets button', 'Spring 2026');
  });
  await browser.untilSearch('?observed=2026-03-01/2026-05-31');
  await browser.press('[aria-label="Visitors pick"] button', 'one day');
  await untilOnPage('one box', async () => (await browser.texts('[data-facet=observed] .ivy-end')).length === 0);
  await browser.press('button[aria-label=Undo]');
});

test('a day with its time is filtered to the minute, once hours are wanted', async () => {
  await browser.press('[aria-label=Outline] button', 'published');
  await browser.press('[aria-label="Shows as"] button', 'Hours');
  await onPage(async () => {
    const from = await browser.find('[data-facet=published] input[type=text]');
    await from.sendKeys('2026-05-03 14:30', Key.ENTER);
  });
  await browser.until('it is in the address', async () =>
    (await browser.search()).endsWith('published=2026-05-03T14:30/..'),
  );
  await browser.press('button[aria-label=Undo]');
  await browser.press('button[aria-label=Undo]');
});

test('numbers: the unit is on the page at once', async () => {
  await browser.press('[data-row=minutes]');
  const unit = await browser.find('input[aria-label=Unit]');
  await unit.sendKeys(Key.chord(Key.CONTROL, 'a'), 'minutes');
  await onPage(() => browser.untilText('[data-facet=minutes]', 'From (minutes)'));
});

test('a switch gets own words and a third way', async () => {
  await browser.press('[data-row=volunteers]');
  await browser.press('[aria-label=Wiring] button', 'Switch');
  await browser.press('input[aria-label="“No” matters too"]');
  await (await browser.find('input[aria-label="Words for no"]')).sendKeys('Wardens only');
  await onPage(() => browser.untilText('[data-facet=volunteers]', 'Wardens only'));
});

test('a switch starts as yes: a clean address has it on, and leaving it open is in the address', async () => {
  await browser.press('[aria-label="Starts as"] button', 'yes');
  await onPage(() => browser.untilText('.ivy-chips', 'Volunteers welcome'));
  await onPage(() => browser.press('[data-facet=volunteers] .ivy-facet-clear'));
  await browser.until('it is left open', async () => (await browser.search()).includes('volunteers=either'));
  await onPage(() => browser.press('.ivy-clear'));
  await browser.until('it is on again', async () => !(await browser.search()).includes('volunteers='));
  await browser.press('[aria-label="Starts as"] button', 'either');
  await untilOnPage('it is off', async () => !(await browser.text('.ivy-chips')).includes('Volunteers'));
});

test('terms: a label of this lens’s own, only the top level, buttons as links', async () => {
  await browser.press('[data-row=habitat]');
  await browser.press('[aria-label=Terms] button', 'Label of Mudflat');
  await (
    await browser.find('input[aria-label="Own label of Mudflat"]')
  ).sendKeys(Key.chord(Key.CONTROL, 'a'), 'Wide mud', Key.ENTER);
  await onPage(() => browser.untilText('[data-facet=habitat]', 'Wide mud'));
  expect(await browser.run('return document.activeElement.getAttribute("aria-label")')).toBe('Label of Wide mud');
  await browser.press('[aria-label="Levels shown"] button', 'top');
  await untilOnPage('three', async () => (await browser.texts('[data-facet=habitat] .ivy-option')).length === 3);
  await browser.press('[data-row=kind]');
  await browser.press('[aria-label=Wiring] button', 'Buttons');
  await browser.press('[aria-label="Buttons are"] button', 'plain links');
  await untilOnPage('links', async () => (await browser.texts('[data-facet=kind] a[href]')).length === 5);
});

test('terms are put in order by pulling and by keys, and only some are listed', async () => {
  await browser.press('[data-row=kind]');
  const shown = () => onPage(() => browser.texts('[data-facet=kind] a[href]'));
  const first = async () => (await shown())[0]!.replace(/[\d\s]+$/, '');
  const labels = () =>
    browser.run<string[]>('return [...document.querySelectorAll("[data-term]")].map((one) => one.dataset.term)');
  const before = await labels();
  const label = await browser.find(`[data-term="${before[1]}"] button`);
  await label.sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
  await browser.until('it moved', async () => (await labels())[0] === before[1]);
  expect(await browser.run('return document.activeElement.closest("[data-term]").dataset.term')).toBe(before[1]);
  const moved = (await browser.texts(`[data-term="${before[1]}"] button`))[0]!;
  await browser.until('visitors see it', async () => (await first()) === moved);
  const at = (term: string) =>
    browser.run<Point>(
      `const r = document.querySelector('[data-term="' + arguments[0] + '"]').getBoundingClientRect();
       return { x: r.x + 40, y: r.y + 12 }`,
      term,
    );
  await browser.run('document.querySelector("[data-term]").scrollIntoView({ block: "center" })');
  await pull(await at(before[4]!), await at(before[0]!));
  await browser.until('it was pulled', async () => (await labels()).indexOf(before[4]!) < 3);
  await browser.press('[aria-label="Which terms are listed"] button', 'only these');
  await browser.press(`[data-term="${before[0]}"] button[aria-label^="Hide"]`);
  await untilOnPage('one less', async () => (await browser.texts('[data-facet=kind] a[href]')).length === 4);
  await browser.press('[aria-label="Which terms are listed"] button', 'all but hidden');
  await browser.press(`[data-term="${before[0]}"] button[aria-label^="Show"]`);
  await untilOnPage('all again', async () => (await browser.texts('[data-facet=kind] a[href]')).length === 5);
});

test('a facet waits for another, and is folded at first', async () => {
  await browser.press('[data-row=species]');
  await pick('Shown once something is chosen in', 'a choice in Kind of note');
  await untilOnPage('it waits', async () => (await browser.texts('[data-facet=species]')).length === 0);
  await onPage(() => browser.press('[data-facet=kind] a', 'Survey'));
  await untilOnPage('it is there', async () => (await browser.texts('[data-facet=species]')).length === 1);
  await browser.press('[data-row=place]');
  await browser.press('input[aria-label="Folded at first"]');
  await untilOnPage('folded', () =>
    browser.run<boolean>('return document.querySelector("[data-facet=place] .ivy-facet-body").hidden'),
  );
});

test('what visitors will stumble over is said where it is set, and marked in the outline', async () => {
  await browser.press('[data-row=place]');
  await browser.press('[aria-label=Wiring] button', 'Ticks');
  await browser.until('another way is suggested, and why', async () =>
    (await wiring()).includes('Tree would suit: Its terms have branches.'),
  );
  await browser.press('[aria-label=Wiring] button', 'Tree');
  await untilSaved();
  const lens = `${stage.studio}/api/v1/lenses/field-notes`;
  const { draft, draftRevision } = (await (await fetch(lens)).json()) as {
    draft: { facets: { key: string }[] };
    draftRevision: number;
  };
  const facets = draft.facets.map((facet) => (facet.key === 'species' ? { ...facet, only: ['waders'] } : facet));
  const saved = await fetch(`${lens}/draft`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': String(draftRevision) },
    body: JSON.stringify({ config: { ...draft, facets } }),
  });
  expect(saved.status).toBe(200);
  await browser.driver.navigate().refresh();
  await browser.find('[data-outline=species] [aria-label="Needs a look"]');
  await browser.press('[data-row=species]');
  await browser.until('it is said', async () =>
    (await browser.text('[data-warning=one-term]')).includes('nothing to choose between'),
  );
});

test('a facet is duplicated under a name of its own, and moved by pulling it', async () => {
  await browser.press('[data-row=minutes]');
  await browser.press('button', 'Duplicate the facet Reading time');
  await browser.find('[data-row="minutes-2"]');
  const at = (key: string) =>
    browser.run<{ x: number; y: number }>(
      'const r = document.querySelector(arguments[0]).getBoundingClientRect(); return { x: r.x + 60, y: r.y + 13 }',
      `[data-outline="${key}"]`,
    );
  const [from, to] = [await at('minutes-2'), await at('habitat')];
  await pull(from, to);
  await untilOnPage('it moved', async () => (await browser.texts('.ivy-facet-title'))[1] === 'Reading time');
  await browser.press('button[aria-label=Undo]');
  await browser.press('button[aria-label=Undo]');
  await browser.until('it is gone again', async () => (await browser.texts('[data-row="minutes-2"]')).length === 0);
});

test.each([
  ['at the first visit', '.ivy-count-line', '480 notes'],
  ['with nothing found', '.ivy-empty', 'without'],
  ['when loading failed', '[role=alert]', 'did not load'],
  ['as addressed', '.ivy-chips', 'Survey'],
])('the live page can be seen %s', async (state, part, words) => {
  await pick('State of the page', state);
  await onPage(() => browser.untilText(part, words));
});

test('while loading, quiet shapes stand where facets and cards will be', async () => {
  const counts = () =>
    browser.run<number[]>(
      `const shown = (one) => one.checkVisibility() && one.getBoundingClientRect().height > 8;
       const all = (part) => [...document.querySelectorAll(part)].filter(shown).length;
       return [all('.ivy-ghost-facet i'), all('.ivy-ghost'), all('.ivy-fold'), all('.ivy-card')]`,
    );
  await pick('State of the page', 'while loading');
  await onPage(() => browser.until('all are shapes', async () => String(await counts()) === '15,6,0,0'));
  await pick('State of the page', 'as addressed');
  await onPage(() =>
    browser.until('none are', async () => {
      const [lines, ghosts, facets, cards] = await counts();
      return lines === 0 && ghosts === 0 && facets! > 3 && cards! > 3;
    }),
  );
});

test('the page can be seen and used as it is without scripts', async () => {
  await untilSaved();
  await pick('State of the page', 'without scripts');
  const plain = await browser.find('iframe[title$="without scripts"]');
  const inPlain = async (work: () => Promise<void>) => {
    await browser.driver.switchTo().frame(plain);
    await work().finally(() => browser.driver.switchTo().defaultContent());
  };
  const before = await browser.search();
  await inPlain(async () => {
    await browser.until('it is drawn', async () => (await browser.texts('form[data-plain] .ivy-card')).length > 0);
    await browser.press('[data-facet=habitat] input[value=shore]');
    await browser.press('.ivy-apply button');
  });
  await browser.until('the Bench goes along', async () => (await browser.search()).includes('habitat=shore'));
  await browser.back();
  await browser.untilSearch(before);
  await pick('State of the page', 'as addressed');
});

test('the page is pulled to any width, by its edge or by keys', async () => {
  const width = () => browser.run<number>('return document.querySelector("iframe").contentWindow.innerWidth');
  const before = await width();
  const edge = await browser.find('[role=separator]');
  await edge.sendKeys(Key.ARROW_LEFT, Key.PAGE_DOWN);
  await browser.until('narrower', async () => (await width()) === before - 110);
  expect(await edge.getAttribute('aria-valuenow')).toBe(String(834 - 110));
});

test('choices can wait for a button, and visitors can read in another language', async () => {
  await browser.press('[aria-label=Outline] button', 'Cards, order and pages');
  await browser.press('[role=tab]', 'Layout');
  await browser.press('[aria-label="A choice counts"] button', 'on a button');
  await onPage(() => browser.find('.ivy-apply'));
  await browser.press('[role=tab]', 'Words');
  await browser.find('[aria-label="Language of the lens"]');
  await browser.run(
    `const box = document.querySelector('[aria-label="Language of the lens"]'); box.value = 'de'; box.dispatchEvent(new Event('change', { bubbles: true }))`,
  );
  await onPage(() => browser.untilText('.ivy-clear', 'Alles zurücksetzen'));
});

test('all of it is kept', async () => {
  await untilSaved();
  const { draft } = (await (await fetch(`${stage.studio}/api/v1/lenses/field-notes`)).json()) as {
    draft: { facets: Record<string, unknown>[]; language: string };
  };
  const facet = (key: string) => draft.facets.find((one) => one.key === key);
  expect(draft.language).toBe('de');
  expect(facet('habitat')).toMatchObject({ kind: 'tree', levels: 1, labels: { mudflat: 'Wide mud' } });
  expect(facet('kind')).toMatchObject({ kind: 'buttons', as: 'links' });
  expect(facet('species')).toMatchObject({ dependsOn: 'kind' });
  expect(facet('place')).toMatchObject({ kind: 'tree', folded: true });
  expect(facet('volunteers')).toMatchObject({ kind: 'switch', both: true, labels: { no: 'Wardens only' } });
});

test('a field of a search counts for more: the first page changes, and what has moved is listed', async () => {
  await browser.go(`${stage.studio}/lenses/field-notes?q=tern`);
  await browser.press('[data-row=q]');
  const titles = () => onPage(() => browser.texts('.ivy-card .ivy-title'));
  await browser.until('the page is searched', async () => (await titles()).length > 3);
  const before = await titles();
  const weight = await browser.find('[aria-label="Weight of Summary"]');
  for (let n = 0; n < 5; n++) await weight.sendKeys(Key.ARROW_RIGHT);
  await browser.until('another page', async () => (await titles()).join() !== before.join());
  const moves = () => browser.texts('[aria-label="First page by these weights"] li');
  await browser.until('places are told', async () => (await moves()).some((move) => /↑\d/.test(move)));
  expect((await moves())[0]).toContain((await titles())[0]);
  await browser.press('button', 'Usual weights');
  await browser.until('as before', async () => (await titles()).join() === before.join());
});
