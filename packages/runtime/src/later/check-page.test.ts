import { findingsOf } from './check-page.js';
import { colourOf, contrastOf, groundOf } from './contrast.js';

const script = '<script src="https://ivy.example/embed/ivy-lens.js"></script>';
const lens = (inner = '<p>Posts</p>') => `<ivy-lens name="notes">${inner}</ivy-lens>`;
function faults(html: string, shift: number | null = 0, css = ''): string[] {
  document.head.innerHTML = css === '' ? '' : `<style>${css}</style>`;
  document.body.innerHTML = html;
  return findingsOf(document, shift)
    .filter(({ holds }) => !holds)
    .map(({ title }) => title);
}

test('a page that lacks nothing holds whole', () => {
  expect(faults(script + lens())).toEqual([]);
  expect(findingsOf(document, 0.02).map(({ title }) => title)).toContain(
    'The page moves by 0.02 as it is drawn, 0.1 at most is good',
  );
});

test.each([
  [script + script + lens(), 0, '', /script is there 2 times/],
  [script, 0, '', /no element/],
  [script + lens(''), 0, '', /“notes” is not drawn/],
  [script + lens('<p role="alert">There is no lens called notes.</p>'), 0, '', /There is no lens called notes/],
  [script + lens(), 0.18, '', /moves by 0\.18/],
  [script + lens('<p style="color: rgb(170, 170, 170)">pale</p>'), 0, '', /“pale”, with a contrast of 2\.3/],
  [script + lens(), 0, 'main p, p { margin: 0 } .x { color: red }', /1 of 2 rules.*main p, p/],
  [`<i id="a"></i><i id="a"></i>${script}${lens()}`, 0, '', /id “a” stands twice/],
  [`<h1>a</h1><h4>b</h4>${script}${lens()}`, 0, '', /level 1 comes one of level 4/],
])('%#: one fault is told, with what to do', (html, shift, css, words) => {
  expect(faults(html, shift, css)).toEqual([expect.stringMatching(words)]);
  expect(findingsOf(document, shift).find(({ holds }) => !holds)!.mend).not.toBe('');
});

test('rules that mean us, or everything, do not fight', () => {
  expect(
    faults(script + lens(), 0, 'ivy-lens p { margin: 0 } * { margin: 0 } body { color: #111 } h2 { color: red }'),
  ).toEqual([]);
});

test('colours lie over one another, and a picture behind can’t be told', () => {
  document.body.innerHTML =
    '<div style="background-color: rgb(0, 0, 0)"><p style="background-color: rgba(255, 255, 255, 0.5)"><b></b></p></div>';
  expect(groundOf(document.querySelector('b')!)).toEqual([127.5, 127.5, 127.5, 1]);
  document.body.innerHTML = '<div style="background-image: url(a.png)"><b></b></div>';
  expect(groundOf(document.querySelector('b')!)).toBeNull();
});

test('contrast is that of the guidelines', () => {
  expect(contrastOf([0, 0, 0, 1], [255, 255, 255, 1])).toBeCloseTo(21);
  expect(contrastOf([118, 118, 118, 1], [255, 255, 255, 1])).toBeCloseTo(4.54, 2);
  expect([colourOf('rgba(1, 2, 3, 0.5)'), colourOf('rgb(1 2 3 / 0.5)'), colourOf('lab(1 2 3)')]).toEqual([
    [1, 2, 3, 0.5],
    [1, 2, 3, 0.5],
    null,
  ]);
});
