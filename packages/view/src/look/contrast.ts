import type { ColourName, Look } from '@ivy/core';
import { coloursOf, schemesOf } from './colours.js';

/** How well one colour stands out from another. */
export interface Contrast {
  scheme: 'light' | 'dark';
  what: string;
  of: ColourName;
  on: ColourName;
  /** From 1 to 21, as WCAG 2.2 measures it. */
  ratio: number;
  /** What it has to be for level AA. */
  least: number;
}

const pairs: readonly (readonly [what: string, of: ColourName, on: ColourName, least: number])[] = [
  ['text', 'ink', 'ground', 4.5],
  ['fainter text', 'ink-2', 'ground', 4.5],
  ['text in boxes', 'ink', 'page', 4.5],
  ['fainter text under the pointer', 'ink-2', 'soft', 4.5],
  ['text on what is chosen', 'on-accent', 'accent', 4.5],
  ['text of chips', 'chip-ink', 'chip', 4.5],
  ['text on cards', 'ink-2', 'card', 4.5],
  ['what is chosen', 'accent', 'ground', 3],
  ['edges of boxes', 'line', 'page', 3],
  ['the focus ring', 'focus', 'ground', 3],
];

/** What a host page is taken to be where a listing has no ground of its own. */
const hostGround = { light: '#ffffff', dark: '#121212' };

/** Every pair of colours that has to be told apart; those that can’t be measured here, such as the host’s ink, are left out. */
export function contrastsOf(look: Look): Contrast[] {
  return schemesOf(look).flatMap((scheme) => {
    const colours = coloursOf(look, scheme);
    const ground = (name: ColourName): string => {
      if (colours[name] !== 'transparent') return colours[name];
      return name === 'card' ? ground('ground') : hostGround[scheme];
    };
    return pairs.flatMap(([what, of, on, least]) => {
      const ratio = contrastOf(colours[of], ground(on));
      return ratio === null ? [] : { scheme, what, of, on, ratio, least };
    });
  });
}

/**
 * The contrast of two colours by WCAG 2.2, “contrast ratio”.
 * @returns null where one of them is no `#rrggbb`
 */
export function contrastOf(one: string, other: string): number | null {
  const [a, b] = [luminanceOf(one), luminanceOf(other)];
  if (a === null || b === null) return null;
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

function luminanceOf(colour: string): number | null {
  const found = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(colour);
  if (!found) return null;
  const [red, green, blue] = found.slice(1).map((part) => {
    const share = parseInt(part, 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}
