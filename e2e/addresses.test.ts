import { Key } from 'selenium-webdriver';
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

const api = async <T>(path: string, method = 'GET', body?: object): Promise<T> => {
  const response = await fetch(`${stage.studio}/api/v1${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body && { body: JSON.stringify(body) }),
  });
  return (response.status === 204 ? null : await response.json()) as T;
};
interface Saved {
  id: string;
  address: string;
  expect: { matched?: number };
}
/** A lens of its own for a test, on the demo's notes. */
const ownLens = async (slug: string) => {
  await api('/lenses', 'POST', { from: 'field-notes', name: slug, slug });
  await api(`/lenses/${slug}/releases`, 'POST', {});
};
const saved = (slug: string) => api<Saved[]>(`/lenses/${slug}/addresses`);

test('an address with three faults is read, mended and saved', async () => {
  await browser.go(`${stage.studio}/lenses/field-notes?habitat=mudfat,reedbed&observed=2026-02-31&kinds=survey`);
  await browser.untilText('section[aria-label=Address]', 'no such term');
  // what can't be read stands struck through; nothing went in silence
  expect(await browser.texts('section[aria-label=Address] s')).toEqual(['mudfat', '2026-02-31']);
  await browser.press('button', 'Take “Mudflat” instead of “mudfat”');
  await browser.until(
    'one fault less',
    async () => (await browser.texts('section[aria-label=Address] s')).length === 1,
  );
  await browser.press('button', 'Take “2026-02-28” instead of “2026-02-31”');
  await browser.press('button', 'Take “kind” instead of “kinds”');
  await browser.untilSearch('?habitat=mudflat,reedbed&kind=survey&observed=2026-02-28/2026-02-28');
  expect(await browser.texts('section[aria-label=Address] s')).toEqual([]);
  await browser.press('button', 'Save this address');
  await browser.untilText('section[aria-label=Address]', 'Saved: must find exactly');
  const [one] = await saved('field-notes');
  expect(one!.address).toBe('habitat=mudflat,reedbed&kind=survey&observed=2026-02-28/2026-02-28');
  await api(`/lenses/field-notes/addresses/${one!.id}`, 'DELETE');
});

test('a token is changed where it stands: chosen from what is offered, stepped by arrows, taken back with Ctrl+Z', async () => {
  await browser.go(`${stage.studio}/lenses/field-notes?observed=2026-03-01/2026-05-31`);
  await browser.untilText('section[aria-label=Address]', 'of 480');
  await browser.press('section[aria-label=Address] button', 'observed');
  const box = await browser.named('input', 'Value of observed');
  await box.sendKeys(Key.HOME, Key.ARROW_UP, Key.ENTER);
  await browser.untilSearch('?observed=2026-03-02/2026-05-31');
  const add = await browser.named('input', 'Add to the address');
  await add.sendKeys('species=wad');
  await browser.untilText('[role=listbox]', 'Waders');
  await add.sendKeys(Key.ARROW_DOWN, Key.ENTER);
  await browser.untilSearch('?species=waders&observed=2026-03-02/2026-05-31');
  await browser.run('document.activeElement.blur()');
  const undo = () => browser.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await undo();
  await browser.untilSearch('?observed=2026-03-02/2026-05-31');
  await undo();
  await browser.untilSearch('?observed=2026-03-01/2026-05-31');
});

test('a name that is let go breaks a saved address: it is said, and publishing stops for it', async () => {
  await ownLens('letting-go');
  await api('/lenses/letting-go/addresses', 'POST', { name: 'Home page', address: 'habitat=mudflat' });
  await browser.go(`${stage.studio}/lenses/letting-go/addresses`);
  await browser.untilText('section[aria-label="Saved addresses"]', 'draft 1 of 1');
  await browser.press('button', 'Rename habitat');
  await (await browser.named('input', 'Name of Habitat in addresses')).sendKeys('where', Key.ENTER);
  await browser.untilText('aside', 'still read habitat');
  // renamed alone, nothing breaks
  await browser.press('button', 'let habitat go');
  await browser.untilText('aside [role=alert]', '1 saved address uses it');
  await browser.press('button', 'Let it go');
  await browser.untilText('section[aria-label="Saved addresses"]', 'draft 0 of 1');
  await browser.untilText('[aria-label="Why it differs"]', '480 where exactly 107 are expected');
  await browser.go(`${stage.studio}/lenses/letting-go/publish`);
  await browser.untilText('main', '1 of 1 saved address would not hold');
  await browser.untilText('main', 'breaks addresses');
  await browser.press('button', 'Publish release 2');
  await browser.untilText('[role=status]', 'Home page: 480 where exactly 107 are expected');
  expect(await api<unknown[]>('/lenses/letting-go/releases')).toHaveLength(1);
  await browser.press('button', 'Publish anyway');
  await browser.untilText('[role=status]', 'Release 2 is live');
  // the release before is put live again, and its addresses hold as they did
  await browser.press('button', 'put it live again');
  await browser.untilText('[role=status]', 'as release 3');
  expect((await api<{ matched: number }>('/lenses/letting-go/results?habitat=mudflat')).matched).toBe(107);
});

test('a release in place of the draft says what goes, and is taken back', async () => {
  await ownLens('replaced');
  const { draft, draftRevision } = await api<{ draft: { facets: object[] }; draftRevision: number }>(
    '/lenses/replaced',
  );
  await fetch(`${stage.studio}/api/v1/lenses/replaced/draft`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', 'if-match': String(draftRevision) },
    body: JSON.stringify({ config: { ...draft, facets: draft.facets.slice(0, 3) } }),
  });
  const facets = async () => (await api<{ draft: { facets: object[] } }>('/lenses/replaced')).draft.facets.length;
  expect(await facets()).toBe(3);
  await browser.go(`${stage.studio}/lenses/replaced/publish`);
  await browser.press('button', 'make it the draft');
  await browser.untilText('main', 'would go from the draft. One press brings back what went.');
  await browser.press('button', 'Make it the draft');
  await browser.untilText('[role=status]', 'Release 1 is the draft now');
  expect(await facets()).toBe(draft.facets.length);
  // also after one has been elsewhere
  await browser.go(`${stage.studio}/lenses/replaced/publish`);
  await browser.press('button', 'Take it back');
  await browser.untilText('[role=status]', 'The draft is what it was before.');
  expect(await facets()).toBe(3);
});

test('a list of two hundred addresses is brought in, checked, and taken away again in one go', async () => {
  await ownLens('many');
  await browser.go(`${stage.studio}/lenses/many/addresses`);
  await browser.press('button', 'Bring in a list');
  const places = ['mudflat', 'reedbed', 'saltmarsh', 'lagoon'];
  const lines = Array.from(
    { length: 200 },
    (_, i) => `https://wardens.example/notes?habitat=${places[i % 4]}&minutes=../${1 + Math.floor(i / 4)}`,
  );
  await browser.run(
    `const [box, text] = arguments;
     Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(box, text);
     box.dispatchEvent(new Event('input', { bubbles: true }));`,
    await browser.named('textarea', 'List of addresses'),
    ['name,url', ...lines.map((line, i) => `Link ${i},"${line}"`), 'Odd,nothing'].join('\n'),
  );
  await browser.press('form button[type=submit]', 'Bring in');
  await browser.untilText('section[aria-label="Saved addresses"]', '200 addresses brought in. 1 line passed over');
  await browser.untilText('section[aria-label="Saved addresses"]', 'release 200 of 200 draft 200 of 200');
  expect(await browser.axe()).toEqual([]);
  await browser.press('section[aria-label="Saved addresses"] button', 'Undo');
  await browser.untilText('section[aria-label="Saved addresses"]', 'None yet.');
});

test('one that differs is settled in one press, and the page fits a phone', async () => {
  await ownLens('settled');
  await api('/lenses/settled/addresses', 'POST', {
    folder: 'June letter',
    address: 'habitat=mudflat',
    expect: { matched: 90 },
  });
  await browser.size(390, 844);
  await browser.go(`${stage.studio}/lenses/settled/addresses`);
  await browser.untilText('[aria-label="Why it differs"]', '107 where exactly 90 are expected');
  expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
  expect(await browser.axe()).toEqual([]);
  await browser.press('button', 'accept 107');
  await browser.until('it holds', async () => (await browser.texts('[aria-label="Why it differs"]')).length === 0);
  expect((await saved('settled'))[0]!.expect).toEqual({ matched: 107 });
  await browser.size(1440, 900);
});
