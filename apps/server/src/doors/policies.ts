import { isOrigin } from '../shared/origins.js';

/** Directives of a content security policy (CSP level 3), and what each lets in. */
type Directives = Readonly<Record<string, readonly string[]>>;

const base: Directives = {
  'default-src': ["'self'"],
  // pictures of posts come from the sites they belong to
  'img-src': ['*', 'data:'],
  'style-src': ["'self'", "'unsafe-inline'"],
  // small typefaces stand in the style sheet itself
  'font-src': ["'self'", 'data:'],
  'script-src': ["'self'"],
  'object-src': ["'none'"],
  'base-uri': ["'none'"],
  'form-action': ["'self'"],
  'frame-ancestors': ["'self'"],
};

/** What all pages of the server may do. The engine's kernel is WebAssembly of our own; nothing else is let in with it. */
export const studioPolicy = written({ ...base, 'script-src': ["'self'", "'wasm-unsafe-eval'"] });

/** What the draft without scripts may do. */
export const plainPolicy = written({ ...base, 'script-src': ["'none'"], 'connect-src': ["'none'"] });

/** What the page in the Bench's frame may do: its links and pictures belong to the site of the source. */
export function previewPolicy(site: string | null): string {
  return written({ ...base, ...(site !== null && isOrigin(site) && { 'base-uri': [site] }) });
}

/**
 * What a page of others may do that is shown in the studio: look as it does where it stands. No script of it runs, and
 * nothing of it is sent anywhere.
 */
export const framedPolicy = written({
  'default-src': ["'none'"],
  'img-src': ['*', 'data:'],
  'style-src': ['*', "'unsafe-inline'"],
  'font-src': ['*', 'data:'],
  'media-src': ['*'],
  'form-action': ["'none'"],
  'frame-ancestors': ["'self'"],
  sandbox: ['allow-same-origin'],
});

function written(directives: Directives): string {
  return Object.entries(directives)
    .map(([name, values]) => `${name} ${values.join(' ')}`)
    .join('; ');
}
