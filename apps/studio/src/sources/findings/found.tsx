import { isRemark, type Finding } from '@ivy/core';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Seed } from '../../shared/seed.js';
import { mend, writeValues } from '../change-field.js';
import { Effect } from './effect.js';
import { OddValue } from './odd-value.js';
import { useMending } from './use-mending.js';
import { WriteByHand } from './write-by-hand.js';

interface Props {
  slug: string;
  finding: Finding;
  hue: number | undefined;
  onChoose: (field: string) => void;
  onMended: () => Promise<unknown>;
}

/** Codes of findings whose values can be written by hand, one by one. */
const writable = new Set(['unreadable-values', 'impossible-dates', 'mixed-dates', 'future-dates', 'not-links']);

type Wanted = { mend: string } | { values: Record<string, string> };

/** One finding: what it is, its values, and what can be done. */
export function Found({ slug, finding, hue, onChoose, onMended }: Props) {
  const [isWriting, setWriting] = useState(false);
  const { looked, problem, isBusy, look, keep, leave } = useMending(
    (wanted: Wanted, keeps) =>
      'values' in wanted
        ? writeValues(slug, finding.field, wanted.values, keeps)
        : mend(slug, finding.id, wanted.mend, keeps),
    onMended,
  );
  const { values, mends, code, text, field } = finding;
  return (
    <li className="flex gap-2.5 border-b border-rule py-2.5 last:border-0">
      <span className="mt-[3px]">{hue ? <Seed hue={hue} /> : <TriangleAlert size={13} className="text-rust" />}</span>
      <div className="min-w-0 flex-1">
        <p className="flex items-baseline gap-2">
          <span className={`min-w-0 flex-1 ${isRemark(finding) ? '' : 'font-semibold'}`}>{text}</span>
          <button
            type="button"
            className="link max-w-[40%] shrink-0 truncate text-[13px]"
            onClick={() => onChoose(field)}
          >
            {field}
          </button>
        </p>
        {values.length > 0 && (
          <p className="mt-1 flex flex-wrap gap-1.5">
            {values.map((value) => (
              <OddValue key={value} value={value} usual={code === 'near-twins' ? values[0]! : null} />
            ))}
          </p>
        )}
        {looked !== null ? (
          <Effect made={looked} isBusy={isBusy} onKeep={keep} onLeave={leave} />
        ) : isWriting ? (
          <WriteByHand
            finding={finding}
            isBusy={isBusy}
            onWritten={(written) => look({ values: written })}
            onLeave={() => setWriting(false)}
          />
        ) : (
          <p className="mt-1.5 flex flex-wrap gap-1.5">
            {mends.map(({ id, text: words }) => (
              <button
                key={id}
                type="button"
                className="button button-small h-auto min-h-[26px] max-w-full text-start whitespace-normal"
                disabled={isBusy}
                onClick={() => look({ mend: id })}
              >
                {words}
              </button>
            ))}
            {writable.has(code) && (
              <button type="button" className="button button-small" disabled={isBusy} onClick={() => setWriting(true)}>
                Write each by hand
              </button>
            )}
          </p>
        )}
        {problem !== '' && (
          <p className="mt-1.5 text-bad" role="alert">
            {problem}
          </p>
        )}
      </div>
    </li>
  );
}
