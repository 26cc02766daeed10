import type { paths } from './api.js';
import { ApiProblem, Unreachable } from './problem.js';

/** The methods a route may have. */
export type Method = 'get' | 'put' | 'post' | 'patch' | 'delete';

type Route<P extends keyof paths, M extends Method> = NonNullable<paths[P][M]>;
type Json<B> = B extends { content: { 'application/json': infer J } } ? J : undefined;

/** Paths that have a method. */
export type PathsOf<M extends Method> = {
  [P in keyof paths]: paths[P][M] extends { responses: unknown } ? P : never;
}[keyof paths];

/** What a route answers with when all is well. */
export type AnswerOf<P extends keyof paths, M extends Method = 'get'> =
  Route<P, M> extends { responses: infer R } ? Json<R[Exclude<keyof R, 'default'>]> : never;

/** The parts of a path that are filled in, such as `{ slug }`. */
export type PartsOf<P extends keyof paths, M extends Method = 'get'> =
  Route<P, M> extends { parameters: { path: infer V extends object } } ? V : Record<never, never>;

type BodyOf<P extends keyof paths, M extends Method> =
  Route<P, M> extends { requestBody: { content: infer C } }
    ? C extends { 'application/json': infer J; 'multipart/form-data': unknown }
      ? { body: J | FormData }
      : C extends { 'application/json': infer J }
        ? { body: J }
        : { body: FormData }
    : { body?: undefined };

/** What is sent along. */
export type Sent<P extends keyof paths, M extends Method> = BodyOf<P, M> & {
  headers?: Record<string, string>;
  signal?: AbortSignal;
};

/** The server's API, typed by its own OpenAPI document. */
export class Client {
  /** @param origin  where the server is; empty for the one the page came from */
  constructor(private readonly origin = '') {}

  /**
   * Asks the server.
   * @throws ApiProblem, Unreachable, or the AbortError of `signal`
   */
  async ask<M extends Method, P extends PathsOf<M>>(
    method: M,
    path: P,
    parts: PartsOf<P, M>,
    ...[sent]: BodyOf<P, M> extends { body: unknown } ? [Sent<P, M>] : [Sent<P, M>?]
  ): Promise<AnswerOf<P, M>> {
    const { body, headers = {}, signal } = (sent ?? {}) as { body?: unknown } & RequestInit;
    const isForm = body instanceof FormData;
    const response = await this.fetch(urlOf(path, parts), {
      ...(method !== 'get' && { method: method.toUpperCase() }),
      headers: { ...(headers as Record<string, string>), ...(body !== undefined && !isForm && json) },
      ...(body !== undefined && { body: isForm ? body : JSON.stringify(body) }),
      ...(signal && { signal }),
    });
    return (response.status === 204 ? undefined : await response.json()) as AnswerOf<P, M>;
  }

  /** Asks for what is at an address of the API, as it comes. */
  async fetch(url: string, init?: RequestInit): Promise<Response> {
    let response: Response;
    try {
      response = await fetch(`${this.origin}${url}`, init);
    } catch (error) {
      if ((error as Error).name === 'AbortError') throw error;
      throw new Unreachable();
    }
    if (response.ok) return response;
    throw await problemOf(response);
  }
}

const json = { 'content-type': 'application/json' };

/** The address of a path with its parts filled in. */
export function urlOf<P extends keyof paths>(path: P, parts: object): string {
  const values = parts as Record<string, string | number>;
  return path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(values[name]!));
}

async function problemOf(response: Response): Promise<ApiProblem> {
  const body = (await response.json().catch(() => ({}))) as Partial<{
    code: string;
    detail: string;
    errors: ApiProblem['errors'];
  }>;
  const { code = 'unknown', detail = `The server answered ${response.status}.`, errors } = body;
  return new ApiProblem(response.status, code, detail, errors);
}
