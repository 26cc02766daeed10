import { ValueCache } from './value-cache.js';

const outage = Object.assign(new Error('gone'), { code: 'ECONNREFUSED' });
const wait = (ms: number) => new Promise((done) => setTimeout(done, ms));

test('a value is read once, and again after it changed', async () => {
  let reads = 0;
  const kept = new ValueCache((key) => Promise.resolve(`${key} ${++reads}`));
  expect(await Promise.all([kept.get('a'), kept.get('a')])).toEqual(['a 1', 'a 1']);
  kept.forget('a');
  expect([await kept.get('a'), await kept.get('a')]).toEqual(['a 2', 'a 2']);
  kept.forgetAll();
  expect(await kept.get('a')).toBe('a 3');
});

test('a read that failed is tried again by the next who asks', async () => {
  let reads = 0;
  const kept = new ValueCache(() => (++reads === 1 ? Promise.reject(new Error('no')) : Promise.resolve('yes')));
  await expect(kept.get('a')).rejects.toThrow('no');
  expect(await kept.get('a')).toBe('yes');
});

test('in doubt, a value is looked at anew; while that can’t be done, it is used as it is', async () => {
  let isAway = false;
  const befores: unknown[] = [];
  const kept = new ValueCache((_key, before: object | undefined) => {
    befores.push(before);
    return isAway ? Promise.reject(outage) : Promise.resolve(before ?? {});
  });
  const first = await kept.get('a');
  kept.doubtAll();
  expect(await kept.get('a')).toBe(first);
  expect(befores).toEqual([undefined, first]);
  isAway = true;
  kept.doubtAll();
  expect([await kept.get('a'), await kept.get('a'), await kept.get('a')]).toEqual([first, first, first]);
  // after a check in vain none is made for a while
  expect(befores).toHaveLength(3);
});

test('a check that takes long keeps only the first who asks waiting, and what it finds counts', async () => {
  let answer: (value: string) => void = () => {};
  let reads = 0;
  const kept = new ValueCache<string>(() =>
    ++reads === 1 ? Promise.resolve('old') : new Promise((done) => (answer = done)),
  );
  await kept.get('a');
  kept.doubtAll();
  const start = Date.now();
  expect(await kept.get('a')).toBe('old');
  const waited = Date.now() - start;
  expect(await kept.get('a')).toBe('old');
  expect(Date.now() - start - waited).toBeLessThan(50);
  answer('new');
  await wait(0);
  expect([await kept.get('a'), reads]).toEqual(['new', 2]);
});

test('what began to be read before a doubt settles nothing', async () => {
  const answers: ((value: string) => void)[] = [];
  const kept = new ValueCache<string>(() => new Promise((done) => answers.push(done)));
  const first = kept.get('a');
  answers[0]!('first');
  await first;
  kept.doubtAll();
  void kept.get('a');
  kept.doubtAll();
  const last = kept.get('a');
  answers[1]!('read too early');
  answers[2]!('right');
  expect(await last).toBe('right');
  expect(await kept.get('a')).toBe('right');
});

test('a value that changed is never given again, but what comes after it may be made out of it', async () => {
  const befores: unknown[] = [];
  const kept = new ValueCache((_key, before: number | undefined) => {
    befores.push(before);
    return Promise.resolve((before ?? 0) + 1);
  });
  expect(await kept.get('a')).toBe(1);
  kept.expire('a');
  // again before anybody asked: it is still made out of the last one there was
  kept.expire('a');
  expect(await kept.get('a')).toBe(2);
  kept.expire('nothing');
  expect([await kept.get('a'), befores]).toEqual([2, [undefined, 1]]);
});

test('a value that changed a little is given until the one after it is there; changes that come meanwhile are not missed', async () => {
  let [now, reads] = [1, 0];
  const befores: (number | undefined)[] = [];
  const kept = new ValueCache(async (_key, before: number | undefined) => {
    befores.push(before);
    reads++;
    const read = now;
    await wait(20);
    return read;
  });
  await kept.renew('a');
  expect([reads, await kept.get('a')]).toEqual([0, 1]);
  now = 2;
  const first = kept.renew('a');
  expect(await kept.get('a')).toBe(1);
  await wait(5);
  now = 3;
  const second = kept.renew('a');
  await first;
  expect(await kept.get('a')).toBe(2);
  await second;
  expect(await kept.get('a')).toBe(3);
  expect(befores).toEqual([undefined, 1, 2]);
});

test('a little change that can’t be loaded is loaded by the next who asks', async () => {
  let fails = false;
  let now = 1;
  const kept = new ValueCache(() => (fails ? Promise.reject(new Error('no')) : Promise.resolve(now)));
  await kept.get('a');
  [fails, now] = [true, 2];
  await expect(kept.renew('a')).rejects.toThrow('no');
  fails = false;
  expect(await kept.get('a')).toBe(2);
});
