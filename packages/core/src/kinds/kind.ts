import type { FieldDescription } from '../fields/describe.js';
import type { Counted, KeptCounts } from '../engine/index/counting.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { PostSet } from '../engine/sets/post-set.js';
import type { SortedColumn } from '../engine/columns/sorted-column.js';
import type { Steps } from '../engine/base/steps.js';
import type { TermColumn } from '../engine/columns/term-column.js';
import type { Arena } from '../engine/kernel/arena.js';
import type { CompactCounts, CompactRange, FacetFrame } from '../model/compact.js';
import type { Notice } from '../model/notice.js';
import type { Field } from '../model/post.js';
import type { Selection } from '../model/selection.js';
import type { Search } from '../engine/words/search.js';
import type { TextIndex } from '../engine/words/text-index.js';
import type { Shape, ShapeProblem } from '../shape/shape.js';
import type { Tell } from './change.js';
import type { CommonConfig } from './common.js';
import type { Misses } from './miss.js';
import type { SettingChange } from './setting-change.js';
import type { Drawn, ShownTerms } from './terms/shown.js';
import type { Warning } from './warning.js';

/** What a kind may know of the lens around its facet. */
export interface Locale {
  /** BCP 47 tag of the language visitors read. */
  readonly language: string;
  /** IANA time zone that moments are brought to before their day is taken. */
  readonly zone: string;
}

/** What reading an address asks of: the posts, the day, and where to say what was not taken as it stood. */
export interface Reading extends Locale {
  readonly index: PostIndex;
  /** Day number of today. */
  readonly today: number;
  readonly notices: Notice[];
}

/** What a facet counts by over all posts. */
export interface Columns {
  /** Its terms; null where it has none. */
  readonly terms: TermColumn | null;
  /** Its ordered values: of a range its start and its end, the same column twice where it is no span. */
  readonly ordered: readonly SortedColumn[];
}

/** What of a facet does not change from query to query: worked out once a lens. */
export interface FacetPlan extends Columns {
  readonly label: string;
  /** Which terms may be shown and how they stand; null where that does not come up. */
  readonly shown: ShownTerms | null;
  /**
   * Counts under one common term alone, by term: most questions with one or two facets on ask for these, and a term on
   * many posts is dear to count under. A post has few terms, so few of them can be common; the plan bounds how many.
   */
  readonly common: (KeptCounts | undefined)[];
}

/** What a kind has whose selection is words to be found: posts are then ranked and marked by them. */
export interface Finding<F> {
  /** The words it looks in. */
  readonly textIndex: (index: PostIndex, facet: F) => TextIndex;
  /** Prepares what `textIndex` asks for. */
  readonly prepareText: (index: PostIndex, facet: F) => Steps<TextIndex>;
  readonly search: (index: PostIndex, facet: F, text: string, arena?: Arena | null) => Search;
  /** Prepares what `search` asks for. */
  readonly prepareSearch: (index: PostIndex, facet: F, text: string) => Steps<Search>;
}

/**
 * All that the rest of the house may ask of a kind of facet. One object a kind, registered by its name in `kinds.ts`;
 * what kinds share (terms, ranges) is composed in. Hot paths are called once a facet and answer, never once a post.
 * @template F  its config
 * @template A  what an answer holds of it
 * @template S  what only its pages need to know
 */
export interface FacetKind<F extends CommonConfig, A, S extends object = object> {
  /** Its config without the name of the kind: type, validation, defaults and JSON Schema. */
  readonly shape: Shape<Omit<F, 'kind'>>;
  /**
   * Where its config has texts that visitors read, besides the label: names of settings, parted by slashes, with a star
   * for every place of a list.
   */
  readonly texts: readonly string[];
  /** What such a facet is called in a sentence, such as `ticks`. */
  readonly noun: string;
  /** Whether a comma in an address parts its values. */
  readonly splits: boolean;
  /** Whether its choice is a stretch with two ends, which a form sends in two boxes. */
  readonly hasEnds?: boolean;
  /** Whether what an address says of it can depend on the day, such as “the last 30 days”. */
  readonly isDaily?: boolean;
  /** Whether its choices can be listed, so that search engines may keep an address of each. */
  readonly isListable?: boolean;
  /** A value that a text which is none comes near to; null where nothing does. */
  readonly nearValue?: (value: string) => { value: string; label: string } | null;
  /** What stands after the `=` in an address, as an example. */
  readonly valueForm: (facet: F) => string;

  /** The fields it reads. */
  readonly fields: (facet: F) => readonly string[];
  /** The field whose label stands in where the facet has none of its own. */
  readonly labelField: (facet: F) => string | undefined;
  /** Whether at most one thing may be chosen. */
  readonly isSingle: (facet: F) => boolean;
  /** Whether its counts are taken with its own selection applied. */
  readonly keepsOwn: (facet: F) => boolean;

  /** What is chosen where an address says nothing. */
  readonly start: (facet: F) => Selection | undefined;
  /**
   * Reads the values of an address; never throws, and notes what it passes over.
   * @returns undefined where nothing could be read, null where the address says that nothing is chosen
   */
  readonly read: (facet: F, values: readonly string[], reading: Reading) => Selection | null | undefined;
  /** Its inverse, encoded; '' where nothing need be said. */
  readonly write: (facet: F, selection: Selection | undefined) => string;

  readonly columns: (index: PostIndex, locale: Locale, facet: F) => Columns;
  /** Prepares what `columns` and `shown` ask for. */
  readonly prepare: (index: PostIndex, locale: Locale, facet: F) => Steps<void>;
  readonly shown: (facet: F, columns: Columns) => ShownTerms | null;
  /**
   * The posts whose values meet what is chosen. The set may be one the index keeps: it must not be changed.
   * @param chosen  numbers of the terms that are chosen
   * @param arena   where the set may lie if it is not kept beyond an answer
   */
  readonly passing: (
    index: PostIndex,
    locale: Locale,
    facet: F,
    selection: Selection,
    chosen: readonly number[],
    arena: Arena | null,
  ) => PostSet;
  /** What a page needs to draw the facet, with exact counts over the posts it is to be counted under. */
  readonly answer: (
    facet: F,
    plan: FacetPlan,
    selection: Selection | undefined,
    chosen: readonly number[],
    under: Counted,
  ) => A;
  /** What of its answers stays the same; null where that is nothing. */
  readonly frame?: (facet: F, plan: FacetPlan) => FacetFrame | null;
  /** What `answer` gives beside the frame and the settings; null where that does not tell all. */
  readonly compact?: (
    facet: F,
    plan: FacetPlan,
    selection: Selection | undefined,
    chosen: readonly number[],
    under: Counted,
  ) => CompactCounts | CompactRange<string> | CompactRange<number> | null;
  /** Finds terms by a part of their labels, where it has terms. */
  readonly find?: (facet: F, plan: FacetPlan, under: Counted, chosen: readonly number[], text: string) => Drawn;
  readonly finding?: Finding<F>;

  /** How posts stand to a choice, in words and measured. */
  readonly misses: (index: PostIndex, locale: Locale, facet: F, selection: Selection) => Misses;
  /** Whether any and all can be distinguished in it. */
  readonly takesMatch: (facet: F) => boolean;
  /** The same facet with a setting changed; itself where it has no such setting. */
  readonly changed: (facet: F, change: SettingChange) => F;

  /** What is wrong with a config beyond its shape and fields that are not there; pointers from the facet on. */
  readonly problems: (facet: F, fields: ReadonlyMap<string, Field>) => ShapeProblem[];
  /** @param field  what is known of the first field it reads; absent where it reads none */
  readonly warnings: (facet: F, field: FieldDescription | undefined) => Warning[];
  /** Why it is what a field is best shown as; null where it is not. Of all kinds at most one says so of a field. */
  readonly suits: (field: FieldDescription) => string | null;
  /** Whether it can show a field at all. */
  readonly canShow: (field: Field) => boolean;
  /** Tells visitors' terms of what differs in settings that only some kinds have. `was` may be of another kind. */
  readonly changes: (was: CommonConfig, is: F, tell: Tell) => void;
  readonly settings: (facet: F) => S;
}

/** A kind of a facet that has no column of any sort. */
export const noColumns: Columns = { terms: null, ordered: [] };
