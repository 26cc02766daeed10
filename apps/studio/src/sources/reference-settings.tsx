import type { Reference } from '@ivy/core';
import { useState } from 'react';
import { useApi } from '../api/api.js';
import { Choice } from './choice.js';

interface Props {
  /** Slug of the source the field is of. */
  own: string;
  reference: Reference | null;
  onChange: (reference: Reference) => void;
}

/** Which posts of another source the values of a field stand for: told whole, or not at all. */
export function ReferenceSettings({ own, reference, onChange }: Props) {
  const [draft, setDraft] = useState<Partial<Reference>>(reference ?? {});
  const { data: sources } = useApi('/api/v1/sources', {});
  const { data: other } = useApi('/api/v1/sources/{slug}', draft.source ? { slug: draft.source } : null);
  const change = (more: Partial<Reference>) => {
    const made = { ...draft, ...more };
    setDraft(made);
    if (made.source && made.key && made.label) onChange(made as Reference);
  };
  const choose = (slug: string) => setDraft({ source: slug });
  const fields = (other?.fields ?? []).map(({ key, label }) => [key, label] as const);
  const isAlone = sources?.every(({ slug }) => slug === own);
  if (isAlone) {
    return (
      <p className="remark mt-3 text-ink-2">
        There is no other source yet. Bring in the one its values stand for first.
      </p>
    );
  }
  return (
    <div className="mt-3 grid gap-x-6 gap-y-2.5 sm:grid-cols-2" role="group" aria-label="Stands for">
      <Choice
        label="Posts of"
        value={draft.source ?? ''}
        options={[
          ['', 'choose a source'],
          ...(sources ?? []).filter(({ slug }) => slug !== own).map(({ slug, name }) => [slug, name] as const),
        ]}
        onChange={choose}
      />
      {draft.source && (
        <>
          <Choice
            label="Known by"
            value={draft.key ?? ''}
            options={[['', 'the field with these values'], ...fields]}
            onChange={(key) => change({ key })}
          />
          <Choice
            label="Shown as"
            value={draft.label ?? ''}
            options={[['', 'the field that is shown'], ...fields]}
            onChange={(label) => change({ label })}
          />
        </>
      )}
    </div>
  );
}
