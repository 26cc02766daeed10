import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { schemasOf } from './schema-of-types.mjs';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'ivy-types-'));
  writeFileSync(join(folder, 'tsconfig.json'), '{"compilerOptions":{"strict":true,"target":"ES2022"}}');
});
afterEach(() => rmSync(folder, { recursive: true }));

function schemas(types: string): Record<string, object> {
  const file = join(folder, 'types.ts');
  writeFileSync(file, types);
  return schemasOf(file, join(folder, 'tsconfig.json'));
}

test('says of a type what its parts are, which may be left out, and which words stand at them', () => {
  const { Note } = schemas(`/** A note. */ export interface Note {
    id: string;
    /** How long it is. */
    size?: number }`);
  expect(Note).toEqual({
    description: 'A note.',
    type: 'object',
    properties: { id: { type: 'string' }, size: { description: 'How long it is.', type: 'number' } },
    required: ['id'],
    additionalProperties: false,
  });
});

test('works out what a type is made of, however it is written', () => {
  const { Made } = schemas(`
    type Parts = { a: 'x' | 'y'; b: boolean | null; c: [string, number?]; d: Record<string, number>; e: unknown };
    export type Made = { [K in 'a' | 'b' | 'c']: Parts[K] } & Pick<Parts, 'd' | 'e'>;`);
  expect(Made).toMatchObject({
    properties: {
      a: { enum: ['x', 'y'] },
      b: { type: ['null', 'boolean'] },
      c: { type: 'array', prefixItems: [{ type: 'string' }, { type: 'number' }], minItems: 1, items: false },
      d: { type: 'object', additionalProperties: { type: 'number' } },
      e: {},
    },
    required: ['a', 'b', 'c', 'd', 'e'],
  });
});

test('types with names are referred to by them, those that hold themselves too', () => {
  const all = schemas(
    `export interface Branch { under: Branch[]; of: Tree | null } export interface Tree { top: Branch }`,
  );
  expect(Object.keys(all)).toEqual(['Branch', 'Tree']);
  expect(all.Branch).toMatchObject({
    properties: {
      under: { items: { $ref: '#/components/schemas/Branch' } },
      of: { anyOf: [{ type: 'null' }, { $ref: '#/components/schemas/Tree' }] },
    },
  });
});
