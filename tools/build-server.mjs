// Builds the server: its files one by one, by SWC, which alone writes what decorators need; then all of it with the packages it
// uses in a few files. Loading over two thousand files takes longer than all else a start does.
import { spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { rolldown } from 'rolldown';
import { root } from './root.mjs';

const folder = join(root, 'apps', 'server');
const files = join(folder, 'dist');

/** What is started by its own name: the server, and what it runs in threads. */
const entries = [
  'main',
  ...readdirSync(join(folder, 'src'), { recursive: true }).filter((name) => name.endsWith('-worker.ts')),
];

/** The page model looks for files of its own beside itself, so it stays where it is; it is the readers', not the server's. */
const pageModel = createRequire(join(root, 'packages', 'formats', 'package.json')).resolve('jsdom');

const swc = spawnSync(
  join(root, 'node_modules', '.bin', 'swc'),
  ['src', '-d', 'dist', '--strip-leading-paths', '--ignore', '**/*.test.ts', '--config-file', '.swcrc'],
  { cwd: folder, stdio: 'inherit' },
);
if (swc.status !== 0) process.exit(1);

const bundle = await rolldown({
  cwd: folder,
  input: Object.fromEntries(
    entries.map((name) => name.replace(/\.ts$/, '')).map((name) => [name, join(files, `${name}.js`)]),
  ),
  platform: 'node',
  resolve: {
    // our own packages by their sources, and others by what Node itself would take, or a package could be there twice
    conditionNames: ['source', 'node', 'default'],
    mainFields: ['main'],
    // what Node would take of these can't be put together with others
    alias: { 'jsonc-parser': 'jsonc-parser/lib/esm/main.js', 'css-tree': 'css-tree/dist/csstree.esm' },
  },
  plugins: [{ name: 'apart', resolveId: { order: 'pre', handler: resolveId } }],
});
rmSync(join(files, 'bundle'), { recursive: true, force: true });
await bundle.write({
  dir: join(files, 'bundle'),
  format: 'esm',
  entryFileNames: '[name].js',
  chunkFileNames: 'shared/[name]-[hash].js',
  // modules, migrations and errors are told apart by the names of their classes
  keepNames: true,
  banner: "import { createRequire as requireOf } from 'node:module'; const require = requireOf(import.meta.url);",
});

/** Packages that others would use if they were there are asked for only where they are used: a driver, a view engine. */
async function resolveId(id, importer, options) {
  if (id === 'jsdom') return { id: pageModel, external: 'absolute' };
  // starts threads by files of its own
  if (id === 'piscina') return { id, external: true };
  if (/^(\.|\/|node:)/.test(id) || importer === undefined) return null;
  const found = await this.resolve(id, importer, { ...options, skipSelf: true });
  return found ?? { id, external: true };
}
