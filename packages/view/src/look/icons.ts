import type { IconName } from '@ivy/core';
import type { Rule } from './rule.js';

/** Lines of each drawing, 16 by 16. */
const drawings: Record<Exclude<IconName, 'none'>, string> = {
  clock: 'M8 1.8a6.2 6.2 0 1 0 0 12.4A6.2 6.2 0 0 0 8 1.8M8 4.6V8l2.4 1.8',
  calendar: 'M2.2 3.6h11.6v10H2.2zM2.2 6.8h11.6M5.2 1.6v3.2M10.8 1.6v3.2',
  place:
    'M8 14.4C5 10.8 3.2 8.6 3.2 6.4a4.8 4.8 0 0 1 9.6 0c0 2.2-1.8 4.4-4.8 8zM8 4.8a1.7 1.7 0 1 0 0 3.4 1.7 1.7 0 0 0 0-3.4',
  person: 'M8 2a2.8 2.8 0 1 0 0 5.6A2.8 2.8 0 0 0 8 2M2.8 14c.4-3 2.4-4.4 5.2-4.4s4.8 1.4 5.2 4.4',
  tag: 'M2 2.4h5.4L14 9l-5 5-7-6.8zM5 5.4h.01',
  star: 'M8 1.8l1.900 4 4.300.5-3.2 3 .9 4.300L8 11.5l-3.900 2.100.9-4.300-3.2-3 4.300-.5z',
  leaf: 'M2.6 13.4C2 6.6 6 2.4 13.6 2.4c.3 7.4-3.6 11.4-9.4 10M2.6 13.4c1.6-3.4 3.8-5.4 6.8-7',
  drop: 'M8 1.8c2.8 3.4 4.4 5.6 4.4 7.8a4.4 4.4 0 0 1-8.8 0c0-2.2 1.6-4.4 4.4-7.8z',
  sun: 'M8 5a3 3 0 1 0 0 6 3 3 0 0 0 0-6M8 1v1.8M8 13.2V15M1 8h1.8M13.2 8H15M3 3l1.300 1.300M11.7 11.7L13 13M13 3l-1.300 1.300M4.300 11.7L3 13',
  speech: 'M2 3h12v8H7.4L4.4 13.8V11H2z',
  book: 'M8 4C6.4 2.8 4.4 2.6 2 2.8v10c2.4-.2 4.4 0 6 1.2 1.6-1.2 3.6-1.4 6-1.2v-10C11.6 2.6 9.6 2.8 8 4zM8 4v10',
  ruler: 'M1.8 5.4h12.4v5.2H1.8zM4.6 5.4V8M7.4 5.4v3.2M10.2 5.4V8',
  link: 'M6.6 9.4l2.8-2.8M7 4.6l1.6-1.6a3 3 0 0 1 4.4 4.4L11.4 9M9 11.4L7.4 13A3 3 0 0 1 3 8.6L4.6 7',
};

/** An icon as an image that CSS can use as a mask. */
export function iconImage(name: Exclude<IconName, 'none'>): string {
  const lines = `<path d='${drawings[name]}' fill='none' stroke='#000' stroke-width='1.5' stroke-linecap='round' stroke-linejoin='round'/>`;
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 16 16'>${lines}</svg>`;
  return `url("data:image/svg+xml,${svg.replace(/[<>#]/g, encodeURIComponent)}")`;
}

/** Rules of the icons that a card has, and of no others. */
export function iconRules(names: Iterable<IconName>): Rule[] {
  const used = [...new Set(names)].filter((name) => name !== 'none');
  if (used.length === 0) return [];
  return [
    [
      '.ivy-icon',
      {
        display: 'inline-block',
        width: '1em',
        height: '1em',
        'margin-inline-end': '0.35em',
        'vertical-align': '-0.12em',
        background: 'currentcolor',
      },
    ],
    ...used.map((name): Rule => [
      `.ivy-icon[data-icon='${name}']`,
      { mask: `${iconImage(name)} center / contain no-repeat` },
    ]),
  ];
}
