import { fill, fillPlural } from '@ivy/core';
import { cardViews, type CardView } from './cards.js';
import { choose } from './choices.js';
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

/** Notices that are shown at most: an address may hold any number of mistakes. */
const mostNotices = 3;

/** What a visitor should know of how the address was taken: only what changed what they asked for. */
export function noticesView({ answer, settings: { texts, facets }, choices }: Shown): string[] {
  const notices = answer.notices.flatMap(({ code, facet: key = '', value = '' }) => {
    if (code === 'respelled') return fill(texts.respelled, { searched: choices.facets[key]?.[0] ?? '', value });
    if (!/^(unknown|bad)-/.test(code)) return [];
    const facet = facets.find((one) => one.key === key)?.label;
    return facet === undefined ? fill(texts.leftOutOther, { value }) : fill(texts.leftOut, { facet, value });
  });
  return notices.slice(0, mostNotices);
}

/** What stands in place of cards where there are none. */
export interface EmptyView {
  title: string;
  /** What is said before the ways; null where there are none. */
  lead: string | null;
  ways: { label: string; link: Link }[];
  /** Other posts to look at; null where there are none. */
  others: { title: string; cards: CardView[] } | null;
}

export function emptyView(shown: Shown): EmptyView {
  const { answer, settings, choices } = shown;
  const { texts, language } = settings;
  const labelOf = (key: string) => settings.facets.find((one) => one.key === key)?.label ?? key;
  const ways = answer.ways.map(({ lifts, matched, instead }, i) => {
    const posts = fillPlural(texts.posts, matched, language);
    if (instead) {
      const [value, other] = [instead.value, instead.for].map((slug) => termLabel(shown, instead.facet, slug));
      const label = fill(texts.instead, { value: value!, other: other!, posts });
      return { label, link: linkTo(shown, choose(choices, instead.facet, [instead.value])) };
    }
    const facets = Object.fromEntries(Object.entries(choices.facets).filter(([key]) => !lifts.includes(key)));
    const isLast = i === answer.ways.length - 1 && i > 0;
    const facet = new Intl.ListFormat(language).format(lifts.map(labelOf));
    const label = isLast ? fill(texts.startOver, { posts }) : fill(texts.without, { facet, posts });
    return { label, link: linkTo(shown, { ...choices, facets, page: 1 }) };
  });
  const others = answer.others ? { title: texts.others, cards: cardViews(shown, answer.others) } : null;
  return { title: texts.emptyTitle, lead: ways.length > 0 ? texts.emptyWays : null, ways, others };
}

/** What a term is called; its slug where the answer does not hold it. */
function termLabel({ answer }: Shown, key: string, slug: string): string {
  const facet = answer.facets.find((one) => one.key === key);
  const options = facet && 'options' in facet ? facet.options : [];
  return options.find(({ value }) => value === slug)?.label ?? slug;
}

/** “Show 37 notes”, by what is chosen this moment. */
export function showText({ answer, settings: { texts, language } }: Shown): string {
  return texts.show.replace('{posts}', fillPlural(texts.posts, answer.matched, language));
}
