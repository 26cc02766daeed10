import fc from 'fast-check';
import { safeAddress } from './safe-address.js';

interface Parsed {
  protocol: string;
}
/** The platform's own reading of an address, which core itself does without. */
const { URL } = globalThis as unknown as {
  URL: { new (address: string, base: string): Parsed; canParse(address: string, base: string): boolean };
};

test('web addresses and addresses within a site are kept', () => {
  for (const kept of [
    'https://example.org/a?b#c',
    'HTTP://example.org',
    '/notes/1',
    'notes/1',
    '?page=2',
    '//cdn.example.org/x.png',
  ])
    expect(safeAddress(kept)).toBe(kept);
});

test('script in a link is refused, however its scheme is hidden', () => {
  const hidden = [
    'javascript:alert(1)',
    'JaVaScRiPt:alert(1)',
    '\u0001javascript:alert(1)',
    ' \u0000\u001fjavascript:alert(1)',
  ];
  const split = [
    'java\nscript:alert(1)',
    'java\tscript:alert(1)',
    '\r\njava\r\nscript\n:alert(1)',
    'data:text/html,x',
    'vbscript:x',
  ];
  for (const refused of [...hidden, ...split, '', ' \u0001 ']) expect(safeAddress(refused)).toBeNull();
});

test('what is kept leads to the web alone when a browser reads it', () => {
  const piece = fc.constantFrom(
    'java',
    'script',
    'data',
    'http',
    's',
    ':',
    '\t',
    '\n',
    '\u0001',
    ' ',
    '/',
    'x',
    '\u0000',
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
      const address = safeAddress(pieces.join(''));
      if (address === null || !URL.canParse(address, 'https://example.org/')) return;
      expect(['http:', 'https:']).toContain(new URL(address, 'https://example.org/').protocol);
    }),
    { numRuns: 2000 },
  );
});

test('blanks without end in the middle of an address are passed over once', () => {
  const start = Date.now();
  safeAddress(`a${'\u0001'.repeat(300_000)}b`);
  expect(Date.now() - start).toBeLessThan(500);
});
