/** One setting of one facet, as it might be. */
export type SettingChange =
  { facet: string; match: 'any' | 'all' } | { facet: string; hide: string } | { facet: string; field: string };
