import { kindOf, type Facet } from '../kinds/kinds.js';
import { sizesOf } from '../paging/paging.js';
import { addressNames } from './address-names.js';
import type { Lens } from './lens.js';

/** Aliases a facet or an order may have; names beyond are kept with the lens. */
const mostAliases = 20;
/** Whole names that a lens may have had before. */
const mostFormer = 500;

/** Names of a lens's own that a config gives. */
const ownParts = ['sort', 'page', 'size'] as const;

/**
 * A lens that reads every name its addresses ever had: of facets, of orders, of the order, the page and the size, and those under
 * another prefix. A name that means something in the lens already keeps that meaning, and one that was let go stays gone.
 * @param live  states of the lens that visitors had, the oldest first
 */
export function keepNames(lens: Lens, live: readonly Lens[]): Lens {
  const kept: Lens = {
    ...lens,
    facets: lens.facets.map((facet) => ({ ...facet, aliases: [...facet.aliases] })),
    sort: { ...lens.sort, options: lens.sort.options.map((option) => ({ ...option, aliases: [...option.aliases] })) },
    address: { ...lens.address, former: [...lens.address.former] },
  };
  const { prefix, gone } = kept.address;
  const read = new Set([
    ...addressNames(kept).map(({ name }) => prefix + name),
    ...kept.address.former.map(({ name }) => name),
    ...gone,
  ]);
  const keep = (whole: string, is: string, aliases?: string[]) => {
    if (read.has(whole)) return;
    read.add(whole);
    if (aliases && whole.startsWith(prefix) && aliases.length < mostAliases) aliases.push(whole.slice(prefix.length));
    else if (kept.address.former.length < mostFormer) kept.address.former.push({ name: whole, is });
  };
  for (const before of live) {
    // what a name of it stands for now
    const now = new Map<string, string>();
    for (const facet of before.facets) {
      const heir = heirOf(facet, kept);
      if (!heir) continue;
      now.set(facet.key, heir.key);
      // a name under the prefix in force is an alias; under another it is kept whole
      const aliases = before.address.prefix === prefix ? heir.aliases : undefined;
      for (const name of [facet.key, ...facet.aliases]) keep(before.address.prefix + name, heir.key, aliases);
    }
    for (const part of ownParts) {
      now.set(before.address[part], kept.address[part]);
      // names of sizes are read only where there are sizes to choose from
      if (part === 'size' && sizesOf(before.paging).length === 0) continue;
      keep(before.address.prefix + before.address[part], kept.address[part]);
    }
    for (const { name, is } of before.address.former) {
      const heir = now.get(is);
      if (heir !== undefined) keep(name, heir);
    }
    for (const option of before.sort.options) {
      const heir = orderHeir(option, kept);
      for (const name of heir ? [option.key, ...option.aliases] : []) {
        const isSpoken = kept.sort.options.some(({ key, aliases }) => key === name || aliases.includes(name));
        if (!isSpoken && heir!.aliases.length < mostAliases) heir!.aliases.push(name);
      }
    }
  }
  return kept;
}

/** The facet of a lens that one of an earlier state became: by its names, or else by what it reads. */
export function heirOf(facet: Facet, { facets }: Pick<Lens, 'facets'>): Facet | undefined {
  const names = new Set([facet.key, ...facet.aliases]);
  const reads = (one: Facet) => kindOf(one).fields(one).join('\n');
  return (
    facets.find(({ key }) => key === facet.key) ??
    facets.find(({ aliases }) => aliases.includes(facet.key)) ??
    facets.find(({ key }) => names.has(key)) ??
    facets.find((one) => one.kind === facet.kind && reads(one) === reads(facet)) ??
    facets.find((one) => reads(one) === reads(facet))
  );
}

function orderHeir(was: Lens['sort']['options'][number], { sort: { options } }: Lens) {
  return (
    options.find(({ key }) => key === was.key) ??
    options.find(({ aliases }) => aliases.includes(was.key)) ??
    options.find(({ by, field, order }) => by === was.by && field === was.field && order === was.order)
  );
}
