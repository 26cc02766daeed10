import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { readAddress } from '../address/read.js';
import { buildIndex } from '../engine/index/build.js';
import { pageSettings } from '../dry-run/dry-run.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import { packCounts, unpackCounts } from '../model/compact.js';
import { answer } from './answer.js';
import { answerCompactly, frameOf } from './compact.js';
import { expandAnswer } from './expand.js';

/** What a page makes of an answer that came over a wire. */
function expanded(index: ReturnType<typeof buildIndex>, query: Query) {
  const sent = JSON.stringify({ frame: frameOf(index, query.lens), compact: answerCompactly(index, query) });
  const { frame, compact } = JSON.parse(sent) as {
    frame: ReturnType<typeof frameOf>;
    compact: ReturnType<typeof answerCompactly>;
  };
  return expandAnswer(compact, frame, pageSettings(index, query.lens, { name: 'Notes', source: 'notes' }));
}

/** Facets whose lists change with what is counted and chosen. */
const restless = (
  lens: Lens,
  order: 'count' | 'label' | 'given',
  zero: 'hide' | 'mute',
  only: readonly string[],
): Lens => ({
  ...lens,
  facets: lens.facets.map((facet) => ('only' in facet ? { ...facet, order, zero, only: [...only] } : facet)),
});

test('a compact answer, laid over what a page knows, is the answer to the last count', () => {
  fc.assert(
    fc.property(
      asked,
      fc.constantFrom('count' as const, 'label' as const, 'given' as const),
      fc.constantFrom('hide' as const, 'mute' as const),
      fc.constantFrom([], ['t0', 't2', 't3', 't5']),
      ({ collection, query }, order, zero, only) => {
        const index = buildIndex(collection);
        const asks = { ...query, lens: restless(query.lens, order, zero, only) };
        expect(expanded(index, asks)).toEqual(JSON.parse(JSON.stringify(answer(index, asks))));
      },
    ),
    { numRuns: 400 },
  );
});

test('labels a page knows do not come again, and what is hidden but chosen does', () => {
  const terms = ['mud', 'reed', 'dune'].map((slug) => ({ slug, label: `The ${slug}`, parent: null }));
  const index = buildIndex({
    fields: [field('habitat', 'terms'), field('minutes', 'number')],
    taxonomies: { habitat: terms },
    posts: ['mud', 'reed'].map((slug, i) => ({ id: `p${i}`, values: { habitat: [slug], minutes: 1.5 + i } })),
  });
  const lens = lensOf({
    facets: [
      { key: 'habitat', kind: 'checkboxes', field: 'habitat', hide: ['dune'] },
      { key: 'minutes', kind: 'number-range', field: 'minutes' },
    ],
    card: { parts: [{ show: 'number', field: 'minutes' }] },
  });
  const ask = (address: string) => readAddress(address, lens, index, 0).query;
  expect(answerCompactly(index, ask('habitat=reed')).facets[0]).toEqual({ selected: ['reed'], counts: [1, 1] });
  expect(answerCompactly(index, ask('habitat=dune')).facets[0]).toHaveProperty('options');
  for (const address of ['', 'habitat=reed', 'habitat=dune', 'minutes=9/..'])
    expect(expanded(index, ask(address))).toEqual(JSON.parse(JSON.stringify(answer(index, ask(address)))));
});

test('counts come back as they were, however many zeros stand among them', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.constant(0), fc.constant(0), fc.nat({ max: 9 }))), (counts) => {
      const packed = packCounts(counts.length, (i) => counts[i]!);
      expect(unpackCounts(packed, counts.length)).toEqual(counts);
      expect(packed.length).toBeLessThanOrEqual(counts.length);
    }),
  );
});
