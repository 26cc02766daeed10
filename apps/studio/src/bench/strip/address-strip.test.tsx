import type { AddressFault, Answer } from '@ivy/core';
import { MemoryRouter } from 'react-router';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { AddressStrip } from './address-strip.js';
import { huesOf } from '../edits.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const lens = lensOf({
  facets: ['habitat', 'kind'].map((key) => ({ key, kind: 'checkboxes', field: key })),
});

/** Draws the strip at an address, and keeps where it asks to go and what it takes in hand. */
function drawn(
  address: string,
  answer?: Partial<Answer>,
  faults: AddressFault[] = [],
): { went: string[]; inHand: string[] } {
  const asked: { went: string[]; inHand: string[] } = { went: [], inHand: [] };
  page.draw(
    <MemoryRouter>
      <AddressStrip
        slug="notes"
        lens={lens}
        faults={faults}
        address={address}
        answer={answer as Answer | undefined}
        hues={huesOf(lens.facets)}
        focus={null}
        onGo={(next) => asked.went.push(next)}
        onFocus={(key) => asked.inHand.push(key)}
      />
    </MemoryRouter>,
  );
  return asked;
}
const tokens = () => page.texts('button').filter((text) => text.includes('=') && !text.startsWith('name'));

test('an address is drawn as tokens, and how many posts it finds beside it', () => {
  drawn('habitat=mudflat,shore&ref=letter', { matched: 1204, total: 12_480 });
  expect(tokens()).toEqual(['habitat=mudflat , shore', 'ref=letter']);
  expect(page.texts('[data-testid=matched]')).toEqual(['1,204']);
  expect(page.element.textContent).toContain('of 12,480');
});

test('a token of a facet takes it in hand; what is not the lens’s own says that it stays', () => {
  const { inHand } = drawn('habitat=mudflat&ref=letter');
  page.press('habitat=mudflat');
  page.press('ref=letter');
  expect(inHand).toEqual(['habitat']);
  expect(page.named('ref=letter').title).toContain('kept as it is');
});

test('Backspace takes a token away and leaves the keyboard beside it', () => {
  const { went } = drawn('habitat=mudflat&kind=survey&ref=letter');
  page.named('kind=survey').focus();
  page.key('kind=survey', 'Backspace');
  expect(went).toEqual(['habitat=mudflat&ref=letter']);
  expect(document.activeElement).toBe(page.named('habitat=mudflat'));
  page.key('habitat=mudflat', 'x');
  expect(went).toHaveLength(1);
});

test('as text it can be pasted whole; Escape leaves it as it was', () => {
  const { went } = drawn('habitat=mudflat');
  const edit = 'Edit the address as text';
  const box = 'Address as text';
  page.press(edit);
  expect(page.named<HTMLInputElement>(box).value).toBe('habitat=mudflat');
  page.type(box, 'https://wardens.example/notes?kind=survey&habitat=shore#list');
  page.key(box, 'Escape');
  expect(went).toEqual([]);
  page.press(edit);
  page.type(box, 'https://wardens.example/notes?kind=survey&habitat=shore#list');
  page.key(box, 'Enter');
  expect(went).toEqual(['kind=survey&habitat=shore']);
});

test('an address is cleared in one go, and an empty one can’t be', () => {
  const { went } = drawn('habitat=mudflat');
  page.press('Clear the address');
  expect(went).toEqual(['']);
  drawn('');
  expect(page.named<HTMLButtonElement>('Clear the address').disabled).toBe(true);
});

test('a token is pressed and another value chosen from what is offered, by keys alone', () => {
  const options = [
    { value: 'mudflat', label: 'Mudflat', count: 4 },
    { value: 'shore', label: 'Shore', count: 7 },
  ];
  const { went } = drawn('habitat=mudflat', { facets: [{ key: 'habitat', options }] } as unknown as Answer);
  page.press('habitat=mudflat');
  const box = 'Value of habitat';
  page.type(box, 'sh');
  expect(page.texts('[role=option]')).toEqual(['Shore7']);
  page.key(box, 'ArrowDown');
  page.key(box, 'Enter');
  expect(went).toEqual(['habitat=shore']);
});

test('one more is typed at the end: its name is offered, then its values', () => {
  const options = [{ value: 'survey', label: 'Survey', count: 4 }];
  const { went } = drawn('habitat=mudflat', { facets: [{ key: 'kind', options }] } as unknown as Answer);
  const box = 'Add to the address';
  page.type(box, 'ki');
  page.key(box, 'ArrowDown');
  page.key(box, 'Enter');
  expect(page.named<HTMLInputElement>(box).value).toBe('kind=');
  page.type(box, 'kind=survey');
  page.key(box, 'Enter');
  page.type(box, '/notes?kind=works&page=2');
  page.key(box, 'Enter');
  expect(went).toEqual(['habitat=mudflat&kind=survey', 'kind=works&page=2']);
});

test('what can’t be read stands there struck through, with its reason and what comes nearest', () => {
  const near = { value: 'mudflat', label: 'Mudflat' };
  const fault = {
    code: 'unknown-term',
    at: 0,
    facet: 'habitat',
    value: 'mudfat',
    text: '',
    near,
    isLost: true,
  } as const;
  const { went } = drawn('habitat=mudfat,shore', undefined, [fault]);
  expect(page.texts('s')).toEqual(['mudfat']);
  expect(page.element.textContent).toContain('no such term');
  page.press('Take “Mudflat” instead of “mudfat”');
  expect(went).toEqual(['habitat=mudflat,shore']);
});
