import type { PresetName } from '@ivy/core';
import { herbarium } from './herbarium.js';
import { lantern } from './lantern.js';
import { pencil } from './pencil.js';
import { plain } from './plain.js';
import type { Preset } from './preset.js';
import { tideline } from './tideline.js';

/** Every ready look by its name. */
export const presets: Record<PresetName, Preset> = { plain, herbarium, tideline, lantern, pencil };
