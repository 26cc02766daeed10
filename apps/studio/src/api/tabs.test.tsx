import { act } from 'react';
import useSWR from 'swr';
import { OnPage } from '../../test/on-page.js';
import { hearTabs, tellTabs } from './tabs.js';

/** What is said on a channel is heard by all others of its name, and not by itself. */
class Channel extends EventTarget {
  static readonly all = new Set<Channel>();

  constructor(readonly name: string) {
    super();
    Channel.all.add(this);
  }

  postMessage(data: string): void {
    for (const one of Channel.all) {
      if (one !== this && one.name === this.name) one.dispatchEvent(new MessageEvent('message', { data }));
    }
  }

  close(): void {
    Channel.all.delete(this);
  }
}

const page = new OnPage();
let asked: string[] = [];
let stop = () => {};
beforeEach(() => {
  page.open();
  asked = [];
  Object.assign(globalThis, { BroadcastChannel: Channel });
  stop = hearTabs();
});
afterEach(() => {
  stop();
  page.close();
  Reflect.deleteProperty(globalThis, 'BroadcastChannel');
});

function Asks({ url }: { url: string }) {
  useSWR(url, (key: string) => Promise.resolve(asked.push(key)), { dedupingInterval: 0, revalidateOnFocus: false });
  return null;
}

async function drawn(): Promise<void> {
  page.draw(
    <>
      <Asks url="/api/v1/sources/notes" />
      <Asks url="/api/v1/lenses/notes" />
    </>,
  );
  await settle();
  asked = [];
}
const settle = () => act(() => new Promise((done) => setTimeout(done, 20)));

test('what another tab changed is asked for anew: sources, and not the lens that is being worked on', async () => {
  await drawn();
  tellTabs();
  await settle();
  expect(asked).toEqual(['/api/v1/sources/notes']);
  expect(Channel.all.size).toBe(1);
});

test('who comes back to a tab has what others changed meanwhile', async () => {
  await drawn();
  let state = 'hidden';
  Object.defineProperty(document, 'visibilityState', { configurable: true, get: () => state });
  const turn = async (to: string) => {
    state = to;
    document.dispatchEvent(new Event('visibilitychange'));
    await settle();
  };
  await turn('hidden');
  expect(asked).toEqual([]);
  await turn('visible');
  expect(asked).toEqual(['/api/v1/sources/notes']);
  Reflect.deleteProperty(document, 'visibilityState');
});

test('who no longer listens hears nothing, and a browser without channels does without', async () => {
  await drawn();
  stop();
  tellTabs();
  document.dispatchEvent(new Event('visibilitychange'));
  await settle();
  expect([asked, Channel.all.size]).toEqual([[], 0]);
  Reflect.deleteProperty(globalThis, 'BroadcastChannel');
  stop = hearTabs();
  tellTabs();
  document.dispatchEvent(new Event('visibilitychange'));
  await settle();
  expect(asked).toEqual(['/api/v1/sources/notes']);
});

test('what the server tells is asked for anew, here and in the other tabs; a lens is none of it', async () => {
  stop();
  const opened: EventTarget[] = [];
  let isShut = false;
  class Events extends EventTarget {
    constructor(readonly url: string) {
      super();
      opened.push(this);
    }
    close(): void {
      isShut = true;
    }
  }
  Object.assign(globalThis, { EventSource: Events });
  Object.assign(navigator, { locks: { request: (_name: string, _how: object, work: () => Promise<void>) => work() } });
  stop = hearTabs();
  await drawn();
  const say = async (change: object) => {
    opened[0]!.dispatchEvent(new MessageEvent('message', { data: JSON.stringify(change) }));
    await act(() => new Promise((done) => setTimeout(done, 200)));
  };
  await say({ kind: 'lens', slug: 'notes' });
  expect(asked).toEqual([]);
  await say({ kind: 'source', id: 'x' });
  expect(asked).toEqual(['/api/v1/sources/notes']);
  stop();
  expect(isShut).toBe(true);
  Reflect.deleteProperty(globalThis, 'EventSource');
  Reflect.deleteProperty(navigator, 'locks');
});
