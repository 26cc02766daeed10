import fc from 'fast-check';
import { lensOf } from '../../../test/lens-of.js';
import { isWholeAddress, tokensOf, withoutFault, withToken, withValue } from './address-tokens.js';
import { tokenOffers, valueOffers } from './offers.js';
import { stepValue } from './step-value.js';
import type { AddressFault, Answer } from '@ivy/core';

const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat' },
    { key: 'kind', kind: 'radios', field: 'kind' },
    { key: 'day', kind: 'date-range', field: 'day', presets: [{ label: 'Last 30 days', range: 'P30D' }] },
  ],
  sort: {
    options: [
      { key: 'newest', field: 'day', order: 'desc' },
      { key: 'oldest', field: 'day' },
    ],
  },
});
const option = (value: string, count: number) => ({ value, label: value[0]!.toUpperCase() + value.slice(1), count });
const answer = {
  pages: 3,
  facets: [
    { key: 'habitat', options: [option('mudflat', 4), option('reedbed', 9), option('saltmarsh', 0)] },
    { key: 'kind', options: [option('survey', 2), option('works', 3)] },
    { key: 'day', buckets: [{ from: '2026-01-01', to: '2026-01-31', count: 5 }] },
  ],
} as unknown as Answer;

test('names are offered first, then values with how many posts they find', () => {
  const texts = (typed: string, taken: string[] = []) =>
    tokenOffers(lens, answer, typed, taken).map(({ text, count }) => [text, count]);
  expect(texts('', ['habitat'])).toEqual([
    ['kind=', null],
    ['day=', null],
    ['sort=', null],
    ['page=', null],
  ]);
  expect(texts('hab')).toEqual([['habitat=', null]]);
  expect(texts('habitat=')).toEqual([
    ['habitat=mudflat', 4],
    ['habitat=reedbed', 9],
    ['habitat=saltmarsh', 0],
  ]);
  expect(texts('habitat=mudflat,ree')).toEqual([['habitat=mudflat,reedbed', 9]]);
  expect(texts('kind=sur,wo')).toEqual([]);
  expect(texts('day=')).toEqual([
    ['day=P30D', null],
    ['day=2026-01-01/2026-01-31', 5],
  ]);
  expect(texts('sort=o')).toEqual([['sort=oldest', null]]);
  expect(valueOffers(lens, answer, 'page', '').map(({ text }) => text)).toEqual(['1', '2', '3']);
  expect(valueOffers(lens, answer, 'utm', '')).toEqual([]);
});

test('arrows step a day, a month or a number where the caret stands, and nothing else', () => {
  const step = (text: string, at: number, by: 1 | -1) => stepValue({ text, at }, by)?.text ?? null;
  expect(step('2026-02-28/..', 4, 1)).toBe('2026-03-01/..');
  expect(step('2026-01-01/2026-12-31', 15, 1)).toBe('2026-01-01/2027-01-01');
  expect(step('2026-01/2026-03', 3, -1)).toBe('2025-12/2026-03');
  expect(step('5/10', 4, -1)).toBe('5/9');
  expect(step('../10', 1, 1)).toBeNull();
  expect(step('P30D', 0, 1)).toBeNull();
});

test('a token is put in, changed and taken away, and the others stay as they are written', () => {
  const parts = fc.uniqueArray(fc.constantFrom('utm=a%20b', 'habitat=mudflat', 'day=2026', 'x', 'q=little+tern'), {
    minLength: 1,
  });
  fc.assert(
    fc.property(parts, fc.nat(4), (raw, n) => {
      const at = n % raw.length;
      const address = raw.join('&');
      const changed = withValue(address, at, 'a, b').split('&');
      expect(changed.filter((_, i) => i !== at)).toEqual(raw.filter((_, i) => i !== at));
      expect(tokensOf(changed.join('&'), lens)[at]!.value).toBe('a, b');
      expect(withValue(address, at, ' ')).toBe(raw.filter((_, i) => i !== at).join('&'));
    }),
  );
  expect(withToken('kind=survey', 'habitat=mudflat')).toBe('kind=survey&habitat=mudflat');
  expect(withToken('kind=survey&page=2', 'kind=works')).toBe('kind=works&page=2');
  expect(withToken('kind=survey', 'nothing')).toBe('kind=survey');
  expect(['https://a.example/?x', '?a=b', 'a=b&c=d', 'a=b'].map(isWholeAddress)).toEqual([true, true, true, false]);
});

test('a fault is mended by what was most likely meant', () => {
  const fault = (code: AddressFault['code'], at: number, value: string, near: string): AddressFault => ({
    code,
    at,
    facet: null,
    value,
    text: '',
    near: { value: near, label: near },
    isLost: true,
  });
  const mended = (address: string, one: AddressFault) => withoutFault(address, one);
  expect(mended('habitat=mudfat,reedbed', fault('unknown-term', 0, 'mudfat', 'mudflat'))).toBe(
    'habitat=mudflat,reedbed',
  );
  expect(mended('habitat=mudfat,mudflat', fault('unknown-term', 0, 'mudfat', 'mudflat'))).toBe('habitat=mudflat');
  expect(mended('x=1&day=2026-02-31', fault('bad-date', 1, '2026-02-31', '2026-02-28'))).toBe('x=1&day=2026-02-28');
  expect(mended('habitats=reedbed', fault('unknown-name', 0, 'habitats', 'habitat'))).toBe('habitat=reedbed');
});
