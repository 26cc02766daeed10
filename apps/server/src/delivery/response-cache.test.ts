import { gunzipSync } from 'node:zlib';
import { responseCache, writeBody } from './response-cache.js';

test('a body is written plain and packed alike', async () => {
  const { plain, gzip } = await writeBody({ matched: 3 });
  expect(JSON.parse(plain.toString())).toEqual({ matched: 3 });
  expect(gunzipSync(gzip)).toEqual(plain);
});

test('bodies are kept up to a size, the one not asked for longest going first', () => {
  const answer = { plain: Buffer.alloc(90), gzip: Buffer.alloc(6) };
  const kept = responseCache(300);
  for (const name of ['aa', 'bb', 'cc']) kept.put(name, answer);
  expect(kept.get('aa')).toBe(answer);
  kept.put('dd', answer);
  expect(['aa', 'bb', 'cc', 'dd'].filter((name) => kept.get(name))).toEqual(['aa', 'cc', 'dd']);
  kept.put('dd', { plain: Buffer.alloc(400), gzip: Buffer.alloc(0) });
  expect(['aa', 'bb', 'cc', 'dd'].filter((name) => kept.get(name))).toEqual([]);
});
