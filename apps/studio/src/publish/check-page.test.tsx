import { BesideServer } from '../../test/beside-server.js';
import { CheckPage } from './check-page.js';

const page = new BesideServer();
beforeEach(() => {
  page.open();
  page.draw(<CheckPage slug="notes" />);
});
afterEach(() => page.close());

test('what does not stand is said first, with the very line; then what holds', async () => {
  const line = '<script type="module" src="https://ivy.example/embed/ivy-lens.js"></script>';
  page.answer('GET /lenses/notes/check?page=https%3A%2F%2Fexample.org%2Fnews', [
    { code: 'script', ok: false, text: 'The script is not on the page', mend: line },
    { code: 'ids', ok: false, text: 'The id “x” stands twice', mend: 'Give one of them another.' },
    { code: 'released', ok: true, text: 'Release 4 is live', mend: '' },
  ]);
  page.type('Address of the page to check', 'example.org/news');
  await page.pressAndSettle('Check');
  expect(page.words).toContain('1of 3 hold');
  expect(page.texts('ol li > :first-child')).toEqual(['The script is not on the page', 'The id “x” stands twice']);
  expect([page.texts('code'), page.texts('ul li')]).toEqual([[line], ['Release 4 is live']]);
});

test('a page that can’t be read is told with why', async () => {
  await page.pressAndSettle('Check');
  expect(page.words).toContain('Give the address of a page.');
  page.answer(
    'GET /lenses/notes/check?page=http%3A%2F%2Flocalhost',
    { code: 'page-private', detail: 'localhost is private.' },
    422,
  );
  page.type('Address of the page to check', 'http://localhost');
  await page.pressAndSettle('Check');
  expect(page.words).toContain('localhost is private.');
});
