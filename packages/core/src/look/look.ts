import { choice, object, optional, whole, withDefault, type TypeOf } from '../shape/shape.js';
import { coloursShape } from './colours.js';
import { placedParts, spanNames, spanShape, type Placed, type Span, type SpanName } from './placing.js';
import { typesShape } from './type-levels.js';

/** Ready looks; `plain` is none of them. */
export const presetNames = ['plain', 'herbarium', 'tideline', 'lantern', 'pencil'] as const;
export type PresetName = (typeof presetNames)[number];

const noSpan = (): Span => ({ folded: {} });

/** How a listing lies at each width, and how it looks. */
export const lookShape = object({
  ...placedParts,
  /** CSS pixels from which the listing counts as a tablet's, and as a desktop's. */
  tabletFrom: withDefault(whole(240, 2000), () => 640),
  desktopFrom: withDefault(whole(240, 3000), () => 1000),
  /** What differs there. Facets of a phone are in a sheet unless it says otherwise. */
  tablet: withDefault(spanShape, noSpan),
  phone: withDefault(spanShape, noSpan),
  preset: withDefault(choice(...presetNames), () => 'plain' as const),
  /** Light, dark, as the visitor's system has it, or as the host page says by `color-scheme`. */
  scheme: withDefault(choice('light', 'dark', 'system', 'host'), () => 'light' as const),
  light: withDefault(coloursShape, () => ({})),
  dark: withDefault(coloursShape, () => ({})),
  type: withDefault(typesShape, () => ({})),
  /** Per cent of the room between and within things. */
  space: withDefault(whole(50, 200), () => 100),
  /** CSS pixels by which corners are rounded. */
  radius: optional(whole(0, 40)),
  /** CSS pixels of edges. */
  border: optional(whole(0, 6)),
});
export type Look = TypeOf<typeof lookShape>;

/** A look with every default filled in. */
export function makeLook(look: Partial<Look> = {}): Look {
  return lookShape.read(look, '', []);
}

/** How a listing lies at each width, all worked out: what a page needs of it besides its sheet. */
export type PageLook = Pick<Look, 'tabletFrom' | 'desktopFrom'> & Record<SpanName, Placed>;

/** What a page needs to know of how a listing lies. */
export function pageLook(look: Look): PageLook {
  const { tabletFrom, desktopFrom } = look;
  const [phone, tablet, desktop] = spanNames.map((span) => placedAt(look, span)) as [Placed, Placed, Placed];
  return { tabletFrom, desktopFrom, phone, tablet, desktop };
}

/** How a listing lies in a span of widths. */
export function placedAt(look: Look, span: SpanName): Placed {
  const own: Span = span === 'desktop' ? noSpan() : look[span];
  const { facets, align, arrangement, columns, gap, equal, picture } = look;
  const all = { facets, align, arrangement, columns, gap, equal, picture };
  const usual = span === 'phone' ? { ...all, facets: 'sheet' as const } : all;
  return { ...usual, ...own, exact: own.columns !== undefined };
}
