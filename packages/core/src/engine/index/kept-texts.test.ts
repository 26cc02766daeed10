import { finished } from '../base/steps.js';
import { KeptTexts, textsKept } from './kept-texts.js';

const texts = ['little tern', 'tern over mud', 'mud'];
const make = (kept: KeptTexts, weight: number, asked: string[] = []) =>
  finished(
    kept.prepare([{ key: 'title', weight }], texts.length, (post) => {
      asked.push(texts[post]!);
      return texts[post]!;
    }),
  );

test('weighed otherwise, no text is cut into words again, and the index is the one that would be made', () => {
  const kept = new KeptTexts([]);
  make(kept, 1);
  const asked: string[] = [];
  expect(make(kept, 3, asked)).toEqual(make(new KeptTexts([]), 3));
  expect(asked).toEqual([]);
  expect(make(kept, 3)).toBe(make(kept, 3));
});

test('those used last are kept', () => {
  const kept = new KeptTexts([]);
  const first = make(kept, 1);
  for (let weight = 2; weight <= textsKept + 1; weight++) {
    make(kept, weight);
    expect(make(kept, 1)).toBe(first);
  }
  const weights = kept.all.map(({ fields }) => fields[0]!.weight);
  expect([weights.length, weights.includes(1), weights.includes(2)]).toEqual([textsKept, true, false]);
});
