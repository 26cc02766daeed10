// The worst addresses we could think of, on 200,000 posts: how long each holds everybody else up.
import { buildIndex, finished, preparing, readLens, answerAddress, wording, counting } from '@ivy/core';
import { fields as baseFields, makeCollection } from '../bench/posts.mjs';
import { random } from '../demo/make/random.mjs';

const day = Date.UTC(2026, 4, 5);
export const mostMs = 50;

/** Posts with titles of their own and a text of many rare words, so that the vocabulary is large. */
export function largeCollection(size) {
  const collection = makeCollection(size, false);
  const chance = random(`words ${size}`);
  const letters = 'abcdefghijklmnoprstuvw';
  const word = () =>
    Array.from(
      { length: 4 + Math.floor(chance.next() * 8) },
      () => letters[Math.floor(chance.next() * letters.length)],
    ).join('');
  const rare = Array.from({ length: 150_000 }, word);
  const common = Array.from({ length: 400 }, word);
  const text = () =>
    Array.from({ length: 14 }, () =>
      chance.next() < 0.7
        ? common[Math.floor(chance.next() ** 2 * 400)]
        : rare[Math.floor(chance.next() * rare.length)],
    ).join(' ');
  for (const post of collection.posts) {
    post.values.summary = text();
    post.values.title = `${text().slice(0, 40)} ${post.id}`;
  }
  const summary = { ...baseFields[0], key: 'summary', label: 'Summary', role: 'summary' };
  return { ...collection, fields: [...baseFields, summary] };
}

export function lensConfig(more = {}) {
  return {
    facets: [
      { key: 'q', kind: 'search', fields: ['title', 'summary'] },
      { key: 'any', kind: 'search', fields: ['title', 'summary'], words: 'any', weights: { title: 5 } },
      ...['place', 'tags', 'topics', 'kind', 'author', 'region', 'level'].map((key) => ({
        key,
        kind: key === 'place' ? 'tree' : 'checkboxes',
        field: key,
      })),
      { key: 'all', kind: 'checkboxes', field: 'topics', match: 'all' },
      { key: 'published', kind: 'date-range', field: 'published' },
      { key: 'minutes', kind: 'number-range', field: 'minutes' },
      { key: 'marked', kind: 'favourites' },
    ],
    sort: {
      options: [
        { key: 'newest', label: 'Newest', field: 'published', order: 'desc' },
        { key: 'title', label: 'Title', field: 'title' },
        { key: 'minutes', label: 'Minutes', field: 'minutes' },
        { key: 'mixed', label: 'Mixed', by: 'shuffle' },
        { key: 'best', label: 'Best', by: 'relevance' },
      ],
    },
    paging: { size: 200 },
    ...more,
  };
}

export function lensOn(more = {}) {
  const read = readLens(lensConfig(more));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

const repeated = (text, times) => text.repeat(times);
const listed = (size, make) => Array.from({ length: size }, (_, i) => make(i));
const two = 'abcdefghijklmnoprstuvw'.split('');

/** By name, so that one that is slow is found again. */
export const hostile = {
  'one character that folds to four words, 200 times': `q=${encodeURIComponent(repeated('\ufdfa', 200))}`,
  'the same with blanks between': `q=${encodeURIComponent(repeated('\ufdfa ', 100))}`,
  '22 unknown words of 8 letters': `q=${listed(22, (i) => `zzyxzz${two[i % 22]}${two[(i * 7) % 22]}`).join('+')}`,
  '22 nearly known words': `q=${listed(22, (i) => `${two[i]}bcde${two[(i * 3) % 22]}gh`).join('+')}`,
  '60 words of two letters, any': `any=${listed(60, (i) => two[i % 22] + two[(i * 5) % 22]).join('+')}`,
  '60 words of two letters, all': `q=${listed(60, (i) => two[i % 22] + two[(i * 5) % 22]).join('+')}`,
  '60 words of two letters, best first': `any=${listed(60, (i) => two[i % 22] + two[(i * 5) % 22]).join('+')}&sort=best`,
  'the same left out': `any=${listed(60, (i) => `-${two[i % 22]}${two[(i * 5) % 22]}`).join('+')}`,
  'one letter each, 100 of them': `q=${listed(100, (i) => two[i % 22]).join('+')}`,
  'a phrase of common words': `q=%22${listed(60, () => 'ab').join('+')}%22`,
  'many phrases': `any=${listed(30, (i) => `%22${two[i % 22]}+${two[(i * 3) % 22]}%22`).join('+')}`,
  'by title, a search of two letters': 'q=ab&sort=title',
  'by title, nothing chosen': 'sort=title',
  'by minutes, last page': 'sort=minutes&page=999999999',
  shuffled: 'sort=mixed',
  'shuffled, last page': 'sort=mixed&page=1000',
  'best first, last page': 'any=ab&sort=best&page=1000',
  'best first by two common beginnings, page 500': 'any=ab+cd&sort=best&page=500',
  '50 terms in each of four facets': [
    'place=' + listed(50, (i) => `p${i % 8}-${i % 7}-${i % 6}`).join(','),
    ...['tags', 'topics', 'author'].map((key) => `${key}=${listed(50, (i) => `t${i}`).join(',')}`),
  ].join('&'),
  'all of 50 terms': `all=${listed(50, (i) => `t${i}`).join(',')}`,
  'unknown terms, as many as fit': `topics=${listed(1300, (i) => `x${i}`).join(',')}`,
  'names nobody knows, as many as fit': listed(1300, (i) => `x${i}=1`).join('&'),
  'ranges that leave one day': 'published=2019-01-01/2019-01-01&minutes=../1',
  'marked posts, 200': `marked=${listed(200, (i) => `n${i}`).join(',')}`,
  'broken escapes': `q=${repeated('%E0%A4', 1300)}`,
  'a search and ranges with nothing left': 'q=zzyxzzab&published=1900-01-01/1900-01-02&topics=t1,t2&kind=t1',
};

/** @returns by name, milliseconds of the first and of the slowest of some further answers */
export function measureAddresses(size, say) {
  const index = buildIndex(largeCollection(size));
  const lens = lensOn();
  let longest = 0;
  for (const steps of [preparing(index, lens), wording(index, lens), counting(index, lens)]) {
    for (;;) {
      const start = performance.now();
      const { done } = steps.next();
      const took = performance.now() - start;
      longest = Math.max(longest, took);
      if (took > 50) say(`a step of the preparation took ${took.toFixed(0)} ms`);
      if (done) break;
    }
  }
  finished(preparing(index, lens));
  const results = [];
  for (const [name, address] of Object.entries(hostile)) {
    const times = [0, 1, 2].map((i) => {
      const start = performance.now();
      answerAddress(index, lens, i === 0 ? address : `${address}&again=${i}`, day);
      return performance.now() - start;
    });
    results.push({ name, first: times[0], later: Math.max(times[1], times[2]) });
    say(`${times[0].toFixed(1).padStart(8)} ${Math.max(times[1], times[2]).toFixed(1).padStart(8)}  ${name}`);
  }
  return { results, longest };
}

if (process.argv[1]?.endsWith('addresses.mjs')) measureAddresses(Number(process.argv[2] ?? 200_000), console.log);
