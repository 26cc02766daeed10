import type { ArrangementName, Placed } from '@ivy/core';
import type { Rule } from './rule.js';

const bothWays = 'polygon(50% 0, 100% 40%, 0 40%, 0 60%, 100% 60%, 50% 100%, 0 60%, 0 40%)';
const oneColumn: Rule = ['.ivy-cards', { 'grid-template-columns': 'minmax(0, 1fr)' }];
/** A picture beside the words, and what that does to both. */
const beside = (card: string): Rule[] => [
  [card, { 'flex-direction': 'row', gap: '16px' }],
  [`${card} > .ivy-picture`, { flex: '0 0 max(88px, 30%)', 'align-self': 'start', margin: '0', order: '0' }],
  [`${card} > .ivy-card-text`, { flex: '1', 'min-width': '0' }],
];
const picturesAbove: Rule[] = [
  ['.ivy-card', { 'flex-direction': 'column', gap: '0' }],
  ['.ivy-card > .ivy-picture', { flex: 'none', 'align-self': 'stretch', margin: '0 0 10px' }],
];
const noPictures: Rule = ['.ivy-card > .ivy-picture', { display: 'none' }];
/** A ribbon stands over the words where no picture is in that corner. */
const besideRibbon: Rule = ['.ivy-card:has(> .ivy-ribbon) > .ivy-card-text', { 'padding-inline-end': '44px' }];
const line: Rule[] = [
  ['.ivy-cards', { gap: '0' }],
  ['.ivy-card', { padding: '10px 0', 'border-bottom': '1px solid var(--i-rule)' }],
  ['.ivy-card-text', { display: 'flex', 'flex-flow': 'row wrap', 'align-items': 'baseline', gap: '2px 18px' }],
  ['.ivy-terms', { margin: '0' }],
  ['.ivy-summary', { display: 'none' }],
];

/** How cards lie, by arrangement. A table is drawn as one; where it has no room, each of its rows is a block. */
export const arrangements: Record<ArrangementName, (placed: Placed) => Rule[]> = {
  grid: pictures,
  'columns-reversed': (placed) => [
    ...pictures(placed),
    ['.ivy-card > .ivy-picture', { order: '1', margin: '10px 0 0' }],
    ['.ivy-card > .ivy-card-text', { flex: 'none' }],
  ],
  rows: () => [oneColumn, ...beside('.ivy-card'), besideRibbon],
  'rows-reversed': () => [oneColumn, ...beside('.ivy-card'), ['.ivy-card', { 'flex-direction': 'row-reverse' }]],
  list: () => [oneColumn, ...line, noPictures],
  table: () => tableRules,
};

const cell = '.ivy-table :is(th, td)';
const tableRules: Rule[] = [
  ['.ivy-table', { width: '100%', 'border-collapse': 'collapse' }],
  [
    cell,
    {
      padding: 'calc(9px * var(--i-space)) 10px',
      'text-align': 'start',
      'vertical-align': 'middle',
      'overflow-wrap': 'break-word',
    },
  ],
  [
    '.ivy-table thead :is(th, td)',
    {
      position: 'sticky',
      'z-index': '2',
      top: '0',
      background: 'color-mix(in srgb, var(--i-page) 94%, transparent)',
      'border-bottom': '2px solid var(--i-line)',
      'font-weight': '650',
      'vertical-align': 'bottom',
    },
  ],
  ['.ivy-table tbody td', { 'border-bottom': '1px solid var(--i-rule)' }],
  ['.ivy-table :is(th, td)[data-number]', { 'text-align': 'end', 'white-space': 'nowrap' }],
  ['.ivy-table .ivy-picture', { width: '64px', margin: '0', 'border-radius': 'calc(var(--i-radius) / 2)' }],
  ['.ivy-table .ivy-ribbon', { position: 'static' }],
  ['.ivy-table .ivy-facts span', { margin: '0', padding: '0' }],
  ['.ivy-table .ivy-facts span::before', { content: 'none' }],
  ['.ivy-table [data-number] .ivy-facts', { 'justify-content': 'flex-end' }],
  // what is long gives way first: a column of short words keeps them whole
  ['.ivy-table .ivy-title', { 'font-size': '1em', 'overflow-wrap': 'anywhere' }],
  ['.ivy-table .ivy-summary', { 'overflow-wrap': 'anywhere' }],
  ['.ivy-table :is(.ivy-terms, .ivy-more-of)', { margin: '0' }],
  [
    '.ivy-head-sort',
    {
      color: 'inherit',
      'text-decoration': 'none',
      display: 'inline-flex',
      gap: '6px',
      'align-items': 'center',
      'min-height': '28px',
    },
  ],
  ['.ivy-head-sort:hover', { 'text-decoration': 'underline', 'text-underline-offset': '3px' }],
  [
    '.ivy-head-sort::after',
    { content: "''", width: '8px', height: '12px', background: 'currentcolor', opacity: '0.4', 'clip-path': bothWays },
  ],
  ["th[aria-sort='ascending'] .ivy-head-sort::after", { opacity: '1', 'clip-path': 'polygon(50% 0, 100% 40%, 0 40%)' }],
  [
    "th[aria-sort='descending'] .ivy-head-sort::after",
    { opacity: '1', 'clip-path': 'polygon(0 60%, 100% 60%, 50% 100%)' },
  ],
];

/** Rows of a table as blocks, each value with the head of its column before it. */
export const narrowTable: Rule[] = [
  ['.ivy-table', { display: 'block' }],
  [['.ivy-table tbody', '.ivy-table tr'], { display: 'block' }],
  [
    '.ivy-table thead',
    { position: 'absolute', width: '1px', height: '1px', overflow: 'hidden', 'clip-path': 'inset(50%)' },
  ],
  ['.ivy-table tr', { padding: '10px 0', 'border-bottom': '1px solid var(--i-rule)' }],
  [
    '.ivy-table td',
    { display: 'flex', gap: '10px', padding: '2px 0', border: '0', 'justify-content': 'space-between' },
  ],
  ['.ivy-table td:empty', { display: 'none' }],
  [
    '.ivy-table td[data-label]::before',
    { content: 'attr(data-label)', flex: 'none', color: 'var(--i-ink-2)', 'font-size': '0.9em' },
  ],
  ['.ivy-table .ivy-picture', { width: '100%', 'margin-bottom': '6px' }],
  ['.ivy-table .ivy-title', { 'font-size': '1.1em' }],
];

function pictures({ picture, equal }: Placed): Rule[] {
  return [
    ...(equal ? atFoot : [['.ivy-cards', { 'align-items': 'start' }] as const]),
    ...(picture === 'none' ? [noPictures] : picture === 'side' ? [...beside('.ivy-card'), besideRibbon] : []),
    ...(picture === 'top' ? picturesAbove : []),
    ...(picture === 'own' ? [...beside('.ivy-card[data-beside]'), besideOwn] : []),
  ];
}

const besideOwn: Rule = [
  '.ivy-card[data-beside]:has(> .ivy-ribbon) > .ivy-card-text',
  { 'padding-inline-end': '44px' },
];

/** Cards of a row are equally tall, and what each ends with stands at its foot. */
const atFoot: Rule[] = [
  ['.ivy-card > .ivy-card-text', { display: 'flex', 'flex-direction': 'column', flex: '1' }],
  ['.ivy-card-text > :last-child:not(:first-child)', { 'margin-top': 'auto' }],
];

/** Cards in a row and the room between them. */
export function columnRules({ columns, gap, exact }: Placed): Rule[] {
  return [
    [
      '',
      {
        '--i-columns': `var(--ivy-columns, ${columns})`,
        '--i-least': exact ? '0px' : '220px',
        '--i-gap': `var(--ivy-gap, ${gap}px)`,
      },
    ],
  ];
}
