// Makes the demo: the notes and the walks as CSV files, the notes' pictures, and the site all of it belongs to.
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeNotes } from './notes.mjs';
import { drawPicture } from './picture.mjs';
import { makeNotices, noticePages } from './notices.mjs';
import { makeWalks } from './walks.mjs';

const here = dirname(dirname(fileURLToPath(import.meta.url)));
const dist = join(here, 'dist');
const site = join(dist, 'site');
rmSync(dist, { recursive: true, force: true });
for (const folder of ['pictures', 'notes', 'fonts']) mkdirSync(join(site, folder), { recursive: true });

const notes = makeNotes();
for (const note of notes) {
  const picture = drawPicture({ seed: note.id, habitat: note.scene, subject: note.subject, light: note.light });
  writeFileSync(join(site, 'pictures', `${note.id}.svg`), picture);
}
writePages();
for (const path of ['notices', 'board']) {
  for (const [name, page] of noticePages(path)) writeFileSync(join(site, name), page);
}
writeFonts();
writeWalks();
writeNotices();
// last, so that a build cut short is seen as not done
writeNotes();

function writeNotes() {
  writeCsv('field-notes.csv', notes, {
    note_id: (note) => note.id,
    title: (note) => note.title,
    summary: (note) => note.summary,
    image: (note) => (note.noPicture ? '' : `/pictures/${note.id}.svg`),
    url: (note) => `/notes/${note.id}`,
    published: (note) => note.published,
    observed_on: (note) => note.observed,
    habitat: (note) => note.habitat.join(' | '),
    place: (note) => note.place,
    species: (note) => note.species.join(' | '),
    kind: (note) => note.kind,
    minutes: (note) => note.minutes,
    tide_height: (note) => note.tideHeight,
    tide_state: (note) => note.tide,
    volunteers: (note) => note.volunteers,
    observer: (note) => note.observer,
  });
}

function writeWalks() {
  writeCsv('walks.csv', makeWalks(), {
    walk_id: (walk) => walk.id,
    title: (walk) => walk.title,
    summary: (walk) => walk.summary,
    begins: (walk) => walk.begins,
    ends: (walk) => walk.ends,
    when: (walk) => daysText(walk.begins, walk.ends),
    kind: (walk) => walk.kind,
    place: (walk) => walk.place,
    level: (walk) => walk.level,
    leader: (walk) => walk.leader,
    places_left: (walk) => walk.places,
    url: () => '/join',
  });
}

/** The board as posts, as one gets them from its pages. */
function writeNotices() {
  writeCsv('notices.csv', makeNotices(), {
    when: ({ date }) => date.toISOString().slice(0, 10),
    notice: ({ title }) => title,
    where: ({ place }) => place,
    kind: ({ kind }) => kind,
    habitat: ({ habitats }) => habitats.join(' | '),
    link: ({ number }) => `/join#notice-${number}`,
  });
}

/** “Sat 13 June”, or “13 to 15 June”. */
function daysText(begins, ends) {
  const text = (day, options) =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' }).format(new Date(day));
  if (begins === ends) return text(begins, { weekday: 'short', day: 'numeric', month: 'long' }).replace(',', '');
  const long = { day: 'numeric', month: 'long' };
  const sameMonth = begins.slice(0, 7) === ends.slice(0, 7);
  return `${text(begins, sameMonth ? { day: 'numeric' } : long)} to ${text(ends, long)}`;
}

function writeCsv(name, rows, columns) {
  const cell = (value) => (/[",\n]/.test(String(value)) ? `"${String(value).replaceAll('"', '""')}"` : String(value));
  const lines = rows.map((row) =>
    Object.values(columns)
      .map((read) => cell(read(row)))
      .join(','),
  );
  writeFileSync(join(dist, name), `${[Object.keys(columns).join(','), ...lines].join('\n')}\n`);
}

function writePages() {
  cpSync(join(here, 'site'), site, { recursive: true });
  const page = readFileSync(join(here, 'site', 'note.html'), 'utf8');
  rmSync(join(site, 'note.html'));
  const escape = (text) => text.replace(/[&<>"]/g, (mark) => `&#${mark.charCodeAt(0)};`);
  for (const note of notes) {
    const values = {
      title: note.title,
      summary: note.summary,
      picture: `/pictures/${note.id}.svg`,
      place: note.spot,
      observer: note.observer,
      kind: note.kind,
    };
    writeFileSync(
      join(site, 'notes', `${note.id}.html`),
      page.replace(/\{\{(\w+)\}\}/g, (_, name) => escape(values[name] ?? '')),
    );
  }
}

function writeFonts() {
  const find = createRequire(import.meta.url);
  const fonts = { 'bricolage-grotesque': 'wght', 'instrument-sans': 'wght' };
  for (const [name, axis] of Object.entries(fonts)) {
    const folder = dirname(find.resolve(`@fontsource-variable/${name}/package.json`));
    cpSync(join(folder, 'files', `${name}-latin-${axis}-normal.woff2`), join(site, 'fonts', `${name}.woff2`));
  }
}
