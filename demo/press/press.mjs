// A small publishing system of the wardens' own: what a source can be fetched from, in every way that is met elsewhere. Its
// notes grow by themselves, and it can be told to be as bad as endpoints are.
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { makeNotes } from '../make/notes.mjs';
import { makeWalks } from '../make/walks.mjs';
import * as pages from './pages.mjs';

/** Notes there are at first, and milliseconds after which another one is published. */
const atFirst = 240;
const eachAfter = 90_000;
const perPage = 40;

/** Pictures of notes, as the demo has them: they come whatever else is wrong. */
const pictures = new URL('../dist/site/pictures/', import.meta.url);

/** What it can be told to be. */
const calm = { slow: 0, fail: 0, lie: false, repeat: false, redirect: '', endless: false, lose: 0, key: '' };

/** All that is published, at a moment. */
function makePress(startedAt) {
  const all = makeNotes();
  const walks = makeWalks();
  const authors = named([...new Set(all.map((note) => note.observer))], 11);
  const habitats = named(
    [...new Set(all.flatMap((note) => note.habitat.map((path) => path.split(' > ').at(-1))))],
    101,
  );
  const kinds = named([...new Set(all.map((note) => note.kind))], 31);
  const idOf = (list, name) => list.find((one) => one.name === name).id;
  const extra = [];
  return {
    walks,
    authors,
    habitats,
    kinds,
    extra,
    /** The newest first. */
    notes(now) {
      const count = Math.min(all.length, atFirst + Math.floor((now - startedAt) / eachAfter));
      const shown = all.slice(0, count).map((note, i) => ({
        id: 1000 + i,
        slug: note.id,
        title: note.title,
        text: note.summary,
        posted: note.published,
        picture: note.noPicture ? null : `/pictures/${note.id}.svg`,
        minutes: note.minutes,
        author: idOf(authors, note.observer),
        habitats: note.habitat.map((path) => idOf(habitats, path.split(' > ').at(-1))),
        kind: idOf(kinds, note.kind),
      }));
      return [...shown, ...extra].reverse();
    },
  };
}

function named(names, from) {
  return names.map((name, i) => ({ id: from + i, name }));
}

/**
 * Serves the press.
 * @param {{ host: string, port: number, site?: string, now?: () => number }} where  `site` is where pictures are
 * @returns {Promise<import('node:http').Server & { mood: object }>}
 */
export function servePress({ host, port, site = '', now = Date.now }) {
  const press = makePress(now());
  const mood = { ...calm };
  const counts = { asked: 0 };
  const server = createServer((request, response) => {
    const origin = `http://${request.headers.host}`;
    const url = new URL(request.url, origin);
    if (url.pathname === '/press/mood') return setMood(request, response, mood, press);
    counts.asked++;
    const answer = () => {
      try {
        give(request, response, url, { press, mood, site, now: now() });
      } catch (error) {
        response.writeHead(500).end(String(error));
      }
    };
    if (mood.slow > 0) setTimeout(answer, mood.slow);
    else answer();
  });
  Object.assign(server, { mood, counts });
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, host, () => done(server));
  });
}

/** `POST /press/mood` with what it is to be from now on; `{}` for calm again, `publish` for a further note. */
function setMood(request, response, mood, press) {
  let body = '';
  request.on('data', (chunk) => (body += chunk));
  request.on('end', () => {
    try {
      const { publish, ...said } = JSON.parse(body || '{}');
      Object.assign(mood, calm, said);
      if (publish) press.extra.push({ id: 9000 + press.extra.length, slug: `x-${press.extra.length}`, ...publish });
      response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(mood));
    } catch {
      response.writeHead(400).end('Send JSON.\n');
    }
  });
}

function give(request, response, url, { press, mood, site, now }) {
  const picture = /^\/pictures\/(n-\d{4}\.svg)$/.exec(url.pathname)?.[1];
  if (picture) {
    return response.writeHead(200, { 'content-type': 'image/svg+xml' }).end(readFileSync(new URL(picture, pictures)));
  }
  if (mood.fail > 0) return response.writeHead(mood.fail, { 'retry-after': '60' }).end('Not now.\n');
  if (mood.redirect !== '') return response.writeHead(302, { location: mood.redirect }).end();
  if (mood.key !== '' && request.headers['x-press-key'] !== mood.key) return response.writeHead(401).end('No key.\n');
  const notes = press.notes(now).slice(mood.lose);
  const found = contentOf(url, { ...press, notes, site, isRepeating: mood.repeat });
  if (!found) return response.writeHead(404, { 'content-type': 'text/plain' }).end('There is nothing here.\n');
  const { type, body, headers = {} } = found;
  const etag = `"${createHash('sha1').update(body).digest('hex').slice(0, 16)}"`;
  if (request.headers['if-none-match'] === etag) return response.writeHead(304, { etag, ...headers }).end();
  const bytes = Buffer.from(body);
  if (mood.endless) return giveWithoutEnd(response, type);
  const length = mood.lie ? bytes.length + 1000 : bytes.length;
  response.writeHead(200, { 'content-type': type, 'content-length': length, etag, ...headers });
  response.write(bytes);
  // one that promised more than it has breaks off
  if (mood.lie) setTimeout(() => response.destroy(), 50);
  else response.end();
}

function giveWithoutEnd(response, type) {
  response.writeHead(200, { 'content-type': type });
  response.write('[');
  const timer = setInterval(() => response.write(`{"id":1,"title":"${'again '.repeat(2000)}"},`.repeat(20)), 1);
  response.on('close', () => clearInterval(timer));
}

function contentOf(url, given) {
  const { pathname: path, origin, searchParams } = url;
  const json = (value, headers) => ({ type: 'application/json; charset=utf-8', body: JSON.stringify(value), headers });
  const page = Math.max(1, Number(searchParams.get('page') ?? 1));
  const shown = given.isRepeating ? 1 : page;
  const some = given.notes.slice((shown - 1) * perPage, shown * perPage);
  const isMore = given.isRepeating || page * perPage < given.notes.length;
  const next = `${path}?page=${page + 1}`;
  switch (path) {
    case '/':
      return { type: 'text/html; charset=utf-8', body: pages.frontPage() };
    case '/api/notes':
      return json(some, isMore ? { link: `<${next}>; rel="next"` } : {});
    case '/api/authors':
    case '/api/habitats':
    case '/api/kinds':
      return json(given[path.split('/').at(-1)]);
    case '/api/linked/notes':
      return json({
        _links: { self: { href: url.href }, ...(isMore && { next: { href: next } }) },
        _embedded: { notes: some.map((note) => pages.linked(note, given, origin)) },
      });
    case '/api/walks': {
      const from = Number(searchParams.get('offset') ?? 0);
      return json({ total: given.walks.length, items: given.walks.slice(from, from + 20) });
    }
    case '/notes.rss':
      return { type: 'application/rss+xml; charset=utf-8', body: pages.rss(given, origin) };
    case '/notes.atom':
      return { type: 'application/atom+xml; charset=utf-8', body: pages.atom(given, origin) };
    case '/notes.json':
      return { type: 'application/feed+json; charset=utf-8', body: pages.jsonFeed(given, origin) };
    case '/walks.ics':
      return { type: 'text/calendar; charset=utf-8', body: pages.calendar(given.walks) };
    case '/feeds.opml':
      return { type: 'text/x-opml; charset=utf-8', body: pages.opml(origin) };
    case '/notes':
    case '/plain': {
      const body = pages.listing(path === '/notes', some, given, isMore ? next : null);
      return { type: 'text/html; charset=utf-8', body };
    }
    default:
      return null;
  }
}
