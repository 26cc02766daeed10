// Makes the demo: the notes as a CSV file, their pictures, and the site they belong to.
import { cpSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeNotes } from './notes.mjs';
import { drawPicture } from './picture.mjs';

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
writeFonts();
// last, so that a build cut short is seen as not done
writeCsv();

function writeCsv() {
  const columns = {
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
  };
  const cell = (value) => (/[",\n]/.test(String(value)) ? `"${String(value).replaceAll('"', '""')}"` : String(value));
  const rows = notes.map((note) =>
    Object.values(columns)
      .map((read) => cell(read(note)))
      .join(','),
  );
  writeFileSync(join(dist, 'field-notes.csv'), `${[Object.keys(columns).join(','), ...rows].join('\n')}\n`);
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
