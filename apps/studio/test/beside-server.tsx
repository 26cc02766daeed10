import { act, type ReactNode } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { SWRConfig } from 'swr';
import { fetcher } from '../src/api/api.js';
import { OnPage } from './on-page.js';

type Say = (init: RequestInit | undefined) => Promise<Response>;

/** A place of the studio on a page of its own, beside a server that says what a test has it say. */
export class BesideServer extends OnPage {
  /** What the server says to a way and path; to others it does not answer at all. */
  readonly says = new Map<string, Say>();
  /** What was sent to it: way, path and body. */
  readonly sent: [what: string, body: unknown][] = [];

  override open(): void {
    super.open();
    this.says.clear();
    this.sent.length = 0;
    globalThis.fetch = ((path: string, init?: RequestInit) => {
      const what = `${init?.method ?? 'GET'} ${path.replace('/api/v1', '')}`;
      if (init?.method) this.sent.push([what, typeof init.body === 'string' ? JSON.parse(init.body) : init.body]);
      const say = this.says.get(what);
      return say ? say(init) : Promise.reject(new TypeError('nobody there'));
    }) as typeof fetch;
  }

  answer(what: string, body: unknown, status = 200): void {
    this.says.set(what, () =>
      Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response),
    );
  }

  /** Draws a place at a path; where the studio goes from there, `place` says. */
  async visit(what: ReactNode, path: string, pattern = path): Promise<void> {
    this.draw(
      <SWRConfig value={{ fetcher, provider: () => new Map(), shouldRetryOnError: false, dedupingInterval: 0 }}>
        <MemoryRouter initialEntries={[path]}>
          <Routes>
            <Route path={pattern} element={what} />
            <Route path="*" element={null} />
          </Routes>
          <Where />
        </MemoryRouter>
      </SWRConfig>,
    );
    await this.settle();
  }

  async settle(): Promise<void> {
    await act(() => new Promise((done) => setTimeout(done, 20)));
  }

  async pressAndSettle(name: string): Promise<void> {
    this.press(name);
    await this.settle();
  }

  get place(): string {
    return this.texts('output')[0]!;
  }

  /** What stands after the path there, the question mark with it. */
  get search(): string {
    return this.element.querySelector('output')!.dataset.search!;
  }

  get words(): string {
    return this.element.textContent;
  }
}

function Where() {
  const { pathname, search } = useLocation();
  return <output data-search={search}>{pathname}</output>;
}
