import { ApiProblem } from '@ivy/client';
import { api } from '../api/api.js';
import type { JobStatus, LookView, SourceView } from '@ivy/client';

/** How far a file is: on its way, in line behind others, or being read. */
export type IntakeStage =
  { at: 'sending' } | { at: 'waiting'; before: number } | { at: 'reading'; done: number; total: number; rate: number };

/** Milliseconds between questions about how far it is. */
const askEvery = 300;

/** What is said of files beside what they hold. */
export interface Said {
  name?: string;
  format?: LookView['format'];
  options?: LookView['options'];
}

/**
 * Brings a file, or several that are posts together, in as a new source.
 * @param signal  gives it up wherever it is; nothing of it is kept then
 * @param report    called with how far it is, whenever that changes
 * @throws ApiProblem with what is wrong about the file, Unreachable, or the AbortError of `signal`
 */
export async function bringIn(
  files: File | readonly File[],
  signal: AbortSignal,
  report: (stage: IntakeStage) => void = () => {},
  { name, format, options = {} }: Said = {},
): Promise<SourceView> {
  const body = new FormData();
  if (name) body.append('name', name);
  if (format) body.append('format', format);
  if (Object.keys(options).length > 0) body.append('options', JSON.stringify(options));
  for (const file of [files].flat()) body.append('file', file);
  report({ at: 'sending' });
  return follow({ body }, signal, report);
}

/** A source that comes from an address. */
export interface LiveAsked extends Required<Pick<Said, 'name'>>, Said {
  name: string;
  url: string;
  every: number;
  headers: Record<string, string>;
  feeds?: { address: string; name: string }[];
}

/** The same of an address: all that is there now, and from then on what is new. */
export async function bringInLive(
  asked: LiveAsked,
  signal: AbortSignal,
  report: (stage: IntakeStage) => void = () => {},
): Promise<SourceView> {
  report({ at: 'reading', done: 0, total: 0, rate: 0 });
  return follow({ body: JSON.stringify(asked), headers: { 'content-type': 'application/json' } }, signal, report);
}

/** Has it done as a job, and follows how far it is. */
async function follow(
  { body, headers }: { body: FormData | string; headers?: Record<string, string> },
  signal: AbortSignal,
  report: (stage: IntakeStage) => void,
): Promise<SourceView> {
  const init = { method: 'POST', body, headers: { ...headers, prefer: 'respond-async' }, signal };
  const { id } = (await (await api.fetch('/api/v1/sources', init)).json()) as JobStatus;
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
