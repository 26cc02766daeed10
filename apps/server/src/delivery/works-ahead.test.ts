import { finished, IndexBuilder, readLens, type Lens, type PostIndex } from '@ivy/core';
import type { CachedIndex } from './index-cache.js';
import { WorksAhead } from './works-ahead.js';

const fields = [
  { key: 'title', label: 'Title', type: 'text' as const, role: 'title' as const },
  { key: 'habitat', label: 'Habitat', type: 'terms' as const, role: null },
].map((field) => ({ ...field, multiple: false, tree: false, separator: null, pathSeparator: null }));

function indexOf(): PostIndex {
  const builder = new IndexBuilder(fields, { habitat: [{ slug: 'mud', label: 'Mud', parent: null }] }, 2);
  builder.add([
    { id: '1', values: { title: 'Tern over mud', habitat: ['mud'] } },
    { id: '2', values: { title: 'Eel', habitat: ['mud'] } },
  ]);
  return finished(builder.finish());
}
const cached = (revision: number): CachedIndex => ({ revision, index: indexOf(), keptTexts: -1 });

function lensOf(): Lens {
  const read = readLens({
    facets: [
      { key: 'q', kind: 'search', fields: ['title'] },
      { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

test('an index is made ready for the lenses that were asked of the one before, and for no others', async () => {
  const works = new WorksAhead();
  const [before, now] = [cached(1), cached(2)];
  const [asked, other] = [lensOf(), lensOf()];
  await works.of(before, asked).columns;
  await works.readyInstead(before, now);
  const ready = works.begun(now, asked);
  expect(ready).toBeDefined();
  expect([...now.index.columns.keys()]).toEqual(['habitat']);
  expect(works.begun(now, other)).toBeUndefined();
  // whoever asks it next finds what was begun
  expect(works.of(now, asked)).toBe(ready);
  await ready!.words();
  expect(now.index.texts).toHaveLength(1);
});

test('of an index that was got ready all is done once a release is asked, and told once', async () => {
  const works = new WorksAhead();
  const [before, now] = [cached(1), cached(2)];
  const lens = lensOf();
  await works.of(before, lens).columns;
  await works.readyInstead(before, now);
  let reported = 0;
  const ahead = works.of(now, lens, () => reported++);
  works.of(now, lens, () => reported++);
  await ahead.counts();
  await new Promise((next) => setImmediate(next));
  expect(reported).toBe(1);
});

test('lenses that change with every stroke are not got ready one and all', async () => {
  const works = new WorksAhead();
  const [before, now] = [cached(1), cached(2)];
  const drafts = Array.from({ length: 40 }, lensOf);
  for (const draft of drafts) await works.of(before, draft).columns;
  await works.readyInstead(before, now);
  const begun = drafts.filter((draft) => works.begun(now, draft));
  expect(begun).toEqual(drafts.slice(-16));
});

test('what failed is done again for the next who asks', async () => {
  const works = new WorksAhead();
  const posts = cached(1);
  const lens = lensOf();
  const first = works.of(posts, lens);
  await expect(works.orForget(posts, lens, Promise.reject(new Error('no room')))).rejects.toThrow('no room');
  expect(works.of(posts, lens)).not.toBe(first);
});

test('a lens that can’t be got ready keeps the change from nobody else', async () => {
  const works = new WorksAhead();
  const [before, now] = [cached(1), cached(2)];
  const [broken, sound] = [lensOf(), lensOf()];
  await works.of(before, sound).columns;
  await works.of(before, broken).columns;
  Object.defineProperty(broken, 'scope', {
    get: () => {
      throw new Error('no room');
    },
  });
  await works.readyInstead(before, now);
  expect(works.begun(now, broken)).toBeUndefined();
  expect(works.begun(now, sound)).toBeDefined();
});
