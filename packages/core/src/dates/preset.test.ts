import { dayNumber } from './calendar.js';
import { presetRange } from './preset.js';

test.each([
  ['this-year', '2026-01-01', '2026'],
  ['last-year', '2026-12-31', '2025'],
  ['this-month', '2026-03-31', '2026-03'],
  ['last-month', '2026-03-31', '2026-02'],
  ['last-month', '2026-01-15', '2025-12'],
  ['P30D', '2026-03-31', 'P30D'],
  ['2024/2025', '2026-03-31', '2024/2025'],
  ['constructor', '2026-03-31', 'constructor'],
])('%s on %s is %s', (range, today, written) => {
  expect(presetRange(range, dayNumber(today)!)).toBe(written);
});
