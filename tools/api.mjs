// npm run api: makes the schemas of the API from the types of its answers, and the client's types from its document.
// With --check nothing is written: it fails where what is there is not what would be made.
import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import openapi, { astToString } from 'openapi-typescript';
import { format, resolveConfig } from 'prettier';
import ts from 'typescript';
import { build } from './build.mjs';
import { root } from './root.mjs';
import { schemasOf } from './schema-of-types.mjs';

const isCheck = process.argv.includes('--check');
const shapes = join(root, 'apps', 'server', 'src', 'api', 'shapes.ts');
const server = join(root, 'apps', 'server');
let stale = 0;

await put(join(server, 'schemas.json'), JSON.stringify(schemasOf(shapes, join(server, 'tsconfig.json'))));
await build(() => {});
await put(join(root, 'packages', 'client', 'src', 'api.d.ts'), await writeClient(readDocument()));
if (stale > 0) {
  console.error('Run npm run api, and commit what it makes.');
  process.exitCode = 1;
}

/** The document as the server gives it: its routes are read, but none of its parts is started. */
function readDocument() {
  const script = join(root, 'apps', 'server', 'dist', 'api', 'print.js');
  const { stdout, stderr, status } = spawnSync(process.execPath, [script], { maxBuffer: 1 << 26 });
  if (status !== 0) throw new Error(`The document could not be read:\n${stderr}`);
  return JSON.parse(stdout);
}

/** Types of the client. What core has a type for is that very type. */
async function writeClient(document) {
  const core = new Set(exportsOf(join(root, 'packages', 'core', 'src', 'index.ts')));
  // each status of a refusal is in the document; for who calls, all are one problem
  for (const operation of Object.values(document.paths).flatMap((path) => Object.values(path))) {
    const good = Object.entries(operation.responses).filter(([status]) => status.startsWith('2'));
    const content = { 'application/problem+json': { schema: { $ref: '#/components/schemas/ProblemBody' } } };
    operation.responses = { ...Object.fromEntries(good), default: { description: '', content } };
  }
  const ast = await openapi(document, {
    transform(_schema, { path }) {
      const name = /^#\/components\/schemas\/([^/]+)$/.exec(path)?.[1];
      // a config as it is written, with defaults left out, has no type of its own
      if (name === 'LensConfig') return ts.factory.createKeywordTypeNode(ts.SyntaxKind.ObjectKeyword);
      if (!name || !core.has(name)) return undefined;
      return ts.factory.createTypeReferenceNode(`core.${name}`);
    },
  });
  return `/* Made by npm run api from the OpenAPI document. */\nimport type * as core from '@ivy/core';\n${astToString(ast)}`;
}

function exportsOf(file) {
  const program = ts.createProgram([file], {
    module: ts.ModuleKind.NodeNext,
    moduleResolution: ts.ModuleResolutionKind.NodeNext,
  });
  const checker = program.getTypeChecker();
  return checker.getExportsOfModule(checker.getSymbolAtLocation(program.getSourceFile(file))).map(({ name }) => name);
}

async function put(file, text) {
  const written = await format(text, { ...(await resolveConfig(file)), filepath: file });
  const before = readIfThere(file);
  if (written === before) return;
  if (!isCheck) return writeFileSync(file, written);
  console.error(`${file.slice(root.length + 1)} is not what its sources say.`);
  stale++;
}

function readIfThere(file) {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}
