// The worst addresses over HTTP, on 200,000 posts: how long others wait for their answers meanwhile.
import { ask, meanwhile, ms, sendJson, serve, upload } from './serve.mjs';
import { hostile, lensConfig, largeCollection } from './addresses.mjs';

export async function waits(postgres, say, size = 200_000) {
  const server = await serve(postgres.url);
  // as a table, which says the same in fewer bytes; terms go by their slugs
  const names = ['title', 'summary', 'published', 'place', 'tags', 'topics', 'kind', 'author', 'minutes'];
  const lines = largeCollection(size).posts.map(({ id, values }) =>
    [id, ...names.map((name) => (Array.isArray(values[name]) ? values[name].join('|') : (values[name] ?? '')))].join(
      ',',
    ),
  );
  const file = `id,${names.join(',')}\n${lines.join('\n')}`;
  await upload(server.url, 'id,title\n1,One\n2,Two', 'small.csv', { slug: 'small' });
  await sendJson(`${server.url}/api/v1/lenses`, 'POST', { name: 'Small', source: 'small', slug: 'small' });
  await sendJson(`${server.url}/api/v1/lenses/small/releases`, 'POST', {});
  const other = `${server.url}/api/v1/lenses/small/results`;
  const coming = await meanwhile(other, () => upload(server.url, file, 'posts.csv', { slug: 'waits' }), 2);
  const made = coming.result;
  say(
    `${size} posts come in · ${made.status} in ${ms(made.ms)} · ${coming.asked} answers of another lens, p99 ${ms(coming.p99)}, at most ${ms(coming.longest)}`,
  );
  if (made.status !== 201) throw new Error(`The posts did not come in: ${made.body.slice(0, 300)}`);
  const fields = new Set(JSON.parse(made.body).fields.map(({ key }) => key));
  const config = lensConfig();
  config.facets = config.facets.filter((facet) => !facet.field || fields.has(facet.field));
  const lens = await sendJson(`${server.url}/api/v1/lenses`, 'POST', {
    name: 'Waits',
    source: 'waits',
    slug: 'waits',
    config,
  });
  if (lens.status !== 201) throw new Error(`The lens was not made: ${lens.body.slice(0, 500)}`);
  await sendJson(`${server.url}/api/v1/lenses/waits/releases`, 'POST', {});
  const first = await meanwhile(other, () => ask(`${server.url}/api/v1/lenses/waits/results`, {}, 120_000), 2);
  say(`first answer after the import · ${ms(first.result.ms)} · others waited at most ${ms(first.longest)}`);
  await ask(`${server.url}/api/v1/lenses/waits/results?q=ab`, {}, 120_000);
  let worst = 0;
  for (const [name, address] of Object.entries(hostile)) {
    const seen = await meanwhile(
      other,
      () => ask(`${server.url}/api/v1/lenses/waits/results?${address}`, {}, 120_000),
      1,
    );
    worst = Math.max(worst, seen.longest);
    if (seen.result.status !== 200 || seen.longest > 40) {
      say(`${name} · ${seen.result.status} in ${ms(seen.result.ms)} · others waited at most ${ms(seen.longest)}`);
    }
  }
  say(`${Object.keys(hostile).length} addresses · others waited at most ${ms(worst)}`);
  const weights = Array.from({ length: 8 }, (_, i) => ({
    key: `q${i}`,
    kind: 'search',
    fields: ['title', 'summary'],
    weights: { title: i + 2 },
  }));
  const dryRun = await meanwhile(
    other,
    () =>
      sendJson(`${server.url}/api/v1/lenses/waits/draft/dry-run`, 'POST', {
        config: { facets: weights },
        address: 'q0=ab',
      }),
    2,
  );
  say(
    `a dry run of eight searches of different weights · ${dryRun.result.status} in ${ms(dryRun.result.ms)} · others waited at most ${ms(dryRun.longest)}`,
  );
  await server.stop();
}
