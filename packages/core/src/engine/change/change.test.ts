import fc from 'fast-check';
import { asked, field } from '../../../test/arbitrary.js';
import { answer } from '../../answer/answer.js';
import type { Collection, Post, Term } from '../../model/post.js';
import { changeTaxonomy } from '../../fields/taxonomy/change-taxonomy.js';
import type { TermChange } from '../../fields/taxonomy/term-change.js';
import { changeIndex } from './change.js';
import { buildIndex } from '../index/build.js';
import type { PostIndex } from '../index/post-index.js';

/** Posts that change: some take another's values, some are new, some go. */
const changes = fc.record({
  edited: fc.array(fc.tuple(fc.nat(), fc.nat()), { maxLength: 8 }),
  added: fc.array(fc.nat(), { maxLength: 5 }),
  removed: fc.array(fc.nat(), { maxLength: 8 }),
});

function apply(
  posts: readonly Post[],
  { edited, added, removed }: typeof changes extends fc.Arbitrary<infer C> ? C : never,
) {
  const valuesAt = (n: number) => (posts.length === 0 ? {} : posts[n % posts.length]!.values);
  const upsert = [
    ...edited.map(([to, from]): Post => ({
      id: posts.length === 0 ? 'p0' : posts[to % posts.length]!.id,
      values: valuesAt(from),
    })),
    // ids that fall before, between and after those there are
    ...added.map((from, i): Post => ({ id: ['', 'p1x', 'q', 'ö', 'p2-'][i]!, values: valuesAt(from) })),
  ];
  const ids = new Set(upsert.map((post) => post.id));
  const remove = removed.map((n) => `p${n % 50}`).filter((id) => !ids.has(id));
  const after = new Map(posts.map((post) => [post.id, post]));
  for (const id of remove) after.delete(id);
  for (const post of upsert) after.set(post.id, post);
  return { upsert, remove, after: [...after.values()] };
}

test('an index that was changed is the one that would be built', () => {
  fc.assert(
    fc.property(asked, changes, ({ collection, query }, change) => {
      const old = buildIndex(collection);
      const before = answer(old, query);
      const { upsert, remove, after } = apply(collection.posts, change);
      const changed = changeIndex(old, { upsert, remove });
      const built = buildIndex({ ...collection, posts: after });
      expect(allPosts(changed)).toEqual(allPosts(built));
      const expected = answer(built, query);
      expect(answer(changed, query)).toEqual(expected);
      // the words taken over are those that would be cut
      for (const { fields, text } of changed.texts) expect(text).toEqual(built.text(fields));
      expect(answer(old, query)).toEqual(before);
    }),
    { numRuns: 300 },
  );
});

test('posts are numbered by the field that is published now', () => {
  const dated = (role: 'day' | 'seen' | null) =>
    ['day', 'seen'].map((key) => field(key, 'date', { role: key === role ? 'published' : null }));
  const day = fc.constantFrom('2026-01-01', '2026-01-02', '2026-01-03', 'spring', undefined);
  const posts = fc.array(fc.tuple(day, day), { minLength: 1, maxLength: 30 }).map((all) =>
    all.map(([one, other], i): Post => ({
      id: `p${i}`,
      values: { ...(one && { day: one }), ...(other && { seen: other }) },
    })),
  );
  const role = fc.constantFrom('day' as const, 'seen' as const, null);
  fc.assert(
    fc.property(posts, role, role, fc.nat({ max: 30 }), (all, before, after, some) => {
      const [old, added] = [all.slice(some), all.slice(0, some)];
      const now = { fields: dated(after), taxonomies: {}, posts: all };
      const changed = changeIndex(buildIndex({ ...now, fields: dated(before), posts: old }), {
        upsert: added,
        remove: [],
        fields: dated(after),
      });
      expect(allPosts(changed)).toEqual(allPosts(buildIndex(now)));
    }),
    { numRuns: 300 },
  );
});

const shore: Collection = {
  fields: [
    field('title', 'text', { role: 'title' }),
    field('habitat', 'terms', { multiple: true }),
    field('day', 'date'),
  ],
  taxonomies: {
    habitat: [
      { slug: 'mudflat', label: 'Mudflat', parent: null },
      { slug: 'shingle', label: 'Shingle', parent: null },
    ],
  },
  posts: [
    { id: 'a', values: { title: 'One', habitat: ['mudflat', 'shingle'], day: '2026-01-01' } },
    { id: 'b', values: { title: 'Two', habitat: ['shingle'] } },
  ],
};

test('terms may be added, moved, merged and taken away', () => {
  const changed = changeIndex(buildIndex(shore), {
    upsert: [{ id: 'c', values: { title: 'Three', habitat: ['dune'] } }],
    remove: [],
    taxonomies: {
      habitat: [
        { slug: 'dune', label: 'Dune', parent: null },
        { slug: 'shore', label: 'Shore', parent: null },
        { slug: 'stones', label: 'Stones', parent: 'shore', aliases: ['shingle'] },
      ],
    },
  });
  const column = changed.column('habitat');
  expect(column.terms.map((term, t) => [term.slug, column.sizes[t]])).toEqual([
    ['dune', 1],
    ['shore', 2],
    ['stones', 2],
  ]);
  expect(changed.valueOf(changed.numberOf('a')!, 'habitat')).toEqual(['stones']);
});

test('labels that change are searched by their new words', () => {
  const old = buildIndex(shore);
  const fields = [{ key: 'habitat', weight: 1 }];
  expect(old.text(fields).vocabulary).toEqual(['mudflat', 'shingle']);
  const [mudflat, shingle] = shore.taxonomies.habitat!;
  const taxonomies = { habitat: [mudflat!, { ...shingle!, label: 'Pebbles' }] };
  expect(changeIndex(old, { upsert: [], remove: [], taxonomies }).text(fields).vocabulary).toEqual([
    'mudflat',
    'pebbles',
  ]);
});

test('fields may be added and taken away, and days may turn out to be none', () => {
  const fields = [...shore.fields.slice(0, 1), field('day', 'date'), field('minutes', 'number')];
  const upsert: Post[] = [{ id: 'b', values: { title: 'Two', day: 'spring', minutes: 2.5 } }];
  const changed = changeIndex(buildIndex(shore), { upsert, remove: [], fields });
  expect(allPosts(changed).sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual([
    { id: 'a', values: { title: 'One', day: '2026-01-01' } },
    upsert[0],
  ]);
});

function allPosts(index: PostIndex): Post[] {
  return Array.from({ length: index.size }, (_, p) => index.postAt(p));
}

test('after terms were called otherwise, merged, moved and deleted an index is as if built from nothing', () => {
  const steps = fc.array(
    fc.record({
      does: fc.constantFrom('rename', 'merge', 'move', 'remove', 'hide'),
      of: fc.constantFrom('habitat', 'kind'),
      one: fc.nat(),
      other: fc.nat(),
    }),
    { minLength: 1, maxLength: 4 },
  );
  fc.assert(
    fc.property(asked, steps, ({ collection, query }, all) => {
      const old = buildIndex(collection);
      answer(old, query);
      for (const key of ['habitat', 'kind']) old.column(key);
      const taxonomies: Record<string, Term[]> = { ...collection.taxonomies };
      for (const { does, of, one, other } of all) {
        const terms = taxonomies[of]!;
        const living = terms.filter(({ gone }) => !gone);
        if (living.length === 0) continue;
        const [term, into] = [living[one % living.length]!.slug, living[other % living.length]!.slug];
        const change = {
          rename: { does: 'rename', term, label: `Tern ${other}`, slug: `s${one}-${other}` },
          merge: { does: 'merge', from: [term], into },
          move: { does: 'move', term, parent: other % 2 === 0 ? null : into, position: 0 },
          remove: { does: 'remove', term },
          hide: { does: 'hide', term, hidden: true },
        }[does] as TermChange;
        taxonomies[of] = changeTaxonomy(terms, change).terms ?? terms;
      }
      const changed = changeIndex(old, { upsert: [], remove: [], taxonomies });
      const built = buildIndex({ ...collection, taxonomies });
      expect(allPosts(changed)).toEqual(allPosts(built));
      for (const { fields } of old.texts) expect(changed.text(fields)).toEqual(built.text(fields));
      expect(answer(changed, query)).toEqual(answer(built, query));
    }),
    { numRuns: 300 },
  );
});
