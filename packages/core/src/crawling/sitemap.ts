import { planOf, withScratch } from '../answer/plan.js';
import type { Steps } from '../engine/base/steps.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import { encodePart } from '../text/parameters.js';
import { choosable, counter, type Choosable } from '../why/dead-ends.js';
import { indexedOf } from './indexing.js';

/** An address that search engines are told of. */
export interface FoundAddress {
  /** Canonical; '' for the listing as it is at first. */
  address: string;
  /** Keys of the facets that something is chosen in, in the lens's order. */
  facets: string[];
  matched: number;
}

/** Addresses that a sitemap may have (sitemaps.org). */
export const mostInSitemap = 50_000;
/** Posts that two choices together must have, so that their page says more than either’s. */
export const fewestOfPair = 5;

/**
 * The addresses of a lens worth finding: the listing itself, each term of a facet that may stand alone, and pairs of terms that
 * may stand together and have some posts; those with most posts first.
 * Cost: a walk of each term's posts where pairs may stand.
 */
export function* prepareSitemap(index: PostIndex, lens: Lens): Steps<FoundAddress[]> {
  const plan = planOf(index, lens);
  const facets = choosable(plan, lens).filter(
    ({ facet }) => facet.visible && indexedOf(facet) !== 'never' && kindOf(facet).start(facet) === undefined,
  );
  const alone: FoundAddress[] = facets.flatMap((one) =>
    one.terms.map((term) => ({
      address: said(lens, one, term),
      facets: [one.facet.key],
      matched: one.counts[term]!,
    })),
  );
  yield;
  const paired = facets.filter(({ facet }) => indexedOf(facet) === 'paired');
  const pairs: FoundAddress[] = [];
  for (const [i, one] of paired.entries()) {
    for (const term of one.terms) {
      withScratch(index, () => {
        const count = counter(index, plan, one, term);
        for (const other of paired.slice(i + 1)) {
          const counts = count(other);
          for (const second of other.terms) {
            if (counts[second]! < fewestOfPair) continue;
            const address = `${said(lens, one, term)}&${said(lens, other, second)}`;
            pairs.push({ address, facets: [one.facet.key, other.facet.key], matched: counts[second]! });
          }
        }
      });
      if (pairs.length > 2 * mostInSitemap) pairs.sort(byMatched).length = mostInSitemap;
      yield;
    }
  }
  const all: FoundAddress[] = [{ address: '', facets: [], matched: plan.scope.set.count }];
  return [...all, ...alone.sort(byMatched), ...pairs.sort(byMatched)].slice(0, mostInSitemap);
}

function byMatched(a: FoundAddress, b: FoundAddress): number {
  return b.matched - a.matched || (a.address < b.address ? -1 : 1);
}

function said({ address }: Lens, { facet, column }: Choosable, term: number): string {
  return `${encodePart(address.prefix + facet.key)}=${encodePart(column.terms[term]!.slug)}`;
}
