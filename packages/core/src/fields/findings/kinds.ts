import type { Field } from '../../model/post.js';
import type { Watch } from '../read/record-reader.js';
import { bigPictures, notLinks } from './addresses.js';
import { branches, unknownReferences } from './branches.js';
import { ambiguousDays, futureDays } from './days.js';
import { duplicates } from './duplicates.js';
import type { Finding, FindingKind } from './finding.js';
import { gaps } from './gaps.js';
import { extraCells, reversedSpans, unclearKeys } from './records.js';
import { spread } from './spread.js';
import { entitiesAndMarkup } from './texts.js';
import { slugClashes, twins } from './twins.js';
import { unreadable } from './unreadable.js';

/** What a source is looked at for. */
export interface Looking {
  /** All its fields. */
  fields: readonly Field[];
  /** The day it is, `YYYY-MM-DD`. */
  today: string;
}

/** All that can be wrong with values, in the order it is told. */
export function findingKinds({ fields, today }: Looking): FindingKind[] {
  return [
    unreadable,
    ambiguousDays,
    futureDays(today),
    twins,
    slugClashes,
    branches,
    unknownReferences,
    duplicates,
    notLinks,
    bigPictures,
    entitiesAndMarkup,
    extraCells,
    unclearKeys,
    reversedSpans,
    spread,
    gaps(fields),
  ];
}

/** Watches over all fields for all that can be wrong. */
export function watchFor(looking: Looking): Watch<Finding> {
  const kinds = findingKinds(looking);
  return (field, context) => kinds.flatMap((kind) => kind.watch(field, context) ?? []);
}
