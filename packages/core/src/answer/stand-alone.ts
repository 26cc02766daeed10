import { eachBit } from '../engine/base/bits.js';
import type { Steps } from '../engine/base/steps.js';
import { IndexBuilder } from '../engine/index/build.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { cardParts } from '../lens/card.js';
import type { Lens } from '../lens/lens.js';
import { namedFields } from '../lens/named-fields.js';
import { fieldWithRole, type Field } from '../model/post.js';
import { own } from '../text/own.js';
import { prewarmText } from './prewarm.js';
import { scopeOf } from './scope.js';

/** A lens with all it needs to answer, and nothing else of its source. */
export interface AloneLens {
  lens: Lens;
  index: PostIndex;
}

/** Posts added at a time, so that others get their turn. */
const portion = 500;

/**
 * Takes a lens out of its source: the posts it sees, and of them the fields it shows, filters by, sorts by or searches. Every
 * address is answered as before, but that a search is lenient by the words of these posts alone, and that letters and values
 * which only other posts of the source have are no choices any more.
 */
export function* standAlone(index: PostIndex, lens: Lens): Steps<AloneLens> {
  const alone = lensAlone(index, lens);
  const fields = neededFields(index.fields, alone);
  const taxonomies = Object.fromEntries(
    fields.flatMap(({ key }) => {
      const terms = own(index.taxonomies, key);
      return terms ? [[key, terms] as const] : [];
    }),
  );
  const seen: number[] = [];
  eachBit(scopeOf(index, lens.scope), (post) => void seen.push(post));
  const builder = new IndexBuilder(fields, taxonomies, seen.length);
  for (let from = 0; from < seen.length; from += portion) {
    builder.add(
      seen.slice(from, from + portion).map((post) => ({
        id: index.idOf(post),
        values: Object.fromEntries(
          fields.flatMap(({ key }) => {
            const value = index.valueOf(post, key);
            return value === undefined ? [] : [[key, value] as const];
          }),
        ),
      })),
    );
    yield;
  }
  const made = yield* builder.finish();
  yield* prewarmText(made, alone);
  return { lens: alone, index: made };
}

/** The lens as it sees all posts there are, with the card that its source suggests written out. */
function lensAlone(index: PostIndex, lens: Lens): Lens {
  const { limit: _limit, ...scope } = lens.scope;
  return {
    ...lens,
    scope: { ...scope, where: [], include: [], exclude: [] },
    card: { ...lens.card, parts: cardParts(lens, index.fields) },
  };
}

function neededFields(fields: readonly Field[], lens: Lens): Field[] {
  const named = new Set(namedFields(lens).map(({ key }) => key));
  // what it is called, where it leads, and which is newer: of every post, whatever its card shows
  for (const role of ['title', 'link', 'published'] as const) {
    const field = fieldWithRole(fields, role);
    if (field) named.add(field.key);
  }
  return fields.filter(({ key }) => named.has(key));
}
