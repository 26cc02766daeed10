import { decimalOf, readNumber } from './values/numbers.js';
import { readDay, readMoment } from './values/dates.js';
import { discoverFields } from './discover.js';
import { monthNumber } from './values/months.js';
import { isParting } from './values/parting.js';
import { readPosts } from './read/read-posts.js';
import { readBoolean } from './values/yes-or-no.js';
import type { Field } from '../model/post.js';

/** Columns as they come in the wild: what each is, and some of its values as they are read. */
const columns: Record<string, [key: string, values: unknown[], is: Partial<Field>, read?: unknown[]]> = {
  'decimal commas': ['x', ['1,5', '12,25', '3'], { type: 'number', decimal: ',' }, [1.5, 12.25, 3]],
  'decimal commas with thousands': [
    'x',
    ['1.234,50', '12,00', '1.000'],
    { type: 'number', decimal: ',' },
    [1234.5, 12, 1000],
  ],
  'thousands by commas': ['x', ['1,250', '12', '2,000,000'], { type: 'number' }, [1250, 12, 2000000]],
  'thousands by blanks': ['x', ['1 250', '12', '2 000'], { type: 'number' }, [1250, 12, 2000]],
  'euros behind': ['x', ['1,10 €', '12,00 €', '3,5 €'], { type: 'number', decimal: ',' }, [1.1, 12, 3.5]],
  'pounds in front': ['x', ['£12', '£1,200.50', '-£3'], { type: 'number' }, [12, 1200.5, -3]],
  shares: ['x', ['-3 %', '12%', '0.5 %'], { type: 'number' }, [-3, 12, 0.5]],
  'no figure before the point': ['x', ['.078', '.5', '1'], { type: 'number' }, [0.078, 0.5, 1]],
  'a long minus': ['x', ['−3', '−12', '4'], { type: 'number' }, [-3, -12, 4]],
  'zeros in front are names': ['x', ['007', '012', '100'], { type: 'text' }],
  'one slip among numbers': [
    'x',
    [...Array.from({ length: 30 }, (_, i) => String(i)), 'many'],
    { type: 'number' },
    [0, 1],
  ],
  'ja und nein': ['x', ['ja', 'nein', 'Ja'], { type: 'boolean' }, [true, false, true]],
  'oui et non': ['x', ['oui', 'non', 'non'], { type: 'boolean' }, [true, false, false]],
  'sí y no': ['x', ['Sí', 'No', 'sí'], { type: 'boolean' }, [true, false, true]],
  'evet, hayır': ['x', ['evet', 'hayır'], { type: 'boolean' }, [true, false]],
  'да и нет': ['x', ['да', 'нет'], { type: 'boolean' }, [true, false]],
  'はい、いいえ': ['x', ['はい', 'いいえ'], { type: 'boolean' }, [true, false]],
  marks: ['x', ['✓', '✗'], { type: 'boolean' }, [true, false]],
  'one and nought are numbers': ['x', ['1', '0', '1'], { type: 'number' }, [1, 0, 1]],
  'days in German': [
    'x',
    ['5. März 2026', '12. Mai 2026', 'Do., 1. Jan. 2026'],
    { type: 'date' },
    ['2026-03-05', '2026-05-12', '2026-01-01'],
  ],
  'days in Spanish': [
    'x',
    ['5 de marzo de 2026', '1 de enero de 2025'],
    { type: 'date' },
    ['2026-03-05', '2025-01-01'],
  ],
  'days in French': ['x', ['1er mai 2026', '14 juillet 2026'], { type: 'date' }, ['2026-05-01', '2026-07-14']],
  'days in Russian': ['x', ['5 марта 2026 г.', '12 мая 2026'], { type: 'date' }, ['2026-03-05', '2026-05-12']],
  'days in Polish': ['x', ['5 marca 2026', '11 listopada 2026'], { type: 'date' }, ['2026-03-05', '2026-11-11']],
  'days and hours with slashes': [
    'x',
    ['2015/01/01 01:00:00', '2015/1/2 9:30'],
    { type: 'datetime' },
    ['2015-01-01T01:00:00', '2015-01-02T09:30:00'],
  ],
  'seconds since 1970': [
    'created_at',
    ['1767225600', '1767312000'],
    { type: 'datetime' },
    ['2026-01-01T00:00:00Z', '2026-01-02T00:00:00Z'],
  ],
  'milliseconds since 1970': [
    'timestamp',
    ['1767225600000', '1767312000500'],
    { type: 'datetime' },
    ['2026-01-01T00:00:00Z', '2026-01-02T00:00:00Z'],
  ],
  'long numbers that are no time': [
    'views',
    ['1767225600', '1767312000'],
    { type: 'number' },
    [1767225600, 1767312000],
  ],
  'telephone numbers, and some that are none': [
    'phone',
    [...Array.from({ length: 9 }, (_, i) => `177000000${i}`), 'none', 'ask'],
    { type: 'text' },
  ],
  'commas that part': [
    'x',
    ['Mud, Reed', 'Reed', 'Mud', 'Reed, Lagoon', 'Lagoon'],
    { type: 'terms', separator: ',', multiple: true },
    [['mud', 'reed'], ['reed']],
  ],
  'commas around and between': [
    'x',
    [',a,b,', ',b,', ',a,', ',b,a,'],
    { type: 'terms', separator: ',' },
    [['a', 'b'], ['b']],
  ],
  'commas within names': ['x', ['Paris, France', 'Lyon, France', 'Paris, France'], { separator: null }],
  'commas in sentences': ['x', ['Gone, for good, they say', 'Back again, in the rain'], { type: 'text' }],
  bars: [
    'x',
    ['a | b', 'b | c', 'c | a', 'a'],
    { type: 'terms', separator: '|' },
    [
      ['a', 'b'],
      ['b', 'c'],
    ],
  ],
  'lists of objects': [
    'x',
    [
      [{ name: 'Mud', id: 3 }],
      [
        { name: 'Reed', id: 4 },
        { name: 'Mud', id: 3 },
      ],
    ],
    { type: 'terms', multiple: true },
    [['mud'], ['reed', 'mud']],
  ],
  'an empty column': ['x', ['', null, undefined], { type: 'text' }],
};

test.each(Object.entries(columns))('%s', (_name, [key, values, is, read]) => {
  const records = values.map((value, i) => ({ id: `p${i}`, [key]: value }));
  const fields = discoverFields(records);
  expect(fields.find((one) => one.key === key)).toMatchObject(is);
  const { posts } = readPosts(records, fields);
  if (read) expect(posts.slice(0, read.length).map((post) => post.values[key])).toEqual(read);
});

test.each([
  ['1.5', '.', 1.5],
  ['1.5', ',', null],
  ['1,5', '.', null],
  ['1.234', ',', 1234],
  ['1.234', '.', 1.234],
  ["1'250.5", '.', 1250.5],
  ['12 EUR', '.', null],
  ['', '.', null],
  ['1-2', '.', null],
  ['9'.repeat(50), '.', null],
] as const)('%s with %s is %s', (text, decimal, number) => {
  expect(readNumber(text, decimal)).toBe(number);
});

test('the decimal sign is a comma only where none speaks against it', () => {
  expect([decimalOf(['1,5', '2']), decimalOf(['1,5', '2.5']), decimalOf(['1,250', '2']), decimalOf([])]).toEqual([
    ',',
    '.',
    '.',
    '.',
  ]);
});

test('months are known by name, short and long, and what is none is none', () => {
  const found = [
    'March',
    'mar',
    'Sept',
    'März',
    'août',
    'maj',
    'октября',
    'Kasım',
    'listopada',
    'Monday',
    'ma',
    '',
  ].map(monthNumber);
  expect(found).toEqual([3, 3, 9, 3, 8, 5, 10, 11, 11, 0, 0, 0]);
});

test('days that are none are none, however they are written', () => {
  for (const text of [
    '31. Februar 2026',
    '5 de nadie de 2026',
    '32 May 2026',
    'am 5. März',
    '2026-13-01',
    '5 5 2026',
  ]) {
    expect([text, readDay(text, true)]).toEqual([text, null]);
  }
  expect(['12', '99999999999', '2015/01/01 25:00', '2015-01/01 10:00'].map(readMoment)).toEqual([
    null,
    null,
    null,
    null,
  ]);
});

test('yes and no are whole words', () => {
  expect(['yes', 'NO', ' sì ', 'nope', 'ja!', '1', '', 'x'].map((text) => readBoolean(text))).toEqual([
    true,
    false,
    true,
    null,
    null,
    null,
    null,
    null,
  ]);
});

test('a slash parts where its parts are seen alone, and not in words that have one', () => {
  expect(isParting('/', ['Mud/Reed', 'Reed', 'Mud/Lagoon', 'Lagoon/Reed'])).toBe(true);
  expect(isParting('/', ['and/or', 'and/or'])).toBe(false);
});
