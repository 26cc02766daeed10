import type { Preset, PresetColours } from './preset.js';

const share = (percent: number) => `color-mix(in srgb, currentcolor ${percent}%, transparent)`;
const ink: PresetColours = {
  ink: 'inherit',
  'ink-2': share(76),
  ground: 'transparent',
  page: 'transparent',
  soft: share(10),
  rule: share(30),
  line: share(72),
  accent: 'currentcolor',
  'on-accent': 'currentcolor',
  chip: 'transparent',
  'chip-ink': 'inherit',
  card: 'transparent',
  focus: 'currentcolor',
};
const hatched = 'repeating-linear-gradient(135deg, currentcolor 0 1px, transparent 1px 4px)';

/** A pencil drawing in the ink and the type of the page itself, whatever those are. Nothing is filled. */
export const pencil: Preset = {
  name: 'Pencil',
  words: 'your page’s own ink and type',
  scheme: 'host',
  light: ink,
  dark: ink,
  radius: 0,
  border: 1,
  family: null,
  rules: [
    [['.ivy-input', '.ivy-select', '.ivy-sort select'], { 'border-width': '0 0 1px' }],
    [['.ivy-sort select option', '.ivy-select option'], { background: 'canvas', color: 'canvastext' }],
    [['.ivy-sheet', '.ivy-list'], { background: 'canvas', color: 'canvastext' }],
    ['.ivy-facet', { 'border-bottom': '2px solid' }],
    ['.ivy-tick input', { border: '1.5px solid', 'border-radius': '0', background: 'none' }],
    ["[type='radio']:not(.ivy-switch)", { 'border-radius': '50%' }],
    ['.ivy-tick input:indeterminate', { background: hatched }],
    ['.ivy-tick input:indeterminate::before', { display: 'none' }],
    ['.ivy-tick input:checked::before', { 'border-width': '0 0 3px 3px', width: '14px', height: '7px' }],
    [
      [
        ".ivy-button[aria-pressed='true']",
        ".ivy-button[aria-current='true']",
        ".ivy-link[aria-current='true']",
        '.ivy-page[aria-current]',
        '.ivy-way-of input:checked + span',
      ],
      { background: 'none', color: 'inherit', outline: '2px solid', 'outline-offset': '-2px', 'font-weight': '700' },
    ],
    [
      [".ivy-button[aria-pressed='true'] .ivy-count", '.ivy-way-of input:checked + span .ivy-count'],
      { background: 'none', color: 'inherit' },
    ],
    ['.ivy-button', { 'border-width': '0 0 1px', 'border-radius': '0', padding: '0 4px' }],
    ['.ivy-chip', { border: '1px solid', 'border-radius': '0', background: 'none' }],
    ['.ivy-badge', { border: '1px solid', background: 'none' }],
    [['.ivy-show', '.ivy-next'], { border: '2px solid', background: 'none' }],
    ['.ivy-show', { color: 'inherit' }],
    ['.ivy-apply', { position: 'static', background: 'none' }],
    [['.ivy-count-line', '.ivy-sort'], { color: 'inherit' }],
    ['.ivy-histogram span', { background: hatched }],
    ['.ivy-picture', { 'border-radius': '0' }],
    [['.ivy-ribbon', '.ivy-badges span'], { background: 'canvas', color: 'canvastext' }],
    ['.ivy-terms li', { border: '0', padding: '0', background: 'none' }],
  ],
};
