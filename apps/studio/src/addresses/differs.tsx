import type { AddressCheck, SavedAddressView } from '@ivy/client';
import { Link } from 'react-router';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';

interface Props {
  slug: string;
  hues: ReadonlyMap<string, number>;
  expect: SavedAddressView['expect'];
  check: AddressCheck;
  onSettle: (expect: SavedAddressView['expect']) => void;
}

/** What made an address differ: the posts it lost, by the facet that lets them fall, those that came, and ways to settle it. */
export function Differs({ slug, hues, expect, check, onSettle }: Props) {
  const { got, reasons, lost, gained, notices } = check;
  const { matched } = got;
  const before = matched + lost.reduce((sum, one) => sum + one.posts, 0) - gained.posts;
  const wanted = expect.matched ?? expect.min ?? expect.max ?? before;
  const most = Math.max(wanted, matched, 1);
  const least = Math.max(1, Math.floor(matched * 0.8));
  return (
    <div
      className="border-t border-dashed border-rule-2 bg-raised px-3 py-2.5"
      role="group"
      aria-label="Why it differs"
    >
      <p className="text-bad">{reasons.join('; ')}.</p>
      <div className="mt-2 flex items-center gap-3">
        <Figure n={wanted} words="expected" />
        <div className="relative h-[30px] min-w-0 flex-1" aria-hidden="true">
          <span
            className="absolute inset-y-0 start-0 bg-ivy-soft"
            style={{ width: `${(100 * Math.min(wanted, matched)) / most}%` }}
          />
          <span
            className="absolute inset-y-0 border-s-2 border-dashed border-bad bg-bad-soft"
            style={{
              insetInlineStart: `${(100 * Math.min(wanted, matched)) / most}%`,
              width: `${(100 * Math.abs(wanted - matched)) / most}%`,
            }}
          />
        </div>
        <Figure n={matched} words="came" isBad />
      </div>
      <ul className="mt-2 grid gap-1">
        {lost.map((one) => {
          const hue = one.facet === null ? undefined : hues.get(one.facet);
          return (
            <li
              key={`${one.facet} ${one.text}`}
              {...(hue ? hueAttribute(hue) : {})}
              className="flex flex-wrap items-baseline gap-x-2"
            >
              {hue ? <Seed hue={hue} size={11} /> : <span className="w-[11px]" />}
              <b className="font-semibold text-bad">−{figure(one.posts)}</b>
              <span>{one.text}</span>
              <span className="text-[13px] text-ink-2">{one.some.map(({ title }) => `“${title}”`).join(', ')}</span>
            </li>
          );
        })}
        {gained.posts > 0 && (
          <li className="flex flex-wrap items-baseline gap-x-2">
            <span className="w-[11px]" />
            <b className="font-semibold text-ivy">+{figure(gained.posts)}</b>
            <span>came since</span>
            <span className="text-[13px] text-ink-2">{gained.some.map(({ title }) => `“${title}”`).join(', ')}</span>
          </li>
        )}
        {notices.map(({ code, text }) => (
          <li key={`${code} ${text}`} className="ps-[19px] text-[13px] text-ink-2">
            {text}
          </li>
        ))}
      </ul>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <span className="remark text-ink-2">To settle it</span>
        <button type="button" className="button button-small" onClick={() => onSettle({ matched })}>
          accept <b className="text-ivy">{figure(matched)}</b>
        </button>
        {matched > 0 && (
          <button type="button" className="button button-small" onClick={() => onSettle({ min: least })}>
            ask for at least <b className="text-ivy">{figure(least)}</b>
          </button>
        )}
        <Link to={`/lenses/${slug}?${check.canonical}`} className="link ms-auto text-[13px]">
          open it on the bench
        </Link>
      </p>
    </div>
  );
}

function Figure({ n, words, isBad = false }: { n: number; words: string; isBad?: boolean }) {
  return (
    <span className="shrink-0">
      <b className={`serif text-[21px] font-semibold ${isBad ? 'text-bad' : ''}`}>{figure(n)}</b>{' '}
      <span className="text-[13px] text-ink-2">{words}</span>
    </span>
  );
}
