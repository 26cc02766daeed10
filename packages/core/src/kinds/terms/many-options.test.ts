import { type TermFacetAnswer } from './answer.js';
import fc from 'fast-check';
import { readAddress } from '../../address/read.js';
import { field, lensOf } from '../../../test/arbitrary.js';
import { buildIndex } from '../../engine/index/build.js';

import type { Post, Term } from '../../model/post.js';
import { answer } from '../../answer/answer.js';
import { findTerms } from '../../answer/find-terms.js';
import { mostHeld, mostWhole } from './many-options.js';

const termCount = mostWhole + 700;
// every tenth term stands under the one before it; few terms have more than one post
const terms: Term[] = Array.from({ length: termCount }, (_, t) => ({
  slug: `t${t}`,
  label: `Term ${t}`,
  parent: t % 10 === 9 ? `t${t - 1}` : null,
}));
const posts: Post[] = Array.from({ length: 4000 }, (_, p) => ({
  id: `p${p}`,
  values: { tag: [`t${(p * 7) % termCount}`, `t${(p * p) % 90}`] },
}));
const index = buildIndex({
  fields: [field('tag', 'terms', { multiple: true, tree: true })],
  taxonomies: { tag: terms },
  posts,
});

function tagOf(
  address: string,
  config: object = {},
): { query: ReturnType<typeof readAddress>['query']; facet: TermFacetAnswer } {
  const lens = lensOf({ facets: [{ key: 'tag', kind: 'tree', field: 'tag', ...config }] });
  const { query } = readAddress(address, lens, index, 0);
  return { query, facet: answer(index, query).facets[0] as TermFacetAnswer };
}

/** Posts that have a term or its child, told by looking at each. */
function postsWith(slug: string): number {
  const child = terms.find(({ parent }) => parent === slug)?.slug ?? slug;
  return posts.filter(({ values }) => (values.tag as string[]).some((one) => one === slug || one === child)).length;
}

test('of too many terms an answer holds those with most posts, and says how many it leaves out', () => {
  const { facet } = tagOf('');
  expect(facet.options).toHaveLength(mostHeld);
  expect(facet.more).toBe(termCount - mostHeld);
  const counts = new Map(facet.options.map(({ value, count }) => [value, count]));
  const least = Math.min(...counts.values());
  for (const { slug } of terms) {
    if (!counts.has(slug)) expect(postsWith(slug)).toBeLessThanOrEqual(least);
  }
});

test('what is chosen is there with those above it, in the order of the facet', () => {
  const { facet } = tagOf('tag=t2689');
  const chosen = facet.options.find(({ value }) => value === 't2689')!;
  expect([chosen.selected, chosen.parent, chosen.depth]).toEqual([true, 't2688', 1]);
  const places = facet.options.map(({ value }) => Number(value.slice(1)));
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(facet.more).toBe(termCount - facet.options.length);
});

test.each(['given', 'label', 'count'] as const)(
  'held options have the counts and the order of all options, by %s',
  (order) => {
    const few = terms.slice(0, 90);
    const kept = posts.map(({ id, values }) => ({
      id,
      values: { tag: (values.tag as string[]).filter((t) => Number(t.slice(1)) < 90) },
    }));
    const small = buildIndex({ fields: index.fields as never, taxonomies: { tag: few }, posts: kept });
    const lens = lensOf({ facets: [{ key: 'tag', kind: 'tree', field: 'tag', order }] });
    const whole = answer(small, readAddress('', lens, small, 0).query).facets[0] as TermFacetAnswer;
    const { facet } = tagOf('', { order });
    const ofBoth = (options: TermFacetAnswer['options'], other: TermFacetAnswer['options']) =>
      options.filter(({ value }) => other.some((one) => one.value === value)).map(({ value }) => value);
    expect(ofBoth(facet.options, whole.options)).toEqual(ofBoth(whole.options, facet.options));
  },
);

test('terms are found by any part of their label, whether the answer holds them or not', () => {
  fc.assert(
    fc.property(fc.nat(termCount - 1), (t) => {
      const { query } = tagOf('tag=t8');
      const found = findTerms(index, query, 'tag', ` TERM ${t} `)!;
      const meeting = terms.filter(({ label }) => label.includes(`Term ${t}`));
      expect(found.options.length + found.more).toBe(meeting.length);
      const one = found.options.find(({ value }) => value === `t${t}`);
      if (found.more === 0) expect(one).toMatchObject({ label: `Term ${t}`, selected: t === 8 });
    }),
    { numRuns: 50 },
  );
  expect(findTerms(index, tagOf('').query, 'nope', 'x')).toBeNull();
});

test('with zero counts hidden, only terms with posts are held or found', () => {
  const { facet, query } = tagOf('', { zero: 'hide' });
  const used = new Set(posts.flatMap(({ values }) => values.tag as string[]));
  expect(facet.options.every(({ count }) => count > 0)).toBe(true);
  expect(facet.options.length + facet.more!).toBeGreaterThanOrEqual(used.size);
  expect(findTerms(index, query, 'tag', 'term')!.options[0]!.count).toBeGreaterThan(0);
});
