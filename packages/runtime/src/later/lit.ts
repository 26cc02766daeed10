import type { html, nothing } from 'lit-html';
import type { live } from 'lit-html/directives/live.js';

/** What the page script draws with, handed in: so that it does not come a second time. */
export interface Lit {
  html: typeof html;
  nothing: typeof nothing;
  live: typeof live;
}
