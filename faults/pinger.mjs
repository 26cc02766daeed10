// Asks one address over and over, in a thread of its own, so that what else the measuring does is not taken for waiting.
import { parentPort, workerData } from 'node:worker_threads';

const { url, every } = workerData;
const seen = { asked: 0, failed: 0, longest: 0, p99: 0 };
const times = [];
let isOver = false;
parentPort.once('message', () => (isOver = true));
// the first questions of a thread take long by themselves, so they are not counted
for (let i = 0; i < 10; i++)
  await fetch(url).then(
    (response) => response.arrayBuffer(),
    () => {},
  );
parentPort.postMessage('ready');
while (!isOver) {
  const start = performance.now();
  try {
    const response = await fetch(url, { signal: AbortSignal.timeout(120_000) });
    await response.arrayBuffer();
    if (response.status !== 200) seen.failed++;
  } catch {
    seen.failed++;
  }
  seen.asked++;
  times.push(performance.now() - start);
  await new Promise((done) => setTimeout(done, every));
}
times.sort((a, b) => a - b);
seen.longest = times[times.length - 1] ?? 0;
seen.p99 = times[Math.floor(times.length * 0.99)] ?? 0;
parentPort.postMessage(seen);
