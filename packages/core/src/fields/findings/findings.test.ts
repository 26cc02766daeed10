import fc from 'fast-check';
import { findFindings, plain, readMended, readWith } from '../../../test/findings.js';
import type { Mend, Term } from '../../model/post.js';
import type { RawRecord } from '../read/cell.js';
import { differenceOf, noDay } from './differences.js';
import { makeMend } from './mends.js';

const column = (key: string, values: readonly unknown[]): RawRecord[] =>
  values.map((value, i) => ({ id: `p${i}`, [key]: value }));
const times = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value);
const codes = (records: RawRecord[], key: string) =>
  findFindings(records)
    .filter(({ field }) => field === key)
    .map(({ code }) => code);

/** Columns that have something wrong with them: what is found, and what they hold once it is mended in the way advised. */
const faulty: Record<string, [key: string, values: unknown[], code: string, mend: string, mended: unknown[]]> = {
  'other capitals': [
    'kind',
    [...times(5, 'Mudflat'), 'mudflat', 'MUDFLAT'],
    'near-twins',
    'Mudflat',
    times(7, ['mudflat']),
  ],
  'an accent less': ['kind', [...times(3, 'Café'), 'Cafe'], 'near-twins', 'Café', times(4, ['café'])],
  'a Danish letter': ['kind', [...times(3, 'Røst'), 'Rost'], 'near-twins', 'Røst', times(4, ['røst'])],
  'a hyphen': ['kind', [...times(3, 'Mud flat'), 'mud-flat'], 'near-twins', 'Mud flat', times(4, ['mud-flat'])],
  'a plural': ['kind', [...times(4, 'Eels'), 'Eel', 'Eel'], 'near-twins', 'Eels', times(6, ['eels'])],
  'a letter less': ['kind', [...times(12, 'Gannick'), 'Ganick'], 'near-twins', 'Gannick', times(13, ['gannick'])],
  'two letters that changed places': [
    'kind',
    [...times(12, 'Lagoon'), 'Lagono'],
    'near-twins',
    'Lagoon',
    times(13, ['lagoon']),
  ],
  'a day that is none': [
    'seen',
    [...times(6, '30/04/2026'), '31/02/2026'],
    'impossible-dates',
    'last-day',
    [...times(6, '2026-04-30'), '2026-02-28'],
  ],
  'a letter for a figure': [
    'seen',
    [...times(6, '30/04/2026'), '2O/05/2026'],
    'unreadable-values',
    'figures',
    [...times(6, '2026-04-30'), '2026-05-20'],
  ],
  'a month first among days first': [
    'seen',
    [...times(6, '30/04/2026'), '05/31/2026'],
    'mixed-dates',
    'either',
    [...times(6, '2026-04-30'), '2026-05-31'],
  ],
  'days that could be months': [
    'seen',
    ['03/04/2026', '05/06/2026'],
    'ambiguous-dates',
    'month-day',
    ['2026-03-04', '2026-05-06'],
  ],
  'a day far off': [
    'seen',
    [...times(12, '2026-04-30'), '2062-04-30'],
    'future-dates',
    'empty',
    [...times(12, '2026-04-30'), undefined],
  ],
  'nothing among answers': ['open', ['yes', 'no', 'yes', ''], 'gaps', 'fill', [true, false, true, false]],
  'nothing among numbers': ['height', ['1', '2', '3', ''], 'gaps', 'fill', [1, 2, 3, 0]],
  'nothing among terms': ['kind', ['a', 'a', 'b', 'b', ''], 'gaps', 'fill', [['a'], ['a'], ['b'], ['b'], ['other']]],
  'two that look alike in an address': ['kind', ['C++', 'C#', 'C++', 'C#'], 'slug-clashes', 'C++', times(4, ['c'])],
  'a term on every post': [
    'tags',
    [
      ['x', 'all'],
      ['y', 'all'],
      ['x', 'all'],
      ['y', 'all'],
      ['x', 'all'],
    ],
    'on-every-post',
    'empty',
    [['x'], ['y'], ['x'], ['y'], ['x']],
  ],
  'a term on no branch': [
    'place',
    ['North > Point', 'North > Sands', 'South > Hide', 'North > Point', 'South > Hide', 'Point'],
    'off-branch',
    'under~North',
    [['point'], ['sands'], ['hide'], ['point'], ['hide'], ['point']],
  ],
  'markup in a text': [
    'note',
    ['plain', '<b>bold</b> words', 'more', 'and more'],
    'markup',
    'strip',
    ['plain', 'bold words', 'more', 'and more'],
  ],
  'characters in code': ['note', ['Tea &amp; cake', 'plain'], 'entities', 'decode', ['Tea & cake', 'plain']],
  'an address that lacks its beginning': [
    'url',
    [
      'https://example.org/a',
      'https://example.org/b',
      'https://example.org/c',
      'https://example.org/d',
      'www.example.org/e',
    ],
    'not-links',
    'prefix',
    [
      'https://example.org/a',
      'https://example.org/b',
      'https://example.org/c',
      'https://example.org/d',
      'https://www.example.org/e',
    ],
  ],
  'no address at all': [
    'url',
    [
      'https://example.org/a',
      'https://example.org/b',
      'https://example.org/c',
      'https://example.org/d',
      'ask at the hide',
    ],
    'not-links',
    'empty',
    ['https://example.org/a', 'https://example.org/b', 'https://example.org/c', 'https://example.org/d', undefined],
  ],
  'objects without a name': [
    'kind',
    [[{ de: 'Watt', code: 'w' }], [{ de: 'Ried', code: 'r' }], [{ de: 'Watt', code: 'w' }]],
    'unclear-key',
    'by~code',
    [['w'], ['r'], ['w']],
  ],
};

test.each(Object.entries(faulty))('%s is found, and mended', (_name, [key, values, code, mend, mended]) => {
  const records = column(key, values);
  const read = readMended(records, code, mend);
  expect(read.values.map((one) => one[key])).toEqual(mended);
  expect(read.findings.map((one) => one.code)).not.toContain(code);
  // a rule that did something fits something
  expect(read.descriptions.find((field) => field.key === key)!.mends![0]!.used).toBeGreaterThan(0);
});

test('whatever is mended fits what it was made for, and nothing once that is gone', () => {
  fc.assert(
    fc.property(messy, fc.nat(), (records, pick) => {
      const offers = readWith(records).findings.flatMap((finding) =>
        finding.mends.map(({ id }) => [finding, id] as const),
      );
      if (offers.length === 0) return;
      const [finding, id] = offers[pick % offers.length]!;
      const used = (all: RawRecord[]) =>
        readWith(all, { [finding.field]: [makeMend(finding, id)!] })
          .descriptions.find(({ key }) => key === finding.field)
          ?.mends?.map((mend) => mend.used);
      expect(used(records)?.[0]).toBeGreaterThan(0);
      const others = Array.from({ length: 6 }, (_, i) => ({
        ...{ id: `z${i}`, title: `Other ${i}`, kind: 'Wall', place: 'East > Wall', seen: '30/04/2026' },
        ...{ url: `https://example.org/${i}`, open: 'yes' },
      }));
      expect(used(others) ?? [0]).toEqual([0]);
    }),
    { numRuns: 200 },
  );
});

test('an address of a term answers with no fewer posts, however its field is mended', () => {
  fc.assert(
    fc.property(messy, fc.array(fc.nat(), { minLength: 1, maxLength: 4 }), (records, picks) => {
      const before = readWith(records);
      const mends: Record<string, Mend[]> = {};
      let known = before.terms;
      let leaves = false;
      for (const pick of picks) {
        const offers = readWith(records, mends, plain, known).findings.flatMap((finding) =>
          finding.mends.map((offer) => [finding, offer] as const),
        );
        if (offers.length === 0) break;
        const [finding, { id, rule }] = offers[pick % offers.length]!;
        // what is left out on purpose is gone, and what is filled in is there besides
        if (rule.does === 'leave' || rule.does === 'number' || (rule.does === 'read' && rule.into === ''))
          leaves = true;
        mends[finding.field] = [
          ...(mends[finding.field] ?? []).filter((one) => one.id !== finding.id),
          makeMend(finding, id)!,
        ];
        known = readWith(records, mends, plain, known).terms;
      }
      if (leaves) return;
      const after = readWith(records, mends, plain, before.terms);
      for (const [key, terms] of Object.entries(before.terms)) {
        const lost = before.descriptions.find((field) => field.key === key)?.left;
        for (const { slug } of lost ? [] : terms) {
          const now = after.terms[key]!.find((term) => term.slug === slug || term.aliases?.includes(slug));
          const posts = (read: typeof before, one: string) =>
            read.values.filter((values) => under(read.terms[key]!, (values[key] ?? []) as string[], one)).length;
          expect(now).toBeDefined();
          expect(posts(after, now!.slug)).toBeGreaterThanOrEqual(posts(before, slug));
        }
      }
    }),
    { numRuns: 200 },
  );
});

test.each([
  ['names that differ in their figures', 'kind', ['Grade 1', 'Grade 2', 'Grade 1', 'Grade 2']],
  ['short words that differ by a letter', 'kind', [...times(12, 'tern'), 'fern']],
  ['long words that both come often', 'kind', [...times(5, 'hiking'), ...times(5, 'biking')]],
  ['words that begin otherwise', 'kind', [...times(12, 'gannet'), 'lannet', 'lannet', 'lannet']],
  ['lone signs', 'kind', ['!', '?', '!', '?']],
])('%s are no twins', (_name, key, values) => {
  expect(codes(column(key, values), key)).not.toContain('near-twins');
});

test.each([
  ['next year’s programme', 'seen', ['2027-01-01', '2027-02-01', '2026-12-01'], 'future-dates'],
  ['days with one above twelve', 'seen', ['03/04/2026', '30/04/2026'], 'ambiguous-dates'],
  ['days by name', 'seen', ['3 April 2026', '4 May 2026'], 'ambiguous-dates'],
  ['a sum in a text', 'note', ['if a < b and c > d', 'plain'], 'markup'],
  ['pages of one site', 'url', ['/a', 'b/c', '../d', '#e', 'f.html'], 'not-links'],
  ['one link for all', 'url', times(9, '/join'), 'duplicate-links'],
  ['a few tags that come once', 'tags', ['a', 'a', 'b', 'b', 'c'], 'on-one-post'],
])('%s are in order', (_name, key, values, code) => {
  expect(codes(column(key, values), key)).not.toContain(code);
});

test('an id that comes twice leaves the later post out, which comes back under an id of its own', () => {
  const records = ['a', 'b', 'c', 'a', 'd', 'e'].map((id, i) => ({ id, title: `Post ${i}` }));
  const read = readWith(records);
  expect(read.left.map((by) => by.length)).toEqual([0, 0, 0, 1, 0, 0]);
  expect(read.findings.find(({ code }) => code === 'duplicate-ids')).toMatchObject({ posts: 1, values: ['a'] });
  expect(readMended(records, 'duplicate-ids', 'number').left.flat()).toEqual([]);
  expect(readMended(records, 'duplicate-ids', 'earlier').left.map((by) => by.length)).toEqual([1, 0, 0, 0, 0, 0]);
});

test('of posts with one title all stay, until it is said which', () => {
  const records = ['Walk', 'Count', 'walk', 'Talk'].map((title, i) => ({ id: `p${i}`, title }));
  expect(readWith(records).left.flat()).toEqual([]);
  expect(readMended(records, 'duplicate-titles', 'later').left.map((by) => by.length)).toEqual([0, 0, 1, 0]);
  expect(readMended(records, 'duplicate-titles', 'earlier').left.map((by) => by.length)).toEqual([1, 0, 0, 0]);
});

test('a picture that is missing may be another of the same post', () => {
  const records = [
    { id: 'a', image: '/a.png', thumb: '/ta.png' },
    { id: 'b', image: '', thumb: '/tb.png' },
  ];
  const read = readMended(records, 'missing-pictures', 'fallback~thumb');
  expect(read.values.map(({ image }) => image)).toEqual(['/a.png', '/tb.png']);
});

describe('a tree by a column of parents', () => {
  const rows = (pairs: [string, string][]) =>
    pairs.map(([category, parent], i) => ({ id: `p${i}`, category, category_parent: parent }));
  const paths = (read: ReturnType<typeof readWith>) => {
    const terms = new Map(read.terms.category!.map((term) => [term.slug, term]));
    const path = (slug: string): string =>
      terms.get(slug)!.parent === null
        ? terms.get(slug)!.label
        : `${path(terms.get(slug)!.parent!)} > ${terms.get(slug)!.label}`;
    return read.values.map(({ category }) => (category as string[]).map(path).join());
  };
  const tree = rows([
    ['Mudflat', 'Shore'],
    ['Shingle', 'Shore'],
    ['Mudflat', 'Shore'],
    ['Pool', 'Mudflat'],
    ['Shore', ''],
    ['Pool', 'Mudflat'],
  ]);

  test('is found, and goes as deep as the column leads', () => {
    const read = readWith(tree);
    expect(read.descriptions.find(({ key }) => key === 'category')).toMatchObject({
      tree: true,
      parent: 'category_parent',
    });
    expect(read.descriptions.find(({ key }) => key === 'category_parent')?.left).toBe(true);
    expect(paths(read)).toEqual([
      'Shore > Mudflat',
      'Shore > Shingle',
      'Shore > Mudflat',
      'Shore > Mudflat > Pool',
      'Shore',
      'Shore > Mudflat > Pool',
    ]);
  });

  test('a circle is cut, told, and cut where it is wished', () => {
    const circle = rows([
      ['A', 'B'],
      ['B', 'A'],
      ['C', 'A'],
      ['A', 'B'],
      ['B', 'A'],
      ['C', 'A'],
    ]);
    expect(paths(readWith(circle))).toEqual(['A', 'A > B', 'A > C', 'A', 'A > B', 'A > C']);
    expect(paths(readMended(circle, 'tree-cycles', 'B'))).toEqual([
      'B > A',
      'B',
      'B > A > C',
      'B > A',
      'B',
      'B > A > C',
    ]);
  });

  test('a branch that is no term is told where the others are', () => {
    const orphan = [
      ...tree,
      ...rows([
        ['Hide', 'Works'],
        ['Hide', 'Works'],
      ]),
    ].map((row, i) => ({ ...row, id: `p${i}` }));
    const found = readWith(orphan).findings.find(({ code }) => code === 'orphan-parents');
    expect(found).toMatchObject({ values: ['Works'], posts: 2 });
    expect(paths(readMended(orphan, 'orphan-parents', 'top')).at(-1)).toBe('Hide');
  });
});

test('differences are boxed and said', () => {
  const told = ([usual, other]: readonly [string, string]) => {
    const { pieces, words } = differenceOf(usual, other);
    return `${pieces.map(({ text, isOdd }) => (isOdd ? `[${text}]` : text)).join('')}: ${words}`;
  };
  const pairs = [
    ['Mudflat', 'mudflat'],
    ['Mudflat', 'Mud flat'],
    ['Mud flat', 'Mudflat'],
    ['Mudflat', 'Mud-flat'],
    ['Café', 'Cafe'],
    ['Eel', 'Eels'],
    ['Gannick', 'Ganick'],
    ['Lagoon', 'Lagono'],
    ['Mudflat', 'mud flats'],
  ] as const;
  expect(pairs.map(told)).toEqual([
    '[m]udflat: small letters',
    'Mud[ ]flat: two words',
    'Mudflat: one word',
    'Mud[-]flat: a hyphen',
    'Caf[e]: an accent less',
    'Eel[s]: an s at the end',
    'Ganick: a letter less',
    'Lagon[o]: two letters changed places',
    '[m]ud[ ]flat[s]: small letters, two words, an s at the end',
  ]);
});

test('what is no day says why', () => {
  const told = (text: string) => {
    const { pieces, words } = noDay(text);
    return `${pieces.map((piece) => (piece.isOdd ? `[${piece.text}]` : piece.text)).join('')}: ${words}`;
  };
  const days = ['31/02/2026', '0/6/2025', '2026-13-01', '2026-02-30', '05/31/2026', '32/13/2026', '5/5/26'];
  expect([...days, '2O/05/2026', 'late', 'May 2026', 'May 5'].map(told)).toEqual([
    '[31]/02/2026: no such day',
    '[0]/6/2025: a part is nought',
    '2026-[13]-01: no such month',
    '2026-02-[30]: no such day',
    '05/[31]/2026: the other way round',
    '32/[13]/2026: no such month',
    '5/5/[26]: the year is cut short',
    '2[O]/05/2026: a letter for a figure',
    'late: words alone',
    'May 2026: a part is missing',
    'May 5: no year',
  ]);
});

/** Whether one of some terms is a term, or stands under it. */
function under(terms: readonly Term[], slugs: readonly string[], wanted: string): boolean {
  const parents = new Map(terms.map(({ slug, parent }) => [slug, parent]));
  return slugs.some((slug) => {
    for (let one: string | null = slug; one !== null; one = parents.get(one) ?? null) if (one === wanted) return true;
    return false;
  });
}

/** Posts with all sorts of faults. */
const messy = fc.array(
  fc.record({
    id: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f', 'g', ''),
    title: fc.constantFrom('One', 'one', 'Two', 'Three', '<b>Four</b>', 'Tea &amp; cake', ''),
    kind: fc.constantFrom('Mudflat', 'mudflat', 'Mud flat', 'Reed', 'Reeds', 'C++', 'C#', ''),
    place: fc.constantFrom('North > Point', 'North > Sands', 'Point', 'South', ''),
    seen: fc.constantFrom('30/04/2026', '31/02/2026', '2O/05/2026', '05/31/2026', 'late May', '01/02/2062', ''),
    url: fc.constantFrom('https://example.org/a', 'www.example.org', 'none', ''),
    open: fc.constantFrom('yes', 'no', ''),
  }),
  { minLength: 4, maxLength: 30 },
);

test('mends taken back, whichever and in whatever order, give the posts as they came', () => {
  fc.assert(
    fc.property(messy, fc.array(fc.nat(), { maxLength: 6 }), fc.infiniteStream(fc.nat()), (records, picks, order) => {
      const before = readWith(records);
      let mends: { field: string; mend: Mend }[] = [];
      const read = () => {
        const byField: Record<string, Mend[]> = {};
        for (const { field, mend } of mends) (byField[field] ??= []).push(mend);
        return readWith(records, byField);
      };
      for (const pick of picks) {
        const open = read().findings.flatMap((finding) => finding.mends.map(({ id }) => [finding, id] as const));
        if (open.length === 0) break;
        const [finding, id] = open[pick % open.length]!;
        const mend = makeMend(finding, id)!;
        mends = [...mends.filter((one) => one.mend.id !== mend.id), { field: finding.field, mend }];
      }
      const all = read();
      expect(all.values).toHaveLength(records.length);
      while (mends.length > 0) {
        const [at] = order.next().value === undefined ? [0] : [order.next().value! % mends.length];
        mends = mends.filter((_, i) => i !== at);
        read();
      }
      const after = read();
      expect([after.values, after.left, after.terms, after.findings]).toEqual([
        before.values,
        before.left,
        before.terms,
        before.findings,
      ]);
    }),
    { numRuns: 150 },
  );
});

test('each mend leaves nothing of what it mends to be told, or less of it', () => {
  fc.assert(
    fc.property(messy, fc.nat(), (records, pick) => {
      const offers = readWith(records).findings.flatMap((finding) =>
        finding.mends.map(({ id }) => [finding, id] as const),
      );
      if (offers.length === 0) return;
      const [finding, id] = offers[pick % offers.length]!;
      const after = readWith(records, { [finding.field]: [makeMend(finding, id)!] });
      const left = after.findings.find((one) => one.id === finding.id);
      if (left) expect(left.posts).toBeLessThan(finding.posts);
    }),
    { numRuns: 300 },
  );
});
