import { Visit } from '../../test/visit.js';

let visit: Visit;
afterEach(() => visit.leave());
/** What is typed is looked for a moment later. */
const pause = () => new Promise((done) => setTimeout(done, 250));

test('of thousands of terms the commonest are listed; any other is found by typing and can be ticked', async () => {
  visit = await Visit.to([
    { key: 'plot', kind: 'checkboxes', field: 'plot' },
    { key: 'kind', kind: 'buttons', field: 'kind' },
  ]);
  expect(visit.words('.ivy-more-terms')).toEqual(['2,100 more, found by typing']);
  await visit.set('Find in Plot', 'plot 2597', 'input');
  await pause();
  expect(visit.words('.ivy-tick')).toEqual(['Plot 2597 0']);
  await visit.set('Find in Plot', 'plot 60', 'input');
  await pause();
  expect(visit.words('.ivy-tick')[0]).toBe('Plot 60 1');
  visit.all<HTMLInputElement>('.ivy-tick input')[0]!.click();
  await visit.settle();
  expect([visit.address, visit.count]).toEqual(['plot=plot-60', '1 post of 40']);
  // what is chosen stays in sight when nothing is looked for any more
  await visit.set('Find in Plot', '', 'input');
  expect(visit.all<HTMLInputElement>('.ivy-tick input:checked').map((one) => one.value)).toEqual(['plot-60']);
});

test('counts of what was found follow the other choices', async () => {
  visit = await Visit.to([
    { key: 'plot', kind: 'checkboxes', field: 'plot' },
    { key: 'kind', kind: 'buttons', field: 'kind' },
  ]);
  await visit.set('Find in Plot', 'plot 60', 'input');
  await pause();
  expect(visit.words('.ivy-tick')[0]).toBe('Plot 60 1');
  await visit.press('Talk 10');
  await pause();
  expect(visit.words('.ivy-tick').find((words) => words.startsWith('Plot 60 '))).toBe('Plot 60 0');
  await visit.set('Find in Plot', 'plot', 'input');
  await pause();
  expect(visit.words('.ivy-more-terms')).toEqual(['2,500 more, found by typing']);
});

test('a dropdown of one becomes a box to type in, which takes one', async () => {
  visit = await Visit.to([{ key: 'plot', kind: 'dropdown', field: 'plot', single: true }]);
  const box = visit.box('Plot');
  await visit.set(box, 'plot 1200', 'input');
  await pause();
  await visit.key(box, 'Enter');
  expect(visit.address).toBe('plot=plot-1200');
  await visit.set(visit.box('Plot'), 'plot 60', 'input');
  await pause();
  await visit.key(visit.box('Plot'), 'Enter');
  expect(visit.address).toBe('plot=plot-60');
});

test('of thousands of buttons a few stand there, with a box to find others', async () => {
  visit = await Visit.to([{ key: 'plot', kind: 'buttons', field: 'plot' }]);
  expect(visit.all('.ivy-button')).toHaveLength(60);
  await visit.set('Find in Plot', '2599', 'input');
  await pause();
  expect(visit.words('.ivy-button')).toEqual(['Plot 2599 0']);
});
