import fc from 'fast-check';
import { finished } from '../base/steps.js';
import { gatherMapOf } from '../store/gather-map.js';
import { mergeTexts } from './merge-texts.js';
import { recut } from './recut.js';
import { indexTexts } from './text-index.js';

const words = fc
  .array(fc.constantFrom('tern', 'terns', 'Reed', 'otter', 'eel', 'čírka'), { maxLength: 4 })
  .map((all) => all.join(' '));
const post = fc.record({ title: words, label: words, other: words, isOther: fc.boolean() });
type One = { title: string; label: string; other: string; isOther: boolean };

const labelOf = ({ label, other, isOther }: One) => (isOther ? other : label);
const indexOf = (posts: readonly One[], label: (one: One) => string) =>
  finished(
    indexTexts(posts.length, [
      { weight: 3, read: (p) => posts[p]!.title },
      { weight: 1, read: (p) => label(posts[p]!) },
    ]),
  );

test('an index with one field of some posts cut again is the one that would be made', () => {
  fc.assert(
    fc.property(fc.array(post, { minLength: 1, maxLength: 12 }), (posts) => {
      const old = indexOf(posts, (one) => one.label);
      const others = Uint32Array.from(posts.flatMap(({ isOther }, p) => (isOther ? [p] : [])));
      const asked: string[] = [];
      const read = (p: number) => {
        asked.push(posts[p]!.other);
        return posts[p]!.other;
      };
      const added = finished(recut(old, others, [null, read]));
      expect(asked).toEqual([...others].map((p) => posts[p]!.other));
      const rows = Int32Array.from(posts, (_, p) => (others.includes(p) ? ~others.indexOf(p) : p));
      expect(finished(mergeTexts(old, added, gatherMapOf(rows)))).toEqual(indexOf(posts, labelOf));
    }),
  );
});
