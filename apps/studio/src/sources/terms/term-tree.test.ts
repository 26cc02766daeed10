import type { TermView } from '@ivy/client';
import { actOf, type Zone } from './holding.js';
import { placeAfter, termsInSight, termTree } from './term-tree.js';

const term = (slug: string, parent: string | null = null): TermView => {
  const label = slug[0]!.toUpperCase() + slug.slice(1);
  return {
    slug,
    label,
    parent,
    count: 1,
    own: 1,
    hidden: false,
    aliases: [`old-${slug}`],
    was: [],
    picture: null,
    colour: null,
  };
};
const tree = termTree([
  term('shore'),
  term('mud', 'shore'),
  term('sand', 'shore'),
  term('marsh'),
  term('reed', 'marsh'),
]);
const step = (slug: string, way: 'earlier' | 'later' | 'in' | 'out') => placeAfter(tree, tree.bySlug.get(slug)!, way);
const over = (slug: string, target: string, zone: Zone) =>
  actOf(tree, { slug, by: 'keys', over: { slug: target, zone }, at: null });

test('a term goes among its siblings, under the one before it, or out beside what is above it', () => {
  expect(step('sand', 'earlier')).toEqual({ parent: 'shore', position: 0 });
  expect(step('mud', 'earlier')).toBeNull();
  expect(step('shore', 'later')).toEqual({ parent: null, position: 1 });
  expect(step('marsh', 'in')).toEqual({ parent: 'shore', position: 2 });
  expect(step('shore', 'in')).toBeNull();
  expect(step('mud', 'out')).toEqual({ parent: null, position: 1 });
  expect(step('marsh', 'out')).toBeNull();
});

test('what is let go on another is merged, put under it or beside it, and never under itself', () => {
  expect(over('mud', 'sand', 'merge')).toEqual({ does: 'merge', from: 'mud', into: 'sand' });
  expect(over('mud', 'marsh', 'under')).toEqual({ does: 'change', term: 'mud', body: { parent: 'marsh' } });
  expect(over('mud', 'shore', 'under')).toBeNull();
  expect(over('mud', 'sand', 'after')).toEqual({ does: 'change', term: 'mud', body: { position: 1 } });
  expect(over('reed', 'sand', 'before')).toEqual({
    does: 'change',
    term: 'reed',
    body: { parent: 'shore', position: 1 },
  });
  expect(over('shore', 'mud', 'under')).toBeNull();
  expect(over('shore', 'mud', 'before')).toBeNull();
  expect(over('mud', 'mud', 'merge')).toBeNull();
});

test('in sight is what is under nothing folded, or what words find with all above it', () => {
  const slugs = (words: string, folded: string[] = []) =>
    termsInSight(tree, words, new Set(folded)).map(({ slug }) => slug);
  expect(slugs('')).toEqual(['shore', 'mud', 'sand', 'marsh', 'reed']);
  expect(slugs('', ['shore'])).toEqual(['shore', 'marsh', 'reed']);
  expect(slugs('REE', ['marsh'])).toEqual(['marsh', 'reed']);
  expect(slugs('old-sand')).toEqual(['shore', 'sand']);
  expect(slugs('zebra')).toEqual([]);
});
