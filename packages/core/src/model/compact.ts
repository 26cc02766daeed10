import type { Item, ItemValue } from './answer.js';

/*
 * Answers for a page that knows what does not change from one to the next: terms by their numbers, fields by their
 * places, counts in the order of the options. Plain data, as it goes over a wire.
 */

/** A term as it is sent once: its slug and its label. */
export type FrameTerm = [slug: string, label: string];

/** What the list of a facet's terms is called, where they are not those of a field. */
export function ownTerms(facet: string): string {
  return `facet ${facet}`;
}

/** What of a facet's options stays the same from answer to answer. */
export interface FacetFrame {
  /** Which list of terms the options are of. */
  of: string;
  /**
   * By option, depth first: the number of its term; null where all terms are options, as they are numbered. Of a facet
   * that puts most posts first, siblings stand by label, which is how ties fall.
   */
  terms: number[] | null;
  /** By option: the place of the option above it, -1 at the top; null where none stands under another. */
  parents: number[] | null;
  /** Own labels, by place. */
  labels: Record<number, string>;
  /** Whether siblings are put by their counts, most first. */
  byCount: boolean;
  /** Whether options without posts are left out, unless they are chosen or stand above one that is. */
  hidesZero: boolean;
}

/** What an answer holds of a facet whose frame is known, beside what is chosen. */
export interface CompactCounts {
  selected: string[];
  /** By option of the frame; a negative number stands for so many zeros. */
  counts: number[];
}

/** How long a step of numbers is: `size / down`, of which one is 1. */
export interface NumberCut {
  size: number;
  down: number;
  /** A step of whole numbers ends on its last one; otherwise where the next begins. */
  whole: boolean;
}

/** What an answer holds of a range, beside what is chosen: its steps follow from its bounds. */
export interface CompactRange<V> {
  of: V extends string ? 'days' | 'times' : 'numbers';
  selected: { from: V | null; to: V | null } | null;
  bounds: { from: V; to: V } | null;
  /** As for options. */
  counts: number[];
  /** Of numbers: how they are cut into steps. */
  cut?: NumberCut | null;
}

/** A value of a post: terms by their numbers, where they are not too many to be told once; null for none. */
export type CompactValue = ItemValue | number[] | null;

/** A post: its values in the order of the frame's fields. The title is 0 where it is that of the field of titles. */
export type CompactItem = [
  id: string,
  title: string | 0,
  link: string | null,
  values: CompactValue[],
  marks?: Item['marks'],
];

/** Counts with runs of zeros as one negative number each. */
export function packCounts(size: number, countAt: (place: number) => number): number[] {
  const packed: number[] = [];
  let zeros = 0;
  for (let place = 0; place < size; place++) {
    const count = countAt(place);
    if (count === 0) {
      zeros++;
      continue;
    }
    if (zeros > 0) packed.push(-zeros);
    zeros = 0;
    packed.push(count);
  }
  // what is not reported at the end are zeros
  return packed;
}

/** The inverse of `packCounts`. */
export function unpackCounts(packed: readonly number[], size: number): number[] {
  const counts: number[] = [];
  for (const one of packed) {
    if (one >= 0) counts.push(one);
    else for (let i = 0; i < -one && counts.length < size; i++) counts.push(0);
  }
  while (counts.length < size) counts.push(0);
  return counts;
}
