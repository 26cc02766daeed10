import { applyMarks } from '../src/read/mapping.js';
import { addressOf, answerTo, asked, form, markups, notices, unmarked } from './markups.js';
import { Page } from './page.js';

const titles = notices.map(({ title }) => title);

/** Asks a page all fifty questions, and holds each answer to the one that is plain to see. */
function askAll(page: Page, match: 'any' | 'all'): void {
  for (const question of asked) {
    const address = addressOf(question);
    page.list.query = address;
    const expected = answerTo(question, match);
    // a search brings the best first, and headings keep items where they are, which are other matters
    expect([address, [...page.shown].sort()]).toEqual([address, [...expected].sort()]);
    expect(page.text('[data-ivy-count]')).toBe(String(expected.length));
  }
}

/** However a page writes its list, it is answered as one would by looking at each item. */
describe.each(['any', 'all'] as const)('%s of what is ticked', (match) => {
  test.each(Object.entries(markups))('%s', async (name, write) => {
    const page = await Page.open(form(match) + write(notices));
    try {
      expect([...page.shown].sort()).toEqual([...titles].sort());
      askAll(page, match);
      const isTold = page.told.some((words) => /taken as one|read as one/.test(words));
      expect(isTold).toBe(name === 'names and values in other cases');
    } finally {
      page.close();
    }
  });

  test.each(Object.entries(unmarked))('%s that bear no marks, by a mapping', async (_name, { html, marks }) => {
    const page = await Page.open(form(match) + html(notices), '', () => applyMarks(document, 'notices', marks));
    try {
      expect(page.shown).toEqual(titles);
      askAll(page, match);
    } finally {
      page.close();
    }
  });

  test('a list that a framework draws anew, in other elements', async () => {
    const page = await Page.open(form(match) + markups['a list']!(notices));
    try {
      page.list.query = 'kind=works';
      const list = page.element('[data-ivy-list]');
      const anew = document.createElement('template');
      anew.innerHTML = markups['articles, one element a value']!(notices);
      list.replaceChildren(...anew.content.firstElementChild!.children);
      await page.settle();
      expect(page.shown).toEqual(answerTo({ ...asked[0]!, habitats: [], kind: 'Works' }, match));
      askAll(page, match);
    } finally {
      page.close();
    }
  });

  test('a form that is drawn late', async () => {
    const page = await Page.open(markups['a list']!(notices));
    try {
      expect(page.told.join()).toContain('nothing drives it');
      document.body.insertAdjacentHTML('afterbegin', form(match));
      page.list.look();
      askAll(page, match);
    } finally {
      page.close();
    }
  });

  test('items on three pages', async () => {
    const write = (from: number) =>
      markups['a list']!(notices.slice(from, from + 8)) +
      `<nav data-ivy-pager="notices">${from < 16 ? `<a rel="next" href="?page=${from / 8 + 2}">on</a>` : '1'}</nav>`;
    const before = globalThis.fetch;
    globalThis.fetch = ((url: string) =>
      Promise.resolve({
        ok: true,
        url,
        text: () => Promise.resolve(write((Number(new URL(url).searchParams.get('page')) - 1) * 8)),
      })) as unknown as typeof fetch;
    const page = await Page.open(form(match) + write(0));
    try {
      expect([page.shown.length, page.text('[data-ivy-count]')]).toEqual([8, '24']);
      for (const question of asked) {
        page.list.query = addressOf(question);
        const expected = answerTo(question, match);
        expect(page.text('[data-ivy-count]')).toBe(String(expected.length));
        expect(page.shown.length).toBe(Math.min(8, expected.length));
      }
    } finally {
      page.close();
      globalThis.fetch = before;
    }
  });
});
