import { useEffect, useRef } from 'react';

/** What an item of the palette is, in the order groups stand in. */
export const itemKinds = ['Terms', 'Facets', 'Posts', 'Addresses', 'Actions', 'Places', 'Help'] as const;
export type ItemKind = (typeof itemKinds)[number];

/** Something one can go to or do. */
export interface PaletteItem {
  /** The same from day to day: what was used is remembered by it. */
  id: string;
  kind: ItemKind;
  label: string;
  /** Where it belongs, in a few words. */
  note?: string;
  hue?: number;
  count?: number;
  /** Words it is found by besides its label. */
  also?: string;
  run: () => void;
  /** What Enter does, where that is not plain. */
  does?: string;
  /** What Shift and Enter do. */
  shift?: { does: string; run: () => void };
  /** Shows what it would change while one stands on it; null takes that away. */
  point?: (is: boolean) => void;
}

/** What a place of the studio has for the palette. */
interface Provider {
  items: () => PaletteItem[];
  /** What must be looked for. */
  find?: (text: string, signal: AbortSignal) => Promise<PaletteItem[]>;
}

const providers = new Set<Provider>();

/** Gives the palette what there is here, for as long as it is here. */
export function usePaletteItems(items: Provider['items'], find?: Provider['find']): void {
  const latest = useRef({ items, find });
  useEffect(() => {
    latest.current = { items, find };
  });
  useEffect(() => {
    const provider: Provider = {
      items: () => latest.current.items(),
      find: (text, signal) => latest.current.find?.(text, signal) ?? Promise.resolve([]),
    };
    providers.add(provider);
    return () => void providers.delete(provider);
  }, []);
}

/** All there is now. */
export function allItems(): PaletteItem[] {
  return [...providers].flatMap(({ items }) => items());
}

/** All that is found by a text. */
export async function findItems(text: string, signal: AbortSignal): Promise<PaletteItem[]> {
  const looking = [...providers].flatMap(({ find }) => find?.(text, signal).catch((): PaletteItem[] => []) ?? []);
  const found = await Promise.all(looking);
  return found.flat();
}
