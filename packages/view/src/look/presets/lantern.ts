import type { Preset } from './preset.js';

/** The night log: dark ground lit from above, amber for what is chosen, figures in a row. */
export const lantern: Preset = {
  name: 'Lantern',
  words: 'the night log, lit from above',
  scheme: 'dark',
  light: {
    ink: '#20262b',
    'ink-2': '#545f68',
    ground: '#f4f1e9',
    page: '#fffdf8',
    soft: '#ebe5d7',
    rule: '#d3cdbf',
    line: '#857d6d',
    accent: '#845400',
    'on-accent': '#ffffff',
    chip: '#f7e4bd',
    'chip-ink': '#573a00',
    card: '#fffdf8',
    focus: '#0d6582',
  },
  dark: {
    ink: '#f2eee3',
    'ink-2': '#abb2b6',
    ground: '#14181b',
    page: '#0e1316',
    soft: '#222d35',
    rule: '#343e46',
    line: '#727f88',
    accent: '#f6b851',
    'on-accent': '#1e1503',
    chip: '#3c2c11',
    'chip-ink': '#f8d08c',
    card: '#1a2127',
    focus: '#92d6ec',
  },
  radius: 6,
  border: 1,
  family: null,
  rules: [
    [
      '.ivy-frame',
      {
        'background-image':
          'radial-gradient(90% 320px at 30% 0, color-mix(in srgb, var(--i-accent) 14%, transparent), transparent)',
      },
    ],
    [
      '.ivy-side',
      {
        padding: '14px',
        border: '1px solid var(--i-rule)',
        'border-top': '2px solid var(--i-accent)',
        'border-radius': 'var(--i-radius)',
        background: 'var(--i-card)',
        'align-self': 'start',
      },
    ],
    [
      '.ivy-facet-title',
      { 'text-transform': 'uppercase', 'letter-spacing': '0.07em', 'font-size': '0.86em', 'font-weight': '700' },
    ],
    ['.ivy-count', { 'font-family': 'ui-monospace, monospace', 'font-size': '0.9em' }],
    ['.ivy-chip', { border: '1px solid color-mix(in srgb, var(--i-accent) 55%, transparent)', 'border-radius': '4px' }],
    ['.ivy-tick input:checked + .ivy-label', { color: 'var(--i-accent)' }],
    ['.ivy-card', { padding: '10px', 'border-radius': 'var(--i-radius)' }],
    ['.ivy-apply', { background: 'var(--i-card)' }],
    ['.ivy-picture', { 'border-radius': '3px' }],
  ],
};
