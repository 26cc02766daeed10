import { buildIndex, dryRun, type Post } from '@ivy/core';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { chipsOf, choiceUnder } from './choice-under.js';
import { drawGhost, goingPosts } from './ghost-page.js';

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
const at = (address: string) => dryRun(index, lens, { name: 'Notes', source: 'notes' }, address, 0);

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
    <ul class="ivy-chips">${
      chipsOf(at(address))
        ?.chips.map(({ label }) => `<li><button class="ivy-chip">${label}</button></li>`)
        .join('') ?? ''
    }<li><button class="ivy-clear"></button></li></ul>
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

test('a chip leads to what is left without it, and “Clear all” to nothing chosen', () => {
  const run = at('place=dune,pier&kind=walk');
  const page = pageOf('place=dune,pier&kind=walk');
  const chips = [...page.querySelectorAll('.ivy-chip')];
  expect(chips.map(({ textContent }) => textContent)).toEqual(['dune', 'pier', 'walk']);
  expect(chips.map((chip) => choiceUnder(chip, run))).toEqual([
    { address: 'place=pier&kind=walk', facet: 'place' },
    { address: 'place=dune&kind=walk', facet: 'place' },
    { address: 'place=dune,pier', facet: 'kind' },
  ]);
  expect(choiceUnder(page.querySelector('.ivy-clear')!, run)).toEqual({ address: '', facet: null });
  drawGhost(page, run, at('place=pier&kind=walk'), '#076669');
  expect(chips.map((chip) => (chip as HTMLElement).dataset.ghost)).toEqual(['goes', undefined, undefined]);
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

test('a post that only stands further down does not go', () => {
  const answer = (ids: string, matched: number, sort = 'newest') =>
    ({ items: ids.split('').map((id) => ({ id })), matched, sort, page: 1 }) as unknown as Parameters<
      typeof goingPosts
    >[0];
  const going = (...answers: Parameters<typeof goingPosts>) => [...goingPosts(...answers)].join('');
  // more come in before it
  expect(going(answer('abc', 9), answer('xya', 20))).toBe('');
  // one behind it is there still
  expect(going(answer('abc', 9), answer('acd', 8))).toBe('b');
  // all that match are there
  expect(going(answer('abc', 9), answer('b', 1))).toBe('ac');
  expect(going(answer('abc', 9), answer('', 0))).toBe('abc');
  // in another order nothing can be told
  expect(going(answer('abc', 9), answer('cxy', 20, 'best'))).toBe('');
});
