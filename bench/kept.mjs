// What a server does with an index it keeps: loads its snapshot, and makes the index after a change. Measured in a process
// of its own that holds no posts as objects, as a server holds none: here they would be looked through again and again
// while memory is tidied up.
//
// node bench/kept.mjs FOLDER: reads what `measureKept` put there and prints what it took, in milliseconds.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  answer,
  changeIndex,
  readAddress,
  readLens,
  readSnapshot,
  writeSnapshot,
} from '../packages/core/dist/index.js';
import { lensConfig } from './posts.mjs';
import { median, ready } from './timing.mjs';

/** @returns the size of a snapshot in bytes, and milliseconds to load it and to make the index after a change of 1 in 100 */
export function measureKept(collection, index) {
  const { posts } = collection;
  const folder = mkdtempSync(join(tmpdir(), 'ivy-lens-bench-'));
  try {
    const bytes = writeSnapshot(index);
    const share = Math.max(1, Math.round(posts.length / 100));
    const last = (i) => posts[posts.length - 1 - i].values;
    const upsert = posts.slice(0, share).map(({ id }, i) => ({ id, values: last(i) }));
    writeFileSync(join(folder, 'snapshot'), bytes);
    writeFileSync(join(folder, 'upsert.json'), JSON.stringify(upsert));
    const { stdout, stderr, status } = spawnSync(process.execPath, [fileURLToPath(import.meta.url), folder]);
    if (status !== 0) throw new Error(String(stderr));
    return { size: bytes.length, share, ...JSON.parse(String(stdout)) };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function measure(folder) {
  const lens = readLens(lensConfig).value;
  const bytes = new Uint8Array(readFileSync(join(folder, 'snapshot')));
  const upsert = JSON.parse(readFileSync(join(folder, 'upsert.json'), 'utf8'));
  const load = () => ready(lens, readSnapshot(bytes));
  const index = load();
  const change = () => ready(lens, changeIndex(index, { upsert, remove: [] }));
  const found = answer(change(), readAddress('', lens, index).query).total;
  if (found !== index.size) throw new Error(`${found} posts after the change, ${index.size} before.`);
  return { load: median(load), change: median(change) };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) console.log(JSON.stringify(measure(process.argv[2])));
