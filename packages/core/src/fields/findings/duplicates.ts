import { cellText } from '../read/cell.js';
import { sameAs } from '../read/prepare.js';
import type { Field, MendOffer } from '../../model/post.js';
import { atEnd, keepAs, makeFinding, Sample, some, type Finding, type FindingKind } from './finding.js';

const leaveLater: MendOffer = { id: 'later', text: 'Keep the first of each', rule: { does: 'leave', posts: 'later' } };
const leaveEarlier: MendOffer = {
  id: 'earlier',
  text: 'Keep the last of each',
  rule: { does: 'leave', posts: 'earlier' },
};

/** Posts that are there twice, by their id, link or title. */
export const duplicates: FindingKind = {
  codes: ['duplicate-ids', 'duplicate-links', 'duplicate-titles'],
  watch: (field) => {
    if (field.role === 'id') return atEnd(({ repeated }) => sameIds(field, repeated));
    if (field.role !== 'link' && field.role !== 'title') return null;
    const isMended = (field.mends ?? []).some(({ rule }) => rule.does === 'leave');
    if (isMended) return null;
    const seen = new Set<string>();
    const again = new Sample();
    return {
      see(raw) {
        const value = sameAs(field, raw);
        if (value === '') return;
        if (seen.has(value)) again.add(cellText(raw, field.by));
        else seen.add(value);
      },
      // where most have one and the same, that is meant: all lead to one page, say
      found: () => (again.count === 0 || again.count > seen.size ? [] : [sameValues(field, again)]),
    };
  },
};

/** Of posts with one id the first is answered, whether or not anything was said about it. */
function sameIds(field: Field, { posts, values }: { posts: number; values: readonly string[] }): Finding[] {
  const isMended = (field.mends ?? []).some(({ rule }) => rule.does === 'leave' || rule.does === 'number');
  if (posts === 0 || isMended) return [];
  return [
    makeFinding({
      code: 'duplicate-ids',
      field,
      posts,
      values,
      text: some(
        posts,
        'One post has an id that an earlier one has, and is left out.',
        '# posts have ids that earlier ones have, and are left out.',
      ),
      mends: [
        { ...leaveLater, id: 'keep', rule: { does: 'keep' } },
        leaveEarlier,
        { id: 'number', text: 'Keep all, each under an id of its own', rule: { does: 'number' } },
      ],
    }),
  ];
}

function sameValues(field: Field, { count, values }: Sample): Finding {
  const noun = field.role === 'link' ? 'link' : 'title';
  const text = some(count, `One post has the ${noun} of another.`, `# posts have the ${noun} of another.`);
  const keep = keepAs('They are posts of their own');
  return makeFinding({
    code: `duplicate-${noun}s`,
    field,
    posts: count,
    values,
    text,
    mends: noun === 'link' ? [leaveLater, leaveEarlier, keep] : [keep, leaveLater, leaveEarlier],
  });
}
