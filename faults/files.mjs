// Files that are large, wide or made to be slow to read, one and ten at once.
import { ask, meanwhile, ms, serve, upload, wait } from './serve.mjs';

const rows = (size, make) => Array.from({ length: size }, (_, i) => make(i)).join('\n');

/** A tag without a letter or digit, another for each number. */
const marks = (n) => [...n.toString(7).padStart(6, '0')].map((digit) => '!?.:-*+'[Number(digit)]).join('');

export const hostileFiles = {
  '156 kB cell of <a': () => `title,text\nx,${'<a'.repeat(78_000)}`,
  '20,000 tags of punctuation': () =>
    `title,tags\n${rows(400, (i) => `p${i},${Array.from({ length: 100 }, (_, t) => marks((i % 200) * 100 + t)).join('|')}`)}`,
  '69 kB of tags that never end': () => `title,text\nx,${'<b>x</b>'.repeat(4_000)}${'<style '.repeat(5_000)}`,
  '52 MB of posts': () =>
    `id,title,text,habitat,day\n${rows(260_000, (i) => `p${i},Post number ${i},${'mud and terns at low tide '.repeat(6)},Mudflat|Reedbed,2026-01-0${1 + (i % 9)}`)}`,
  '300 columns': () => {
    const names = Array.from({ length: 300 }, (_, i) => `column ${i}`).join(',');
    return `${names}\n${rows(20_000, (i) => Array.from({ length: 300 }, (_, c) => (i * c) % 97).join(','))}`;
  },
};

const million = () =>
  `id,title,kind,day\n${rows(1_000_000, (i) => `${i},Post ${i},Kind ${i % 40},2026-0${1 + (i % 9)}-1${i % 10}`)}`;

export async function files(postgres, say, { large = true, only } = {}) {
  for (const [name, make] of Object.entries(hostileFiles)) {
    if (only && !only.includes(name)) continue;
    const server = await serve(postgres.url);
    const file = make();
    const start = performance.now();
    const { result, longest, failed } = await meanwhile(`${server.url}/api/v1/health`, () =>
      upload(server.url, file, 'hostile.csv', { slug: `h${Date.now()}` }),
    );
    say(
      `${name} · ${result.status} after ${ms(performance.now() - start)} · others waited at most ${ms(longest)}${failed ? `, ${failed} failed` : ''} · peak ${server.peak()} MB`,
    );
    await server.stop();
  }
  if (!large) return;
  const file = million();
  for (const many of [1, 10]) {
    const server = await serve(postgres.url);
    const start = performance.now();
    const { result, longest, failed } = await meanwhile(`${server.url}/api/v1/health`, () =>
      Promise.all(
        Array.from({ length: many }, (_, i) =>
          upload(server.url, file, `million-${i}.csv`, { slug: `m${Date.now()}-${i}` }),
        ),
      ),
    );
    const statuses = result.map(({ status }) => status).join(' ');
    say(
      `a million posts (${Math.round(file.length / 1e6)} MB), ${many} at once · ${statuses} after ${ms(performance.now() - start)} · others waited at most ${ms(longest)}${failed ? `, ${failed} failed` : ''} · peak ${server.peak()} MB`,
    );
    for (const { body } of result) {
      if (body.startsWith('{"slug'))
        await ask(`${server.url}/api/v1/sources/${JSON.parse(body).slug}`, { method: 'DELETE' }, 300_000);
    }
    await wait(15_000);
    say(`… and ${server.memory()} MB a quarter of a minute later`);
    await server.stop();
  }
}
