import type { Match } from '@ivy/client';
import { makeLook, type ColourName, type Lens, type Type, type TypeLevel } from '@ivy/core';
import { coloursOf, presets } from '@ivy/view';
import { changeLook, setColour, setShape, setType } from './edits.js';

type Found = Match['found'][number];

/** Something of a page's look as a lens can take it. */
export interface Proposal {
  /** Tells it from the others. */
  id: string;
  label: string;
  /** What the lens has, and what the page has; colours as `#rrggbb`. */
  now: string;
  then: string;
  isColour: boolean;
  /** The selector it stands under on the page. */
  where: string;
  take: (lens: Lens) => Lens;
}

const colours: Partial<Record<Found['part'], { names: readonly ColourName[]; label: string }>> = {
  ink: { names: ['ink'], label: 'Text' },
  ground: { names: ['page'], label: 'Ground of boxes' },
  accent: { names: ['accent', 'focus'], label: 'What is chosen' },
  'on-accent': { names: ['on-accent'], label: 'Text on what is chosen' },
  line: { names: ['line'], label: 'Edges of boxes' },
};

interface OfType {
  level: TypeLevel;
  name: keyof Type;
  label: string;
  unit: string;
}
const types: Partial<Record<Found['part'], OfType>> = {
  family: { level: 'all', name: 'family', label: 'Font', unit: '' },
  size: { level: 'all', name: 'size', label: 'Size', unit: ' %' },
  'line-height': { level: 'all', name: 'line', label: 'Height of lines', unit: ' %' },
  'title-family': { level: 'title', name: 'family', label: 'Font of titles', unit: '' },
  'title-weight': { level: 'title', name: 'weight', label: 'Weight of titles', unit: '' },
  'title-case': { level: 'title', name: 'case', label: 'Case of titles', unit: '' },
};
const texts = new Set<Found['part']>(['family', 'title-family', 'title-case']);

/** What of a page's look a lens does not have yet. */
export function proposalsOf(lens: Lens, found: readonly Found[]): Proposal[] {
  return found.flatMap((one) => proposalOf(lens, one) ?? []).filter(({ now, then }) => now !== then);
}

function proposalOf(lens: Lens, { part, scheme, value, where }: Found): Proposal | null {
  const { look } = lens;
  const common = { id: `${scheme} ${part}`, where, isColour: false };
  const colour = colours[part];
  if (colour) {
    return {
      ...common,
      isColour: true,
      label: scheme === 'dark' ? `${colour.label}, in the dark` : colour.label,
      now: coloursOf(look, scheme)[colour.names[0]!],
      then: value,
      take: (next) => colour.names.reduce((made, name) => setColour(made, scheme, name, value), next),
    };
  }
  const type = types[part];
  if (type) {
    const taken = (texts.has(part) ? value : Number(value)) as Type[typeof type.name];
    const now = look.type[type.level]?.[type.name];
    return {
      ...common,
      label: type.label,
      now: now === undefined ? 'the page’s own' : `${now}${type.unit}`,
      then: `${value}${type.unit}`,
      take: (next) => setType(next, type.level, type.name, taken),
    };
  }
  if (part === 'radius') {
    const now = look.radius ?? presets[look.preset].radius;
    const take = (next: Lens) => setShape(next, 'radius', Number(value));
    return { ...common, label: 'Corners', now: `${now} px`, then: `${value} px`, take };
  }
  if (part !== 'gap') return null;
  const gap = Math.min(80, Number(value));
  return {
    ...common,
    label: 'Room between cards',
    now: `${(look ?? makeLook()).gap} px`,
    then: `${gap} px`,
    take: (next) => changeLook(next, { gap }),
  };
}
