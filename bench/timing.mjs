// What all parts of the bench measure with.

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

/** Milliseconds a thing takes: the median of five times. */
export function median(run) {
  const all = Array.from({ length: 5 }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return quantiles(all).p50;
}

export function quantiles(all) {
  all.sort((a, b) => a - b);
  return { p50: all[all.length >> 1], p95: all[Math.floor(all.length * 0.95)] };
}
