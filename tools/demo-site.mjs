// The demo site: plain files on an origin of their own, as any site would have them.
import { createReadStream, existsSync, readFileSync, statSync } from 'node:fs';
import { createServer } from 'node:http';
import { extname, join, normalize } from 'node:path';
import { root } from './root.mjs';

const types = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.woff2': 'font/woff2',
  '.csv': 'text/csv; charset=utf-8',
};

/**
 * Serves the demo site.
 * @param {{ host: string, port: number, studio: string }} where  `studio` stands in for the snippet's default origin
 * @returns {Promise<import('node:http').Server>}
 */
export function serveDemo({ host, port, studio }) {
  const folder = join(root, 'demo', 'dist', 'site');
  const server = createServer((request, response) => {
    const file = fileOf(folder, request.url ?? '/');
    if (!file) {
      response
        .writeHead(404, { 'content-type': 'text/plain; charset=utf-8' })
        .end('There is no such page on this site.\n');
      return;
    }
    response.setHeader('content-type', types[extname(file)] ?? 'application/octet-stream');
    response.setHeader('content-security-policy', policyFor(studio));
    response.setHeader('x-content-type-options', 'nosniff');
    // whoever weighs a page may know how large its pictures are
    response.setHeader('timing-allow-origin', '*');
    if (extname(file) === '.html') response.end(readFileSync(file, 'utf8').replaceAll('http://127.0.0.1:4800', studio));
    else {
      response.setHeader('cache-control', 'public, max-age=3600');
      createReadStream(file).pipe(response);
    }
  });
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, host, () => done(server));
  });
}

/** What pages of the site may do: their own files, and the one script with what it asks for. */
function policyFor(studio) {
  return [
    "default-src 'self'",
    `script-src 'self' ${studio}`,
    `connect-src 'self' ${studio}`,
    "img-src 'self' data:",
    // the script brings its style sheet along
    "style-src 'self' 'unsafe-inline'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'self'",
  ].join('; ');
}

function fileOf(folder, url) {
  let path;
  try {
    path = normalize(decodeURIComponent(url.split(/[?#]/)[0]));
  } catch {
    return undefined;
  }
  const file = join(folder, path);
  if (file !== folder && !file.startsWith(`${folder}/`)) return undefined;
  // a page that goes on has its others beside it
  const further = /[?&]page=([2-9])(?:&|$)/.exec(url)?.[1];
  const candidates = [...(further ? [`${file}-${further}.html`] : []), file, join(file, 'index.html'), `${file}.html`];
  return candidates.find((candidate) => existsSync(candidate) && statSync(candidate).isFile());
}
