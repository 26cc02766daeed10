import { object, optional, text, type ObjectOf } from '../shape/shape.js';

/** Colours of a listing, with what each is for. A host page may set each as a custom property, `--ivy-` before its name. */
export const colourUses = {
  ink: 'text',
  'ink-2': 'fainter text',
  ground: 'listing ground',
  page: 'box ground',
  soft: 'under the pointer',
  rule: 'hairlines',
  line: 'box edges',
  accent: 'what is chosen',
  'on-accent': 'text on chosen',
  chip: 'chip ground',
  'chip-ink': 'chip text',
  card: 'card ground',
  focus: 'focus ring',
} as const;

export type ColourName = keyof typeof colourUses;
export const colourNames = Object.keys(colourUses) as readonly ColourName[];

/** A colour as `#rrggbb`. */
export const hexColour = text({ pattern: /^#[0-9a-fA-F]{6}$/, says: 'must be a colour such as #1f5b40' });

const colour = optional(hexColour);
const parts = Object.fromEntries(colourNames.map((name) => [name, colour])) as Record<ColourName, typeof colour>;

/** Colours by name; what is left out is the preset's. */
export const coloursShape = object(parts);
export type Colours = ObjectOf<typeof parts>;
