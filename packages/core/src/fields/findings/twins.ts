import type { Field, MendOffer, Term } from '../../model/post.js';
import { fold, slugify } from '../../text/slug.js';
import type { FieldEnd } from '../read/record-reader.js';
import { byCodeUnits } from '../../text/slug.js';
import { atEnd, keepAs, makeFinding, shownValues, some, type Finding, type FindingKind } from './finding.js';

/** Groups of one field that are told. */
const maxTwins = 200;
/** Terms among which those are looked for that differ by a letter: of more, it would take too long to say. */
const mostCompared = 20_000;

/** Terms on one branch that may be one: they differ in case, spaces, marks, hyphens, a plural or a letter. */
export const twins: FindingKind = {
  codes: ['near-twins'],
  watch: (field) => {
    if (field.type !== 'terms') return null;
    return atEnd((end) => {
      const groups = [...sameBare(end), ...byOneLetter(end)];
      return groups.slice(0, maxTwins).map((group) => asFinding(field, group, end.counts));
    });
  },
};

/** Terms whose slugs would be the same although their letters are not: C++ and C#. */
export const slugClashes: FindingKind = {
  codes: ['slug-clashes'],
  watch: (field) => {
    if (field.type !== 'terms') return null;
    return atEnd(({ terms, counts }) => {
      const groups = grouped(terms, ({ parent, label }) => `${parent ?? ''}\u0000${slugify(label)}`);
      return groups
        .filter((group) => new Set(group.map(({ label }) => bareOf(label))).size > 1)
        .slice(0, maxTwins)
        .map((group) => {
          const labels = group.map(({ label }) => label);
          const slugs = group.map(({ slug }) => slug).join(', ');
          return makeFinding({
            code: 'slug-clashes',
            field,
            of: [...labels].sort(byCodeUnits).join('~'),
            posts: group.reduce((sum, { slug }) => sum + (counts.get(slug) ?? 0), 0),
            values: labels,
            text: `${labels.length} terms look the same in an address: ${slugs}.`,
            mends: [keepAs('They are told apart well enough'), ...readings(labels)],
          });
        });
    });
  },
};

/** What is left of a label when all is taken away that people write one way or another. Signs such as + and # say something. */
function bareOf(label: string): string {
  return fold(label)
    .replace(/[øœæßłđ]/g, (letter) => oneLetter[letter]!)
    .replace(/[^\p{L}\p{N}+#@&$%*=<>!?]+/gu, '');
}

/** Letters that do not fall apart into a letter and its mark. */
const oneLetter: Record<string, string> = { ø: 'o', œ: 'oe', æ: 'ae', ß: 'ss', ł: 'l', đ: 'd' };

function grouped(terms: readonly Term[], keyOf: (term: Term) => string): Term[][] {
  const groups = new Map<string, Term[]>();
  for (const term of terms) {
    const key = keyOf(term);
    const group = groups.get(key);
    if (group) group.push(term);
    else groups.set(key, [term]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
}

function sameBare({ terms }: FieldEnd): Term[][] {
  const worded = terms.filter(({ label }) => /[\p{L}\p{N}]/u.test(label));
  return grouped(worded, ({ parent, label }) => `${parent ?? ''}\u0000${bareOf(label)}`);
}

/** Pairs that differ by a plural or by one letter, where one of the two is rare beside the other: a slip of the pen. */
function byOneLetter({ terms, counts }: FieldEnd): Term[][] {
  if (terms.length > mostCompared) return [];
  const byDeletion = new Map<string, Term[]>();
  const bare = new Map<Term, string>();
  for (const term of terms) {
    const text = bareOf(term.label);
    // short words and names with figures differ by one sign and mean it
    if (text.length < 3 || text.length > 60 || /\p{N}/u.test(text)) continue;
    bare.set(term, text);
    for (const key of [text, ...deletionsOf(text)]) {
      const at = `${term.parent ?? ''}\u0000${key}`;
      const list = byDeletion.get(at);
      if (!list) byDeletion.set(at, [term]);
      else if (!list.includes(term)) list.push(term);
    }
  }
  const found = new Map<string, Term[]>();
  for (const list of byDeletion.values()) {
    for (let i = 0; i < list.length && i < shownValues; i++) {
      for (let j = i + 1; j < list.length && j < shownValues; j++) {
        const [a, b] = [list[i]!, list[j]!];
        if (!areSlips(bare.get(a)!, bare.get(b)!, counts.get(a.slug) ?? 0, counts.get(b.slug) ?? 0)) continue;
        found.set(`${a.slug}\u0000${b.slug}`, [a, b]);
      }
    }
  }
  return [...found.values()];
}

/** A text without each of its letters in turn: two that differ by one letter have one of them in common. */
function deletionsOf(text: string): string[] {
  const letters = [...text];
  return letters.map((_, i) => letters.slice(0, i).join('') + letters.slice(i + 1).join(''));
}

/** Whether two words are one, mistyped: they differ by one letter, and one of them is rare beside the other. */
function areSlips(a: string, b: string, postsA: number, postsB: number): boolean {
  if (a === b || !isOneEdit(a, b)) return false;
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (long === `${short}s`) return true;
  const [rare, common] = [Math.min(postsA, postsB), Math.max(postsA, postsB)];
  // what begins otherwise is mostly another word: tern and fern
  return short.length >= 5 && a[0] === b[0] && rare <= Math.max(1, common * 0.1) && common > rare;
}

function isOneEdit(a: string, b: string): boolean {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (long.length - short.length > 1) return false;
  let at = 0;
  while (at < short.length && short[at] === long[at]) at++;
  const rest = long.slice(at + 1);
  if (long.length > short.length) return short.slice(at) === rest;
  if (short.slice(at + 1) === rest) return true;
  // two letters that changed places
  return short[at] === long[at + 1] && short[at + 1] === long[at] && short.slice(at + 2) === long.slice(at + 2);
}

function asFinding(field: Field, group: readonly Term[], counts: ReadonlyMap<string, number>): Finding {
  const posts = (term: Term) => counts.get(term.slug) ?? 0;
  const labels = [...group].sort((a, b) => posts(b) - posts(a)).map(({ label }) => label);
  const all = group.map(posts);
  const others = all.reduce((sum, n) => sum + n, 0) - Math.max(...all);
  return makeFinding({
    code: 'near-twins',
    field,
    of: [...labels].sort(byCodeUnits).join('~').slice(0, 1000),
    posts: others,
    values: labels,
    text: some(labels.length, 'One spelling.', '# spellings may be one term.'),
    mends: [...readings(labels), keepAs('Keep them apart')],
  });
}

/** One mend for each label that all could be read as. */
function readings(labels: readonly string[]): MendOffer[] {
  return labels.slice(0, shownValues).map((into) => ({
    id: into,
    text: `Read all as “${into}”`,
    rule: { does: 'read', from: labels.filter((label) => label !== into), into },
  }));
}
