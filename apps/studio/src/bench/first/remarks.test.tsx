import { MemoryRouter } from 'react-router';
import { OnPage } from '../../../test/on-page.js';
import { Remarks } from './remarks.js';

const page = new OnPage();
beforeEach(() => {
  localStorage.clear();
  page.open();
});
afterEach(() => page.close());

const nothing = { chosen: false, changed: false, released: false };
const draw = (done: Partial<typeof nothing>, slug = 'notes') =>
  page.draw(
    <MemoryRouter>
      <Remarks key={slug} slug={slug} done={{ ...nothing, ...done }} />
    </MemoryRouter>,
  );
const done = () => page.texts('li.line-through').map((words) => words.slice(0, 4));

test('each goes once it is done, and stays gone when it is taken back', () => {
  draw({});
  expect([page.texts('li').length, done()]).toEqual([3, []]);
  draw({ chosen: true });
  expect(done()).toEqual(['Tick']);
  draw({ chosen: false, changed: true });
  expect(done()).toEqual(['Tick', 'Chan']);
  // another day, and on another lens from the beginning
  page.close();
  page.open();
  draw({});
  expect(done()).toEqual(['Tick', 'Chan']);
  draw({}, 'walks');
  expect(done()).toEqual([]);
});

test('they are gone once there is a release, or when they are put away', () => {
  draw({ released: true });
  expect(page.texts('aside')).toEqual([]);
  draw({});
  page.press('Put the remarks away');
  expect(page.texts('aside')).toEqual([]);
  page.close();
  page.open();
  draw({ chosen: true });
  expect(page.texts('aside')).toEqual([]);
  localStorage.setItem('ivy-remarks other', 'broken');
  draw({}, 'other');
  expect(page.texts('li')).toHaveLength(3);
});
