import { slugify, type Mark, type MarkName } from '@ivy/core';
import type { Alike } from './found/alike.js';
import { endOf, stemOf, type PageControl } from './found/page-controls.js';
import type { FieldProposal } from './found/propose-fields.js';
import { selectorOf } from './found/selector.js';

/*
 * What one can do to the marks of a page: pure functions from marks to marks.
 */

export type MarkRole = 'list' | 'item' | 'field' | 'control' | 'place' | 'detail';

const places: readonly MarkName[] = ['count', 'total', 'empty', 'pager', 'more'];

/** What a mark is of: a detail stands with the control it is of. */
export function roleOf({ says }: Mark): MarkRole {
  if (says.list !== undefined) return 'list';
  if (says.item !== undefined) return 'item';
  if (says.field !== undefined) return 'field';
  if (says.for !== undefined) return 'control';
  return placeOf(says) ? 'place' : 'detail';
}

export function placeOf(says: Mark['says']): MarkName | undefined {
  return places.find((name) => says[name] !== undefined);
}

/** Tells a mark from every other. */
export const idOf = ({ at, in: where }: Mark): string => `${where} ${at}`;

/** Takes other elements for the items. What is marked in them stays, and is looked for in those. */
export function setList(marks: readonly Mark[], { at }: Alike): Mark[] {
  const rest = marks.filter((mark) => !['list', 'item'].includes(roleOf(mark)));
  return [{ at: at.list, in: 'page', says: { list: '' } }, { at: at.item, in: 'page', says: { item: '' } }, ...rest];
}

export function addField(marks: readonly Mark[], { key, at, from, split }: FieldProposal): Mark[] {
  const says = { field: key, ...(from !== null && { from }), ...(split !== null && { split }) };
  return put(marks, { at, in: 'item', says });
}

/** Puts a mark in, in place of one that stood there. */
function put(marks: readonly Mark[], mark: Mark): Mark[] {
  return [...marks.filter((one) => idOf(one) !== idOf(mark)), mark];
}

/** Words that orders are called by, and what they mean of which fields. */
const orders: readonly [words: RegExp, by: 'date' | 'title', order: 'asc' | 'desc'][] = [
  [/newest|latest|recent|neueste|reciente|récent/i, 'date', 'desc'],
  [/oldest|earliest|älteste|antiguo|ancien/i, 'date', 'asc'],
  [/z\s*(to|–|-|bis|→)\s*a/i, 'title', 'desc'],
  [/a\s*(to|–|-|bis|→)\s*z|title|name|alphabet/i, 'title', 'asc'],
];

/**
 * Has a control of the page drive the list.
 * @param field   the field it is of; null for a search in all of them, or an order
 * @param fields  the fields there are, for what orders mean
 */
export function addControl(
  marks: readonly Mark[],
  control: PageControl,
  field: string | null,
  fields: readonly { key: string; type: string }[] = [],
): Mark[] {
  const { what, at, boxes } = control;
  // two boxes of a range are called after what they share; each name is read from addresses all the same
  const name = what === 'dates' || what === 'numbers' ? stemOf(control.name) : control.name;
  // a control that has no name of its own, or one that an address would not have, is given one
  const called = slugify(name.replace(/\[\]$/, '') || (field ?? '') || (what === 'search' ? 'q' : 'facet'));
  const as: Mark['says'] = name === called ? {} : { as: called };
  if (what === 'sort') {
    const details = [...(boxes[0] as HTMLSelectElement).options].flatMap((option) => orderMark(option, at, fields));
    return details.reduce<Mark[]>(
      (all, one) => put(all, one),
      put(marks, { at, in: 'page', says: { for: '', sort: '' } }),
    );
  }
  if (what === 'search') return put(marks, { at, in: 'page', says: { for: '', search: field ?? '', ...as } });
  const isRange = what !== 'choice';
  const kept = put(marks, {
    at,
    in: 'page',
    says: { for: '', reads: field ?? '', ...(isRange ? { as: called } : as) },
  });
  if (!isRange) return kept;
  return boxes.reduce<Mark[]>(
    (all, box) =>
      put(all, {
        at: selectorOf(box, box.ownerDocument),
        in: 'page',
        says: { end: endOf(box as HTMLInputElement, boxes) },
      }),
    kept,
  );
}

function orderMark(option: HTMLOptionElement, at: string, fields: readonly { key: string; type: string }[]): Mark[] {
  const found = orders.find(([words]) => words.test(option.text));
  if (!found || option.value === '' || /^[^:]+:(asc|desc)$/.test(option.value)) return [];
  const [, by, order] = found;
  const field =
    by === 'date'
      ? fields.find(({ type }) => type === 'date' || type === 'datetime')
      : (fields.find(({ key }) => /title|name/.test(key)) ?? fields.find(({ type }) => type === 'text'));
  if (!field) return [];
  const value = CSS.escape(option.value);
  return [{ at: `${at} option[value="${value}"]`, in: 'page', says: { order: `${field.key}:${order}` } }];
}

export function addPlace(marks: readonly Mark[], what: MarkName, at: string): Mark[] {
  return put(marks, { at, in: 'page', says: { [what]: '' } });
}

/** Changes what a mark says; what is undefined is said no more. */
export function changeMark(
  marks: readonly Mark[],
  id: string,
  says: Partial<Record<MarkName, string | undefined>>,
): Mark[] {
  return marks.map((mark) => {
    if (idOf(mark) !== id) return mark;
    const all = Object.entries<string | undefined>({ ...mark.says, ...says });
    return { ...mark, says: Object.fromEntries(all.filter((one): one is [string, string] => one[1] !== undefined)) };
  });
}

/** Gives a field another name, in its marks and wherever one of a control names it. */
export function renameField(marks: readonly Mark[], before: string, name: string): Mark[] {
  return marks.map((mark) => {
    const { field, reads, facet, search, order } = mark.says;
    const says = { ...mark.says };
    if (field === before) says.field = name;
    if (reads === before) says.reads = name;
    if (facet === before) says.facet = name;
    if (search !== undefined)
      says.search = search
        .split(' ')
        .map((one) => (one === before ? name : one))
        .join(' ');
    if (order?.startsWith(`${before}:`)) says.order = name + order.slice(before.length);
    return { ...mark, says };
  });
}

/** Takes a mark away, and with a control what stands in it. */
export function removeMark(marks: readonly Mark[], id: string): Mark[] {
  const gone = marks.find((mark) => idOf(mark) === id);
  if (!gone) return [...marks];
  const within = ({ at }: Mark) => gone.at.split(', ').some((one) => at === one || at.startsWith(`${one} `));
  if (roleOf(gone) === 'control')
    return marks.filter((mark) => mark !== gone && !(roleOf(mark) === 'detail' && within(mark)));
  return marks.filter((mark) => mark !== gone);
}

/** How a mark is written by hand. */
export function writtenOf({ says }: Mark, name: string): string {
  const named: readonly string[] = ['list', 'for', 'count', 'total', 'empty', 'pager', 'more'];
  return Object.entries(says)
    .map(([what, value]) => {
      const said = value === '' && named.includes(what) ? name : value;
      return said === '' ? `data-ivy-${what}` : `data-ivy-${what}="${said.replace(/"/g, '&quot;')}"`;
    })
    .join(' ');
}
