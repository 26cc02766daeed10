import { isAllowed, isPublic, literalOf, readReach } from './reach.js';

test.each([
  '127.0.0.1',
  '10.1.2.3',
  '172.16.0.1',
  '172.31.255.255',
  '192.168.1.1',
  '169.254.169.254',
  '100.64.0.1',
  '0.0.0.0',
  '224.0.0.1',
  '255.255.255.255',
  '::1',
  '::',
  'fe80::1',
  'fc00::1',
  'fd12::1',
  '::ffff:127.0.0.1',
  '::ffff:10.0.0.1',
  '::ffff:7f00:1',
  '64:ff9b::7f00:1',
  '2002:7f00:1::',
  'ff02::1',
  'no address',
])('%s is none of the open net', (address) => {
  expect(isPublic(address)).toBe(false);
});

test.each(['8.8.8.8', '172.32.0.1', '172.15.0.1', '100.128.0.1', '193.99.144.80', '2a00:1450:4001:80b::200e'])(
  '%s is one of the open net',
  (address) => {
    expect(isPublic(address)).toBe(true);
  },
);

test('addresses in a URL are seen however they are written', () => {
  const of = (url: string) => literalOf(new URL(url));
  expect(of('http://127.1/')).toBe('127.0.0.1');
  expect(of('http://0x7f000001/')).toBe('127.0.0.1');
  expect(of('http://2130706433/')).toBe('127.0.0.1');
  expect(of('http://[::1]:80/')).toBe('::1');
  expect(of('http://example.org/')).toBeNull();
});

test('what the owner allows is a host, or a host with its port alone', () => {
  const reach = readReach({ IVY_REACH: 'intranet.example, LOCALHOST:3000', IVY_DEMO_SITE: 'http://127.0.0.1:4801' });
  expect(isAllowed(new URL('http://intranet.example/'), reach)).toBe(true);
  expect(isAllowed(new URL('https://intranet.example:8443/'), reach)).toBe(true);
  expect(isAllowed(new URL('http://localhost:3000/a'), reach)).toBe(true);
  expect(isAllowed(new URL('http://localhost:3001/a'), reach)).toBe(false);
  expect(isAllowed(new URL('http://127.0.0.1:4801/'), reach)).toBe(true);
  expect(isAllowed(new URL('http://other.intranet.example/'), reach)).toBe(false);
});
