import type { Item } from '@ivy/core';
import { directionOf, pageSheet, resolver } from '@ivy/view';
import { html, Markup } from '../../delivery/hosted/markup.js';
import type { CachedLens } from '../../delivery/lens-cache.js';

/** Posts that are listed for whoever has no scripts. */
export const mostListed = 500;

/**
 * The page of a bundle: the listing, and for whoever has no scripts its posts as a plain list.
 * @param items  the posts as they stand without a choice, as many as are listed
 * @param left   how many there are besides
 */
export function bundlePage({ slug, name, lens, site }: CachedLens, items: readonly Item[], left: number): string {
  const resolve = resolver(site);
  const base = site === null ? '' : `${site}/`;
  const listed = items.map(({ title, link }) => {
    const href = link === null ? null : resolve(link);
    return html`<li>${href === null ? title : html`<a href="${href}">${title}</a>`}</li>`;
  });
  return html`<!doctype html>
    <html lang="${lens.language}" dir="${directionOf(lens.language)}">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <title>${name}</title>
        ${style}
        <style>
          ${new Markup(pageSheet(lens.look))}
        </style>
        <script defer src="ivy-lens.js"></script>
      </head>
      <body>
        <h1>${name}</h1>
        <ivy-lens name="${slug}" base="${base}" style="display:block;min-height:100vh"></ivy-lens>
        <noscript>
          <ul>
            ${listed}
          </ul>
          ${left > 0 && html`<p>+ ${left}</p>`}
        </noscript>
      </body>
    </html> `.text;
}

/** How the page looks around its listing, where its own sheet says nothing. */
const style = html`<style>
  body {
    margin: 0 auto;
    max-width: 1240px;
    padding: 22px 20px 40px;
    background: light-dark(#fdfdf9, #121615);
    color: light-dark(#1d2b2e, #e8eeec);
    font:
      15px/1.45 system-ui,
      sans-serif;
  }
  h1 {
    margin: 0 0 16px;
    font-size: 28px;
    line-height: 1.15;
  }
</style>`;
