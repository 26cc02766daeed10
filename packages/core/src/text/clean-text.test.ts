import { cleanText, cleanValue, isBroken } from './clean-text.js';

test('null characters go and halves of pairs are replaced; text that only looks like one stays', () => {
  expect(cleanText('a\u0000b')).toBe('ab');
  expect(cleanText('x\ud800y\udc00z')).toBe('x\ufffdy\ufffdz');
  for (const fine of ['C:\\u0000new', 'see \\u0000 here', 'pair \ud83c\udf3f kept', '']) {
    expect(cleanText(fine)).toBe(fine);
    expect(isBroken(fine)).toBe(false);
  }
  for (const bad of ['\u0000', 'a\ud800', '\udc00b']) expect(isBroken(bad)).toBe(true);
});

test('a value is cleaned throughout, and is the same object where nothing was to be done', () => {
  const fine = { a: ['x', { b: 1 }], c: null };
  expect(cleanValue(fine)).toBe(fine);
  expect(cleanValue({ 'k\u0000': ['x\u0000', { b: '\ud800' }] })).toEqual({ k: ['x', { b: '\ufffd' }] });
});
