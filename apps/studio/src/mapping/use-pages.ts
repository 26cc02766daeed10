import { useCallback, useEffect, useRef, useState } from 'react';
import { api } from '../api/api.js';
import type { FetchedPage } from './read-pages.js';

/** Pages that are followed at most while a lens is made from one; the page script itself follows up to 50. */
const mostPages = 20;

export type PagesState =
  | { at: 'none' }
  | { at: 'fetching'; address: string }
  | { at: 'failed'; error: Error; address: string }
  | { at: 'there'; pages: FetchedPage[]; following: string | null; fetchedAt: number };

/** The page a lens is made from, and those it goes on on. */
export function usePages() {
  const [state, setState] = useState<PagesState>({ at: 'none' });
  const asked = useRef(0);
  useEffect(() => () => void asked.current++, []);

  const open = useCallback(async (address: string) => {
    const mine = ++asked.current;
    setState({ at: 'fetching', address });
    try {
      const page = await api.ask('post', '/api/v1/pages', {}, { body: { page: address } });
      if (mine === asked.current) setState({ at: 'there', pages: [page], following: null, fetchedAt: Date.now() });
    } catch (error) {
      if (mine === asked.current) setState({ at: 'failed', error: error as Error, address });
    }
  }, []);

  const openFile = useCallback(async (file: File) => {
    const mine = ++asked.current;
    const html = await file.text();
    if (mine === asked.current)
      setState({ at: 'there', pages: [{ address: '', html }], following: null, fetchedAt: Date.now() });
  }, []);

  /** Fetches one more page of the list; a page that can't be had ends it. */
  const follow = useCallback(async (address: string) => {
    const mine = asked.current;
    setState((now) => (now.at === 'there' ? { ...now, following: address } : now));
    try {
      const page = await api.ask('post', '/api/v1/pages', {}, { body: { page: address } });
      if (mine !== asked.current) return;
      setState((now) => (now.at === 'there' ? { ...now, pages: [...now.pages, page], following: null } : now));
    } catch {
      // it stays named as the one that is followed, so that it is not asked for again and again
    }
  }, []);

  /** Whether a page may be fetched as one more of the list. */
  const mayFollow = (address: string | null): address is string =>
    state.at === 'there' &&
    address !== null &&
    state.following !== address &&
    state.pages.length < mostPages &&
    !state.pages.some((page) => page.address === address);
  return { state, open, openFile, follow, mayFollow };
}
