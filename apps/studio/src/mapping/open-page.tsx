import { useState, type FormEvent } from 'react';
import type { usePages } from './use-pages.js';

/** Asks for the page: its address, or a file of it. */
export function OpenPage({ pages, isMapped }: { pages: ReturnType<typeof usePages>; isMapped: boolean }) {
  const { state, open, openFile } = pages;
  const [address, setAddress] = useState('');
  const isBusy = state.at === 'fetching';
  const go = (event: FormEvent) => {
    event.preventDefault();
    if (address.trim() !== '') void open(address.trim());
  };
  return (
    <main className="mx-auto w-full max-w-[680px] px-6 py-10">
      <h2 className="serif text-[27px] font-semibold">
        {isMapped ? 'The page this lens stands on' : 'A page that lists its posts'}
      </h2>
      <p className="mt-1.5 mb-5 text-[15px] text-ink-2">
        {isMapped
          ? 'It came as a file. Choose it again to see what is marked.'
          : 'It keeps its own cards, styles and form. Show which parts are what, and they filter where they stand.'}
      </p>
      <form onSubmit={go} className="border-y border-rule py-5">
        <label htmlFor="page-address" className="block font-semibold">
          Address of the page
        </label>
        <div className="mt-1.5 flex gap-2">
          <input
            id="page-address"
            className="field mono h-[34px] min-w-0 flex-1 text-[13px]"
            placeholder="https://example.org/notices"
            value={address}
            inputMode="url"
            autoComplete="url"
            onChange={({ target }) => setAddress(target.value)}
          />
          <button type="submit" className="button button-main h-[34px]" disabled={isBusy || address.trim() === ''}>
            {isBusy ? 'Fetching…' : 'Show it'}
          </button>
        </div>
        <div role="status">
          {state.at === 'fetching' && <p className="remark mt-2 text-ink-2">Fetching {state.address}</p>}
        </div>
        {state.at === 'failed' && (
          <p className="mt-3 rounded-[3px] bg-bad-soft px-3 py-2 text-bad" role="alert">
            {state.error.message}
          </p>
        )}
      </form>
      <label className="mt-5 block">
        <span className="font-semibold">Or a file of it</span>
        <span className="ms-2 text-ink-2">saved from the browser, as HTML</span>
        <input
          type="file"
          accept=".html,.htm,text/html"
          className="mt-2 block w-full text-[13px] file:button file:me-3"
          onChange={({ target }) => target.files?.[0] && void openFile(target.files[0])}
        />
      </label>
    </main>
  );
}
