import type { LookView } from '@ivy/client';
import { countOf } from '../../shared/figures.js';

type Listed = LookView['feeds'][number];

/** Feeds that a list of feeds names: those that are ticked become one source. */
export function FeedsList({
  feeds,
  left,
  onLeft,
}: {
  feeds: readonly Listed[];
  left: ReadonlySet<string>;
  onLeft: (left: ReadonlySet<string>) => void;
}) {
  const toggle = (address: string) => {
    const next = new Set(left);
    if (!next.delete(address)) next.add(address);
    onLeft(next);
  };
  return (
    <>
      <p className="mb-3 flex flex-wrap items-baseline gap-x-3">
        <span className="serif text-[23px] font-semibold">{countOf(feeds.length, 'feed')} in this list</span>
        <span className="remark text-[15px] text-ink-2">
          Those that are ticked become one source, with the feed as a field.
        </span>
      </p>
      <ul className="border-t border-rule bg-raised">
        {feeds.map(({ address, name, under }) => (
          <li key={address} className="border-b border-rule px-3 py-2">
            <label className="flex min-h-[24px] flex-wrap items-baseline gap-x-3">
              <input
                type="checkbox"
                className="accent-(--color-ivy)"
                checked={!left.has(address)}
                onChange={() => toggle(address)}
              />
              <b className="font-semibold">{name || address}</b>
              {under.length > 0 && <span className="remark text-ink-2">{under.join(', ')}</span>}
              <span className="mono ms-auto text-[12.5px] break-all text-ink-3">{address}</span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
