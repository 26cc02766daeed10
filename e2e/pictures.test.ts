import { Key } from 'selenium-webdriver';
import { mkdirSync, mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/*
 * Every main view is drawn from the demo and a picture of it taken; none may log an error. `npm run screenshots` keeps
 * the pictures in docs/screenshots.
 */
const folder = process.env.IVY_PICTURES ?? mkdtempSync(join(tmpdir(), 'ivy-pictures-'));

let stage: Stage;
let browser: Browser;
beforeAll(async () => {
  mkdirSync(folder, { recursive: true });
  stage = await setStage();
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

/** A lens whose posts are found by their first letters, and by a tree chosen step by step. */
async function releaseLetters(): Promise<void> {
  const post = (path: string, body: object) =>
    fetch(`${stage.studio}/api/v1/lenses${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const facets = [
    { key: 'letter', kind: 'letters', field: 'title', label: 'Title begins with' },
    {
      key: 'place',
      kind: 'steps',
      field: 'place',
      label: 'Place',
      levels: ['Region', 'Area', 'Spot'],
      hide: ['gannick-pt'],
    },
  ];
  const config = {
    facets,
    look: { facets: 'top' },
    sort: { options: [{ key: 'title', label: 'Title', field: 'title' }] },
  };
  await post('', { name: 'Notes from A to Z', slug: 'a-to-z', source: 'orrin-field-notes', config });
  await post('/a-to-z/releases', {});
}

interface View {
  name: string;
  path: string;
  size?: [number, number];
  night?: boolean;
  onSite?: boolean;
  /** With scripts off. */
  plain?: boolean;
  /** What to do before the picture is taken. */
  prepare?: () => Promise<unknown>;
}

const views: View[] = [
  { name: 'sources', path: '/sources', prepare: () => browser.find('main li') },
  { name: 'source', path: '/sources/orrin-field-notes', prepare: () => browser.find('main li .leading-\\[20px\\]') },
  { name: 'bench', path: '/lenses/field-notes?habitat=mudflat,reedbed&kind=survey', prepare: () => cardsInFrame() },
  {
    name: 'bench-night',
    path: '/lenses/field-notes?habitat=mudflat,reedbed&kind=survey',
    night: true,
    prepare: () => cardsInFrame(),
  },
  {
    name: 'bench-range',
    path: '/lenses/field-notes?observed=2026-03/2026-05&q=tern',
    prepare: () => wiringOf('observed', 'Bounds'),
  },
  {
    name: 'bench-search',
    path: '/lenses/field-notes?q=tern',
    prepare: () => weighSearch(),
  },
  {
    name: 'bench-card',
    path: '/lenses/field-notes',
    prepare: async () => {
      await resultsOf('Card', 'Summary');
      await browser.press('[data-part-row]', 'Summary');
      await browser.untilText('[aria-label=Wiring]', 'Characters at most');
    },
  },
  { name: 'bench-posts', path: '/lenses/field-notes', prepare: () => choosePosts() },
  { name: 'bench-words', path: '/lenses/field-notes', prepare: () => speakGerman() },
  {
    name: 'bench-plain',
    path: '/lenses/field-notes?habitat=mudflat',
    prepare: async () => {
      await wiringOf('kind', 'only these');
      await showState('plain');
      await browser.find('iframe[title$="without scripts"]');
      await browser.until('it is drawn', () =>
        browser.run<boolean>(
          'return document.querySelector(`iframe[title$="without scripts"]`).contentDocument.querySelector(".ivy-card") !== null',
        ),
      );
    },
  },
  { name: 'hosted', path: '/l/field-notes?habitat=mudflat', plain: true, prepare: () => browser.find('.ivy-card') },
  { name: 'publish', path: '/lenses/field-notes/publish', prepare: () => changeSomething() },
  {
    name: 'demo-site',
    path: '/?q=tern&habitat=mudflat,reedbed&observed=2026-03-01/2026-05-31',
    onSite: true,
    prepare: () => browser.find('.ivy-card'),
  },
  {
    name: 'demo-site-empty',
    path: '/?habitat=hedgerow&species=eels',
    onSite: true,
    prepare: () => browser.find('.ivy-way'),
  },
  {
    name: 'walks',
    path: '/walks?place=inner-estuary',
    onSite: true,
    prepare: () => browser.untilText('.there', '232 notes'),
  },
  {
    name: 'walks-phone',
    path: '/walks?place=inner-estuary&kind=bird-count',
    size: [390, 844],
    onSite: true,
    prepare: () => browser.find('.walks .ivy-card'),
  },
  {
    name: 'demo-site-sheet',
    path: '/?habitat=mudflat',
    size: [390, 844],
    onSite: true,
    prepare: async () => {
      await browser.press('.ivy-filters');
      await browser.find('dialog[open]');
      // the heading takes the focus, so that no ring is in the picture
      await browser.run('document.activeElement.blur()');
    },
  },
  {
    name: 'demo-site-phone',
    path: '/?habitat=mudflat',
    size: [390, 844],
    onSite: true,
    prepare: () => browser.find('.ivy-card'),
  },
  {
    name: 'letters',
    path: '/l/field-notes',
    prepare: async () => {
      await releaseLetters();
      await browser.go(`${stage.studio}/l/a-to-z?letter=r,t&place=north-shore`);
      await browser.find('.ivy-steps');
    },
  },
];

async function cardsInFrame(): Promise<void> {
  await browser.inFrame(() => browser.find('.ivy-card'));
  await browser.find('[aria-label=Wiring] ul[aria-label=Terms] li');
}

/** Shows the live page as it is in a state. */
async function showState(state: string): Promise<void> {
  await browser.run(
    `const box = document.querySelector('[aria-label="State of the page"]'); box.value = arguments[0];
     box.dispatchEvent(new Event('change', { bubbles: true }))`,
    state,
  );
}

/** Takes a facet in hand, and waits for words of its wiring. */
async function wiringOf(key: string, words: string): Promise<void> {
  await browser.inFrame(() => browser.find('.ivy-card'));
  await browser.press(`[data-row=${key}]`);
  await browser.untilText('[aria-label=Wiring]', words);
}

/** Takes a part of the results in hand, and waits for words of its wiring. */
async function resultsOf(tab: string, words: string): Promise<void> {
  await browser.inFrame(() => browser.find('.ivy-card'));
  await browser.press('[aria-label=Outline] button', 'Cards, order and pages');
  await browser.press('[role=tab]', tab);
  await browser.untilText('[aria-label=Wiring]', words);
}

/** Opens the Bench of a copy, so that what is done to it is in no other picture. */
async function openCopy(slug: string, search = ''): Promise<void> {
  const lenses = `${stage.studio}/api/v1/lenses`;
  const { draft } = (await (await fetch(`${lenses}/field-notes`)).json()) as { draft: object };
  const body = JSON.stringify({ name: 'Field notes', slug, source: 'orrin-field-notes', config: draft });
  await fetch(lenses, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
  await browser.go(`${stage.studio}/lenses/${slug}${search}`);
}

/** Which posts: by a kind, and by hand. */
async function choosePosts(): Promise<void> {
  await openCopy('posts');
  await resultsOf('Posts', 'posts are in the listing');
  await (await browser.find('[aria-label="Only posts with some terms"]')).sendKeys('Kind', Key.TAB);
  await browser.press('[aria-label^="Only posts with Kind"] li:nth-child(2) input');
  await (await browser.find('#find-post')).sendKeys('tern');
  await browser.press('[aria-label="Posts found"] li:nth-child(1) button');
  await browser.untilText('[aria-label="First of all"]', 'tern');
}

/** A summary that counts for more than a title. */
async function weighSearch(): Promise<void> {
  await openCopy('weighed', '?q=tern');
  await wiringOf('q', 'Looks in');
  const weight = await browser.find('[aria-label="Weight of Summary"]');
  for (let n = 0; n < 4; n++) await weight.sendKeys(Key.ARROW_RIGHT);
  await browser.find('[aria-label="First page by these weights"] li');
  await browser.until('it is answered', async () => !(await browser.text('[aria-label=Wiring]')).includes('…'));
}

/** A second language, beside the lens's own. */
async function speakGerman(): Promise<void> {
  await openCopy('spoken');
  await resultsOf('Words', 'Visitors read');
  await browser.press('button', 'Language');
  await (await browser.find('[aria-label="Tag of the language"]')).sendKeys('de', Key.ENTER);
  const words = {
    'Kind of note': 'Art der Notiz',
    Habitat: 'Lebensraum',
    Place: 'Ort',
    'Species group': 'Artengruppe',
  };
  for (const [before, own] of Object.entries(words)) {
    await (await browser.named('textarea', `In place of “${before}”`)).sendKeys(own);
  }
  await browser.inFrame(() => browser.untilText('ivy-lens', 'Artengruppe'));
}

async function changeSomething(): Promise<void> {
  const lens = `${stage.studio}/api/v1/lenses/field-notes`;
  const { draft, draftRevision } = (await (await fetch(lens)).json()) as {
    draft: { facets: { key: string }[] };
    draftRevision: number;
  };
  const changes: Record<string, object> = { habitat: { match: 'all' }, kind: { kind: 'buttons' } };
  const config = { ...draft, facets: draft.facets.map((facet) => ({ ...facet, ...changes[facet.key] })) };
  const headers = { 'content-type': 'application/json', 'if-match': String(draftRevision) };
  await fetch(`${lens}/draft`, { method: 'PUT', headers, body: JSON.stringify({ config }) });
  await browser.driver.navigate().refresh();
  await browser.untilText('main', 'shown another way');
}

test.each(views)('$name draws, and logs no error', async ({ name, path, size, night, onSite, plain, prepare }) => {
  await browser.size(...(size ?? [1280, 800]));
  const origin = onSite ? stage.site : stage.studio;
  await browser.command('Emulation.setScriptExecutionDisabled', { value: plain ?? false });
  await browser.go(`${origin}${path}`);
  if (!onSite && !plain) {
    await browser.run(`localStorage.setItem('ivy-theme', '${night ? 'ivy-night' : 'ivy'}')`);
    await browser.driver.navigate().refresh();
  }
  await prepare?.();
  const file = join(folder, `${name}.png`);
  await browser.picture(file, !plain);
  expect(statSync(file).size).toBeGreaterThan(10_000);
  expect(await browser.errors()).toEqual([]);
});
