import type { PostIndex } from '../engine/index/post-index.js';
import { mostWhole } from '../kinds/terms/many-options.js';
import type { CompactItem, CompactValue } from '../model/compact.js';
import { fieldWithRole } from '../model/post.js';
import type { Marker } from '../engine/words/marks.js';
import { noTerm } from '../engine/store/values.js';
import { itemsKept, marksIn, textOf, type ItemPlan } from './items.js';
import { Lru } from '../engine/base/lru.js';

/** What of a lens every compact item is made by. */
export interface CompactItemPlan {
  fields: { key: string; read: (post: number) => CompactValue | undefined }[];
  /** Fields whose terms are given by their numbers. */
  numbered: string[];
  /** Place of the field of titles among the fields; -1 where it is not there. */
  titleAt: number;
  kept: Lru<number, CompactItem>;
}

export function compactItemPlan(index: PostIndex, items: ItemPlan): CompactItemPlan {
  const numbered: string[] = [];
  const fields = items.fields.map((field) => {
    const read = numbersOf(index, field.key);
    if (!read) return field;
    numbered.push(field.key);
    return { key: field.key, read };
  });
  const title = fieldWithRole(index.fields, 'title')?.key;
  const titleAt = fields.findIndex(({ key }) => key === title);
  return { fields, numbered, titleAt, kept: new Lru(itemsKept) };
}

/** Reads the terms of a post as numbers; null where a field has none, or too many to be sent once. */
function numbersOf(index: PostIndex, key: string): ((post: number) => number[] | undefined) | null {
  const values = index.valuesOf(key);
  const list = index.termList(key);
  if (!list || list.terms.length > mostWhole || (values?.form !== 'term' && values?.form !== 'terms')) return null;
  if (values.form === 'term') {
    const { numbers } = values;
    const none = noTerm(numbers);
    const alone = list.terms.map((_, t) => [t]);
    return (post) => (numbers[post] === none ? undefined : alone[numbers[post]!]);
  }
  const { starts, numbers } = values;
  return (post) => {
    const [from, to] = [starts[post]!, starts[post + 1]!];
    return from === to ? undefined : Array.from(numbers.subarray(from, to));
  };
}

/** What a compact answer carries of a post. */
export function compactItemOf(
  plan: CompactItemPlan,
  items: ItemPlan,
  index: PostIndex,
  post: number,
  search: { marks: Marker; fields: readonly string[] } | null,
): CompactItem {
  let item = plan.kept.get(post);
  if (!item) {
    item = makeItem(plan, items, index, post);
    plan.kept.put(post, item);
  }
  if (!search) return item;
  const [id, title, link, values] = item;
  const marks = marksIn((key) => values[plan.fields.findIndex((field) => field.key === key)], search);
  return marks ? [id, title, link, values, marks] : item;
}

function makeItem({ fields, titleAt }: CompactItemPlan, items: ItemPlan, index: PostIndex, post: number): CompactItem {
  const values = fields.map(({ read }) => read(post) ?? null);
  const id = index.idOf(post);
  const known = titleAt < 0 ? '' : values[titleAt];
  const title = typeof known === 'string' && known !== '' ? 0 : (textOf(items.title, post, {}) ?? id);
  return [id, title, textOf(items.link, post, {}), values];
}
