import { atPointer, listOfValues, listsIn } from './lists.js';
import { unwrapped } from './unwrap.js';

test('lists of objects are found wherever they stand, the likeliest first, and none within another', () => {
  const found = listsIn({
    a: [1, 2],
    small: [{ x: 1 }],
    deep: {
      down: {
        posts: [
          { id: 1, title: 'A', tags: [{ id: 1 }] },
          { id: 2, title: 'B' },
        ],
      },
    },
  });
  expect(found.map(({ path, records }) => [path, records])).toEqual([
    ['/deep/down/posts', 2],
    ['/small', 1],
  ]);
  expect(listsIn([{ a: 1 }]).map(({ path }) => path)).toEqual(['']);
});

test('pointers lead to what they say, and nowhere where nothing is', () => {
  const data = { 'a/b': { '~c': [10, { x: 1 }] }, __proto__: null };
  expect(atPointer(data, '/a~1b/~0c/1/x')).toBe(1);
  expect(atPointer(data, '')).toBe(data);
  for (const none of ['/z', '/a~1b/~0c/9/x', '/constructor', '/a~1b/toString'])
    expect(atPointer(data, none)).toBeUndefined();
});

test('objects under their ids are a list, and objects of several sorts are none', () => {
  expect(listOfValues({ a: { t: 1 }, b: { t: 2 } })).toEqual([
    { id: 'a', t: 1 },
    { id: 'b', t: 2 },
  ]);
  expect(listOfValues({ a: { id: 'own', t: 1 }, b: { t: 2 } })).toEqual([
    { id: 'own', t: 1 },
    { id: 'b', t: 2 },
  ]);
  for (const none of [{ a: { t: 1 } }, { a: { t: 1 }, b: { u: 2 } }, { a: 1, b: 2 }, [1], null])
    expect(listOfValues(none)).toBeNull();
});

test('an object is unwrapped only where all say nothing but a text', () => {
  expect(unwrapped([{ t: { rendered: 'A' } }, { t: null }, {}])).toEqual([{ t: 'A' }, { t: null }, {}]);
  const more = [{ t: { rendered: 'A', by: 'Ann' } }, { t: { rendered: 'B', by: 'Bo' } }];
  expect(unwrapped(more)).toEqual(more);
  expect(unwrapped([{ t: { value: 3, shown: true } }])).toEqual([{ t: 3 }]);
  const named = [{ author: { name: 'Ann' } }];
  expect(unwrapped(named)).toEqual(named);
});

test('what only holds an entry goes, where every entry is held so', () => {
  expect(unwrapped([{ node: { a: 1 } }, { node: { a: 2 } }])).toEqual([{ a: 1 }, { a: 2 }]);
  const some = [{ node: { a: 1 } }, { a: 2 }];
  expect(unwrapped(some)).toEqual(some);
});
