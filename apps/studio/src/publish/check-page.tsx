import type { CheckFinding } from '@ivy/client';
import { Check, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { askCheck } from './ask-check.js';
import { PageForm } from './page-form.js';

/** Looks at a page for what of an installation stands there: what to do first, with the very line, and then what holds. */
export function CheckPage({ slug }: { slug: string }) {
  const [found, setFound] = useState<CheckFinding[] | null>(null);
  const look = async (page: string) => {
    setFound(null);
    setFound(await askCheck(slug, page));
  };
  const holding = found?.filter(({ ok }) => ok) ?? [];
  const faults = found?.filter(({ ok }) => !ok) ?? [];
  return (
    <section className="section" aria-label="Check a page">
      <h2 className="serif text-[16.5px] font-semibold">Check a page</h2>
      <p className="mt-0.5 text-[13px] text-ink-2">Where it should stand: what is there, and what was forgotten.</p>
      <PageForm label="Address of the page to check" act="Check" onLook={look} />
      <div aria-live="polite">
        {found && (
          <>
            <p className="mt-3 flex items-baseline gap-1.5">
              <b className="serif text-[19px] font-semibold">{holding.length}</b>
              <span className="text-ink-2">of {found.length} hold</span>
            </p>
            <ol className="mt-1">
              {faults.map((one, i) => (
                <Fault key={one.code} finding={one} at={i + 1} />
              ))}
            </ol>
            <ul className="mt-2 grid gap-0.5 text-[13px] text-ink-2">
              {holding.map(({ code, text }) => (
                <li key={code} className="flex items-baseline gap-2">
                  <Check size={13} className="shrink-0 translate-y-[2px] text-ivy" aria-label="Holds" /> {text}
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </section>
  );
}

function Fault({ finding: { text, mend }, at }: { finding: CheckFinding; at: number }) {
  return (
    <li className="border-t border-rule py-2">
      <p className="flex gap-2 font-semibold text-rust">
        <TriangleAlert size={15} className="mt-0.5 shrink-0" aria-label={`To do ${at}`} /> {text}
      </p>
      {/^[<C]/.test(mend) ? (
        <code className="mono mt-1 block overflow-x-auto border border-rule bg-sunk px-2 py-1 text-[11.5px] break-all">
          {mend}
        </code>
      ) : (
        <p className="mt-0.5 text-[13px] text-ink-2">{mend}</p>
      )}
    </li>
  );
}
