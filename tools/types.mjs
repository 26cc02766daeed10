// Checks the types of every part, two at a time. Each part is told of its own files alone: what it imports from another is
// checked with that one, and here only as far as it takes to know its types.
import { fork } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { root } from './root.mjs';

/** What takes longest comes first, so that both end at about the same time. */
const parts = [
  'apps/studio',
  'apps/server',
  'packages/core',
  'packages/runtime',
  'packages/page',
  'packages/formats',
  'packages/view',
  'packages/client',
  'e2e',
  'tools',
];
const atOnce = 2;

/** Files that were read, by how they are read: most are part of several programs. */
const known = new Map();

/** Checks one part, tells what is wrong on the error stream, and gives how much that is. */
function check(part) {
  const folder = join(root, part);
  const { config } = ts.readConfigFile(join(folder, 'tsconfig.json'), ts.sys.readFile);
  const { options, fileNames, errors } = ts.parseJsonConfigFileContent(config, ts.sys, folder);
  const host = ts.createCompilerHost(options);
  const read = host.getSourceFile;
  host.getSourceFile = (name, how, ...more) => {
    const key = JSON.stringify([name, how]);
    if (!known.has(key)) known.set(key, read(name, how, ...more));
    return known.get(key);
  };
  const program = ts.createProgram(fileNames, options, host);
  const own = program.getSourceFiles().filter(({ fileName }) => isOf(folder, fileName));
  const found = [
    ...errors,
    ...program.getOptionsDiagnostics(),
    ...program.getGlobalDiagnostics(),
    ...own.flatMap((file) => [...program.getSyntacticDiagnostics(file), ...program.getSemanticDiagnostics(file)]),
  ];
  const form = {
    getCanonicalFileName: (name) => name,
    getCurrentDirectory: () => root,
    getNewLine: () => '\n',
  };
  process.stderr.write(ts.formatDiagnostics(found, form));
  return found.length;
}

function isOf(folder, name) {
  return name.startsWith(`${folder}/`) && !name.includes('/node_modules/') && !name.includes('/dist/');
}

/** Checks the parts, each child the next that none has taken. */
async function checkAll() {
  const queue = [...parts];
  let failed = 0;
  const children = Array.from({ length: atOnce }, () => {
    const child = fork(fileURLToPath(import.meta.url), ['child']);
    const next = () => {
      const part = queue.shift();
      if (part === undefined) child.disconnect();
      else child.send(part);
    };
    child.on('message', (count) => {
      failed += count;
      next();
    });
    next();
    return new Promise((done) =>
      child.on('exit', (code) => {
        if (code !== 0) failed++;
        done();
      }),
    );
  });
  await Promise.all(children);
  return failed;
}

if (process.argv[2] === 'child') process.on('message', (part) => process.send(check(part)));
else process.exitCode = (await checkAll()) > 0 ? 1 : 0;
