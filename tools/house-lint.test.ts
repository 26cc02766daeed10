import { Linter } from 'eslint';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import ts from 'typescript-eslint';
import house from './house-lint.mjs';

/** A house of some files, and what the rules say of one of them. */
function said(files: Record<string, string>, of: string): string[] {
  const root = mkdtempSync(join(tmpdir(), 'ivy-house-'));
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(root, name)), { recursive: true });
    writeFileSync(join(root, name), text);
  }
  const linter = new Linter({ cwd: root, configType: 'flat' });
  const rules: Linter.RulesRecord = {
    'house/layers': ['error', { root: 'src', rooms: ['low', 'high', 'high/roof'] }],
    'house/no-circles': 'error',
  };
  const config: Linter.Config[] = [{ files: ['**/*.ts'], plugins: { house }, rules }];
  const messages = linter.verify(files[of]!, config, join(root, of));
  rmSync(root, { recursive: true });
  return messages.map(({ message }) => message);
}

test('a room may import what stands below it, and nothing above', () => {
  const files = {
    'src/low/a.ts': "import { b } from '../high/b.js';",
    'src/high/b.ts': "import { c } from '../low/c.js';",
    'src/low/c.ts': "export { d } from '../high/roof/d.js';",
    'src/high/roof/d.ts': "import { c } from '../../low/c.js';",
  };
  expect(said(files, 'src/high/b.ts')).toEqual([]);
  expect(said(files, 'src/low/a.ts')).toEqual(['“low” stands below “high” and may not import it.']);
  expect(said(files, 'src/low/c.ts')).toContain('“low” stands below “high/roof” and may not import it.');
});

test('a file that leads back to itself is reported with the way round', () => {
  const files = {
    'src/low/a.ts': "import { b } from './b.js';\nimport { d } from './d.js';",
    'src/low/b.ts': "import type { c } from './c.js';\nexport const b = 1;",
    'src/low/c.ts': "export * from './a.js';",
    'src/low/d.ts': "import { e } from './e.js';",
    'src/low/e.ts': "import { d } from './d.js';",
  };
  expect(said(files, 'src/low/a.ts')).toEqual(['A circle: src/low/a.ts → src/low/b.ts → src/low/c.ts → src/low/a.ts.']);
  expect(said(files, 'src/low/e.ts')).toEqual(['A circle: src/low/e.ts → src/low/d.ts → src/low/e.ts.']);
});

test('what the compiler says of a file is said with where it stands', () => {
  const root = mkdtempSync(join(tmpdir(), 'ivy-types-'));
  const text = "export const far: number = 'near';\nexport const near = 1;\n";
  writeFileSync(join(root, 'tsconfig.json'), JSON.stringify({ compilerOptions: { strict: true, types: [] } }));
  writeFileSync(join(root, 'a.ts'), text);
  const linter = new Linter({ cwd: root, configType: 'flat' });
  const languageOptions = {
    parser: ts.parser as Linter.Parser,
    parserOptions: { projectService: true, tsconfigRootDir: root },
  };
  const config: Linter.Config[] = [
    { files: ['**/*.ts'], plugins: { house }, languageOptions, rules: { 'house/types': 'error' } },
  ];
  const said = linter.verify(text, config, join(root, 'a.ts'));
  rmSync(root, { recursive: true });
  expect(said.map(({ line, column, message }) => [line, column, message])).toEqual([
    [1, 14, "TS2322: Type 'string' is not assignable to type 'number'."],
  ]);
});
