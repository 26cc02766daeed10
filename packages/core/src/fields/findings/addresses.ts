import { cellText } from '../read/cell.js';
import { isBareAddress } from '../read/mending.js';
import { keepAs, longestWritten, makeFinding, mostWritten, Sample, some, type FindingKind } from './finding.js';

/** What a link begins with that leads anywhere: a scheme, or a place within its site. */
const looksLikeLink =
  /^(?:https?:\/\/|\/|\.{1,2}\/|[#?])\S*$|^[^\s/:]+(?:\/[^\s:]*|\.(?:html?|php|aspx?|avif|gif|jpe?g|png|svg|webp)(?:[?#]\S*)?)$/i;

/** Links that lead nowhere. */
export const notLinks: FindingKind = {
  codes: ['not-links'],
  watch: (field) => {
    if (field.type !== 'link' && field.type !== 'image') return null;
    const sample = new Sample();
    const raws = new Set<string>();
    let bare = 0;
    return {
      see(raw, value, isUnreadable) {
        if (value === undefined && !isUnreadable) return;
        const text = typeof value === 'string' ? value : cellText(raw, field.by);
        const isBare = isBareAddress(text) && !/^[^/?#]+\.(html?|php|aspx?|avif|gif|jpe?g|png|svg|webp)$/i.test(text);
        if (!isUnreadable && !isBare && looksLikeLink.test(text)) return;
        if (isBare) bare++;
        sample.add(text);
        const came = cellText(raw, field.by);
        if (raws.size < mostWritten && came.length <= longestWritten) raws.add(came);
      },
      found: () => {
        const { count, values } = sample;
        if (count === 0) return [];
        const noun = field.type === 'image' ? 'picture' : 'link';
        return [
          makeFinding({
            code: 'not-links',
            field,
            posts: count,
            values,
            text: some(count, `One ${noun} is no address.`, `# ${noun}s are no addresses.`),
            mends: [
              ...(bare > 0
                ? [
                    {
                      id: 'prefix',
                      text: some(bare, 'Read one with https:// before it', 'Read # with https:// before them'),
                      rule: { does: 'prefix' as const, with: 'https://' },
                    },
                  ]
                : []),
              {
                id: 'empty',
                text: `Read them as no ${noun}`,
                rule: { does: 'read', from: [...raws], into: '' },
              },
              keepAs('They are meant as they are'),
            ],
          }),
        ];
      },
    };
  },
};

/** Pixels a picture of a card is wide at most, on the widest screen with the finest dots. */
const widest = 2000;

/** Pictures whose addresses say that they are far wider than a card. */
export const bigPictures: FindingKind = {
  codes: ['big-pictures'],
  watch: (field) => {
    if (field.type !== 'image') return null;
    const sample = new Sample();
    return {
      see(_raw, value) {
        if (typeof value === 'string' && widthIn(value) > widest) sample.add(value);
      },
      found: () => {
        const { count, values } = sample;
        if (count === 0) return [];
        return [
          makeFinding({
            code: 'big-pictures',
            field,
            posts: count,
            values,
            text: some(
              count,
              'By its address, one picture is far wider than a card.',
              'By their addresses, # pictures are far wider than a card.',
            ),
            mends: [keepAs('Show them all the same')],
          }),
        ];
      },
    };
  },
};

/** The width an address of a picture tells, in pixels; 0 where it tells none. */
function widthIn(address: string): number {
  const said =
    /[?&;](?:w|width)=(\d{2,5})\b/i.exec(address) ?? /(?:^|[^\d])(\d{3,5})x\d{3,5}(?:[^\d]|$)/i.exec(address);
  return said ? Number(said[1]) : 0;
}
