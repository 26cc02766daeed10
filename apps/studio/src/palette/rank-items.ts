import { loose } from '@ivy/core';
import { itemKinds, type ItemKind, type PaletteItem } from './palette-items.js';

/** Items of one kind that are shown. */
const shownOfKind = 5;

/** What is shown of the palette, group by group. */
export interface ItemGroup {
  kind: ItemKind;
  items: PaletteItem[];
}

/**
 * The items that hold a text, those that begin with it first, and of equals those used last; without a text, what was used
 * last and then what there is.
 * @param recent  ids of what was used, the last first
 */
export function rankItems(items: readonly PaletteItem[], text: string, recent: readonly string[]): ItemGroup[] {
  const wanted = loose(text);
  const used = (id: string) => {
    const at = recent.indexOf(id);
    return at < 0 ? recent.length : at;
  };
  const scored = items
    .map((item) => ({ item, score: wanted === '' ? 1 : scoreOf(item, wanted) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || used(a.item.id) - used(b.item.id));
  const groups = itemKinds.map((kind) => {
    const own = scored.filter(({ item }) => item.kind === kind);
    return { kind, items: own.slice(0, shownOfKind).map(({ item }) => item), best: own[0]?.score ?? 0 };
  });
  // what fits best stands on top, so that Enter does what was meant
  return groups
    .filter(({ items: own }) => own.length > 0)
    .sort((a, b) => b.best - a.best)
    .map(({ kind, items: own }) => ({ kind, items: own }));
}

/** 3: it is it; 2: it begins with it, or a word of it does; 1: it holds it; 0: neither. */
function scoreOf({ label, also = '' }: PaletteItem, wanted: string): number {
  const own = loose(label);
  if (own === wanted) return 3;
  if (own.startsWith(wanted)) return 2;
  if (label.split(/\s+/).some((word) => loose(word).startsWith(wanted))) return 1.5;
  return loose(`${label} ${also}`).includes(wanted) ? 1 : 0;
}
