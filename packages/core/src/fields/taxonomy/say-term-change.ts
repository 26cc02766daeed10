import type { Term } from '../../model/post.js';
import type { TermChange } from './term-change.js';

/** What is done to terms, in a few words: `Mud flat into Mudflat`. */
export function sayTermChange(terms: readonly Term[], change: TermChange): string {
  const name = (slug: string) =>
    (terms.find((term) => term.slug === slug) ?? terms.find(({ aliases }) => aliases?.includes(slug)))?.label ?? slug;
  switch (change.does) {
    case 'rename':
      return change.label === undefined
        ? `${name(change.term)} at “${change.slug}”`
        : `${name(change.term)}, now ${change.label}`;
    case 'move':
      if (change.parent === undefined) return `${name(change.term)} among its siblings`;
      return change.parent === null
        ? `${name(change.term)} at the top`
        : `${name(change.term)} under ${name(change.parent)}`;
    case 'hide':
      return `${name(change.term)} ${change.hidden ? 'hidden' : 'shown'}`;
    case 'picture':
      return `${name(change.term)} has another ${change.picture === undefined ? 'colour' : 'picture'}`;
    case 'add':
      return `${change.label}, new`;
    case 'remove':
      return `${name(change.term)} deleted`;
    case 'several':
      return change.text ?? change.changes.map((one) => sayTermChange(terms, one)).join('; ');
    case 'merge':
      return `${change.from.map(name).join(', ')} into ${name(change.into)}`;
  }
}
