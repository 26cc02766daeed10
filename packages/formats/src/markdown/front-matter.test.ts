import { frontMatterOf } from './front-matter.js';

const said = (text: string) => {
  const read = frontMatterOf(text);
  return typeof read === 'string' ? read : [read.said, read.body];
};

test.each([
  ['---\na: 1\n---\nText', [{ a: 1 }, 'Text']],
  ['---\r\na: [x, y]\r\n---\r\nText', [{ a: ['x', 'y'] }, 'Text']],
  ['---\n---\nText', [{}, 'Text']],
  ['+++\na = "x"\n[b]\nc = 2\n+++\nText', [{ a: 'x', b: { c: 2 } }, 'Text']],
  [
    '+++\nday = 2026-05-01\nat = 2026-05-01T10:00:00Z\n+++\n',
    [{ day: '2026-05-01', at: '2026-05-01T10:00:00.000Z' }, ''],
  ],
  ['Text\n\n---\n\nMore', [{}, 'Text\n\n---\n\nMore']],
  ['---\nday: 2026-05-01\nyes: no\n---\n', [{ day: '2026-05-01', yes: 'no' }, '']],
])('%j says %j', (text, read) => {
  expect(said(text)).toEqual(read);
});

test.each([
  ['---\na: "x\n---\n', /no YAML, near line \d/],
  ['---\na: &x [1]\nb: *x\n---\n', /names a part of itself/],
  ['---\na: !own 1\n---\n', /tags of its own/],
  ['---\n- a\n- b\n---\n', /no names with values/],
  ['+++\na = \n+++\n', /no TOML, near line \d/],
  [`---\na: ${'['.repeat(100)}${']'.repeat(100)}\n---\n`, /nests deeper/],
  [`---\na: ${'x'.repeat(300_000)}\n---\n`, /longer than 256 kB/],
])('what can’t be read says why, %#', (text, words) => {
  expect(said(text)).toMatch(words);
});
