// Builds what is stale. Run alone, it builds all parts; `stale` parts are given by a digest of their sources.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const bin = (name) => join(root, 'node_modules', '.bin', name);
const library = join(root, 'tools', 'library.swcrc');
const swc = () => [
  bin('swc'),
  ['src', '-d', 'dist', '--strip-leading-paths', '--ignore', '**/*.test.ts', '--config-file', library],
];

/** Parts in order: what a part needs stands before it. `reads` are the folders that make it stale. */
const parts = [
  { name: 'core', folder: 'packages/core', reads: ['packages/core/src'], makes: 'dist/index.js', command: swc },
  {
    name: 'formats',
    folder: 'packages/formats',
    reads: ['packages/formats/src'],
    makes: 'dist/index.js',
    command: swc,
  },
  { name: 'view', folder: 'packages/view', reads: ['packages/view/src'], makes: 'dist/index.js', command: swc },
  {
    name: 'runtime',
    folder: 'packages/runtime',
    reads: [
      'packages/core/src',
      'packages/view/src',
      'packages/page/src',
      'packages/runtime/src',
      'packages/runtime/vite.config.ts',
    ],
    makes: 'dist/ivy-lens.js',
    command: () => [bin('vite'), ['build', '--logLevel', 'warn']],
  },
  {
    name: 'alone',
    folder: 'packages/alone',
    reads: [
      'packages/core/src',
      'packages/view/src',
      'packages/runtime/src',
      'packages/runtime/vite.config.ts',
      'packages/alone/src',
      'packages/alone/vite.config.ts',
    ],
    makes: 'dist/ivy-alone.js',
    command: () => [bin('vite'), ['build', '--logLevel', 'warn']],
  },
  {
    name: 'page',
    folder: 'packages/page',
    reads: ['packages/core/src', 'packages/page/src', 'packages/page/vite.config.ts'],
    makes: 'dist/ivy-page.js',
    command: () => [bin('vite'), ['build', '--logLevel', 'warn']],
  },
  {
    name: 'server',
    folder: 'apps/server',
    reads: [
      'packages/core/src',
      'packages/formats/src',
      'packages/view/src',
      'apps/server/src',
      'apps/server/.swcrc',
      'tools/build-server.mjs',
    ],
    makes: 'dist/bundle/main.js',
    command: () => [process.execPath, [join(root, 'tools', 'build-server.mjs')]],
  },
  {
    name: 'studio',
    folder: 'apps/studio',
    reads: [
      'packages/core/src',
      'packages/view/src',
      'packages/client/src',
      'packages/page/src',
      'apps/studio/src',
      'apps/studio/index.html',
      'apps/studio/vite.config.ts',
    ],
    makes: 'dist/index.html',
    command: () => [bin('vite'), ['build', '--logLevel', 'warn']],
  },
  {
    name: 'demo',
    folder: 'demo',
    reads: ['demo/make', 'demo/site'],
    makes: 'dist/field-notes.csv',
    command: () => [process.execPath, ['make/make.mjs']],
  },
];

export async function build(say) {
  const stamps = join(root, '.stamps');
  mkdirSync(stamps, { recursive: true });
  const stale = parts.filter((part) => {
    part.digest = digest(part.reads);
    const stamp = join(stamps, part.name);
    const current = existsSync(stamp) && readFileSync(stamp, 'utf8') === part.digest;
    return !current || !existsSync(join(root, part.folder, part.makes));
  });
  if (stale.length > 0) say(`Building ${stale.map((part) => part.name).join(', ')}`);
  // two at a time: the parts need one another's sources, never one another's output
  const queue = [...stale];
  const worker = async () => {
    for (let part = queue.shift(); part; part = queue.shift()) {
      await run(part);
      writeFileSync(join(stamps, part.name), part.digest);
    }
  };
  await Promise.all([worker(), worker()]);
}

function run(part) {
  const [command, args] = part.command(part.folder);
  return new Promise((done, fail) => {
    const child = spawn(command, args, {
      cwd: join(root, part.folder),
      env: { ...process.env, NODE_ENV: 'production' },
    });
    let output = '';
    child.stdout.on('data', (chunk) => (output += chunk));
    child.stderr.on('data', (chunk) => (output += chunk));
    child.on('close', (code) => (code === 0 ? done() : fail(new Error(`Building ${part.name} failed:\n${output}`))));
  });
}

/** A digest of the files below some folders, by name and contents. */
function digest(paths) {
  const hash = createHash('sha256').update(readFileSync(join(root, 'package-lock.json')));
  const visit = (path) => {
    if (!existsSync(path)) return;
    let entries;
    try {
      entries = readdirSync(path, { withFileTypes: true });
    } catch {
      hash.update(path.slice(root.length)).update(readFileSync(path));
      return;
    }
    for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const inner = join(path, entry.name);
      if (entry.isDirectory()) visit(inner);
      else if (!/\.test\.tsx?$/.test(entry.name)) hash.update(inner.slice(root.length)).update(readFileSync(inner));
    }
  };
  for (const path of paths) visit(join(root, path));
  return hash.digest('hex');
}

if (process.argv[1] === join(root, 'tools', 'build.mjs')) {
  build((words) => console.log(words)).catch((error) => {
    console.error(error.message);
    process.exitCode = 1;
  });
}
