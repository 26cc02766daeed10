import { searchableFields, type Facet } from '@ivy/core';
import { figure } from '../shared/figures.js';
import type { WiringProps } from './kinds/kind-desk.js';
import { AnyAll, Row } from './wiring-parts.js';

type Props = WiringProps<Extract<Facet, { weights: object }>>;

/** The settings of a search: where it looks, and whether all words must be there. */
export function SearchWiring({ facet, fields, dryRun, onChange }: Props) {
  const terms = fields.filter((field) => field.type === 'terms');
  const flip = (key: string) => {
    const next = facet.fields.includes(key) ? facet.fields.filter((one) => one !== key) : [...facet.fields, key];
    // a search in nothing finds nothing: the last field stays
    if (next.length > 0) onChange({ fields: next });
  };
  return (
    <>
      <section className="section">
        <h3 className="eyebrow mb-1.5">Looks in</h3>
        <ul>
          {[...searchableFields(fields), ...terms].map((field) => (
            <li key={field.key}>
              <label className="flex h-[26px] items-center gap-2.5">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs checkbox-primary"
                  checked={facet.fields.includes(field.key)}
                  onChange={() => flip(field.key)}
                />
                <span className="min-w-0 flex-1 truncate">{field.label}</span>
                <span className="text-[12.5px] text-ink-3">{figure(field.filled)} posts</span>
              </label>
            </li>
          ))}
        </ul>
      </section>
      <section className="section">
        <Row label="Match">
          <AnyAll
            value={facet.words}
            noun="words"
            effect={dryRun?.effects[facet.key]}
            onPick={(words) => onChange({ words })}
          />
        </Row>
        <p className="mt-2 text-[13px] text-ink-3">
          A word also finds words it begins. <span className="mono text-[12px]">&quot;quoted words&quot;</span> stand in
          a row, <span className="mono text-[12px]">-word</span> leaves posts out.
        </p>
      </section>
    </>
  );
}
