import { expandAnswer, type Answer, type CompactAnswer, type FoundTerms, type Frame, type Settings } from '@ivy/core';

/** All that is needed to draw a listing. */
export interface Reply {
  settings: Settings;
  answer: Answer;
  /** How the lens looks: rules of a sheet. */
  sheet?: string;
  /** Names the release and the posts it was made of; absent where nothing else can come. */
  known?: string;
}

/** Which listing an element belongs to. */
export interface Belongs {
  name: string;
  /** The server to ask. */
  origin: string;
  /** What names in the address begin with here; null for the lens's own way. */
  prefix: string | null;
  /** Terms that all posts here must have, such as `kind:survey`. */
  scope: string;
  /** What the page around it says it is written in; empty where it says nothing. The first element of a listing tells. */
  language: string;
}

/** Whoever answers an address: the server, or the Bench around a preview. */
export interface Transport {
  /**
   * @param from  where pages stand below one another: the first one wanted, if not all up to the address's own
   */
  ask(address: string, signal: AbortSignal, from?: number): Promise<Reply>;
  /** Terms of a facet that hold a text, those too that answers leave out. */
  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms>;
}

/** What the server tells a page: settings and labels once, and then what a choice changes alone. */
interface Page {
  /** Names what stays the same; said with the next question. */
  known: string;
  settings?: Settings;
  sheet?: string;
  frame?: Frame;
  answer: CompactAnswer;
}

/** Asks the server that the script came from. */
export class HttpTransport implements Transport {
  /** What stays the same, by the name the server gave it. Of two answers on their way each may be of its own release. */
  readonly #frames = new Map<string, { settings: Settings; sheet: string | undefined; frame: Frame }>();
  #newest = 'nothing';

  constructor(private readonly at: Belongs) {}

  async ask(address: string, signal: AbortSignal, from?: number): Promise<Reply> {
    const first = from === undefined ? '' : `~from=${from}&`;
    const url = `${this.#base}/listing/${this.#newest}?${leadOf(this.at)}${first}${address}`;
    const { known, settings, sheet, frame, answer } = (await fetchJson(url, signal)) as Page;
    if (settings && frame) {
      this.#frames.set(known, { settings, sheet, frame });
      this.#newest = known;
    }
    const own = this.#frames.get(known)!;
    return { known, settings: own.settings, sheet: own.sheet, answer: expandAnswer(answer, own.frame, own.settings) };
  }

  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms> {
    return fetchJson(urlOfTerms(this.#base, facet, text, leadOf(this.at) + address), signal) as Promise<FoundTerms>;
  }

  get #base(): string {
    return `${this.at.origin}/api/v1/lenses/${encodeURIComponent(this.at.name)}`;
  }
}

/** What a page sets for itself goes before what its visitors chose, in names that no address has. */
export function leadOf({ prefix, scope, language }: Belongs): string {
  return Object.entries({ prefix, scope: scope || null, lang: language || null })
    .map(([name, value]) => (value === null ? '' : encodeURI(`~${name}=${value}&`)))
    .join('');
}

/** The address of terms that hold a text. */
export function urlOfTerms(base: string, facet: string, text: string, address: string): string {
  const found = `${base}/terms/${encodeURIComponent(facet)}?find=${encodeURIComponent(text)}`;
  return address === '' ? found : `${found}&${address}`;
}

/** The server would not: it is there, and says why. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

async function reasonOf(response: Response, url: string): Promise<string> {
  const body = (await response.json().catch(() => ({}))) as { detail?: string };
  return body.detail ?? `${response.status} from ${url}`;
}

export async function fetchJson(url: string, signal: AbortSignal): Promise<unknown> {
  const response = await fetch(url, { signal, credentials: 'omit' });
  if (!response.ok) throw new Refusal(response.status, await reasonOf(response, url));
  return response.json();
}
