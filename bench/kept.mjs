// What a server does with the posts of a source: builds its index from them, cuts their words, loads a snapshot, and makes
// the index after a change. Measured in a process of its own that holds no posts as objects, as a server holds none: here
// they would be looked through again and again while memory is tidied up. Posts come some at a time, as from a database;
// to read them is not counted.
//
// node bench/kept.mjs FOLDER: reads what `measureKept` put there and prints what each took, in milliseconds.
import { spawnSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  answer,
  changeIndex,
  finished,
  IndexBuilder,
  readAddress,
  readLens,
  readSnapshot,
  writeSnapshot,
} from '../packages/core/dist/index.js';
import { lensConfig, makeSearches } from './posts.mjs';
import { median, middle, ready, rounds, timeOf } from './timing.mjs';

/** A change runs each of its loops once, where a build runs many of them often: they are found worth compiling later. */
const changesUncounted = 8;

/** Posts that come at once, as from the server's database. */
const together = 500;

/**
 * @param index  of the collection, with its words
 * @returns the size of a snapshot in bytes, and milliseconds to build, to cut words, to load the snapshot, and to make the
 *   index after a change of 1 in 100 posts; and what the first build with its words and the first change of a process take
 */
export function measureKept(collection, index) {
  const { fields, taxonomies, posts } = collection;
  const folder = mkdtempSync(join(tmpdir(), 'ivy-lens-bench-'));
  const put = (name, what) => writeFileSync(join(folder, name), what);
  try {
    const bytes = finished(writeSnapshot(index));
    const share = Math.max(1, Math.round(posts.length / 100));
    const last = (i) => posts[posts.length - 1 - i].values;
    put('snapshot', bytes);
    put('upsert.json', JSON.stringify(posts.slice(0, share).map(({ id }, i) => ({ id, values: last(i) }))));
    put('head.json', JSON.stringify({ fields, taxonomies, size: posts.length }));
    putPosts(join(folder, 'posts.jsonl'), posts);
    const { stdout, stderr, status } = spawnSync(process.execPath, [fileURLToPath(import.meta.url), folder]);
    if (status !== 0) throw new Error(String(stderr));
    return { size: bytes.length, share, ...JSON.parse(String(stdout)) };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** A line for each lot of posts. */
function putPosts(path, posts) {
  const file = openSync(path, 'w');
  for (let at = 0; at < posts.length; at += together) {
    writeSync(file, `${JSON.stringify(posts.slice(at, at + together))}\n`);
  }
  closeSync(file);
}

function measure(folder) {
  const read = (name) => readFileSync(join(folder, name));
  const lens = readLens(lensConfig).value;
  const bytes = new Uint8Array(read('snapshot'));
  const upsert = JSON.parse(String(read('upsert.json')));
  const load = () => ready(lens, finished(readSnapshot(bytes)));
  const index = load();
  let changed;
  const change = () => (changed = ready(lens, changeIndex(index, { upsert, remove: [] })));
  const firstChange = timeOf(change);
  const found = answer(changed, readAddress('', lens, index, Date.now()).query).total;
  if (found !== index.size) throw new Error(`${found} posts after the change, ${index.size} before.`);
  const { builds, words } = measureBuilds(lens, JSON.parse(String(read('head.json'))), read('posts.jsonl'), bytes);
  return {
    firstBuild: builds[0] + words[0],
    build: middle(builds),
    words: middle(words),
    load: median(load),
    firstChange,
    change: median(change, changesUncounted),
  };
}

/** Builds several times, or once where that takes long; each time the index is to be the one that was kept. */
function measureBuilds(lens, { fields, taxonomies, size }, posts, kept) {
  const [builds, words] = [[], []];
  for (let round = 0; round < (size > 200_000 ? 1 : rounds); round++) {
    const builder = new IndexBuilder(fields, taxonomies, size);
    let took = 0;
    const timed = (work) => {
      const start = performance.now();
      const made = work();
      took += performance.now() - start;
      return made;
    };
    for (const line of linesOf(posts)) {
      const lot = JSON.parse(line);
      timed(() => builder.add(lot));
    }
    const index = timed(() => ready(lens, finished(builder.finish())));
    builds.push(took);
    const { query } = readAddress(makeSearches(1)[0].address, lens, index, Date.now());
    const start = performance.now();
    answer(index, query);
    words.push(performance.now() - start);
    if (Buffer.compare(finished(writeSnapshot(index)), kept) !== 0)
      throw new Error('It was built otherwise than in one go.');
  }
  return { builds, words };
}

function* linesOf(bytes) {
  for (let start = 0; start < bytes.length;) {
    const end = bytes.indexOf(10, start);
    yield bytes.toString('utf8', start, end);
    start = end + 1;
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) console.log(JSON.stringify(measure(process.argv[2])));
