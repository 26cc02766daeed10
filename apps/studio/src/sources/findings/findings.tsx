import type { SourceView } from '@ivy/client';
import { isRemark, mendsIn, type Finding } from '@ivy/core';
import { countOf } from '../../shared/figures.js';
import { mendAll } from '../change-field.js';
import { Effect } from './effect.js';
import { Found } from './found.js';
import { kindNames } from './kind-names.js';
import { Rules } from './rules.js';
import { useMending } from './use-mending.js';

interface Props {
  source: SourceView;
  hues: Map<string, number>;
  /** The field in hand: what was found in it comes first. */
  chosen: string;
  onChoose: (field: string) => void;
  onMended: () => Promise<unknown>;
}

/** What wants a look on a tray, each with what can be done about it, and what was done. */
export function Findings({ source, hues, chosen, onChoose, onMended }: Props) {
  const rules = mendsIn(source.fields);
  if (source.findings.length === 0 && rules.length === 0) {
    return <p className="remark section text-[15px] text-ink-2">Nothing on this tray wants mending.</p>;
  }
  const here = source.findings.filter(({ field }) => field === chosen);
  const others = source.findings.filter(({ field }) => field !== chosen);
  const wrong = others.filter((finding) => !isRemark(finding));
  const remarks = others.filter(isRemark);
  const list = (findings: readonly Finding[], name: string) =>
    findings.length > 0 && (
      <section className="border-b border-rule px-3.5 py-3" aria-label={name}>
        <h2 className="remark mb-1 text-[16px]">{name}</h2>
        {groupsOf(findings).map(([code, group]) => (
          <Kind
            key={code}
            slug={source.slug}
            code={code}
            // of what one kind has elsewhere as well, all is mended at once
            all={source.findings.filter((finding) => finding.code === code)}
            group={group}
            hues={hues}
            onChoose={onChoose}
            onMended={onMended}
          />
        ))}
      </section>
    );
  return (
    <>
      {list(here, 'In this field')}
      {list(wrong, here.length > 0 ? 'Also on this tray' : 'On this tray')}
      {list(remarks, 'Worth knowing')}
      {rules.length > 0 && <Rules slug={source.slug} rules={rules} onUndone={onMended} />}
    </>
  );
}

function groupsOf(findings: readonly Finding[]): [code: string, group: Finding[]][] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const group = groups.get(finding.code);
    if (group) group.push(finding);
    else groups.set(finding.code, [finding]);
  }
  return [...groups];
}

interface KindProps {
  slug: string;
  code: string;
  all: readonly Finding[];
  group: readonly Finding[];
  hues: Map<string, number>;
  onChoose: (field: string) => void;
  onMended: () => Promise<unknown>;
}

/** Findings shown of one kind: the rest come as these are mended. */
const shown = 12;

/** All findings of a kind, with one press for all where there are several. */
function Kind({ slug, code, all, group, hues, onChoose, onMended }: KindProps) {
  const { looked, problem, isBusy, look, keep, leave } = useMending(
    (_all: null, keeps) => mendAll(slug, code, keeps),
    onMended,
  );
  const advised = all.filter(({ mends }) => mends[0] && mends[0].rule.does !== 'keep');
  const name = kindNames[code] ?? 'findings';
  return (
    <>
      {advised.length > 1 && (
        <div className="border-b border-rule py-2">
          <p className="flex items-baseline justify-between gap-2 text-[13px]">
            <span className="text-ink-2">{countOf(all.length, name, name)}</span>
            {looked === null && (
              <button type="button" className="link" disabled={isBusy} onClick={() => look(null)}>
                Mend all of this kind
              </button>
            )}
          </p>
          {looked !== null && <Effect made={looked} isBusy={isBusy} onKeep={keep} onLeave={leave} />}
          {problem !== '' && (
            <p className="mt-1.5 text-bad" role="alert">
              {problem}
            </p>
          )}
        </div>
      )}
      <ul>
        {group.slice(0, shown).map((finding) => (
          <Found
            key={finding.id}
            slug={slug}
            finding={finding}
            hue={hues.get(finding.field)}
            onChoose={onChoose}
            onMended={onMended}
          />
        ))}
      </ul>
      {group.length > shown && (
        <p className="remark py-2 text-[13px] text-ink-3">and {group.length - shown} more like these</p>
      )}
    </>
  );
}
