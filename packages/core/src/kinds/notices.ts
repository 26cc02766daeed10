import type { Notice } from '../model/notice.js';

/** Most values one facet takes from an address. */
export const maxValues = 50;
/** Most marked posts an address takes. */
export const maxPosts = 200;

export function singleChoice(facet: string, value: string): Notice {
  return {
    code: 'single-choice',
    facet,
    value,
    text: `“${facet}” takes one choice, so “${value}” was passed over.`,
  };
}

/** The values of an address, each once and not too many. */
export function fewValues(facet: string, found: readonly string[], most: number, notices: Notice[]): string[] {
  const values = [...new Set(found)];
  if (values.length <= most) return values;
  notices.push({ code: 'too-many', facet, text: `Only the first ${most} choices of “${facet}” were taken.` });
  return values.slice(0, most);
}
