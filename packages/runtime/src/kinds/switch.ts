import { drawSwitch } from '../draw/switch.js';
import type { DrawFacet } from '../draw/parts.js';

/** On and off, or one of three. */
export const switchKind: DrawFacet = drawSwitch;
