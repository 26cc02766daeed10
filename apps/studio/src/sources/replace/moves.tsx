import type { RunMade, SourceView } from '@ivy/client';
import { Link } from 'react-router';
import { figure } from '../../shared/figures.js';

/** Saved addresses that are named. */
const addressesShown = 8;

/** What moves with a file besides the posts: lenses, saved addresses, mends, fields, and what would be found. */
export function Moves({ looked, source }: { looked: RunMade; source: SourceView }) {
  const { lenses = [], addresses = [], mends = [], findings = [], fields } = looked;
  const moved = lenses.filter(({ matched }) => matched.before !== matched.after);
  return (
    <aside
      aria-label="What moves"
      className="shrink-0 border-t border-rule bg-paper lg:w-[320px] lg:overflow-y-auto lg:border-s lg:border-t-0"
    >
      {findings.length > 0 && (
        <section className="border-b border-rule bg-rust-soft px-4 py-3">
          <h2 className="serif text-[16px] font-semibold text-rust">New findings</h2>
          <ul>
            {findings.slice(0, 6).map((finding) => (
              <li key={finding.id} className="py-1">
                {finding.text} <span className="mono text-[12px] text-ink-2">{finding.field}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section className="border-b border-rule px-4 py-3">
        <h2 className="flex items-baseline justify-between">
          <span className="serif text-[17px] font-semibold">Lenses that move</span>
          <span className="text-[13px] text-ink-2">
            {moved.length} of {lenses.length}
          </span>
        </h2>
        {lenses.map(({ slug, name, matched }) => (
          <div key={slug} className="py-1.5">
            <p className="flex items-baseline justify-between gap-2">
              <span className="truncate font-semibold">{name}</span>
              <span className="shrink-0">
                {figure(matched.before)} → <b className="serif">{figure(matched.after)}</b>
              </span>
            </p>
            <Bar before={matched.before} after={matched.after} />
          </div>
        ))}
        {lenses.length === 0 && <p className="remark text-ink-3">None stands on this source.</p>}
      </section>
      {addresses.length > 0 && (
        <section className="border-b border-rule px-4 py-3" aria-label="Saved addresses that move">
          <h2 className="serif text-[17px] font-semibold">Saved addresses that move</h2>
          <ul>
            {addresses.slice(0, addressesShown).map(({ id, lens, name, address, matched, holds }) => (
              <li key={id} className="flex items-baseline justify-between gap-2 py-1">
                <Link to={`/lenses/${lens}/addresses`} className="mono min-w-0 truncate text-[12.5px] hover:underline">
                  {name || `?${address}`}
                </Link>
                <span className={`shrink-0 ${holds ? '' : 'font-semibold text-bad'}`}>
                  {figure(matched.before)} → {figure(matched.after)}
                  {!holds && <span className="sr-only">, which is not what it must find</span>}
                </span>
              </li>
            ))}
          </ul>
          {addresses.length > addressesShown && (
            <p className="text-[13px] text-ink-2">and {figure(addresses.length - addressesShown)} more</p>
          )}
        </section>
      )}
      {fields && fields.added.length + fields.gone.length > 0 && (
        <section className="border-b border-rule px-4 py-3">
          <h2 className="serif text-[17px] font-semibold">Fields</h2>
          {fields.added.map((key) => (
            <p key={key}>
              <span className="mono text-[12.5px]">{key}</span> <span className="text-ink-2">is new</span>
            </p>
          ))}
          {fields.gone.map((key) => (
            <p key={key} className="text-rust">
              <span className="mono text-[12.5px]">{key}</span> has nothing any more
            </p>
          ))}
        </section>
      )}
      {mends.length > 0 && (
        <section className="px-4 py-3">
          <h2 className="serif text-[17px] font-semibold">Mends put on again</h2>
          <ul className="ms-1 border-s border-dashed border-ivy ps-3">
            {mends.map(({ id, text, field, before, after }) => (
              <li key={id} className="flex justify-between gap-2 py-1">
                <span>
                  {text} <span className="mono text-[12px] text-ink-3">{field}</span>
                </span>
                <span className={`shrink-0 ${after === 0 && before > 0 ? 'text-rust' : 'text-ink-2'}`}>
                  {after === 0 && before > 0 ? 'fits nothing' : figure(after)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <p className="remark px-4 py-3 text-[13px] text-ink-3">Fields stay read as on the tray of {source.name}.</p>
    </aside>
  );
}

/** Posts before and after on one scale: what is gained in ivy, what is lost hatched. */
function Bar({ before, after }: { before: number; after: number }) {
  const most = Math.max(1, before, after);
  const share = (n: number) => `${(100 * n) / most}%`;
  return (
    <span className="mt-1 flex h-1.5 bg-sunk" aria-hidden="true">
      <span className="h-full bg-rule-2" style={{ width: share(Math.min(before, after)) }} />
      <span
        className={`h-full ${after >= before ? 'bg-ivy' : 'bg-rust opacity-60'}`}
        style={{ width: share(Math.abs(after - before)) }}
      />
    </span>
  );
}
