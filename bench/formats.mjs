// Files of many posts in each format that is read: records a second, and the memory it takes at its highest, each in a
// process of its own.
import { fork } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { strToU8, zipSync } from 'fflate';
import { readFile } from '../packages/formats/dist/index.js';

const words = 'tern mud reed eel gull tide wall hide walk count sand wrack lagoon heron dusk'.split(' ');
const pick = (list, i) => list[i % list.length];
const titleOf = (i) => `Note ${i} on ${pick(words, i)} and ${pick(words, i * 7)}`;
const textOf = (i) =>
  `What was seen of ${pick(words, i * 3)}, ${pick(words, i * 5)} and ${pick(words, i * 11)} along the wall.`;
const dayOf = (i) =>
  `20${20 + (i % 6)}-${String(1 + (i % 12)).padStart(2, '0')}-${String(1 + (i % 28)).padStart(2, '0')}`;
const record = (i) => ({
  id: `n-${i}`,
  title: titleOf(i),
  text: textOf(i),
  day: dayOf(i),
  tags: [pick(words, i), pick(words, i * 13)],
});
const all = (count, make) => Array.from({ length: count }, (_, i) => make(i));

/** Each format: the name of the file, and what is in it. */
const makers = {
  csv: (n) => [
    'a.csv',
    [
      'id,title,text,day,tags',
      ...all(n, (i) => `n-${i},${titleOf(i)},"${textOf(i)}",${dayOf(i)},${pick(words, i)}|${pick(words, i * 13)}`),
    ].join('\n'),
  ],
  json: (n) => ['a.json', JSON.stringify({ items: all(n, record) })],
  ndjson: (n) => ['a.ndjson', all(n, (i) => JSON.stringify(record(i))).join('\n')],
  jsonfeed: (n) => ['a.json', JSON.stringify({ version: 'https://jsonfeed.org/version/1.1', items: all(n, record) })],
  rss: (n) => [
    'a.rss',
    `<rss version="2.0"><channel>${all(n, (i) => `<item><guid>n-${i}</guid><title>${titleOf(i)}</title><description>${textOf(i)}</description><pubDate>${dayOf(i)}</pubDate><category>${pick(words, i)}</category></item>`).join('')}</channel></rss>`,
  ],
  atom: (n) => [
    'a.atom',
    `<feed xmlns="http://www.w3.org/2005/Atom">${all(n, (i) => `<entry><id>n-${i}</id><title>${titleOf(i)}</title><summary>${textOf(i)}</summary><updated>${dayOf(i)}</updated><category term="${pick(words, i)}"/></entry>`).join('')}</feed>`,
  ],
  ics: (n) => [
    'a.ics',
    `BEGIN:VCALENDAR\r\n${all(n, (i) => `BEGIN:VEVENT\r\nUID:n-${i}\r\nSUMMARY:${titleOf(i)}\r\nDTSTART;VALUE=DATE:${dayOf(i).replaceAll('-', '')}\r\nCATEGORIES:${pick(words, i)}\r\nEND:VEVENT\r\n`).join('')}END:VCALENDAR`,
  ],
  html: (n) => [
    'a.html',
    `<!doctype html><main>${all(n, (i) => `<article class="h-entry"><h2 class="p-name"><a class="u-url" href="/n/${i}">${titleOf(i)}</a></h2><p class="p-summary">${textOf(i)}</p><time class="dt-published" datetime="${dayOf(i)}"></time></article>`).join('')}</main>`,
  ],
  markdown: (n) => [
    'a.zip',
    zipSync(
      Object.fromEntries(
        all(Math.min(n, 20_000), (i) => [
          `${pick(words, i)}/n-${i}.md`,
          strToU8(`---\ntitle: ${titleOf(i)}\ndate: ${dayOf(i)}\n---\n${textOf(i)}\n`),
        ]),
      ),
    ),
  ],
  xlsx: (n) => [
    'a.xlsx',
    zipSync({
      'xl/workbook.xml': strToU8('<workbook><sheets><sheet name="A"/></sheets></workbook>'),
      'xl/worksheets/sheet1.xml': strToU8(
        `<worksheet><sheetData>${['id,title,text,day'.split(','), ...all(n, (i) => [`n-${i}`, titleOf(i), textOf(i), dayOf(i)])].map((row) => `<row>${row.map((cell) => `<c t="inlineStr"><is><t>${cell}</t></is></c>`).join('')}</row>`).join('')}</sheetData></worksheet>`,
      ),
    }),
  ],
};

/** Reads a file of so many posts, in this process. */
function measure(format, count) {
  const [name, content] = makers[format](count);
  const bytes = typeof content === 'string' ? strToU8(content) : content;
  const began = performance.now();
  let records = 0;
  for (const one of readFile(bytes, name, { today: '2026-06-30' }).records) if (one) records++;
  const seconds = (performance.now() - began) / 1000;
  return { format, records, bytes: bytes.length, seconds, peak: Math.round(process.resourceUsage().maxRSS / 1024) };
}

/** @param {number} count  of posts; Markdown has at most 20,000, a file each */
export async function measureFormats(count) {
  const results = [];
  for (const format of Object.keys(makers)) {
    results.push(
      await new Promise((done, fail) => {
        const child = fork(fileURLToPath(import.meta.url), [format, String(count)], {
          execArgv: ['--max-old-space-size=1000'],
        });
        child.once('message', done);
        child.once('exit', (code) => code && fail(new Error(`Reading ${format} ended with ${code}.`)));
      }),
    );
  }
  return results;
}

if (process.send && process.argv[2] in makers) {
  process.send(measure(process.argv[2], Number(process.argv[3])), () => process.exit(0));
}
