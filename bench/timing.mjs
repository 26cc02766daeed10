// What all parts of the bench measure with.
import { readFileSync } from 'node:fs';

/** Makes what the index makes when first asked, so that no query is the first. */
export function ready(lens, index) {
  for (const facet of lens.facets) {
    if (facet.kind === 'search') continue;
    if (facet.kind === 'date-range') index.days(facet.field, lens.zone);
    else if (facet.kind === 'number-range') index.numbers(facet.field);
    else index.column(facet.field);
  }
  return index;
}

/** Times that come before those that count: code is compiled as it is found to run often. */
export const uncounted = 2;
const counted = 5;
export const rounds = uncounted + counted;

/** Milliseconds a thing takes: the median of five times, after some that do not count. */
export function median(run, before = uncounted) {
  return middle(
    Array.from({ length: before + counted }, () => timeOf(run)),
    before,
  );
}

/** Milliseconds one run takes. */
export function timeOf(run) {
  const start = performance.now();
  run();
  return performance.now() - start;
}

/** The median of what each round took, but for the first ones. */
export function middle(times, before = uncounted) {
  return quantiles(times.slice(times.length > before ? before : 0)).p50;
}

export function quantiles(all) {
  all.sort((a, b) => a - b);
  return { p50: all[all.length >> 1], p95: all[Math.floor(all.length * 0.95)] };
}

/** Processor time in ticks, as Linux counts it: what was used here, and what was wanted but given to other machines. */
function ticks() {
  const [user, nice, system, , , , , stolen] = readFileSync('/proc/stat', 'utf8')
    .split('\n')[0]
    .split(/\s+/)
    .slice(1)
    .map(Number);
  return { used: user + nice + system, stolen };
}

/**
 * Does some work and tells, beside what it made, which share of the processor time that was wanted meanwhile a shared
 * machine gave to others.
 */
export async function withShare(work) {
  const before = ticks();
  const made = await work();
  const after = ticks();
  const stolen = after.stolen - before.stolen;
  return { made, stolen: stolen / Math.max(1, stolen + after.used - before.used) };
}
