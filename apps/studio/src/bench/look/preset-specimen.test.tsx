import { presetNames } from '@ivy/core';
import { presets } from '@ivy/view';
import { OnPage } from '../../../test/on-page.js';
import { PresetSpecimen } from './preset-specimen.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

test.each(presetNames)('%s is drawn in its own colours, with its name and how its texts read', (name) => {
  page.draw(<PresetSpecimen preset={name} />);
  const { words, scheme } = presets[name];
  expect(page.element.textContent).toContain(presets[name].name);
  expect(page.element.textContent).toContain(words);
  const fills = [...page.element.querySelectorAll('rect')].map((one) => one.getAttribute('fill'));
  const { accent } = presets[name][scheme === 'dark' ? 'dark' : 'light'];
  // a preset in the page's own ink has none of its own to measure
  expect(fills.includes(accent)).toBe(accent.startsWith('#'));
  expect(page.texts('.mono')[0]).toMatch(accent.startsWith('#') ? /^\d+\.\d·\d+\.\d$/ : /^yours$/);
  for (const fill of fills) expect(fill).toMatch(/^(#[0-9a-f]{6}|none)$/);
});
