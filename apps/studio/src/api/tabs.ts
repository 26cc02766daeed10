import { mutate } from 'swr';

/** What tabs of the studio in one browser tell one another by. */
const name = 'ivy-lens';

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
  return () => {
    channel?.close();
    document.removeEventListener('visibilitychange', seen);
  };
}
