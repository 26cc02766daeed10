// What a front-end developer writes when asked for filters with counts: arrays of objects, `filter`, and a count for
// every facet over the posts that pass all others. No index.

/** Prepares the posts: every term with those above it, days as text. */
export function prepare({ posts, taxonomies }) {
  const parents = new Map(taxonomies.place.map((term) => [term.slug, term.parent]));
  const withAbove = (slugs) => {
    const all = new Set();
    for (let slug of slugs) for (; slug !== null; slug = parents.get(slug) ?? null) all.add(slug);
    return [...all];
  };
  return posts
    .map(({ id, values }) => ({ ...values, id, place: withAbove(values.place) }))
    .sort((a, b) => (a.published < b.published ? 1 : a.published > b.published ? -1 : a.id < b.id ? -1 : 1));
}

const tests = {
  terms: (post, key, { terms }) => terms.some((term) => post[key].includes(term)),
  all: (post, key, { terms }) => terms.every((term) => post[key].includes(term)),
  switch: (post, key, { on }) => post[key] === on,
  range: (post, key, { from, to }) => (from === null || post[key] >= from) && (to === null || post[key] <= to),
};

const countTerms = (posts, key) => {
  const counts = {};
  for (const post of posts) for (const term of post[key]) counts[term] = (counts[term] ?? 0) + 1;
  return counts;
};
const countValues = (posts, read) => {
  const counts = {};
  for (const post of posts) {
    const value = read(post);
    counts[value] = (counts[value] ?? 0) + 1;
  }
  return counts;
};

/** @returns matched, the ids of the first page, and counts by facet and value */
export function answerByHand(posts, selections, pageSize) {
  const chosen = Object.entries(selections);
  const passing = (except) =>
    posts.filter((post) => chosen.every(([key, choice]) => key === except || tests[choice.test](post, key, choice)));
  const matched = passing(null);
  const counts = {};
  for (const key of ['place', 'tags', 'kind', 'author', 'region', 'level']) counts[key] = countTerms(passing(key), key);
  counts.topics = countTerms(matched, 'topics');
  for (const key of ['open', 'guided']) counts[key] = countValues(passing(key), (post) => (post[key] ? 'yes' : 'no'));
  counts.published = countValues(passing('published'), (post) => post.published.slice(0, 4));
  counts.minutes = countValues(passing('minutes'), (post) => Math.floor(post.minutes / 5) * 5);
  return { matched: matched.length, ids: matched.slice(0, pageSize).map((post) => post.id), counts };
}

/** A query's selections in the form the tests above take. */
export function choicesOf(query) {
  const choices = {};
  for (const [key, selection] of Object.entries(query.selections)) {
    if (selection.type === 'terms') choices[key] = { test: key === 'topics' ? 'all' : 'terms', terms: selection.terms };
    else if (selection.type === 'switch') choices[key] = { test: 'switch', on: selection.on };
    else choices[key] = { test: 'range', from: selection.from, to: selection.to };
  }
  return choices;
}
