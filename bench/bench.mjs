// npm run bench [10k|100k|1m …] [engine] [sql] [http] [worker] [page] [intake] [formats] [terms] [sights]: the engine beside what one would write by hand and beside
// PostgreSQL, on the same seeded posts. The run stops if any two disagree. Ratios within a run are what counts; times are
// this machine's.
import {
  answer,
  buildIndex,
  readAddress,
  readLens,
  prewarm,
  writeSnapshot,
  finished,
} from '../packages/core/dist/index.js';
import { startPostgres } from '../tools/postgres.mjs';
import { answerByHand, choicesOf, prepare } from './by-hand.mjs';
import { measureWorker } from './in-worker.mjs';
import { measureFormats } from './formats.mjs';
import { measureTerms } from './terms.mjs';
import { measureIntake } from './intake.mjs';
import { measureKept } from './kept.mjs';
import { lensConfig, makeAddresses, makeCollection, makeSearches } from './posts.mjs';
import { measureBench } from './on-bench.mjs';
import { measurePage } from './on-page.mjs';
import { measureServer } from './served.mjs';
import { measureSights } from './sights.mjs';
import { compareRows, loadPosts, statements } from './sql.mjs';
import { quantiles, ready, timeOf, withShare } from './timing.mjs';

const sizes = { '10k': 10_000, '50k': 50_000, '100k': 100_000, '1m': 1_000_000 };
const words = process.argv.slice(2);
const asked = words.filter((word) => word in sizes);
const only = words.filter((word) =>
  ['engine', 'sql', 'http', 'worker', 'page', 'intake', 'formats', 'terms', 'sights'].includes(word),
);
const wants = (part) => only.length === 0 || only.includes(part);
const read = readLens(lensConfig);
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const lens = read.value;
const addresses = makeAddresses(200);
/**
 * Answers and searches before the first that is timed. The code of an answer is compiled as it is found to run often: the
 * first thousands take up to twice as long as those of a server that has been asked for some seconds.
 */
const manyAnswers = 12_000;
const manySearches = 3000;
/** How often PostgreSQL and the engine take turns: a few minutes of a machine that others use too tell more than some seconds. */
const turns = 8;

const isPageAlone =
  only.length > 0 && only.every((part) => ['page', 'intake', 'formats', 'terms', 'sights'].includes(part));
for (const name of isPageAlone ? [] : asked.length > 0 ? asked : ['10k', '100k']) {
  // the server and the worker are asked for one set alone
  for (const correlated of wants('engine') || wants('sql') ? [false, true] : [false]) {
    const { stolen } = await withShare(() => measure(name, sizes[name], correlated));
    console.log(`  of the processor time wanted meanwhile, others had ${percent(stolen)}`);
  }
}

if (wants('formats')) {
  for (const name of asked.length > 0 ? asked : ['100k']) {
    console.log(`\n${name} posts in each format`);
    for (const { format, records, bytes, seconds: took, peak } of await measureFormats(sizes[name])) {
      const rate = Math.round(records / took).toLocaleString('en');
      console.log(
        `  ${format.padEnd(9)} ${records} records, ${(bytes / 1e6).toFixed(1)} MB: ${rate} a second, ${peak} MB`,
      );
    }
  }
}

if (wants('intake')) {
  for (const name of asked.length > 0 ? asked : ['100k']) {
    const { fields, bytes, ...of } = await measureIntake(sizes[name]);
    console.log(`\n${name} posts of ${fields} fields, ${(bytes / 1e6).toFixed(0)} MB of CSV`);
    console.log(`  brought in after ${seconds(of.bringing)}; memory ${of.peak} MB at its highest`);
    console.log(
      `  a mend looked at in ${seconds(of.looking)}, kept in ${seconds(of.mending)}; a type changed in ${seconds(of.changing)}; memory ${of.peakAll} MB`,
    );
  }
}

if (wants('terms')) {
  for (const name of asked.length > 0 ? asked : ['100k']) {
    const of = await measureTerms(sizes[name]);
    console.log(`\n${name} posts, their terms shaped: until a released lens answers by it`);
    console.log(
      `  called otherwise ${ms(of.rename.live)}, one that a fifth of the posts have found by it ${ms(of.search.live)}`,
    );
    const { changed, first, again, waits } = of.posts;
    console.log(
      `  ${changed} posts changed: ${ms(first.live)} the first time, then ${again.map(({ live }) => ms(live)).join(', ')}; answers meanwhile ${ms(waits.half)} at half, p99 ${ms(waits.p99)} of ${waits.count}`,
    );
    console.log(`  merged ${ms(of.merge.live)}, moved ${ms(of.move.live)}, two changes undone ${ms(of.undo.live)}`);
  }
}

if (wants('sights')) {
  for (const name of asked.length > 0 ? asked : ['100k']) {
    const of = await measureSights(makeCollection(sizes[name], true), lensConfig);
    const times = ({ p50, p95 }) => `${ms(p50)}, p95 ${ms(p95)}`;
    console.log(`\n${name} posts looked at from the Bench`);
    console.log(`  what a choice would change ${times(of.ghost)}`);
    console.log(`  posts one step away ${times(of.near)}; found by their title ${times(of.found)}`);
    console.log(`  findings ${ms(of.findings)}; dead ends of ${of.pairs} pairs ${ms(of.deadEnds)}`);
  }
}

if (wants('page')) {
  const { facets, terms, first, update, hundred, shift, paint, pictures, bytes } = await measurePage();
  console.log(`\na page of 480 posts, ${facets} facets, ${terms} terms in sight`);
  console.log(
    `  scripting to the first cards ${ms(first)}, for each choice after ${ms(update)}; of 100 cards ${ms(hundred)}`,
  );
  console.log(`  layout shift ${shift.fast.toFixed(4)}, on a slow network ${shift.slow.toFixed(4)}`);
  console.log(`  largest paint after ${ms(paint.listing)}, of the same page without a listing ${ms(paint.bare)}`);
  console.log(`  ${pictures - 1} of 12 pictures fetched; page script ${(bytes.script / 1000).toFixed(1)} kB`);
  for (const size of [480, 10_000]) {
    const change = await measureBench(size, lensConfig);
    console.log(
      `  a change on the Bench of ${size} posts is on the live page after ${ms(change.p50)}, p95 ${ms(change.p95)}`,
    );
  }
}

async function measure(name, size, correlated) {
  console.log(`\n${name} posts, ${correlated ? 'correlated' : 'independent'}`);
  const collection = makeCollection(size, correlated);
  if (wants('engine') || wants('sql')) await measureEngine(collection, size);
  if (correlated) return;
  if (wants('http') && size <= 100_000) {
    const { first, cold, early, settled, stolen, whole, compact } = await measureServer(
      collection,
      lensConfig,
      addresses.map((one) => one.address),
      [...new Set(makeAddresses(40_000).map((one) => one.address))],
    );
    console.log(`  http: first answer of a server that builds its index ${ms(first)}`);
    console.log(`  http, each address for the first times  ${rate(cold)}`);
    console.log(`  http, the same in the seconds after  ${rate(early)}`);
    const fresh = (one) => `${rate(one)}, ${Math.round(one.bytes)} bytes gzipped, ${one.asked} asked`;
    console.log(`  http, addresses never asked before, whole  ${fresh(whole)}`);
    console.log(`  http, the same as the page script asks     ${fresh(compact)}`);
    console.log(`  http, settled ${rate(settled)}, while others had ${percent(stolen)} of the processor time wanted`);
  }
  if (wants('worker') && size <= 50_000) {
    const index = buildIndex(collection);
    const on = addresses.filter((one) => one.on > 0).map((one) => one.address);
    const found = await measureWorker(Buffer.from(finished(writeSnapshot(index))), lensConfig, on);
    if (found.error) throw new Error(`The worker said: ${found.error}`);
    console.log(`  worker in Chromium: load ${ms(found.load)}, p50 ${ms(found.p50)}  p95 ${ms(found.p95)}`);
  }
}

async function measureEngine(collection, size) {
  const index = ready(lens, buildIndex(collection));
  const queries = addresses.map((one) => ({ ...one, query: readAddress(one.address, lens, index, Date.now()).query }));
  const searches = makeSearches(100).map((one) => ({
    ...one,
    query: readAddress(one.address, lens, index, Date.now()).query,
  }));
  answer(index, searches[0].query);
  const start = performance.now();
  prewarm(index, lens);
  const prewarmed = performance.now() - start;
  reportKept(collection, index, size);
  console.log(`  counts under common terms ${ms(prewarmed)}\n  bytes a post ${bytesOf(index, size)}`);

  const on = queries.filter((one) => one.on > 0);
  // a million posts by hand take half a minute a question
  const few = on.slice(0, size > 200_000 ? 12 : 60);
  sweep();
  askAgain(index, queries, manyAnswers);
  const engine = timed(on, ({ query }) => answer(index, query), 5);
  // what others are asked, the engine is asked too: ratios are of the same questions
  const same = timed(few, ({ query }) => answer(index, query), 5);
  askAgain(index, searches, manySearches);
  const searching = timed(searches, ({ query }) => answer(index, query), 3);
  console.log(
    `  engine   p50 ${ms(engine.p50)}  p95 ${ms(engine.p95)}, of the questions below ${ms(same.p50)}  ${ms(same.p95)}`,
  );
  if (wants('engine')) {
    // after the engine: what is prepared for it is a heap of objects that would be swept while the engine is timed
    const byHand = measureByHand(collection, index, few, size);
    console.log(`  by hand  p50 ${ms(byHand.p50)}  p95 ${ms(byHand.p95)}`);
    console.log(`  engine against by hand  p50 ${times(byHand.p50, same.p50)}  p95 ${times(byHand.p95, same.p95)}`);
  }
  console.log(`  search of two words with all counts  p50 ${ms(searching.p50)}  p95 ${ms(searching.p95)}`);
  if (wants('sql')) {
    const { best, scan, lists } = await measureSql(collection, index, few);
    const { sql, engine: beside } = best;
    console.log(`  sql      p50 ${ms(sql.p50)}  p95 ${ms(sql.p95)}  (scan ${ms(scan.p50)}, lists ${ms(lists.p50)})`);
    console.log(`  engine by turns with it  p50 ${ms(beside.p50)}  p95 ${ms(beside.p95)}`);
    console.log(`  engine against sql  p50 ${times(sql.p50, beside.p50)}  p95 ${times(sql.p95, beside.p95)}`);
  }
}

/** What one part of a run left behind must not be swept while another is timed. */
function sweep() {
  globalThis.gc();
}

/** Asks the same questions in their turn until there are so many answers. */
function askAgain(index, queries, answers) {
  for (let i = 0; i < answers; i++) answer(index, queries[i % queries.length].query);
}

function measureByHand(collection, index, few, size) {
  const posts = prepare(collection);
  for (const { query, address } of few.slice(0, size > 200_000 ? 3 : 20)) {
    compare(address, answer(index, query), answerByHand(posts, choicesOf(query), 24));
  }
  return timed(few, ({ query }) => answerByHand(posts, choicesOf(query), 24), 1);
}

/** What is built, and what is kept: both against building anew. */
function reportKept(collection, index, posts) {
  const { size, share, build, words, load, change, firstBuild, firstChange } = measureKept(collection, index);
  const all = build + words;
  console.log(
    `  build ${ms(build)}, words ${ms(words)} (${((words * 1000) / posts).toFixed(1)} µs a post)\n` +
      `  snapshot ${(size / 1e6).toFixed(1)} MB, load ${ms(load)}: ${times(all, load)} faster than building\n` +
      `  ${share} posts changed ${ms(change)}: ${times(all, change)} faster than building\n` +
      `  the first in a process: build and words ${ms(firstBuild)}, change ${ms(firstChange)}: ` +
      `${times(firstBuild, firstChange)} faster`,
  );
}

async function measureSql(collection, index, few) {
  const postgres = await startPostgres(() => {});
  const { client, numberOf } = await loadPosts(postgres.url, collection);
  try {
    const measured = {};
    sweep();
    for (const form of ['scan', 'lists']) {
      const asked = few.map(({ query }) => statements(numberOf, query)[form]);
      for (const [i, { query, address }] of few.entries()) {
        const { rows } = await client.query(asked[i]);
        if (i < 20) compareRows(rows, answer(index, query), numberOf, address);
      }
      // by turns, so that both meet the machine as it is at the moment: it is shared, and what waits for memory and what
      // computes are not slowed by others alike
      const [all, ours] = [[], []];
      for (let turn = 0; turn < turns; turn++) {
        for (const statement of asked) {
          const start = performance.now();
          await client.query(statement);
          all.push(performance.now() - start);
        }
        for (let round = 0; round < 10; round++)
          for (const { query } of few) ours.push(timeOf(() => answer(index, query)));
      }
      measured[form] = { sql: quantiles(all), engine: quantiles(ours) };
    }
    const { scan, lists } = measured;
    return { best: scan.sql.p50 < lists.sql.p50 ? scan : lists, scan: scan.sql, lists: lists.sql };
  } finally {
    await client.query('DROP TABLE p');
    await client.end();
    await postgres.stop();
  }
}

/** Every array of numbers the index holds, each once, by what it is for. */
function bytesOf(index, size) {
  const seen = new Set();
  // what lies in the arena is counted once, by what of it was ever written to
  if (index.arena) seen.add(index.arena).add(index.arena.buffer);
  const sum = (value) => {
    if (value === null || typeof value !== 'object' || seen.has(value)) return 0;
    seen.add(value);
    if (ArrayBuffer.isView(value)) {
      if (seen.has(value.buffer)) return 0;
      seen.add(value.buffer);
      return value.buffer.byteLength;
    }
    const inner = value instanceof Map ? [...value.values()] : Object.values(value);
    return inner.reduce((bytes, one) => bytes + sum(one), 0);
  };
  const texts =
    sum(index.store.ids) +
    [...index.store.values.values()].filter((one) => one.form === 'texts').reduce((bytes, one) => bytes + sum(one), 0);
  const columns = lens.facets.map((facet) => {
    if (facet.kind === 'search') return 0;
    if (facet.kind === 'date-range') return sum(index.days(facet.field, lens.zone));
    return sum(facet.kind === 'number-range' ? index.numbers(facet.field) : index.column(facet.field));
  });
  const numbers = sum(index.store) + columns.reduce((a, b) => a + b, 0) + (index.arena?.bytes ?? 0);
  const words = index.texts.reduce((bytes, { text }) => bytes + sum({ ...text, vocabulary: null }), 0);
  const a = (bytes) => (bytes / size).toFixed(0);
  return `${a(numbers)}, and ${a(texts)} of texts, ${a(words)} of words`;
}

function timed(queries, run, rounds) {
  const all = [];
  for (let round = 0; round < rounds; round++) for (const query of queries) all.push(timeOf(() => run(query)));
  return quantiles(all);
}

function compare(address, engine, byHand) {
  const problems = [];
  if (engine.matched !== byHand.matched) problems.push(`matched ${engine.matched} and ${byHand.matched}`);
  if (engine.items.map((item) => item.id).join() !== byHand.ids.join()) problems.push('first page');
  for (const facet of engine.facets) {
    const counts = byHand.counts[facet.key];
    const same = (value, count) => (counts[value] ?? 0) === count;
    if ('options' in facet && !facet.options.every((option) => same(option.value, option.count)))
      problems.push(facet.key);
    if (
      facet.kind === 'number-range' &&
      facet.buckets[0]?.to - facet.buckets[0]?.from === 4 &&
      !facet.buckets.every((bucket) => same(bucket.from, bucket.count))
    )
      problems.push(facet.key);
    if (
      facet.kind === 'date-range' &&
      facet.buckets[0]?.from.endsWith('-01-01') &&
      facet.buckets[0].to.endsWith('-12-31')
    ) {
      if (!facet.buckets.every((bucket) => same(bucket.from.slice(0, 4), bucket.count))) problems.push(facet.key);
    }
  }
  if (problems.length > 0) throw new Error(`The two disagree on ?${address}: ${problems.join(', ')}`);
}

function ms(time) {
  return time < 10 ? `${time.toFixed(3)} ms` : `${time.toFixed(0)} ms`;
}

function seconds(time) {
  return `${time.toFixed(1)} s`;
}

function percent(share) {
  return `${(share * 100).toFixed(0)} %`;
}

function times(slow, quick) {
  const ratio = slow / quick;
  return `${ratio < 10 ? ratio.toFixed(1) : ratio.toFixed(0)}×`;
}

function rate({ perSecond, p50, p99 }) {
  return `${perSecond.toFixed(0)} requests a second, p50 ${ms(p50)}, p99 ${ms(p99)}`;
}
