import { mutate } from 'swr';

/** What tabs of the studio in one browser tell one another by. */
const name = 'ivy-lens';

/** Changes that come within so many ms of one another are one. */
const together = 120;

/** Tells the other tabs that sources changed: a Bench that is open there works with what is since. */
export function tellTabs(): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(name);
  channel.postMessage('sources');
  channel.close();
}

/** Asks for sources anew when another tab changed one, and when one comes back to this tab: someone else may have. */
export function hearTabs(): () => void {
  const again = () => void mutate((key) => typeof key === 'string' && key.startsWith('/api/v1/sources'));
  const seen = () => {
    if (document.visibilityState === 'visible') again();
  };
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
  channel?.addEventListener('message', again);
  document.addEventListener('visibilitychange', seen);
  // what is told to all tabs is heard in this one too
  const leave = hearServer(channel ? tellTabs : again);
  return () => {
    leave();
    channel?.close();
    document.removeEventListener('visibilitychange', seen);
  };
}

/**
 * Hears what the server tells of changes by others. One tab does for all of a browser, since a browser keeps few connections
 * to one server; where tabs can't settle which, none does, and each asks when one comes back to it.
 */
function hearServer(onChange: () => void): () => void {
  if (typeof EventSource === 'undefined' || !('locks' in navigator)) return () => undefined;
  const left = new AbortController();
  const listen = () =>
    new Promise<void>((done) => {
      const events = new EventSource('/api/v1/events');
      let timer: ReturnType<typeof setTimeout> | undefined;
      events.addEventListener('message', ({ data }: MessageEvent<string>) => {
        if (!data.includes('"source"') && !data.includes('everything')) return;
        clearTimeout(timer);
        timer = setTimeout(onChange, together);
      });
      left.signal.addEventListener('abort', () => {
        clearTimeout(timer);
        events.close();
        done();
      });
    });
  // it waits until the tab that listens now is shut
  navigator.locks.request('ivy-lens-events', { signal: left.signal }, listen).catch(() => undefined);
  return () => left.abort();
}
