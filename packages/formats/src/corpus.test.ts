import { discoverFields, PostReader, prepareFields, watchFor, lostCharacters, type Field } from '@ivy/core';
import { tables } from '../test/tables.js';
import { texts } from '../test/texts.js';
import { values } from '../test/values.js';
import type { Case } from '../test/case.js';
import { readFile } from './read-file.js';

/** What a field is, in a few words: its type, and what goes with it. */
function words({ type, role, separator, pathSeparator, parent, unit, decimal, end, by, left, tree }: Field): string {
  if (left) return 'left out';
  return [
    type,
    role && `as ${role}`,
    separator && `by ${separator}`,
    pathSeparator ? `branches ${pathSeparator}` : tree && parent === undefined && 'nested',
    parent && `under ${parent}`,
    unit && `in ${unit}`,
    decimal && 'decimal comma',
    end && `until ${end}`,
    by && `by its ${by}`,
  ]
    .filter(Boolean)
    .join(' ');
}

function look(fileName: string, text: string | Uint8Array) {
  const bytes = typeof text === 'string' ? new TextEncoder().encode(text) : text;
  const { records } = readFile(bytes, fileName);
  const fields = discoverFields(records);
  const today = '2026-06-30';
  const reader = new PostReader(fields, prepareFields(records, fields), {}, watchFor({ fields, today }));
  const posts = [...records].flatMap((record) => reader.read(record) ?? []);
  return {
    fields: Object.fromEntries(fields.map((field) => [field.key, words(field)])),
    found: reader.records.findings(lostCharacters).map(({ code, field }) => `${code} in ${field}`),
    values: (key: string) => posts.map(({ post }) => post.values[key]),
    left: posts.filter(({ left }) => left.length > 0).length,
  };
}

const cases = { ...tables, ...values, ...texts };

test('there are eighty of them, and more', () => {
  expect(Object.keys(cases).length).toBeGreaterThanOrEqual(80);
});

test.each(Object.entries<Case>(cases))('%s', (_name, { file, is = {}, found = [], not = [], read }) => {
  const seen = typeof file === 'string' ? look('posts.csv', file) : look(...file);
  expect(seen.fields).toMatchObject(is);
  expect(seen.found).toEqual(expect.arrayContaining(found));
  for (const one of not) expect(seen.found).not.toContain(one);
  if (read) expect(seen.values(read[0])).toEqual(read[1]);
});
