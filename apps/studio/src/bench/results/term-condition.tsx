import { fold, type FieldDescription } from '@ivy/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { figure } from '../../shared/figures.js';
import { useTerms } from '../terms-list.js';

/** Terms listed before one looks for others. */
const firstTerms = 8;

/** Terms of which posts must have one, to be ticked; those with most posts first. */
export function TermCondition({
  source,
  field,
  fieldKey,
  is,
  onChange,
  onRemove,
}: {
  source: string;
  field: FieldDescription | undefined;
  fieldKey: string;
  is: readonly string[];
  onChange: (is: string[]) => void;
  onRemove: () => void;
}) {
  const { data: terms, error } = useTerms(source, fieldKey);
  const [find, setFind] = useState('');
  const label = field?.label ?? fieldKey;
  const wanted = fold(find.trim());
  const meeting = (terms ?? []).filter((term) => fold(term.label).includes(wanted));
  const listed = [
    ...meeting.filter(({ slug }) => is.includes(slug)),
    ...meeting.filter(({ slug }) => !is.includes(slug)).sort((a, b) => b.count - a.count),
  ].slice(0, Math.max(firstTerms, is.length));
  const left = meeting.length - listed.length;
  return (
    <section className="section" aria-label={`Only posts with ${label}`}>
      <div className="mb-1.5 flex items-center justify-between gap-2">
        <h3 className="eyebrow">{label}</h3>
        <button type="button" className="icon-button" aria-label={`Any ${label} again`} onClick={onRemove}>
          <X size={14} />
        </button>
      </div>
      {error && <p className="text-bad">{error.message}</p>}
      {(terms?.length ?? 0) > firstTerms && (
        <input
          type="search"
          className="field mb-1.5 h-[27px] w-full"
          aria-label={`Find in ${label}`}
          placeholder={`Find among ${figure(terms!.length)}`}
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      )}
      <ul>
        {listed.map(({ slug, label: term, count }) => (
          <li key={slug}>
            <label className="flex items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={is.includes(slug)}
                onChange={() => onChange(is.includes(slug) ? is.filter((one) => one !== slug) : [...is, slug])}
              />
              <span className="min-w-0 flex-1 truncate">{term}</span>
              <span className="mono text-[12px] text-ink-3">{figure(count)}</span>
            </label>
          </li>
        ))}
      </ul>
      {left > 0 && <p className="text-[13px] text-ink-3">and {figure(left)} more</p>}
      {is.length === 0 && (
        <p className="mt-1 text-[13px] text-ink-3">Tick what posts must have. Until then any {label} will do.</p>
      )}
    </section>
  );
}
