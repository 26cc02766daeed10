import { bytesText, weigh } from './page-weight.js';

const sizes: Record<string, number> = { '/ivy.js': 29_600, '/a.jpg': 40_000, '/b.jpg': 8_000, '/c.svg': 2_000 };
const sizeOf = (address: string) => sizes[address] ?? null;
const picture = (address: string, sent: number, shown: number) => ({ address, sent, shown });

test('a page weighs its script, its data and its pictures, each picture once', () => {
  const pictures = [picture('/a.jpg', 300, 300), picture('/a.jpg', 300, 280), picture('/c.svg', 320, 100)];
  expect(weigh(pictures, sizeOf, '/ivy.js', 8_100)).toEqual({
    script: 29_600,
    data: 8_100,
    pictures: 42_000,
    pictureCount: 2,
    untold: 0,
    requests: 4,
    tooLarge: null,
  });
});

test('a picture far wider than its place is told, the worst first; drawings are as sharp at any width', () => {
  const pictures = [picture('/a.jpg', 960, 320), picture('/b.jpg', 1600, 200), picture('/c.svg', 3200, 100)];
  expect(weigh(pictures, sizeOf, '/ivy.js', null).tooLarge).toEqual({ count: 2, shown: 200, sent: 1600 });
});

test('what the browser is not told is not guessed', () => {
  const weight = weigh([picture('/far.jpg', 300, 300), picture('/b.jpg', 300, 300)], sizeOf, '/none.js', null);
  expect(weight).toMatchObject({ script: null, data: null, pictures: 8_000, untold: 1 });
  expect(weigh([picture('/far.jpg', 300, 300)], sizeOf, '/none.js', null).pictures).toBeNull();
});

test('sizes are in decimal units, as networks have them', () => {
  expect([400, 8_100, 29_600, 1_440_000].map(bytesText)).toEqual(['1 kB', '8 kB', '30 kB', '1.4 MB']);
});
