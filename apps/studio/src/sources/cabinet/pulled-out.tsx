import { X } from 'lucide-react';
import { Link } from 'react-router';
import { countOf } from '../../shared/figures.js';
import { ago } from '../../shared/when.js';
import { ThingActs } from '../acts/thing-acts.js';
import { goesWith, goesWithLens } from '../acts/goes-with.js';
import { Meadow } from './meadow.js';
import type { Drawer } from './order.js';

/** A drawer that is pulled out: what the source holds, the lenses on it, and what can be done with it. */
export function PulledOut({ drawer: { source, lenses }, onClose }: { drawer: Drawer; onClose: () => void }) {
  const at = `/sources/${source.slug}`;
  return (
    <aside
      aria-label={source.name}
      className="w-full shrink-0 border border-rule-2 border-t-[3px] border-t-ivy bg-paper lg:sticky lg:top-3 lg:w-[340px]"
    >
      <div className="border-b border-rule bg-ivy-soft px-4 py-2.5">
        <h2 className="flex items-baseline gap-2">
          <span className="serif truncate text-[20px] font-semibold">{source.name}</span>
          <span className="remark text-ink-2">pulled out</span>
          <button
            type="button"
            className="icon-button ms-auto"
            aria-label={`Push ${source.name} back`}
            onClick={onClose}
          >
            <X size={15} />
          </button>
        </h2>
        <p className="text-[13px] text-ink-2">
          <span className="mono">{source.fileName}</span>, {ago(source.updatedAt)}
        </p>
      </div>
      <section className="section">
        <p className="mb-2 flex items-baseline justify-between">
          <span className="serif text-[16px] font-semibold">
            {countOf(source.posts, 'post')}, {countOf(source.fieldCount, 'field')}
          </span>
          {source.findingCount > 0 && <span className="text-rust">{countOf(source.findingCount, 'finding')}</span>}
        </p>
        <Meadow source={source} height={44} gap={14} />
      </section>
      <section className="section">
        <h3 className="eyebrow mb-1">
          {lenses.length === 0 ? 'No lens yet' : countOf(lenses.length, 'lens', 'lenses')}
        </h3>
        <ul className="grid gap-2">
          {lenses.map((lens) => (
            <li key={lens.slug}>
              <p className="flex items-baseline gap-2">
                <Link to={`/lenses/${lens.slug}`} className="link truncate font-semibold">
                  {lens.name}
                </Link>
                <span className="min-w-3 flex-1 border-b border-dotted border-rule-2" />
                <span className={`text-[13px] ${lens.release === null || lens.changed ? 'text-rust' : 'text-ink-2'}`}>
                  {lens.release === null
                    ? 'not released'
                    : `release ${lens.release}${lens.changed ? ', draft differs' : ''}`}
                </span>
              </p>
              {lens.askedAt && <p className="text-[13px] text-ink-2">last asked for {ago(lens.askedAt)}</p>}
              <ThingActs kind="lens" slug={lens.slug} name={lens.name} goes={goesWithLens(lens)} />
            </li>
          ))}
        </ul>
      </section>
      <section className="section grid gap-2">
        <p className="flex gap-2">
          <Link to={at} className="button button-main flex-1 justify-center">
            Open the tray
          </Link>
          {!source.live && (
            <Link to={`${at}/replace`} className="button flex-1 justify-center">
              Replace posts
            </Link>
          )}
        </p>
        <ThingActs kind="source" slug={source.slug} name={source.name} goes={goesWith(source, lenses)}>
          <Link to={`${at}/posts`} className="act">
            Posts<span className="sr-only"> of {source.name}</span>
          </Link>
        </ThingActs>
      </section>
    </aside>
  );
}
