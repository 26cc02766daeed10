import type { ArrangementName, Placed } from '@ivy/core';
import type { Rule } from './rule.js';

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
  table: () => [],
};

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
