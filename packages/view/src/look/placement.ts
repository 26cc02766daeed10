import type { Placed, PlaceName } from '@ivy/core';
import type { Rule } from './rule.js';

const sideways = { start: 'start', center: 'center', end: 'end' } as const;
const hasFacets = ".ivy-frame:not([data-facets='none'])";
const hidden: Rule = ['.ivy-filters', { display: 'none' }];

/**
 * Where facets stand, by the place they have.
 * @param isPlain  without scripts there is nothing that could open a sheet, so its facets stand above
 */
export const placements: Record<PlaceName, (placed: Placed, isPlain: boolean) => Rule[]> = {
  side: ({ align }) => {
    const widths = ['minmax(180px, 256px)', 'minmax(0, 1fr)'];
    const isLast = align === 'end';
    return [
      [hasFacets, { 'grid-template-columns': (isLast ? widths.reverse() : widths).join(' ') }],
      ['.ivy-side', { display: 'block', order: isLast ? '1' : '0' }],
      hidden,
    ];
  },
  top: ({ align }) => [
    [hasFacets, { 'grid-template-columns': 'minmax(0, 1fr)' }],
    align === 'start'
      ? [
          '.ivy-side',
          {
            display: 'grid',
            order: '0',
            'grid-template-columns': 'repeat(auto-fill, minmax(min(220px, 100%), 1fr))',
            gap: '0 32px',
          },
        ]
      : [
          '.ivy-side',
          { display: 'flex', order: '0', 'flex-wrap': 'wrap', gap: '0 32px', 'justify-content': sideways[align] },
        ],
    ...(align === 'start' ? [] : [['.ivy-side > .ivy-facet', { flex: '0 1 240px' }] as const]),
    ['.ivy-side > .ivy-facet:first-child', { 'padding-top': 'calc(16px * var(--i-space))' }],
    ['.ivy-side > .ivy-apply', { 'grid-column': '1 / -1', 'flex-basis': '100%' }],
    hidden,
  ],
  stacked: ({ align }) => [
    [hasFacets, { 'grid-template-columns': 'minmax(0, 1fr)' }],
    [
      '.ivy-side',
      {
        display: 'block',
        order: '0',
        width: '100%',
        'max-width': '480px',
        'justify-self': sideways[align],
      },
    ],
    hidden,
  ],
  sheet: ({ align }, isPlain) => [
    [hasFacets, { 'grid-template-columns': 'minmax(0, 1fr)' }],
    ['.ivy-side', { display: isPlain ? 'block' : 'none', order: '0' }],
    ['.ivy-filters', { display: 'inline-flex', 'justify-self': sideways[align] }],
  ],
};
