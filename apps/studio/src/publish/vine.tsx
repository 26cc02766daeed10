import type { ReleaseView } from '@ivy/client';
import { ago, dayOf } from '../shared/when.js';

interface Props {
  releases: readonly ReleaseView[];
  /** Changes the draft would bring; null before the first release. */
  changes: number | null;
  onRestore: (number: number) => void;
  onAgain: (number: number) => void;
}

/** Releases as leaves on a vine, the newest on top; the draft is a bud above them. */
export function Vine({ releases, changes, onRestore, onAgain }: Props) {
  const isDraftOpen = changes === null || changes > 0;
  return (
    <nav
      aria-label="Releases"
      className="w-[232px] shrink-0 overflow-y-auto border-e border-rule bg-paper pb-10 max-[1023px]:max-h-[300px] max-[1023px]:w-auto"
    >
      <h2 className="remark px-4 pt-4 pb-2 text-[16px]">Releases</h2>
      <ol className="relative">
        {isDraftOpen && (
          <li className="relative border-y border-rule bg-raised py-3 ps-[58px] pe-3">
            <Bud />
            <p className="serif text-[16.5px] font-semibold">
              {releases[0] ? `Release ${releases[0].number + 1}` : 'Release 1'}{' '}
              <span className="ms-1 rounded-[3px] bg-rust-soft px-1.5 font-sans text-[12.5px] text-rust">draft</span>
            </p>
            <p className="text-[13px] text-ink-2">
              {changes === null ? 'The first one' : `${changes} ${changes === 1 ? 'change' : 'changes'} so far`}
            </p>
          </li>
        )}
        {releases.map((release, i) => (
          <li key={release.number} className="relative py-4 ps-[58px] pe-3">
            <Leaf live={i === 0} last={i === releases.length - 1} turned={i % 2 === 1} />
            <p className="serif text-[16.5px] font-semibold">
              Release {release.number}{' '}
              {i === 0 && (
                <span className="ms-1 rounded-[3px] bg-ivy-soft px-1.5 font-sans text-[12.5px] text-ivy">live</span>
              )}
            </p>
            <p className="text-[13px] text-ink-2" title={dayOf(release.createdAt)}>
              {ago(release.createdAt)}
            </p>
            {release.note && <p className="text-[13px] text-ink-2">{release.note}</p>}
            {(i > 0 || (changes ?? 0) > 0) && (
              <button
                type="button"
                className="act link w-full text-[13px] text-ivy"
                onClick={() => onRestore(release.number)}
              >
                make it the draft
              </button>
            )}
            {i > 0 && (
              <button
                type="button"
                className="act link w-full text-[13px] text-ivy"
                onClick={() => onAgain(release.number)}
              >
                put it live again
              </button>
            )}
          </li>
        ))}
      </ol>
    </nav>
  );
}

/** A leaf, and the stem down to the next one: the first release is where the stem comes out of the ground. */
function Leaf({ live, last, turned }: { live: boolean; last: boolean; turned: boolean }) {
  return (
    <div className="absolute inset-y-0 start-0 w-[58px] overflow-hidden" aria-hidden="true">
      <svg width="58" height="400" className={live ? 'absolute top-[22px]' : 'absolute top-0'} fill="none">
        <path
          d="M32 0q5 28 0 56t0 56-2 56 2 56 0 56 0 56 0 64"
          stroke="var(--ivy)"
          strokeWidth="2.5"
          opacity={last ? 0.55 : 1}
        />
      </svg>
      <svg width="58" height="44" className="absolute top-[8px]">
        <g transform={turned ? 'translate(64 0) scale(-1 1)' : undefined} fill="var(--ivy)">
          <path d="M33 27c-5 .5-8 4.5-12.5 3.5 1-2 .5-3.5-1.5-5-2-1.5-4.5-1.5-5-3.5 3 0 5-1.5 5.5-4 .5-2 0-4 1-6 2 2 4.5 2.5 6.5 1.5 2-1 2.5-3.5 5-4.5 0 3.5 2.5 5.5 2.5 9.5 0 3.5-.5 6-1.5 8.5z" />
          <path d="M32 27c-3-4-7-6.5-12-8" stroke="var(--paper)" strokeWidth="1" fill="none" opacity=".7" />
        </g>
      </svg>
    </div>
  );
}

function Bud() {
  return (
    <svg className="absolute start-0 top-0 h-full w-[58px] overflow-visible" aria-hidden="true">
      <path d="M32 30V90" stroke="var(--rust)" strokeWidth="2" strokeDasharray="3 3" />
      <path
        d="M32 32C26 26 26 20 32 12 38 20 38 26 32 32Z"
        fill="var(--raised)"
        stroke="var(--rust)"
        strokeWidth="1.8"
      />
    </svg>
  );
}
