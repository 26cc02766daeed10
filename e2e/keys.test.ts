import { Key } from 'selenium-webdriver';
import { keyTable, type KeyName } from '../apps/studio/src/keys/key-table.js';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  await browser.size(1440, 900);
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const bench = async (query = '') => {
  await browser.go(`${stage.studio}/lenses/field-notes${query}`);
  await browser.untilText('section[aria-label=Address]', 'of 480');
  await browser.run('document.activeElement.blur()');
};
const modifiers: Record<string, string> = { Ctrl: Key.CONTROL, Shift: Key.SHIFT, Alt: Key.ALT };
/** Presses keys as the table writes them. */
const press = async (keys: string) => {
  const parts = keys.split('+');
  const last = parts.pop()!;
  const arrow = {
    ArrowUp: Key.ARROW_UP,
    ArrowDown: Key.ARROW_DOWN,
    ArrowLeft: Key.ARROW_LEFT,
    ArrowRight: Key.ARROW_RIGHT,
  };
  let actions = browser.driver.actions();
  for (const part of parts) actions = actions.keyDown(modifiers[part]!);
  actions = actions.sendKeys(last in arrow ? arrow[last as keyof typeof arrow] : last);
  for (const part of parts.reverse()) actions = actions.keyUp(modifiers[part]!);
  await actions.perform();
};
const type = (...keys: string[]) =>
  browser.driver
    .actions()
    .sendKeys(...keys)
    .perform();
const outline = () => browser.texts('nav[aria-label=Outline] li [data-row]');
const inHand = () =>
  browser.run<string>('return document.querySelector("[data-row][aria-current]")?.dataset.row ?? ""');
const isTabOpen = (tab: string) =>
  browser.run<boolean>(
    'return document.querySelector("#drawer-panel")?.getAttribute("aria-labelledby") === arguments[0]',
    `drawer-${tab}`,
  );
const toOutline = (row: string) => browser.run('document.querySelector(`[data-row="${arguments[0]}"]`).focus()', row);
const dialog = (label: string) =>
  browser.run<boolean>('return document.querySelector(`dialog[aria-label="${arguments[0]}"]`)?.open ?? false', label);
const opensTab = (tab: string) => async (keys: string) => {
  await bench();
  const was = await isTabOpen(tab);
  await press(keys);
  await browser.until(`${tab} is open or shut`, async () => (await isTabOpen(tab)) !== was);
};

/** What each key is to do, tried out: a key without a line here does not pass. */
const checks: Record<KeyName, (keys: string) => Promise<void>> = {
  palette: async (keys) => {
    await bench();
    await press(keys);
    await browser.until('the palette is open', () => dialog('Find anything'));
  },
  keys: async (keys) => {
    await bench();
    await press(keys);
    await browser.until('the keys are shown', () => dialog('Keys'));
    for (const { does, place } of Object.values(keyTable)) {
      if (place !== 'tray') expect((await browser.text('dialog[aria-label=Keys]')).includes(does)).toBe(true);
    }
    expect(await browser.axe('dialog[aria-label=Keys]')).toEqual([]);
  },
  undo: async (keys) => {
    await bench();
    await browser.inFrame(() => browser.press('[data-facet=habitat] input', 'Reedbed'));
    await browser.untilSearch('?habitat=reedbed');
    await browser.press('nav[aria-label=Outline] [data-row]', 'Habitat');
    await press(keys);
    await browser.untilSearch('');
  },
  redo: async (keys) => {
    await checks.undo(keyTable.undo.keys);
    await press(keys);
    await browser.untilSearch('?habitat=reedbed');
  },
  address: async (keys) => {
    await bench();
    await press(keys);
    await browser.until('the address has the keyboard', () =>
      browser.run('return document.activeElement.getAttribute("aria-label") === "Add to the address"'),
    );
  },
  sieve: opensTab('sieve'),
  why: opensTab('why'),
  requests: opensTab('requests'),
  findings: opensTab('findings'),
  hide: async (keys) => {
    await bench('?kind=survey');
    await press(keys);
    await browser.named('button', 'Show Kind of note to visitors');
    await press(keys);
    await browser.named('button', 'Hide Kind of note from visitors');
  },
  next: async (keys) => {
    await bench('?habitat=mudflat');
    await toOutline('habitat');
    await press(keys);
    await browser.until('the next is in hand', async () => (await inHand()) === 'kind');
  },
  previous: async (keys) => {
    await bench('?habitat=mudflat');
    await toOutline('habitat');
    await press(keys);
    await browser.until('the one before is in hand', async () => (await inHand()) === 'q');
  },
  down: async (keys) => {
    await bench('?habitat=mudflat');
    const before = await outline();
    await toOutline('habitat');
    await press(keys);
    await browser.until('it moved down', async () => (await outline())[2]!.startsWith('Habitat'));
    await press(keyTable.up.keys);
    await browser.until('it is back', async () => (await outline()).join() === before.join());
  },
  up: async (keys) => {
    await bench('?habitat=mudflat');
    await toOutline('habitat');
    await press(keys);
    await browser.until('it moved up', async () => (await outline())[0]!.startsWith('Habitat'));
    await press(keyTable.down.keys);
    await browser.until('it is back', async () => (await outline())[1]!.startsWith('Habitat'));
  },
  right: async (keys) => {
    const { source } = (await (await fetch(`${stage.studio}/api/v1/lenses/field-notes`)).json()) as { source: string };
    await browser.go(`${stage.studio}/sources/${source}`);
    await browser.press('main li > button');
    const heading = () => browser.text('aside h2');
    const first = await heading();
    await press(keys);
    await browser.until('the next field is in hand', async () => (await heading()) !== first);
  },
  left: async (keys) => {
    await checks.right(keyTable.right.keys);
    const second = await browser.text('aside h2');
    await press(keys);
    await browser.until('the field before is in hand', async () => (await browser.text('aside h2')) !== second);
  },
};

test.each(Object.entries(keyTable) as [KeyName, (typeof keyTable)[KeyName]][])(
  'the key for “%s” does what its help says',
  async (name, { keys }) => {
    await checks[name](keys);
  },
);

test('the palette chooses a term, opens a post and does an action, by a few keys each', async () => {
  await bench();
  await press(keyTable.palette.keys);
  await type('mudf');
  await browser.untilText('dialog [role=option][aria-selected=true]', 'Mudflat');
  // what it would change is seen before it is done
  await browser.untilText('section[aria-label=Address]', '→ 107');
  expect(await browser.axe('dialog[aria-label="Find anything"]')).toEqual([]);
  await type(Key.ENTER);
  await browser.untilSearch('?habitat=mudflat');
  await press(keyTable.palette.keys);
  await type('late dunlin');
  await browser.untilText('dialog [role=option][aria-selected=true]', 'Late dunlin');
  await type(Key.ENTER);
  await browser.until('why is open', () => isTabOpen('why'));
  await browser.untilText('#drawer-panel', 'Late dunlin');
  await press(keyTable.palette.keys);
  await type('clear', Key.ENTER);
  await browser.untilSearch('');
});

test('help is found from the palette, one page a task', async () => {
  await browser.go(`${stage.studio}/sources`);
  await browser.find('main');
  await press(keyTable.palette.keys);
  await type('missing');
  await browser.untilText('dialog [role=option][aria-selected=true]', 'Why is my post missing?');
  await type(Key.ENTER);
  await browser.untilText('main h2', 'Why is my post missing?');
  await browser.until('its picture is there', () =>
    browser.run('return document.querySelector("main img").naturalWidth > 600'),
  );
  expect(await browser.axe()).toEqual([]);
});

test('a first lens has three remarks that go once done, and are in nobody’s way', async () => {
  const send = (path: string, body: object) =>
    fetch(`${stage.studio}/api/v1${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  await send('/lenses', { from: 'field-notes', name: 'First', slug: 'first' });
  await browser.go(`${stage.studio}/lenses/first`);
  const remarks = 'aside[aria-label="Your first lens"]';
  await browser.untilText(remarks, 'Tick something on the page');
  const done = () =>
    browser.run<number>('return document.querySelectorAll(arguments[0]).length', `${remarks} li.line-through`);
  expect(await done()).toBe(0);
  await browser.untilText('section[aria-label=Address]', 'of 480');
  await browser.inFrame(() => browser.press('[data-facet=habitat] input', 'Reedbed'));
  await browser.until('the first is done', async () => (await done()) === 1);
  await browser.press('[aria-label=Wiring] button', 'all ticked');
  await browser.until('the second is done', async () => (await done()) === 2);
  await browser.until(
    'the draft is saved',
    async () => (await browser.run('return document.querySelector("[data-saving]").dataset.saving')) === 'saved',
  );
  await send('/lenses/first/releases', {});
  await browser.go(`${stage.studio}/lenses/first`);
  await browser.untilText('section[aria-label=Address]', 'of 480');
  expect(await browser.texts(remarks)).toEqual([]);
});

test('on a phone the Bench is read and used by touch', async () => {
  await browser.size(390, 844);
  await browser.command('Emulation.setTouchEmulationEnabled', { enabled: true });
  await bench('?habitat=mudflat');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  await browser.press('nav[aria-label=Outline] button', 'Kind of note');
  await browser.until('the wiring lies over the page', () => dialog('Wiring'));
  await browser.press('dialog button', 'all ticked');
  await browser.press('dialog button', 'Shut wiring');
  await browser.until('it is shut', async () => !(await dialog('Wiring')));
  await browser.press('nav[aria-label=Outline] button', 'Unfold the outline');
  await browser.untilText('dialog[aria-label=Outline]', 'Add a facet');
  await browser.press('dialog button', 'Shut outline');
  if (!(await isTabOpen('why'))) await browser.press('section[aria-label=Drawer] [role=tab]', 'Why');
  await browser.untilText('#drawer-panel', 'Nearest first');
  expect(await browser.axe()).toEqual([]);
  await browser.command('Emulation.setTouchEmulationEnabled', { enabled: false });
  await browser.size(1440, 900);
});
