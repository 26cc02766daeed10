import {
  choice,
  flag,
  object,
  optional,
  table,
  whole,
  withDefault,
  type ObjectOf,
  type TypeOf,
} from '../shape/shape.js';

/** Spans of width, the narrowest first. What a lens sets for all widths is what the widest has. */
export const spanNames = ['phone', 'tablet', 'desktop'] as const;
export type SpanName = (typeof spanNames)[number];

/** How cards lie: in columns or rows, the picture first or last; as lines without pictures; as a table, a column a part. */
export const arrangementNames = ['grid', 'columns-reversed', 'rows', 'rows-reversed', 'list', 'table'] as const;
export type ArrangementName = (typeof arrangementNames)[number];

/** Where facets stand: beside the cards; above them, in a row or one under another; or in a sheet behind a button. */
export const placeNames = ['side', 'top', 'stacked', 'sheet'] as const;
export type PlaceName = (typeof placeNames)[number];

const facets = choice(...placeNames);
/** Which way facets lean; beside the cards: on which side they stand. */
const align = choice('start', 'center', 'end');
const arrangement = choice(...arrangementNames);
/** Cards in a row. */
const columns = whole(1, 6);
/** CSS pixels between cards. */
const gap = whole(0, 80);
/** Whether cards of a row are equally tall, with what they end with at their foot. */
const equal = flag();
/** Where pictures stand: as their part says, above the words, beside them, or nowhere. */
const picture = choice('own', 'top', 'side', 'none');

/** What can be another at another width, as it is where nothing else is said. */
export const placedParts = {
  facets: withDefault(facets, () => 'side' as const),
  align: withDefault(align, () => 'start' as const),
  arrangement: withDefault(arrangement, () => 'grid' as const),
  columns: withDefault(columns, () => 3),
  gap: withDefault(gap, () => 24),
  equal: withDefault(equal, () => true),
  picture: withDefault(picture, () => 'own' as const),
};

/** What one narrower span has otherwise. */
export const spanShape = object({
  facets: optional(facets),
  align: optional(align),
  arrangement: optional(arrangement),
  columns: optional(columns),
  gap: optional(gap),
  equal: optional(equal),
  picture: optional(picture),
  /** Facets that are folded there, or open, whatever they are elsewhere; by key. */
  folded: withDefault(table(flag(), 60), () => ({})),
});
export type Span = TypeOf<typeof spanShape>;

/** CSS pixels that a card takes at least, where as many stand in a row as there is room for. */
const leastCard = 220;

/** Cards that stand in a row in some room, in CSS pixels. */
export function cardsAcross({ columns, gap, exact }: Pick<Placed, 'columns' | 'gap' | 'exact'>, room: number): number {
  return exact ? columns : Math.max(1, Math.min(columns, Math.floor((room + gap) / (leastCard + gap))));
}

/** CSS pixels that facets beside cards take, with the room between. */
export const facetsBeside = 296;

/** How a listing lies at one width. */
export type Placed = ObjectOf<typeof placedParts> & {
  /** Whether the cards of a row are as many as said, however narrow they get; else as many as there is room for. */
  exact: boolean;
  folded: Record<string, boolean>;
};
