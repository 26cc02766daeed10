import type { ColourName, Look } from '@ivy/core';
import type { Rule } from '../rule.js';

/** A colour of CSS. Those of presets may follow the page’s own ink. */
export type PresetColours = Record<ColourName, string>;

/** A ready look: one object a preset, registered by its name. It needs no font and no file. */
export interface Preset {
  name: string;
  /** What it is like, in a few words. */
  words: string;
  light: PresetColours;
  dark: PresetColours;
  /** How it is meant to be seen at first. */
  scheme: Look['scheme'];
  /** CSS pixels. */
  radius: number;
  border: number;
  family: string | null;
  rules: readonly Rule[];
}
