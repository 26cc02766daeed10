import {
  makeLook,
  placedAt,
  type ColourName,
  type Colours,
  type Lens,
  type Look,
  type PresetName,
  type Span,
  type SpanName,
  type Type,
  type TypeLevel,
} from '@ivy/core';
import { presets } from '@ivy/view';

/*
 * What one can do to how a lens lies and looks: pure functions from lens to lens.
 */

/** What can be another at another width, but for what is folded. */
export type PlacedName = Exclude<keyof Span, 'folded'>;

/** A lens that looks otherwise. */
export function changeLook(lens: Lens, change: Partial<Look>): Lens {
  return { ...lens, look: { ...lens.look, ...change } };
}

/** Says how a listing lies: at all widths that say nothing of their own, or in one span alone. */
export function place<N extends PlacedName>(lens: Lens, span: SpanName, name: N, value: Look[N]): Lens {
  if (span === 'desktop') return changeLook(lens, { [name]: value });
  return changeLook(lens, { [span]: { ...lens.look[span], [name]: value } });
}

/** Whether a setting differs: from what is usual, or in a span from all other widths. */
export function isPlaced(lens: Lens, span: SpanName, name: PlacedName): boolean {
  if (span === 'desktop') return lens.look[name] !== makeLook()[name];
  return lens.look[span][name] !== undefined;
}

/** Takes a setting back: to what is usual, or in a span to what all other widths have. */
export function unplace(lens: Lens, span: SpanName, name: PlacedName): Lens {
  if (span === 'desktop') return changeLook(lens, { [name]: makeLook()[name] });
  const { [name]: _gone, ...rest } = lens.look[span];
  return changeLook(lens, { [span]: rest });
}

/** Has a facet open or folded in a span; null: as it is elsewhere. */
export function foldIn(lens: Lens, span: 'phone' | 'tablet', key: string, folded: boolean | null): Lens {
  const { [key]: _before, ...rest } = lens.look[span].folded;
  return changeLook(lens, {
    [span]: { ...lens.look[span], folded: folded === null ? rest : { ...rest, [key]: folded } },
  });
}

/** What facets that go or get another name leave in the spans. */
export function renameFolds(lens: Lens, key: string, name: string | null): Lens {
  const renamed = (span: Span): Span => {
    if (span.folded[key] === undefined) return span;
    const { [key]: folded, ...rest } = span.folded;
    return { ...span, folded: name === null ? rest : { ...rest, [name]: folded! } };
  };
  return changeLook(lens, { phone: renamed(lens.look.phone), tablet: renamed(lens.look.tablet) });
}

/** Pixels that a span is wide at least, so that its flag can be taken again. */
const leastSpan = 40;
/** Widths at which flags can stand. */
export const flagRange = { tabletFrom: [240, 2000], desktopFrom: [240, 3000] } as const;
export type Flag = keyof typeof flagRange;

/** Moves where a span begins; it does not pass its neighbour. */
export function moveFlag(lens: Lens, flag: Flag, width: number): Lens {
  const [least, most] = flagRange[flag];
  const { tabletFrom, desktopFrom } = lens.look;
  const from = flag === 'desktopFrom' ? Math.max(least, tabletFrom + leastSpan) : least;
  const to = flag === 'tabletFrom' ? Math.min(most, desktopFrom - leastSpan) : most;
  return changeLook(lens, { [flag]: Math.round(Math.max(from, Math.min(to, width))) });
}

/** Takes a preset, as it is meant to be seen; what is the lens's own of colours and shape gives way. */
export function choosePreset(lens: Lens, preset: PresetName): Lens {
  const { radius: _radius, border: _border, ...look } = lens.look;
  return { ...lens, look: { ...look, preset, scheme: presets[preset].scheme, light: {}, dark: {} } };
}

/** Sets a colour; null takes it back to the preset's. */
export function setColour(lens: Lens, scheme: 'light' | 'dark', name: ColourName, value: string | null): Lens {
  const { [name]: _before, ...rest } = lens.look[scheme];
  const colours: Colours = value === null ? rest : { ...rest, [name]: value };
  return changeLook(lens, { [scheme]: colours });
}

/** Sets how a text is written; undefined takes a part of that back to the page's own. */
export function setType<N extends keyof Type>(lens: Lens, level: TypeLevel, name: N, value: Type[N]): Lens {
  const { [name]: _before, ...rest } = lens.look.type[level] ?? {};
  const type: Type = value === undefined ? rest : { ...rest, [name]: value };
  const { [level]: _gone, ...others } = lens.look.type;
  return changeLook(lens, { type: Object.keys(type).length === 0 ? others : { ...others, [level]: type } });
}

/** Sets a number that is the preset's while it is not there. */
export function setShape(lens: Lens, name: 'radius' | 'border', value: number | null): Lens {
  if (value !== null) return changeLook(lens, { [name]: value });
  const { [name]: _gone, ...look } = lens.look;
  return { ...lens, look };
}

/** How a listing lies in a span, in a few words. */
export function spanWords(look: Look, span: SpanName): string {
  const { facets, arrangement, columns, exact } = placedAt(look, span);
  const place = { side: 'facets beside', top: 'facets above', stacked: 'facets above', sheet: 'facets in a sheet' };
  const lies =
    arrangement === 'grid' || arrangement === 'columns-reversed'
      ? `${exact || columns === 1 ? '' : 'up to '}${columns} across`
      : arrangement;
  return `${place[facets]}, ${lies.replace('-', ' ')}`;
}
