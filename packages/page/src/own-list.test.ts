import { Page } from '../test/page.js';

type Notice = readonly [date: string, title: string, link: string, kind: string, habitat: string];
const notices: readonly Notice[] = [
  ['2026-05-04', 'Slipway shut', '/n/112', 'Works', 'Mudflat, Lagoon'],
  ['2026-05-28', 'Boards loose', '/n/118', 'Works', 'Reedbed'],
  ['2026-05-21', 'Hands for the marsh count', '/n/117', 'Call', 'Saltmarsh'],
  ['2026-02-09', 'Ice on the sluice steps', '/n/101', 'Closure', 'Lagoon'],
  ['', 'Gate kept shut', '/n/103', 'Closure', 'Mudflat'],
];
const item = ([date, title, link, kind, habitat]: Notice) => `<li>
  ${date && `<time data-ivy-field="date" datetime="${date}">on ${date}</time>`}
  <a data-ivy-field="title" href="${link}">${title}</a> <b data-ivy-field="kind">${kind}</b>
  <span data-ivy-field="habitat" data-ivy-split=",">${habitat}</span></li>`;
const tick = (value: string, name = 'habitat') =>
  `<label><input type="checkbox" name="${name}" value="${value}"> ${value} <i data-ivy-number></i></label>`;
const form = (more = '', habitats = ['Mudflat', 'Lagoon', 'Reedbed', 'Saltmarsh'].map((one) => tick(one)).join('')) => `
  <form data-ivy-for="notices">
    <input type="search" name="q" data-ivy-search="title">
    <fieldset ${more}>${habitats}</fieldset>
    <select name="kind"><option value="">All kinds</option><option>Works</option><option>Call</option><option>Closure</option></select>
    <input type="date" name="date" data-ivy-end="from"> <input type="date" name="date" data-ivy-end="to">
    <select name="sort" data-ivy-sort><option value="">As here</option><option value="date:desc">Newest</option><option value="title:asc">A to Z</option></select>
    <button type="reset">Clear</button> <button type="button" data-ivy-clear="habitat">Any habitat</button>
  </form>`;
const rest = `<p><b data-ivy-count="notices">5</b> of <b data-ivy-total="notices">5</b></p>
  <ul data-ivy-chips="notices"><template><li><span data-ivy-text></span> <button type="button" data-ivy-remove>×</button></li></template></ul>
  <p data-ivy-empty="notices" hidden>Nothing fits.</p>`;
const list = (items: readonly Notice[] = notices) => `<ul data-ivy-list="notices">${items.map(item).join('')}</ul>`;
const whole = form() + rest + list();

let page: Page;
afterEach(() => page.close());

test('the page stands as it was, with numbers where it wants them and nothing to clear', async () => {
  page = await Page.open(whole);
  expect(page.shown).toEqual(notices.map(([, title]) => title));
  expect([page.text('[data-ivy-count]'), page.text('[data-ivy-total]')]).toEqual(['5', '5']);
  expect([...document.querySelectorAll('[data-ivy-number]')].map((one) => one.textContent)).toEqual([
    '2',
    '2',
    '1',
    '1',
  ]);
  expect([page.element('[type=reset]').hidden, page.element('[data-ivy-clear]').hidden]).toEqual([true, true]);
  expect([page.element('[data-ivy-list]').dataset.ivyState, location.search, page.told]).toEqual(['ready', '', []]);
});

test('ticks are any of them, all else is besides; the address says it, and a chip takes it back', async () => {
  page = await Page.open(whole);
  await page.press('[value=Mudflat]');
  await page.press('[value=Lagoon]');
  expect([page.shown, location.search]).toEqual([
    ['Slipway shut', 'Ice on the sluice steps', 'Gate kept shut'],
    '?habitat=lagoon,mudflat',
  ]);
  await page.type('[name=kind]', 'Closure');
  expect([page.shown, page.text('[data-ivy-count]')]).toEqual([['Ice on the sluice steps', 'Gate kept shut'], '2']);
  expect(page.element('[value=Mudflat]').closest('label')!.hasAttribute('data-ivy-on')).toBe(true);
  // counts of a facet are under every other: no closure is on the reeds
  expect(page.element('[value=Reedbed]').closest('label')!.hasAttribute('data-ivy-none')).toBe(true);
  expect([...document.querySelectorAll('[data-ivy-text]')].map((one) => one.textContent)).toEqual([
    'Mudflat',
    'Lagoon',
    'Closure',
  ]);
  await page.press('[data-ivy-chips] li:nth-of-type(1) button');
  expect(location.search).toBe('?habitat=lagoon&kind=closure');
  await page.press('[data-ivy-clear=habitat]');
  expect(location.search).toBe('?kind=closure');
  await page.press('[type=reset]');
  expect([location.search, page.shown.length, page.element('[type=reset]').hidden]).toEqual(['', 5, true]);
});

test('all of what is ticked, where the page says so', async () => {
  page = await Page.open(form('data-ivy-match="all"') + rest + list());
  await page.press('[value=Mudflat]');
  await page.press('[value=Lagoon]');
  expect(page.shown).toEqual(['Slipway shut']);
});

test('days, words and orders; an order moves the items, and none puts them back', async () => {
  page = await Page.open(whole);
  await page.type('[data-ivy-end=from]', '2026-05-01');
  expect([page.shown.length, location.search]).toEqual([3, '?date=2026-05-01/..']);
  await page.type('[name=sort]', 'date:desc');
  expect([page.shown, location.search]).toEqual([
    ['Boards loose', 'Hands for the marsh count', 'Slipway shut'],
    '?date=2026-05-01/..&sort=date:desc',
  ]);
  await page.type('[name=q]', 'slip');
  expect(page.shown).toEqual(['Slipway shut']);
  await page.press('[type=reset]');
  expect([page.shown, page.element<HTMLInputElement>('[name=q]').value]).toEqual([
    notices.map(([, title]) => title),
    '',
  ]);
});

test('an address that a form sent without the script, and one that was shared, say the same', async () => {
  for (const search of [
    '?utm=x&habitat=Mudflat&habitat=Lagoon&kind=&date=&date=2026-05-31&q=',
    '?utm=x&habitat=lagoon,mudflat&date=../2026-05-31',
  ]) {
    page = await Page.open(whole, search);
    expect([page.shown, location.search]).toEqual([
      ['Slipway shut', 'Ice on the sluice steps'],
      '?utm=x&habitat=lagoon,mudflat&date=../2026-05-31',
    ]);
    expect(page.element<HTMLInputElement>('[value=Mudflat]').checked).toBe(true);
    expect(page.element<HTMLInputElement>('[data-ivy-end=to]').value).toBe('2026-05-31');
    page.close();
  }
});

test('back and forward stand as they stood', async () => {
  page = await Page.open(whole);
  await page.press('[value=Reedbed]');
  await page.press('[value=Saltmarsh]');
  history.back();
  await page.settle();
  expect([page.shown, page.element<HTMLInputElement>('[value=Saltmarsh]').checked]).toEqual([['Boards loose'], false]);
});

test('when nothing matches the page’s own words stand there', async () => {
  page = await Page.open(whole);
  await page.press('[value=Reedbed]');
  await page.type('[name=kind]', 'Call');
  expect([page.shown, page.element('[data-ivy-empty]').hidden]).toEqual([[], false]);
});

test('a capital or a space off works, and is told; what no item has is told with the nearest', async () => {
  const habitats = [
    tick('mudflat'),
    tick(' Reed bed '),
    tick('Lagon'),
    tick('Works', 'Kind'),
    tick('x', 'colour'),
  ].join('');
  page = await Page.open(form('', habitats).replace('<select name="kind">', '<select name="nothing">') + rest + list());
  await page.press('[value=mudflat]');
  expect(page.shown).toEqual(['Slipway shut', 'Gate kept shut']);
  await page.press('[value=mudflat]');
  await page.press('[name=Kind]');
  expect([page.shown, location.search]).toEqual([['Slipway shut', 'Boards loose'], '?Kind=works']);
  const said = page.told.join('\n');
  for (const words of [
    'reads “Kind”, the items say “kind”; taken as one',
    '“ Reed bed ” of the control “habitat” is written “Reedbed” in the items',
    'no item has “Lagon”, which the control “habitat” offers. Did you mean “Lagoon”?',
    'no item has a field “colour”',
    'no item has a field “nothing”',
  ]) {
    expect(said).toContain(words);
  }
});

test('a page that draws its list anew is read anew, and stands as its address says', async () => {
  page = await Page.open(whole);
  await page.press('[value=Reedbed]');
  const further: Notice = ['2026-06-01', 'Reeds cut', '/n/120', 'Works', 'Reedbed'];
  page.element('[data-ivy-list]').innerHTML = [...notices, further].map(item).join('');
  await page.settle();
  expect([page.shown, page.text('[data-ivy-count]'), page.text('[data-ivy-total]')]).toEqual([
    ['Boards loose', 'Reeds cut'],
    '2',
    '6',
  ]);
});

test('pages made here: as many as the list says, with the pager of the page', async () => {
  const pager = '<nav data-ivy-pager="notices"><a class="p" href="#">1</a></nav>';
  page = await Page.open(
    form() + rest + list().replace('<ul data-ivy-list', '<ul data-ivy-size="2" data-ivy-list') + pager,
  );
  expect([page.shown, page.text('nav')]).toEqual([['Slipway shut', 'Boards loose'], '1 2 3 ›']);
  await page.press('nav a[rel=next]');
  expect([page.shown, location.search]).toEqual([['Hands for the marsh count', 'Ice on the sluice steps'], '?page=2']);
  expect(page.element('nav [aria-current]').className).toBe('p');
  // another choice begins at its first page
  await page.press('[value=Mudflat]');
  expect([page.shown, location.search]).toEqual([['Slipway shut', 'Gate kept shut'], '?habitat=mudflat']);
});

test('more of it on a button, which goes with the last', async () => {
  const more = '<button type="button" data-ivy-more="notices">More</button>';
  page = await Page.open(
    form() + rest + list().replace('<ul data-ivy-list', '<ul data-ivy-size="2" data-ivy-list') + more,
  );
  await page.press('[data-ivy-more]');
  expect([page.shown.length, location.search, page.element('[data-ivy-more]').hidden]).toEqual([4, '?page=2', false]);
  await page.press('[data-ivy-more]');
  expect([page.shown.length, page.element('[data-ivy-more]').hidden]).toEqual([5, true]);
});

test('choices wait for a button where the page says so', async () => {
  page = await Page.open(form().replace('<form', '<form data-ivy-apply="button"') + rest + list());
  await page.press('[value=Reedbed]');
  expect(page.shown.length).toBe(5);
  page.element<HTMLFormElement>('form').requestSubmit();
  await page.settle();
  expect([page.shown, location.search]).toEqual([['Boards loose'], '?habitat=reedbed']);
});

test('the list tells of changes by events, and its query is read and set', async () => {
  page = await Page.open(whole);
  const events: unknown[] = [];
  document.body.addEventListener('ivy:change', (event) =>
    events.push((event as CustomEvent<{ query: string }>).detail.query),
  );
  page.list.query = 'habitat=Reedbed';
  await page.settle();
  expect([page.shown, page.list.query, events]).toEqual([['Boards loose'], 'habitat=reedbed', ['habitat=reedbed']]);
});

test('two lists keep apart by a prefix, and parameters of others stay in front', async () => {
  page = await Page.open(
    form() + rest + list().replace('<ul data-ivy-list', '<ul data-ivy-prefix="n-" data-ivy-list'),
    '?habitat=mine',
  );
  await page.press('[value=Reedbed]');
  expect([page.shown, location.search]).toEqual([['Boards loose'], '?habitat=mine&n-habitat=reedbed']);
});

test('a form that is drawn late drives the list once it is there', async () => {
  page = await Page.open(rest + list(), '?habitat=reedbed');
  expect([page.shown.length, page.told[0]]).toEqual([5, expect.stringContaining('nothing drives it')]);
  page.element('[data-ivy-list]').insertAdjacentHTML('beforebegin', form());
  page.list.look();
  expect([page.shown, page.element<HTMLInputElement>('[value=Reedbed]').checked]).toEqual([['Boards loose'], true]);
});

test('one box on yes and no is a switch; a button that is pressed chooses, and says so', async () => {
  const items = [
    ['a', 'yes', 'Works'],
    ['b', 'no', 'Call'],
    ['c', 'yes', 'Call'],
  ]
    .map(
      ([title, open, kind]) =>
        `<li><b data-ivy-field="title">${title}</b><i data-ivy-field="open">${open}</i><u data-ivy-field="kind">${kind}</u></li>`,
    )
    .join('');
  page = await Page.open(`<form data-ivy-for="notices"><label><input type="checkbox" name="open"> Open</label>
    <button type="button" name="kind" value="Call">Calls</button></form><ul data-ivy-list="notices">${items}</ul>`);
  await page.press('[name=open]');
  expect([page.shown, location.search]).toEqual([['a', 'c'], '?open=yes']);
  await page.press('[name=kind]');
  expect([page.shown, page.element('[name=kind]').getAttribute('aria-pressed'), location.search]).toEqual([
    ['c'],
    'true',
    '?open=yes&kind=call',
  ]);
  await page.press('[name=kind]');
  expect([page.shown, page.element('[name=kind]').getAttribute('aria-pressed')]).toEqual([['a', 'c'], 'false']);
});

describe('a list of thousands', () => {
  const many = (n: number) =>
    `<ul data-ivy-list="notices">${Array.from({ length: n }, (_, i) => item(notices[i % 5]!)).join('')}</ul>`;

  test('is made in slices; what is ticked meanwhile counts', async () => {
    document.body.innerHTML = '';
    const opened = Page.open(form() + rest + many(2100));
    await new Promise((done) => setTimeout(done));
    document.querySelector<HTMLElement>('[value=Lagoon]')!.click();
    page = await opened;
    await page.settle();
    expect([page.text('[data-ivy-count]'), location.search]).toEqual(['840', '?habitat=lagoon']);
  });

  test('that is drawn anew while it is made has what was drawn last', async () => {
    page = await Page.open(form() + rest + many(10));
    const list = page.element('[data-ivy-list]');
    const anew = (n: number) =>
      (list.innerHTML = new DOMParser().parseFromString(many(n), 'text/html').querySelector('ul')!.innerHTML);
    anew(2100);
    await new Promise((done) => setTimeout(done, 30));
    anew(5);
    await page.settle();
    await page.settle();
    expect([page.text('[data-ivy-count]'), page.text('[data-ivy-total]')]).toEqual(['5', '5']);
  });
});
