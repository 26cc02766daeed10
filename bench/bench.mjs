// npm run bench [10k|100k|1m …]: the engine beside what one would write by hand, in one process, on the same seeded posts.
// Every answer is compared before anything is timed. Ratios within a run are what counts; times are this machine's.
import { answer, buildIndex, readAddress, readLens } from '../packages/core/dist/index.js';
import { answerByHand, choicesOf, prepare } from './by-hand.mjs';
import { lensConfig, makeAddresses, makeCollection, makeSearches } from './posts.mjs';

const sizes = { '10k': 10_000, '100k': 100_000, '1m': 1_000_000 };
const asked = process.argv.slice(2).filter((name) => name in sizes);
const read = readLens(lensConfig);
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const lens = read.value;

for (const name of asked.length > 0 ? asked : ['10k', '100k']) {
  for (const correlated of [false, true]) measure(name, sizes[name], correlated);
}

function measure(name, size, correlated) {
  console.log(`\n${name} posts, ${correlated ? 'correlated' : 'independent'}`);
  const collection = makeCollection(size, correlated);
  let start = performance.now();
  const index = buildIndex(collection);
  const queries = makeAddresses(200).map((one) => ({ ...one, query: readAddress(one.address, lens, index, 0).query }));
  for (const facet of lens.facets.filter((one) => one.kind !== 'search')) warm(index, facet);
  const built = performance.now() - start;
  start = performance.now();
  const searches = makeSearches(100).map((one) => ({ ...one, query: readAddress(one.address, lens, index, 0).query }));
  answer(index, searches[0].query);
  const words = performance.now() - start;

  const posts = prepare(collection);
  const byHandRuns = size > 200_000 ? 25 : 60;
  const few = queries.filter(({ on }) => on > 0).slice(0, byHandRuns);
  for (const { query, address } of few.slice(0, 20))
    compare(address, answer(index, query), answerByHand(posts, choicesOf(query), 24));

  for (let round = 0; round < 3; round++) for (const { query } of queries) answer(index, query);
  const on = queries.filter((one) => one.on > 0);
  const engine = timed(on, ({ query }) => answer(index, query), 5);
  const byHand = timed(few, ({ query }) => answerByHand(posts, choicesOf(query), 24), 1);
  for (const { query } of searches) answer(index, query);
  const searching = timed(searches, ({ query }) => answer(index, query), 3);

  console.log(`  build ${ms(built)}, with words ${ms(words)} more`);
  console.log(`  engine   p50 ${ms(engine.p50)}  p95 ${ms(engine.p95)}`);
  console.log(`  by hand  p50 ${ms(byHand.p50)}  p95 ${ms(byHand.p95)}`);
  console.log(`  ratio    p50 ${(byHand.p50 / engine.p50).toFixed(0)}×  p95 ${(byHand.p95 / engine.p95).toFixed(0)}×`);
  console.log(`  search of two words with all counts  p50 ${ms(searching.p50)}  p95 ${ms(searching.p95)}`);
}

/** Makes what the index makes when first asked, so that no query is the first. */
function warm(index, facet) {
  if (facet.kind === 'date-range') index.days(facet.field, lens.zone);
  else if (facet.kind === 'number-range') index.numbers(facet.field);
  else index.column(facet.field);
}

function timed(queries, run, rounds) {
  const times = [];
  for (let round = 0; round < rounds; round++) {
    for (const query of queries) {
      const start = performance.now();
      run(query);
      times.push(performance.now() - start);
    }
  }
  times.sort((a, b) => a - b);
  return { p50: times[times.length >> 1], p95: times[Math.floor(times.length * 0.95)] };
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
