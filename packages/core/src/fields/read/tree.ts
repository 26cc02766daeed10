import type { Field } from '../../model/post.js';
import { own } from '../../text/own.js';
import { cellText, cellTexts, isEmpty, isObject, type RawRecord, type Records } from './cell.js';

/** Levels of a tree at most: what stands deeper is cut off. */
export const mostLevels = 20;

/** What the parent of a nested object is called. */
const parentKeys = ['parent', 'broader'];

/** Where each term of a tree stands, by a column that names what is above it. */
export interface Parents {
  /** By label: that of the term above. Free of circles. */
  above: ReadonlyMap<string, string>;
  /** By id: label of the post that has it, where the column holds ids. */
  byId: ReadonlyMap<string, string>;
  /** Labels that stand at the top, although something is named above them. */
  tops: ReadonlySet<string>;
  /** Circles there were: each is cut above its first label. */
  cycles: readonly (readonly string[])[];
}

/** The labels of a path of text, top first. */
export function pathLabels(text: string, { tree, pathSeparator }: Field): string[] {
  if (!tree || pathSeparator === null) return [text];
  const separator = pathSeparator === '/' ? ' / ' : pathSeparator;
  const labels = text
    .split(separator)
    .map((label) => label.trim())
    .filter((label) => label !== '');
  return labels.length === 0 ? [text] : labels.slice(0, mostLevels);
}

/** The labels of an object and of those it names as above it, top first; null where it names none. */
export function nestedLabels(raw: unknown, by: string | undefined): string[] | null {
  const labels: string[] = [];
  for (let one: unknown = raw; isObject(one) && labels.length < mostLevels; one = parentOf(one)) {
    const label = cellText(one, by);
    if (label !== '') labels.unshift(label);
  }
  return labels.length > 1 ? labels : null;
}

function parentOf(raw: Record<string, unknown>): unknown {
  for (const key of parentKeys) if (isObject(own(raw, key)) && !Array.isArray(own(raw, key))) return own(raw, key);
  return undefined;
}

/** Whether values are objects that name others as above them. */
export function isNested(raws: readonly unknown[]): boolean {
  return raws.some((raw) => (Array.isArray(raw) ? raw : [raw]).some((one) => nestedLabels(one, undefined) !== null));
}

/**
 * What stands above each term, by a column that names it, or holds the id of the post that is it. Of a term that is said
 * to stand under several, the first is kept here; each post goes by its own.
 */
export function parentsOf(records: Records, field: Field, idKey: string | undefined): Parents {
  const byId =
    idKey === undefined || idKey === field.key ? new Map<string, string>() : labelsById(records, field, idKey);
  const tops = new Set((field.mends ?? []).flatMap(({ rule }) => (rule.does === 'top' ? rule.terms : [])));
  const above = new Map<string, string>();
  for (const record of records) {
    const labels = termTexts(record, field);
    labels.forEach((label, i) => {
      const parent = parentIn(record, field, i, labels.length, byId);
      if (parent !== undefined && parent !== label && !tops.has(label) && !above.has(label)) above.set(label, parent);
    });
  }
  const cycles = cyclesIn(above);
  for (const [first] of cycles) {
    above.delete(first!);
    tops.add(first!);
  }
  return { above, byId, tops, cycles };
}

function labelsById(records: Records, field: Field, idKey: string): Map<string, string> {
  const byId = new Map<string, string>();
  for (const record of records) {
    const [label] = termTexts(record, field);
    const id = cellText(own(record, idKey));
    if (label !== undefined && id !== '') byId.set(id, label);
  }
  return byId;
}

/** The terms a record has, as they came. */
function termTexts(record: RawRecord, { key, separator, by }: Field): string[] {
  const raw = own(record, key);
  return isEmpty(raw) ? [] : cellTexts(raw, separator, by);
}

/** What a record says stands above one of its terms: one for each of them, or one for all. */
function parentIn(
  record: RawRecord,
  { parent, separator, by }: Field,
  i: number,
  all: number,
  byId: ReadonlyMap<string, string>,
): string | undefined {
  const raw = own(record, parent!);
  const said = isEmpty(raw) ? [] : cellTexts(raw, separator, by);
  const one = said.length === all ? said[i] : said[0];
  return one === undefined ? undefined : (byId.get(one) ?? one);
}

/** The labels that lead to a term of a record, top first. */
export function branchOf(
  record: RawRecord,
  field: Field,
  label: string,
  i: number,
  all: number,
  parents: Parents,
): string[] {
  const { above, byId, tops } = parents;
  const own = tops.has(label) ? undefined : (parentIn(record, field, i, all, byId) ?? above.get(label));
  if (own === undefined || own === label) return [label];
  const chain = chainOf(own, above);
  // a circle that this post alone makes ends where it begins
  return [...chain.slice(chain.lastIndexOf(label) + 1), label];
}

/** The labels above one, top first, and itself. */
function chainOf(label: string, above: ReadonlyMap<string, string>): string[] {
  const chain = [label];
  for (let one = above.get(label); one !== undefined && chain.length < mostLevels; one = above.get(one)) {
    chain.unshift(one);
  }
  return chain;
}

/** Chains that come back to themselves, each once, in the order they are said. */
function cyclesIn(above: ReadonlyMap<string, string>): string[][] {
  const done = new Set<string>();
  const cycles: string[][] = [];
  for (const label of above.keys()) {
    const chain: string[] = [];
    const places = new Map<string, number>();
    let one: string | undefined = label;
    while (one !== undefined && !done.has(one) && !places.has(one)) {
      places.set(one, chain.length);
      chain.push(one);
      one = above.get(one);
    }
    const start = one === undefined ? undefined : places.get(one);
    if (start !== undefined) cycles.push(chain.slice(start));
    for (const each of chain) done.add(each);
  }
  return cycles;
}
