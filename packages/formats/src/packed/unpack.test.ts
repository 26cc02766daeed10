import { zipOf } from '../../test/sheet.js';
import { limits } from '../limits.js';
import { isZip, unpack } from './unpack.js';

const all = () => true;

test('files come out with their folders, and what a system put there stays in', () => {
  const zip = zipOf({ 'a/b.csv': 'id\n1', 'c.md': '', '__MACOSX/a/._b.csv': 'x', '.DS_Store': 'x', 'd/': '' });
  expect(isZip(zip)).toBe(true);
  expect(unpack(zip, all).map(({ name, bytes }) => [name, new TextDecoder().decode(bytes)])).toEqual([
    ['a/b.csv', 'id\n1'],
    ['c.md', ''],
  ]);
});

test('names that lead out of the folder lead nowhere', () => {
  expect(unpack(zipOf({ '../../etc/passwd': 'x', '/b.csv': 'y' }), all).map(({ name }) => name)).toEqual([
    'etc/passwd',
    'b.csv',
  ]);
});

test('only what is wanted is unpacked', () => {
  const zip = zipOf({ 'a.csv': 'x', 'b.png': 'y' });
  expect(unpack(zip, (name) => name.endsWith('.csv')).map(({ name }) => name)).toEqual(['a.csv']);
});

test('what grows too much is refused before it is all there', () => {
  const zip = zipOf({ 'a.csv': new Uint8Array(40 * 1024 * 1024) });
  expect(zip.length * limits.packedRatio).toBeLessThan(40 * 1024 * 1024);
  expect(() => unpack(zip, all)).toThrow('unpacked');
});

test('one that breaks off, and one that is none, are refused', () => {
  const zip = zipOf({ 'a.csv': Array.from({ length: 3000 }, (_, i) => `${i},${Math.sin(i)}`).join('\n') });
  expect(isZip(Uint8Array.from([1, 2, 3, 4]))).toBe(false);
  expect(() => unpack(Uint8Array.from([0x50, 0x4b, 9, 9]), all)).toThrow('broken');
  expect(() => unpack(zip.subarray(0, zip.length / 2), all)).toThrow('broken');
});
