import type { Mark } from '@ivy/core';
import { applyMarks, fetchMarks } from './mapping.js';

const marks: Mark[] = [
  { at: '.list', in: 'page', says: { list: '' } },
  { at: '.list > li', in: 'page', says: { item: '' } },
  { at: 'time', in: 'item', says: { field: 'date' } },
  { at: ':scope', in: 'item', says: { field: 'kind', from: 'class' } },
  { at: '.none', in: 'page', says: { count: '' } },
];
const page = (items: string) => {
  document.body.innerHTML = `<ul class="list">${items}</ul>`;
  return applyMarks(document, 'notices', marks);
};

test('the page bears what one would write by hand, and each mark says how often it was found', () => {
  const found = page('<li class="a"><time>1</time></li><li class="b"></li>');
  expect(found).toEqual([1, 2, 1, 2, 0]);
  expect(document.querySelector('ul')!.outerHTML).toBe(
    '<ul class="list" data-ivy-list="notices"><li class="a" data-ivy-item="" data-ivy-field="kind" data-ivy-from="class"><time data-ivy-field="date">1</time></li><li class="b" data-ivy-item="" data-ivy-field="kind" data-ivy-from="class"></li></ul>',
  );
});

test('done again it reaches what came meanwhile', () => {
  page('<li></li>');
  document.querySelector('ul')!.insertAdjacentHTML('beforeend', '<li><time>2</time></li>');
  expect(applyMarks(document, 'notices', marks).slice(0, 3)).toEqual([1, 2, 1]);
  expect(document.querySelectorAll('[data-ivy-field=date]')).toHaveLength(1);
});

test('what is no selector finds nothing, and breaks nothing', () => {
  document.body.innerHTML = '<p></p>';
  expect(applyMarks(document, 'x', [{ at: 'p >', in: 'page', says: { list: '' } }])).toEqual([0]);
});

describe('asking for marks', () => {
  const before = globalThis.fetch;
  afterEach(() => (globalThis.fetch = before));
  const answer = (ok: boolean, body: unknown) => {
    const asked: string[] = [];
    globalThis.fetch = ((url: URL) => {
      asked.push(String(url));
      return Promise.resolve({ ok, json: () => Promise.resolve(body) });
    }) as unknown as typeof fetch;
    return asked;
  };

  test('a prefix of the lens is one of the list', async () => {
    const asked = answer(true, { marks, prefix: 'n-' });
    expect((await fetchMarks('a lens'))![0]).toEqual({ at: '.list', in: 'page', says: { list: '', prefix: 'n-' } });
    expect(asked[0]).toMatch(/\/api\/v1\/lenses\/a%20lens\/markup$/);
    answer(true, { marks, prefix: '' });
    expect(await fetchMarks('x')).toEqual(marks);
  });

  test('a lens that is not there has none', async () => {
    answer(false, {});
    expect(await fetchMarks('x')).toBeNull();
  });
});
