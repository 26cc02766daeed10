// A file of many posts brought in by the real server, one of its fields read in another way, and a finding mended.
import { readFileSync } from 'node:fs';
import { withEmpty } from './served.mjs';

const places = ['North Shore > Gannick Point', 'North Shore > Pellow Sands', 'Inner estuary > Lantern Hide'];
const kinds = ['Survey', 'Sighting', 'survey', 'How-to', 'Notice'];
const words = 'tern mud reed eel gull tide wall hide walk count sand wrack lagoon heron dusk'.split(' ');

/** A table of posts with fifteen fields, some of their values wrong. */
export function csvOf(posts) {
  const pick = (list, i) => list[i % list.length];
  const lines = [
    'id,title,summary,image,observed,habitat,species,kind,place,minutes,height,open,observer,url,published',
  ];
  for (let i = 0; i < posts; i++) {
    const day = String(1 + (i % 28)).padStart(2, '0');
    const month = String(1 + (i % 12)).padStart(2, '0');
    lines.push(
      [
        `n-${i}`,
        `Note ${i} on ${pick(words, i)} and ${pick(words, i * 7)}`,
        `"What was seen of ${pick(words, i * 3)}, ${pick(words, i * 5)} and ${pick(words, i * 11)} on the way along the wall."`,
        i % 20 === 0 ? '' : `/pictures/${i}.jpg`,
        i % 5000 === 0 ? 'late May' : `${day}/${month}/20${20 + (i % 6)}`,
        i % 300 === 0 ? 'mudflat' : pick(['Mudflat', 'Reedbed', 'Lagoon', 'Wrack line'], i >> 2),
        `${pick(words, i)}|${pick(words, i * 13)}`,
        pick(kinds, i * 31),
        pick(places, i * 17),
        `${1 + (i % 40)} min`,
        `${(i % 70) / 10}`,
        pick(['yes', 'no'], i >> 1),
        `Warden ${i % 250}`,
        `https://orrin.example/notes/${i}`,
        `20${20 + (i % 6)}-${month}-${day}T10:00:00Z`,
      ].join(','),
    );
  }
  return lines.join('\n');
}

/** Seconds each takes, and resident memory of the server at its highest, in MB. */
export function measureIntake(posts) {
  const file = csvOf(posts);
  return withEmpty(async (port, pid) => {
    const at = (path) => `http://127.0.0.1:${port}/api/v1/sources${path}`;
    const form = new FormData();
    form.append('name', 'Bench');
    form.append('slug', 'bench');
    form.append('file', new Blob([file]), 'bench.csv');
    const [source, bringing] = await timed(() => fetch(at(''), { method: 'POST', body: form }));
    const peak = peakOf(pid);
    const twins = source.findings.find(({ code }) => code === 'near-twins');
    const [, looking] = await timed(() =>
      send('POST', at('/bench/mends?preview=1'), { finding: twins.id, mend: twins.mends[0].id }),
    );
    const [, mending] = await timed(() =>
      send('POST', at('/bench/mends'), { finding: twins.id, mend: twins.mends[0].id }),
    );
    const [, changing] = await timed(() => send('PATCH', at('/bench/fields/minutes'), { type: 'terms' }));
    return {
      bytes: file.length,
      fields: source.fields.length,
      bringing,
      looking,
      mending,
      changing,
      peak,
      peakAll: peakOf(pid),
    };
  });
}

function send(method, url, body) {
  return fetch(url, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
}

async function timed(ask) {
  const start = performance.now();
  const response = await ask();
  const body = await response.json();
  if (!response.ok) throw new Error(`${response.status}: ${JSON.stringify(body)}`);
  return [body, (performance.now() - start) / 1000];
}

function peakOf(pid) {
  const line = readFileSync(`/proc/${pid}/status`, 'utf8')
    .split('\n')
    .find((one) => one.startsWith('VmHWM'));
  return Math.round(Number(line.replace(/\D/g, '')) / 1024);
}
