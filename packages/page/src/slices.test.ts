import { inSlices } from './slices.js';

function* counting(n: number, each: (i: number) => void): Generator<void, void, void> {
  for (let i = 0; i < n; i++) {
    each(i);
    yield;
  }
}
const spend = (ms: number) => {
  const until = performance.now() + ms;
  while (performance.now() < until);
};

test('all steps are done, and others have their turn in between', async () => {
  const done: number[] = [];
  let turns = 0;
  const timer = setInterval(() => turns++, 1);
  const isDone = await inSlices(
    counting(20, (i) => {
      spend(4);
      done.push(i);
    }),
    () => true,
  );
  clearInterval(timer);
  expect([isDone, done.length]).toEqual([true, 20]);
  expect(turns).toBeGreaterThan(2);
});

test('what is given up ends at the next slice', async () => {
  let steps = 0;
  const isDone = await inSlices(
    counting(50, () => {
      spend(6);
      steps++;
    }),
    () => steps < 4,
  );
  expect(isDone).toBe(false);
  expect(steps).toBeLessThan(10);
});

test('an error in a step is told', async () => {
  const broken = counting(3, () => {
    throw new Error('broken');
  });
  await expect(inSlices(broken, () => true)).rejects.toThrow('broken');
});
