import type { Field } from '../model/post.js';
import type { Shape } from '../shape/shape.js';
import { choice, text, withDefault } from '../shape/shape.js';
import { fieldKey } from '../kinds/common.js';
import type { Derived } from './derived.js';
import { iconNames, type IconName } from './icons.js';

/** What all parts of a card have. */
export const common = {
  field: fieldKey,
  /** Words before and after its value. */
  before: withDefault(text({ max: 60 }), () => ''),
  words: withDefault(text({ max: 60 }), () => ''),
  /** A small drawing before it, where it is one of the short facts. */
  icon: withDefault(choice(...iconNames), () => 'none' as const),
};

/** The settings all parts have, with the name of the part. */
export interface CommonPart {
  show: string;
  /** Empty where it reads none. */
  field: string;
  before: string;
  words: string;
  icon: IconName;
}

/**
 * All that the rest of the house may ask of a part of a card. One object a part, registered by its name in `parts.ts`.
 * @template P  its settings
 */
export interface PartKind<P extends CommonPart> {
  /** Its settings without the name of the part: type, validation, defaults and JSON Schema. */
  readonly shape: Shape<Omit<P, 'show'>>;
  /** Whether it can show a field; never, where it reads none. */
  readonly suits: (field: Field) => boolean;
  /** The fields it reads, which answers then carry. */
  readonly fields: (part: P) => readonly string[];
  /** What it needs besides that no field has. */
  readonly derived?: (part: P) => readonly Derived[];
}

/** The fields of a part that may name some or none. */
export function named(...keys: readonly string[]): string[] {
  return keys.filter((key) => key !== '');
}
