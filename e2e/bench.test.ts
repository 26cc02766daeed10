import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Here the live page is drawn at its full size: the driver misses in a frame that is drawn smaller. */
const fullSize = [1440, 900] as const;

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  await browser.size(...fullSize);
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const matched = () => browser.text('[data-testid=matched]');
const untilMatched = (n: number) => browser.until(`${n} matched`, async () => (await matched()) === String(n));
const untilSaved = () =>
  browser.until(
    'the draft is saved',
    async () => (await browser.run('return document.querySelector("[data-saving]").dataset.saving')) === 'saved',
  );
const tick = (facet: string, label: string) =>
  browser.inFrame(() => browser.press(`[data-facet=${facet}] input`, label));
const facetsOnPage = () => browser.inFrame(() => browser.texts('.ivy-facet-title'));

test('from the list of sources to the lens on its bench', async () => {
  await browser.go(stage.studio);
  await browser.untilText('main', 'Orrin field notes');
  expect(await browser.text('main')).toMatch(/480\s+posts/);
  await browser.press('main a', 'Field notes');
  await browser.untilText('section[aria-label=Address]', 'of 480');
  expect(await matched()).toBe('480');
  expect(await browser.texts('nav[aria-label=Outline] [data-outline]')).toEqual([
    'Search',
    'Habitat',
    'Kind of note',
    'Species group',
    'Place',
    'Observed',
    'Reading time',
    'Joining in',
    'Marked',
  ]);
});

test('the engine’s own kernel may run on the Bench, and no code that comes as text', async () => {
  // from a timer, as code of the page's own: what the driver runs itself is let through everywhere
  const runs = (code: string) =>
    browser.driver.executeAsyncScript<boolean>(
      `const done = arguments[arguments.length - 1];
       setTimeout(() => { try { ${code}; done(true) } catch { done(false) } })`,
    );
  expect(await runs('new WebAssembly.Module(Uint8Array.of(0, 0x61, 0x73, 0x6d, 1, 0, 0, 0))')).toBe(true);
  expect(await runs('window.eval("1")')).toBe(false);
  // a worker goes by the policy its own script came with
  const worker = await browser.run<string>(
    'return performance.getEntriesByType("resource").map((one) => one.name).find((name) => name.includes("dry-run-worker"))',
  );
  expect((await fetch(worker)).headers.get('content-security-policy')).toContain(
    "script-src 'self' 'wasm-unsafe-eval'",
  );
});

test('ticking in the live page moves the address, the counts and the results together', async () => {
  await tick('habitat', 'Mudflat');
  await browser.untilSearch('?habitat=mudflat');
  await browser.until('fewer posts', async () => (await matched()) !== '480');
  const shown = Number(await matched());
  await browser.inFrame(() => browser.untilText('.ivy-count-line', `${shown} notes of 480`));
  expect(await browser.texts('nav[aria-label=Outline] [data-outline=habitat]')).toEqual(['Habitat 1']);
  await tick('habitat', 'Reedbed');
  await browser.untilSearch('?habitat=mudflat,reedbed');
  await browser.until('more posts', async () => Number(await matched()) > shown);
});

test('a press of the mouse lands where it should on a page that is drawn smaller', async () => {
  await browser.size(1280, 800);
  const place = () =>
    browser.run<{
      x: number;
      y: number;
      scale: number;
    }>(`const frame = document.querySelector('iframe'), outer = frame.getBoundingClientRect(), scale = outer.width / frame.offsetWidth;
      const inner = frame.contentDocument.querySelector('[data-facet=habitat] input[value=lagoon]').getBoundingClientRect();
      return { x: outer.left + (inner.left + inner.width / 2) * scale, y: outer.top + (inner.top + inner.height / 2) * scale, scale }`);
  await browser.until('it is drawn smaller', async () => (await place()).scale < 0.95);
  const { x, y } = await place();
  for (const type of ['mousePressed', 'mouseReleased']) {
    await browser.command('Input.dispatchMouseEvent', { type, x, y, button: 'left', clickCount: 1 });
  }
  await browser.untilSearch('?habitat=lagoon,mudflat,reedbed');
  await browser.press('button[aria-label="Address before"]');
  await browser.untilSearch('?habitat=mudflat,reedbed');
  await browser.size(...fullSize);
});

test('what any and all would give is known before it is set, and is what comes', async () => {
  const number = async (match: string) => Number(await browser.text(`[data-testid=match-${match}]`));
  await browser.until('numbers', async () => (await number('all')) >= 0 && (await number('any')) > 0);
  const [any, all] = [await number('any'), await number('all')];
  expect(any).toBe(Number(await matched()));
  expect(all).toBeLessThan(any);
  await browser.press('[aria-label=Wiring] [role=group][aria-label=Match] button:nth-child(2)');
  await untilMatched(all);
  // what was ticked is still ticked
  expect(await browser.inFrame(() => browser.texts('.ivy-chip'))).toEqual(['Mudflat', 'Reedbed']);
  await browser.press('button[aria-label=Undo]');
  await untilMatched(any);
  await browser.press('button[aria-label=Redo]');
  await untilMatched(all);
  await browser.press('button[aria-label=Undo]');
  await untilMatched(any);
});

test('the address can be edited by hand, and a fresh tab with it shows the same', async () => {
  await browser.press('button[aria-label="Edit the address as text"]');
  const input = await browser.find('input[aria-label="Address as text"]');
  await input.sendKeys(Key.chord(Key.CONTROL, 'a'), 'habitat=saltmarsh&kind=survey', Key.ENTER);
  await browser.untilSearch('?habitat=saltmarsh&kind=survey');
  await browser.inFrame(() =>
    browser.until('chips follow', async () => (await browser.texts('.ivy-chip')).join() === 'Saltmarsh,Survey'),
  );
  const before = await matched();
  const url = await browser.driver.getCurrentUrl();
  await browser.driver.switchTo().newWindow('tab');
  await browser.size(...fullSize);
  await browser.go(url);
  await browser.until('the same number', async () => (await matched()) === before);
  expect(await browser.inFrame(() => browser.texts('.ivy-chip'))).toEqual(['Saltmarsh', 'Survey']);
});

test('Backspace takes a part of the address away, back brings it again', async () => {
  const token = await browser.named('section[aria-label=Address] button', 'kind');
  await token.sendKeys(Key.BACK_SPACE);
  await browser.untilSearch('?habitat=saltmarsh');
  await browser.press('button[aria-label="Address before"]');
  await browser.untilSearch('?habitat=saltmarsh&kind=survey');
  await browser.press('button[aria-label="Clear the address"]');
  await untilMatched(480);
});

test('a facet is added from a field, tuned, and the live page follows without being loaded again', async () => {
  await browser.inFrame(() => browser.run('window.mark = 1'));
  await browser.press('nav[aria-label=Outline] button', 'tide_state');
  await browser.until('the facet is on the page', async () => (await facetsOnPage()).includes('Tide state'));
  expect(await browser.text('[aria-label=Wiring] h2')).toBe('Tide state');
  const label = await browser.find('input[aria-label="Label visitors read"]');
  await label.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Tide');
  await browser.until('the label follows', async () => (await facetsOnPage()).includes('Tide'));
  const options = () => browser.inFrame(() => browser.texts('[data-facet=tide-state] .ivy-option'));
  await (await browser.find('select[aria-label="Order of terms"]')).sendKeys('By name');
  await browser.until(
    'terms by name',
    async () => (await options()).map((text) => text.split(' ')[0]).join() === 'Falling,High,Low,Rising',
  );
  await browser.press('button', 'Hide Low');
  await browser.until('a term is hidden', async () => (await options()).length === 3);
  await browser.press('input[aria-label="Show counts"]');
  await browser.until('counts are off', async () => (await options()).join() === 'Falling,High,Rising');
  await browser.press('[aria-label="Shows as"] button', 'One of');
  await browser.inFrame(() => browser.find('[data-facet=tide-state] input[type=radio]'));
  expect(await browser.inFrame(() => browser.run('return window.mark'))).toBe(1);
});

test('zero counts can be muted, hidden or kept', async () => {
  await browser.press('button[aria-label="Edit the address as text"]');
  await (
    await browser.find('input[aria-label="Address as text"]')
  ).sendKeys(Key.chord(Key.CONTROL, 'a'), 'place=alder-weir', Key.ENTER);
  await browser.untilSearch('?place=alder-weir');
  await browser.press('[data-row=habitat]');
  const mudflat = () =>
    browser.inFrame(async () => (await browser.texts('[data-facet=habitat] .ivy-option')).includes('Mudflat 0'));
  const muted = () =>
    browser.inFrame(() =>
      browser.run<number>('return document.querySelectorAll("[data-facet=habitat] .ivy-muted").length'),
    );
  await browser.until('muted', async () => (await mudflat()) && (await muted()) > 0);
  await browser.press('[aria-label="Terms with no posts"] button', 'Hide');
  await browser.until('hidden', async () => !(await mudflat()));
  await browser.press('[aria-label="Terms with no posts"] button', 'Keep');
  await browser.until('kept', async () => (await mudflat()) && (await muted()) === 0);
});

test('by keyboard alone: walk the outline, move a facet, undo it', async () => {
  const row = await browser.find('[data-row=habitat]');
  await row.sendKeys(Key.ARROW_DOWN);
  expect(await browser.run('return document.activeElement.dataset.row')).toBe('kind');
  await browser.driver.switchTo().activeElement().sendKeys(Key.chord(Key.ALT, Key.ARROW_UP));
  await browser.until('the page follows', async () => (await facetsOnPage())[1] === 'Kind of note');
  expect(await browser.run('return document.activeElement.dataset.row')).toBe('kind');
  await browser.driver.switchTo().activeElement().sendKeys(Key.chord(Key.CONTROL, 'z'));
  await browser.until('undone', async () => (await facetsOnPage())[1] === 'Habitat');
});

test('a facet can be deleted and brought back; the old address name keeps working after a rename', async () => {
  await browser.press('[data-row=place]');
  await browser.press('button', 'Delete the facet Place');
  await browser.until('gone', async () => !(await facetsOnPage()).includes('Place'));
  await browser.press('button[aria-label=Undo]');
  await browser.until('back', async () => (await facetsOnPage()).includes('Place'));
  await browser.press('[data-row=place]');
  const name = await browser.find('input[aria-label="Name in the address"]');
  await name.sendKeys(Key.chord(Key.CONTROL, 'a'), 'where', Key.ENTER);
  await browser.untilSearch('?where=alder-weir');
  expect((await browser.text('[aria-label=Wiring]')).replace(/\s+/g, ' ')).toContain('Old names kept: place');
});

test('two people at one bench: the one who comes second chooses, and nothing is lost in silence', async () => {
  await untilSaved();
  const lens = `${stage.studio}/api/v1/lenses/field-notes`;
  const { draft, draftRevision } = (await (await fetch(lens)).json()) as {
    draft: { paging: object };
    draftRevision: number;
  };
  await fetch(`${lens}/draft`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': String(draftRevision) },
    body: JSON.stringify({ config: { ...draft, paging: { mode: 'pages', size: 5 } } }),
  });
  await browser.press('button', 'Cards, order and pages');
  await browser.press('[role=tab]', 'Layout');
  await browser.press('[aria-label="Cards in a row"] button', '2');
  await browser.untilText('[role=alert]', 'Someone else saved this lens meanwhile');
  await browser.press('[role=alert] button', 'Take theirs');
  await browser.press('[role=tab]', 'Pages');
  await browser.until(
    'theirs is here',
    async () => (await browser.run('return document.querySelector("#page-size")?.value')) === '5',
  );
});

test('an address that finds nothing says so and offers the nearest ways out', async () => {
  await browser.press('button[aria-label="Edit the address as text"]');
  await (
    await browser.find('input[aria-label="Address as text"]')
  ).sendKeys(Key.chord(Key.CONTROL, 'a'), 'habitat=hedgerow&species=eels', Key.ENTER);
  await browser.inFrame(async () => {
    await browser.untilText('.ivy-empty', 'No note has all of this');
    await browser.press('.ivy-way');
    await browser.until('a way out', async () => (await browser.texts('.ivy-card')).length > 0);
  });
});

test('publishing makes a numbered release and shows the line to paste', async () => {
  await browser.press('header button', 'Publish');
  await browser.untilText('main', 'What visitors will notice');
  expect(await browser.text('main')).toContain('Tide is a new facet');
  await (await browser.find('#note')).sendKeys('Tide added');
  await browser.press('button', 'Publish release 2');
  await browser.untilText('main [role=status]', 'Release 2 is live');
  expect(await browser.text('pre')).toBe(
    `<script type="module" src="${stage.studio}/embed/ivy-lens.js"></script>\n<ivy-lens name="field-notes" style="display:block;min-height:100vh"></ivy-lens>`,
  );
  const results = (await (await fetch(`${stage.studio}/api/v1/lenses/field-notes/results`)).json()) as {
    release: number;
    facets: { key: string }[];
  };
  expect([results.release, results.facets.map((facet) => facet.key)]).toEqual([
    2,
    ['q', 'habitat', 'kind', 'species', 'where', 'observed', 'minutes', 'volunteers', 'marked', 'tide-state'],
  ]);
  // and whether it stands on a page
  await (await browser.find('[aria-label="Address of the page to check"]')).sendKeys(stage.site, Key.ENTER);
  await browser.untilText('[aria-label="Check a page"]', 'of 13 hold');
  await browser.press('nav[aria-label=Releases] button', 'make it the draft');
  await browser.press('main button', 'Make it the draft');
  await browser.untilText('main [role=status]', 'Release 1 is the draft now');
});

test.each(['ivy', 'ivy-night'])('axe finds nothing in %s colours', async (theme) => {
  const found: string[] = [];
  for (const path of [
    '/sources',
    '/sources/orrin-field-notes',
    '/lenses/field-notes?habitat=mudflat',
    '/lenses/field-notes/publish',
    '/lenses/field-notes/addresses',
    '/help/share-page',
  ]) {
    await browser.go(`${stage.studio}${path}`);
    await browser.run(`localStorage.setItem('ivy-theme', '${theme}')`);
    await browser.go(`${stage.studio}${path}`);
    await browser.find('h1');
    if (path.includes('?')) await browser.inFrame(() => browser.find('.ivy-card'));
    else await browser.find('main h2, main li');
    found.push(...(await browser.axe()).map((problem) => `${path} ${problem}`));
  }
  expect(found).toEqual([]);
});
