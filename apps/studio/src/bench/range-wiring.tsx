import { kindOf, type Facet } from '@ivy/core';
import { figure } from '../shared/figures.js';
import type { WiringProps } from './kinds/kind-desk.js';
import { Row } from './wiring-parts.js';

type Props = WiringProps<Extract<Facet, { endField?: string | undefined }>>;

/** What a range spans, and where its posts are. */
export function RangeWiring({ facet, fields, dryRun, onChange }: Props) {
  const answer = dryRun?.answer.facets.find((one) => one.key === facet.key);
  const found = answer && 'buckets' in answer ? answer : undefined;
  const buckets: readonly { from: string | number; count: number }[] = found?.buckets ?? [];
  const most = Math.max(1, ...buckets.map((bucket) => bucket.count));
  return (
    <>
      <section className="section">
        <div className="flex items-baseline justify-between">
          <h3 className="eyebrow">Bounds</h3>
          <span className="text-[13px] text-ink-2">under all other facets</span>
        </div>
        {found?.bounds ? (
          <>
            <div className="mt-2 flex h-[84px] items-end gap-[2px] border-b border-hue" aria-hidden="true">
              {buckets.map((bucket) => (
                <span
                  key={bucket.from}
                  className="flex-1 bg-hue"
                  style={{
                    height: `${bucket.count === 0 ? 0 : Math.max(3, (100 * bucket.count) / most)}%`,
                    opacity: 0.8,
                  }}
                />
              ))}
            </div>
            <p className="mt-1 flex justify-between text-[13px] text-ink-2">
              <span>{edge(found.bounds.from)}</span>
              <span>{edge(found.bounds.to)}</span>
            </p>
          </>
        ) : (
          <p className="mt-1 text-ink-2">No post that passes the others has a value here.</p>
        )}
      </section>
      <LastsUntil facet={facet} fields={fields} onChange={onChange} />
    </>
  );
}

/** Where what a post tells of lasts: the field it ends by. A post passes when what it lasts and what is chosen overlap. */
function LastsUntil({ facet, fields, onChange }: Pick<Props, 'facet' | 'fields' | 'onChange'>) {
  const ends = fields.filter((one) => one.key !== facet.field && kindOf(facet).canShow(one));
  if (ends.length === 0) return null;
  return (
    <section className="section">
      <Row label="Until">
        <select
          className="field h-[30px] w-full"
          aria-label="Lasts until"
          value={facet.endField ?? ''}
          onChange={({ target }) => onChange({ endField: target.value === '' ? undefined : target.value })}
        >
          <option value="">the same value: no span</option>
          {ends.map(({ key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
      </Row>
    </section>
  );
}

function edge(value: string | number): string {
  return typeof value === 'number' ? figure(value) : value.replace('T', ' ');
}
