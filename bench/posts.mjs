// Seeded posts to measure with: one tree of 400 terms three deep, two fields of tags, four one-of fields, two yes/no,
// a day over ten years, a number, and a title of common and rare words.
import { random } from '../demo/make/random.mjs';

const tagFields = { tags: 200, topics: 1000 };
const oneOfFields = { kind: 8, author: 60, region: 12, level: 5 };

/** A term picked so that a few are common and most are rare, as in life. */
const skewed = (chance, size) => Math.floor(size * chance.next() ** 2.2);

export function makeTaxonomies() {
  const place = [];
  for (let a = 0; a < 8; a++) {
    place.push({ slug: `p${a}`, label: `Place ${a}`, parent: null });
    for (let b = 0; b < 7; b++) {
      place.push({ slug: `p${a}-${b}`, label: `Place ${a}.${b}`, parent: `p${a}` });
      for (let c = 0; c < 6; c++)
        place.push({ slug: `p${a}-${b}-${c}`, label: `Place ${a}.${b}.${c}`, parent: `p${a}-${b}` });
    }
  }
  const flat = (size) => Array.from({ length: size }, (_, i) => ({ slug: `t${i}`, label: `Term ${i}`, parent: null }));
  const others = Object.entries({ ...tagFields, ...oneOfFields }).map(([key, size]) => [key, flat(size)]);
  return { place, ...Object.fromEntries(others) };
}

const field = (key, type, more = {}) => ({
  key,
  label: key,
  type,
  role: null,
  multiple: false,
  tree: false,
  separator: null,
  pathSeparator: null,
  ...more,
});

export const fields = [
  field('title', 'text', { role: 'title' }),
  field('published', 'date', { role: 'published' }),
  field('place', 'terms', { tree: true, multiple: true }),
  ...Object.keys(tagFields).map((key) => field(key, 'terms', { multiple: true })),
  ...Object.keys(oneOfFields).map((key) => field(key, 'terms')),
  field('open', 'boolean'),
  field('guided', 'boolean'),
  field('minutes', 'number'),
];

/**
 * @param {number} size
 * @param {boolean} correlated  places have their own kinds and tags, and days come in bursts
 */
export function makeCollection(size, correlated) {
  const chance = random(`bench ${size} ${correlated}`);
  const taxonomies = makeTaxonomies();
  const leaves = taxonomies.place.filter((term) => term.slug.split('-').length === 3);
  const start = Date.UTC(2016, 0, 1);
  const posts = Array.from({ length: size }, (_, i) => {
    const leaf = skewed(chance, leaves.length);
    // a correlated post takes its terms near a number its place gives it
    const near = (count) =>
      correlated && chance.chance(0.8) ? (leaf * 7 + skewed(chance, 6)) % count : skewed(chance, count);
    const some = (count, most) => [...new Set(Array.from({ length: chance.whole(1, most) }, () => `t${near(count)}`))];
    const burst = correlated ? (leaf * 97) % 3600 : 0;
    const day = correlated && chance.chance(0.7) ? (burst + chance.whole(0, 30)) % 3650 : chance.whole(0, 3649);
    const values = {
      title: Array.from({ length: 6 }, () => `word${skewed(chance, 5000)}`).join(' '),
      published: new Date(start + day * 86_400_000).toISOString().slice(0, 10),
      place: chance.chance(0.15)
        ? [leaves[leaf].slug, leaves[skewed(chance, leaves.length)].slug]
        : [leaves[leaf].slug],
      open: chance.chance(0.3),
      guided: chance.chance(0.6),
      minutes: chance.whole(1, 60),
    };
    for (const [key, count] of Object.entries(tagFields)) values[key] = some(count, 4);
    for (const [key, count] of Object.entries(oneOfFields)) values[key] = [`t${near(count)}`];
    return { id: `n${String(i).padStart(7, '0')}`, values };
  });
  return { fields, taxonomies, posts };
}

export const lensConfig = {
  facets: [
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'place', kind: 'tree', field: 'place' },
    { key: 'tags', kind: 'checkboxes', field: 'tags' },
    { key: 'topics', kind: 'checkboxes', field: 'topics', match: 'all' },
    ...Object.keys(oneOfFields).map((key) => ({ key, kind: 'checkboxes', field: key })),
    { key: 'open', kind: 'switch', field: 'open' },
    { key: 'guided', kind: 'switch', field: 'guided' },
    { key: 'published', kind: 'date-range', field: 'published' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
  sort: { options: [{ key: 'newest', label: 'Newest', field: 'published', order: 'desc' }] },
  card: { parts: [{ show: 'title', field: 'title' }] },
  paging: { size: 24 },
};

/** Addresses as visitors make them: a fifth each with none to four facets on. */
export function makeAddresses(count) {
  const chance = random('addresses');
  const { place } = makeTaxonomies();
  const parts = {
    place: () => chance.pick(place).slug,
    tags: () => `t${skewed(chance, 200)}${chance.chance(0.4) ? `,t${skewed(chance, 200)}` : ''}`,
    topics: () => `t${skewed(chance, 1000)}`,
    kind: () => `t${skewed(chance, 8)}`,
    author: () => `t${skewed(chance, 60)}`,
    region: () => `t${skewed(chance, 12)}${chance.chance(0.4) ? `,t${skewed(chance, 12)}` : ''}`,
    level: () => `t${skewed(chance, 5)}`,
    open: () => 'yes',
    guided: () => chance.pick(['yes', 'no']),
    published: () => {
      const year = chance.whole(2016, 2025);
      return chance.pick([`${year}-01-01/..`, `${year}-01-01/${year}-12-31`, `${year}-03-01/${year}-05-31`]);
    },
    minutes: () => chance.pick(['5/20', '../15', '30/..']),
  };
  return Array.from({ length: count }, (_, i) => {
    const keys = Object.keys(parts);
    const on = Array.from({ length: i % 5 }, () => keys.splice(Math.floor(chance.next() * keys.length), 1)[0]);
    return { on: on.length, address: on.map((key) => `${key}=${parts[key]()}`).join('&') };
  });
}

/** Searches of two words with facets on none to two. */
export function makeSearches(count) {
  const chance = random('searches');
  const word = () => `word${skewed(chance, 300)}`;
  return Array.from({ length: count }, () => ({ on: 1, address: `q=${word()}+${word()}` }));
}
