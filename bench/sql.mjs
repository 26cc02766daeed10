// The same questions asked of PostgreSQL: each written in two ways, one statement each, and the quicker way is what
// the engine is compared with. `scan`: one walk over the posts that fail at most one facet. `lists`: every term of a
// post in one list of numbers under a GIN index, which finds the posts for each facet's counts.
import pg from 'pg';

const listFields = ['place', 'tags', 'topics', 'kind', 'author', 'region', 'level'];
const flagFields = ['open', 'guided'];
const pageSize = 24;

/** @returns a connection whose table holds the posts, and numbers for terms */
export async function loadPosts(url, { posts, taxonomies }) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const numbers = new Map();
  const numberOf = (field, slug) => {
    const name = `${field} ${slug}`;
    if (!numbers.has(name)) numbers.set(name, numbers.size + 1);
    return numbers.get(name);
  };
  const parents = new Map(taxonomies.place.map((term) => [term.slug, term.parent]));
  const withAbove = (slugs) => {
    const all = new Set();
    for (let slug of slugs) for (; slug; slug = parents.get(slug)) all.add(slug);
    return [...all];
  };
  await client.query(`DROP TABLE IF EXISTS p; CREATE UNLOGGED TABLE p (
    id text NOT NULL, published date NOT NULL, minutes int NOT NULL, open boolean NOT NULL, guided boolean NOT NULL,
    ${listFields.map((field) => `${field} int[] NOT NULL`).join(', ')}, terms int[] NOT NULL)`);
  for (let start = 0; start < posts.length; start += 5000) {
    const rows = posts.slice(start, start + 5000).map(({ id, values }) => {
      const lists = listFields.map((field) =>
        (field === 'place' ? withAbove(values.place) : values[field]).map((slug) => numberOf(field, slug)),
      );
      const flags = flagFields.map((field) => numberOf(field, values[field] ? 'yes' : 'no'));
      return [id, values.published, values.minutes, values.open, values.guided, ...lists, [...lists.flat(), ...flags]];
    });
    const columns = ['text', 'date', 'int', 'boolean', 'boolean', ...listFields.map(() => 'text'), 'text'];
    const texts = columns.map((_, c) => rows.map((row) => (Array.isArray(row[c]) ? `{${row[c]}}` : String(row[c]))));
    const casts = ['', '::date', '::int', '::boolean', '::boolean', ...columns.slice(5).map(() => '::int[]')];
    const names = columns.map((_, c) => `c${c}`);
    await client.query(
      `INSERT INTO p SELECT ${names.map((name, c) => name + casts[c]).join(', ')}
       FROM unnest(${names.map((_, c) => `$${c + 1}::text[]`).join(', ')}) AS r(${names.join(', ')})`,
      texts,
    );
  }
  await client.query(
    `CREATE INDEX ON p USING gin (terms); CREATE INDEX ON p (published DESC, id); CREATE INDEX ON p (minutes)`,
  );
  await client.query('VACUUM ANALYZE p');
  await client.query('SET jit = off');
  return { client, numberOf };
}

/** A choice as a condition. */
function condition(numberOf, key, selection) {
  if (selection.type === 'terms') {
    const list = `'{${selection.terms.map((slug) => numberOf(key, slug))}}'::int[]`;
    return {
      scan: `${key} ${key === 'topics' ? '@>' : '&&'} ${list}`,
      lists: `terms ${key === 'topics' ? '@>' : '&&'} ${list}`,
    };
  }
  if (selection.type === 'switch') {
    const one = `terms @> '{${numberOf(key, selection.on ? 'yes' : 'no')}}'::int[]`;
    return { scan: `${key} = ${selection.on}`, lists: one };
  }
  const day = (number) => `'${new Date(number * 86_400_000).toISOString().slice(0, 10)}'`;
  const end = (value) => (selection.type === 'days' ? (typeof value === 'string' ? `'${value}'` : day(value)) : value);
  const parts = [];
  if (selection.from !== null) parts.push(`${key} >= ${end(selection.from)}`);
  if (selection.to !== null) parts.push(`${key} <= ${end(selection.to)}`);
  const both = parts.join(' AND ');
  return { scan: both, lists: both };
}

const year = `extract(year FROM published)::int`;

/** @returns the two statements for a query */
export function statements(numberOf, query) {
  const chosen = Object.entries(query.selections).map(([key, selection]) => ({
    key,
    ...condition(numberOf, key, selection),
  }));
  return { scan: byScan(chosen), lists: byLists(chosen) };
}

function byScan(chosen) {
  const failed = chosen.map(({ scan }) => `(NOT (${scan}))::int`).join(' + ') || '0';
  const fails = chosen.map(({ scan }, i) => `NOT (${scan}) AS f${i}`).join(', ');
  const under = (key) => {
    const at = key === 'topics' ? -1 : chosen.findIndex((one) => one.key === key);
    return at < 0 ? 'n = 0' : `(n = 0 OR f${at})`;
  };
  const lists = listFields.map(
    (key) =>
      `SELECT '${key}' AS facet, t AS term, count(*)::int AS count FROM near, unnest(${key}) AS t WHERE ${under(key)} GROUP BY t`,
  );
  const flags = flagFields.map(
    (key) => `SELECT '${key}', ${key}::int, count(*)::int FROM near WHERE ${under(key)} GROUP BY ${key}`,
  );
  return `WITH near AS MATERIALIZED (SELECT *, ${failed} AS n${fails ? `, ${fails}` : ''} FROM p WHERE ${failed} <= 1)
    ${[...lists, ...flags].join(' UNION ALL ')}
    UNION ALL SELECT 'published', ${year}, count(*)::int FROM near WHERE ${under('published')} GROUP BY ${year}
    UNION ALL SELECT 'minutes', minutes / 5 * 5, count(*)::int FROM near WHERE ${under('minutes')} GROUP BY minutes / 5
    UNION ALL SELECT 'matched', 0, count(*)::int FROM near WHERE n = 0
    UNION ALL (SELECT 'id ' || id, 0, 0 FROM near WHERE n = 0 ORDER BY published DESC, id LIMIT ${pageSize})`;
}

function byLists(chosen) {
  const where = (except) =>
    chosen
      .filter(({ key }) => key !== except)
      .map(({ lists }) => lists)
      .join(' AND ') || 'true';
  const own = new Set(chosen.map(({ key }) => key).filter((key) => key !== 'topics'));
  const alone = [...own].map((key) => {
    if (listFields.includes(key))
      return `SELECT '${key}' AS facet, t AS term, count(*)::int AS count FROM p, unnest(${key}) AS t WHERE ${where(key)} GROUP BY t`;
    if (flagFields.includes(key))
      return `SELECT '${key}', ${key}::int, count(*)::int FROM p WHERE ${where(key)} GROUP BY ${key}`;
    const step = key === 'published' ? year : 'minutes / 5 * 5';
    return `SELECT '${key}', ${step}, count(*)::int FROM p WHERE ${where(key)} GROUP BY ${step}`;
  });
  const ranges = [
    ['published', year],
    ['minutes', 'minutes / 5 * 5'],
  ]
    .filter(([key]) => !own.has(key))
    .map(([key, step]) => `SELECT '${key}', ${step}, count(*)::int FROM found GROUP BY ${step}`);
  return `WITH found AS MATERIALIZED (SELECT id, published, minutes, terms FROM p WHERE ${where(null)})
    SELECT 'all' AS facet, t AS term, count(*)::int AS count FROM found, unnest(terms) AS t GROUP BY t
    ${[...alone, ...ranges].map((one) => `UNION ALL ${one}`).join('\n')}
    UNION ALL SELECT 'matched', 0, count(*)::int FROM found
    UNION ALL (SELECT 'id ' || id, 0, 0 FROM found ORDER BY published DESC, id LIMIT ${pageSize})`;
}

/** Compares what PostgreSQL gave with an answer of the engine. */
export function compareRows(rows, answer, numberOf, address) {
  const problems = [];
  const by = new Map(rows.map(({ facet, term, count }) => [`${facet} ${term}`, count]));
  const matched = by.get('matched 0');
  if (matched !== answer.matched) problems.push(`matched ${matched} and ${answer.matched}`);
  const ids = rows.filter(({ facet }) => facet.startsWith('id ')).map(({ facet }) => facet.slice(3));
  if (ids.join() !== answer.items.map((item) => item.id).join()) problems.push('first page');
  for (const facet of answer.facets) {
    if (!listFields.includes(facet.key)) continue;
    const own = rows.some((row) => row.facet === facet.key);
    for (const { value, count } of facet.options) {
      const number = numberOf(facet.key, value);
      if ((by.get(`${own ? facet.key : 'all'} ${number}`) ?? 0) !== count) problems.push(`${facet.key}=${value}`);
    }
  }
  if (problems.length > 0)
    throw new Error(`PostgreSQL and the engine disagree on ?${address}: ${problems.slice(0, 5).join(', ')}`);
}
