import { makePart, type Lens } from '@ivy/core';
import { useState } from 'react';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { CardWiring } from './card-wiring.js';

const fields = [
  fieldOf('image', 'image', { role: 'image' }),
  fieldOf('title', 'text', { role: 'title' }),
  fieldOf('body', 'text'),
  fieldOf('day', 'date', { role: 'published' }),
  fieldOf('kind', 'terms'),
];
const page = new OnPage();
let lenses: Lens[];
beforeEach(() => page.open());
afterEach(() => page.close());

/** A card as one works on it: each change is drawn. */
function Composing({ config }: { config: object }) {
  const [lens, setLens] = useState(() => lensOf({ facets: [], ...config }));
  const [part, setPart] = useState<number | null>(null);
  const edit = (next: Lens) => {
    lenses.push(next);
    setLens(next);
  };
  return (
    <CardWiring lens={lens} slug="mine" source="notes" fields={fields} part={part} onPart={setPart} onEdit={edit} />
  );
}

function compose(config: object = {}): void {
  lenses = [];
  page.draw(<Composing config={config} />);
}
const card = () => lenses.at(-1)!.card;
const shown = () => card().parts.map(({ show, field }) => [show, field].filter(Boolean).join(' '));
const rows = () => page.texts('[aria-label="Parts of the card"] li');
const titleAndDay = {
  card: {
    parts: [
      { show: 'title', field: 'title' },
      { show: 'date', field: 'day' },
    ],
  },
};

test('a card that was made by itself is written down with the first change', () => {
  compose();
  expect(rows()).toEqual(['Image picture', 'Day date', 'Title']);
  page.type('Put on the card', 'field kind');
  expect(shown()).toEqual(['picture image', 'date day', 'title title', 'terms kind']);
  page.type('Put on the card', 'button');
  expect(shown().at(-1)).toBe('button');
});

test('by keyboard alone: walk, move, delete', () => {
  compose(titleAndDay);
  page.key('Title', 'ArrowDown');
  page.key('Title', 'ArrowDown', { altKey: true });
  expect(shown()).toEqual(['date day', 'title title']);
  page.key('Day date', 'Delete');
  expect(shown()).toEqual(['title title']);
  // a card keeps one part
  page.key('Title', 'Delete');
  expect(lenses).toHaveLength(2);
});

test('a part in hand is set, shown another way and keeps what both know', () => {
  compose({ card: { parts: [{ show: 'text', field: 'body', before: 'Seen:' }] } });
  page.press('Body text');
  page.type('Lines at most', '3');
  page.leave('Lines at most');
  page.type('Words after', '(more)');
  expect(card().parts[0]).toMatchObject({ lines: 3, before: 'Seen:', words: '(more)' });
  page.press('Any value');
  expect(card().parts[0]).toEqual(makePart({ show: 'value', field: 'body', before: 'Seen:', words: '(more)' }));
});

test('pictures, titles and days have settings of their own', () => {
  compose();
  page.press('Image picture');
  page.press('beside them');
  page.press('4:3');
  expect(card().parts[0]).toMatchObject({ place: 'side', aspect: '4/3' });
  page.press('Title');
  page.press('2');
  expect(card().parts[2]).toMatchObject({ level: 2 });
  page.press('Day date');
  page.press('3 weeks ago');
  expect(card().parts[1]).toMatchObject({ style: 'relative' });
});

test('while no part is in hand one says where the card leads', () => {
  compose(titleAndDay);
  page.press('a button');
  expect(page.texts('p').join(' ')).toContain('There is no button on the card yet');
  page.press('in a new tab');
  expect(card()).toMatchObject({ link: 'button', newTab: true });
});
