import type { Lens, DryRun } from '@ivy/core';
import type { FromPreview, PageState, ToPreview } from '@ivy/runtime';
import { useCallback, useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { ApiProblem } from '@ivy/client';
import { lookSheet } from '@ivy/view';
import type { DryRuns } from '../dry-run/dry-runs.js';

/** The newest answer on the Bench, or why there is none. */
export interface PreviewState {
  dryRun: DryRun | null;
  /** The address it answers, as it was asked: what can’t be read in it is gone from the address by then. */
  asked: string;
  problem: Error | null;
}

/**
 * Answers the preview's questions with the lens as it stands this moment, saved or not, and tells it when the lens
 * or the address changes.
 * @param onWent  called with the address a visitor went to in the preview, and the one it stands in the place of
 */
export function usePreview(
  dryRuns: DryRuns,
  slug: string,
  lens: Lens,
  address: string,
  frame: RefObject<HTMLIFrameElement | null>,
  state: PageState,
  onWent: (address: string, how: 'push' | 'replace', from: string) => void,
): PreviewState & { retry: () => void } {
  const [answered, setState] = useState<PreviewState>({ dryRun: null, asked: '', problem: null });
  const shown = useRef<string | null>(null);
  const running = useRef<AbortController>(undefined);

  const say = useCallback(
    (message: ToPreview) => frame.current?.contentWindow?.postMessage(message, location.origin),
    [frame],
  );
  const go = useCallback(() => {
    shown.current = address;
    say({ ivy: 'go', address });
  }, [address, say]);
  const goWith = useEffectEvent(() => go());

  const answer = useEffectEvent(async (id: number, asked: string, from?: number) => {
    // a preview that has just loaded asks with no address: it is told the real one instead
    if (shown.current === null && asked !== address) return go();
    shown.current = asked;
    running.current?.abort();
    const { signal } = (running.current = new AbortController());
    try {
      const dryRun = await dryRuns.run(lens, asked, signal, from);
      setState({ dryRun, asked, problem: null });
      say({
        ivy: 'reply',
        id,
        reply: { ...dryRun, sheet: lookSheet(lens.look, { ...dryRun.settings, looks: dryRun.looks }, slug) },
      });
    } catch (error) {
      if (signal.aborted) return;
      setState((before) => ({ ...before, problem: error as Error }));
      // settings that can't work are reported beside them; the page keeps what it has
      if (!(error instanceof ApiProblem && error.status === 422)) say({ ivy: 'failed', id });
    }
  });
  const hear = useEffectEvent((message: FromPreview) => {
    if (message.ivy === 'went') {
      shown.current = message.address;
      onWent(message.address, message.how, message.from);
    } else if (message.ivy === 'ask') void answer(message.id, message.address, message.from);
  });
  useEffect(() => {
    const listen = (event: MessageEvent<FromPreview>) => {
      if (event.origin !== location.origin || event.source !== frame.current?.contentWindow) return;
      hear(event.data);
    };
    addEventListener('message', listen);
    return () => removeEventListener('message', listen);
  }, [frame]);

  // what answers is another one too once the posts or their terms are others
  useEffect(() => {
    if (shown.current !== null) goWith();
  }, [lens, dryRuns]);

  useEffect(() => {
    if (shown.current !== null && shown.current !== address) goWith();
  }, [address]);

  useEffect(() => {
    if (shown.current !== null) say({ ivy: 'show', state });
  }, [state, say]);

  return { ...answered, retry: go };
}
