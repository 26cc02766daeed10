import type { Lens, SpanName } from '@ivy/core';
import { useState } from 'react';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { LayoutWiring } from './layout-wiring.js';

const page = new OnPage();
let lens: Lens;
beforeEach(() => page.open());
afterEach(() => page.close());

function Setting({ look }: { look: object }) {
  const facets = [{ key: 'kind', kind: 'checkboxes', field: 'kind' }];
  const [now, setLens] = useState(() => lensOf({ facets, look }));
  const [span, setSpan] = useState<SpanName>('desktop');
  const edit = (next: Lens) => {
    lens = next;
    setLens(next);
  };
  const fields = [fieldOf('kind', 'terms')];
  return <LayoutWiring {...{ fields, span }} lens={now} slug="mine" source="notes" onSpan={setSpan} onEdit={edit} />;
}
const draw = (look: object = {}) => page.draw(<Setting look={look} />);

test('what is set for all widths holds in each; what is set for one is marked there and goes back', () => {
  draw();
  page.press('Rows');
  expect([lens.look.arrangement, lens.look.phone]).toEqual(['rows', { folded: {} }]);
  page.press('phone');
  expect(page.named('Rows').getAttribute('aria-pressed')).toBe('true');
  page.press('List');
  expect([lens.look.arrangement, lens.look.phone.arrangement]).toEqual(['rows', 'list']);
  expect(page.element.textContent).toContain('phone alone');
  page.press('Reset cards lie');
  expect([lens.look.phone, page.element.textContent.includes('phone alone')]).toEqual([{ folded: {} }, false]);
});

test('settings that an arrangement does not have are not there', () => {
  draw({ arrangement: 'grid' });
  expect(page.element.textContent).toContain('Cards in a row');
  page.press('Table');
  expect(page.element.textContent).not.toContain('Cards in a row');
  expect(page.element.textContent).not.toContain('Room between cards');
});

test('a facet is folded in one span, or as it is elsewhere', () => {
  draw();
  page.press('phone');
  page.type('Kind at first', 'folded');
  expect(lens.look.phone.folded).toEqual({ kind: true });
  page.press('Reset open or folded at first');
  expect(lens.look.phone.folded).toEqual({});
});

test('all widths say which spans say something otherwise', () => {
  draw({ phone: { columns: 1 } });
  expect(page.element.textContent).toContain('phone says some of it otherwise');
});
