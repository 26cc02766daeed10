import type { FieldDescription, Finding } from '@ivy/core';
import { BesideServer } from '../../test/beside-server.js';
import type { SourceView, TermView } from '@ivy/client';
import { depthsOf, kindWords, Specimen } from './specimen.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const source = { slug: 'notes', posts: 1200, site: 'https://wardens.example/' } as SourceView;
const field = (type: FieldDescription['type'], more: Partial<FieldDescription> = {}) =>
  ({
    ...{ key: 'habitat', label: 'Habitat', type, role: null, multiple: false, tree: false },
    ...{ filled: 1200, distinct: 3, samples: [] },
    ...more,
  }) as FieldDescription;
const term = (slug: string, parent: string | null, count: number): TermView => {
  return {
    slug,
    label: slug.toUpperCase(),
    parent,
    count,
    own: count,
    hidden: false,
    picture: null,
    colour: null,
    aliases: [],
    was: [],
  };
};
const finding = (code: string) => ({ code, field: 'habitat', text: code, values: [] }) as unknown as Finding;

/** Draws one field, and gives how often it was taken in hand. */
async function drawn(of: FieldDescription, more: { hue?: number | null; findings?: Finding[] } = {}) {
  const chosen: string[] = [];
  await page.visit(
    <ul>
      <Specimen
        number={4}
        source={source}
        field={of}
        hue={more.hue === undefined ? 2 : more.hue}
        findings={more.findings ?? []}
        chosen={false}
        onChoose={() => chosen.push(of.key)}
      />
    </ul>,
    '/',
  );
  return chosen;
}
const widths = (selector: string) =>
  [...page.element.querySelectorAll<HTMLElement>(selector)].map((one) => one.style.width);

test('terms are drawn with their posts, as bars and as figures, those below others set in', async () => {
  page.answer('GET /sources/notes/terms/habitat', [term('shore', null, 1000), term('mud', 'shore', 500)]);
  await drawn(field('terms', { tree: true, multiple: true }));
  expect(page.texts('.leading-\\[20px\\]')).toEqual(['SHORE1,000', 'MUD500']);
  expect(widths('.bg-hue-half')).toEqual(['38px', '19px']);
  const sets = [...page.element.querySelectorAll<HTMLElement>('.truncate.flex-1')];
  expect(sets.map((one) => parseFloat(one.style.paddingInlineStart))).toEqual([0, 11]);
  expect(page.words).toContain('terms in a tree, many each');
});

test('of many terms the first are drawn, and it is said how many more there are', async () => {
  const many = Array.from({ length: 40 }, (_, i) => term(`t${i}`, null, 40 - i));
  page.answer('GET /sources/notes/terms/habitat', many);
  await drawn(field('terms'));
  expect(page.texts('.leading-\\[20px\\]')).toHaveLength(5);
  expect(page.words).toContain('and 35 more');
});

test('six terms are all drawn: “and 1 more” would take the same room', async () => {
  const six = Array.from({ length: 6 }, (_, i) => term(`t${i}`, null, 6 - i));
  page.answer('GET /sources/notes/terms/habitat', six);
  await drawn(field('terms'));
  expect(page.texts('.leading-\\[20px\\]')).toHaveLength(6);
  expect(page.words).not.toContain('more');
});

test('numbers and days are drawn by where they lie, from the least to the greatest', async () => {
  const spread = { low: 5, high: 2400, counts: [10, 0, 200, 1] };
  await drawn(field('number', { spread, distinct: 1000 }));
  const bars = [...page.element.querySelectorAll<HTMLElement>('.items-end > span')];
  expect(bars.map((bar) => bar.style.height)).toEqual(['5%', '0%', '100%', '3%']);
  expect(page.words).toContain('52,4001,000 different');
  await drawn(
    field('datetime', { spread: { low: '2026-01-02T10:00:00Z', high: '2026-05-18T08:00:00Z', counts: [1] } }),
  );
  expect(page.words).toContain('2026-01-022026-05-18');
});

test('pictures are shown, those of the site from there', async () => {
  const samples = ['/p/1.webp', 'https://pictures.example/2.webp', '3.webp', '/p/4.webp', '/p/5.webp'];
  await drawn(field('image', { samples }));
  expect([...page.element.querySelectorAll('img')].map((one) => [one.getAttribute('src'), one.alt])).toEqual([
    ['https://wardens.example/p/1.webp', ''],
    ['https://pictures.example/2.webp', ''],
    ['https://wardens.example/3.webp', ''],
    ['https://wardens.example/p/4.webp', ''],
  ]);
});

test('texts are shown as they stand, the first three', async () => {
  const samples = ['A long day', 'Terns <b>again</b>', 'Mud', 'Reed'];
  await drawn(field('text', { samples }));
  expect(page.words).toContain('A long dayTerns <b>again</b>Mud');
  expect(page.words).not.toContain('Reed');
});

test('a field with nothing in it says so; the label tells how full it is and what it is for', async () => {
  await drawn(field('text', { filled: 0 }), { hue: null });
  expect(page.words).toContain('nothing in it');
  expect(page.words).toContain('0 of 1,200');
  expect(widths('.bg-ink-3.h-full')).toEqual(['0%']);
  await drawn(field('text', { filled: 300, role: 'title' }));
  expect(page.words).toContain('300 of 1,200card title');
  await drawn(field('text'));
  expect(page.words).toContain('all 1,200');
});

test('findings are counted on the card, but for gaps, which the bar shows', async () => {
  await drawn(field('text'), { findings: ['gaps', 'mixed', 'near'].map(finding) });
  expect(page.texts('.text-rust')).toEqual(['2 findings']);
  await drawn(field('text'), { findings: [finding('gaps')] });
  expect(page.texts('.text-rust')).toEqual([]);
});

test('it is taken in hand by a press', async () => {
  const chosen = await drawn(field('text'));
  const card = page.element.querySelector('button')!;
  expect(card.getAttribute('aria-pressed')).toBe('false');
  card.click();
  expect(chosen).toEqual(['habitat']);
});

test.each([
  [field('terms'), 'terms, one each'],
  [field('terms', { multiple: true }), 'terms, many each'],
  [field('terms', { tree: true }), 'terms in a tree'],
  [field('html'), 'formatted text'],
  [field('datetime'), 'days and times'],
  [field('boolean'), 'yes or no'],
])('what a field holds is said in words: %#', (of, words) => {
  expect(kindWords(of)).toBe(words);
});

test('a term under one that is not there stands at the top', () => {
  expect(depthsOf([term('a', null, 1), term('b', 'a', 1), term('c', 'b', 1), term('d', 'gone', 1)])).toEqual([
    0, 1, 2, 0,
  ]);
});
