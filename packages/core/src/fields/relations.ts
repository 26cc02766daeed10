import type { Field } from '../model/post.js';
import { own } from '../text/own.js';
import { cellText, isEmpty, type RawRecord, type Records } from './read/cell.js';

/** Finds fields that say something of others: what stands above their terms, when their spans end, and cells too many. */
export function relateFields(fields: readonly Field[], sample: readonly RawRecord[], records: Records): Field[] {
  return withBeyond(withSpans(withParents(fields, sample)), records);
}

const parentName = /^(?:parent|broader)(?:[_\s-]+(?:of[_\s-]+)?(.+))?$|^(.+?)[_\s-]+(?:parent|broader)$/i;

/** A column called the parent of another, of which each term stands under one alone. */
function withParents(fields: readonly Field[], sample: readonly RawRecord[]): Field[] {
  const made = [...fields];
  for (const parent of fields) {
    const m = parentName.exec(parent.key);
    if (!m) continue;
    const name = (m[1] ?? m[2])?.toLowerCase().replace(/[_\s-]+(id|name|slug)$/, '');
    const i = made.findIndex(
      (field) =>
        field.key !== parent.key &&
        field.type === 'terms' &&
        !field.tree &&
        (name === undefined || isNamed(field.key, name)) &&
        standsUnder(sample, field.key, parent.key),
    );
    if (i < 0) continue;
    made[i] = { ...made[i]!, tree: true, parent: parent.key };
    const at = made.indexOf(parent);
    const because = `It names what stands above each “${made[i].key}”.`;
    if (at >= 0) made[at] = { ...parent, left: true, because };
  }
  return made;
}

function isNamed(key: string, name: string): boolean {
  const plain = key.toLowerCase();
  return plain === name || plain === `${name}s` || plain.replace(/[_\s-]+(id|name|slug)$/, '') === name;
}

/** Whether each value of one column comes with one value of another, nearly always, and some share it. */
function standsUnder(sample: readonly RawRecord[], key: string, parentKey: string): boolean {
  const above = new Map<string, string>();
  let [same, other] = [0, 0];
  for (const record of sample) {
    const [term, parent] = [cellText(own(record, key)), cellText(own(record, parentKey))];
    if (term === '' || parent === '' || term === parent) continue;
    const before = above.get(term);
    if (before === undefined) above.set(term, parent);
    else if (before === parent) same++;
    else other++;
  }
  return above.size > 0 && other <= (same + above.size) * 0.05;
}

/** Names of two days between which something lasts: what the first has, and the second in its place. */
const spanNames: readonly (readonly [RegExp, string])[] = [
  [/start(s|ed)?/i, 'end$1'],
  [/begin(s)?/i, 'end$1'],
  [/(^|[_\s-])from($|[_\s-])/i, '$1to$2'],
  [/(^|[_\s-])from($|[_\s-])/i, '$1until$2'],
  [/first/i, 'last'],
  [/open(s|ing)?/i, 'close$1'],
];

function withSpans(fields: readonly Field[]): Field[] {
  const days = fields.filter(({ type }) => type === 'date' || type === 'datetime');
  return fields.map((field) => {
    if (!days.includes(field)) return field;
    const names = spanNames.flatMap(([from, to]) =>
      from.test(field.key) ? [field.key.replace(from, to), field.key.replace(from, to.replace('$1', ''))] : [],
    );
    const end = days.find((one) => one !== field && names.some((name) => name.toLowerCase() === one.key.toLowerCase()));
    return end ? { ...field, end: end.key } : field;
  });
}

/** Columns without a name that hold what came after the last cell. */
function withBeyond(fields: readonly Field[], { beyond = [], names = [] }: Records): Field[] {
  if (beyond.length === 0) return [...fields];
  const last = names.filter((name) => !beyond.includes(name)).at(-1);
  const because = 'Cells that came after the last one with a name.';
  return fields.map((field) => {
    if (beyond.includes(field.key)) return { ...field, left: true, because };
    return field.key === last ? { ...field, beyond: [...beyond] } : field;
  });
}

/** What objects go by where they have nothing that is called a name: the text that differs most. */
export function keyOfObjects(objects: readonly RawRecord[]): string | undefined {
  const values = new Map<string, Set<unknown>>();
  for (const one of objects) {
    for (const [key, value] of Object.entries(one)) {
      if (isEmpty(value) || (typeof value !== 'string' && typeof value !== 'number')) continue;
      const set = values.get(key);
      if (set) set.add(value);
      else values.set(key, new Set([value]));
    }
  }
  const isText = (set: Set<unknown>) => [...set].every((value) => typeof value === 'string' && !/^https?:/.test(value));
  const called = [...values.keys()].find((key) => /name$|label$|title$|^(term|tag|text|value)$/i.test(key));
  if (called !== undefined) return called;
  const ranked = [...values].sort(([, a], [, b]) => Number(isText(b)) - Number(isText(a)) || b.size - a.size);
  return ranked[0]?.[0];
}
