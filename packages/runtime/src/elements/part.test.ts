import { englishTexts, type Settings } from '@ivy/core';
import '../index.js';

interface Asked {
  url: string;
  reply: (matched: number) => Promise<void>;
}
let asked: Asked[] = [];

const settings = {
  facets: [{ key: 'kind' }],
  look: { facets: 'side', columns: 3 },
  card: [],
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
          items: [],
          notices: [],
          ways: [],
        };
        const body = { known: 'one', settings, frame, answer };
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
  const element = put('ivy-count', {});
  await turn();
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
  element.query = { facets: { kind: ['talk'] }, sort: null, page: 1 };
  expect(heard).toEqual(['ivy:change']);
  await asked[1]!.reply(2);
  expect(heard).toEqual(['ivy:change', 'ivy:answer']);
});
