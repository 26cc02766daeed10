import { answerAddress, buildIndex, finished, readLens, standAlone, writeSnapshot, type Lens } from '@ivy/core';
import { belongsTo } from '../../runtime/test/belongs.js';
import { AloneTransport, indexOf } from './alone-transport.js';
import type { Taken } from './taken.js';

const plain = { role: null, multiple: false, tree: false, separator: null, pathSeparator: null } as const;
const index = buildIndex({
  fields: [
    { key: 'title', label: 'Title', type: 'text', ...plain, role: 'title' },
    { key: 'kind', label: 'Kind', type: 'terms', ...plain },
  ],
  taxonomies: {
    kind: [
      { slug: 'walk', label: 'Walk', parent: null },
      { slug: 'survey', label: 'Survey', parent: null },
    ],
  },
  posts: [
    { id: 'a', values: { title: 'Terns at dawn', kind: ['walk'] } },
    { id: 'b', values: { title: 'Counting terns', kind: ['survey'] } },
    { id: 'c', values: { title: 'Reeds', kind: ['survey'] } },
  ],
});
const lens = lensOf({
  facets: [
    { key: 'kind', kind: 'checkboxes', field: 'kind' },
    { key: 'q', kind: 'search', fields: ['title'] },
  ],
  languages: { de: { texts: { clearAll: 'Alles zurück' } } },
});

function lensOf(config: object): Lens {
  const read = readLens(config);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

function taken(): Taken {
  const alone = finished(standAlone(index, lens));
  const posts = btoa(String.fromCharCode(...finished(writeSnapshot(alone.index))));
  return { slug: 'notes', name: 'Notes', source: 'field', site: null, release: 3, lens: alone.lens, posts };
}
const transportAt = (belongs = belongsTo('notes')) => {
  const along = taken();
  return new AloneTransport(along, indexOf(along), belongs);
};
const { signal } = new AbortController();

test('answers come from what was brought along, and are those of the source', async () => {
  const transport = transportAt();
  for (const address of ['', 'kind=survey', 'q=terns', 'kind=survey&q=terns&page=2', 'kind=nonsense&utm=x']) {
    const { answer, settings, sheet } = await transport.ask(address, signal);
    expect(answer).toEqual(answerAddress(index, { ...lens, card: cardOf() }, address, 0));
    expect(settings).toMatchObject({ name: 'Notes', source: 'field' });
    expect(sheet).toContain("[name='notes']");
  }
});

test('a prefix, a scope and a language are those of the page around it', async () => {
  const narrowed = transportAt({ ...belongsTo('notes'), prefix: 'b-', scope: 'kind:survey', language: 'de' });
  const { answer, settings } = await narrowed.ask('b-q=terns&kind=walk', signal);
  expect(answer).toMatchObject({ total: 2, matched: 1, address: 'b-q=terns' });
  expect(settings).toMatchObject({ language: 'de', texts: { clearAll: 'Alles zurück' } });
});

test('terms are found, and what is not there is refused in words', async () => {
  expect(await transportAt().find('kind', 'sur', '')).toMatchObject({ options: [{ value: 'survey', count: 2 }] });
  await expect(transportAt().find('habitat', 'x', '')).rejects.toThrow('There is no facet of terms “habitat”.');
  const wrong = transportAt({ ...belongsTo('notes'), scope: 'nothing' });
  await expect(wrong.ask('', signal)).rejects.toThrow('“nothing” is no condition');
});

/** The card that the source suggests, written out as it is in what was brought along. */
const cardOf = () => taken().lens.card;
