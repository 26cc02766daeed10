import fc from 'fast-check';
import { readInterval } from '../../dates/interval.js';
import { nearDates, nearNumbers } from './near.js';

test('days that are none, or are written otherwise, come near to days that are', () => {
  const near = (text: string) => nearDates(text)?.value ?? null;
  expect(['2026-02-31', '2026-13', '2026-3-1', '2026/03/01', '20260301', '../2026-04-31'].map(near)).toEqual([
    '2026-02-28',
    '2026-12',
    '2026-03-01',
    null,
    '2026-03-01',
    '../2026-04-30',
  ]);
  expect(near('2026-01-01 to 2026-06-31')).toBe('2026-01-01/2026-06-30');
  expect(['soon', '', '/'].map(near)).toEqual([null, null, null]);
});

test('numbers are found among other words', () => {
  const near = (text: string) => nearNumbers(text)?.value ?? null;
  expect(['5 min', '5-10', '1,5 to 2,5', '<10', 'over 3+', '-4', 'many'].map(near)).toEqual([
    '5/5',
    '5/10',
    '1.5/2.5',
    '../10',
    '3/..',
    '-4/-4',
    null,
  ]);
});

test('what comes near can be read', () => {
  const part = fc.constantFrom('2026', '-02', '-31', '/', '..', ' to ', '13', 'x', '-', '.');
  fc.assert(
    fc.property(
      fc.array(part, { maxLength: 8 }).map((parts) => parts.join('')),
      (text) => {
        const near = nearDates(text);
        if (near) expect(readInterval(near.value, 0)).not.toBeNull();
      },
    ),
  );
});
