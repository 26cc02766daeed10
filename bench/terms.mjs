// Terms of a field of many posts shaped, and a hundredth of the posts changed, while visitors are served: how long until the
// released lens answers by it, and how long other visitors wait meanwhile.
import { csvOf } from './intake.mjs';
import { withEmpty } from './served.mjs';

const facets = [
  { key: 'q', kind: 'search', fields: ['title', 'summary', 'habitat'] },
  { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
  { key: 'place', kind: 'tree', field: 'place' },
];

/** Posts that one request changes: one in so many. */
const oneIn = 100;

/** Milliseconds from sending each change until an answer of the release that has it is there. */
export function measureTerms(posts) {
  const file = csvOf(posts);
  return withEmpty(async (port) => {
    const at = (path) => `http://127.0.0.1:${port}/api/v1${path}`;
    const send = async (method, path, body) => {
      const headers = body === undefined || body instanceof FormData ? {} : { 'content-type': 'application/json' };
      const response = await fetch(at(path), {
        method,
        headers,
        body: body instanceof FormData ? body : JSON.stringify(body),
      });
      const answer = await response.json();
      if (!response.ok) throw new Error(`${response.status}: ${JSON.stringify(answer)}`);
      return answer;
    };
    const form = new FormData();
    form.append('slug', 'bench');
    form.append('file', new Blob([file]), 'bench.csv');
    await send('POST', '/sources', form);
    await send('POST', '/lenses', { name: 'Bench', slug: 'bench', source: 'bench', config: { facets } });
    await send('POST', '/lenses/bench/releases', {});
    const results = async (query) => (await fetch(at(`/lenses/bench/results?${query}`))).json();
    await results('q=tern');
    const live = async (change, query, isThere) => {
      const start = performance.now();
      await change();
      const told = performance.now() - start;
      const answer = await results(query);
      if (!isThere(answer)) throw new Error(`The change is not in the answer to ${query}.`);
      return { told, live: performance.now() - start };
    };
    const terms = '/sources/bench/terms/habitat';
    const some = Array.from({ length: posts / oneIn }, (_, i) => ({ id: `n-${i * oneIn}`, title: `Patched ${i}` }));
    // the first starts the thread that reads them
    const first = await live(
      () => send('PATCH', '/sources/bench/posts', some),
      'q=patched',
      ({ matched }) => matched === some.length,
    );
    const visitors = visit(results);
    const again = [];
    for (let round = 0; round < 3; round++) {
      const records = some.map(({ id }) => ({ id, title: `Round${round}x` }));
      again.push(
        await live(
          () => send('PATCH', '/sources/bench/posts', records),
          `q=round${round}x`,
          ({ matched }) => matched === some.length,
        ),
      );
    }
    const waits = await visitors.stop();
    return {
      posts: { changed: some.length, first, again, waits },
      rename: await live(
        () => send('PATCH', `${terms}/lagoon`, { label: 'Saltpool' }),
        '',
        (answer) => answer.facets[1].options.some(({ label }) => label === 'Saltpool'),
      ),
      search: await live(
        () => send('PATCH', `${terms}/reedbed`, { label: 'Phragmites' }),
        'q=phragmites',
        ({ matched }) => matched > posts / 5,
      ),
      merge: await live(
        () => send('POST', `${terms}/merge`, { from: ['mudflat'], into: 'mudflat-2' }),
        'habitat=mudflat',
        ({ matched, address }) => matched > 0 && address === 'habitat=mudflat-2',
      ),
      move: await live(
        () => send('PATCH', `${terms}/wrack-line`, { position: 0 }),
        '',
        (answer) => answer.facets[1].options[0].value === 'wrack-line',
      ),
      undo: await live(
        async () => (await send('POST', `${terms}/undo`), await send('POST', `${terms}/undo`)),
        'habitat=mudflat',
        ({ address }) => address === 'habitat=mudflat',
      ),
    };
  });
}

/** Visitors who ask one after the other, each a little later than the one before has its answer. */
function visit(results) {
  const addresses = ['', 'habitat=mudflat', 'place=gannick-point', 'q=tern', 'habitat=lagoon&page=2'];
  const times = [];
  let isOver = false;
  const asked = (async () => {
    for (let i = 0; !isOver; i++) {
      const start = performance.now();
      await results(addresses[i % addresses.length]);
      times.push(performance.now() - start);
      await new Promise((next) => setTimeout(next, 5));
    }
  })();
  return {
    stop: async () => {
      isOver = true;
      await asked;
      times.sort((a, b) => a - b);
      const at = (share) => times[Math.min(times.length - 1, Math.floor(times.length * share))];
      return { count: times.length, half: at(0.5), p99: at(0.99), longest: times.at(-1) };
    },
  };
}
