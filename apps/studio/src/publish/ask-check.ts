import { ApiProblem, type CheckFinding } from '@ivy/client';
import { api } from '../api/api.js';

/**
 * What of a lens's installation stands on a page.
 * @param given  its address, as a person writes it
 * @throws Error with words for that person
 */
export async function askCheck(slug: string, given: string): Promise<CheckFinding[]> {
  const address = /^[a-z][a-z0-9+.-]*:/i.test(given) ? given : `https://${given}`;
  const query = new URLSearchParams({ page: address }).toString();
  try {
    const response = await api.fetch(`/api/v1/lenses/${encodeURIComponent(slug)}/check?${query}`);
    return (await response.json()) as CheckFinding[];
  } catch (error) {
    throw error instanceof ApiProblem ? error : new Error('There is no connection to the server. Try again.');
  }
}
