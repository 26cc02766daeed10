import { makeLook } from '@ivy/core';
import { cardWidthAt, strainsOn, strainWords, type Strain } from './strain.js';

const strain: Strain = { width: 200, height: 300, titleLines: 2, termRows: 1, overflows: false };

test('a post that its card bears well is told quietly, one that it does not loudly', () => {
  expect(strainWords('longest-title', strain)).toEqual({ words: 'on 2 lines', isFault: false });
  expect(strainWords('longest-title', { ...strain, titleLines: 5 })).toEqual({
    words: 'title runs to 5 lines',
    isFault: true,
  });
  expect(strainWords('most-terms', { ...strain, termRows: 3 })).toEqual({ words: 'terms take 3 rows', isFault: true });
  expect(strainWords('no-picture', { ...strain, overflows: true }).words).toBe('reaches out of the card');
  expect(strainWords('title-only', strain).words).toBe('a short card');
});

test('each card of a page is measured as it is drawn', () => {
  document.body.innerHTML = `<ul><li class="ivy-card"><div class="ivy-card-text"><h3 class="ivy-title">Terns</h3>
    <ul class="ivy-terms"><li>One</li><li>Two</li></ul></div></li></ul>`;
  const rect = (top: number, bottom: number) => ({ top, bottom, width: 180, height: bottom - top }) as DOMRect;
  const at = (selector: string, top: number, bottom: number) => {
    for (const one of document.querySelectorAll(selector)) one.getBoundingClientRect = () => rect(top, bottom);
  };
  at('.ivy-card', 10, 400);
  at('.ivy-title', 20, 80);
  at('.ivy-terms', 90, 130);
  at('.ivy-terms li', 90, 110);
  document.querySelector<HTMLElement>('.ivy-title')!.style.lineHeight = '20px';
  document.querySelectorAll('.ivy-terms li')[1]!.getBoundingClientRect = () => rect(112, 130);
  expect(strainsOn(document)).toEqual([{ width: 180, height: 120, titleLines: 3, termRows: 2, overflows: false }]);
});

test('a card is as wide as those of the page it stands for', () => {
  expect(cardWidthAt(makeLook(), 834)).toBe(237);
  expect(cardWidthAt(makeLook(), 390)).toBe(350);
  expect(cardWidthAt(makeLook({ arrangement: 'rows' }), 1280)).toBe(420);
  expect(cardWidthAt(makeLook({ phone: { columns: 2, folded: {} } }), 390)).toBe(163);
});
