import type { Term } from '../../model/post.js';
import { sayTermChange } from './say-term-change.js';
import type { TermChange } from './term-change.js';

const terms: Term[] = [
  { slug: 'shore', label: 'Shore', parent: null },
  { slug: 'mud', label: 'Mudflat', parent: 'shore', aliases: ['mud-flat'] },
  { slug: 'reed', label: 'Reedbed', parent: null },
];

test.each<[TermChange, string]>([
  [{ does: 'rename', term: 'mud', label: 'Flats' }, 'Mudflat, now Flats'],
  [{ does: 'rename', term: 'mud', slug: 'flats' }, 'Mudflat at “flats”'],
  [{ does: 'move', term: 'mud', parent: 'reed' }, 'Mudflat under Reedbed'],
  [{ does: 'move', term: 'mud', parent: null }, 'Mudflat at the top'],
  [{ does: 'move', term: 'mud', position: 0 }, 'Mudflat among its siblings'],
  [{ does: 'hide', term: 'mud', hidden: true }, 'Mudflat hidden'],
  [{ does: 'hide', term: 'mud', hidden: false }, 'Mudflat shown'],
  [{ does: 'picture', term: 'mud', colour: '#112233' }, 'Mudflat has another colour'],
  [{ does: 'picture', term: 'mud', picture: null }, 'Mudflat has another picture'],
  [{ does: 'add', label: 'Dune' }, 'Dune, new'],
  [{ does: 'remove', term: 'mud-flat' }, 'Mudflat deleted'],
  [{ does: 'merge', from: ['mud', 'reed'], into: 'shore' }, 'Mudflat, Reedbed into Shore'],
  [
    {
      does: 'several',
      changes: [
        { does: 'rename', term: 'mud', label: 'Flats' },
        { does: 'hide', term: 'mud', hidden: true },
      ],
    },
    'Mudflat, now Flats; Mudflat hidden',
  ],
  [{ does: 'remove', term: 'nothing' }, 'nothing deleted'],
])('%j is said as “%s”', (change, words) => {
  expect(sayTermChange(terms, change)).toBe(words);
});
