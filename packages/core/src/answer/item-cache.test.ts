import type { Item } from '../model/answer.js';
import { ItemCache } from './item-cache.js';

const item = (post: number): Item => ({ id: `n${post}`, title: `Note ${post}`, link: null, fields: {} });
const isKept = (kept: ItemCache<Item>, post: number) => kept.get(post) !== undefined;

test('the items put in last are kept, and are those that were put in', () => {
  const kept = new ItemCache<Item>(5);
  for (let post = 0; post < 40; post++) {
    kept.put(post, item(post));
    for (let last = Math.max(0, post - 4); last <= post; last++) expect(kept.get(last)).toEqual(item(last));
  }
});

test('what is asked for again and again stays, whatever else comes', () => {
  const kept = new ItemCache<Item>(5);
  kept.put(1, item(1));
  for (let post = 100; post < 200; post++) {
    kept.put(post, item(post));
    expect(kept.get(1)).toEqual(item(1));
  }
});

test('no more than twice as many are kept as are meant to be', () => {
  const kept = new ItemCache<Item>(5);
  for (let post = 0; post < 100; post++) kept.put(post, item(post));
  const left = Array.from({ length: 100 }, (_, post) => post).filter((post) => isKept(kept, post));
  expect(left.length).toBeGreaterThanOrEqual(5);
  expect(left.length).toBeLessThanOrEqual(10);
});
