import { Retry } from './retry.js';

const work = jest.fn();
let retry: Retry;
beforeEach(() => {
  jest.useFakeTimers();
  work.mockClear();
  retry = new Retry(work);
});
afterEach(() => {
  retry.stop();
  jest.useRealTimers();
});

test('what fails again and again is tried again after pauses that grow, up to a minute', () => {
  const waits: number[] = [];
  for (let i = 0; i < 8; i++) {
    retry.later();
    let waited = 0;
    for (const before = work.mock.calls.length; work.mock.calls.length === before; waited += 1000)
      jest.advanceTimersByTime(1000);
    waits.push(waited / 1000);
  }
  expect(waits).toEqual([2, 4, 8, 16, 32, 60, 60, 60]);
});

test('once it is well nothing is tried, and the next failure begins with a short pause', () => {
  retry.later();
  retry.done();
  jest.advanceTimersByTime(120_000);
  expect(work).not.toHaveBeenCalled();
  retry.later();
  jest.advanceTimersByTime(2000);
  expect(work).toHaveBeenCalledTimes(1);
});

test('a connection that comes back is used at once, but only where something failed', () => {
  dispatchEvent(new Event('online'));
  expect(work).not.toHaveBeenCalled();
  retry.later();
  dispatchEvent(new Event('online'));
  expect(work).toHaveBeenCalledTimes(1);
  retry.later();
  retry.stop();
  dispatchEvent(new Event('online'));
  expect(work).toHaveBeenCalledTimes(1);
});
