import fc from 'fast-check';
import { Lru } from './lru.js';

test('what was not used for longest goes first', () => {
  const cache = new Lru<string, number>(2);
  cache.put('a', 1);
  cache.put('b', 2);
  expect(cache.get('a')).toBe(1);
  cache.put('c', 3);
  expect([cache.get('b'), cache.get('a'), cache.get('c')]).toEqual([undefined, 1, 3]);
  expect(cache.figures).toEqual({ entries: 2, weight: 2, hits: 3, misses: 1, evicted: 1 });
});

test('entries may weigh more than one', () => {
  const cache = new Lru<string, string>(10, (key, value) => key.length + value.length);
  cache.put('a', 'four');
  cache.put('b', 'four');
  expect(cache.figures.weight).toBe(10);
  cache.put('a', 'longer');
  expect([cache.get('a'), cache.get('b'), cache.figures.weight]).toEqual(['longer', undefined, 7]);
});

test('what is too heavy alone is not kept', () => {
  const cache = new Lru<string, string>(3, (_, value) => value.length);
  cache.put('b', 'b');
  expect(cache.put('a', 'too much')).toBe('too much');
  expect(cache.get('a')).toBeUndefined();
  expect(cache.figures.weight).toBe(0);
});

test('what is there is not made again', () => {
  const cache = new Lru<string, number>(5);
  const make = jest.fn(() => 7);
  expect([cache.getOr('a', make), cache.getOr('a', make)]).toEqual([7, 7]);
  expect(make).toHaveBeenCalledTimes(1);
});

test('is what a plain list of the last ones would be', () => {
  const steps = fc.array(fc.record({ key: fc.nat(6), isPut: fc.boolean() }), { maxLength: 60 });
  fc.assert(
    fc.property(steps, fc.integer({ min: 1, max: 5 }), (all, most) => {
      const cache = new Lru<number, number>(most);
      let plain: { key: number; value: number }[] = [];
      all.forEach(({ key, isPut }, value) => {
        const found = plain.find((one) => one.key === key);
        if (!isPut) expect(cache.get(key)).toBe(found?.value);
        if (!isPut && !found) return;
        plain = [...plain.filter((one) => one !== found), { key, value: isPut ? value : found!.value }].slice(-most);
        if (isPut) cache.put(key, value);
      });
      expect([...cache.values()]).toEqual(plain.map((one) => one.value));
    }),
  );
});
