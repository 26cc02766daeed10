import type { Item } from '@ivy/core';
import { directionOf, pageSheet, resolver } from '@ivy/view';
import { frameRules } from '../../delivery/hosted/frame-rules.js';
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
        <style>
          ${frameRules('system-ui, sans-serif')}${new Markup(pageSheet(lens.look))}
        </style>
        <script defer src="ivy-lens.js"></script>
      </head>
      <body>
        <h1>${name}</h1>
        <ivy-lens
          name="${slug}"
          ${site !== null && html`base="${site}/"`}
          style="display:block;min-height:100vh"
        ></ivy-lens>
        <noscript>
          <ul>
            ${listed}
          </ul>
          ${left > 0 && html`<p>+ ${left}</p>`}
        </noscript>
      </body>
    </html> `.text;
}
