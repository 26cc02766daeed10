import type { Field, Term } from '../model/post.js';

export interface Finding {
  code: 'unreadable-values' | 'lost-characters' | 'near-twins' | 'gaps';
  field: string;
  /** How many posts it touches. */
  posts: number;
  /** Up to eight of the values as they came. */
  values: string[];
  /** One sentence for people. */
  text: string;
}

/** Findings kept of a source: nobody reads a thousand, and every reader of the source is sent all. */
export const maxFindings = 1000;
/** Of those, groups of near-twins in one field. */
const maxTwins = 200;

export function unreadableValues(field: Field, posts: number, values: readonly string[]): Finding {
  const noun = field.type === 'date' || field.type === 'datetime' ? 'date' : 'value';
  return {
    code: 'unreadable-values',
    field: field.key,
    posts,
    values: values.map((value) => value.slice(0, 500)),
    text: posts === 1 ? `One ${noun} cannot be read.` : `${posts} ${noun}s cannot be read.`,
  };
}

/** Characters that no database keeps were left out. */
export function lostCharacters(field: Field, posts: number): Finding {
  const values = posts === 1 ? 'One value' : `${posts} values`;
  const text = `${values} held null characters or broken ones, which were left out.`;
  return { code: 'lost-characters', field: field.key, posts, values: [], text };
}

/** Terms on one branch that differ only in case, spaces, marks or punctuation. */
export function nearTwins(field: Field, terms: readonly Term[]): Finding[] {
  const groups = new Map<string, Term[]>();
  for (const term of terms) {
    const bare = term.label
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '');
    // nothing is left of “!” and “?”, which are no spellings of one word
    if (bare === '') continue;
    const key = `${term.parent ?? ''}\u0000${bare}`;
    const group = groups.get(key);
    if (group) group.push(term);
    else groups.set(key, [term]);
  }
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .slice(0, maxTwins)
    .map((group): Finding => ({
      code: 'near-twins',
      field: field.key,
      posts: 0,
      values: group.slice(0, 8).map((term) => term.label),
      text: `${group.length} spellings may be one term.`,
    }));
}
