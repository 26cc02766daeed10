import { makeLook, pageLook, type Answer, type Settings } from '@ivy/core';
import { choose } from '@ivy/view';
import { Listing } from './listing.js';
import { belongsTo } from '../../test/belongs.js';
import { HttpTransport } from './transport.js';

const settings = {
  facets: [{ key: 'q' }, { key: 'kind' }],
  look: pageLook(makeLook()),
  card: [],
  cardLink: { link: 'card', newTab: false },
  defaultSort: null,
  paging: { mode: 'pages', size: 12, sizes: [] },
  address: { prefix: '', sort: 'sort', page: 'page', apply: 'change' },
  names: ['q', 'kind', 'kinds', 'sort', 'page'],
} as unknown as Settings;

/** Answers as the server would: canonical, with old names moved. */
function answerTo(query: string): Answer {
  const parameters = new URLSearchParams(query);
  const kind = parameters.get('kind') ?? parameters.get('kinds');
  const q = parameters.get('q');
  const address = [q ? `q=${q}` : '', kind ? `kind=${kind}` : ''].filter(Boolean).join('&');
  const facets = [
    { key: 'q', kind: 'search', selected: q },
    { key: 'kind', kind: 'checkboxes', selected: kind ? kind.split(',') : [], options: [] },
  ];
  return { address, release: 1, page: 1, matched: kind ? 1 : 9, facets, items: [], notices: [] } as unknown as Answer;
}

interface Asked {
  url: string;
  signal: AbortSignal;
  reply(status?: number): Promise<void>;
}

let asked: Asked[] = [];
let writes: string[] = [];
const settle = () => new Promise((done) => setTimeout(done, 0));

beforeEach(() => {
  asked = [];
  writes = [];
  history.replaceState(null, '', '/notes');
  jest.spyOn(history, 'pushState').mockImplementation((_state, _title, url) => {
    writes.push(`push ${String(url)}`);
    History.prototype.replaceState.call(history, null, '', url);
  });
  const replace = history.replaceState.bind(history);
  jest.spyOn(history, 'replaceState').mockImplementation((state, title, url) => {
    writes.push(`replace ${String(url)}`);
    replace(state, title, url);
  });
  globalThis.fetch = jest.fn((url: string, { signal }: { signal: AbortSignal }) => {
    return new Promise((done, fail) => {
      signal.addEventListener('abort', () => fail(new DOMException('Overtaken', 'AbortError')));
      const reply = async (status = 200) => {
        const answer = answerTo(url.split('?')[1] ?? '');
        const isKnown = url.includes('/listing/one?');
        const body = {
          known: 'one',
          answer,
          ...(status >= 400 && { detail: 'There is no lens called “notes”.' }),
          ...(!isKnown && { settings, frame: { terms: {}, facets: [], fields: [], titleAt: -1 } }),
        };
        done({ ok: status < 400, status, json: () => Promise.resolve(body) });
        await settle();
        await settle();
      };
      asked.push({ url, signal, reply });
    });
  }) as unknown as typeof fetch;
});
afterEach(() => jest.restoreAllMocks());

async function loaded(): Promise<Listing> {
  const listing = new Listing('notes', new HttpTransport(belongsTo('notes')));
  void listing.load();
  await asked[0]!.reply();
  writes = [];
  return listing;
}

test('asks for settings and answer in one request, then for answers alone', async () => {
  const listing = await loaded();
  expect(asked[0]!.url).toBe('http://ivy.test/api/v1/lenses/notes/listing/nothing?');
  expect(listing.status).toBe('ready');
  void listing.choose(choose(listing.choices, 'kind', ['survey']));
  expect(asked[1]!.url).toBe('http://ivy.test/api/v1/lenses/notes/listing/one?kind=survey');
});

test('a choice is there at once, its answer when it comes', async () => {
  const listing = await loaded();
  void listing.choose(choose(listing.choices, 'kind', ['survey']));
  expect([listing.choices.facets.kind, listing.answer!.matched, listing.waiting]).toEqual([['survey'], 9, true]);
  expect(writes).toEqual(['push /notes?kind=survey']);
  await asked[1]!.reply();
  expect([listing.answer!.matched, listing.waiting]).toEqual([1, false]);
});

test('an answer that was overtaken is dropped, and its request given up', async () => {
  const listing = await loaded();
  void listing.choose(choose(listing.choices, 'kind', ['survey']));
  void listing.choose(choose(listing.choices, 'kind', []));
  expect(asked[1]!.signal.aborted).toBe(true);
  await asked[2]!.reply();
  await asked[1]!.reply();
  expect([listing.answer!.matched, listing.choices.facets]).toEqual([9, {}]);
});

test('what is typed in one go is one entry of the history', async () => {
  const listing = await loaded();
  for (const text of ['t', 'te', 'ter']) void listing.choose(choose(listing.choices, 'q', [text]), 'typing');
  expect(writes).toEqual(['push /notes?q=t', 'replace /notes?q=te', 'replace /notes?q=ter']);
  listing.endTyping();
  void listing.choose(choose(listing.choices, 'q', ['reed']), 'typing');
  expect(writes.at(-1)).toBe('push /notes?q=reed');
});

test('an old address becomes the canonical one, the page’s own parameters and hash stay', async () => {
  History.prototype.replaceState.call(history, null, '', '/notes?from=mail&kinds=survey#top');
  const listing = new Listing('notes', new HttpTransport(belongsTo('notes')));
  void listing.load();
  expect(asked[0]!.url).toBe('http://ivy.test/api/v1/lenses/notes/listing/nothing?from=mail&kinds=survey');
  await asked[0]!.reply();
  expect(writes).toEqual(['replace /notes?from=mail&kind=survey#top']);
});

test('a failure keeps what was there and can be tried again', async () => {
  const listing = await loaded();
  void listing.choose(choose(listing.choices, 'kind', ['survey']));
  await asked[1]!.reply(503);
  expect([listing.status, listing.answer!.matched]).toEqual(['failed', 9]);
  void listing.load();
  await asked[2]!.reply();
  expect([listing.status, listing.answer!.matched]).toEqual(['ready', 1]);
});

test('a listing that is not there is said to be so, and why is told to who builds the page', async () => {
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const listing = new Listing('notes', new HttpTransport(belongsTo('notes')));
  void listing.load();
  await asked[0]!.reply(404);
  expect(listing.status).toBe('gone');
  expect(logged).toHaveBeenCalledWith('Ivy Lens: There is no lens called “notes”.');
});

test('going back draws the answer of before at once, and asks whether it still holds', async () => {
  const listing = await loaded();
  void listing.choose(choose(listing.choices, 'kind', ['survey']));
  await asked[1]!.reply();
  History.prototype.replaceState.call(history, null, '', '/notes');
  dispatchEvent(new PopStateEvent('popstate'));
  expect([listing.answer!.matched, listing.waiting]).toEqual([9, true]);
  // the listings of the tests before go back as well: all are answered
  for (const one of asked.slice(2)) await one.reply();
  expect(listing.waiting).toBe(false);
});

describe('with a button', () => {
  beforeEach(() => ((settings.address as { apply: string }).apply = 'button'));
  afterEach(() => ((settings.address as { apply: string }).apply = 'change'));

  test('a choice is counted at once and done when the button is pressed', async () => {
    const listing = await loaded();
    void listing.pick(choose(listing.choices, 'kind', ['survey']));
    await asked.at(-1)!.reply();
    expect([listing.answer!.matched, listing.drawn!.matched, listing.waits]).toEqual([9, 1, true]);
    expect(location.search).toBe('');
    void listing.apply();
    // its answer is known already: the page need not wait for the server
    expect([listing.answer!.matched, listing.waits]).toEqual([1, false]);
    expect(location.search).toBe('?kind=survey');
  });

  test('what is picked while an answer is on its way keeps both: the answer comes, the choice stays', async () => {
    const listing = await loaded();
    void listing.choose(choose(listing.choices, 'kind', ['survey']));
    const applied = asked.at(-1)!;
    void listing.pick(choose(listing.choices, 'kind', ['notice']));
    expect(applied.signal.aborted).toBe(false);
    await asked.at(-1)!.reply();
    await applied.reply();
    expect([listing.answer!.matched, listing.waiting, listing.waits]).toEqual([1, false, true]);
    expect(listing.choices.facets.kind).toEqual(['notice']);
  });

  test('an overtaken choice is let go, and one that fails is said', async () => {
    const listing = await loaded();
    void listing.pick(choose(listing.choices, 'kind', ['survey']));
    void listing.pick(choose(listing.choices, 'kind', ['notice']));
    expect(asked.at(-2)!.signal.aborted).toBe(true);
    await asked.at(-1)!.reply(500);
    expect(listing.status).toBe('failed');
  });
});

test('what is marked stays marked, and a listing of marked posts follows', async () => {
  localStorage.clear();
  const own = {
    ...settings,
    source: 'orrin',
    facets: [{ key: 'saved', kind: 'favourites', marks: true }],
    names: ['saved'],
  };
  const listing = await loaded();
  listing.settings = own as unknown as Settings;
  listing.mark('n-1');
  listing.mark('n-2');
  listing.mark('n-1');
  expect([...listing.marked.ids]).toEqual(['n-2']);
  expect(localStorage.getItem('ivy-lens-marked:orrin')).toBe('["n-2"]');
  listing.choices = { ...listing.choices, facets: { saved: ['n-2'] } };
  listing.mark('n-3');
  expect(location.search).toBe('?saved=n-2,n-3');
});
