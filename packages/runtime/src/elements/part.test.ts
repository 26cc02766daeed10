import { englishTexts, makeLook, pageLook, type Settings } from '@ivy/core';
import '../index.js';

interface Asked {
  url: string;
  reply: (matched: number) => Promise<void>;
}
let asked: Asked[] = [];
/** How the lens looks, as the server says it. */
let sheet: string | undefined;
Object.assign(globalThis, { matchMedia: () => ({ matches: false }) });

const settings = {
  name: 'Walks',
  facets: [{ key: 'kind' }],
  look: pageLook(makeLook()),
  card: [],
  cardLink: { link: 'card', newTab: false },
  sort: [],
  defaultSort: null,
  paging: { mode: 'pages', size: 12, sizes: [] },
  address: { prefix: '', sort: 'sort', page: 'page', apply: 'change' },
  names: ['kind', 'sort', 'page'],
  texts: englishTexts,
  language: 'en',
  zone: 'UTC',
  source: 'walks',
} as unknown as Settings;
const frame = { terms: {}, facets: [], fields: [], titleAt: -1 };
const turn = () => new Promise((done) => setTimeout(done, 5));

beforeEach(() => {
  asked = [];
  sheet = undefined;
  history.replaceState(null, '', '/walks');
  globalThis.fetch = ((url: string) =>
    new Promise((done) => {
      const reply = async (matched: number) => {
        const answer = {
          address: '',
          total: 9,
          matched,
          page: 1,
          pages: 1,
          facets: [],
          items: Array.from({ length: matched }, (_, i) => [`p${i}`, `Post ${i}`, null, []]),
          notices: [],
          ways: [],
        };
        const body = { known: 'one', settings, sheet, frame, answer };
        done({ ok: true, status: 200, json: () => Promise.resolve(body) });
        await turn();
      };
      asked.push({ url: url.replace(/^.*lenses\//, ''), reply });
    })) as unknown as typeof fetch;
});
afterEach(async () => {
  document.body.replaceChildren();
  await turn();
});

function put(tag: string, attributes: Record<string, string>): HTMLElement {
  const element = document.createElement(tag);
  for (const [name, value] of Object.entries(attributes)) element.setAttribute(name, value);
  return document.body.appendChild(element);
}

test('elements of one name are one listing, asked for once', async () => {
  const [one, other] = [put('ivy-count', { name: 'walks' }), put('ivy-count', { name: 'walks' })];
  expect(asked.map(({ url }) => url)).toEqual(['walks/listing/nothing?']);
  await asked[0]!.reply(7);
  expect([one.textContent, other.textContent].map((words) => words.replace(/\s+/g, ' ').trim())).toEqual([
    '7 posts of 9',
    '7 posts of 9',
  ]);
});

test('a prefix and a scope are listings of their own, and are asked for as such', () => {
  put('ivy-count', { name: 'walks' });
  put('ivy-count', { name: 'walks', prefix: 'b-' });
  put('ivy-count', { name: 'walks', scope: 'kind:talk,place:north shore' });
  expect(asked.map(({ url }) => url)).toEqual([
    'walks/listing/nothing?',
    'walks/listing/nothing?~prefix=b-&',
    'walks/listing/nothing?~scope=kind:talk,place:north%20shore&',
  ]);
});

test.each([
  ['an attribute', (element: HTMLElement) => element.setAttribute('name', 'walks')],
  ['a property', (element: HTMLElement) => Object.assign(element, { name: 'walks' })],
])('a name that is set late, as %s, is heard', async (_what, set) => {
  // that it has no name yet is said
  const said = jest.spyOn(console, 'error').mockImplementation(() => {});
  const element = put('ivy-count', {});
  await turn();
  said.mockRestore();
  expect(asked).toHaveLength(0);
  set(element);
  await asked[0]!.reply(3);
  expect(element.textContent).toContain('3 posts');
  expect(element.getAttribute('name')).toBe('walks');
});

test('an element that gets another scope shows that one, and the listing it leaves is let go', async () => {
  const element = put('ivy-count', { name: 'walks' });
  await asked[0]!.reply(7);
  element.setAttribute('scope', 'kind:talk');
  await turn();
  await asked[1]!.reply(2);
  expect(element.textContent).toContain('2 posts');
  dispatchEvent(new PopStateEvent('popstate'));
  await turn();
  // nothing of the listing without a scope listens any more
  expect(asked.slice(2).every(({ url }) => url.includes('~scope'))).toBe(true);
});

test('an element that is moved keeps its listing', async () => {
  const element = put('ivy-count', { name: 'walks' });
  await asked[0]!.reply(7);
  document.body.appendChild(document.createElement('section')).append(element);
  await turn();
  expect(asked).toHaveLength(1);
  expect(element.textContent).toContain('7 posts');
});

test('an element that was taken out before it was drawn is drawn once it is back', async () => {
  const element = put('ivy-count', { name: 'walks' });
  element.remove();
  await turn();
  document.body.append(element);
  await turn();
  await asked.at(-1)!.reply(7);
  expect(element.textContent).toContain('7 posts');
});

test('a choice and its answer are reported by events that bubble', async () => {
  const element = put('ivy-count', { name: 'walks' }) as HTMLElement & { query: unknown };
  await asked[0]!.reply(7);
  const heard: string[] = [];
  for (const type of ['ivy:change', 'ivy:answer']) document.body.addEventListener(type, () => heard.push(type));
  let words: { title?: string; text?: string } = {};
  document.body.addEventListener('ivy:title', (event) => (words = (event as CustomEvent<object>).detail));
  element.query = { facets: { kind: ['talk'] }, sort: null, page: 1 };
  expect(heard).toEqual(['ivy:change']);
  await asked[1]!.reply(2);
  // what makes the title is fetched after the first paint
  for (let i = 0; i < 200 && words.text !== '2 posts'; i++) await turn();
  expect(heard).toEqual(['ivy:change', 'ivy:answer']);
  expect(words).toEqual({ title: 'Walks', text: '2 posts' });
});

test('a list shows as many of the posts as it says, in step with one that shows all', async () => {
  put('ivy-results', { name: 'walks' });
  const short = put('ivy-results', { name: 'walks', most: '2' });
  await turn();
  await asked[0]!.reply(3);
  const titles = (element: Element) => element.querySelectorAll('.ivy-card').length;
  expect([titles(document.body), titles(short)]).toEqual([5, 2]);
  short.setAttribute('most', '1');
  await turn();
  expect(titles(short)).toBe(1);
});

describe('a lens that follows another', () => {
  const follower = () => asked.filter(({ url }) => url.startsWith('notes/')).map(({ url }) => url.split('?')[1]);
  const reply = (name: string) => asked.findLast(({ url }) => url.startsWith(`${name}/`))!.reply(3);
  beforeEach(() => {
    settings.follows = [{ lens: 'walks', facet: 'kind', field: 'type' }];
  });
  afterEach(() => {
    settings.follows = [];
  });

  test('is asked with what is chosen there, from its first drawing on, and again with each choice', async () => {
    history.replaceState(null, '', '/walks?kind=boat&notes-page=3');
    const notes = put('ivy-results', { name: 'notes', prefix: 'notes-' });
    put('ivy-results', { name: 'walks' });
    await turn();
    await reply('notes');
    // it waits for the other's choices, so that it never shows what they take away
    expect(notes.querySelector('.ivy-card')).toBeNull();
    await reply('walks');
    await turn();
    await reply('notes');
    const walks = document.querySelector<HTMLElement & { query: unknown }>('ivy-results[name=walks]')!;
    walks.query = { facets: { kind: ['walk', 'talk'] }, sort: null, page: 1 };
    await turn();
    expect(follower().at(-1)).toContain('~driven=type%3Awalk%2Ctalk&');
    walks.query = { facets: {}, sort: null, page: 1 };
    await turn();
    expect(follower().at(-1)).not.toContain('~driven');
  });

  test('stands by itself where that one is not there', async () => {
    const notes = put('ivy-results', { name: 'notes' });
    await turn();
    await reply('notes');
    expect([notes.querySelectorAll('.ivy-card').length, follower().length]).toEqual([3, 1]);
  });
});

test('an element without a name says so on the page and to whoever builds it, and is well once it has one', async () => {
  const said = jest.spyOn(console, 'error').mockImplementation(() => {});
  const lens = put('ivy-results', {});
  await turn();
  expect(lens.textContent).toContain('This listing is not here');
  expect(said.mock.calls[0]![0]).toMatch(/<ivy-results> needs the name/);
  said.mockRestore();
  lens.setAttribute('name', 'walks');
  await turn();
  await asked[0]!.reply(3);
  expect(lens.querySelectorAll('.ivy-card')).toHaveLength(3);
});

describe('at each width', () => {
  let width = 1280;
  let tell: () => void;
  beforeEach(() => {
    width = 1280;
    Object.defineProperty(document.documentElement, 'clientWidth', { configurable: true, get: () => width });
    globalThis.ResizeObserver = class {
      constructor(told: ResizeObserverCallback) {
        tell = () => told([], this);
      }
      observe(): void {
        // a test tells when there is another width
      }
      unobserve(): void {
        // likewise
      }
      disconnect(): void {
        // likewise
      }
    };
  });
  const goTo = async (next: number) => {
    width = next;
    tell();
    await turn();
  };

  test('an element says which span of widths it is in, and facets are in a sheet on a phone', async () => {
    const element = put('ivy-facets', { name: 'walks' });
    await asked[0]!.reply(3);
    expect([element.dataset.span, element.querySelector('.ivy-filters')]).toEqual(['desktop', null]);
    await goTo(700);
    expect(element.dataset.span).toBe('tablet');
    await goTo(390);
    expect([element.dataset.span, element.querySelector('.ivy-filters') !== null]).toEqual(['phone', true]);
    await goTo(1000);
    expect([element.dataset.span, element.querySelector('.ivy-filters')]).toEqual(['desktop', null]);
  });

  test('within a span nothing is drawn anew', async () => {
    const element = put('ivy-count', { name: 'walks' });
    await asked[0]!.reply(3);
    element.textContent = 'as it was';
    await goTo(1200);
    expect(element.textContent).toBe('as it was');
  });
});

test('how a lens looks is on the page once, and follows what the server says', async () => {
  const looks = () =>
    [...document.head.querySelectorAll('style')]
      .map((style) => style.textContent)
      .filter((rules) => rules.includes('.look'));
  sheet = '.look-one {}';
  put('ivy-count', { name: 'seen' });
  put('ivy-chips', { name: 'seen' });
  await asked[0]!.reply(3);
  expect(looks()).toEqual(['.look-one {}']);
  sheet = '.look-two {}';
  put('ivy-count', { name: 'seen', prefix: 'b-' });
  await asked[1]!.reply(3);
  expect(looks()).toEqual(['.look-two {}']);
});
