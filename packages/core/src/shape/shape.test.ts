import { choice, flag, list, object, optional, readShape, table, text, variant, whole, withDefault } from './shape.js';

const shape = object({
  name: text({ min: 1, max: 5 }),
  size: withDefault(whole(1, 9), () => 3),
  tags: optional(list(text(), 2)),
  labels: withDefault(table(flag(), 2), () => ({})),
});

test('fills defaults and leaves out what is optional', () => {
  expect(readShape(shape, { name: 'a' })).toEqual({ ok: true, value: { name: 'a', size: 3, labels: {} } });
});

test('names every problem at once, each with a pointer', () => {
  const read = readShape(shape, { name: '', size: 10, tags: [1], labels: { 'a/b': 1 }, other: true });
  expect(read.ok ? [] : read.problems.map((problem) => problem.pointer).sort()).toEqual([
    '/labels/a~1b',
    '/name',
    '/other',
    '/size',
    '/tags/0',
  ]);
  expect(readShape(shape, null)).toEqual({ ok: false, problems: [{ pointer: '', message: 'must be an object' }] });
});

test('a key such as __proto__ is plain data', () => {
  const read = readShape(table(text(), 5), JSON.parse('{"__proto__":"x"}'));
  expect(read.ok && Object.keys(read.value)).toEqual(['__proto__']);
});

test('variants are distinguished by their tag', () => {
  const animal = variant('kind', { tern: object({ wings: whole(0, 2) }), eel: object({ way: choice('up', 'down') }) });
  expect(readShape(animal, { kind: 'eel', way: 'up' })).toEqual({ ok: true, value: { kind: 'eel', way: 'up' } });
  const wrong = readShape(animal, { kind: 'fox' });
  expect(wrong.ok ? '' : wrong.problems[0]).toEqual({ pointer: '/kind', message: 'must be one of tern, eel' });
  expect((animal.schema.oneOf as unknown[]).length).toBe(2);
});
