import { mostLevels } from '../read/tree.js';
import type { FieldEnd } from '../read/record-reader.js';
import type { MendOffer, Term } from '../../model/post.js';
import { atEnd, keepAs, makeFinding, some, type Finding, type FindingKind } from './finding.js';

/** What is wrong with a tree: circles, branches that are no terms, terms on no branch, and what is cut for its depth. */
export const branches: FindingKind = {
  codes: ['tree-cycles', 'orphan-parents', 'off-branch', 'over-limits'],
  watch: (field) => {
    if (field.type !== 'terms' || !field.tree) return null;
    return atEnd((end) => [...cycles(end), ...orphans(end), ...offBranch(end), ...tooDeep(end)]);
  },
};

function cycles({ field, context, terms, counts }: FieldEnd): Finding[] {
  return (context.parents?.cycles ?? []).map((labels) => {
    const inIt = new Set(labels);
    return makeFinding({
      code: 'tree-cycles',
      field,
      of: [...labels].sort().join('~'),
      posts: postsOf(
        terms.filter(({ label }) => inIt.has(label)),
        counts,
      ),
      values: labels,
      text: `${[...labels].reverse().join(' > ')} > ${labels.at(-1)} goes round in a circle.`,
      mends: labels.slice(0, 3).map((label): MendOffer => ({
        id: label,
        text: `Put “${label}” at the top`,
        rule: { does: 'top', terms: [label] },
      })),
    });
  });
}

/** Branches that no post is on itself, where most of them are terms of posts as well. */
function orphans({ field, context, terms, counts }: FieldEnd): Finding[] {
  if (!context.parents) return [];
  const children = childrenOf(terms);
  const above = terms.filter(({ slug }) => children.has(slug));
  const bare = above.filter(({ slug, parent }) => parent === null && !counts.has(slug));
  if (bare.length === 0 || bare.length > above.length * 0.5) return [];
  return bare.map(({ slug, label }) =>
    makeFinding({
      code: 'orphan-parents',
      field,
      of: label,
      posts: postsOf(children.get(slug)!, counts),
      values: [label],
      text: `“${label}” is named as a branch, and is no term of any post.`,
      mends: [
        keepAs('Keep it as a branch'),
        { id: 'top', text: 'Put what is under it at the top', rule: { does: 'read', from: [label], into: '' } },
      ],
    }),
  );
}

/** Terms at the top with nothing under them, in a tree where most stand under others. */
function offBranch({ field, terms, counts }: FieldEnd): Finding[] {
  const children = childrenOf(terms);
  const tops = terms.filter(({ parent }) => parent === null);
  const alone = tops.filter(({ slug }) => !children.has(slug));
  const trunks = tops.filter(({ slug }) => children.has(slug));
  if (alone.length === 0 || trunks.length === 0 || alone.length > terms.length * 0.4) return [];
  return alone.map((term) => {
    const { label } = term;
    const namesakes = terms.filter((one) => one.parent !== null && one.label === label);
    const under = namesakes.length > 0 ? namesakes.map((one) => pathTo(one, terms)) : trunks.map((one) => [one.label]);
    return makeFinding({
      code: 'off-branch',
      field,
      of: label,
      posts: counts.get(term.slug) ?? 0,
      values: [label],
      text: `“${label}” is on no branch.`,
      mends: [
        ...(namesakes.length > 0 ? [] : [keepAs('Keep it at the top')]),
        ...under.slice(0, 2).map((path): MendOffer => {
          const [first, ...more] = path;
          const at = [first, ...more].join(' > ');
          return {
            id: `under~${at}`,
            text: `Put it under “${at}”`,
            rule: { does: 'place', terms: [label], under: path },
          };
        }),
        ...(namesakes.length > 0 ? [keepAs('Keep it at the top')] : []),
      ],
    });
  });
}

/** Labels of what a term stands under, top first. */
function pathTo({ parent }: Term, terms: readonly Term[]): string[] {
  const above = terms.find(({ slug }) => slug === parent);
  return above ? [...pathTo(above, terms), above.label] : [];
}

function tooDeep({ field, terms, counts }: FieldEnd): Finding[] {
  const depths = new Map<string, number>();
  for (const { slug, parent } of terms) depths.set(slug, parent === null ? 1 : (depths.get(parent) ?? 0) + 1);
  const deep = terms.filter(({ slug }) => depths.get(slug)! >= mostLevels);
  if (deep.length === 0) return [];
  return [
    makeFinding({
      code: 'over-limits',
      field,
      posts: postsOf(deep, counts),
      values: deep.map(({ label }) => label),
      text: `Branches go down ${mostLevels} levels at most; what stands deeper is cut off.`,
      mends: [keepAs('That will do')],
    }),
  ];
}

function childrenOf(terms: readonly Term[]): Map<string, Term[]> {
  const children = new Map<string, Term[]>();
  for (const term of terms) {
    if (term.parent === null) continue;
    const list = children.get(term.parent);
    if (list) list.push(term);
    else children.set(term.parent, [term]);
  }
  return children;
}

function postsOf(terms: readonly Term[], counts: ReadonlyMap<string, number>): number {
  return terms.reduce((sum, { slug }) => sum + (counts.get(slug) ?? 0), 0);
}

/** Values that stand for no post of the source they refer to. */
export const unknownReferences: FindingKind = {
  codes: ['unknown-references'],
  watch: (field, { references }) => {
    if (!references) return null;
    return atEnd(({ terms, counts }) => {
      const known = new Set(references.values());
      const strange = terms.filter(({ label }) => !known.has(label));
      if (strange.length === 0) return [];
      const labels = strange.map(({ label }) => label);
      return [
        makeFinding({
          code: 'unknown-references',
          field,
          posts: postsOf(strange, counts),
          values: labels,
          text: some(strange.length, 'One value stands for nothing there.', '# values stand for nothing there.'),
          mends: [
            keepAs('Show them as they are'),
            { id: 'empty', text: 'Leave them out', rule: { does: 'read', from: labels, into: '' } },
          ],
        }),
      ];
    });
  },
};
