import type { ForPage } from '../lens/for-page.js';
import { splitAddress } from '../text/parameters.js';

/** What a page asks of a lens. */
export interface PageQuery {
  /** What it sets for itself. */
  own: ForPage;
  /** Where pages stand below one another: the first one wanted. */
  from: number;
  /** What its visitors chose. */
  address: string;
}

const ownNames = new Set(['~prefix', '~scope', '~driven', '~lang', '~from']);

/** Parts a page's query into what it sets for itself, in names that begin with `~`, and the address that is left. */
export function readPageQuery(query: string): PageQuery {
  if (!query.includes('~') && !query.includes('%7')) {
    return { own: { prefix: null, scope: '', driven: '', languages: [] }, from: 1, address: query };
  }
  const parameters = splitAddress(query);
  const valueOf = (name: string) => parameters.find((one) => one.name === name)?.value ?? null;
  return {
    own: {
      prefix: valueOf('~prefix'),
      scope: valueOf('~scope') ?? '',
      driven: valueOf('~driven') ?? '',
      languages: languagesIn(valueOf('~lang')),
    },
    from: Number(/^[1-9]\d{0,8}$/.exec(valueOf('~from') ?? '')?.[0] ?? 1),
    address: parameters.flatMap(({ name, raw }) => (ownNames.has(name) ? [] : raw)).join('&'),
  };
}

/** Tags of languages with commas between them, as `~lang` and `Accept-Language` have them, as far as anyone reads on. */
export function languagesIn(list: string | null | undefined): string[] {
  const tags = (list ?? '').slice(0, 200).split(',');
  return tags.flatMap((one) => /^\s*([A-Za-z]{1,8}(?:-[A-Za-z0-9]{1,8})*)\s*(?:;|$)/.exec(one)?.[1] ?? []);
}
