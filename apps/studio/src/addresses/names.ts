import {
  facetLabel,
  kindOf,
  parameterNames,
  sizesOf,
  splitAddress,
  type Answer,
  type Facet,
  type FieldDescription,
  type Lens,
} from '@ivy/core';
import type { SavedAddressView } from '@ivy/client';

/** A parameter of a lens's addresses, as its contract says it. */
export interface NameRow {
  /** What it is of: a facet's key, or a part of the lens's own. */
  of: string;
  facet: Facet | null;
  /** Without the prefix. */
  name: string;
  label: string;
  /** What may stand behind the `=`, as an example and in words. */
  example: string;
  form: string;
  /** Whole names that are still read in its place. */
  old: string[];
}

/** All parameters of a lens's addresses, in the order they are written. */
export function nameRows(lens: Lens, fields: readonly FieldDescription[], answer: Answer | undefined): NameRow[] {
  const { address, facets, sort, paging } = lens;
  const former = (is: string) => address.former.filter((one) => one.is === is).map(({ name }) => name);
  const own = (of: 'sort' | 'size' | 'page', example: string, form: string): NameRow => ({
    of,
    facet: null,
    name: address[of],
    label: { sort: 'Order', size: 'Posts a page', page: 'Page' }[of],
    example,
    form,
    old: former(address[of]),
  });
  return [
    ...facets.map((facet) => ({
      of: facet.key,
      facet,
      name: facet.key,
      label: facetLabel(facet, fields, lens),
      ...valueOf(facet, answer),
      old: [...facet.aliases.map((alias) => address.prefix + alias), ...former(facet.key)],
    })),
    ...(sort.options.length > 0 ? [own('sort', sort.options[0]!.key, `one of ${sort.options.length} orders`)] : []),
    ...(sizesOf(paging).length > 0 ? [own('size', String(sizesOf(paging)[0]), 'how many a page')] : []),
    own('page', '2', 'a number'),
  ];
}

/** What stands behind the name of a facet: by what it shows now, where that is known. */
function valueOf(facet: Facet, answer: Answer | undefined): Pick<NameRow, 'example' | 'form'> {
  const kind = kindOf(facet);
  const found = answer?.facets.find(({ key }) => key === facet.key);
  const options = found && 'options' in found ? found.options : [];
  const busiest = [...options].sort((a, b) => b.count - a.count).map(({ value }) => value);
  const isSingle = kind.isSingle(facet) || !kind.splits;
  if (options.length > 0) {
    const example = busiest
      .slice(0, isSingle ? 1 : 2)
      .sort()
      .join(',');
    const terms = `${options.length} ${options.length === 1 ? 'value' : 'values'}`;
    return { example, form: isSingle ? `one of ${terms}` : `any of ${options.length}, with commas` };
  }
  if (found && 'bounds' in found && found.bounds) {
    const { from, to } = found.bounds;
    return { example: `${from}/${to}`, form: 'two ends, or one open' };
  }
  if (kind.finding) return { example: 'little+tern', form: 'words, as typed' };
  return { example: kind.valueForm(facet), form: kind.noun };
}

/** Whole names that saved addresses use, with the addresses that use each. */
export function usesOf(saved: readonly SavedAddressView[]): Map<string, SavedAddressView[]> {
  const uses = new Map<string, SavedAddressView[]>();
  for (const one of saved) {
    for (const name of new Set(splitAddress(one.address).map((parameter) => parameter.name)))
      uses.set(name, [...(uses.get(name) ?? []), one]);
  }
  return uses;
}

/** What is wrong with a name that one would give; null where nothing is. */
export function nameProblem(lens: Lens, before: string, name: string): string | null {
  if (!/^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}_-]{0,59}$/u.test(name))
    return 'Lower-case letters, digits, - or _, beginning with a letter or digit.';
  const names = parameterNames(lens);
  const { prefix } = lens.address;
  const isOther = names.has(prefix + name) && names.get(prefix + name) !== names.get(prefix + before);
  const holder = names.get(prefix + name);
  const own = names.get(prefix + before);
  const isOwnOld = typeof holder === 'object' && typeof own === 'object' && holder.facet === own.facet;
  return isOther && !isOwnOld ? `“${name}” is taken in this lens already.` : null;
}
