import { decodeText, encodingOf } from './decode.js';

const utf8 = (text: string) => new TextEncoder().encode(text);
const latin = (...codes: (number | string)[]) =>
  Uint8Array.from(
    codes.flatMap((one) => (typeof one === 'number' ? [one] : [...one].map((letter) => letter.charCodeAt(0)))),
  );

test('UTF-8 is UTF-8, with its mark or without, and plain letters are too', () => {
  expect(encodingOf(utf8('Möwe'))).toBe('utf-8');
  expect(encodingOf(utf8('plain'))).toBe('utf-8');
  expect(decodeText(utf8('\ufeffa'))).toBe('a');
});

test('a mark of byte order tells two-byte text, and so do its nulls', () => {
  expect(encodingOf(latin(0xff, 0xfe, 'a', 0))).toBe('utf-16le');
  expect(encodingOf(latin(0xfe, 0xff, 0, 'a'))).toBe('utf-16be');
  expect(encodingOf(latin('i', 0, 'd', 0, ',', 0, 't', 0, '\n', 0))).toBe('utf-16le');
  expect(encodingOf(latin(0, 'i', 0, 'd', 0, ',', 0, 't', 0, '\n'))).toBe('utf-16be');
  // nulls here and there are no sign of it
  expect(encodingOf(latin('a,b\nx', 0, 'y,z and more words'))).toBe('utf-8');
});

test.each([
  ['<?xml version="1.0" encoding="ISO-8859-2"?><a>', '', 'iso-8859-2'],
  ['<!doctype html><meta charset=koi8-r>', '', 'koi8-r'],
  ['<meta http-equiv="Content-Type" content="text/html; charset=shift_jis">', '', 'shift_jis'],
  ['id,title\n', 'text/csv; charset=windows-1251', 'windows-1251'],
])('what is no UTF-8 is what it says it is: %s (%s)', (start, type, encoding) => {
  expect(encodingOf(latin(start, 0xc4, 0xee, 0xec), type)).toBe(encoding);
});

test('UTF-8 that says it is something else is UTF-8, and a name nobody knows is passed over', () => {
  expect(encodingOf(utf8('<?xml version="1.0" encoding="ISO-8859-1"?><a>é</a>'))).toBe('utf-8');
  expect(encodingOf(latin('<?xml version="1.0" encoding="nonsense"?><a>Caf', 0xe9, '</a>'))).toBe('windows-1252');
  expect(encodingOf(latin('<?xml version="1.0" encoding="utf-8"?><a>Caf', 0xe9, '</a>'))).toBe('windows-1252');
});
