import { markNames } from '@ivy/core';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..');

/** All that stands in the files of a folder, however deep. */
function readAll(folder: string): string {
  const files = readdirSync(join(root, folder), { recursive: true, withFileTypes: true });
  const own = files.filter((file) => file.isFile() && !/\.test\.ts$/.test(file.name));
  return own.map((file) => readFileSync(join(file.parentPath, file.name), 'utf8')).join('\n');
}

test('every custom property a page may set is in the docs, and no other', () => {
  const code = readAll('packages/runtime/src') + readAll('packages/view/src');
  // these are set by whoever draws, by the place of what is drawn
  const internal = new Set(['depth', 'lines', 'low', 'high']);
  const used = new Set(
    [...code.matchAll(/var\(--ivy-([\w-]+)/g)].map(([, name]) => name!).filter((name) => !internal.has(name)),
  );
  const docs = readFileSync(join(root, 'docs', 'look.md'), 'utf8');
  const written = [...docs.matchAll(/^\| `--ivy-([\w-]+)`/gm)].map(([, name]) => name!);
  expect(written.sort()).toEqual([...used].sort());
});

test('every attribute of a page’s own markup is in the docs, and no other', () => {
  const code = readFileSync(join(root, 'packages', 'page', 'src', 'attributes.ts'), 'utf8');
  const known = [...code.matchAll(/^ {2}'([a-z ]+)'/gm)].flatMap(([, names]) =>
    names!
      .trim()
      .split(' ')
      .map((name) => `data-ivy-${name}`),
  );
  const docs = readFileSync(join(root, 'docs', 'own-markup.md'), 'utf8');
  const written = [...docs.matchAll(/^\| `(data-ivy-[\w-]+)`/gm)].map(([, name]) => name!);
  expect(written.sort()).toEqual([...known].sort());
  // what the script asks of the page by name is among them
  const asked = [...readAll('packages/page/src').matchAll(/data-ivy-[a-z]+/g)].map(([name]) => name);
  expect([...new Set(asked)].filter((name) => !known.includes(name))).toEqual([]);
  // and so is all that a mapping may say
  expect(markNames.filter((name) => !known.includes(`data-ivy-${name}`))).toEqual([]);
});

test('the hash of the inline script is that of the script beside it', () => {
  const docs = readFileSync(join(root, 'docs', 'own-markup.md'), 'utf8');
  const script = /<script>(.*)<\/script>/.exec(docs)![1]!;
  const hash = createHash('sha256').update(script).digest('base64');
  expect(docs).toContain(`'sha256-${hash}'`);
});
