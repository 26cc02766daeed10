import { addressNames, type Lens } from '@ivy/core';
import { changeFacet, dropAlias, renameFacet, renameInFormer } from '../bench/edits.js';

type OwnPart = 'sort' | 'size' | 'page';

/** Gives a parameter another name. The one before is still read. */
export function renameParameter(lens: Lens, of: string, name: string): Lens {
  const isFacet = lens.facets.some(({ key }) => key === of);
  const before = isFacet ? of : lens.address[of as OwnPart];
  if (before === name) return lens;
  if (isFacet) return renameFacet(lens, of, name);
  const address = renameInFormer(lens.address, before, name);
  const former = [...address.former, { name: address.prefix + before, is: name }];
  return { ...lens, address: { ...address, [of]: name, former } };
}

/** Lets an old name go: it is read no more, and no release brings it back. */
export function letGo(lens: Lens, of: string, whole: string): Lens {
  const { prefix, former, gone } = lens.address;
  const bare = whole.startsWith(prefix) ? whole.slice(prefix.length) : whole;
  const kept = dropAlias(lens, of, bare);
  return {
    ...kept,
    address: {
      ...kept.address,
      former: former.filter(({ name }) => name !== whole),
      gone: [...new Set([...gone, whole])],
    },
  };
}

/** Has every name begin otherwise. What they were before is still read. */
export function changePrefix(lens: Lens, prefix: string): Lens {
  const { address } = lens;
  if (address.prefix === prefix) return lens;
  const before = addressNames(lens).map(({ name, facet }) => ({
    name: address.prefix + name,
    is: facet?.key ?? name,
  }));
  const known = new Set(address.former.map(({ name }) => name));
  const next = new Set(addressNames(lens).map(({ name }) => prefix + name));
  const former = [...address.former, ...before.filter(({ name }) => !known.has(name))].filter(
    ({ name }) => !next.has(name),
  );
  return { ...lens, address: { ...address, prefix, former } };
}

/** Says which addresses with a choice in a facet search engines may keep. */
export function changeIndexed(lens: Lens, key: string, indexed: 'never' | 'alone' | 'paired'): Lens {
  return changeFacet(lens, key, { indexed });
}
