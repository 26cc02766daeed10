import { Browser } from './browser.js';
import { setStage, type Stage } from './stage.js';

/** The hosted page, with scripts and without. */

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

const scripts = (on: boolean) => browser.command('Emulation.setScriptExecutionDisabled', { value: !on });
const open = (query: string) => browser.go(`${stage.studio}/l/field-notes?${query}`);
const line = () => browser.text('.ivy-count-line');

describe('without scripts', () => {
  beforeAll(() => scripts(false));
  afterAll(() => scripts(true));

  test('a choice is ticked and sent, and the address says it', async () => {
    await open('ref=letter');
    expect(await line()).toContain('480 notes');
    await browser.press('[data-facet=habitat] input[value=mudflat]');
    await (await browser.find('[data-facet=q] input')).sendKeys('wigeon');
    await browser.press('.ivy-apply button');
    await browser.until('fewer', async () => !(await line()).includes('480 notes'));
    const sent = new URLSearchParams(await browser.search());
    expect([sent.get('ref'), sent.get('habitat'), sent.get('q')]).toEqual(['letter', 'mudflat', 'wigeon']);
    expect(await browser.texts('.ivy-chip')).toEqual(['“wigeon”', 'Mudflat']);
    expect((await browser.texts('mark')).map((mark) => mark.toLowerCase())).toContain('wigeon');
  });

  test('a range is typed into two boxes, or taken ready', async () => {
    await open('habitat=mudflat');
    await (await browser.find('[name="minutes.from"]')).sendKeys('4');
    await browser.press('.ivy-apply button');
    await browser.untilSearch('?habitat=mudflat&minutes=4/..');
    expect(await browser.texts('.ivy-chip')).toEqual(['Mudflat', 'from 4 min']);
    await browser.press('.ivy-presets a', '2026');
    await browser.untilSearch('?habitat=mudflat&observed=2026&minutes=4/..');
    expect(await browser.texts('.ivy-presets [aria-current]')).toEqual(['2026']);
  });

  test('a chip takes its choice away, a page link turns the page, and back goes back', async () => {
    await open('habitat=mudflat&kind=survey');
    await browser.press('.ivy-chip');
    await browser.untilSearch('?kind=survey');
    await browser.press('.ivy-pager a[rel=next]');
    await browser.untilSearch('?kind=survey&page=2');
    await browser.back();
    await browser.back();
    expect(await browser.texts('.ivy-chip')).toEqual(['Mudflat', 'Survey']);
  });

  test.each([1280, 390])('all of it fits at %i wide', async (width) => {
    await browser.size(width, 800);
    await open('habitat=mudflat');
    expect(await browser.run('return document.documentElement.scrollWidth <= innerWidth')).toBe(true);
    expect(await browser.run('return document.querySelector(".ivy-facet").getBoundingClientRect().width > 100')).toBe(
      true,
    );
    await browser.size(1280, 800);
  });
});

test('with scripts the page is taken over, and nothing that was there jumps', async () => {
  await open('habitat=mudflat');
  const places = `return [...document.querySelectorAll('.ivy-card')].slice(0, 3).map((card) => Math.round(card.getBoundingClientRect().top))`;
  await browser.find('form[data-plain], ivy-lens > .ivy-frame:not([data-plain])');
  await browser.find('ivy-lens[data-status=ready] > div.ivy-frame');
  expect(await browser.texts('[data-plain]')).toEqual([]);
  const now = await browser.run<number[]>(places);
  await scripts(false);
  await open('habitat=mudflat');
  expect(await browser.run<number[]>(places)).toEqual(now);
  await scripts(true);
  await open('habitat=mudflat');
  await browser.find('ivy-lens[data-status=ready] > div.ivy-frame');
  await browser.press('[data-facet=habitat] input', 'Lagoon');
  await browser.untilSearch('?habitat=lagoon,mudflat');
});

test('axe finds nothing on the page as it is sent', async () => {
  await browser.command('Network.enable');
  await browser.command('Network.setBlockedURLs', { urls: ['*/embed/ivy-lens.js'] });
  await open('habitat=mudflat&observed=2026');
  await browser.find('form[data-plain]');
  expect(await browser.axe()).toEqual([]);
  await browser.command('Network.setBlockedURLs', { urls: [] });
});
