import { ApiProblem } from '@ivy/client';
import { api } from '../api/api.js';
import type { JobStatus, SourceView } from '@ivy/client';

/** How far a file is: on its way, in line behind others, or being read. */
export type IntakeStage =
  { at: 'sending' } | { at: 'waiting'; before: number } | { at: 'reading'; done: number; total: number; rate: number };

/** Milliseconds between questions about how far it is. */
const askEvery = 300;

/**
 * Brings a file in as a new source.
 * @param signal  gives it up wherever it is; nothing of it is kept then
 * @param report    called with how far it is, whenever that changes
 * @throws ApiProblem with what is wrong about the file, Unreachable, or the AbortError of `signal`
 */
export async function bringIn(
  file: File,
  signal: AbortSignal,
  report: (stage: IntakeStage) => void = () => {},
): Promise<SourceView> {
  const body = new FormData();
  body.append('file', file);
  report({ at: 'sending' });
  const headers = { prefer: 'respond-async' };
  const { id } = (await api.ask('post', '/api/v1/sources', {}, { body, headers, signal })) as JobStatus;
  for (;;) {
    if (signal.aborted) {
      // one that is over already stays: whoever cancels too late sees it in the list
      await api.ask('delete', '/api/v1/jobs/{id}', { id }).catch(() => {});
      throw new DOMException('It was cancelled.', 'AbortError');
    }
    const job = await api.ask('get', '/api/v1/jobs/{id}', { id });
    if (job.state === 'done') return job.result as SourceView;
    if (job.state === 'failed') throw problemOf(job);
    if (job.state === 'cancelled') throw new DOMException('It was cancelled.', 'AbortError');
    if (job.waits > 0) report({ at: 'waiting', before: job.waits });
    else report({ at: 'reading', done: job.done, total: job.total, rate: job.rate });
    await pause(askEvery, signal);
  }
}

function problemOf({ problem }: JobStatus): ApiProblem {
  return new ApiProblem(problem?.status ?? 500, problem?.code ?? 'unknown', problem?.detail ?? 'It could not be read.');
}

/** Waits, but not once it is given up. */
function pause(ms: number, signal: AbortSignal): Promise<void> {
  return new Promise((done) => {
    const timer = setTimeout(done, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      done();
    });
  });
}
