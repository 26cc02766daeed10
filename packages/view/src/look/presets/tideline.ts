import type { Preset } from './preset.js';

/** One crest of a wave, to be repeated as a rule. */
const wave =
  "url(\"data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='24' height='6'%3E%3Cpath d='M0 3c3-3 9-3 12 0s9 3 12 0' fill='none' stroke='%23000' stroke-width='1.5'/%3E%3C/svg%3E\")";

/** Washed round: pale water, soft shapes, a wave for a rule. */
export const tideline: Preset = {
  name: 'Tideline',
  words: 'washed round, a wave for a rule',
  scheme: 'light',
  light: {
    ink: '#10303a',
    'ink-2': '#48656d',
    ground: '#e4f3f3',
    page: '#ffffff',
    soft: '#d6eded',
    rule: '#a9d2d2',
    line: '#5b8b92',
    accent: '#0a5866',
    'on-accent': '#ffffff',
    chip: '#fde9c4',
    'chip-ink': '#59400c',
    card: 'transparent',
    focus: '#b8431c',
  },
  dark: {
    ink: '#e2f3f3',
    'ink-2': '#a2c2c6',
    ground: '#0a2127',
    page: '#11303a',
    soft: '#1b414c',
    rule: '#2f5c66',
    line: '#6f9da5',
    accent: '#7fd6dc',
    'on-accent': '#06252b',
    chip: '#4d3d17',
    'chip-ink': '#fde3ad',
    card: 'transparent',
    focus: '#ffab8a',
  },
  radius: 19,
  border: 1,
  family: "ui-rounded, 'Hiragino Maru Gothic ProN', Quicksand, Comfortaa, Manjari, 'Arial Rounded MT Bold', sans-serif",
  rules: [
    [
      '.ivy-side',
      { padding: '18px 18px 6px', 'border-radius': '22px', background: 'var(--i-page)', 'align-self': 'start' },
    ],
    ['.ivy-facet', { 'border-bottom': '0' }],
    [
      '.ivy-facet:not(:last-of-type)::after',
      {
        content: "''",
        position: 'absolute',
        'inset-inline': '0',
        bottom: '-3px',
        height: '6px',
        background: 'var(--i-rule)',
        mask: `${wave} repeat-x`,
      },
    ],
    ['.ivy-facet-title', { 'font-weight': '700' }],
    ['.ivy-tick input:not(.ivy-switch)', { 'border-radius': '50%' }],
    ['.ivy-picture', { 'border-radius': '22px' }],
    ['.ivy-terms li', { border: '0', 'border-radius': '10px', background: 'var(--i-soft)' }],
    ['.ivy-page', { 'border-radius': '50%' }],
  ],
};
