import type { Bucket } from '@ivy/core';
import type { Link } from './shown.js';

/*
 * What a visitor sets a facet by, ready to be written down: every word, number and date in the lens's language. Which
 * element stands for it is for those to say who write it.
 */

/** One choice of several that are listed. */
export interface OptionView {
  value: string;
  label: string;
  /** Null where counts are not shown. */
  count: string | null;
  depth: number;
  parent: string | null;
  chosen: boolean;
  /** Not chosen itself, but something below it is. */
  partly: boolean;
  /** Without posts, and drawn back. */
  muted: boolean;
}

/** A box to find options in, and what is said of those that are not among them. */
export interface FindView {
  label: string;
  text: string;
  /** What is said where nothing is found; null where something is. */
  none: string | null;
  /** How many there are besides; null where there are none. */
  more: string | null;
}

interface Listed {
  single: boolean;
  options: OptionView[];
  /** Those that are chosen, whether the list holds them or not. */
  chosen: OptionView[];
  find: FindView | null;
  /** Whether there are more options than an answer holds. */
  isMany: boolean;
}

/** A list to tick, or to take one of; or a tree of them. */
export interface TicksControl extends Listed {
  form: 'ticks';
  isTree: boolean;
  /** The way back to all, of a single choice. */
  all: { label: string; chosen: boolean; link: Link } | null;
}

/** A box to type in, with a list below it. */
export interface ComboboxControl extends Listed {
  form: 'combobox';
  label: string;
  all: string;
  picked: string;
  placeholder: string;
}

/** One list, or several of which each depends on the one before. One of each is chosen. */
export interface SelectsControl {
  form: 'selects';
  lists: SelectView[];
}

export interface SelectView {
  label: string;
  any: { label: string; chosen: boolean; link: Link };
  options: (OptionView & { link: Link })[];
}

/** Choices to press. */
export interface PressesControl extends Listed {
  form: 'presses';
  as: 'pills' | 'links' | 'letters';
  row: 'wrap' | 'scroll';
  options: (OptionView & { link: Link })[];
}

/** On and off. */
export interface SwitchControl {
  form: 'switch';
  label: string;
  on: boolean;
  count: string | null;
  link: Link;
  /** Whether there is nothing to turn on. */
  disabled: boolean;
  /** Either, yes and no, with what each is called in an address; as a switch is where it can't be flipped. */
  ways: WayView[];
}

/** One of a few ways. */
export interface WayView {
  value: string;
  label: string;
  count: string | null;
  chosen: boolean;
  link: Link;
}

/** Either, yes or no. */
export interface WaysControl {
  form: 'ways';
  ways: WayView[];
}

/** Words to be found. */
export interface TextControl {
  form: 'text';
  label: string;
  text: string;
  clear: string;
}

/** Two ends, or one day. */
export interface RangeControl {
  form: 'range';
  of: 'days' | 'times' | 'numbers';
  label: string;
  /** One day is picked and not two ends. */
  isOne: boolean;
  /** As addresses have them; empty where open. */
  from: string;
  to: string;
  ends: { end: 'from' | 'to'; label: string; value: string }[];
  unit: string;
  step: number | undefined;
  bounds: { from: string | number; to: string | number } | null;
  buckets: readonly Bucket<string | number>[];
  /** A picture of where the posts are: heights in per cent of the highest. */
  bars: { height: number; isIn: boolean }[];
  presets: { label: string; on: boolean; link: Link }[];
  presetsLabel: string;
}

/** Only what was marked. */
export interface MarksControl {
  form: 'marks';
  label: string;
  count: string;
  on: boolean;
  disabled: boolean;
  link: Link;
}

export type Control =
  | TicksControl
  | ComboboxControl
  | SelectsControl
  | PressesControl
  | SwitchControl
  | WaysControl
  | TextControl
  | RangeControl
  | MarksControl;
