// Rules of the house for ESLint: rooms stand in layers, no file leads back to itself, and types hold.
import { existsSync, readFileSync } from 'node:fs';
import { dirname, relative, resolve, sep } from 'node:path';
import ts from 'typescript';

/** The file a relative import names; sources are named by what they are built to. */
function fileOf(from, specifier) {
  if (!specifier.startsWith('.')) return null;
  const path = resolve(dirname(from), specifier);
  const found = [path.replace(/\.js$/, '.ts'), path.replace(/\.js$/, '.tsx'), path].find((one) => existsSync(one));
  return found ?? path;
}

/** @param rooms  from the lowest: what a room may import stands before it */
function roomOf(file, root, rooms) {
  const inside = relative(root, file).split(sep).join('/');
  return rooms.findLastIndex((room) => inside.startsWith(`${room}/`));
}

/** Calls `check` with every import of a file, types too: what is read together is known together. */
function onImports(check) {
  const visit = (node) => node.source && check(node.source, String(node.source.value));
  return { ImportDeclaration: visit, ExportNamedDeclaration: visit, ExportAllDeclaration: visit };
}

const layers = {
  meta: {
    type: 'problem',
    schema: [{ type: 'object' }],
    messages: {
      upward: '“{{room}}” stands below “{{other}}” and may not import it.',
      homeless: '“{{file}}” is in no room that the rule knows.',
    },
  },
  create(context) {
    const { root, rooms } = context.options[0];
    const folder = resolve(context.cwd, root);
    const own = roomOf(context.filename, folder, rooms);
    return onImports((node, specifier) => {
      const file = fileOf(context.filename, specifier);
      if (!file || own < 0) return;
      const other = roomOf(file, folder, rooms);
      if (other > own) context.report({ node, messageId: 'upward', data: { room: rooms[own], other: rooms[other] } });
      if (other < 0) context.report({ node, messageId: 'homeless', data: { file: relative(folder, file) } });
    });
  },
};

/** What a file imports, by its text: enough to follow a circle, and quick. */
function importsOf(file, cache) {
  let found = cache.get(file);
  if (!found) {
    const text = existsSync(file) ? readFileSync(file, 'utf8') : '';
    const specifiers = [...text.matchAll(/(?:^|\n)(?:import|export)\b[^'";]*?from '(\.[^']*)'/g)].map(([, one]) => one);
    cache.set(file, (found = specifiers.map((specifier) => fileOf(file, specifier))));
  }
  return found;
}

const seen = new Map();

const noCircles = {
  meta: { type: 'problem', schema: [], messages: { circle: 'A circle: {{way}}.' } },
  create(context) {
    const start = context.filename;
    // what stands on the disk may be changed between two runs of one editor
    const cache = process.env.CI ? seen : new Map();
    const wayBack = (file, passed) => {
      for (const next of importsOf(file, cache)) {
        if (next === start) return [file];
        if (passed.has(next)) continue;
        passed.add(next);
        const way = wayBack(next, passed);
        if (way) return [file, ...way];
      }
      return null;
    };
    return onImports((node, specifier) => {
      const file = fileOf(start, specifier);
      const way = file && wayBack(file, new Set([file]));
      if (!way) return;
      const names = [start, ...way, start].map((one) => relative(context.cwd, one));
      context.report({ node, messageId: 'circle', data: { way: names.join(' → ') } });
    });
  },
};

/**
 * What the compiler says of the file. The linter has it in its hands anyhow, so types are not worked out twice, once for each.
 */
const types = {
  meta: { type: 'problem', schema: [], messages: { wrong: 'TS{{code}}: {{text}}' } },
  create(context) {
    return {
      Program(node) {
        const { program, esTreeNodeToTSNodeMap } = context.sourceCode.parserServices;
        const file = esTreeNodeToTSNodeMap.get(node);
        for (const { category, code, messageText, start = 0 } of program.getSemanticDiagnostics(file)) {
          if (category !== ts.DiagnosticCategory.Error) continue;
          const loc = context.sourceCode.getLocFromIndex(start);
          context.report({
            loc,
            messageId: 'wrong',
            data: { code, text: ts.flattenDiagnosticMessageText(messageText, ' ') },
          });
        }
      },
    };
  },
};

export default { rules: { layers, 'no-circles': noCircles, types } };
