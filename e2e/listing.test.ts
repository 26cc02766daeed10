import { Key } from 'selenium-webdriver';
import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** Which posts a listing shows, how one gets on, what stands where nothing is, and several on one page. */

let stage: Stage;
let browser: Browser;
const post = async (path: string, body: object) => {
  const response = await fetch(`${stage.studio}/api/v1/lenses${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(response.status).toBe(201);
};
const facets = [
  { key: 'q', kind: 'search', fields: ['title', 'summary'] },
  { key: 'kind', kind: 'checkboxes', field: 'kind' },
  { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
];
beforeAll(async () => {
  stage = await setStage();
  browser = await Browser.open();
  for (const mode of ['more', 'endless']) {
    const config = { facets, paging: { mode, size: 6, sizes: [12] } };
    await post('', { name: mode, slug: mode, source: 'orrin-field-notes', config });
    await post(`/${mode}/releases`, {});
  }
});
afterAll(async () => {
  await browser?.close();
  await stage?.stop();
});

const open = async (search: string) => {
  await browser.size(1280, 800);
  await browser.go(`${stage.studio}/l/${search}`);
  await browser.find('ivy-lens[data-status=ready] .ivy-fold');
};
const cards = async () => (await browser.texts('.ivy-title')).length;
const scripts = (on: boolean) => browser.command('Emulation.setScriptExecutionDisabled', { value: !on });

test('a press puts more below; filter, reload, and back from a post keep what stood there', async () => {
  await open('more');
  await browser.press('.ivy-next');
  await browser.until('twelve', async () => (await cards()) === 12);
  await browser.press('.ivy-next');
  await browser.until('eighteen', async () => (await cards()) === 18);
  await browser.untilSearch('?page=3');
  await browser.run('scrollTo(0, 900)');
  await browser.go(`${stage.studio}/api/v1/about`);
  await browser.back();
  await browser.until('all of them again', async () => (await cards()) === 18);
  await browser.until('the same place', async () => Number(await browser.run('return scrollY')) > 700);
  await browser.run("document.querySelector('[data-facet=kind] input[value=survey]').click()");
  await browser.untilSearch('?kind=survey');
  await browser.until('the first six', async () => (await cards()) === 6);
});

test('without scripts a press is a link to the page with more', async () => {
  await scripts(false);
  await browser.go(`${stage.studio}/l/more?kind=survey`);
  await browser.press('.ivy-next');
  await browser.untilSearch('?kind=survey&page=2');
  expect(await cards()).toBe(12);
  await scripts(true);
});

test('an endless list comes by itself three times, then pauses so that the foot can be reached', async () => {
  await open('endless');
  for (let i = 0; i < 12; i++) {
    await browser.run('scrollTo(0, 1e6)');
    await browser.driver.sleep(150);
  }
  expect([await cards(), await browser.text('.ivy-shown')]).toEqual([24, '24 of 480 shown']);
  await browser.press('.ivy-next');
  await browser.until('on it goes', async () => (await cards()) >= 30);
});

test('a visitor chooses how many a page', async () => {
  await open('more');
  const size = await browser.find('.ivy-sort select');
  await size.sendKeys('12', Key.TAB);
  await browser.untilSearch('?size=12');
  await browser.until('twelve', async () => (await cards()) === 12);
});

test('where nothing is there are ways out, and what the address said in error is told', async () => {
  await open('more?q=heron&kind=interview&habitat=hedgerow,mudfat');
  expect(await browser.texts('.ivy-notices p')).toEqual(['Left out: Habitat “mudfat” is not there any more.']);
  const ways = await browser.texts('.ivy-way');
  expect(ways.length).toBeGreaterThan(1);
  expect(ways.at(-1)).toBe('Clear all: 480 posts');
  await browser.press('.ivy-way', ways[0]);
  await browser.until('something', async () => (await cards()) > 0);
});

test('two of one lens on a page, each with a prefix: one is typed in, the other is untouched, through reload and back', async () => {
  await browser.go(`${stage.site}/`);
  const put = () =>
    browser.run(`document.body.innerHTML = ['a-', 'b-'].map((prefix) =>
      '<section id="' + prefix + '"><ivy-lens origin="${stage.studio}" name="more" prefix="' + prefix + '"></ivy-lens></section>').join('')`);
  await put();
  const count = (prefix: string) => browser.text(`#${prefix} .ivy-count-line strong`);
  await browser.find('#b- .ivy-count-line');
  await (await browser.find('#a- .ivy-search input')).sendKeys('heron');
  await browser.untilSearch('?a-q=heron');
  await browser.until('fewer in one', async () => (await count('a-')) !== '480 posts');
  expect(await count('b-')).toBe('480 posts');
  await browser.run("document.querySelector('#b- [data-facet=kind] input[value=survey]').click()");
  await browser.untilSearch('?a-q=heron&b-kind=survey');
  await browser.until('fewer in the other', async () => (await count('b-')) !== '480 posts');
  const both = [await count('a-'), await count('b-')];
  await browser.driver.navigate().refresh();
  await put();
  await browser.until('both as before', async () => {
    return JSON.stringify([await count('a-'), await count('b-')]) === JSON.stringify(both);
  });
  await browser.back();
  await browser.until('back in one', async () => (await browser.search()) === '?a-q=heron');
  await browser.until('the other stays', async () => (await count('a-')) === both[0]);
});

test('one element sees only posts of its scope, beside one that sees all', async () => {
  await browser.go(`${stage.site}/`);
  await browser.run(`document.body.innerHTML =
    '<ivy-count id="all" origin="${stage.studio}" name="more"></ivy-count><ivy-count id="some" origin="${stage.studio}" name="more" scope="kind:interview" prefix="s-"></ivy-count>'`);
  await browser.until('both', async () => (await browser.texts('.ivy-count-line')).length === 2);
  const [all, some] = await browser.texts('ivy-count');
  expect(all).toBe('480 posts');
  expect(some).toBe('18 posts');
});

test('a lens that is not there says so on the page', async () => {
  await browser.go(`${stage.site}/`);
  await browser.run(`document.body.innerHTML = '<ivy-lens origin="${stage.studio}" name="nobody"></ivy-lens>'`);
  await browser.find('ivy-lens[data-status=gone]');
  expect(await browser.text('.ivy-failed')).toContain('This listing is not here');
});

test('on the Bench posts are narrowed and pinned, and pages set; the page follows, undo takes it back', async () => {
  await browser.go(`${stage.studio}/lenses/more`);
  await browser.press('button', 'Cards, order and pages');
  await browser.press('[role=tab]', 'Posts');
  await (await browser.find('#find-post')).sendKeys('tern');
  await browser.find('[aria-label="Posts found"] li');
  await browser.press('[aria-label="Posts found"] li:nth-child(2) button');
  const pinned = await browser.text('[aria-label="First of all"] li');
  const first = () =>
    browser.run(
      "return document.querySelector('iframe').contentDocument.querySelector('.ivy-title')?.textContent.trim() ?? ''",
    );
  await browser.until('it stands first', async () => (await first()) === pinned.trim());
  await (await browser.find('[aria-label="Only posts with some terms"]')).sendKeys('Kind', Key.TAB);
  await browser.press('[aria-label^="Only posts with Kind"] input');
  await browser.until('fewer', async () => !(await browser.text('#results-tab')).includes('480 of 480'));
  await browser.press('[role=tab]', 'Pages');
  await browser.press('button.pick', 'Numbered');
  await browser.until('numbers', () =>
    browser.run<boolean>("return !!document.querySelector('iframe').contentDocument.querySelector('.ivy-page')"),
  );
  await browser.press('button[aria-label=Undo]');
  await browser.until('asking again', () =>
    browser.run<boolean>("return !!document.querySelector('iframe').contentDocument.querySelector('.ivy-next')"),
  );
  expect(await browser.axe('[aria-label=Wiring]')).toEqual([]);
});

test('a lens follows another of the page: chosen there it is narrowed here, by a shared link too', async () => {
  const there = () => browser.text('.there .ivy-count-line');
  await browser.size(1280, 800);
  await browser.go(`${stage.site}/walks`);
  await browser.until('all notes', async () => (await there()).startsWith('480 notes'));
  await browser.press('[data-facet=place] input[type=checkbox]', 'Inner estuary');
  await browser.untilSearch('?place=inner-estuary');
  await browser.until('the notes from there', async () => (await there()).startsWith('232 notes'));
  // what narrows them is the other listing’s: their own address says nothing of it
  await browser.press('.there .ivy-page, .ivy-next');
  await browser.driver.navigate().refresh();
  await browser.until('the notes from there again', async () => (await there()).startsWith('232 notes'));
  await browser.press('.ivy-clear');
  await browser.until('all notes again', async () => (await there()).startsWith('480 notes'));
});

test('a second language, written on the Bench beside what is built in, is read by pages that are in it', async () => {
  await browser.go(`${stage.studio}/lenses/more`);
  await browser.press('button', 'Cards, order and pages');
  await browser.press('[role=tab]', 'Words');
  await browser.press('button', 'Language');
  await (await browser.find('[aria-label="Tag of the language"]')).sendKeys('de');
  await browser.press('button', 'Add');
  await (await browser.named('textarea', 'In place of “Kind”')).sendKeys('Art der Notiz');
  await (await browser.named('textarea', 'In place of “Suche”')).sendKeys('Stöbern');
  await browser.inFrame(async () => {
    await browser.untilText('ivy-lens', 'Art der Notiz');
    await browser.untilText('ivy-lens', 'Stöbern');
    await browser.untilText('ivy-lens', ' Beiträge');
  });
  await browser.find('[data-saving=saved]');
  await post('/more/releases', {});
  await browser.go(`${stage.site}/`);
  await browser.run(`document.documentElement.lang = 'de-AT';
    document.body.innerHTML = '<ivy-lens origin="${stage.studio}" name="more"></ivy-lens><p lang="en"><ivy-count name="more" origin="${stage.studio}" prefix="b-"></ivy-count></p>'`);
  await browser.untilText('ivy-lens', 'Art der Notiz');
  await browser.untilText('ivy-count', ' posts');
  await browser.go(`${stage.studio}/l/more?~lang=de`);
  await browser.untilText('main', 'Art der Notiz');
  await browser.press('.languages a', 'English');
  await browser.untilText('main', 'Kind');
});
