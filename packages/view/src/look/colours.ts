import { colourNames, type ColourName, type Look } from '@ivy/core';
import { presets } from './presets/presets.js';

/** The colours a listing has in light or in dark: the preset’s, with the lens’s own over them. */
export function coloursOf(look: Look, scheme: 'light' | 'dark'): Record<ColourName, string> {
  return { ...presets[look.preset][scheme], ...look[scheme] };
}

/** The schemes a listing can be seen in. */
export function schemesOf({ scheme }: Look): ('light' | 'dark')[] {
  return scheme === 'light' || scheme === 'dark' ? [scheme] : ['light', 'dark'];
}

/**
 * Declarations of all colours that differ from what a listing has anyway. A host page that sets `--ivy-accent` or another
 * of them, on the element or on anything around it, has its way.
 */
export function colourDeclarations(look: Look): Record<string, string> {
  const light = coloursOf(look, 'light');
  const dark = coloursOf(look, 'dark');
  const usual = presets.plain.light;
  const declared = colourNames.flatMap((name) => {
    const value = valueIn(look.scheme, light[name], dark[name]);
    return value === usual[name] ? [] : [[`--i-${name}`, `var(--ivy-${name}, ${value})`] as const];
  });
  return { ...schemeDeclaration[look.scheme], ...Object.fromEntries(declared) };
}

/** What makes `light-dark()` follow; a listing that follows its host says nothing of its own. */
const schemeDeclaration: Record<Look['scheme'], Record<string, string>> = {
  light: {},
  dark: { 'color-scheme': 'dark' },
  system: { 'color-scheme': 'light dark' },
  host: {},
};

function valueIn(scheme: Look['scheme'], light: string, dark: string): string {
  if (scheme === 'light') return light;
  if (scheme === 'dark') return dark;
  return light === dark ? light : `light-dark(${light}, ${dark})`;
}
