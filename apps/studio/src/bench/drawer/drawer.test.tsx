import type { SourceView } from '@ivy/client';
import { buildIndex, describeFields, dryRun, finished, look, type Lens, type Post } from '@ivy/core';
import { useState } from 'react';
import { BesideServer } from '../../../test/beside-server.js';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import type { DryRuns } from '../../dry-run/dry-runs.js';
import type { Ghost } from '../ghost/use-ghost.js';
import { Drawer } from './drawer.js';
import type { BenchFinding } from './use-findings.js';
import { useDrawer } from './use-drawer.js';
import { curlOf, msText, type PageRequest } from './use-requests.js';

/** A box that is always as large as a drawer usually is. */
class Sized {
  constructor(private readonly told: (entries: { contentRect: { width: number; height: number } }[]) => void) {}
  observe(): void {
    this.told([{ contentRect: { width: 760, height: 152 } }]);
  }
  disconnect(): void {
    // it never changes
  }
}
globalThis.ResizeObserver = Sized as unknown as typeof ResizeObserver;

const posts: Post[] = Array.from({ length: 20 }, (_, i) => ({
  id: `n${i}`,
  values: {
    title: `Note ${i}`,
    place: [['pier', 'dune', 'moor', 'fen'][i % 4]!],
    kind: [i % 2 === 0 ? 'walk' : 'talk'],
    minutes: i,
  },
}));
const term = (slug: string) => ({ slug, label: slug[0]!.toUpperCase() + slug.slice(1), parent: null });
const taxonomies = { place: ['pier', 'dune', 'moor', 'fen'].map(term), kind: ['walk', 'talk'].map(term) };
const fields = describeFields({
  fields: [
    fieldOf('title', 'text', { role: 'title' }),
    fieldOf('place', 'terms'),
    fieldOf('kind', 'terms'),
    fieldOf('minutes', 'number'),
  ],
  taxonomies,
  posts,
});
const index = buildIndex({ fields, taxonomies, posts });
const lens = lensOf({
  facets: [
    { key: 'place', kind: 'checkboxes', field: 'place' },
    { key: 'kind', kind: 'radios', field: 'kind' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
});
const dryRuns: DryRuns = {
  run: (of, address) => Promise.resolve(dryRun(index, of, { name: 'Notes', source: 'notes' }, address, 0)),
  see: ({ name, lens: of, address, wanted }) => Promise.resolve(finished(look(name, index, of, address, wanted, 0))),
  stop: () => undefined,
};
const source = { slug: 'notes', fields } as unknown as SourceView;

const page = new BesideServer();
let went: string[];
let focused: string[];
let placed: BenchFinding['place'][];
let edited: Lens[];
beforeEach(() => {
  sessionStorage.clear();
  page.open();
  [went, focused, placed, edited] = [[], [], [], []];
});
afterEach(() => page.close());

interface More {
  address?: string;
  ghost?: Ghost;
  findings?: BenchFinding[];
  answers?: PageRequest[];
}

function OnBench({ address: first = '', ghost = undefined, findings = [], answers = [] }: More) {
  const [address, setAddress] = useState(first);
  return (
    <Drawer
      state={useDrawer()}
      {...{ lens, source, address, dryRuns, findings }}
      dryRun={dryRun(index, lens, { name: 'Notes', source: 'notes' }, address, 0)}
      ghost={ghost ?? null}
      hues={new Map(lens.facets.map(({ key }, i) => [key, i + 1]))}
      requests={{ answers, loaded: [], last: null }}
      onGo={(next) => {
        went.push(next);
        setAddress(next);
      }}
      onFocus={(key) => focused.push(key)}
      onEdit={(next) => edited.push(next)}
      onPlace={(place) => placed.push(place)}
    />
  );
}
const drawn = (more: More = {}) => page.visit(<OnBench {...more} />, '/');
const tab = (name: string) => {
  const found = [...page.element.querySelectorAll<HTMLElement>('[role=tab]')].find((one) =>
    one.textContent.startsWith(name),
  );
  return page.pressAndSettle(found!.textContent.trim());
};

test('the sieve says what comes, what each facet takes and what is left; those who fall out are seen', async () => {
  await drawn({ address: 'place=pier,dune&kind=walk' });
  expect(page.texts('[data-sieve] ul.sr-only li')).toEqual([
    '20 posts, 5 shown',
    'Place: alone leaves 10, without it 5 more, 10 left',
    'Kind: alone leaves 10, without it 5 more, 5 left',
  ]);
  await page.pressAndSettle('10 posts fall out at Place: see them');
  expect(page.texts('ul[aria-label="Posts that fall out"] li b')).toHaveLength(10);
  expect(page.words).toContain('It has Moor, not Dune or Pier.');
  await page.pressAndSettle('Back to the sieve');
  expect(page.words).not.toContain('fall out at Place');
});

test('a mesh leads to the wiring of its facet; with nothing chosen it says what to do', async () => {
  await drawn({ address: 'kind=walk' });
  await page.pressAndSettle('Kind');
  expect(focused).toEqual(['kind']);
  await page.visit(<OnBench key="bare" />, '/');
  expect(page.words).toContain('Nothing is chosen, so nothing falls out.');
});

test('what would be is told beside what is', async () => {
  const ghost: Ghost = {
    facet: 'place',
    dryRun: dryRun(index, lens, { name: 'Notes', source: 'notes' }, 'place=pier,dune', 0),
  };
  await drawn({ address: 'place=pier', ghost });
  expect(page.words).toContain('20 posts, 5 shown, would be 10');
  expect(page.texts('.ghost-figure').filter((text) => text.includes('10')).length).toBeGreaterThan(1);
});

test('why posts are missing: the nearest first, each with its ways in, which lead there', async () => {
  await drawn({ address: 'place=pier&minutes=0/8' });
  await tab('Why');
  expect(page.texts('[role=group] button')).toEqual(['One step away 8', 'Two 9', 'Shown 3']);
  expect(page.texts('tbody tr').length).toBe(8);
  await page.pressAndSettle('Note 12');
  expect(page.words).toContain('Minutes: 12 is 4 after the range.');
  await page.pressAndSettle('to 12 +1');
  expect(went).toEqual(['place=pier&minutes=0/12']);
  await page.pressAndSettle('Shown 4');
  expect(page.texts('tbody th')).toContain('Note 12');
  expect(page.words).toContain('It is shown.');
});

test('a post is found by its title or id, whatever stops it', async () => {
  await drawn({ address: 'kind=talk' });
  await tab('Why');
  page.type('Find a post by its title or id', 'note 14');
  await page.settle();
  expect(page.texts('tbody th')).toEqual(['Note 14']);
  expect(page.words).toContain('Kind: It has Walk, not Talk.');
  page.type('Find a post by its title or id', 'zebra');
  await page.settle();
  expect(page.words).toContain('No post has this in its title.');
});

test('answers are listed with their size and time; a slow one says where it went, and what came is folded out', async () => {
  const answer: PageRequest = {
    ...{ id: 1, what: 'answer', url: '/api/v1/lenses/notes/draft/listing/x?kind=walk', bytes: 2400, took: 480 },
    ...{ isKept: false, status: 200, body: { known: 'x', answer: { matched: 10 } } },
    server: [
      { name: 'ready', ms: 300 },
      { name: 'answer', ms: 4 },
    ],
  };
  await drawn({ answers: [answer] });
  await tab('Requests');
  expect(page.words).toContain('2 kB480 ms304 ms');
  await page.pressAndSettle('kind=walk');
  expect(page.words).toContain('Slow. 300 ms until posts and columns were ready, 4.0 ms counting, 176 ms on its way');
  expect(page.texts('details details summary')).toEqual(['answer: {1}']);
});

test('a finding leads to where it is mended', async () => {
  const findings: BenchFinding[] = [
    { id: 'a', text: 'It can’t work.', isBroken: true, place: { facet: 'kind' } },
    { id: 'b', text: 'Too faint.', isBroken: false, place: { results: 'look' } },
  ];
  await drawn({ findings });
  expect(page.texts('[role=tab]').at(-1)).toBe('Findings2');
  await tab('Findings');
  for (const button of page.element.querySelectorAll<HTMLElement>('section[aria-label="Findings of the lens"] button'))
    button.click();
  expect(placed).toEqual([{ facet: 'kind' }, { results: 'look' }]);
});

test('dead ends are looked for when one asks, seen term by term, gone to, and hidden', async () => {
  await drawn();
  await tab('Findings');
  await page.pressAndSettle('Look for them');
  expect(page.words).toContain('4 of 8 pairs of choices find nothing');
  expect(page.texts('[aria-label="Posts by two choices"] tbody tr')).toEqual(['Pier50', 'Dune05', 'Moor50', 'Fen05']);
  await page.pressAndSettle('Pier and Talk');
  expect(went).toEqual(['place=pier&kind=talk']);
  await page.pressAndSettle('Hide what has no post');
  expect(edited[0]!.facets.map((facet) => ('zero' in facet ? facet.zero : null))).toEqual(['hide', 'hide', null]);
});

test('a tab is opened and shut, and each keeps its height for this tab of the browser', async () => {
  await drawn();
  const height = () => page.element.querySelector('section')!.style.height;
  const edge = () => page.element.querySelector('[role=separator]')!;
  const first = height();
  const { act } = await import('react');
  act(() => {
    edge().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
  });
  expect(height()).toBe(`${parseInt(first) + 20}px`);
  await tab('Why');
  expect(height()).not.toBe(`${parseInt(first) + 20}px`);
  await tab('Sieve');
  expect(height()).toBe(`${parseInt(first) + 20}px`);
  await tab('Sieve');
  expect(height()).toBe('34px');
  await page.visit(<OnBench key="again" />, '/');
  expect(height()).toBe('34px');
});

test('an answer is asked for from anywhere by one command', () => {
  expect(curlOf("/api/v1/x?q=it's", 'http://127.0.0.1:4800')).toBe(
    "curl --compressed 'http://127.0.0.1:4800/api/v1/x?q=it%27s'",
  );
  expect([0.84, 38.2, 1400].map(msText)).toEqual(['0.8 ms', '38 ms', '1.4 s']);
});
