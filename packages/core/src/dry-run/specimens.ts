import { itemOf, type ItemPlan } from '../answer/items.js';
import { planOf } from '../answer/plan.js';
import { partKind } from '../card/parts.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { cardParts } from '../lens/card.js';
import type { Lens } from '../lens/lens.js';
import type { Item } from '../model/answer.js';

/** What makes a post hard on a card. */
export const specimenKinds = ['longest-title', 'no-picture', 'most-terms', 'right-to-left', 'title-only'] as const;
export type SpecimenKind = (typeof specimenKinds)[number];

/** A post that strains the card in some way. */
export interface Specimen {
  kind: SpecimenKind;
  item: Item;
}

/** Posts that are looked at: of more, so many evenly spread. */
const mostSeen = 30_000;

const kept = new WeakMap<PostIndex, Map<string, Specimen[]>>();

/** The posts of a lens that strain its card most: one of each kind, where there is one. */
export function specimensOf(index: PostIndex, lens: Lens): Specimen[] {
  const parts = cardParts(lens, index.fields);
  const name = JSON.stringify([parts, lens.scope]);
  let byCard = kept.get(index);
  if (!byCard) kept.set(index, (byCard = new Map<string, Specimen[]>()));
  let found = byCard.get(name);
  if (!found) {
    // a card in the making has many states, of which only the last is asked for again
    byCard.clear();
    byCard.set(name, (found = findSpecimens(index, lens)));
  }
  return found;
}

function findSpecimens(index: PostIndex, lens: Lens): Specimen[] {
  const { scope, items } = planOf(index, lens);
  const parts = cardParts(lens, index.fields);
  const fieldsOf = (shows: (show: string) => boolean) =>
    parts.filter(({ show }) => shows(show)).flatMap((part) => partKind(part).fields(part).slice(0, 1));
  const pictures = fieldsOf((show) => show === 'picture');
  const terms = fieldsOf((show) => show === 'terms');
  const others = fieldsOf((show) => show !== 'title' && show !== 'button' && show !== 'mark');
  const best = new Map<SpecimenKind, { post: number; score: number }>();
  const offer = (kind: SpecimenKind, post: number, score: number) => {
    if (score > (best.get(kind)?.score ?? 0)) best.set(kind, { post, score });
  };
  const { list } = scope.set;
  const step = Math.max(1, list.length / mostSeen);
  const read = readerOf(items);
  for (let at = 0; at < list.length; at += step) {
    const post = list[Math.floor(at)]!;
    const title = items.title?.read(post);
    const length = typeof title === 'string' ? title.length : 0;
    const filled = others.filter((key) => read(key, post) !== undefined).length;
    offer('longest-title', post, length);
    if (pictures.length > 0 && pictures.every((key) => read(key, post) === undefined))
      offer('no-picture', post, 1 + filled);
    const count = terms.reduce((sum, key) => sum + lengthOf(read(key, post)), 0);
    if (count > 1) offer('most-terms', post, count);
    if (typeof title === 'string' && rightToLeft.test(title)) offer('right-to-left', post, length);
    if (filled === 0) offer('title-only', post, 1);
  }
  return specimenKinds.flatMap((kind) => {
    const post = best.get(kind)?.post;
    return post === undefined ? [] : { kind, item: itemOf(items, index, post, null) };
  });
}

const rightToLeft = /\p{Script=Arabic}|\p{Script=Hebrew}|\p{Script=Syriac}|\p{Script=Thaana}/u;

function readerOf({ fields }: ItemPlan): (key: string, post: number) => unknown {
  const byKey = new Map(fields.map((field) => [field.key, field.read]));
  return (key, post) => byKey.get(key)?.(post);
}

function lengthOf(value: unknown): number {
  return Array.isArray(value) ? value.length : 0;
}
