import { BesideServer } from '../../../test/beside-server.js';
import { AddressEntry } from './address-entry.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

test.each([
  ['https://orrin.example/feed?a=1&b=2', 'https://orrin.example/feed?a=1&b=2'],
  // without a scheme it is a page of the web
  ['orrin.example/feed', 'https://orrin.example/feed'],
  // nor does a machine's own server speak to itself in secret
  ['localhost:4100/feed', 'http://localhost:4100/feed'],
  ['127.0.0.1/feed', 'http://127.0.0.1/feed'],
  ['  http://orrin.example  ', 'http://orrin.example'],
])('%s is looked at as %s', async (typed, asked) => {
  await page.visit(<AddressEntry />, '/sources', '/sources');
  page.type('Or from an address, kept fresh', typed);
  await page.pressAndSettle('Look there');
  expect(page.place + page.search).toBe(`/look?address=${encodeURIComponent(asked)}`);
});

test('nothing is not looked at', async () => {
  await page.visit(<AddressEntry />, '/sources', '/sources');
  expect(page.named<HTMLButtonElement>('Look there').disabled).toBe(true);
  page.type('Or from an address, kept fresh', '   ');
  expect(page.named<HTMLButtonElement>('Look there').disabled).toBe(true);
});
