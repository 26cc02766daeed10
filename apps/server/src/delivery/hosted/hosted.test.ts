import { englishTexts } from '@ivy/core';
import { startHarness, type Harness } from '../../../test/harness.js';
import { html } from './markup.js';

let server: Harness;
const rows = [
  'id,title,habitat,place,published,minutes,open,url',
  ...Array.from({ length: 12 }, (_, i) => {
    const habitat = ['Mudflat', 'Reedbed', 'Mudflat|Reedbed', 'Lagoon'][i % 4];
    const title = i === 11 ? '<b onmouseover="alert(1)">Tern & "reed"</b>' : `Note ${i}`;
    const url = i === 11 ? 'javascript:alert(1)' : `/notes/${i}`;
    return `n${i},"${title.replaceAll('"', '""')}",${habitat},${['Coast > North', 'Coast > South'][i % 2]},2026-01-${10 + i},${i % 5},${i % 2 ? 'yes' : 'no'},${url}`;
  }),
].join('\n');

beforeAll(async () => {
  server = await startHarness();
  await server.upload(rows, 'notes.csv', { slug: 'notes' });
  await server.ask('POST', '/api/v1/lenses', {
    name: 'Notes & more',
    source: 'notes',
    slug: 'notes',
    config: {
      facets: [
        { key: 'q', kind: 'search', fields: ['title'], label: 'Search' },
        { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] },
        { key: 'place', kind: 'dropdown', field: 'place', single: true },
        { key: 'open', kind: 'switch', field: 'open', start: 'yes' },
        {
          key: 'published',
          kind: 'date-range',
          field: 'published',
          presets: [
            { label: 'Early', range: '../2026-01-13' },
            { label: 'That year', range: '2026' },
          ],
        },
        { key: 'minutes', kind: 'number-range', field: 'minutes', unit: 'min' },
        { key: 'fixed', kind: 'radios', field: 'place', visible: false },
      ],
      sort: {
        options: [
          { key: 'newest', label: 'Newest first', field: 'published', order: 'desc' },
          { key: 'oldest', label: 'Oldest first', field: 'published', order: 'asc' },
        ],
      },
      paging: { size: 4 },
    },
  });
  await server.ask('POST', '/api/v1/lenses/notes/releases', {});
});
afterAll(() => server.stop());

const page = async (path: string) => {
  const { status, body, headers } = await server.ask('GET', path);
  return { status, headers, text: String(body) };
};
const matchedOn = (text: string) => Number(/ivy-count-line"?>\s*<strong>(\d+)/.exec(text)![1]);
/** Links of a class, as a browser would follow them. */
const links = (text: string, part: string) =>
  [...text.matchAll(/<a\b[^>]*>/g)]
    .map(([tag]) => tag)
    .filter((tag) => tag.includes(`class="${part}"`))
    .map((tag) => /href="([^"]*)"/.exec(tag)![1]!.replaceAll('&#38;', '&'));

test('the page is whole as it is sent: cards, counts, what is chosen, and the script to take over', async () => {
  const { status, headers, text } = await page('/l/notes?habitat=mudflat&open=either');
  expect([status, headers.get('content-type')]).toEqual([200, 'text/html; charset=utf-8']);
  expect(matchedOn(text)).toBe(6);
  expect(text).toContain('<title>Notes &#38; more: Mudflat</title>');
  expect(text).toContain('src="/embed/ivy-lens.js"');
  expect(text).toMatch(/name="habitat"\s+value="mudflat"\s+checked/);
  expect(text).toContain(`<link rel="canonical" href="${server.url}/l/notes?habitat=mudflat&#38;open=either" />`);
  expect(text.match(/data-post=/g)).toHaveLength(4);
});

test('its links lead where they say, and leave the rest as it is', async () => {
  const { text } = await page('/l/notes?from=letter&habitat=mudflat,reedbed&open=either');
  expect(matchedOn(text)).toBe(9);
  const [reedbed, mudflat, both] = links(text, 'ivy-chip');
  expect(both).toBeUndefined();
  expect([matchedOn((await page(reedbed!)).text), matchedOn((await page(mudflat!)).text)]).toEqual([6, 6]);
  const [cleared] = links(text, 'ivy-clear');
  expect(cleared).toBe('/l/notes?from=letter');
  const [second = ''] = links(text, 'ivy-page').filter((link) => link.endsWith('page=2'));
  expect(second).toBe('/l/notes?from=letter&habitat=mudflat,reedbed&open=either&page=2');
  expect((await page(second)).text).toMatch(/aria-current="page"\s*>\s*2/);
  expect(text).toContain('<input type="hidden" name="from" value="letter" />');
});

test('a form’s own address works: empty values, repeated names, a choice that is fixed', async () => {
  const sent = '/l/notes?q=&habitat=mudflat&habitat=lagoon&place=&open=either&minutes=&sort=&fixed=north';
  const { text } = await page(sent);
  const asked = await server.ask('GET', '/api/v1/lenses/notes/results?habitat=lagoon,mudflat&open=either&fixed=north');
  expect(matchedOn(text)).toBe((asked.body as { matched: number }).matched);
  expect(text).toMatch(/type="hidden"\s+name="fixed"\s+value="north"/);
  expect(links(text, 'ivy-clear')).toEqual(['/l/notes?fixed=north']);
});

test('a switch that starts as yes is on at first, can be left open, and clearing brings it back', async () => {
  const clean = await page('/l/notes');
  expect(matchedOn(clean.text)).toBe(6);
  expect(clean.text).toMatch(/name="open"\s+value="yes"\s+checked/);
  expect(links(clean.text, 'ivy-clear')).toEqual([]);
  expect(links(clean.text, 'ivy-chip')).toEqual(['/l/notes?open=either']);
  expect(matchedOn((await page('/l/notes?open=either')).text)).toBe(12);
  expect(links((await page('/l/notes?open=either')).text, 'ivy-clear')).toEqual(['/l/notes']);
});

test('a range is two boxes, whose form leads to the address all others have, and ready ranges are links', async () => {
  const sent =
    '/l/notes?from=letter&q=&minutes.from=1&minutes.to=3&published.from=&published.to=2026-01-15&open=either';
  const { status, headers } = await server.ask('GET', sent);
  const address = 'open=either&published=../2026-01-15&minutes=1/3';
  expect([status, headers.get('location')]).toEqual([303, `/l/notes?from=letter&${address}`]);
  const { text } = await page(`/l/notes?${address}`);
  const asked = await server.ask('GET', `/api/v1/lenses/notes/results?${address}`);
  expect(matchedOn(text)).toBe((asked.body as { matched: number }).matched);
  const box = (name: string) => new RegExp(`name="${name}"\\s+value="([^"]*)"`).exec(text)?.[1];
  expect(['minutes.from', 'minutes.to', 'published.from', 'published.to'].map(box)).toEqual([
    '1',
    '3',
    '',
    '2026-01-15',
  ]);
  const [early, year] = links(text, 'ivy-button');
  expect(year).toBe('/l/notes?open=either&published=2026&minutes=1/3');
  for (const [link, words] of [
    [early!, 'Early'],
    [year!, 'That year'],
  ] as const) {
    const pressed = (await page(link)).text;
    expect(/aria-current="true"\s*>\s*([^<]*)/.exec(pressed)![1]).toBe(words);
    // pressed again it is taken back
    expect(links(pressed, 'ivy-button')).toContain('/l/notes?open=either&minutes=1/3');
  }
  // both boxes empty: the range is not chosen
  expect((await server.ask('GET', '/l/notes?minutes.from=&minutes.to=')).headers.get('location')).toBe('/l/notes');
});

test('a lens of several languages is read in the one asked for, or the one the browser wishes, and links keep it', async () => {
  const config = {
    facets: [{ key: 'habitat', kind: 'checkboxes', field: 'habitat' }],
    languages: { de: { texts: { posts: '{n} Notiz|{n} Notizen' }, labels: { 'facets/habitat/label': 'Lebensraum' } } },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Spoken', source: 'notes', slug: 'spoken', config });
  await server.ask('POST', '/api/v1/lenses/spoken/releases', {});
  const own = await page('/l/spoken');
  expect(own.text).toContain('<html lang="en"');
  expect(own.headers.get('vary')).toContain('accept-language');
  const wished = await server.ask('GET', '/l/spoken', undefined, { 'accept-language': 'fr, de-AT;q=0.8' });
  expect(String(wished.body)).toContain('<html lang="de"');
  const asked = await page('/l/spoken?~lang=de&habitat=mudflat');
  expect(asked.text).toMatch(/6 Notizen/);
  expect(asked.text).toContain('Lebensraum');
  expect(links(asked.text, 'ivy-chip')).toEqual(['/l/spoken?~lang=de']);
  expect(asked.text).toContain('name="~lang" value="de"');
  expect(asked.text).toMatch(/hreflang="en"\s+href="\/l\/spoken\?~lang=en&#38;habitat=mudflat"/);
  const { body } = await server.ask('GET', '/api/v1/lenses/spoken/listing?~lang=de-CH&habitat=mudflat');
  expect(body).toMatchObject({ settings: { language: 'de' }, answer: { address: 'habitat=mudflat' } });
  const { body: same } = await server.ask('GET', '/api/v1/lenses/spoken/listing?~lang=fr');
  expect(same).toMatchObject({ settings: { language: 'en' } });
});

test('a page that did not change is not sent again', async () => {
  const { headers } = await page('/l/notes?habitat=mudflat');
  const etag = headers.get('etag')!;
  const again = await server.ask('GET', '/l/notes?habitat=mudflat', undefined, { 'if-none-match': etag });
  expect([again.status, again.body]).toEqual([304, '']);
  const other = await server.ask('GET', '/l/notes?habitat=reedbed', undefined, { 'if-none-match': etag });
  expect(other.status).toBe(200);
});

test('nothing found says so, with ways out as links', async () => {
  const { text } = await page('/l/notes?q=note&habitat=lagoon&minutes=99&open=either');
  expect(text).toContain('ivy-empty');
  const ways = links(text, 'ivy-way');
  expect(ways).toContain('/l/notes?q=note&habitat=lagoon&open=either');
  for (const way of ways) expect(matchedOn((await page(way)).text)).toBeGreaterThan(0);
});

test('every text visitors read can be another, in two languages: none of the built-in ones is left', async () => {
  const texts = (language: string) =>
    Object.fromEntries(Object.keys(englishTexts).map((key) => [key, `${language}·${key}`]));
  const config = {
    facets: [
      { key: 'q', kind: 'search', fields: ['title'] },
      { key: 'place', kind: 'steps', field: 'place' },
      { key: 'habitat', kind: 'dropdown', field: 'habitat' },
      { key: 'open', kind: 'switch', field: 'open' },
      { key: 'published', kind: 'date-range', field: 'published' },
      { key: 'saved', kind: 'favourites' },
    ],
    sort: {
      options: [
        { key: 'newest', field: 'published', order: 'desc' },
        { key: 'title', field: 'title' },
      ],
    },
    paging: { size: 2, sizes: [4] },
    nothing: { show: 'posts' },
    texts: texts('en'),
    languages: { de: { texts: texts('de') } },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Worded', source: 'notes', slug: 'worded', config });
  await server.ask('POST', '/api/v1/lenses/worded/releases', {});
  for (const language of ['en', 'de']) {
    for (const address of [
      '',
      'q=note&habitat=mudflat',
      'q=notee&page=2',
      'q=nowhere&habitat=gone',
      'published=1999',
    ]) {
      const { text } = await page(`/l/worded?~lang=${language}&${address}`);
      const words = text.replace(/<(script|style)[\s\S]*?<\/\1>/g, '').replace(/<[^>]*>/g, ' ');
      expect(words).toContain(`${language}·`);
      expect(words).not.toContain(language === 'en' ? 'de·' : 'en·');
      const left = Object.values(englishTexts).filter(
        (one) => one.length > 4 && !one.includes('{') && words.includes(one),
      );
      expect([address, left]).toEqual([address, []]);
    }
  }
});

test('other posts stand below the ways out where a lens wants some, without scripts too', async () => {
  const config = {
    facets: [{ key: 'minutes', kind: 'number-range', field: 'minutes' }],
    nothing: { show: 'posts', where: [{ field: 'habitat', is: ['lagoon'] }], size: 2 },
  };
  await server.ask('POST', '/api/v1/lenses', { name: 'Others', source: 'notes', slug: 'others', config });
  await server.ask('POST', '/api/v1/lenses/others/releases', {});
  const { text } = await page('/l/others?minutes=99');
  expect(text).toContain('<h3 class="ivy-others">Others to look at</h3>');
  expect(text.match(/data-post="n\d+"/g)).toEqual(['data-post="n11"', 'data-post="n7"']);
});

test('what posts and addresses hold stays text, and no link runs a script', async () => {
  const { text } = await page('/l/notes?q=%22%3E%3Cscript%3Ealert(1)%3C/script%3E&open=either');
  expect(text).not.toContain('<script>alert');
  const { text: all } = await page('/l/notes?open=either&sort=newest');
  expect(all).not.toContain('<b onmouseover');
  expect(all).toContain('&#60;b onmouseover=');
  expect(all).not.toContain('javascript:');
  expect(html`<p title="${'" onclick="x'}">${['<', html`<i>${'&'}</i>`, null, false, undefined]}</p>`.text).toBe(
    '<p title="&#34; onclick=&#34;x">&#60;<i>&#38;</i></p>',
  );
});

test('the draft has a page of its own, without any script; what is not there or too long is refused', async () => {
  const lens = '/api/v1/lenses/notes';
  const { draft, draftRevision } = (await server.ask('GET', lens)).body as {
    draft: { facets: object[] };
    draftRevision: number;
  };
  await server.ask('PUT', `${lens}/draft`, { config: { ...draft, facets: [] } }, { 'if-match': `"${draftRevision}"` });
  const { text, headers } = await page('/l/notes/draft');
  expect(text).not.toContain('<script');
  expect(text).not.toContain('<fieldset');
  expect(text).toContain('action="/l/notes/draft"');
  const policy = headers.get('content-security-policy')!.split('; ');
  for (const rule of ["default-src 'self'", "script-src 'none'", "base-uri 'none'", "frame-ancestors 'self'"]) {
    expect(policy).toContain(rule);
  }
  expect((await page('/l/notes')).text).toContain('<fieldset');
  const nowhere = await page('/l/nowhere');
  expect([nowhere.status, nowhere.headers.get('content-type')]).toEqual([404, 'text/html; charset=utf-8']);
  expect(nowhere.text).toContain('There is no listing here');
  const long = await page(`/l/notes?q=${'a'.repeat(9000)}`);
  expect([long.status, long.text.includes('too long')]).toEqual([414, true]);
});

test('without scripts, terms that are too many to list are found by a box in the form', async () => {
  const rows = Array.from({ length: 3000 }, (_, i) => `p${i},Post ${i},Tag ${i},${i % 2 ? 'A' : 'B'}`);
  await server.upload(`id,title,tag,side\n${rows.join('\n')}`, 'tags.csv', { slug: 'tags' });
  const facets = [
    { key: 'tag', kind: 'checkboxes', field: 'tag' },
    { key: 'side', kind: 'radios', field: 'side' },
  ];
  await server.ask('POST', '/api/v1/lenses', {
    name: 'Tags',
    source: 'tags',
    slug: 'tags',
    config: { facets, address: { prefix: 'a-' } },
  });
  await server.ask('POST', '/api/v1/lenses/tags/releases', {});
  const first = await page('/l/tags?a-tag=tag-7&utm=x');
  expect(first.text).toContain('2,500 more, found by typing');
  expect(first.text).toContain('name="a-tag.find"');
  const found = (await page('/l/tags?a-tag=tag-7&a-tag.find=tag+299&utm=x')).text;
  const values = [...found.matchAll(/name="a-tag" value="([^"]+)"/g)].map(([, value]) => value);
  expect(values).toEqual(['tag-7', 'tag-299', ...Array.from({ length: 10 }, (_, i) => `tag-299${i}`)]);
  // the box is the form's own: no link and no hidden field carries what stands in it
  expect(found.match(/a-tag\.find/g)).toHaveLength(1);
  expect(found).toContain('name="utm" value="x"');
  expect((await page('/l/tags?a-tag.find=zzz')).text).toContain('Nothing here is called that.');
  expect((await page(`/l/tags?a-tag.find=${encodeURIComponent('<b>"x')}`)).text).not.toContain('<b>"x');
});
