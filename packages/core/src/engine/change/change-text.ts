import type { Steps } from '../base/steps.js';
import type { KeptText, PostIndex } from '../index/post-index.js';
import type { InOrder } from '../store/gather-map.js';
import { mergeTexts } from '../words/merge-texts.js';
import { indexTexts, type TextIndex } from '../words/text-index.js';

/** Cuts the words of added posts and takes over those of all others. */
export function* changeText(
  { fields, text: old }: KeptText,
  now: PostIndex,
  { gatherMap, addedAt }: InOrder,
): Steps<TextIndex> {
  const readers = fields.map(({ key, weight }) => ({ weight, read: (i: number) => now.textOf(addedAt[i]!, key) }));
  const added = yield* indexTexts(addedAt.length, readers);
  return yield* mergeTexts(old, added, gatherMap);
}
