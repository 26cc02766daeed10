import { plainText } from './plain-text.js';

test.each([
  ['<p>Tea &amp; <b>toast</b></p>', 'Tea & toast'],
  ['a<script>alert("</p>")</script>b', 'a b'],
  ['a<STYLE x>p{}</style>b', 'a b'],
  ['a<script>never closed', 'a'],
  ['a<!-- <b>x</b> -->b', 'a b'],
  ['a<!-- never closed', 'a'],
  ['a<b never closed', 'a'],
  ['a<br/>b<styles>c', 'a b c'],
  ['no tags', 'no tags'],
])('of %j the words are %j', (html, words) => {
  expect(plainText(html)).toBe(words);
});

test.each(['<a', '<style ', '<script>', '<!--', '<b>x</b>', '&amp', '<'])(
  '%j a hundred thousand times is read once',
  (piece) => {
    const start = Date.now();
    plainText(piece.repeat(100_000));
    expect(Date.now() - start).toBeLessThan(1_000);
  },
);
