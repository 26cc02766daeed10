import type { ChipsView, MoreView, NumbersView, PageLink, PagerView, Shown, SortView, View } from '@ivy/view';
import { drawCards } from './plain-cards.js';
import { drawTable } from './plain-table.js';
import { drawHead, type PageHead } from './page-head.js';
import { drawFacets } from './plain-facets.js';
import { frameRules } from './frame-rules.js';
import { html, Markup } from './markup.js';

/** All a page without scripts is drawn from. */
export interface Plain {
  view: View;
  shown: Shown;
  /** Parameters that are not the lens's, as they came. */
  foreign: readonly string[];
  /** The page's own path. */
  path: string;
}

/**
 * A listing that works without scripts: a form that sends its address, and links. It bears the same classes as what the
 * page script draws in its place, so that nothing moves when that takes over.
 */
export function drawPlain({ view, shown, foreign, path }: Plain): Markup {
  const { settings, placed } = shown;
  return html`<form class="ivy-frame" data-plain data-facets="${placed.facets}" method="get" action="${path}">
    <div class="ivy-side">
      ${drawForeign(foreign)}${drawFacets(view.facets)}
      <div class="ivy-apply"><button class="ivy-show">${settings.texts.apply}</button></div>
    </div>
    <div class="ivy-main">
      <div class="ivy-head">
        ${view.chips && drawChips(view.chips)}
        <div class="ivy-bar">
          <p class="ivy-count-line">
            <strong>${view.count.matched}</strong>
            ${view.count.of !== null && html`<span>${view.count.of}</span>`}
          </p>
          ${view.size && drawSort(view.size)} ${view.sort && drawSort(view.sort)}
        </div>
      </div>
      <h2 class="ivy-unseen">${settings.texts.results}</h2>
      ${view.notices.length > 0 && html`<div class="ivy-notices">${view.notices.map((words) => html`<p>${words}</p>`)}</div>`}
      ${view.empty ? drawEmpty(view.empty, shown) : drawPosts(shown, view.cards)} ${view.pager && drawPager(view.pager)}
    </div>
  </form>`;
}

/** Posts as cards or as a table. */
function drawPosts(shown: Shown, cards: View['cards']): Markup {
  return shown.placed.arrangement === 'table' ? drawTable(shown, cards) : drawCards(cards, shown.placed);
}

/** A form sends only what is in it, so what is not the lens's goes along unseen. */
function drawForeign(foreign: readonly string[]): Markup[] {
  return [...new URLSearchParams(foreign.join('&'))].map(
    ([name, value]) => html`<input type="hidden" name="${name}" value="${value}" />`,
  );
}

/** What is chosen, each a link to the same without it. */
function drawChips({ label, chips, clear }: ChipsView): Markup {
  return html`<ul class="ivy-chips" aria-label="${label}">
    ${chips.map(
      (chip) =>
        html`<li>
          <a class="ivy-chip" href="${chip.without.href}" aria-label="${chip.name}"
            >${chip.label} <span aria-hidden="true" class="ivy-cross"></span
          ></a>
        </li>`,
    )}
    ${clear && html`<li><a class="ivy-clear" href="${clear.link.href}">${clear.label}</a></li>`}
  </ul>`;
}

/** A list to choose from: the order, or how many a page. */
function drawSort({ label, name, options }: SortView): Markup {
  return html`<label class="ivy-sort"
    ><span>${label}</span>
    <select name="${name}">
      ${options.map((option) => html`<option value="${option.value}" ${option.chosen && html` selected`}>${option.label}</option>`)}
    </select></label
  >`;
}

function drawEmpty({ title, lead, ways, others }: NonNullable<View['empty']>, shown: Shown): Markup {
  return html`<div class="ivy-empty">
      <p class="ivy-empty-title">${title}</p>
      ${
        lead !== null &&
        html`<p>${lead}</p>
          <ul class="ivy-ways">
            ${ways.map(({ label, link }) => html`<li><a class="ivy-way" href="${link.href}">${label}</a></li>`)}
          </ul>`
      }
    </div>
    ${
      others &&
      html`<h3 class="ivy-others">${others.title}</h3>
        ${drawPosts(shown, others.cards)}`
    }`;
}

function drawPager(view: PagerView): Markup {
  return view.form === 'more' ? drawMore(view) : drawNumbers(view);
}

function drawMore({ label, more, left, shown, link }: MoreView): Markup {
  return html`<nav class="ivy-pager ivy-next-pager" aria-label="${label}">
    ${more !== null && html`<a class="ivy-next" href="${link.href}" rel="next"><b>${more}</b>, ${left}</a>`}
    <span class="ivy-shown">${shown}</span>
  </nav>`;
}

function drawNumbers({ label, previous, pages, next }: NumbersView): Markup {
  const link = (page: PageLink, rel: string | null = null) =>
    html`<a
      class="ivy-page"
      href="${page.link.href}"
      aria-label="${page.name}"
      ${rel && html` rel="${rel}"`}${page.current && html` aria-current="page"`}
      >${page.label}</a
    >`;
  return html`<nav class="ivy-pager" aria-label="${label}">
    ${previous && link(previous, 'prev')}
    <ol>
      ${pages.map((page) => (page ? html`<li>${link(page)}</li>` : html`<li class="ivy-gap" aria-hidden="true">…</li>`))}
    </ol>
    ${next && link(next, 'next')}
  </nav>`;
}

/** How a page of ours looks around its listing. */
export const pageStyle = html`<style>
  @font-face {
    font-family: 'Source Sans 3';
    src: url(/preview-font.woff2) format('woff2');
    font-weight: 200 900;
  }
  ${frameRules("'Source Sans 3', system-ui, sans-serif")} .languages {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    margin: -10px 0 16px;
  }
  .languages a {
    color: light-dark(#55635f, #a9b6b2);
    padding: 4px 0;
  }
  .languages [aria-current] {
    color: inherit;
    font-weight: 650;
    text-decoration: none;
  }
</style>`;

/** What the document says around the listing. */
export interface PlainPage {
  slug: string;
  name: string;
  head: PageHead;
  /** Rules of how the lens looks. */
  sheet: string;
  scripts: boolean;
  /** What links and pictures of posts are relative to; null where that is not known. */
  base: string | null;
  /** The languages it can be read in, with the page as it is in each. */
  languages: readonly { language: string; href: string; current: boolean }[];
}

function drawLanguages(languages: PlainPage['languages']): Markup {
  return html`<p class="languages">
    ${languages.map(({ language, href, current }) => {
      const name = new Intl.DisplayNames([language], { type: 'language' }).of(language) ?? language;
      return html`<a lang="${language}" hreflang="${language}" href="${href}" ${current && html` aria-current="true"`}
        >${name}</a
      >`;
    })}
  </p>`;
}

/** The whole document: it reads well with scripts off, and with them on the page script takes it over. */
export function plainDocument(plain: Plain, page: PlainPage): string {
  const { view } = plain;
  return html`<!doctype html>
    <html lang="${view.language}" ${view.direction === 'rtl' && html` dir="rtl"`}>
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        ${drawHead(page.head)}
        <link rel="icon" href="data:," />
        ${page.scripts && html`<script type="module" src="/embed/ivy-lens.js"></script>`}
        <link rel="stylesheet" href="/embed/ivy-lens.css" />
        ${pageStyle} ${new Markup(`<style>${page.sheet}</style>`)}
      </head>
      <body>
        <main>
          <h1>${page.name}</h1>
          ${page.languages.length > 1 && drawLanguages(page.languages)}
          <ivy-lens name="${page.slug}" ${page.base !== null && html` base="${page.base}"`}
            >${drawPlain(plain)}</ivy-lens
          >
        </main>
      </body>
    </html> `.text;
}
