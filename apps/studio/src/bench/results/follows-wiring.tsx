import { arrangesTerms, kindOf, type Facet, type FieldDescription, type Lens } from '@ivy/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useApi } from '../../api/api.js';
import { useTerms } from '../terms-list.js';
import type { ResultsProps } from './parts.js';

type Follow = Lens['follows'][number];

/** Which choices in other lenses of a page narrow the posts here: a field here has the terms of a facet there. */
export function FollowsWiring({ lens, slug: own, source, fields, onEdit }: ResultsProps) {
  const { data: lenses } = useApi('/api/v1/lenses', {});
  const [begun, setBegun] = useState('');
  const others = (lenses ?? []).filter(({ slug }) => slug !== own);
  const nameOf = (slug: string) => others.find((one) => one.slug === slug)?.name ?? slug;
  const set = (follows: Follow[]) => onEdit({ ...lens, follows });
  if (others.length === 0 && lens.follows.length === 0) return null;
  return (
    <section className="section" aria-label="Follows other lenses">
      <h3 className="eyebrow mb-1.5">Follows on the same page</h3>
      <ul>
        {lens.follows.map((follow, i) => (
          <li key={`${follow.lens} ${follow.facet}`} className="mb-2 border-s-2 border-ivy ps-2.5">
            <FollowLine
              follow={follow}
              name={nameOf(follow.lens)}
              source={source}
              fields={fields}
              onChange={(field) => set(lens.follows.with(i, { ...follow, field }))}
              onRemove={() => set(lens.follows.toSpliced(i, 1))}
            />
          </li>
        ))}
      </ul>
      <select
        className="field w-full"
        aria-label="Follow another lens"
        value={begun}
        onChange={(event) => setBegun(event.target.value)}
      >
        <option value="">What is chosen in…</option>
        {others.map(({ slug, name }) => (
          <option key={slug} value={slug}>
            {name}
          </option>
        ))}
      </select>
      {begun !== '' && (
        <FacetsOf
          key={begun}
          slug={begun}
          taken={lens.follows.flatMap(({ lens: other, facet }) => (other === begun ? facet : []))}
          onPick={(facet) => {
            const there = kindOf(facet).fields(facet)[0];
            const field = fieldsOfTerms(fields).find(({ key }) => key === there) ?? fieldsOfTerms(fields)[0];
            if (field) set([...lens.follows, { lens: begun, facet: facet.key, field: field.key }]);
            setBegun('');
          }}
        />
      )}
      <p className="mt-1.5 text-[13px] text-ink-3">
        Where both stand on one page, a choice there narrows the posts here. Here, on the Bench, this lens stands alone.
      </p>
    </section>
  );
}

function fieldsOfTerms(fields: readonly FieldDescription[]): FieldDescription[] {
  return fields.filter(({ type }) => type === 'terms');
}

/** The facets of another lens whose terms can be followed. */
function FacetsOf({ slug, taken, onPick }: { slug: string; taken: readonly string[]; onPick: (facet: Facet) => void }) {
  const { data } = useApi('/api/v1/lenses/{slug}', { slug });
  if (!data) return <p className="mt-1.5 text-[13px] text-ink-3">Looking at its facets…</p>;
  const facets = data.draft.facets.filter((facet) => arrangesTerms(facet) && !taken.includes(facet.key));
  if (facets.length === 0) return <p className="mt-1.5 text-[13px] text-ink-3">It has no facet of terms.</p>;
  return (
    <div className="mt-1.5 flex flex-wrap gap-1.5" role="group" aria-label="Facet to follow">
      {facets.map((facet) => (
        <button key={facet.key} type="button" className="pick min-h-[31px] px-2" onClick={() => onPick(facet)}>
          {facet.label || facet.key}
        </button>
      ))}
    </div>
  );
}

interface LineProps {
  follow: Follow;
  name: string;
  source: string;
  fields: readonly FieldDescription[];
  onChange: (field: string) => void;
  onRemove: () => void;
}

/** One facet that is followed, the field here that has its terms, and how many of them both have. */
function FollowLine({ follow, name, source, fields, onChange, onRemove }: LineProps) {
  const { data: other } = useApi('/api/v1/lenses/{slug}', { slug: follow.lens });
  const facet = other?.draft.facets.find(({ key }) => key === follow.facet);
  const label = facet?.label || follow.facet;
  return (
    <>
      <div className="flex items-center justify-between gap-2">
        <span>
          <b className="font-semibold">{label}</b> <span className="text-ink-2">in {name}</span>
        </span>
        <button
          type="button"
          className="icon-button"
          aria-label={`No longer follow ${label} in ${name}`}
          onClick={onRemove}
        >
          <X size={15} aria-hidden="true" />
        </button>
      </div>
      <label className="flex items-center justify-between gap-2 text-[13px] text-ink-2">
        by its terms in
        <select
          className="field"
          aria-label={`Field for ${label} in ${name}`}
          value={follow.field}
          onChange={(event) => onChange(event.target.value)}
        >
          {fieldsOfTerms(fields).map((field) => (
            <option key={field.key} value={field.key}>
              {field.label}
            </option>
          ))}
        </select>
      </label>
      {facet && other && (
        <Shared
          here={{ source, field: follow.field }}
          there={{ source: other.source, field: kindOf(facet).fields(facet)[0]! }}
        />
      )}
    </>
  );
}

interface Vocabulary {
  source: string;
  field: string;
}

/** How many terms two fields share: with none, following would always leave nothing. */
function Shared({ here, there }: { here: Vocabulary; there: Vocabulary }) {
  const { data: ours } = useTerms(here.source, here.field);
  const { data: theirs } = useTerms(there.source, there.field);
  if (!ours || !theirs) return null;
  const known = new Set(ours.map(({ slug }) => slug));
  const shared = theirs.filter(({ slug }) => known.has(slug)).length;
  const isNone = shared === 0;
  return (
    <p className={`mt-1 text-[13px] ${isNone ? 'text-bad' : 'text-ink-3'}`} role={isNone ? 'alert' : undefined}>
      {isNone
        ? 'None of its terms is in this field: a choice there would leave nothing here.'
        : `${shared} of its ${theirs.length} terms are here too.`}
    </p>
  );
}
