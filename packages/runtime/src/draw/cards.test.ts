import { makeLook, makePart, placedAt, safeAddress, type Item, type Settings } from '@ivy/core';
import { render } from 'lit-html';
import { cardViews, type Shown } from '@ivy/view';
import type { Listing } from '../listing/listing.js';
import { drawCards } from './cards.js';

const card: Settings['card'] = [
  makePart({ show: 'picture', field: 'image' }),
  makePart({ show: 'title', field: 'title' }),
  makePart({ show: 'terms', field: 'constructor' }),
];

const placed = placedAt(makeLook(), 'desktop');

function drawn(item: Partial<Item>): HTMLElement {
  const page = document.createElement('div');
  const whole = { id: 'a', title: 'Tern', link: null, fields: {}, ...item };
  const shown = {
    settings: {
      facets: [],
      card,
      cardLink: { link: 'card', newTab: false },
    },
    placed,
    answer: { items: [whole] },
    resolve: safeAddress,
    marks: new Set<string>(),
  };
  render(
    drawCards({ settings: shown.settings, placed } as unknown as Listing, cardViews(shown as unknown as Shown)),
    page,
  );
  return page;
}

test.each([
  'javascript:alert(1)',
  '\u0001javascript:alert(1)',
  ' \u0000java\nscript:alert(1)',
  'data:text/html,<script>x</script>',
])('a link and a picture of %j are not drawn, whatever server they came from', (address) => {
  const page = drawn({ link: address, fields: { image: address, title: 'Tern' } });
  expect([page.querySelector('a'), page.querySelector('img')]).toEqual([null, null]);
  expect(page.textContent).toContain('Tern');
});

test('a web address is a link, and so is one within the site', () => {
  for (const address of ['https://example.org/n/1', '/n/1', 'n/1']) {
    const page = drawn({ link: address, fields: { image: address, title: 'Tern' } });
    expect(page.querySelector('a')!.getAttribute('href')).toBe(address);
    expect(page.querySelector('img')!.getAttribute('src')).toBe(address);
  }
});

test('a post without a value in a field called like what every object has shows nothing there', () => {
  expect(drawn({ fields: { title: 'Tern' }, marks: {} }).querySelector('.ivy-terms')).toBeNull();
  const page = drawn({ fields: { title: 'Tern', constructor: [{ slug: 'smith', label: 'Smith' }] } });
  expect(page.querySelector('.ivy-terms')!.textContent.trim()).toBe('Smith');
});

test('a picture that can’t be loaded leaves no broken sign: a drawing stands in its place', () => {
  const page = drawn({ fields: { image: '/gone.jpg', title: 'Tern' } });
  const picture = page.querySelector<HTMLElement>('.ivy-picture')!;
  expect('missing' in picture.dataset).toBe(false);
  picture.querySelector('img')!.dispatchEvent(new Event('error'));
  expect('missing' in picture.dataset).toBe(true);
});
