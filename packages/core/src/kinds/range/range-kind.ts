import { nearDates, nearNumbers } from './near.js';
import type { FieldDescription } from '../../fields/describe.js';
import type { Counted } from '../../engine/index/counting.js';
import type { PostIndex } from '../../engine/index/post-index.js';
import { postsWithin, type SortedColumn } from '../../engine/columns/sorted-column.js';
import type { AnswerHead, Bucket } from '../../model/answer.js';
import { packCounts, type CompactRange, type NumberCut } from '../../model/compact.js';
import type { FieldType } from '../../model/post.js';
import type { Selection } from '../../model/selection.js';
import type { Shape } from '../../shape/shape.js';
import type { Tell } from '../change.js';
import type { CommonConfig } from '../common.js';
import type { FacetKind, Locale, Reading } from '../kind.js';
import { noValues } from '../terms/warnings.js';
import type { Warning } from '../warning.js';
import { wrongType } from '../wrong-type.js';
import type { RangeConfig } from './config.js';
import type { RangeColumns } from './histogram.js';
import { rangeMisses, type RangeWords } from './misses.js';

/** What an answer holds of a range. */
export interface RangeFacetAnswer<V> extends AnswerHead {
  selected: { from: V | null; to: V | null } | null;
  /** Least and greatest value under every other facet; null when there is none. */
  bounds: { from: V; to: V } | null;
  buckets: Bucket<V>[];
}

type Ends = [from: number | null, to: number | null];

/** What one kind of ranges has of its own. All else such kinds share. */
interface Own<F extends RangeConfig, V, S extends object> {
  shape: Shape<Omit<F, 'kind'>>;
  noun: string;
  texts: readonly string[];
  isDaily: boolean;
  types: readonly FieldType[];
  /** What a field it can read is called. */
  fieldNoun: string;
  readonly read: (facet: F, values: readonly string[], reading: Reading) => Selection | undefined;
  /** The ends that are chosen, as the column has them. */
  readonly endsOf: (selection: Selection) => Ends;
  readonly column: (index: PostIndex, locale: Locale, field: string, orElse?: string) => SortedColumn;
  readonly selected: (selection: Selection | undefined) => RangeFacetAnswer<V>['selected'];
  readonly histogram: (columns: RangeColumns, under: Counted) => Pick<RangeFacetAnswer<V>, 'bounds' | 'buckets'>;
  /** Of numbers: how they are cut into steps. */
  readonly cut?: (columns: RangeColumns, low: V, high: V) => NumberCut;
  of: CompactRange<string | number>['of'];
  words: RangeWords;
  /** A value of the column as a choice holds it. */
  readonly written: (value: number) => V;
  /** Why it suits a field it can read; null where another kind does. */
  why: string | null;
  readonly warnings?: (field: FieldDescription) => Warning[];
  readonly changes: (was: CommonConfig, is: F, tell: Tell) => void;
  readonly settings: (facet: F) => S;
}

/** A kind whose choice is a stretch of an ordered field. */
export function rangeKind<F extends RangeConfig, V, S extends object>(
  own: Own<F, V, S>,
): FacetKind<F, RangeFacetAnswer<V>, S> {
  const columnsOf = (index: PostIndex, locale: Locale, { field, endField }: F): RangeColumns => {
    if (endField === undefined) {
      const both = own.column(index, locale, field);
      return { start: both, end: both };
    }
    // a post with one end alone is a span of one value
    return { start: own.column(index, locale, field, endField), end: own.column(index, locale, endField, field) };
  };
  const fields = ({ field, endField }: F) => (endField === undefined ? [field] : [field, endField]);
  return {
    shape: own.shape,
    noun: own.noun,
    texts: own.texts,
    splits: false,
    hasEnds: true,
    isDaily: own.isDaily,
    nearValue: own.of === 'numbers' ? nearNumbers : nearDates,
    valueForm: () => 'from/to',
    fields,
    labelField: ({ field }) => field,
    isSingle: () => false,
    keepsOwn: () => false,
    start: () => undefined,
    read: (facet, values, reading) => own.read(facet, values, reading),
    write: (_facet, selection) =>
      selection && 'from' in selection ? `${selection.from ?? '..'}/${selection.to ?? '..'}` : '',
    columns: (index, locale, facet) => {
      const { start, end } = columnsOf(index, locale, facet);
      return { terms: null, ordered: [start, end] };
    },
    *prepare(index, locale, facet) {
      columnsOf(index, locale, facet);
      yield;
    },
    shown: () => null,
    passing: (index, locale, facet, selection, _chosen, arena) => {
      const { start, end } = columnsOf(index, locale, facet);
      return postsWithin(start, end, ...own.endsOf(selection), arena);
    },
    answer: ({ key, kind, visible }, { label, ordered: [start, end] }, selection, _chosen, under) => {
      const selected = own.selected(selection);
      // written out: to spread an object is many times slower
      const { bounds, buckets } = own.histogram({ start: start!, end: end! }, under);
      return { key, kind, label, visible, selected, bounds, buckets };
    },
    compact: (_facet, { ordered: [start, end] }, selection, _chosen, under) => {
      const { bounds, buckets } = own.histogram({ start: start!, end: end! }, under);
      const counts = packCounts(buckets.length, (i) => buckets[i]!.count);
      const cut = own.cut && bounds && own.cut({ start: start!, end: end! }, bounds.from, bounds.to);
      const range = { of: own.of, selected: own.selected(selection), bounds, counts, ...(own.cut && { cut }) };
      return range as CompactRange<string> | CompactRange<number>;
    },
    misses: (index, locale, facet, selection) =>
      rangeMisses(columnsOf(index, locale, facet), own.endsOf(selection), own.words, (end, value) => ({
        ...selection,
        [end]: own.written(value),
      })),
    takesMatch: () => false,
    // what ended by another field lasts no longer where that is the start now
    changed: (facet, change) => {
      if (!('field' in change)) return facet;
      const { endField, ...rest } = facet;
      return { ...rest, field: change.field, ...(endField !== change.field && { endField }) } as F;
    },
    problems: (facet, known) =>
      fields(facet).flatMap((key, i) =>
        wrongType(known, key, i === 0 ? 'field' : 'endField', own.types, own.fieldNoun),
      ),
    warnings: (_facet, field) => {
      if (!field) return [];
      const found = own.warnings?.(field) ?? [];
      return found.length > 0 || field.filled > 0 ? found : [noValues];
    },
    suits: ({ type }) => (own.types.includes(type) ? own.why : null),
    canShow: ({ type }) => own.types.includes(type),
    changes: own.changes,
    settings: own.settings,
  };
}
