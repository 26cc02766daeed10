import fc from 'fast-check';
import { isLetters, isSearch } from '../../test/facets.js';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { finished } from '../engine/base/steps.js';
import { buildIndex } from '../engine/index/build.js';
import { readSnapshot, writeSnapshot } from '../engine/snapshot/snapshot.js';
import type { Answer } from '../lens/answer.js';
import { answer } from './answer.js';
import { standAlone } from './stand-alone.js';

/** An answer without the letters that no post begins with: which of these there are goes by all posts of the source. */
const withoutIdleLetters = (given: Answer) => ({
  ...given,
  facets: given.facets.map((facet) =>
    'options' in facet && facet.kind === 'letters'
      ? { ...facet, options: facet.options.filter(({ count }) => count !== 0) }
      : facet,
  ),
});

test('a lens answers alone as it does in its source, and from the bytes it is taken along as', () => {
  let cut = 0;
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const { lens, index: own } = finished(standAlone(index, query.lens));
      const isCut = own.size < index.size;
      if (isCut) cut++;
      // how lenient a search is, and which letters there are, goes by all posts of the source
      const selections = Object.fromEntries(
        Object.entries(query.selections).filter(
          ([key]) =>
            !isCut || !query.lens.facets.some((facet) => facet.key === key && (isSearch(facet) || isLetters(facet))),
        ),
      );
      const expected = withoutIdleLetters(answer(index, { ...query, selections }));
      expect(withoutIdleLetters(answer(own, { ...query, lens, selections }))).toEqual(expected);
      const back = finished(readSnapshot(finished(writeSnapshot(own))));
      expect(withoutIdleLetters(answer(back, { ...query, lens, selections }))).toEqual(expected);
    }),
    { numRuns: 200 },
  );
  expect(cut).toBeGreaterThan(20);
});

test('of posts it sees, what it does not need stays behind; posts it does not see stay behind whole', () => {
  const index = buildIndex({
    fields: [
      field('title', 'text', { role: 'title' }),
      field('kind', 'terms'),
      field('status', 'terms'),
      field('diary', 'text'),
    ],
    taxonomies: {
      kind: [{ slug: 'walk', label: 'Walk', parent: null }],
      status: [
        { slug: 'open', label: 'Open', parent: null },
        { slug: 'secret', label: 'Secret', parent: null },
      ],
    },
    posts: [
      { id: 'a', values: { title: 'Dawn walk', kind: ['walk'], status: ['open'], diary: 'Kept to oneself' } },
      { id: 'b', values: { title: 'Not for all', kind: ['walk'], status: ['secret'], diary: 'Kept as well' } },
    ],
  });
  const lens = lensOf({
    scope: { where: [{ field: 'status', is: ['open'] }], pinned: ['b', 'a'] },
    origins: ['https://intranet.example'],
    facets: [{ key: 'kind', kind: 'checkboxes', field: 'kind' }],
    card: { parts: [{ show: 'text', field: 'title' }] },
  });
  const alone = finished(standAlone(index, lens));
  expect(alone.index.fields.map(({ key }) => key)).toEqual(['title', 'kind']);
  expect(Object.keys(alone.index.taxonomies)).toEqual(['kind']);
  expect(alone.lens.scope).toEqual({ where: [], include: [], exclude: [], pinned: ['a'] });
  expect(alone.lens.origins).toEqual(['*']);
  const bytes = String.fromCharCode(...finished(writeSnapshot(alone.index)));
  expect(bytes).toContain('Dawn walk');
  for (const word of ['Not for all', 'Kept', 'secret', 'diary']) expect(bytes).not.toContain(word);
});
