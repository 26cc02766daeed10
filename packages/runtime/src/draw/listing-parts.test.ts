import { Visit } from '../../test/visit.js';

let visit: Visit;
afterEach(() => visit.leave());

const kind = { key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Kind' };
const open = { key: 'open', kind: 'switch', field: 'open', label: 'Open' };
const q = { key: 'q', kind: 'search', fields: ['title'], label: 'Search' };

test('pages are links with addresses of their own; the first and the last have one neighbour', async () => {
  visit = await Visit.to([kind]);
  expect(visit.words('.ivy-pager a')).toEqual(['1', '2', '10', 'Next']);
  await visit.press('Next');
  expect(visit.address).toBe('page=2');
  expect(visit.all('[aria-current=page]').map((one) => one.getAttribute('aria-label'))).toEqual(['Page 2']);
  expect(visit.named('Previous').getAttribute('href')).toBe('?');
  await visit.press('Page 10');
  expect(visit.words('.ivy-pager a')).not.toContain('Next');
  // a choice leads back to the first page
  await visit.press('Walk');
  expect(visit.address).toBe('kind=walk');
});

test('a page is opened in a new tab by whoever asks for one', async () => {
  visit = await Visit.to([kind]);
  const click = new MouseEvent('click', { bubbles: true, cancelable: true, ctrlKey: true });
  let isLeft = false;
  // beyond the listing the press is the browser's, which here goes nowhere
  const stay = (event: Event) => {
    isLeft = !event.defaultPrevented;
    event.preventDefault();
  };
  document.addEventListener('click', stay, { once: true });
  visit.named('Next').dispatchEvent(click);
  await visit.settle();
  expect([isLeft, visit.address]).toEqual([true, '']);
});

test('one page needs no pager', async () => {
  visit = await Visit.to([kind], { paging: { size: 50 } });
  expect(visit.all('.ivy-pager')).toEqual([]);
});

test('what is chosen stands as chips, each taken away by a press or a key, and all at once', async () => {
  visit = await Visit.to([kind, open, q]);
  expect(visit.all('.ivy-chips')).toEqual([]);
  await visit.press('Walk');
  await visit.press('Talk');
  await visit.press('Yes');
  expect(visit.words('.ivy-chip')).toEqual(['Talk', 'Walk', 'Open: yes']);
  await visit.press('Remove Kind: Walk');
  expect(visit.address).toBe('kind=talk&open=yes');
  await visit.key(visit.named('Remove Kind: Talk'), 'Delete');
  expect(visit.address).toBe('open=yes');
  await visit.key(visit.named('Remove Open: Yes'), 'Enter');
  expect(visit.address).toBe('open=yes');
  await visit.press('Clear all');
  expect([visit.address, visit.all('.ivy-chips')]).toEqual(['', []]);
});

test('a search is a chip in quotes, and goes from its box when it is taken away', async () => {
  visit = await Visit.to([q]);
  await visit.set('Search', 'walk 7');
  expect([visit.address, visit.words('.ivy-chip')]).toEqual(['q=walk+7', ['“walk 7”']]);
  await visit.press('Clear the search');
  expect([visit.address, visit.box('Search').value]).toEqual(['', '']);
});

test('what is fixed for visitors is no chip, and clearing leaves it', async () => {
  visit = await Visit.to([kind, { ...open, visible: false }]);
  history.replaceState(null, '', '/walks?kind=walk&open=yes');
  await visit.listing.load();
  expect(visit.words('.ivy-chip')).toEqual(['Walk']);
  await visit.press('Clear all');
  expect([visit.address, visit.words('.ivy-chip')]).toEqual(['open=yes', []]);
});

test('the order is picked from the lens’s own; a search brings its own along', async () => {
  const sort = {
    options: [
      { key: 'newest', label: 'Newest', field: 'day', order: 'desc' },
      { key: 'short', label: 'Shortest', field: 'minutes', order: 'asc' },
    ],
  };
  visit = await Visit.to([q], { sort });
  expect(visit.words('.ivy-sort option')).toEqual(['Newest', 'Shortest']);
  await visit.set('Sort', 'short');
  expect(visit.address).toBe('sort=short');
  await visit.set('Sort', 'newest');
  await visit.set('Search', 'walk');
  expect(visit.words('.ivy-sort option')).toContain('Best match');
});

test('one order is no choice', async () => {
  visit = await Visit.to([kind], { sort: { options: [{ key: 'newest', label: 'Newest', field: 'day' }] } });
  expect(visit.all('.ivy-sort')).toEqual([]);
});

test('a facet is folded and unfolded by its heading; what is chosen in it is cleared beside it', async () => {
  visit = await Visit.to([{ ...kind, folded: true }]);
  const isOpen = () => visit.named('Kind').getAttribute('aria-expanded');
  expect([isOpen(), visit.all('.ivy-facet-body')[0]!.hidden]).toEqual(['false', true]);
  await visit.press('Kind');
  expect([isOpen(), visit.all('.ivy-facet-body')[0]!.hidden]).toEqual(['true', false]);
  await visit.press('Boat');
  await visit.press('Clear Kind');
  expect(visit.address).toBe('');
  expect(document.activeElement).toBe(visit.named('Kind'));
});

test('a facet that waits for another comes with a choice there, and stays for a choice of its own', async () => {
  visit = await Visit.to([kind, { ...open, dependsOn: 'kind' }]);
  const there = () => visit.all('[data-facet]').map((one) => one.dataset.facet);
  expect(there()).toEqual(['kind']);
  await visit.press('Walk');
  expect(there()).toEqual(['kind', 'open']);
  await visit.press('Yes');
  await visit.press('Walk');
  expect(there()).toEqual(['kind', 'open']);
});

test('with a button, choices wait for it and it tells how many posts they would show', async () => {
  visit = await Visit.to([kind], { address: { apply: 'button' } });
  await visit.press('Walk');
  expect([visit.address, visit.count]).toEqual(['', '40 posts']);
  expect(visit.words('.ivy-show')).toEqual(['Show 10 posts']);
  await visit.press('Show 10 posts');
  expect([visit.address, visit.count]).toEqual(['kind=walk', '10 posts of 40']);
});
