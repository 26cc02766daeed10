import { xml, xmlJson } from './xml.js';

test('signs of XML are written out, and what it can’t hold is left out', () => {
  expect(xml('a < b & "c" > d\u0000\u0008\r\ud800!')).toBe('a &lt; b &amp; &quot;c&quot; &gt; d&#13;!');
});

test('JSON keeps what XML can’t hold', () => {
  const value = { text: 'a\u0000<b>\uffff' };
  const written = xmlJson(value);
  expect(written).not.toMatch(/[<>\uffff]/);
  const back = written.replaceAll('&quot;', '"').replaceAll('&lt;', '<').replaceAll('&gt;', '>');
  expect(JSON.parse(back)).toEqual(value);
});
