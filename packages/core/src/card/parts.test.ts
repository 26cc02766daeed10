import { buildIndex } from '../engine/index/build.js';
import { answer } from '../answer/answer.js';
import { readAddress } from '../address/read.js';
import { checkLens } from '../lens/check.js';
import { readLens } from '../lens/lens.js';
import { plainField, type FieldType, type Post } from '../model/post.js';
import { makePart, partKind, partNames, partsFor, proposePart } from './parts.js';

const field = (key: string, type: FieldType = 'text') => ({ ...plainField(key, key), type });

test('every field a card can show is proposed as the part that suits it', () => {
  const proposed = (type: FieldType) => proposePart(field('one', type))?.show;
  const types: FieldType[] = ['image', 'text', 'html', 'date', 'datetime', 'terms', 'number', 'boolean', 'link'];
  expect(types.map(proposed)).toEqual([
    'picture',
    'text',
    'text',
    'date',
    'date',
    'terms',
    'number',
    'yes-no',
    'value',
  ]);
  expect(proposePart({ ...field('name'), role: 'title' })?.show).toBe('title');
  expect(partsFor(field('day', 'date'))).toEqual(['date', 'value']);
});

test('each part has its settings filled in, and says which fields it reads', () => {
  expect(makePart({ show: 'title', field: 'title' })).toEqual({
    ...{ show: 'title', field: 'title', before: '', icon: 'none', words: '', level: 3, lines: 0 },
  });
  const read = partNames.map((show) => partKind({ show }).fields(makePart({ show, field: 'one' })));
  const reading = partNames.filter((_, i) => read[i]!.length > 0);
  expect(partNames.filter((show) => !reading.includes(show))).toEqual(['mark', 'button']);
  const summary = makePart({ show: 'text', field: 'summary', orElse: 'body' });
  expect(partKind(summary).fields(summary)).toEqual(['summary']);
  expect(partKind(summary).derived!(summary)).toMatchObject([
    { key: '~start/body/0', from: 'body', unless: 'summary' },
  ]);
  const picture = makePart({ show: 'picture', field: 'image', alt: 'words', sizes: [{ field: 'small', width: 300 }] });
  expect(partKind(picture).fields(picture)).toEqual(['image', 'words', 'small']);
});

test('what a part can’t be, and fields a source does not have, are refused with their place', () => {
  const wrong = readLens({
    card: {
      parts: [
        { show: 'title', field: 'title', level: 9 },
        { show: 'map', field: 'a' },
      ],
    },
  });
  expect(!wrong.ok && wrong.problems.map(({ pointer }) => pointer)).toEqual([
    '/card/parts/0/level',
    '/card/parts/1/show',
  ]);
  const config = { card: { parts: [{ show: 'text', field: 'summary', orElse: 'gone' }, { show: 'button' }] } };
  const read = readLens(config);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  expect(checkLens(read.value, [field('summary')]).map(({ pointer }) => pointer)).toEqual(['/card/parts/0/orElse']);
});

test('answers carry what the card reads, also what stands in for something else, and no more', () => {
  const fields = ['title', 'summary', 'body', 'secret'].map((key) => field(key));
  const posts: Post[] = [
    { id: 'a', values: { title: 'Terns', body: `${'All of it. '.repeat(300)}`, secret: 'no' } },
    { id: 'b', values: { title: 'Eels', summary: 'In short', body: 'At length' } },
  ];
  const index = buildIndex({ fields, taxonomies: {}, posts });
  const read = readLens({
    card: {
      parts: [
        { show: 'text', field: 'summary', orElse: 'body', characters: 100 },
        { show: 'reading-time', from: 'body' },
      ],
    },
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const { query } = readAddress('', read.value, index, 0);
  const [long, short] = answer(index, query).items;
  // of a long text no more goes along than is shown of it
  expect(long!.fields).toEqual({ '~start/body/100': 'All of it. '.repeat(300).slice(0, 180), '~minutes/body': 4 });
  expect(short!.fields).toEqual({ summary: 'In short', '~minutes/body': 1 });
});
