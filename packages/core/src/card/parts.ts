import type { Field } from '../model/post.js';
import { variant, type Shape, type TypeOf } from '../shape/shape.js';
import { button } from './button.js';
import { date } from './date.js';
import { mark } from './mark.js';
import { number } from './number.js';
import type { CommonPart, PartKind } from './part.js';
import { picture } from './picture.js';
import { readingTime } from './reading-time.js';
import { terms } from './terms.js';
import { text } from './text.js';
import { title } from './title.js';
import { value } from './value.js';
import { yesNo } from './yes-no.js';

/** Every part a card can have, by its name. All that depends on which parts there are is derived from here. */
export const parts = {
  picture,
  title,
  text,
  date,
  terms,
  number,
  'yes-no': yesNo,
  'reading-time': readingTime,
  value,
  mark,
  button,
};

type Parts = typeof parts;

/** The name of a part. */
export type PartName = keyof Parts;

export const partNames = Object.keys(parts) as readonly PartName[];

/** A part of a card: what its shape says, with every default filled in. */
export type CardPart = { [K in PartName]: TypeOf<Parts[K]['shape']> & { show: K } }[PartName];
export type CardPartOf<K extends PartName> = Extract<CardPart, { show: K }>;

/** The kind of a part, asked as one that could be any. */
export function partKind(part: { show: string }): PartKind<CommonPart> {
  return parts[part.show as PartName] as unknown as PartKind<CommonPart>;
}

/** A part as configs have it. */
export const cardPartShape = variant(
  'show',
  Object.fromEntries(partNames.map((name) => [name, parts[name].shape])) as { [K in PartName]: Parts[K]['shape'] },
) as unknown as Shape<CardPart>;

/** A part with every default filled in. */
export function makePart(config: Partial<CardPart> & { show: PartName }): CardPart {
  return cardPartShape.read(config, '', []);
}

/** The part that shows a field as most would want it; null where a card can't show it. */
export function proposePart(field: Field): CardPart | null {
  const [name] = partsFor(field);
  return name ? makePart({ show: name, field: field.key }) : null;
}

/** The parts that can show a field, the likeliest first. */
export function partsFor(field: Field): PartName[] {
  const fitting = partNames.filter((name) => parts[name].suits(field));
  // a text is a title where it has that role, and a summary else
  return field.role === 'title' ? fitting : fitting.sort((a, b) => Number(a === 'title') - Number(b === 'title'));
}
