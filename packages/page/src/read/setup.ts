import {
  discoverFields,
  finished,
  IndexBuilder,
  inParts,
  loose,
  meant,
  plainField,
  PostReader,
  prepareFields,
  readLens,
  slugify,
  type Field,
  type FieldType,
  type Lens,
  type Post,
  type PostIndex,
  type RawRecord,
  type Steps,
  type Term,
} from '@ivy/core';
import { choicesOf, type Choice, type Controls, type Group } from './controls.js';
import type { Items } from './items.js';
import { hint, type Notes } from '../notes.js';

/** A group of controls and the facet it is. */
export interface Facet {
  group: Group;
  key: string;
  kind: 'checkboxes' | 'radios' | 'dropdown' | 'switch' | 'search' | 'date-range' | 'number-range';
  field: string;
  /** What each choice means, by its value as the page has it: a term's slug; yes or no. */
  slugs: Map<string, string>;
  choices: Choice[];
}

/** A list with all that answers it. */
export interface Setup {
  index: PostIndex;
  lens: Lens;
  facets: Facet[];
  /** Orders by the value of the page's own select. */
  orders: Map<string, string>;
}

/** The field whose values number the items. */
const itemField = '~item';

/** The name of an item as an index has it: names sort as items stand. */
export const idOf = (item: number) => String(item).padStart(6, '0');

export interface Wishes {
  prefix: string;
  /** Items a page; 0 for all at once. */
  size: number;
  stacks: boolean;
}

/** Makes an index of a page's items and a lens of its controls. What does not fit is said, and left out. */
export function setUp(items: Items, controls: Controls, wishes: Wishes, notes: Notes): Setup {
  return finished(setUpInSteps(items, controls, wishes, notes));
}

/** The same in steps, so that many items hold nothing up. */
export function* setUpInSteps(items: Items, controls: Controls, wishes: Wishes, notes: Notes): Steps<Setup> {
  const records = items.records.map((record, i): RawRecord => ({ ...record, [itemField]: idOf(i) }));
  const found = discoverFields(items.records);
  const names = found.map(({ key }) => key);
  const typed = new Map<string, FieldType>(items.types);
  const groups = controls.groups.flatMap((group) => {
    const reads = fieldsOf(group, names, notes);
    return reads === null ? [] : [{ group, reads }];
  });
  for (const { group, reads } of groups) takeType(group, reads, found, typed);
  const fields = [
    ...found.map((field) => typedField(field, typed.get(field.key))),
    { ...plainField(itemField, 'Item'), role: 'id' as const },
  ];
  const index = yield* indexOf(records, fields);
  const keys = new Set<string>();
  const facets = groups.map(({ group, reads }) => facetOf(group, reads, index, keys, notes));
  const orders = ordersOf(controls.sort, fields, notes);
  const byValue = new Map(orders.map(({ value, key }) => [value, key]));
  return { index, lens: lensOf(facets, orders, fields, wishes), facets, orders: byValue };
}

/** The fields a group reads by the names they have in the items; null where there is none. */
function fieldsOf(group: Group, names: readonly string[], notes: Notes): string[] | null {
  const reads = group.reads.flatMap((wanted) => {
    const field = meant(wanted, names);
    if (field === null) {
      notes.say(`no item has a field “${wanted}”, which the control “${group.name}” reads.${hint(wanted, names)}`);
      return [];
    }
    if (field !== wanted)
      notes.say(`the control “${group.name}” reads “${wanted}”, the items say “${field}”; taken as one.`);
    return [field];
  });
  return reads.length === 0 && group.reads.length > 0 ? null : reads;
}

/** What a group chooses from tells what its field holds. */
function takeType(group: Group, reads: string[], found: Field[], typed: Map<string, FieldType>): void {
  const field = found.find(({ key }) => key === reads[0]);
  if (!field || typed.has(field.key)) return;
  if (group.does === 'choose' && !(field.type === 'boolean' && isFlip(group))) typed.set(field.key, 'terms');
  if (group.does === 'range') {
    const isNumber = group.controls.some(({ type }) => type === 'number' || type === 'range');
    typed.set(field.key, isNumber ? 'number' : field.type === 'datetime' ? 'datetime' : 'date');
  }
  if (group.does === 'search') for (const key of reads) typed.set(key, typed.get(key) ?? 'text');
}

/** Whether a group is one box, on or off. */
function isFlip({ controls }: Group): boolean {
  return controls.length === 1 && controls[0]!.type === 'checkbox';
}

function typedField(field: Field, type: FieldType | undefined): Field {
  // a list's own posts need no roles: an item is told by its place, and nothing of it is drawn anew
  const plain = { ...field, role: null, tree: false, pathSeparator: null };
  if (type === undefined) return plain.type === 'terms' ? { ...plain, separator: null } : plain;
  return { ...plain, type, multiple: type === 'terms', separator: null };
}

/** Items that are made posts of in one step. */
const aStep = 500;

function* indexOf(records: readonly RawRecord[], fields: Field[]): Steps<PostIndex> {
  yield;
  const reader = new PostReader(fields, prepareFields(records, fields));
  const posts: Post[] = [];
  yield* inParts(records.length, aStep, (from, to) => {
    for (const record of records.slice(from, to)) {
      const read = reader.read(record);
      if (read) posts.push(read.post);
    }
  });
  // without the loops in WebAssembly, which the script leaves out
  const builder = new IndexBuilder(fields, reader.records.taxonomies, posts.length, Infinity);
  yield* inParts(posts.length, aStep, (from, to) => builder.add(posts.slice(from, to)));
  return yield* builder.finish();
}

function facetOf(group: Group, reads: string[], index: PostIndex, keys: Set<string>, notes: Notes): Facet {
  const key = freeKey(group.name, keys);
  const field = reads[0] ?? '';
  const type = index.field(field)?.type;
  const choices = choicesOf(group);
  const common = { group, key, field, choices, slugs: new Map<string, string>() };
  if (group.does === 'search') return { ...common, kind: 'search' };
  if (group.does === 'range') return { ...common, kind: type === 'number' ? 'number-range' : 'date-range' };
  if (type === 'boolean') return { ...common, kind: 'switch', slugs: new Map([[choices[0]?.value ?? 'on', 'yes']]) };
  const kind = group.single ? (group.controls[0]!.type === 'radio' ? 'radios' : 'dropdown') : 'checkboxes';
  return { ...common, kind, slugs: slugsOf(group, choices, index.termList(field)?.terms ?? [], notes) };
}

/** What each value of a group is called in the items: written alike, or differing by case, spaces and signs alone. */
function slugsOf(group: Group, choices: readonly Choice[], terms: readonly Term[], notes: Notes): Map<string, string> {
  const slugs = new Map<string, string>();
  const labels = terms.map(({ label }) => label);
  for (const { value, words } of choices) {
    const term =
      terms.find(({ label, slug }) => label === value || slug === value) ??
      terms.find(({ label }) => loose(label) === loose(value)) ??
      terms.find(({ label }) => loose(label) === loose(words));
    if (term && term.label !== value && term.slug !== value)
      notes.say(`“${value}” of the control “${group.name}” is written “${term.label}” in the items; taken as one.`);
    if (!term) notes.say(`no item has “${value}”, which the control “${group.name}” offers.${hint(value, labels)}`);
    // a value that no item has is a choice all the same, that nothing meets
    slugs.set(value, term?.slug ?? slugify(value) ?? value);
  }
  return slugs;
}

function freeKey(name: string, taken: Set<string>): string {
  const base = slugify(name) || 'facet';
  let key = base;
  for (let n = 2; taken.has(key); n++) key = `${base}-${n}`;
  taken.add(key);
  return key;
}

/** An order of the page's own select. */
interface Order {
  /** Its value there. */
  value: string;
  /** A name that addresses of the engine can have. */
  key: string;
  field: string;
  order: 'asc' | 'desc';
}

function ordersOf(sort: HTMLSelectElement | null, fields: readonly Field[], notes: Notes): Order[] {
  const names = fields.map(({ key }) => key);
  return [...(sort?.options ?? [])].flatMap((option): Order[] => {
    const { value } = option;
    const says = option.dataset.ivyOrder ?? value;
    if (says === '') return [];
    const [name = '', order = 'asc'] = says.split(':');
    const field = meant(name, names);
    if (field === null || (order !== 'asc' && order !== 'desc')) {
      notes.say(`the order “${says}” names no field of the items, or neither asc nor desc.${hint(name, names)}`);
      return [];
    }
    return [{ value, key: `${slugify(field) || 'field'}-${order}`, field, order }];
  });
}

function lensOf(facets: readonly Facet[], orders: readonly Order[], fields: readonly Field[], wishes: Wishes): Lens {
  const texts = fields.filter(({ key, type }) => key !== itemField && type !== 'number' && type !== 'boolean');
  const read = readLens({
    facets: facets.map(({ key, kind, field, group }) => {
      if (kind === 'search')
        return {
          key,
          kind,
          fields: (group.reads.length > 0 ? fieldNames(group, fields) : texts.map((one) => one.key)).slice(0, 20),
        };
      if (kind === 'switch' || kind.endsWith('range')) return { key, kind, field };
      return {
        key,
        kind,
        field,
        zero: 'keep',
        ...(kind === 'checkboxes' && { match: group.match }),
        ...(kind === 'dropdown' && { single: true }),
      };
    }),
    sort: {
      options: [
        // as the page has them, until a visitor says otherwise
        { key: 'given', field: itemField },
        ...orders.map(({ key, field, order }) => ({ key, field, order })),
      ],
      default: 'given',
    },
    paging: { mode: wishes.size === 0 ? 'all' : wishes.stacks ? 'more' : 'pages', size: 12 },
    address: { prefix: wishes.prefix },
  });
  if (!read.ok) throw new Error(read.problems.map(({ pointer, message }) => `${pointer} ${message}`).join('; '));
  const { value } = read;
  // a page's list is as long as it is: limits are for those who ask a server
  return {
    ...value,
    paging: { ...value.paging, ...(wishes.size > 0 ? { size: wishes.size } : { mode: 'pages', size: 1_000_000 }) },
  };
}

function fieldNames(group: Group, fields: readonly Field[]): string[] {
  const names = fields.map(({ key }) => key);
  return group.reads.flatMap((wanted) => meant(wanted, names) ?? []);
}
