import { Client, urlOf, type AnswerOf, type PartsOf, type PathsOf } from '@ivy/client';
import { tellTabs } from './tabs.js';
import useSWR, { mutate, type SWRConfiguration, type SWRResponse } from 'swr';

/** The server that the studio came from. */
export const api = new Client();

/** What SWR fetches with. */
export const fetcher = async (url: string): Promise<unknown> => (await api.fetch(url)).json();

/** Asks anew for all that was asked of the API: what changed stands in many places. */
export function refreshAll(): Promise<unknown> {
  tellTabs();
  return mutate((key) => typeof key === 'string' && key.startsWith('/api/v1/'));
}

/**
 * What is at a path of the API, kept by its address.
 * @param parts  the parts of the path; null asks for nothing yet
 * @param query  the query string, without its question mark
 */
export function useApi<P extends PathsOf<'get'>>(
  path: P,
  parts: PartsOf<P> | null,
  options?: SWRConfiguration<AnswerOf<P>, Error>,
  query = '',
): SWRResponse<AnswerOf<P>, Error> {
  return useSWR<AnswerOf<P>, Error>(parts && urlOf(path, parts) + (query && `?${query}`), options);
}
