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

/** Many small sources, some with a lens and some with faults. */
async function fillCabinet(): Promise<void> {
  const names =
    'Tide tables,Hides and boards,Moth nights,Reed plots,Grants,Weather log,Nest register,Otter watch,Mill shop,Library,Wreck list,Species list,Bat walks,School visits,Gate log,Ringing returns,Water readings,Press cuttings,Count rota,Eel passes,Sound library,Lantern papers';
  const columns = ['id', 'title', 'kind', 'seen', 'minutes', 'open', 'place', 'link'];
  for (const [i, name] of names.split(',').entries()) {
    const keys = columns.slice(0, 4 + (i % 5));
    const cell = (key: string, n: number) =>
      ({
        id: `n${n}`,
        title: `Note ${n}`,
        kind: `${['Count', 'Walk', 'Talk'][n % 3]}${i % 4 === 0 && n === 5 ? '.' : ''}`,
        seen: `2026-0${1 + (n % 6)}-1${n % 9}`,
        minutes: String(n % 40),
        open: n % 2 ? 'yes' : 'no',
        place: n % 3 ? 'North' : 'South',
        link: `https://notes.example/${n}`,
      })[key];
    const rows = Array.from({ length: 8 + ((i * 37) % 90) }, (_, n) => keys.map((key) => cell(key, n)).join(','));
    const form = new FormData();
    form.append('name', name);
    form.append('file', new Blob([[keys.join(','), ...rows].join('\n')]), `${name.toLowerCase()}.csv`);
    const source = (await (await fetch(`${stage.studio}/api/v1/sources`, { method: 'POST', body: form })).json()) as {
      slug: string;
    };
    if (i % 3 > 0) continue;
    const body = JSON.stringify({ name: `${name} list`, source: source.slug });
    await fetch(`${stage.studio}/api/v1/lenses`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
  }
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
  { name: 'source', path: '/sources/orrin-field-notes', prepare: () => habitatInHand() },
  { name: 'bench', path: '/lenses/field-notes?habitat=mudflat,reedbed&kind=survey', prepare: () => cardsInFrame() },
  {
    name: 'bench-night',
    path: '/lenses/field-notes?habitat=mudflat,reedbed&kind=survey',
    night: true,
    prepare: () => cardsInFrame(),
  },
  {
    name: 'bench-card',
    path: '/lenses/field-notes',
    prepare: async () => {
      // the specimens want the room of the drawer
      await browser.press('#drawer-sieve');
      await resultsOf('Card', 'Summary');
      await browser.press('[data-part-row]', 'Summary');
      await browser.untilText('[aria-label=Wiring]', 'Characters at most');
    },
  },
  {
    name: 'bench-why',
    path: '/lenses/field-notes?habitat=mudflat,reedbed&observed=2026-03-01/2026-05-31&q=tern',
    prepare: async () => {
      await cardsInFrame();
      await browser.press('[role=tab]', 'Why');
      await browser.press('#drawer-panel tbody button');
      await browser.untilText('#drawer-panel', 'To let it in');
      // what the way in would change is shown while it has the focus
      await browser.run(`document.querySelector('#drawer-panel tbody tr:nth-child(2) button').focus()`);
      await browser.untilText('section[aria-label=Address]', '→');
    },
  },
  {
    name: 'bench-findings',
    path: '/lenses/field-notes?kind=survey',
    prepare: async () => {
      await cardsInFrame();
      await browser.press('[role=tab]', 'Findings');
      await browser.press('#drawer-panel button', 'Look for them');
      await browser.untilText('#drawer-panel', 'Most within reach');
    },
  },
  {
    name: 'look',
    path: '/sources',
    prepare: async () => {
      await (await browser.find('#posts-address')).sendKeys(`${stage.press}/plain`);
      await browser.press('button', 'Look there');
      await browser.untilText('main', '80 posts');
    },
  },
  {
    name: 'terms',
    path: '/sources/orrin-field-notes/terms/habitat',
    prepare: async () => {
      await browser.find('[role=treeitem]');
      await browser.run(`document.querySelector('[data-slug="mud-flat"]').focus()`);
      await browser.driver.switchTo().activeElement().sendKeys('m', Key.ARROW_LEFT, Key.ARROW_LEFT);
      await browser.untilText('[role=status].fixed', '4 posts move');
    },
  },
  {
    name: 'mapping',
    path: '/lenses/notices/page',
    prepare: async () => {
      const rows = () => browser.texts('nav[aria-label="What is marked"] li button');
      await browser.until('all pages are there', async () => (await rows()).includes('habitat 68'));
      await browser.press('nav[aria-label="What is marked"] li button', 'Habitat ticks');
      await browser.untilText('[aria-label="In hand"]', '5 of 5 meet');
    },
  },
  { name: 'hosted', path: '/l/field-notes?habitat=mudflat', plain: true, prepare: () => browser.find('.ivy-card') },
  {
    name: 'palette',
    path: '/lenses/field-notes?habitat=mudfat,reedbed&observed=2026-03-01/2026-05-31',
    prepare: async () => {
      await cardsInFrame();
      await browser.untilText('section[aria-label=Address]', 'no such term');
      await browser.press('[role=tab]', 'Sieve');
      await browser.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).sendKeys('mudf').perform();
      await browser.untilText('dialog', 'Posts');
      await browser.untilText('section[aria-label=Address]', '→');
    },
  },
  {
    name: 'addresses',
    path: '/lenses/field-notes/addresses',
    prepare: async () => {
      await saveAddresses();
      await browser.driver.navigate().refresh();
      await browser.untilText('section[aria-label="Saved addresses"]', 'draft 5 of 6');
      await browser.untilText('section[aria-label="What search engines are told"]', 'in the sitemap');
    },
  },
  {
    name: 'bench-phone',
    path: '/lenses/field-notes?habitat=mudflat',
    size: [390, 844],
    prepare: () => browser.inFrame(() => browser.find('.ivy-card')),
  },
  {
    name: 'live',
    path: '/sources/wardens-press/runs',
    prepare: async () => {
      const mood = (said: object) =>
        fetch(`${stage.press}/press/mood`, { method: 'POST', body: JSON.stringify(said) }).then((reply) =>
          reply.text(),
        );
      const refresh = () =>
        fetch(`${stage.studio}/api/v1/sources/wardens-press/refresh`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: '{}',
        }).then((reply) => reply.text());
      const note = { text: 'Seen twice from the hide.', author: 11, habitats: [101], kind: 31 };
      for (const title of ['A seal by the hide', 'Low water at noon']) {
        await mood({ publish: { ...note, title, posted: '2026-07-01T10:00:00Z' } });
        await refresh();
      }
      await mood({ fail: 503 });
      await refresh();
      await mood({ lose: 150 });
      await refresh();
      await mood({});
      await browser.driver.navigate().refresh();
      await browser.untilText('main', 'Waits for you');
    },
  },
  { name: 'publish', path: '/lenses/field-notes/publish', prepare: () => changeSomething() },
  {
    name: 'demo-site',
    path: '/?q=tern&habitat=mudflat,reedbed&observed=2026-03-01/2026-05-31',
    onSite: true,
    prepare: () => browser.find('.ivy-card'),
  },
  {
    name: 'demo-site-phone',
    path: '/?habitat=mudflat',
    size: [390, 844],
    onSite: true,
    prepare: () => browser.find('.ivy-card'),
  },
  {
    name: 'cabinet',
    path: '/sources',
    prepare: async () => {
      await fillCabinet();
      await browser.go(`${stage.studio}/sources`);
      await browser.press('[data-drawer]', 'Tide tables');
    },
  },
  // the last one: it takes everything away
  {
    name: 'first',
    path: '/sources',
    prepare: async () => {
      const sources = (await (await fetch(`${stage.studio}/api/v1/sources`)).json()) as { slug: string }[];
      for (const { slug } of sources)
        await fetch(`${stage.studio}/api/v1/sources/${slug}?lenses=1`, { method: 'DELETE' });
      await browser.go(`${stage.studio}/sources`);
      await browser.untilText('main', 'Put some posts under the lens');
    },
  },
];

async function cardsInFrame(): Promise<void> {
  await browser.inFrame(() => browser.find('.ivy-card'));
  await browser.find('[aria-label=Wiring] ul[aria-label=Terms] li');
}

/** Addresses that the estuary's wardens rely on, one of which finds less than it must. */
async function saveAddresses(): Promise<void> {
  const saved: [folder: string, address: string, expect: object | undefined, name?: string][] = [
    ['On the home page', 'habitat=mudflat,reedbed&observed=2026-03-01/2026-05-31', { min: 10 }],
    ['On the home page', 'volunteers=yes&sort=title', { min: 20 }],
    ['On the home page', '', undefined, 'Every note'],
    ['June letter', 'habitat=mudflat&observed=2026-05', { matched: 12 }],
    ['June letter', 'kind=how-to&minutes=../15', { max: 90 }],
    ['Boards at the hides', 'habitat=saltmarsh&species=waders', undefined],
  ];
  for (const [folder, address, expect, name] of saved) {
    await fetch(`${stage.studio}/api/v1/lenses/field-notes/addresses`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ folder, address, ...(expect && { expect }), ...(name !== undefined && { name }) }),
    });
  }
}

/** Takes a part of the results in hand, and waits for words of its wiring. */
async function resultsOf(tab: string, words: string): Promise<void> {
  await browser.inFrame(() => browser.find('.ivy-card'));
  await browser.press('[aria-label=Outline] button', 'Cards, order and pages');
  await browser.press('[role=tab]', tab);
  await browser.untilText('[aria-label=Wiring]', words);
}

/** The tray with the field that has near-twins in hand. */
async function habitatInHand(): Promise<void> {
  await browser.find('main li .leading-\\[20px\\]');
  await browser.run(
    `[...document.querySelectorAll('main li button')].find((one) => one.innerText.includes('habitat')).click()`,
  );
  await browser.untilText('figure', 'the usual way');
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
