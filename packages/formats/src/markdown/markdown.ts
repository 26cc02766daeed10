import type { Rejection } from '@ivy/core';
import { micromark } from 'micromark';
import { gfm, gfmHtml } from 'micromark-extension-gfm';
import { FileProblem } from '../file-problem.js';
import type { Format, GivenFile, GivenText, Reading, ReadOptions } from '../format.js';
import { recordsOfObjects } from '../json/objects.js';
import { decodeText } from '../decode.js';
import { limits } from '../limits.js';
import { frontMatterOf } from './front-matter.js';

export const markdown: Format = {
  name: 'markdown',
  label: 'Markdown',
  endings: ['md', 'markdown', 'mdx'],
  types: ['text/markdown'],
  begins: (start) => /^(?:---|\+\+\+)[ \t]*\r?\n[^]*?\n(?:---|\+\+\+)[ \t]*(?:\r?\n|$)/.test(start),
  read: ({ text, name, options }: GivenText) => readPages([{ name, text }], options),
};

/** Names that generators of pages have for a folder's own page: it goes by the folder. */
const folderPages = /^(?:index|_index|readme)$/i;

/** Reads several files, each a post. One that can’t be read is set aside. */
export function readMarkdown(files: readonly GivenFile[], options: ReadOptions): Reading {
  return readPages(
    files.map(({ name, bytes }) => ({ name, text: decodeText(bytes) })),
    options,
  );
}

function readPages(pages: readonly { name: string; text: string }[], options: ReadOptions): Reading {
  const rejected: Rejection[] = [];
  const folders = options.folders ?? true;
  const above = commonFolders(pages.map(({ name }) => name));
  const objects: Record<string, unknown>[] = [];
  pages.forEach(({ name, text }, i) => {
    const read = text.length > limits.cell ? 'It is too long.' : frontMatterOf(text.replace(/^\ufeff/, ''));
    if (typeof read === 'string') {
      rejected.push({ record: i + 1, reason: `${name}: ${read}`, code: 'broken-row' });
      return;
    }
    objects.push(recordOf(name.split('/').slice(above), read, folders));
  });
  if (objects.length === 0) {
    const why = rejected[0] ? ` ${rejected[0].reason}` : '';
    throw new FileProblem('no-posts', `None of these files can be read as a post.${why}`);
  }
  return { records: recordsOfObjects(objects), rejected, options: { folders } };
}

function recordOf(
  path: readonly string[],
  { said, body }: { said: Record<string, unknown>; body: string },
  folders: boolean,
): Record<string, unknown> {
  const bare = path.at(-1)!.replace(/\.\w+$/, '');
  const isFolders = folderPages.test(bare) && path.length > 1;
  const within = path.slice(0, isFolders ? -2 : -1);
  const name = isFolders ? path.at(-2)! : bare;
  // a day before the name is how many generators of pages order posts
  const [, day, rest] = /^(\d{4}-\d{2}-\d{2})-(.+)$/.exec(name) ?? [];
  const heading = /^\s*#\s+(.+?)\s*#*\s*$/m.exec(body)?.[1];
  const known = new Set(Object.keys(said).map((key) => key.toLowerCase()));
  const own: Record<string, unknown> = { path: path.join('/').replace(/\.\w+$/, '') };
  if (!known.has('title')) own.title = heading ?? (rest ?? name).replaceAll(/[-_]+/g, ' ');
  if (day !== undefined && !known.has('date')) own.date = day;
  if (folders && within.length > 0) own[known.has('folder') ? 'folder 2' : 'folder'] = within.join(' > ');
  const content =
    body.trim() === '' ? {} : { [known.has('content') ? 'content_html' : 'content']: htmlOf(body, heading) };
  return { ...own, ...said, ...content };
}

/** Markdown as HTML: what is HTML in it is shown as it is written, and addresses that run something are left out. */
function htmlOf(body: string, heading: string | undefined): string {
  const text = heading === undefined ? body : body.replace(/^\s*#\s+.*$/m, '');
  return micromark(text, { extensions: [gfm()], htmlExtensions: [gfmHtml()] }).trim();
}

/** How many folders all files are in, which tell none from another. */
function commonFolders(names: readonly string[]): number {
  const paths = names.map((name) => name.split('/').slice(0, -1));
  const [first = []] = paths;
  let same = 0;
  while (same < first.length && paths.every((path) => path[same] === first[same])) same++;
  return names.length === 1 ? first.length : same;
}
