import { FileProblem } from '@ivy/formats';
import type { MessagePort } from 'node:worker_threads';
import { Problem } from '../../problem/problem.js';
import type { Refusal } from '../../shared/thread.js';
import { fetchPosts, type FetchAsked, type FetchedPosts } from './fetch-posts.js';

/** What is fetched, in a thread of its own. */
export interface FetchTask extends Omit<FetchAsked, 'signal' | 'tell'> {
  /** Told how many pages and posts have come. */
  port: MessagePort | null;
}

export type FetchResult =
  { refused: Refusal & { retryAfter: number | null } } | { refused: null; fetched: FetchedPosts };

export default async function fetchAll({ port, ...task }: FetchTask): Promise<FetchResult> {
  // whoever gives it up ends the thread
  const { signal } = new AbortController();
  try {
    const tell = (pages: number, posts: number) => port?.postMessage({ pages, posts });
    return { refused: null, fetched: await fetchPosts({ ...task, signal, tell }) };
  } catch (error) {
    if (error instanceof Problem) {
      const retryAfter = 'retryAfter' in error ? (error.retryAfter as number | null) : null;
      return { refused: { status: error.getStatus(), code: error.code, detail: error.detail, retryAfter } };
    }
    if (error instanceof FileProblem) {
      return { refused: { status: 422, code: error.code, detail: error.message, retryAfter: null } };
    }
    throw error;
  } finally {
    port?.close();
  }
}
