import { fillPlural } from '../text/fill.js';
import { englishTexts, type TextKey } from './texts.js';
import { wordSet, wordSetLanguages } from './word-sets.js';

const placesIn = (text: string) => [...text.matchAll(/\{\w+\}/g)].map((match) => match[0]).sort();

test.each(wordSetLanguages)(
  '%s has every word, with the same places to fill and a form for every number',
  (language) => {
    const words = wordSet(language);
    expect(Object.keys(words)).toEqual(Object.keys(englishTexts));
    for (const key of Object.keys(englishTexts) as TextKey[]) {
      expect(words[key].trim()).not.toBe('');
      // a form by number may say the number in words: one of them must have the place
      const forms = words[key].split('|');
      expect(placesIn(forms[forms.length - 1]!)).toEqual(placesIn(englishTexts[key].split('|').at(-1)!));
    }
    expect(words.posts.split('|')).toHaveLength(
      new Intl.PluralRules(language).resolvedOptions().pluralCategories.length,
    );
  },
);

test('a number takes the form its language has for it', () => {
  const posts = (language: string, n: number) => fillPlural(wordSet(language).posts, n, language);
  expect([posts('de', 1), posts('de-AT', 37)]).toEqual(['1 Beitrag', '37 Beiträge']);
  expect([0, 1, 2, 3, 11, 100].map((n) => posts('ar', n).replace(/[\d٠-٩]/g, '#'))).toEqual([
    'لا منشورات',
    'منشور واحد',
    'منشوران',
    '# منشورات',
    '## منشورًا',
    '### منشور',
  ]);
  expect(posts('ja', 3)).toBe('3件');
  expect(wordSet('fr').sort).toBe('Sort');
});
