import { searchableFields, type Facet, type FieldDescription, type RankMove } from '@ivy/core';
import { figure } from '../shared/figures.js';
import { changeFacet } from './edits.js';
import type { WiringProps } from './kinds/kind-desk.js';
import { AnyAll, Row } from './wiring-parts.js';

type Props = WiringProps<Extract<Facet, { weights: object }>>;

/** The settings of a search: where it looks, how much each place counts, and whether all words must be there. */
export function SearchWiring({ lens, facet, fields, dryRun, onChange }: Props) {
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
              {facet.fields.includes(field.key) && facet.fields.length > 1 && (
                <Weight
                  label={field.label}
                  value={weightOf(facet, field)}
                  onChange={(weight) =>
                    onChange({ weights: { ...facet.weights, [field.key]: weight } }, `weight ${field.key}`)
                  }
                />
              )}
            </li>
          ))}
        </ul>
      </section>
      <FirstPage facet={facet} dryRun={dryRun} onReset={() => onChange({ weights: {} })} />
      <section className="section">
        <Row label="Match">
          <AnyAll
            value={facet.words}
            noun="words"
            effect={dryRun?.effects[facet.key]}
            onPick={(words) => onChange({ words })}
            ghostOf={(words) => ({ lens: changeFacet(lens, facet.key, { words }), facet: facet.key })}
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

/** How often a word in a field counts: the title thrice, unless it is set otherwise. */
function weightOf({ weights }: Props['facet'], { key, role }: FieldDescription): number {
  return weights[key] ?? (role === 'title' ? 3 : 1);
}

/** The most a field can be set to count by the slider; the config takes more. */
const heaviest = 10;

function Weight({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <div className="flex h-[24px] items-center gap-2.5 ps-[26px]">
      <input
        type="range"
        className="range range-xs range-primary flex-1"
        min={1}
        max={Math.max(heaviest, value)}
        step={1}
        value={value}
        aria-label={`Weight of ${label}`}
        aria-valuetext={`counts ${value} times`}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <span className="mono w-[30px] text-end text-[12px] text-ink-2">×{value}</span>
    </div>
  );
}

/** Posts of the first page that are listed. */
const listed = 6;

/** What the weights do to the first page, as long as something is searched for on it. */
function FirstPage({ facet, dryRun, onReset }: Pick<Props, 'facet' | 'dryRun'> & { onReset: () => void }) {
  if (Object.keys(facet.weights).length === 0) return null;
  const moves = dryRun?.moves[facet.key];
  return (
    <section className="section" aria-label="First page by these weights">
      <div className="flex items-center justify-between gap-2">
        <h3 className="eyebrow">First page</h3>
        <button type="button" className="button button-small" onClick={onReset}>
          Usual weights
        </button>
      </div>
      {moves ? (
        <ol className="mt-1.5">
          {moves.slice(0, listed).map((move, i) => (
            <li key={move.id} className="flex items-baseline gap-2 py-0.5 text-[13px]">
              <span className="mono w-[16px] text-end text-[12px] text-ink-3">{i + 1}</span>
              <span className="min-w-0 flex-1 truncate">{move.title}</span>
              <Moved move={move} place={i + 1} />
            </li>
          ))}
        </ol>
      ) : (
        <p className="mt-1.5 text-[13px] text-ink-3">Search for something on the page to see what the weights do.</p>
      )}
    </section>
  );
}

function Moved({ move: { before }, place }: { move: RankMove; place: number }) {
  if (before === place) return <span className="text-[12.5px] text-ink-3">stays</span>;
  if (before === null) return <span className="text-[12.5px] font-semibold text-ivy">new here</span>;
  const by = before - place;
  return (
    <span className={`mono text-[12px] ${by > 0 ? 'text-ivy' : 'text-ink-3'}`}>
      <span aria-hidden="true">
        {by > 0 ? '↑' : '↓'}
        {Math.abs(by)}
      </span>
      <span className="sr-only">{`${Math.abs(by)} places ${by > 0 ? 'up' : 'down'}`}</span>
    </span>
  );
}
