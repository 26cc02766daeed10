import type { PostList } from '@ivy/client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api } from '../../api/api.js';

export type Listed = PostList['items'][number];

/** What is asked of the posts. */
export interface Asked {
  words: string;
  /** Key of a field; empty: the best matches, or the newest. */
  sort: string;
  order: 'asc' | 'desc';
  /** By field: a term; empty for any. */
  filter: Readonly<Record<string, string>>;
}

/** Posts fetched in one go. */
export const together = 100;

export interface Posts {
  /** How many there are; null until that is known. */
  total: number | null;
  problem: string;
  /** The post at a place, if it has been fetched. */
  at: (place: number) => Listed | undefined;
  /** Has the posts from one place to another fetched. */
  need: (from: number, to: number) => void;
}

interface State {
  /** What is listed, as a query string. */
  asked: string;
  total: number | null;
  problem: string;
  /** By number, from 1. */
  pages: ReadonlyMap<number, Listed[]>;
}

export function queryOf({ words, sort, order, filter }: Asked): string {
  const query = new URLSearchParams();
  if (words.trim() !== '') query.set('q', words.trim());
  if (sort !== '') {
    query.set('sort', sort);
    query.set('order', order);
  }
  for (const [field, term] of Object.entries(filter)) if (term !== '') query.append('filter', `${field}:${term}`);
  return query.toString();
}

/** The posts of a source, fetched a hundred at a time as they come into sight. */
export function usePosts(slug: string, asked: Asked): Posts {
  const query = queryOf(asked);
  const [state, setState] = useState<State>({ asked: query, total: null, problem: '', pages: new Map() });
  const wanted = useRef(new Set<string>());
  const fetchPage = useCallback(
    async (page: number) => {
      const name = `${query} ${page}`;
      if (wanted.current.has(name)) return;
      wanted.current.add(name);
      const path = `/api/v1/sources/${encodeURIComponent(slug)}/posts?${query}${query && '&'}size=${together}&page=${page}`;
      try {
        const { total, items } = (await (await api.fetch(path)).json()) as PostList;
        setState((before) => {
          // what was asked for since is nearer to what is wanted
          if (before.asked !== query) return before;
          return { ...before, total, problem: '', pages: new Map(before.pages).set(page, items) };
        });
      } catch (error) {
        // asked again when it is in sight again
        wanted.current.delete(name);
        setState((before) => (before.asked === query ? { ...before, problem: (error as Error).message } : before));
      }
    },
    [slug, query],
  );
  useEffect(() => {
    wanted.current.clear();
    setState({ asked: query, total: null, problem: '', pages: new Map() });
    void fetchPage(1);
  }, [fetchPage, query]);
  const need = useCallback(
    (from: number, to: number) => {
      for (let page = Math.floor(from / together) + 1; page <= Math.floor(to / together) + 1; page++)
        void fetchPage(page);
    },
    [fetchPage],
  );
  const isThis = state.asked === query;
  return {
    total: isThis ? state.total : null,
    problem: isThis ? state.problem : '',
    at: (place) => (isThis ? state.pages.get(Math.floor(place / together) + 1)?.[place % together] : undefined),
    need,
  };
}
