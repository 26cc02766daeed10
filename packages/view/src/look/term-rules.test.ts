import { termRules } from './term-rules.js';
import { writeRules } from './rule.js';

const written = (looks: Parameters<typeof termRules>[0]['looks'], resolve?: (address: string) => string) =>
  writeRules('ivy-lens', termRules({ card: [], facets: [], ...(looks && { looks }), ...(resolve && { resolve }) }));

test('a term with a colour has it beside its name, on ticks and on buttons, and weighs nothing', () => {
  const rules = written([{ facet: 'habitat', term: 'mud-flat', colour: '#8fa39a' }]);
  expect(rules).toContain("[data-facet='habitat'] .ivy-tick:has(input[value='mud-flat']) .ivy-label)::before");
  expect(rules).toContain("[data-facet='habitat'] .ivy-button[value='mud-flat'])::before");
  expect(rules).toContain('background-color: #8fa39a');
  expect(rules.match(/^ {2}\S.*\{$/gm)!.every((one) => /^ {2}:where\(/.test(one))).toBe(true);
});

test('a picture is asked for where the source has it, and cannot end the rule', () => {
  const resolve = (address: string) => `https://notes.example${address}`;
  expect(written([{ facet: 'a', term: 'b', picture: '/p/mud.svg' }], resolve)).toContain(
    'background-image: url("https://notes.example/p/mud.svg")',
  );
  const wicked = written([{ facet: 'a', term: 'b', picture: '/p/") } body { display: none' }]);
  expect(wicked).not.toContain('body {');
  expect(wicked).not.toContain('") }');
  expect(written([{ facet: 'a', term: 'b', picture: 'javascript:alert(1)' }])).not.toContain('javascript');
});

test('where no term has one there is no rule', () => {
  expect(written([])).toBe('');
  expect(written(undefined)).toBe('');
});
