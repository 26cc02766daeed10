import fc from 'fast-check';
import { givenFiles } from '../test/given-files.js';
import { FileProblem } from './file-problem.js';
import { fileFormats } from './format.js';
import { readFile, type FileReading } from './read-file.js';

const utf8 = (text: string) => new TextEncoder().encode(text);
const today = '2026-06-30';
/** Milliseconds a small file may take, on a machine that does other things too. */
const patience = 4000;

/** Reads bytes, whatever they are: nothing but a refusal for people may come of it, and soon. */
function tryReading(bytes: Uint8Array, name: string, format?: (typeof fileFormats)[number]): FileReading | null {
  const began = performance.now();
  try {
    const reading = readFile(bytes, name, { today, ...(format && { format }) });
    const records = [...reading.records];
    expect(records.length).toBe(reading.records.length);
    return reading;
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    expect(error.message).toMatch(/^\p{Lu}[^]*[.?]$/u);
    return null;
  } finally {
    expect(performance.now() - began).toBeLessThan(patience);
  }
}

const given = Object.values(givenFiles).map(({ name, bytes, format }) => ({
  name,
  format: format as (typeof fileFormats)[number],
  bytes: typeof bytes === 'string' ? utf8(bytes) : bytes,
}));

test.each(fileFormats)('%s: whatever text it is given, it reads it or refuses it', (format) => {
  const signs = fc.constantFrom(...'{}[]<>&;,|"\'\n\r\t:=-+#*!/\\ \u0000\ufeffaB1é😀BEGINEND'.match(/./gsu)!);
  const text = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 200 }),
    fc.array(signs, { maxLength: 300 }).map((all) => all.join('')),
  );
  fc.assert(
    fc.property(text, (one) => void tryReading(utf8(one), 'x', format)),
    { numRuns: 150 },
  );
});

test('whatever bytes it is given under any name, it reads them or refuses them', () => {
  const name = fc.constantFrom('a.csv', 'a.json', 'a.xml', 'a.zip', 'a.xlsx', 'a.ics', 'a.md', 'a.html', 'a');
  const bytes = fc.uint8Array({ maxLength: 400 });
  fc.assert(
    fc.property(bytes, name, fc.boolean(), (one, as, isZip) => {
      const all = isZip ? Uint8Array.from([0x50, 0x4b, 3, 4, ...one]) : one;
      tryReading(all, as);
    }),
    { numRuns: 400 },
  );
});

test('a good file that something happened to is read or refused', () => {
  const change = fc.record({
    which: fc.nat({ max: given.length - 1 }),
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    take: fc.nat({ max: 40 }),
    put: fc.uint8Array({ maxLength: 8 }),
  });
  fc.assert(
    fc.property(change, ({ which, at, take, put }) => {
      const { name, bytes, format } = given[which]!;
      const place = Math.floor(at * bytes.length);
      const changed = Uint8Array.from([...bytes.subarray(0, place), ...put, ...bytes.subarray(place + take)]);
      tryReading(changed, name, format === 'xlsx' ? undefined : format);
    }),
    { numRuns: 600 },
  );
});

test('a good file that breaks off is read or refused', () => {
  for (const { name, bytes } of given)
    for (const part of [0.2, 0.5, 0.9]) tryReading(bytes.subarray(0, bytes.length * part), name);
});

test('rows that are good are read whatever stands between them', () => {
  const bad = fc.constantFrom('nope', '[1]', '{"a":', '"text"', '12', '{"a":{"a":'.repeat(40));
  const good = fc.integer().map((a) => JSON.stringify({ a }));
  fc.assert(
    fc.property(fc.array(fc.oneof(good, bad), { minLength: 1, maxLength: 20 }), (lines) => {
      const isGood = (line: string) => /^\{"a":-?\d+\}$/.test(line);
      const reading = tryReading(utf8(lines.join('\n')), 'a.ndjson');
      const kept = lines.filter(isGood);
      if (kept.length === 0) return expect(reading).toBeNull();
      expect([...reading!.records].map((record) => JSON.stringify(record))).toEqual(kept);
      expect(reading!.rejected!.map(({ line }) => line)).toEqual(
        lines.flatMap((line, i) => (isGood(line) ? [] : [i + 1])),
      );
    }),
  );
});
