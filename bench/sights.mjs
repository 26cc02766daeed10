// Looks at a lens over many posts, as the Bench takes them: over HTTP, since so many posts are not held in the browser.
import { withServed } from './served.mjs';
import { makeAddresses } from './posts.mjs';
import { quantiles } from './timing.mjs';

/** Milliseconds of each look, over addresses with something chosen. */
export function measureSights(collection, config) {
  return withServed(collection, config, async (port) => {
    const ask = async (what, body) => {
      const start = performance.now();
      const response = await fetch(`http://127.0.0.1:${port}/api/v1/lenses/bench/draft/${what}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ config, address: '', ...body }),
      });
      const answer = await response.json();
      if (!response.ok) throw new Error(JSON.stringify(answer));
      return { answer, took: performance.now() - start };
    };
    const addresses = makeAddresses(200).flatMap(({ address }) => (address === '' ? [] : [address]));
    await ask('dry-run', { address: addresses[0] });
    const over = async (what, body = () => ({})) => {
      const times = [];
      for (const address of addresses.slice(0, 60)) {
        const asked = body(address);
        if (asked) times.push((await ask(what, { address, ...asked })).took);
      }
      return quantiles(times);
    };
    const ghost = await over('dry-run');
    const near = await over('nearest', () => ({ failing: 1 }));
    const found = await over('nearest', () => ({ find: 'tern' }));
    const { took: findings } = await ask('findings', {});
    const { took: deadEnds, answer } = await ask('dead-ends', {});
    return { ghost, near, found, findings, deadEnds, pairs: answer.pairs };
  });
}
