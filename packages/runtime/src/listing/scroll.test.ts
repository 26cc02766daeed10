import './scroll.js';

const leave = () => dispatchEvent(new Event('pagehide'));

test('where a visitor was is kept beside what the page keeps in its history', () => {
  history.replaceState({ tab: 'map' }, '');
  leave();
  expect(history.state).toEqual({ tab: 'map', ivyScroll: 0 });
});

test.each([[['a', 'list']], ['a word'], [7]])('what nothing can be put beside stays: %j', (state) => {
  history.replaceState(state, '');
  leave();
  expect(history.state).toEqual(state);
});
