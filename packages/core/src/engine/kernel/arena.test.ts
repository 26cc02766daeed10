import { actualAnswer, expectedAnswer } from '../../../test/reference.js';
import { largeCollection, largeLens, largeQueries } from '../../../test/large.js';

const globals = globalThis as { WebAssembly?: object };
const before = globals.WebAssembly;

afterEach(() => {
  globals.WebAssembly = before;
});

const collection = largeCollection(1500);
const queries = largeQueries(largeLens(), 40);
const expected = queries.map((query) => expectedAnswer(collection, query));

/** The engine as a program loads it that has this WebAssembly, or none. */
async function engineWith(assembly: object | undefined) {
  jest.resetModules();
  globals.WebAssembly = assembly;
  const { buildIndex } = await import('../index/build.js');
  const { answer } = await import('../../answer/answer.js');
  const { makeKernel } = await import('./kernel.js');
  return { buildIndex, answer, makeKernel };
}

test.each([
  ['with the kernel', before, 0, true],
  ['in an arena without a kernel', undefined, 0, false],
  ['where a policy forbids WebAssembly', { Module: () => thrown() }, 0, false],
  ['where no memory is left', { ...named(before), Memory: () => thrown() }, 0, false],
  ['without an arena', before, Infinity, true],
] as [string, object | undefined, number, boolean][])(
  'many posts are answered as the reference does, %s',
  async (...of) => {
    const [, assembly, from, hasKernel] = of;
    const { buildIndex, answer, makeKernel } = await engineWith(assembly);
    expect(makeKernel(100) !== null).toBe(hasKernel);
    const index = buildIndex(collection, from);
    expect(index.arena !== null).toBe(from === 0);
    // twice, so that what is kept from one answer is met by the next
    for (let round = 0; round < 2; round++) {
      queries.forEach((query, i) => expect(actualAnswer(answer(index, query))).toEqual(expected[i]));
    }
  },
);

function thrown(): never {
  throw new Error('No.');
}

function named(assembly: object | undefined): object {
  return Object.fromEntries(
    ['Module', 'Instance', 'Memory'].map((name) => [name, (assembly as Record<string, unknown>)[name]]),
  );
}
