import { useEffect, useRef, useState, type RefObject } from 'react';
import { urlOf } from '@ivy/client';

/** One thing the page asked for. */
export interface PageRequest {
  id: number;
  what: 'answer' | 'script' | 'style' | 'picture' | 'other';
  url: string;
  /** Bytes of the body as it went over the wire; null where the browser is not told. */
  bytes: number | null;
  /** Milliseconds until all of it was there. */
  took: number;
  /** Whether the browser had it already. */
  isKept: boolean;
  /** Of answers alone. */
  status: number | null;
  /** Milliseconds on the server, by what it did. */
  server: { name: string; ms: number }[];
  body: unknown;
}

export interface Requests {
  /** What answers were asked for, the newest first. */
  answers: PageRequest[];
  /** What the page loaded besides. */
  loaded: PageRequest[];
  /** The newest answer in a few words. */
  last: string | null;
}

/** Answers that are listed. */
const kept = 30;
/** How long, in ms, an address stands before it is asked for. */
const calm = 300;

/**
 * Asks for the answers that the page would ask for on a site, of the draft as it is saved, and lists them with all the page
 * loads besides.
 * @param saves  goes up each time the draft is saved
 */
export function useRequests(
  slug: string,
  address: string,
  saves: number,
  frame: RefObject<HTMLIFrameElement | null>,
): Requests {
  const [answers, setAnswers] = useState<PageRequest[]>([]);
  const [loaded, setLoaded] = useState<PageRequest[]>([]);
  /** What the page knows by now: it says so, and is not sent it again. */
  const known = useRef({ saves, tag: 'nothing' });
  const next = useRef(0);
  useEffect(() => {
    const left = new AbortController();
    const timer = setTimeout(() => {
      if (known.current.saves !== saves) known.current = { saves, tag: 'nothing' };
      void askAnswer(slug, known.current.tag, address, left.signal).then((answer) => {
        if (!answer) return;
        const tag = (answer.body as { known?: string } | null)?.known;
        if (tag !== undefined) known.current.tag = tag;
        setAnswers((before) => [{ ...answer, id: next.current++ }, ...before].slice(0, kept));
        const page = frame.current?.contentWindow;
        if (page) setLoaded(loadedBy(page));
      });
    }, calm);
    return () => {
      clearTimeout(timer);
      left.abort();
    };
  }, [slug, address, saves, frame]);
  const [newest] = answers;
  return { answers, loaded, last: newest ? `${answers.length} in ${msText(newest.took)}` : null };
}

async function askAnswer(
  slug: string,
  tag: string,
  address: string,
  signal: AbortSignal,
): Promise<Omit<PageRequest, 'id'> | null> {
  const path = urlOf('/api/v1/lenses/{slug}/draft/listing/{known}', { slug, known: tag });
  const url = `${path}${address === '' ? '' : `?${address}`}`;
  const start = performance.now();
  try {
    const response = await fetch(url, { signal, cache: 'no-cache' });
    const text = await response.text();
    const took = performance.now() - start;
    const entry = entryOf(window, new URL(url, location.origin).href);
    return {
      ...{ what: 'answer', url, took, status: response.status, body: parsed(text) },
      bytes: entry && entry.encodedBodySize > 0 ? entry.encodedBodySize : text.length,
      isKept: entry !== undefined && entry.transferSize > 0 && entry.transferSize < entry.encodedBodySize,
      server: (entry?.serverTiming ?? []).map(({ name, duration }) => ({ name, ms: duration })),
    };
  } catch {
    return null;
  }
}

function entryOf(page: Window, url: string): PerformanceResourceTiming | undefined {
  return page.performance.getEntriesByName(url, 'resource').at(-1) as PerformanceResourceTiming | undefined;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

const kinds: Record<string, PageRequest['what']> = { script: 'script', link: 'style', css: 'style', img: 'picture' };

/** What a page loaded, once each, in the order it came. */
function loadedBy(page: Window): PageRequest[] {
  const all = page.performance.getEntriesByType('resource') as PerformanceResourceTiming[];
  const once = new Map(all.map((entry) => [entry.name, entry]));
  return [...once.values()].map((entry, id) => ({
    id,
    what: kinds[entry.initiatorType] ?? (/\.js(?:[?#]|$)/.test(entry.name) ? 'script' : 'other'),
    url: entry.name.startsWith(location.origin) ? entry.name.slice(location.origin.length) : entry.name,
    bytes: entry.encodedBodySize > 0 ? entry.encodedBodySize : null,
    took: entry.duration,
    isKept: entry.transferSize === 0 && entry.encodedBodySize > 0,
    status: null,
    server: [],
    body: null,
  }));
}

/** “0.8 ms”, “38 ms”, “1.4 s”. */
export function msText(ms: number): string {
  if (ms >= 1000) return `${(ms / 1000).toFixed(1)} s`;
  return ms < 10 ? `${ms.toFixed(1)} ms` : `${Math.round(ms)} ms`;
}

/** A command that asks for the same from anywhere. */
export function curlOf(url: string, origin: string): string {
  return `curl --compressed '${new URL(url, origin).href.replaceAll("'", '%27')}'`;
}
