import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** How a listing lies and looks is set on the Bench, and stands so on a page: at each width, and without scripts. */

let stage: Stage;
let browser: Browser;
let host: Server;
let hostOrigin: string;
beforeAll(async () => {
  // a page of someone's own, to be matched and to carry the lens
  host = createServer((request, response) => {
    if (request.url === '/site.css')
      return response
        .setHeader('content-type', 'text/css')
        .end('body { color: #20303a; font-family: Georgia, serif } .btn { background: #8a2b0f; border-radius: 12px }');
    const { searchParams } = new URL(request.url!, 'http://page.test');
    const { style = '', body = '' } = Object.fromEntries(searchParams);
    response.setHeader('content-type', 'text/html').end(`<!doctype html><html lang="en"><title>Harbour news</title>
      <link rel="stylesheet" href="/site.css"><style>${style}</style><main>${body}</main>`);
  });
  await new Promise<void>((done) => host.listen(0, '127.0.0.1', done));
  hostOrigin = `http://127.0.0.1:${(host.address() as AddressInfo).port}`;
  process.env.IVY_REACH = hostOrigin.slice('http://'.length);
  stage = await setStage();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
  host?.close();
  delete process.env.IVY_REACH;
});

const ask = async (method: string, path: string, body?: object, headers: Record<string, string> = {}) => {
  const response = await fetch(`${stage.studio}/api/v1/${path}`, {
    method,
    headers: { ...(body && { 'content-type': 'application/json' }), ...headers },
    ...(body && { body: JSON.stringify(body) }),
  });
  expect([path, response.status < 300]).toEqual([path, true]);
  return (await response.json()) as { draft: { look: object; paging: object }; draftRevision: number };
};

/** Releases the demo's lens with another look, under a name of its own. */
async function release(name: string, look: object): Promise<void> {
  const { draft } = await ask('GET', 'lenses/field-notes');
  const config = { ...draft, look: { ...draft.look, ...look } };
  await ask('POST', 'lenses', { name, slug: name, source: 'orrin-field-notes', config });
  await ask('POST', `lenses/${name}/releases`, {});
}

/** Opens a page of someone's that carries a lens. */
async function openHost(name: string, style = '', width = 1280): Promise<void> {
  await browser.size(width, 800);
  const body = `<script type="module" src="${stage.studio}/embed/ivy-lens.js"></script><ivy-lens name="${name}"></ivy-lens>`;
  await browser.go(`${hostOrigin}/page?${new URLSearchParams({ style, body }).toString()}`);
  await browser.find('.ivy-results-body :is(.ivy-card, .ivy-row)');
  await browser.until('it is drawn whole', async () => (await browser.text('.ivy-count-line')) !== '');
}

/** Opens the page of a lens without scripts. */
async function openPlain(name: string, width: number): Promise<void> {
  await browser.size(width, 800);
  await browser.command('Emulation.setScriptExecutionDisabled', { value: true });
  await browser.go(`${stage.studio}/l/${name}`);
  await browser.command('Emulation.setScriptExecutionDisabled', { value: false });
}

/** What lies where: cards in the first row, whether the first picture is beside its words, where the facets are. */
const lies = () =>
  browser.run<{ across: number; picture: string; facets: string; scrolls: boolean }>(`
    const rect = (one) => one?.getBoundingClientRect();
    const cards = [...document.querySelectorAll('.ivy-card, .ivy-row')];
    const top = rect(cards[0]).top;
    const across = cards.filter((one) => Math.abs(rect(one).top - top) < 4).length;
    const picture = rect(cards[0].querySelector('.ivy-picture'));
    const words = rect(cards[0].querySelector('.ivy-title'));
    const seen = picture && picture.width > 0;
    const side = rect(document.querySelector('.ivy-side'));
    const main = rect(document.querySelector('.ivy-main'));
    const where = !side || side.width === 0 ? 'away' : side.bottom <= main.top + 40 ? 'above' : side.left < main.left ? 'before' : 'after';
    return {
      across,
      picture: !seen ? 'none' : picture.right <= words.left + 2 ? 'before' : picture.left >= words.right - 2 ? 'after' : picture.top < words.top ? 'above' : 'below',
      facets: where,
      scrolls: document.documentElement.scrollWidth > innerWidth,
    }`);

const arrangements = {
  grid: { across: 3, picture: 'above' },
  'columns-reversed': { across: 3, picture: 'below' },
  rows: { across: 1, picture: 'before' },
  'rows-reversed': { across: 1, picture: 'after' },
  list: { across: 1, picture: 'none' },
  table: { across: 1, picture: 'before' },
} as const;

test.each(Object.entries(arrangements))('%s lies so at three widths, with scripts and without', async (name, seen) => {
  await release(`as-${name}`, { arrangement: name });
  for (const width of [1280, 834, 390]) {
    const isPhone = width === 390;
    // a table beside facets has no room on a tablet either
    const isNarrow = name === 'table' && width < 1000;
    const columns = seen.across === 3 ? { 1280: 3, 834: 2, 390: 1 }[width] : 1;
    const expected = {
      across: columns,
      picture: isNarrow ? 'above' : seen.picture,
      scrolls: false,
    };
    await openHost(`as-${name}`, '', width);
    expect([width, await lies()]).toEqual([width, { ...expected, facets: isPhone ? 'away' : 'before' }]);
    await openPlain(`as-${name}`, width);
    // without scripts nothing could open a sheet: facets stand above the cards
    expect([width, await lies()]).toEqual([width, { ...expected, facets: isPhone ? 'above' : 'before' }]);
  }
});

test('each width lies as it was set, where its flag stands', async () => {
  await release('by-width', {
    facets: 'side',
    align: 'end',
    tabletFrom: 500,
    desktopFrom: 900,
    tablet: { facets: 'top', columns: 2, folded: {} },
    phone: { arrangement: 'list', folded: { habitat: true } },
  });
  const all = [];
  for (const width of [1280, 899, 499]) {
    await openHost('by-width', 'body { margin: 0 }', width);
    all.push(await lies());
  }
  expect(all).toMatchObject([
    { facets: 'after', across: 3 },
    { facets: 'above', across: 2 },
    { facets: 'away', across: 1, picture: 'none' },
  ]);
  await browser.press('.ivy-filters');
  const folded = '.ivy-sheet [data-facet=habitat] .ivy-fold';
  await browser.find(folded);
  expect(await browser.run(`return document.querySelector(arguments[0]).ariaExpanded`, folded)).toBe('false');
});

test('heads of a table sort, by mouse and by keys, and say so', async () => {
  await openHost('as-table');
  const sorts = () =>
    browser.run<string[]>(
      `return [...document.querySelectorAll('th[aria-sort]')].map((one) => one.innerText.trim() + ' ' + one.ariaSort)`,
    );
  expect(await sorts()).toEqual(['Published descending']);
  await browser.press('.ivy-head-sort', 'Title');
  await browser.until('by title', async () => (await sorts()).join() === 'Title ascending');
  expect(await browser.search()).toContain('sort=');
  await (await browser.named('.ivy-head-sort', 'Published')).sendKeys(Key.ENTER);
  await browser.until('by day again', async () => (await sorts()).join() === 'Published descending');
  expect(await browser.axe('main')).toEqual([]);
});

test('a plain rule of the host’s wins over a preset, and so does a property it sets anywhere above', async () => {
  await release('herbarium', { preset: 'herbarium' });
  const style = `:root { --ivy-accent: #0000ff } .ivy-title { color: #ff0000; font-size: 30px } .ivy-side { border: 0 }`;
  await openHost('herbarium', style);
  await browser.press('.ivy-tick input', 'Wetland');
  await browser.find('.ivy-tick input:checked');
  const seen = await browser.run(`const of = (selector) => getComputedStyle(document.querySelector(selector));
    return [of('.ivy-title').color, of('.ivy-title').fontSize, of('.ivy-side').borderTopWidth,
      of('.ivy-tick input:checked').backgroundColor, of('.ivy-facet-title').fontStyle]`);
  expect(seen).toEqual(['rgb(255, 0, 0)', '30px', '0px', 'rgb(0, 0, 255)', 'italic']);
});

test.each(['plain', 'herbarium', 'tideline', 'lantern', 'pencil'])(
  '%s reads well in light and dark, left to right and right to left',
  async (preset) => {
    for (const [scheme, direction] of [
      ['light', 'ltr'],
      ['dark', 'rtl'],
    ] as const) {
      const name = `${preset}-${scheme}`;
      await release(name, { preset, scheme: preset === 'pencil' ? 'host' : scheme });
      const page = scheme === 'dark' ? 'html { color-scheme: dark } body { background: #121212; color: #eee }' : '';
      await openHost(name, `${page} html { direction: ${direction} }`);
      await browser.press('.ivy-tick input', 'Wetland');
      await browser.find('.ivy-chip');
      expect([name, direction, await browser.axe('main')]).toEqual([name, direction, []]);
      expect((await lies()).scrolls).toBe(false);
    }
  },
);

/** Opens the settings of the results on the Bench, where they are not open. */
async function onBench(tab: string): Promise<void> {
  await browser.size(1440, 900);
  if (!(await browser.driver.getCurrentUrl()).includes('/lenses/')) {
    await browser.go(`${stage.studio}/lenses/field-notes`);
    await browser.press('nav button', 'Cards, order and pages');
  }
  await browser.press('[role=tab]', tab);
}

test('on the Bench: a flag is moved on the ruler, and a setting is for one span alone', async () => {
  await onBench('Layout');
  const flag = await browser.find('[role=slider][aria-label="tablet from"]');
  await browser.driver.actions().dragAndDrop(flag, { x: -60, y: 0 }).perform();
  const at = () => browser.run<string>(`return document.querySelector('[aria-label="tablet from"]').ariaValueNow`);
  expect(Number(await at())).toBeLessThan(600);
  await flag.sendKeys(Key.ARROW_RIGHT);
  const moved = Number(await at());
  await browser.press('[aria-label="Set for"] button', 'phone');
  await browser.press('[aria-label="Cards lie"] button', 'Rows');
  await browser.inFrame(() => browser.until('rows on the phone', async () => (await lies()).picture === 'before'));
  await browser.press('button', 'Desktop');
  await browser.inFrame(() => browser.until('columns on the desktop', async () => (await lies()).picture === 'above'));
  await browser.press('[aria-label="Set for"] button', 'phone');
  await browser.press('button', 'Reset cards lie');
  await browser.inFrame(() => browser.until('columns again', async () => (await lies()).picture === 'above'));
  await browser.find('[data-saving=saved]');
  await browser.until('it is kept', async () => {
    const { draft } = await ask('GET', 'lenses/field-notes');
    const { tabletFrom, phone } = draft.look as { tabletFrom: number; phone: object };
    return tabletFrom === moved && JSON.stringify(phone) === '{"folded":{}}';
  });
  expect(await browser.axe('[aria-label=Wiring]')).toEqual([]);
});

test('on the Bench: a preset and a colour are seen at once; too little contrast is said, and goes with a reset', async () => {
  await onBench('Look');
  await browser.press('[aria-label=Preset] button', 'Tideline');
  const accent = () =>
    browser.inFrame(() =>
      browser.run<string>(`return getComputedStyle(document.querySelector('ivy-lens')).getPropertyValue('--i-accent')`),
    );
  await browser.until('it is there', async () => (await accent()) === '#0a5866');
  const box = await browser.find('[aria-label="fainter text as #rrggbb"]');
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), '#aabbbb', Key.ENTER);
  await browser.untilText('.text-rust[role=status]', 'AA asks for 4.5');
  await browser.press('button', 'Reset fainter text');
  await browser.until('no fault', async () => (await browser.texts('.text-rust[role=status]')).length === 0);
  expect(await browser.axe('[aria-label=Wiring]')).toEqual([]);
  await browser.press('button', 'Reset preset');
  await browser.until('plain again', async () => (await accent()).trim() === '#24404a');
});

test('on the Bench: what a page looks like is read from its address, and taken one by one', async () => {
  await onBench('Look');
  await browser.press('button', 'Match a page…');
  const box = await browser.find('[aria-label="Address of the page"]');
  await box.sendKeys('http://169.254.169.254/', Key.ENTER);
  await browser.untilText('dialog [role=alert]', 'private network');
  await box.sendKeys(Key.chord(Key.CONTROL, 'a'), `${hostOrigin}/page`, Key.ENTER);
  await browser.untilText('dialog', 'Found in Harbour news');
  expect(await browser.axe('dialog')).toEqual([]);
  await browser.press('dialog button', 'Take what is chosen');
  await browser.press('dialog button', 'Take corners');
  await browser.press('dialog button', 'Close');
  await browser.inFrame(() =>
    browser.until('both are there', () =>
      browser.run(`const style = getComputedStyle(document.querySelector('ivy-lens'));
        return style.getPropertyValue('--i-accent') === '#8a2b0f' && style.getPropertyValue('--i-radius') === '12px'`),
    ),
  );
});

test('on the Bench: the posts that strain a card are drawn beside the page, and follow the card', async () => {
  await onBench('Card');
  const tray = '[aria-label^="Specimens"]';
  await browser.untilText(tray, 'longest title');
  await browser.untilText(tray, 'text moves up');
  const frame = await browser.find(`${tray} iframe`);
  await browser.driver.switchTo().frame(frame);
  await browser.until('cards are drawn', async () => (await browser.texts('.ivy-card')).length >= 3);
  await browser.driver.switchTo().defaultContent();
  expect(await browser.axe(tray)).toEqual([]);
});
