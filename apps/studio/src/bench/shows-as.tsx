import { kinds, suitingKind, type FacetKind, type FieldDescription } from '@ivy/core';
import { kindDesks, kindsInOrder } from './kinds/kind-desks.js';

/** The ways a field can be shown, as small drawings. Only those that can work with the field. */
export function ShowsAs({
  field,
  kind,
  onPick,
}: {
  field: FieldDescription | undefined;
  kind: FacetKind;
  onPick: (kind: FacetKind) => void;
}) {
  const possible = kindsInOrder
    .map((one) => ({ kind: one, ...kindDesks[one] }))
    .filter((way) => way.drawing !== undefined && (field ? kinds[way.kind].canShow(field) : way.kind === kind));
  const suited = field && suitingKind(field);
  const suitedWay = possible.find((way) => way.kind === suited?.kind);
  const isAsGood = field !== undefined && kindDesks[kind].alsoSuits?.(field) === true;
  // where there is no choice there is nothing to show
  if (possible.length < 2) return null;
  return (
    <section className="section">
      <h3 className="eyebrow mb-2">Shows as</h3>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(50px,1fr))] gap-1.5" role="group" aria-label="Shows as">
        {possible.map((way) => (
          <div key={way.kind} className="text-center">
            <button
              type="button"
              className="pick grid h-[38px] w-full place-items-center"
              aria-pressed={way.kind === kind}
              aria-label={way.name}
              onClick={() => onPick(way.kind)}
            >
              {way.drawing}
            </button>
            <span className={`text-[12.5px] ${way.kind === kind ? 'font-semibold' : 'text-ink-2'}`} aria-hidden="true">
              {way.name}
            </span>
          </div>
        ))}
      </div>
      {suitedWay && suitedWay.kind !== kind && !isAsGood && (
        <p className="mt-1.5 text-[13px] text-ink-3">
          {suitedWay.name} would suit: <span className="text-ink-2">{suited!.why}</span>
        </p>
      )}
    </section>
  );
}
