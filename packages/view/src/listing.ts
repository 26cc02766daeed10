import { fill, fillPlural } from '@ivy/core';
import { figure } from './formats.js';
import { linkTo, type Link, type Shown } from './shown.js';

/** “37 notes of 480”. */
export interface CountView {
  matched: string;
  /** Null where all are shown. */
  of: string | null;
}

export function countView({ answer, settings: { texts, language } }: Shown): CountView {
  return {
    matched: fillPlural(texts.posts, answer.matched, language),
    of: answer.matched === answer.total ? null : fill(texts.of, { total: figure(language, answer.total) }),
  };
}

/** The orders one can choose. */
export interface SortView {
  label: string;
  /** What the parameter is called in an address, prefix included. */
  name: string;
  options: { value: string; label: string; chosen: boolean }[];
}

/** Null where there is nothing to choose. What applies without being named has no value: a search then still brings the best matches first. */
export function sortView({ answer, settings, choices }: Shown): SortView | null {
  if (settings.sort.length < 2) return null;
  const chosen = choices.sort ?? answer.sort;
  // a search is by relevance without being told, also where the lens lists no such order
  const implied = answer.sort === 'relevance' && !settings.sort.some((option) => option.key === 'relevance');
  const options = implied ? [{ key: 'relevance', label: settings.texts.relevance }, ...settings.sort] : settings.sort;
  return {
    label: settings.texts.sort,
    name: settings.address.prefix + settings.address.sort,
    options: options.map(({ key, label }) => ({
      value: key === answer.sort && choices.sort === null ? '' : key,
      label,
      chosen: key === chosen,
    })),
  };
}

/** What a visitor should know of how the address was taken: only what changed what they asked for. */
export function noticesView({ answer, settings: { texts }, choices }: Shown): string[] {
  return answer.notices
    .filter((notice) => notice.code === 'respelled')
    .map((notice) =>
      fill(texts.respelled, { searched: choices.facets[notice.facet ?? '']?.[0] ?? '', value: notice.value ?? '' }),
    );
}

/** What stands in place of cards where there are none. */
export interface EmptyView {
  title: string;
  /** What is said before the ways; null where there are none. */
  lead: string | null;
  ways: { label: string; link: Link }[];
}

export function emptyView(shown: Shown): EmptyView {
  const { answer, settings, choices } = shown;
  const { texts, language } = settings;
  const ways = answer.ways.map(({ without, matched }) => {
    const { [without]: _lifted, ...facets } = choices.facets;
    const facet = settings.facets.find(({ key }) => key === without)?.label ?? without;
    return {
      label: fill(texts.without, { facet, posts: fillPlural(texts.posts, matched, language) }),
      link: linkTo(shown, { ...choices, facets, page: 1 }),
    };
  });
  return { title: texts.emptyTitle, lead: ways.length > 0 ? texts.emptyWays : null, ways };
}

/** “Show 37 notes”, by what is chosen this moment. */
export function showText({ answer, settings: { texts, language } }: Shown): string {
  return texts.show.replace('{posts}', fillPlural(texts.posts, answer.matched, language));
}
