import { ApiProblem } from '@ivy/client';

/** Something is on its way. */
export function Loading({ words }: { words: string }) {
  return (
    <p className="remark p-8 text-[16px] text-ink-3" role="status">
      {words}…
    </p>
  );
}

/** Something did not come, with what to do about it. */
export function Failed({ error, retry }: { error: unknown; retry: () => void }) {
  const missing = error instanceof ApiProblem && error.status === 404;
  return (
    <div className="m-8 max-w-xl rounded-[3px] border border-bad/40 bg-bad-soft p-5" role="alert">
      <p className="serif text-[17px] font-semibold text-bad">{missing ? 'Not here' : 'That did not work'}</p>
      <p className="mt-1 mb-3">{error instanceof Error ? error.message : 'Something went wrong.'}</p>
      <button type="button" className="button" onClick={retry}>
        Try again
      </button>
    </div>
  );
}
