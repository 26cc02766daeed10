import { addressOf, answerTo, asked, form, markups, notices } from './markups.js';
import { Page } from './page.js';

/** However a page writes its list, it is answered as one would by looking at each item. */
describe.each(['any', 'all'] as const)('%s of what is ticked', (match) => {
  test.each(Object.entries(markups))('%s', async (name, write) => {
    const page = await Page.open(form(match) + write(notices));
    try {
      expect(page.shown).toEqual(notices.map(({ title }) => title));
      for (const question of asked) {
        const address = addressOf(question);
        page.list.query = address;
        const expected = answerTo(question, match);
        // a search brings the best first, which is another matter
        const shown = question.word ? [...page.shown].sort() : page.shown;
        expect([address, shown]).toEqual([address, question.word ? expected.sort() : expected]);
        expect(page.text('[data-ivy-count]')).toBe(String(expected.length));
      }
      const isTold = page.told.some((words) => /taken as one|read as one/.test(words));
      expect(isTold).toBe(name === 'names and values in other cases');
    } finally {
      page.close();
    }
  });
});
