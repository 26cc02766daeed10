import { ArrowRight, TriangleAlert } from 'lucide-react';
import { hueAttribute, Seed } from '../../shared/seed.js';
import { DeadEnds } from './dead-ends.js';
import type { DrawerParts } from './parts.js';
import type { BenchFinding } from './use-findings.js';

interface Props extends DrawerParts {
  findings: BenchFinding[] | null;
  onPlace: (place: BenchFinding['place']) => void;
}

/** What is wrong with the lens and where it is mended; and the choices that lead to nothing. */
export function FindingsTab({ findings, onPlace, ...parts }: Props) {
  const { hues, labelOf } = parts;
  return (
    <div className="flex h-full">
      <section
        aria-label="Findings of the lens"
        className="w-[27%] min-w-[200px] overflow-y-auto border-e border-rule py-2"
      >
        {findings === null && <p className="remark px-3.5 text-[15px] text-ink-3">Looking…</p>}
        {findings?.length === 0 && (
          <p className="remark px-3.5 text-[15px] text-ink-2">Nothing to mend in the settings of this lens.</p>
        )}
        <ul>
          {findings?.map(({ id, text, isBroken, place }) => {
            const hue = 'facet' in place ? (hues.get(place.facet) ?? 1) : null;
            return (
              <li key={id} {...(hue !== null && hueAttribute(hue))}>
                <button
                  type="button"
                  className="flex w-full items-start gap-2 px-3.5 py-1.5 text-start hover:bg-sunk"
                  onClick={() => onPlace(place)}
                >
                  <span className="mt-[3px]">
                    {hue === null ? (
                      <TriangleAlert size={14} className="text-rust" aria-hidden="true" />
                    ) : (
                      <Seed hue={hue} />
                    )}
                  </span>
                  <span className="min-w-0">
                    <b className={`font-semibold ${isBroken ? 'text-bad' : 'text-hue-text'}`}>
                      {placeName(place, labelOf)}
                    </b>{' '}
                    {text}
                  </span>
                  <ArrowRight size={15} className="ms-auto mt-[3px] shrink-0 text-ink-3" aria-hidden="true" />
                </button>
              </li>
            );
          })}
        </ul>
      </section>
      <DeadEnds {...parts} />
    </div>
  );
}

/** Where something is mended, in a word. */
function placeName(place: BenchFinding['place'], labelOf: (key: string) => string): string {
  if ('facet' in place) return labelOf(place.facet);
  if ('address' in place) return 'Addresses';
  return place.results === 'look' ? 'Look' : 'Words';
}
