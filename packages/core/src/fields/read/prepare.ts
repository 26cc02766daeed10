import { fieldWithRole, type Field } from '../../model/post.js';
import { fold } from '../../text/slug.js';
import { own } from '../../text/own.js';
import { cellText, type Records } from './cell.js';
import { DayOrder, type DayFirst } from '../values/dates.js';
import { parentsOf, type Parents } from './tree.js';

/** What of a field only all its records together tell. */
export interface FieldContext {
  /** How it writes its slashed days. */
  dayFirst: DayFirst;
  /** How many of them could be nothing else: with the day first, and with the month first. */
  proof: { dayFirst: number; monthFirst: number };
  parents: Parents | null;
  /** By value: what it stands for is called, at the source it refers to. */
  references: ReadonlyMap<string, string> | null;
  /** By value, where only the last post with it is to stay: how often it comes. */
  times: ReadonlyMap<string, number> | null;
}

/** What stands for what in other sources, by field. */
export type References = Readonly<Record<string, ReadonlyMap<string, string>>>;

/** Goes through the records once before they are read, for what no single one tells. */
export function prepareFields(
  records: Records,
  fields: readonly Field[],
  references: References = {},
): Map<string, FieldContext> {
  const orders = fields.flatMap(({ key, type }): [string, DayOrder][] =>
    type === 'date' ? [[key, new DayOrder()]] : [],
  );
  const counted = fields.filter(leavesEarlier).map((field) => ({ field, times: new Map<string, number>() }));
  if (orders.length > 0 || counted.length > 0) {
    for (const record of records) {
      for (const [key, order] of orders) order.add(cellText(own(record, key)));
      for (const { field, times } of counted) {
        const value = sameAs(field, own(record, field.key));
        if (value !== '') times.set(value, (times.get(value) ?? 0) + 1);
      }
    }
  }
  const found = new Map(orders);
  const idKey = fieldWithRole(fields, 'id')?.key;
  return new Map(
    fields.map((field): [string, FieldContext] => {
      const order = found.get(field.key);
      return [
        field.key,
        {
          dayFirst: saidOrder(field) ?? order?.isDayFirst ?? true,
          proof: order?.proof ?? { dayFirst: 0, monthFirst: 0 },
          parents: field.parent === undefined ? null : parentsOf(records, field, idKey),
          references: own(references, field.key) ?? null,
          times: counted.find((one) => one.field === field)?.times ?? null,
        },
      ];
    }),
  );
}

/** What someone said goes before what the values look like: a mend last of all. */
function saidOrder({ dateOrder, mends = [] }: Field): DayFirst | undefined {
  const said = mends.map(({ rule }) => (rule.does === 'order' && rule.as !== 'either' ? rule.as : null));
  const order = said.findLast((one) => one !== null) ?? dateOrder;
  return order && order === 'day-month';
}

function leavesEarlier({ mends = [] }: Field): boolean {
  return mends.some(({ rule }) => rule.does === 'leave' && rule.posts === 'earlier');
}

/** What two posts have in common that are the same by a field: titles may differ in case, ids may not. */
export function sameAs({ role, by }: Field, raw: unknown): string {
  const text = cellText(raw, by);
  if (role === 'id') return text.slice(0, 500);
  return role === 'link' ? text.replace(/\/$/, '') : fold(text);
}

/** Keys of the fields that some can't be read without. */
export function companionsOf(fields: readonly Field[], all: readonly Field[]): string[] {
  const keys = fields.flatMap(({ parent, end, beyond = [], mends = [] }) => [
    end,
    ...beyond,
    ...(parent === undefined ? [] : [parent, fieldWithRole(all, 'id')?.key]),
    ...mends.flatMap(({ rule }) => (rule.does === 'fallback' ? [rule.field] : rule.does === 'join' ? rule.fields : [])),
  ]);
  return [...new Set(keys)].filter((key) => key !== undefined);
}
