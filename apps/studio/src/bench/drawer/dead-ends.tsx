import { HelpLink } from '../../shared/help-link.js';
import { holdsTerms, type CrossTable, type DeadEnds as Found } from '@ivy/core';
import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import { countOf, figure } from '../../shared/figures.js';
import { hueAttribute } from '../../shared/seed.js';
import { hideZeros } from '../edits.js';
import type { DrawerParts } from './parts.js';
import { useSight } from './use-sight.js';

/** Pairs of choices that visitors can make and that find nothing: to be looked for, since that may take a while. */
export function DeadEnds(props: DrawerParts) {
  const { lens, dryRuns } = props;
  const [isAsked, setAsked] = useState(false);
  const { seen, isLooking, share, problem } = useSight(
    dryRuns,
    isAsked ? { name: 'dead-ends', lens, address: '', wanted: {} } : null,
  );
  return (
    <section aria-label="Dead ends" className="min-w-0 flex-1 overflow-y-auto px-3.5 py-2 pe-10">
      <div className="flex items-center gap-3">
        <h2 className="remark text-[16px] whitespace-nowrap">Dead ends</h2>
        <HelpLink page="nothing-found" />
        {!isAsked && (
          <button type="button" className="button button-small" onClick={() => setAsked(true)}>
            Look for them
          </button>
        )}
        {isAsked && isLooking && (
          <>
            <progress
              className="h-[7px] w-[120px]"
              max={1}
              {...(share !== null && { value: share })}
              aria-label="Looking for dead ends"
            />
            <button type="button" className="button button-small" onClick={() => setAsked(false)}>
              Cancel
            </button>
          </>
        )}
        {isAsked && seen && !isLooking && (
          <span className="text-[13px] text-ink-2" role="status">
            {figure(seen.dead)} of {countOf(seen.pairs, 'pair')} of choices find nothing
          </span>
        )}
      </div>
      {!isAsked && (
        <p className="text-[13.5px] text-ink-2">Two choices that visitors can make and that find nothing together.</p>
      )}
      {isAsked && problem && (
        <p role="alert" className="text-bad">
          {problem.message}
        </p>
      )}
      {isAsked && seen && seen.dead > 0 && <Between {...props} found={seen} />}
    </section>
  );
}

/** The pairs of facets that have most dead ends, one of them as a table to look at, and its worst to be read and taken away. */
function Between({ found, ...props }: DrawerParts & { found: Found }) {
  const { lens, dryRuns, hues, labelOf, onGo, onEdit } = props;
  const [at, setAt] = useState(0);
  const chosen = found.between[at] ?? found.between[0]!;
  const { seen: table } = useSight(dryRuns, {
    name: 'cross-table',
    lens,
    address: '',
    wanted: { facets: chosen.facets },
  });
  const worst = found.worst.filter(({ choices }) => choices.every(({ facet }) => chosen.facets.includes(facet)));
  const hidden = hideZeros(lens, chosen.facets);
  return (
    <>
      <label className="flex items-center gap-2 py-1.5 text-[13px] text-ink-2">
        Between
        <select className="field h-[28px] max-w-full" value={at} onChange={({ target }) => setAt(Number(target.value))}>
          {found.between.map(({ facets, dead, pairs }, i) => (
            <option key={facets.join(' ')} value={i}>
              {[...new Set(facets)].map(labelOf).join(' and ')}: {figure(dead)} of {figure(pairs)}
            </option>
          ))}
        </select>
      </label>
      <div className="flex flex-wrap items-start gap-3">
        {table && <Table table={table} hue={hues.get(chosen.facets[0]) ?? 1} />}
        <div className="min-w-[140px] flex-1">
          <p className="remark text-[15px]">Most within reach</p>
          <ul className="text-[13.5px]">
            {worst.slice(0, 5).map(({ choices: [a, b], address }) => (
              <li key={address}>
                <button type="button" className="link text-start" onClick={() => onGo(address)}>
                  {a.label} and {b.label}
                </button>{' '}
                <span className="text-ink-2">
                  {figure(a.count)}, {figure(b.count)}
                </span>
              </li>
            ))}
          </ul>
          <Help {...props} facets={chosen.facets} />
          {hidden ? (
            <p className="mt-2 flex flex-wrap items-center gap-2 text-[13.5px]">
              <button type="button" className="button button-small" onClick={() => onEdit(hidden)}>
                Hide what has no post
              </button>
              <span className="text-ink-2">Then nobody is led there.</span>
            </p>
          ) : (
            <p className="mt-2 text-[13.5px] text-ivy">What has no post is hidden here: nobody is led there.</p>
          )}
        </div>
      </div>
    </>
  );
}

/** What else keeps visitors from a dead end: fewer terms, or one facet that follows what is chosen in the other. */
function Help({ lens, source, labelOf, onFocus, facets }: DrawerParts & { facets: [string, string] }) {
  const keys = [...new Set(facets)];
  const shaped = lens.facets.flatMap((facet) =>
    keys.includes(facet.key) &&
    'field' in facet &&
    source.fields.some((one) => one.key === facet.field && holdsTerms(one))
      ? [facet]
      : [],
  );
  return (
    <p className="mt-2 text-[13.5px] text-ink-2">
      {shaped.length > 0 && (
        <>
          Merge terms of{' '}
          {shaped.map(({ key, field }, i) => (
            <Fragment key={key}>
              {i > 0 && ' or '}
              <Link className="link" to={`/sources/${source.slug}/terms/${encodeURIComponent(field)}`}>
                {labelOf(key)}
              </Link>
            </Fragment>
          ))}
          , or{' '}
        </>
      )}
      <button type="button" className="link" onClick={() => onFocus(keys.at(-1)!)}>
        show {labelOf(keys.at(-1)!)} in another way
      </button>
      .
    </p>
  );
}

/** Term by term how many posts two choices find: darker for more, struck where there is none. */
function Table({ table: { rows, columns, counts }, hue }: { table: CrossTable; hue: number }) {
  const most = Math.max(1, ...counts.flat());
  return (
    <div
      className="max-w-full overflow-x-auto"
      {...hueAttribute(hue)}
      tabIndex={0}
      role="group"
      aria-label="Posts by two choices"
    >
      <table className="border-separate border-spacing-[2px] text-[11.5px]">
        <thead>
          <tr>
            <td />
            {columns.map(({ value, label }) => (
              <th key={value} scope="col" className="h-[64px] w-[24px] align-bottom font-normal">
                <span
                  className="inline-block max-h-[62px] overflow-hidden text-ellipsis whitespace-nowrap [writing-mode:vertical-rl] rotate-180"
                  title={label}
                >
                  {label}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, r) => (
            <tr key={row.value}>
              <th scope="row" className="max-w-[110px] truncate pe-1.5 text-end font-normal" title={row.label}>
                {row.label}
              </th>
              {columns.map((column, c) => {
                const count = counts[r]![c]!;
                const words = `${row.label} and ${column.label}: ${figure(count)}`;
                return (
                  <td
                    key={column.value}
                    title={words}
                    className="relative h-[20px] w-[24px] text-center tabular-nums"
                    style={{
                      background:
                        count === 0
                          ? 'repeating-linear-gradient(45deg, var(--rust-soft) 0 3px, transparent 3px 6px)'
                          : `color-mix(in srgb, var(--h) ${Math.round(12 + (count / most) * 38)}%, var(--raised))`,
                    }}
                  >
                    {count === 0 ? <span className="text-rust">0</span> : figure(count)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
