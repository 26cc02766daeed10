import { inTurns } from './turns.js';

/** Steps of some milliseconds each. */
function* busy(steps: number, ms: number, done: () => void): Generator<void, string, void> {
  for (let i = 0; i < steps; i++) {
    for (const start = performance.now(); performance.now() - start < ms;);
    done();
    yield;
  }
  return 'all';
}

test('others come in between the steps, and the work ends with what it made', async () => {
  let [steps, others] = [0, 0];
  const work = inTurns(busy(20, 2, () => steps++));
  while (steps < 20) {
    await new Promise((next) => setImmediate(next));
    others++;
  }
  await expect(work).resolves.toBe('all');
  expect(others).toBeGreaterThanOrEqual(10);
});

test('what a step throws ends the work with it', async () => {
  const work = inTurns(
    busy(3, 0, () => {
      throw new Error('no room');
    }),
  );
  await expect(work).rejects.toThrow('no room');
});
