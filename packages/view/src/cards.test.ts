import {
  englishTexts,
  makeLook,
  makePart,
  placedAt,
  type ArrangementName,
  type CardPart,
  type Item,
  type PartName,
} from '@ivy/core';
import { cardViews } from './cards.js';
import type { Shown } from './shown.js';

const now = Date.UTC(2026, 4, 20);
function viewOf(parts: (Partial<CardPart> & { show: PartName })[], fields: Item['fields'], more: object = {}) {
  const {
    item = {},
    cardLink = { link: 'card', newTab: false },
    facets = [],
    arrangement = 'grid',
    pictureSizes = '',
    marks = null,
  } = more as {
    item?: Partial<Item>;
    cardLink?: object;
    facets?: object[];
    arrangement?: ArrangementName;
    pictureSizes?: string;
    marks?: ReadonlySet<string> | null;
  };
  const shown = {
    settings: {
      card: parts.map((part) => makePart(part)),
      cardLink,
      facets,
      pictureSizes,
      texts: englishTexts,
      language: 'en-GB',
      zone: 'UTC',
    },
    placed: placedAt(makeLook({ arrangement }), 'desktop'),
    choices: { facets: {}, sort: null, page: 1 },
    answer: { items: [{ id: 'a', title: 'Terns', link: '/a', fields, ...item }], facets: [] },
    now,
    resolve: (link: string) => link,
    hrefOf: ({ facets: chosen }: { facets: object }) => `?${JSON.stringify(chosen)}`,
    marks,
  } as unknown as Shown;
  return cardViews(shown)[0]!;
}
const words = (view: ReturnType<typeof viewOf>) =>
  view.rows.map((row) =>
    row.form === 'facts'
      ? row.facts.map(({ text }) => text)
      : row.form === 'terms'
        ? row.labels.map(({ label }) => label)
        : row.form === 'button'
          ? row.label
          : row.form === 'mark'
            ? row.words
            : row.text.map(({ text }) => text).join(''),
  );

test('days are written as the part says, with words before and after', () => {
  const styles = ['short', 'medium', 'long', 'full', 'month', 'relative'] as const;
  const parts = styles.map((style) => ({ show: 'date' as const, field: 'day', style }));
  expect(words(viewOf([{ show: 'title', field: 'title' }, ...parts], { day: '2026-05-06' }))).toEqual([
    'Terns',
    [
      '06/05/2026',
      '6 May 2026',
      '6 May 2026',
      expect.stringMatching(/^Wednesday,? 6 May 2026$/),
      'May 2026',
      '2 weeks ago',
    ],
  ]);
  const around = { show: 'date' as const, field: 'day', before: 'seen on', words: 'at dawn' };
  expect(words(viewOf([around], { day: '2026-05-06' })).at(-1)).toEqual(['seen on 6 May 2026 at dawn']);
});

test('a text is cut, and another field stands in for an empty one', () => {
  const part = { show: 'text' as const, field: 'summary', orElse: 'body', characters: 12 };
  expect(words(viewOf([part], { summary: 'Terns over the bar' })).at(-1)).toBe('Terns over…');
  expect(words(viewOf([part], { '~start/body/12': 'Mudflat at low water' })).at(-1)).toBe('Mudflat at…');
  expect(words(viewOf([part], {}))).toEqual(['Terns']);
});

test('what a search marked stays marked up to the cut', () => {
  const item = { marks: { summary: [[0, 5] as const, [15, 18] as const] } } as unknown as Partial<Item>;
  const view = viewOf(
    [{ show: 'text', field: 'summary', characters: 12 }],
    { summary: 'Terns over the bar' },
    { item },
  );
  expect(view.rows.at(-1)).toMatchObject({
    text: [
      { text: 'Terns', marked: true },
      { text: ' over…', marked: false },
    ],
  });
});

test('terms are labels, text, or links that choose them where a facet has their field', () => {
  const kind = [
    { slug: 'survey', label: 'Survey' },
    { slug: 'count', label: 'Count' },
  ];
  const facets = [{ key: 'what', field: 'kind', visible: true }];
  const as = (how: 'labels' | 'text' | 'links', most = 0) =>
    viewOf([{ show: 'terms', field: 'kind', as: how, most }], { kind }, { facets });
  expect(words(as('labels')).at(-1)).toEqual(['Survey', 'Count']);
  expect(words(as('text')).at(-1)).toEqual(['Survey, Count']);
  expect(words(as('labels', 1)).at(-1)).toEqual(['Survey']);
  const [, row] = as('links').rows;
  expect(row?.form === 'terms' && row.labels.map(({ link }) => link?.href)).toEqual([
    '?{"what":["survey"]}',
    '?{"what":["count"]}',
  ]);
});

test('a yes is a word or a badge, and a no is nothing', () => {
  const part = { show: 'yes-no' as const, field: 'open', words: 'Join in' };
  expect(words(viewOf([part], { open: true })).at(-1)).toEqual(['Join in']);
  expect(viewOf([{ ...part, as: 'badge' }], { open: true }).badges).toEqual([{ text: 'Join in' }]);
  expect(words(viewOf([part], { open: false }))).toEqual(['Terns']);
});

test('where a card leads, and that it opens beside the page, is said', () => {
  const button = [{ show: 'button' as const }];
  const view = viewOf(button, {}, { cardLink: { link: 'button', newTab: true } });
  expect([view.href, view.leads, view.newTab, words(view)]).toEqual([
    '/a',
    'button',
    'opens in a new tab',
    ['Terns', 'Read on'],
  ]);
  expect(viewOf(button, {}, { cardLink: { link: 'none', newTab: false } }).href).toBeNull();
  // a post that leads nowhere has no button
  expect(words(viewOf(button, {}, { item: { link: null } }))).toEqual(['Terns']);
});

test('a picture is described by a field, and may stand beside the words', () => {
  const part = {
    show: 'picture' as const,
    field: 'image',
    alt: 'title',
    place: 'side' as const,
    aspect: '1/1' as const,
  };
  const view = viewOf([part], { image: '/a.jpg', title: 'A tern' });
  expect([view.beside, view.pictures]).toEqual([
    true,
    [{ address: '/a.jpg', alt: 'A tern', aspect: '1/1', fit: 'cover', at: [0], sizes: null }],
  ]);
});

test('a list has room for lines alone', () => {
  const parts = [
    { show: 'picture' as const, field: 'image' },
    { show: 'title' as const, field: 'title' },
    { show: 'text' as const, field: 'summary' },
    { show: 'date' as const, field: 'day' },
  ];
  const fields = { image: '/a.jpg', title: 'Terns', summary: 'Over the bar', day: '2026-05-06' };
  const list = viewOf(parts, fields, { arrangement: 'list' });
  expect([list.pictures, words(list)]).toEqual([[], ['Terns', ['6 May 2026']]]);
});

test('a picture that is there at several widths says so, by the widths the lens knows', () => {
  const part = { show: 'picture' as const, field: 'image', width: 1200, sizes: [{ field: 'small', width: 400 }] };
  const fields = { image: '/a,1.jpg', small: '/a b,c.jpg' };
  const { pictures } = viewOf([part], fields, { pictureSizes: '100vw' });
  expect(pictures[0]!.sizes).toEqual({ srcset: '/a%2C1.jpg 1200w, /a%20b%2Cc.jpg 400w', sizes: '100vw' });
  expect(viewOf([part], { image: '/a.jpg' }).pictures[0]!.sizes).toBeNull();
});

test('how long it takes to read is what the post says, or else what was counted', () => {
  const part = { show: 'reading-time' as const, field: 'minutes', from: 'body', icon: 'clock' as const };
  const at = (fields: Item['fields']) => viewOf([part], fields).rows.at(-1);
  expect(at({ minutes: 7, '~minutes/body': 3 })).toMatchObject({
    form: 'facts',
    facts: [{ text: '7 mins', icon: 'clock' }],
  });
  expect(at({ '~minutes/body': 3 })).toMatchObject({ facts: [{ text: '3 mins' }] });
  expect(at({})).toMatchObject({ form: 'title' });
});

test('a mark stands among the words where the card has it there, and else in the corner', () => {
  const marks = { marks: new Set(['a']) };
  const inPlace = viewOf([{ show: 'mark' as const, words: 'Keep' }], {}, marks);
  expect([words(inPlace).at(-1), inPlace.marksApart, inPlace.mark?.on]).toEqual(['Keep', false, true]);
  const apart = viewOf([{ show: 'title' as const, field: 'title' }], {}, { ...marks, facets: [{ marks: true }] });
  expect([apart.marksApart, apart.mark?.on]).toEqual([true, true]);
  expect(viewOf([{ show: 'mark' as const }], {}).rows).toHaveLength(1);
});

test('where a post has no picture the words move up, or a drawing stands in its place', () => {
  const part = { show: 'picture' as const, field: 'image' };
  expect(viewOf([part], {}).pictures).toEqual([]);
  const drawn = viewOf([{ ...part, whenEmpty: 'drawing' as const, aspect: '1/1' as const }], {});
  expect(drawn.pictures).toMatchObject([{ address: null, sizes: null, aspect: '1/1', at: [0] }]);
});
