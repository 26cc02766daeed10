import { eachBit, hasBit, type Bits } from '../engine/base/bits.js';
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
  const scope = scopeOf(index, lens.scope);
  const alone = lensAlone(index, lens, scope);
  const fields = neededFields(index.fields, alone);
  const taxonomies = Object.fromEntries(
    fields.flatMap(({ key }) => {
      const terms = own(index.taxonomies, key);
      return terms ? [[key, terms] as const] : [];
    }),
  );
  const seen: number[] = [];
  eachBit(scope, (post) => void seen.push(post));
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

/**
 * The lens as it sees all posts there are, with the card that its source suggests written out. What is no visitor's to
 * know stays behind: posts it does not see, and the pages it may stand on.
 */
function lensAlone(index: PostIndex, lens: Lens, scope: Bits): Lens {
  const pinned = lens.scope.pinned.filter((id) => {
    const post = index.numberOf(id);
    return post !== undefined && hasBit(scope, post);
  });
  return {
    ...lens,
    scope: { where: [], include: [], exclude: [], pinned },
    markup: { page: '', marks: [] },
    origins: ['*'],
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
