import type { FieldDescription } from '../describe.js';
import { holdsTerms, type FieldType, type Sureness } from '../../model/post.js';
import type { Finding } from './finding.js';

/** What values of each type are, of several. */
const nouns: Record<FieldType, string> = {
  text: 'texts',
  html: 'texts with markup',
  terms: 'terms',
  date: 'days',
  datetime: 'days and times',
  number: 'numbers',
  boolean: 'yes or no',
  link: 'links',
  image: 'pictures',
  reference: 'references',
};

const byHand = 'It was said so by hand.';

/** What shows that values can be read, and can not: by the codes that tell of them. */
const unread = new Set(['unreadable-values', 'impossible-dates', 'mixed-dates']);

/**
 * Says of every field how sure it is that it is read as it is meant, and why.
 * @param said  keys of those of which a person says how they are read; what was said before still stands
 */
export function explainFields(
  fields: readonly FieldDescription[],
  findings: readonly Finding[],
  said: readonly string[],
): FieldDescription[] {
  return fields.map((field) => {
    const own = findings.filter((finding) => finding.field === field.key);
    const isSaid = said.includes(field.key) || field.because === byHand;
    const [sureness, because] = isSaid ? (['sure', byHand] as const) : guess(field, own);
    return { ...field, sureness, because };
  });
}

function guess(field: FieldDescription, findings: readonly Finding[]): [Sureness, string] {
  if (field.left) return ['likely', field.because ?? 'It was left out.'];
  const bad = findings.filter(({ code }) => unread.has(code)).reduce((sum, { posts }) => sum + posts, 0);
  const all = field.filled + bad;
  if (all === 0) return ['unsure', 'No post has a value here.'];
  if (findings.some(({ code }) => code === 'unclear-key'))
    return ['unsure', `Its values have no name; they go by “${field.by}”.`];
  if (findings.some(({ code }) => code === 'ambiguous-dates')) {
    return ['unsure', 'Its days could have the day first as well as the month.'];
  }
  if (holdsTerms(field)) return ofTerms(field);
  const place = placeWords(field);
  if (place) return place;
  const words = `${bad === 0 ? `All ${all}` : `${field.filled} of ${all}`} values are ${nouns[field.type]}`;
  if (field.role === 'id') return ['sure', 'Each post has one of its own.'];
  if (field.type === 'text')
    return field.distinct > 1 || all === 1 ? ['sure', 'Its values differ too much for terms.'] : ['likely', words];
  const unit = field.unit === undefined ? '' : `, with “${field.unit}” around them`;
  const until = field.end === undefined ? '' : `; they last until “${field.end}”`;
  return [bad === 0 ? 'sure' : 'likely', `${words}${unit}${until}.`];
}

function ofTerms({
  filled,
  distinct,
  separator,
  tree,
  parent,
  reference,
  pathSeparator,
}: FieldDescription): [Sureness, string] {
  if (reference) return ['sure', `Its values stand for posts of “${reference.source}”.`];
  if (parent !== undefined) return ['likely', `“${parent}” names what stands above each.`];
  if (tree)
    return [
      'likely',
      pathSeparator === null ? 'Its values name others above them.' : `“${pathSeparator}” parts the levels of a tree.`,
    ];
  if (separator !== null) return ['likely', `What stands between “${separator}” comes again in other posts.`];
  const words = distinct === 1 ? 'One value' : `${distinct} different values`;
  return [
    distinct <= 12 && filled >= distinct * 2 ? 'sure' : 'likely',
    `${words} in ${filled} posts: they come again.`,
  ];
}

/** Degrees on the globe, which are numbers like any. */
function placeWords({ key, type, spread }: FieldDescription): [Sureness, string] | null {
  const m = /(?:^|[\W_])(lat|latitude|lng|lon|long|longitude)$/i.exec(key);
  if (!m || type !== 'number' || !spread) return null;
  const [name, most] = /^lat/i.test(m[1]!) ? ['latitude', 90] : ['longitude', 180];
  if (Number(spread.low) < -most || Number(spread.high) > most) return null;
  return ['sure', `Numbers from -${most} to ${most} called ${m[1]}: a ${name}, kept as numbers.`];
}
