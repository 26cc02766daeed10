import { buildIndex, dryRun, type Post } from '@ivy/core';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { choiceUnder } from './choice-under.js';
import { drawGhost } from './ghost-page.js';

globalThis.CSS ??= { escape: (text: string) => text } as typeof CSS;

const posts: Post[] = Array.from({ length: 12 }, (_, i) => ({
  id: `n${i}`,
  values: { place: [['pier', 'dune', 'moor'][i % 3]!], kind: [i % 2 === 0 ? 'walk' : 'talk'] },
}));
const term = (slug: string) => ({ slug, label: slug, parent: null });
const index = buildIndex({
  fields: [fieldOf('place', 'terms'), fieldOf('kind', 'terms')],
  taxonomies: { place: ['pier', 'dune', 'moor'].map(term), kind: ['walk', 'talk'].map(term) },
  posts,
});
const lens = lensOf({
  facets: [
    { key: 'place', kind: 'checkboxes', field: 'place' },
    { key: 'kind', kind: 'radios', field: 'kind' },
  ],
});
const at = (address: string) => dryRun(index, lens, 'notes', address, 0);

/** A live page with the controls, the count and the cards of an answer. */
function pageOf(address: string): Document {
  const page = document.implementation.createHTMLDocument();
  const { answer } = at(address);
  const options = (key: string, type: string) =>
    answer.facets
      .flatMap((facet) => (facet.key === key && 'options' in facet ? facet.options : []))
      .map(
        ({ value, count }) =>
          `<li><label><input type="${type}" value="${value}"> <span class="ivy-count">${count}</span></label></li>`,
      )
      .join('');
  page.body.innerHTML = `<p class="ivy-count-line"><strong>${answer.matched}</strong></p>
    <div data-facet="place"><ul>${options('place', 'checkbox')}</ul></div>
    <div data-facet="kind"><ul><li><label><input type="radio" value=""> All</label></li>${options('kind', 'radio')}</ul></div>
    <ul>${answer.items.map(({ id }) => `<li class="ivy-card" data-post="${id}"></li>`).join('')}</ul>`;
  return page;
}
const control = (page: Document, facet: string, value: string) =>
  page.querySelector(`[data-facet=${facet}] input[value="${value}"]`)!;

test('a choice leads where pressing it would: more ticks, another mark, and all again', () => {
  const page = pageOf('place=pier&kind=walk');
  const leads = (facet: string, value: string) => choiceUnder(control(page, facet, value), at('place=pier&kind=walk'));
  expect(leads('place', 'dune')).toEqual({ address: 'place=dune,pier&kind=walk', facet: 'place' });
  expect(leads('place', 'pier')?.address).toBe('kind=walk');
  expect(leads('kind', 'talk')?.address).toBe('place=pier&kind=talk');
  expect(leads('kind', '')?.address).toBe('place=pier');
  expect(choiceUnder(page.querySelector('.ivy-card')!, at('place=pier&kind=walk'))).toBeNull();
});

test('what would change is marked, with the numbers one gets, and nothing is left of it', () => {
  const page = pageOf('place=pier');
  const bare = page.documentElement.outerHTML;
  const after = at('place=pier&kind=walk');
  const takeAway = drawGhost(page, at('place=pier'), after, '#076669');
  expect(page.querySelector<HTMLElement>('.ivy-count-line strong')!.dataset.ghostFigure).toBe(
    `${after.answer.matched}`,
  );
  expect(control(page, 'kind', 'walk').closest('label')!.dataset.ghost).toBe('on');
  expect(
    control(page, 'place', 'dune').closest('label')!.querySelector<HTMLElement>('.ivy-count')!.dataset.ghostFigure,
  ).toBe('2');
  const going = [...page.querySelectorAll<HTMLElement>('.ivy-card')].filter(({ dataset }) => dataset.ghost === 'goes');
  expect(going.map(({ dataset }) => dataset.post).sort()).toEqual(['n3', 'n9']);
  takeAway();
  expect(page.documentElement.outerHTML.replace(' style=""', '')).toBe(bare);
});
