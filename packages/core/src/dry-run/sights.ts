import { prepareAnswer } from '../answer/prepare-answer.js';
import { prewarmColumns } from '../answer/prewarm.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Steps } from '../engine/base/steps.js';
import { readQuestion } from './dry-run.js';
import { prepareSitemap, type FoundAddress } from '../crawling/sitemap.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import { addressFaults, type AddressFault } from '../why/address-faults.js';
import { crossTable, type CrossTable } from '../why/cross-table.js';
import { deadEndsShown, prepareDeadEnds, type DeadEnds } from '../why/dead-ends.js';
import { prepareFindings, type LensFinding } from '../why/lens-findings.js';
import { prepareNearest, type Nearest, type Wanted } from '../why/nearest.js';
import { waysIn, type WayIn } from '../why/ways-in.js';

/** What the Bench asks of a lens at an address beside its answer: by name, what is said and what comes back. */
export interface Sights {
  nearest: { wanted: Wanted; seen: Nearest };
  'ways-in': { wanted: { post: string }; seen: WayIn[] };
  findings: { wanted: object; seen: LensFinding[] };
  'dead-ends': { wanted: object; seen: DeadEnds };
  faults: { wanted: { address: string }; seen: AddressFault[] };
  sitemap: { wanted: object; seen: FoundAddress[] };
  'cross-table': { wanted: { facets: [string, string] }; seen: CrossTable | null };
}
export type SightName = keyof Sights;

type Tell = (share: number) => void;
type Look<K extends SightName> = (
  index: PostIndex,
  query: Query,
  wanted: Sights[K]['wanted'],
  tell: Tell,
  now: number,
) => Steps<Sights[K]['seen']>;

/** Work of one step. */
function* atOnce<T>(work: () => T): Steps<T> {
  yield;
  return work();
}

const looks: { [K in SightName]: Look<K> } = {
  nearest: (index, query, wanted) => prepareNearest(index, query, wanted),
  'ways-in': (index, query, { post }) =>
    atOnce(() => {
      const number = index.numberOf(post);
      return number === undefined ? [] : waysIn(index, query, number);
    }),
  findings: (index, { lens }) => prepareFindings(index, lens),
  'dead-ends': (index, { lens }, _wanted, tell) => prepareDeadEnds(index, lens, deadEndsShown, tell),
  faults: (index, { lens }, { address }, _tell, now) => atOnce(() => addressFaults(index, lens, address, now)),
  sitemap: (index, { lens }) => prepareSitemap(index, lens),
  'cross-table': (index, { lens }, { facets }) => atOnce(() => crossTable(index, lens, facets)),
};

/**
 * Looks at a lens at an address, step by step, wherever the index is.
 * @param tell  told how much of it is done, from 0 to 1, by what takes long
 */
export function* look<K extends SightName>(
  name: K,
  index: PostIndex,
  lens: Lens,
  address: string,
  wanted: Sights[K]['wanted'],
  now: number,
  tell: Tell = () => undefined,
): Steps<Sights[K]['seen']> {
  yield* prewarmColumns(index, lens);
  const { query } = readQuestion(index, lens, address, now);
  yield* prepareAnswer(index, query);
  return yield* looks[name](index, query, wanted, tell, now);
}
