import { Visit } from '../../test/visit.js';
import { fetchLater } from '../draw/with-later.js';
import type { Listing } from '../listing/listing.js';
import { SheetPart } from './sheet-part.js';

/** An element of a narrow page: the button, and what it opens. */
class Narrow extends SheetPart {
  protected override render(): unknown {
    return this.listing ? [this.drawFiltersButton(this.listing), this.drawSheet(this.listing)] : null;
  }

  show(listing: Listing): void {
    this.listing = listing;
    this.draw();
  }
}
customElements.define('ivy-narrow', Narrow);

let visit: Visit;
let part: Narrow;
const kind = { key: 'kind', kind: 'checkboxes', field: 'kind', label: 'Kind' };
const button = (name: string) => [...part.querySelectorAll('button')].find((one) => one.className === name)!;
const dialog = () => part.querySelector('dialog');

beforeAll(async () => {
  // jsdom has the element, and not what opens it
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  await fetchLater();
});
beforeEach(async () => {
  // it is given its listing here, and has no name of its own
  jest.spyOn(console, 'error').mockImplementation(() => {});
  visit = await Visit.to([kind]);
  part = document.body.appendChild(new Narrow());
  part.show(visit.listing);
});
afterEach(() => {
  part.remove();
  visit.leave();
  jest.restoreAllMocks();
});

test('facets stand behind a button that says how many choices there are', async () => {
  expect([button('ivy-filters').textContent.trim(), dialog()]).toEqual(['Filters', null]);
  await visit.press('Walk');
  part.show(visit.listing);
  expect(button('ivy-filters').textContent.replace(/\s+/g, ' ').trim()).toBe('Filters 1');
});

test('pressed they are over the page, and the focus comes back when they are closed', () => {
  button('ivy-filters').click();
  expect([dialog()!.open, dialog()!.querySelectorAll('.ivy-facet').length]).toEqual([true, 1]);
  button('ivy-sheet-close').click();
  expect(dialog()).toBeNull();
  expect(document.activeElement).toBe(button('ivy-filters'));
});

test('the button at the foot says how many posts there are, and does what waits for it', async () => {
  visit.leave();
  visit = await Visit.to([kind], { address: { apply: 'button' } });
  part.show(visit.listing);
  button('ivy-filters').click();
  await visit.press('Walk');
  part.show(visit.listing);
  expect([part.querySelector('.ivy-sheet-foot')!.textContent.trim(), visit.address]).toEqual(['Show 10 posts', '']);
  part.querySelector<HTMLElement>('.ivy-sheet-foot .ivy-show')!.click();
  await visit.settle();
  expect([visit.address, dialog()]).toEqual(['kind=walk', null]);
});
