import type { MendMade, SourceView } from '@ivy/client';
import { findingId, mendsFor, mendsIn, type Finding } from '@ivy/core';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { countOf } from '../shared/figures.js';
import { Seed } from '../shared/seed.js';
import { mend, unmend } from './change-field.js';

interface Props {
  source: SourceView;
  hues: Map<string, number>;
  onChoose: (field: string) => void;
  onMended: () => Promise<unknown>;
}

/** What wants a look on a tray, each with what can be done about it, and what was done. */
export function Findings({ source, hues, onChoose, onMended }: Props) {
  const rules = mendsIn(source.fields);
  if (source.findings.length === 0 && rules.length === 0) {
    return <p className="remark section text-[15px] text-ink-2">Nothing on this tray wants mending.</p>;
  }
  return (
    <>
      {source.findings.length > 0 && (
        <section className="border-b border-rule px-3.5 py-3">
          <h2 className="remark mb-1 text-[16px]">On this tray</h2>
          <ul>
            {source.findings.map((finding) => (
              <Found
                key={findingId(finding)}
                slug={source.slug}
                finding={finding}
                hue={hues.get(finding.field)}
                onChoose={onChoose}
                onMended={onMended}
              />
            ))}
          </ul>
        </section>
      )}
      {rules.length > 0 && (
        <section className="px-3.5 py-3">
          <h2 className="remark mb-1 text-[16px]">Mended</h2>
          <ul>
            {rules.map(({ id, found, text }) => (
              <Rule key={id} found={found} text={text} undo={() => unmend(source.slug, id).then(onMended)} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

interface FoundProps {
  slug: string;
  finding: Finding;
  hue: number | undefined;
  onChoose: (field: string) => void;
  onMended: () => Promise<unknown>;
}

function Found({ slug, finding, hue, onChoose, onMended }: FoundProps) {
  const [looked, setLooked] = useState<{ mend: string; made: MendMade } | null>(null);
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const run = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setProblem('');
    try {
      await work();
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const id = findingId(finding);
  const look = (one: string) => run(async () => setLooked({ mend: one, made: await mend(slug, id, one, false) }));
  const keep = (one: string) =>
    run(async () => {
      await mend(slug, id, one, true);
      await onMended();
    });
  return (
    <li className="flex gap-2.5 border-b border-rule py-2.5 last:border-0">
      <span className="mt-[3px]">{hue ? <Seed hue={hue} /> : <TriangleAlert size={13} className="text-rust" />}</span>
      <div className="min-w-0 flex-1">
        <p className={finding.code === 'gaps' ? '' : 'font-semibold'}>{finding.text}</p>
        {finding.values.length > 0 && (
          <p className="mt-1 flex flex-wrap gap-1.5">
            {finding.values.map((value) => (
              <span key={value} className="mono max-w-full truncate bg-rust-soft px-1.5 text-[12px]">
                {value}
              </span>
            ))}
          </p>
        )}
        {looked === null ? (
          <p className="mt-1.5 flex flex-wrap gap-1.5">
            {mendsFor(finding).map(({ id: one, text }) => (
              <button
                key={one}
                type="button"
                className="button button-small"
                disabled={isBusy}
                onClick={() => void look(one)}
              >
                {text}
              </button>
            ))}
          </p>
        ) : (
          <Effect
            made={looked.made}
            isBusy={isBusy}
            onKeep={() => void keep(looked.mend)}
            onLeave={() => setLooked(null)}
          />
        )}
        {problem !== '' && (
          <p className="mt-1.5 text-bad" role="alert">
            {problem}
          </p>
        )}
      </div>
      <button type="button" className="link self-start text-[13px]" onClick={() => onChoose(finding.field)}>
        {finding.field}
      </button>
    </li>
  );
}

/** What a mend would do: to posts, to terms, and to lenses. */
function Effect({
  made,
  isBusy,
  onKeep,
  onLeave,
}: {
  made: MendMade;
  isBusy: boolean;
  onKeep: () => void;
  onLeave: () => void;
}) {
  const { changed, before, after, lenses } = made;
  const released = lenses.filter(({ of }) => of === 'release');
  return (
    <div className="mt-2 border-s-2 border-dashed border-ivy ps-2.5" role="status">
      <p>
        {countOf(changed, 'post')} {changed === 1 ? 'changes' : 'change'}; {before.distinct} terms become{' '}
        {after.distinct}.
      </p>
      {released.map(({ slug, name, before: was, after: is }) => (
        <p key={slug} className="text-[13px] text-ink-2">
          {name}, as visitors have it: {was} → {is}
        </p>
      ))}
      <p className="mt-1.5 flex gap-2">
        <button type="button" className="button button-small button-main" disabled={isBusy} onClick={onKeep}>
          Keep
        </button>
        <button type="button" className="button button-small" onClick={onLeave}>
          Leave it
        </button>
      </p>
    </div>
  );
}

function Rule({ found, text, undo }: { found: string; text: string; undo: () => Promise<unknown> }) {
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
  return (
    <li className="flex items-baseline gap-2 border-b border-rule py-2 last:border-0">
      <span className="min-w-0 flex-1">
        {text} <span className="block truncate text-[13px] text-ink-2">{found}</span>
        {problem !== '' && (
          <span className="block text-bad" role="alert">
            {problem}
          </span>
        )}
      </span>
      <button type="button" className="link text-[13px]" disabled={isBusy} onClick={() => void press()}>
        Undo
      </button>
    </li>
  );
}
