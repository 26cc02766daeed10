import { mayBeIndexed, type Answer, type FoundAddress, type Query } from '@ivy/core';
import { pageWords, writeChoices, type PageWords, type Shown } from '@ivy/view';
import { html, Markup } from './markup.js';
import { hrefOn } from './href.js';

/** What a page tells of itself to browsers and search engines. Addresses are whole. */
export interface PageHead extends PageWords {
  canonical: string;
  /** Whether search engines may keep it. */
  isIndexed: boolean;
  previous: string | null;
  next: string | null;
  /** The page in other languages. */
  languages: readonly { language: string; href: string }[];
  sitemap: string | null;
  /** The newest of these posts, for readers of feeds. */
  feeds: readonly { type: string; href: string }[];
  /** The posts on it, as schema.org's ItemList. */
  items: object | null;
}

interface Headed {
  shown: Shown;
  query: Query;
  /** Where the page is, without a query string. */
  url: string;
  /** What the page says of itself that is no part of the lens's own address, such as its language. */
  kept: readonly string[];
  /** A draft is nobody's to find. */
  isReleased: boolean;
  /** Where feeds of the lens are, but for the last of their names. */
  feed: string;
  languages: PageHead['languages'];
}

/** Works out what a page tells of itself. Later pages are their own; old names lead to those in force. */
export function pageHead({ shown, query, url, kept, isReleased, feed, languages }: Headed): PageHead {
  const { answer, settings, choices } = shown;
  const canonical = hrefOn(url, kept, answer.address);
  const onPage = (page: number) => hrefOn(url, kept, writeChoices({ ...choices, page }, settings));
  // a feed is of what is chosen, whatever page of it one is on
  const chosen = writeChoices({ ...choices, page: 1, sort: null }, settings);
  const feedAt = (at: string) => hrefOn(at, kept, chosen);
  return {
    ...pageWords(shown),
    canonical,
    isIndexed: isReleased && mayBeIndexed(query, answer.matched),
    previous: answer.page > 1 ? onPage(answer.page - 1) : null,
    next: answer.page < answer.pages ? onPage(answer.page + 1) : null,
    languages: languages.length > 1 ? languages : [],
    sitemap: isReleased ? `${url}/sitemap.xml` : null,
    feeds: isReleased ? feedTypes.map(({ ending, type }) => ({ type, href: feedAt(feed + ending) })) : [],
    items: !isReleased || answer.items.length === 0 ? null : itemList(answer, shown, canonical),
  };
}

const feedTypes = [
  { ending: 'feed.atom', type: 'application/atom+xml' },
  { ending: 'feed.json', type: 'application/feed+json' },
];

function itemList({ items, matched, page, pageSize }: Answer, shown: Shown, canonical: string): object {
  return {
    '@context': 'https://schema.org',
    '@type': 'ItemList',
    name: pageWords(shown).title,
    url: canonical,
    numberOfItems: matched,
    itemListElement: items.map(({ title, link }, i) => {
      const href = link === null ? null : shown.resolve(link);
      return {
        '@type': 'ListItem',
        position: (page - 1) * pageSize + i + 1,
        name: title,
        ...(href !== null && URL.canParse(href, canonical) && { url: new URL(href, canonical).href }),
      };
    }),
  };
}

/** The head of a page, but for its sheets and scripts. */
export function drawHead(head: PageHead): Markup {
  const link = (rel: string, href: string | null) => href !== null && html`<link rel="${rel}" href="${href}" />`;
  return html`<title>${head.title}</title>
    <meta name="description" content="${head.text}" />
    <meta property="og:title" content="${head.title}" />
    <meta property="og:description" content="${head.text}" />
    <meta property="og:url" content="${head.canonical}" />
    ${!head.isIndexed && html`<meta name="robots" content="noindex, follow" />`} ${link('canonical', head.canonical)}
    ${link('prev', head.previous)} ${link('next', head.next)}
    ${head.languages.map(({ language, href }) => html`<link rel="alternate" hreflang="${language}" href="${href}" />`)}
    ${link('sitemap', head.sitemap)}
    ${head.feeds.map(
      ({ type, href }) => html`<link rel="alternate" type="${type}" title="${head.title}" href="${href}" />`,
    )}
    ${head.items !== null && new Markup(`<script type="application/ld+json">${inScript(head.items)}</script>`)}`;
}

/** JSON that can stand in a script of HTML, whatever it says. */
function inScript(value: object): string {
  return JSON.stringify(value).replace(
    /[<>&\u2028\u2029]/g,
    (mark) => `\\u${mark.charCodeAt(0).toString(16).padStart(4, '0')}`,
  );
}

/** A sitemap (sitemaps.org) of addresses of a page. */
export function writeSitemap(url: string, found: readonly FoundAddress[]): string {
  const entries = found.map(({ address }) => html`<url><loc>${hrefOn(url, [], address)}</loc></url> `.text);
  return `<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">\n${entries.join('')}</urlset>\n`;
}
