import { Visit } from '../../test/visit.js';

let visit: Visit;
afterEach(() => visit.leave());

const kind = { key: 'kind', kind: 'checkboxes', field: 'kind' };
const posts = () => visit.listing.answer!.items.map(({ id }) => id);

test('a press puts the next posts below those that are there, and the address says so', async () => {
  visit = await Visit.to([kind], { paging: { mode: 'more', size: 12 } });
  const first = posts();
  expect([visit.words('.ivy-next'), visit.words('.ivy-shown')]).toEqual([
    ['Show 12 more, 28 left'],
    ['12 of 40 shown'],
  ]);
  await visit.press('Show 12 more, 28 left');
  expect([posts().length, posts().slice(0, 12), visit.address]).toEqual([24, first, 'page=2']);
  await visit.press('Show 12 more, 16 left');
  await visit.press('Show 4 more, 4 left');
  expect([posts().length, visit.address, visit.words('.ivy-next'), visit.words('.ivy-shown')]).toEqual([
    40,
    'page=4',
    [],
    ['40 of 40 shown'],
  ]);
  expect(new Set(posts()).size).toBe(40);
});

test('a choice begins at the first page again; an address with a page brings all up to it', async () => {
  visit = await Visit.to([kind], { paging: { mode: 'more', size: 4 } });
  await visit.press('Show 4 more, 36 left');
  visit.all<HTMLInputElement>('.ivy-tick input')[0]!.click();
  await visit.settle();
  expect([posts().length, visit.address]).toEqual([4, 'kind=walk']);
  history.replaceState(null, '', '/walks?kind=walk&page=2');
  await visit.listing.load();
  expect([posts().length, visit.address, visit.words('.ivy-next')]).toEqual([
    8,
    'kind=walk&page=2',
    ['Show 2 more, 2 left'],
  ]);
});

test('while a choice is on its way no next posts are put below those it takes away', async () => {
  visit = await Visit.to([kind], { paging: { mode: 'more', size: 4 } });
  visit.all<HTMLInputElement>('.ivy-tick input')[0]!.click();
  await visit.listing.more();
  await visit.settle();
  expect([posts().length, visit.address]).toEqual([4, 'kind=walk']);
});

test('what comes next is fetched ahead once, and is there at once when it is asked for', async () => {
  visit = await Visit.to([kind], { paging: { mode: 'more', size: 12 } });
  const before = visit.asked.length;
  visit.listing.fetchAhead();
  visit.listing.fetchAhead();
  await visit.settle();
  expect(visit.asked.slice(before)).toEqual(['~from=2&page=2']);
  await visit.press('Show 12 more, 28 left');
  expect([visit.asked.length, posts().length]).toEqual([before + 1, 24]);
});

test('the page one points at is fetched before the press', async () => {
  visit = await Visit.to([kind], { paging: { size: 12 } });
  const before = visit.asked.length;
  visit.named('Page 3').dispatchEvent(new Event('pointerenter'));
  await visit.settle();
  expect(visit.asked.slice(before)).toEqual(['page=3']);
  await visit.press('Page 3');
  expect([visit.asked.length, visit.address]).toEqual([before + 1, 'page=3']);
});

test('how many a page is a visitor’s to choose where the lens lets them', async () => {
  visit = await Visit.to([kind], { paging: { size: 4, sizes: [8, 20] } });
  await visit.set('Per page', '20');
  expect([visit.address, visit.listing.answer!.items.length]).toEqual(['size=20', 20]);
  await visit.press('Next');
  expect(visit.address).toBe('size=20&page=2');
  await visit.set('Per page', '');
  expect(visit.address).toBe('');
});
