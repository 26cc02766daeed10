import { field, lensOf } from '../../../test/arbitrary.js';
import { readAddress } from '../../address/read.js';
import { dayNumber, dayText } from '../../dates/calendar.js';
import { buildIndex } from '../../engine/index/build.js';
import { answer } from '../../answer/answer.js';

test('a month out of a century is cut into its days', () => {
  const start = dayNumber('1926-01-01')!;
  // a post every ninth day, and in one month one a day
  const days = Array.from({ length: 4100 }, (_, i) => start + i * 9);
  const month = Array.from({ length: 30 }, (_, i) => dayNumber('2001-06-01')! + i);
  const posts = [...days, ...month].map((day, i) => ({ id: `n${i}`, values: { day: dayText(day) } }));
  const index = buildIndex({ fields: [field('day', 'date', { role: 'published' })], taxonomies: {}, posts });
  const lens = lensOf({
    facets: [
      { key: 'day', kind: 'date-range', field: 'day' },
      { key: 'again', kind: 'date-range', field: 'day' },
    ],
  });
  const found = answer(index, readAddress('day=2001-06-01/2001-06-30', lens, index, 0).query);
  const again = found.facets[1]!;
  const expected = month.map((day) => {
    const count = posts.filter((post) => post.values.day === dayText(day)).length;
    return { from: dayText(day), to: dayText(day), count };
  });
  expect(again).toMatchObject({ bounds: { from: '2001-06-01', to: '2001-06-30' }, buckets: expected });
  expect(expected.some(({ count }) => count > 1)).toBe(true);
});
