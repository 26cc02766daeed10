import type { Mend } from '@ivy/core';
import { useState } from 'react';
import { unmend } from '../change-field.js';

interface Props {
  slug: string;
  rules: readonly (Mend & { field: string })[];
  onUndone: () => Promise<unknown>;
}

/** The mends in force, as stitches on one thread: each is undone by itself, in any order. */
export function Rules({ slug, rules, onUndone }: Props) {
  return (
    <section className="px-3.5 py-3" aria-label="Mended">
      <h2 className="remark mb-1 text-[16px]">Mended</h2>
      <ul className="ms-1 border-s border-dashed border-ivy ps-3">
        {rules.map((rule) => (
          <Rule key={rule.id} rule={rule} undo={() => unmend(slug, rule.id).then(onUndone)} />
        ))}
      </ul>
    </section>
  );
}

function Rule({ rule, undo }: { rule: Mend & { field: string }; undo: () => Promise<unknown> }) {
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const press = async () => {
    setBusy(true);
    try {
      await undo();
    } catch (error) {
      setProblem((error as Error).message);
      setBusy(false);
    }
  };
  const { text, found, field, used } = rule;
  const fits = used !== 0;
  return (
    <li className="relative flex items-baseline gap-2 py-1.5">
      <span aria-hidden="true" className="absolute -start-[17px] top-[11px] h-[3px] w-2 rounded-full bg-ivy" />
      <span className="min-w-0 flex-1">
        {text} <span className="mono text-[12px] text-ink-3">{field}</span>
        <span className="block truncate text-[13px] text-ink-2" title={found}>
          {found}
        </span>
        {!fits && <span className="block text-[13px] text-rust">Fits nothing any more.</span>}
        {problem !== '' && (
          <span className="block text-bad" role="alert">
            {problem}
          </span>
        )}
      </span>
      <button type="button" className="link text-[13px]" disabled={isBusy} onClick={() => void press()}>
        Undo<span className="sr-only"> “{text}”</span>
      </button>
    </li>
  );
}
