import {
  fill,
  fillPlural,
  pageNumbers,
  writeAddress,
  type Answer,
  type FoundTerms,
  type Query,
  type Settings,
} from '@ivy/core';
import { drawCards } from './plain-cards.js';
import { drawChips } from './plain-chips.js';
import { drawFacets } from './plain-facets.js';
import { html, type Markup } from './markup.js';

/** All a page without scripts is drawn from. */
export interface Plain {
  settings: Settings;
  answer: Answer;
  query: Query;
  /** Parameters that are not the lens's, as they came. */
  foreign: readonly string[];
  /** What visitors look for in facets with more terms than an answer holds, by facet. */
  found: ReadonlyMap<string, { text: string; terms: FoundTerms }>;
  /** Milliseconds: the moment the page is drawn at. */
  now: number;
  /** The page's own path. */
  path: string;
  /** A link or picture of a post as it is from this page; null for one that no page should follow. */
  resolve: (link: string) => string | null;
}

/** The link to another query: parameters that are not the lens's stay in front. */
export function hrefOf({ path, foreign }: Plain, query: Query): string {
  const address = [...foreign, writeAddress(query)].filter((part) => part !== '').join('&');
  return address === '' ? path : `${path}?${address}`;
}

/**
 * A listing that works without scripts: a form that sends its address, and links. It bears the same classes as what the
 * page script draws in its place, so that nothing moves when that takes over.
 */
export function drawPlain(plain: Plain): Markup {
  const { settings, answer, path } = plain;
  return html`<form
    class="ivy-frame"
    data-plain
    data-facets="${settings.look.facets}"
    method="get"
    action="${path}"
    style="--ivy-columns:${settings.look.columns}"
  >
    <div class="ivy-side">
      ${drawForeign(plain)}${drawFacets(plain)}
      <div class="ivy-apply"><button class="ivy-show">${settings.texts.apply}</button></div>
    </div>
    <div class="ivy-main">
      <div class="ivy-head">
        ${drawChips(plain)}
        <div class="ivy-bar">
          <p class="ivy-count-line">
            <strong>${fillPlural(settings.texts.posts, answer.matched, settings.language)}</strong>
            ${answer.matched !== answer.total && html`<span>${fill(settings.texts.of, { total: figure(plain, answer.total) })}</span>`}
          </p>
          ${drawSort(plain)}
        </div>
      </div>
      <h2 class="ivy-unseen">${settings.texts.results}</h2>
      ${drawNotices(plain)} ${answer.matched === 0 ? drawEmpty(plain) : drawCards(plain)} ${drawPager(plain)}
    </div>
  </form>`;
}

/** A number as the lens's language writes it. */
export function figure({ settings }: Plain, n: number): string {
  return new Intl.NumberFormat(settings.language).format(n);
}

/** A form sends only what is in it, so what is not the lens's goes along unseen. */
function drawForeign({ foreign }: Plain): Markup[] {
  return [...new URLSearchParams(foreign.join('&'))].map(
    ([name, value]) => html`<input type="hidden" name="${name}" value="${value}" />`,
  );
}

function drawSort({ settings, answer, query }: Plain): Markup | false {
  if (settings.sort.length < 2) return false;
  const { prefix, sort } = settings.address;
  const chosen = query.sort ?? answer.sort;
  // what applies without being named is sent as nothing: a search then still brings the best matches first
  const value = (key: string) => (key === answer.sort && query.sort === null ? '' : key);
  const implied = answer.sort === 'relevance' && !settings.sort.some((option) => option.key === 'relevance');
  const options = implied ? [{ key: 'relevance', label: settings.texts.relevance }, ...settings.sort] : settings.sort;
  return html`<label class="ivy-sort"
    ><span>${settings.texts.sort}</span>
    <select name="${prefix + sort}">
      ${options.map(({ key, label }) => html`<option value="${value(key)}" ${key === chosen && html` selected`}>${label}</option>`)}
    </select></label
  >`;
}

function drawNotices({ settings, answer, query }: Plain): Markup[] {
  return answer.notices
    .filter((notice) => notice.code === 'respelled')
    .map((notice) => {
      const selection = query.selections[notice.facet ?? ''];
      const searched = selection?.type === 'search' ? selection.text : '';
      const text = fill(settings.texts.respelled, { searched, value: notice.value ?? '' });
      return html`<div class="ivy-notices"><p>${text}</p></div>`;
    });
}

function drawEmpty(plain: Plain): Markup {
  const { settings, answer, query } = plain;
  const { texts, language } = settings;
  return html`<div class="ivy-empty">
    <p class="ivy-empty-title">${texts.emptyTitle}</p>
    ${
      answer.ways.length > 0 &&
      html`<p>${texts.emptyWays}</p>
        <ul class="ivy-ways">
          ${answer.ways.map((way) => {
            const { [way.without]: _lifted, ...selections } = query.selections;
            const label = settings.facets.find((facet) => facet.key === way.without)?.label ?? way.without;
            const text = fill(texts.without, { facet: label, posts: fillPlural(texts.posts, way.matched, language) });
            return html`<li>
              <a class="ivy-way" href="${hrefOf(plain, { ...query, selections, page: 1 })}">${text}</a>
            </li>`;
          })}
        </ul>`
    }
  </div>`;
}

function drawPager(plain: Plain): Markup | false {
  const { settings, answer, query } = plain;
  const { texts } = settings;
  if (answer.pages <= 1) return false;
  const link = (page: number, label: string, name: string, rel: string | null = null) =>
    html`<a
      class="ivy-page"
      href="${hrefOf(plain, { ...query, page })}"
      aria-label="${name}"
      ${rel && html` rel="${rel}"`}${page === answer.page && html` aria-current="page"`}
      >${label}</a
    >`;
  return html`<nav class="ivy-pager" aria-label="${texts.pages}">
    ${answer.page > 1 && link(answer.page - 1, texts.previous, texts.previous, 'prev')}
    <ol>
      ${pageNumbers(answer.page, answer.pages).map((n) =>
        n === null
          ? html`<li class="ivy-gap" aria-hidden="true">…</li>`
          : html`<li>${link(n, String(n), fill(texts.page, { n }))}</li>`,
      )}
    </ol>
    ${answer.page < answer.pages && link(answer.page + 1, texts.next, texts.next, 'next')}
  </nav>`;
}

/** How a page of ours looks around its listing. */
export const pageStyle = html`<style>
  @font-face {
    font-family: 'Source Sans 3';
    src: url(/preview-font.woff2) format('woff2');
    font-weight: 200 900;
  }
  body {
    margin: 0 auto;
    max-width: 1240px;
    padding: 22px 20px 40px;
    background: #fdfdf9;
    color: #1d2b2e;
    font:
      15px/1.45 'Source Sans 3',
      system-ui,
      sans-serif;
  }
  ivy-lens {
    --ivy-page: #fdfdf9;
  }
  h1 {
    margin: 0 0 16px;
    font-size: 28px;
    line-height: 1.15;
    letter-spacing: -0.01em;
  }
</style>`;

/** The whole document: it reads well with scripts off, and with them on the page script takes it over. */
export function plainDocument(plain: Plain, page: { slug: string; name: string; scripts: boolean }): string {
  const { settings } = plain;
  const rtl = /^(ar|he|fa|ur)\b/.test(settings.language);
  const canonical = hrefOf({ ...plain, foreign: [] }, { ...plain.query, page: plain.answer.page });
  return html`<!doctype html>
    <html lang="${settings.language}" ${rtl && html` dir="rtl"`}>
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>${page.name}</title>
        <link rel="icon" href="data:," />
        <link rel="canonical" href="${canonical}" />
        ${page.scripts && html`<script type="module" src="/embed/ivy-lens.js"></script>`}
        <link rel="stylesheet" href="/embed/ivy-lens.css" />
        ${pageStyle}
      </head>
      <body>
        <main>
          <h1>${page.name}</h1>
          <ivy-lens name="${page.slug}">${drawPlain(plain)}</ivy-lens>
        </main>
      </body>
    </html> `.text;
}
