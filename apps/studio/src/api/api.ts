/** What the server said when it would not: a sentence for people, and where in the body it is about. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly errors: readonly { pointer: string; message: string }[] = [],
  ) {
    super(message);
    this.name = 'ApiProblem';
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor() {
    super('The server does not answer. Check that it runs; your work is kept here until it does.');
    this.name = 'Unreachable';
  }
}

/**
 * Asks the server.
 * @param read  how the body is read; JSON if not said otherwise
 * @throws ApiProblem, Unreachable, or the AbortError of `init.signal`
 */
export async function ask<T>(
  path: string,
  init?: RequestInit,
  read: (response: Response) => Promise<unknown> = (response) => response.json(),
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, init);
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    throw new Unreachable();
  }
  if (response.ok) return response.status === 204 ? (undefined as T) : ((await read(response)) as T);
  const body = (await response.json().catch(() => ({}))) as Partial<{
    code: string;
    detail: string;
    errors: ApiProblem['errors'];
  }>;
  throw new ApiProblem(
    response.status,
    body.code ?? 'unknown',
    body.detail ?? `The server answered ${response.status}.`,
    body.errors,
  );
}

/** Sends JSON. */
export function send<T>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown,
  headers: Record<string, string> = {},
  signal?: AbortSignal,
): Promise<T> {
  return ask<T>(path, {
    method,
    headers: { ...headers, ...(body !== undefined && { 'content-type': 'application/json' }) },
    ...(body !== undefined && { body: JSON.stringify(body) }),
    ...(signal && { signal }),
  });
}

/** What SWR fetches with. */
export const fetcher = <T>(path: string): Promise<T> => ask<T>(path);
