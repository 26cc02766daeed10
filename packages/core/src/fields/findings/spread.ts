import type { MendOffer } from '../../model/post.js';
import { atEnd, keepAs, makeFinding, mostWritten, some, type FindingKind } from './finding.js';

/** Terms that part nothing: they are on every post, or on one alone. */
export const spread: FindingKind = {
  codes: ['on-every-post', 'on-one-post'],
  watch: (field) => {
    if (field.type !== 'terms' || field.role !== null) return null;
    return atEnd(({ terms, counts, posts }) => {
      if (posts < 5) return [];
      const parents = new Set(terms.map(({ parent }) => parent));
      const every = terms.filter(({ slug }) => counts.get(slug) === posts && !parents.has(slug));
      const once = terms.filter(({ slug }) => counts.get(slug) === 1 && !parents.has(slug));
      const found = every.map(({ label }) =>
        makeFinding({
          code: 'on-every-post',
          field,
          of: label,
          posts,
          values: [label],
          text: `“${label}” is on every post, so choosing it changes nothing.`,
          mends: [
            keepAs('Keep it'),
            { id: 'empty', text: `Leave “${label}” out`, rule: { does: 'read', from: [label], into: '' } },
          ],
        }),
      );
      // where most terms come once they are names, and no leftovers
      if (once.length === 0 || posts < 20 || once.length > terms.length * 0.5) return found;
      const labels = once.map(({ label }) => label);
      const finding = makeFinding({
        code: 'on-one-post',
        field,
        posts: once.length,
        values: labels,
        text: some(once.length, 'One term is on one post alone.', '# terms are on one post each.'),
        mends: [keepAs('Keep them'), ...(labels.length > mostWritten ? [] : leftovers(labels))],
      });
      return [...found, finding];
    });
  },
};

function leftovers(labels: string[]): MendOffer[] {
  return [
    { id: 'other', text: 'Read them as “Other”', rule: { does: 'read', from: labels, into: 'Other' } },
    { id: 'empty', text: 'Leave them out', rule: { does: 'read', from: labels, into: '' } },
  ];
}
