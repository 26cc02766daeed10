import fc from 'fast-check';
import { asked } from '../../../test/arbitrary.js';
import { buildIndex } from '../../engine/index/build.js';
import { livingTerms, type Term } from '../../model/post.js';
import { changeTaxonomy } from './change-taxonomy.js';
import { describeTerms, summariseTerms } from './summarise-terms.js';
import type { TermChange } from './term-change.js';
import type { FieldDescription } from '../describe.js';

const step = fc.record({ does: fc.constantFrom('merge', 'move', 'remove', 'none'), one: fc.nat(), other: fc.nat() });

test('terms are counted out of the index from before a change as over the posts by the terms after it', () => {
  fc.assert(
    fc.property(asked, fc.array(step, { maxLength: 3 }), ({ collection }, steps) => {
      const index = buildIndex(collection);
      let terms: Term[] = [...collection.taxonomies.habitat!];
      for (const { does, one, other } of steps) {
        const living = livingTerms(terms);
        if (does === 'none' || living.length === 0) continue;
        const [term, into] = [living[one % living.length]!.slug, living[other % living.length]!.slug];
        const change: TermChange =
          does === 'merge'
            ? { does, from: [term], into }
            : does === 'move'
              ? { does, term, parent: other % 2 ? into : null }
              : { does: 'remove', term };
        terms = changeTaxonomy(terms, change).terms ?? terms;
      }
      const { own, all, filled } = summariseTerms(index, 'habitat', terms);
      const living = livingTerms(terms);
      const leads = new Map(living.flatMap(({ slug, aliases = [] }) => [slug, ...aliases].map((each) => [each, slug])));
      const above = (slug: string): string[] => {
        const parent = living.find((term) => term.slug === slug)?.parent ?? null;
        return parent === null ? [slug] : [slug, ...above(parent)];
      };
      const had = collection.posts.map(({ values }) => {
        const slugs = (values.habitat as string[] | undefined) ?? [];
        return new Set(slugs.flatMap((slug) => leads.get(slug) ?? []));
      });
      expect(Array.from(own)).toEqual(living.map(({ slug }) => had.filter((one) => one.has(slug)).length));
      expect(Array.from(all)).toEqual(
        living.map(({ slug }) => had.filter((one) => [...one].some((each) => above(each).includes(slug))).length),
      );
      expect(filled).toBe(had.filter(({ size }) => size > 0).length);
    }),
    { numRuns: 300 },
  );
});

test('a field is told by the terms that posts have, the commonest first', () => {
  const field = { key: 'kind', label: 'Kind', filled: 9, distinct: 9, samples: [] } as unknown as FieldDescription;
  const terms: Term[] = [
    { slug: 'a', label: 'Alder', parent: null },
    { slug: 'b', label: 'Birch', parent: null },
    { slug: 'gone', label: 'Elm', parent: null, gone: true },
    { slug: 'c', label: 'Birch', parent: 'a' },
    { slug: 'd', label: 'Willow', parent: null },
  ];
  const summary = { own: Uint32Array.from([2, 5, 5, 0]), filled: 10 };
  expect(describeTerms(field, terms, summary)).toMatchObject({
    filled: 10,
    distinct: 3,
    samples: ['Birch', 'Birch', 'Alder'],
  });
});

test('a field without terms, or one that is not there, has none to count', () => {
  const index = buildIndex({ fields: [], taxonomies: {}, posts: [{ id: 'a', values: {} }] });
  expect(summariseTerms(index, 'nothing', [{ slug: 'a', label: 'A', parent: null }])).toEqual({
    own: Uint32Array.from([0]),
    all: Uint32Array.from([0]),
    filled: 0,
  });
});
