import type { Setup } from '../read/setup.js';

/** What a list has, as the check of a page tells it. */
export interface ListReport {
  name: string;
  state: string;
  items: number;
  fields: { key: string; type: string; filled: number }[];
  controls: { name: string; field: string; kind: string; values: number; met: number }[];
  notes: readonly string[];
}

/** Gathers what was found of a list and its controls. */
export function reportOf(
  name: string,
  state: string,
  items: number,
  setup: Setup | undefined,
  notes: readonly string[],
): ListReport {
  const { index, facets = [] } = setup ?? {};
  const fields = (index?.fields ?? []).filter(({ key }) => !key.startsWith('~'));
  const posts = Array.from({ length: index?.size ?? 0 }, (_, post) => post);
  return {
    name,
    state,
    items,
    fields: fields.map(({ key, type }) => ({
      key,
      type,
      filled: posts.filter((post) => index!.valueOf(post, key) !== undefined).length,
    })),
    controls: facets.map(({ group, field, kind, slugs }) => {
      const terms = new Set(index!.termList(field)?.terms.map(({ slug }) => slug));
      const values = kind === 'switch' ? [] : [...slugs.values()];
      return {
        name: group.name,
        field,
        kind,
        values: values.length,
        met: values.filter((one) => terms.has(one)).length,
      };
    }),
    notes,
  };
}
