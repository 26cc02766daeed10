import { makeLook } from './look.js';
import { pictureSizes } from './picture-sizes.js';

test('a picture is as wide as the cards that fit in a row let it be', () => {
  expect(pictureSizes(makeLook({ columns: 4 }))).toBe(
    '(max-width: 639px) 100vw, (max-width: 999px) calc((100vw - 296px)), calc((100vw - 296px) / 2)',
  );
  expect(pictureSizes(makeLook({ facets: 'top', phone: { columns: 2, folded: {} } }))).toBe(
    '(max-width: 639px) calc(100vw / 2), (max-width: 999px) calc(100vw / 2), calc(100vw / 3)',
  );
  expect(pictureSizes(makeLook({ arrangement: 'rows' }))).toContain('calc((100vw - 296px) * 0.3)');
  expect(pictureSizes(makeLook({ arrangement: 'table' }))).toBe(
    '(max-width: 639px) 64px, (max-width: 999px) 64px, 64px',
  );
});
