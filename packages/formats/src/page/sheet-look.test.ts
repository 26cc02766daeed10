import { findLook } from './sheet-look.js';
import { pageSheets } from './page-sheets.js';

/** What was found, by part; those of the dark with that before it. */
function found(...sheets: string[]): Record<string, string> {
  return Object.fromEntries(
    findLook(sheets).map(({ part, scheme, value }) => [scheme === 'dark' ? `dark ${part}` : part, value]),
  );
}

test('colours, type, corners and room are found where pages have them', () => {
  expect(
    found(`
      :root { --brand: #0a5c4a; --radius: .5rem }
      html { font-size: 18px }
      body { color: rgb(34 34 40); background: hsl(40 30% 96%) url(x.png); font: 400 1rem/1.6 Georgia, "Times New Roman", serif }
      h1, h2 { font-family: 'Alegreya Sans', sans-serif; font-weight: bold; text-transform: uppercase }
      a { color: navy }
      .btn-primary { background-color: var(--brand); color: #fff; border-radius: var(--radius) }
      input { border: 1px solid #99a }
      .grid { display: grid; gap: 1.5rem }
    `),
  ).toEqual({
    ink: '#222228',
    ground: '#f8f6f2',
    accent: '#0a5c4a',
    'on-accent': '#ffffff',
    line: '#9999aa',
    family: 'Georgia, "Times New Roman", serif',
    size: '113',
    'title-family': "'Alegreya Sans', sans-serif",
    'title-weight': '700',
    'title-case': 'upper',
    radius: '9',
    gap: '27',
  });
});

test('without buttons links tell the accent; a white one is none', () => {
  expect(found('button { background: #fff } a { color: #803 }').accent).toBe('#880033');
});

test('what a page says for the dark is found apart', () => {
  const sheet =
    'body { color: #111 } @media (prefers-color-scheme: dark) { body { color: #eee; background: #101418 } }';
  expect(found(sheet)).toEqual({ ink: '#111111', 'dark ink': '#eeeeee', 'dark ground': '#101418' });
});

test('properties that name each other end, and print is no look', () => {
  expect(
    found(':root { --a: var(--b); --b: var(--a) } body { color: var(--a) } @media print { body { color: red } }'),
  ).toEqual({});
});

test('rules that are broken, or no rules at all, find what can be found', () => {
  expect(found('body { color: #123456; } } @media { .x {')).toEqual({ ink: '#123456' });
  expect(found('<!doctype html><p>no sheet</p>', '', '}}}}')).toEqual({});
  expect(found('body { font-family: x; background: url("javascript:alert(1)") }').ground).toBeUndefined();
});

test('a page’s sheets are found in order, relative to its base, but for those that are not for the screen', () => {
  const page = `<!doctype html><base href="/assets/"><title> Tide tables </title>
    <link rel="stylesheet" href="a.css"><link rel="preload stylesheet" href="https://cdn.example/b.css">
    <link rel="stylesheet" media="print" href="p.css"><link rel="alternate stylesheet" href="n.css"><link rel="icon" href="i.png">
    <link rel="stylesheet" href="data:text/css,x{}">
    <style>p { color: red }</style><body style="color: green"><style>b {}</style>`;
  expect(pageSheets(page, 'https://example.org/tides/today')).toEqual({
    title: 'Tide tables',
    sheets: [
      { address: 'https://example.org/assets/a.css' },
      { address: 'https://cdn.example/b.css' },
      { rules: 'p { color: red }' },
      { rules: 'body {color: green}' },
      { rules: 'b {}' },
    ],
  });
});

test('a page that is nested without end is read all the same', () => {
  const page = `${'<div>'.repeat(20_000)}<style>p {}</style>`;
  expect(pageSheets(page, 'https://example.org/').sheets).toEqual([{ rules: 'p {}' }]);
});
