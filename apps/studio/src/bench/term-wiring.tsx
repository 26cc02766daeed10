import { Link } from 'react-router';
import { arrangesTerms, arrangeTerms, kindOf, type Facet, type TermFacet } from '@ivy/core';
import {
  changeFacet,
  listAll,
  listOnly,
  moveTerm,
  placeTerm,
  relabelTerm,
  toggleTerm,
  withPresentSlugs,
} from './edits.js';
import { TermsList, useTerms } from './terms-list.js';
import type { WiringProps } from './kinds/kind-desk.js';
import { AnyAll, Row } from './wiring-parts.js';
import { Segments } from '../shared/segments.js';

/** Facets that count by choices; those whose choices can be worded; and `TermFacet`, whose list can be arranged. */
type Facets = Extract<Facet, { counts: boolean }>;
type Listed = Extract<Facet, { labels: object }>;
type Props = WiringProps<Facets>;

/** The settings of a facet whose choices are terms. */
export function TermWiring({ source, lens, facet, field, dryRun, onEdit, onChange }: Props) {
  const answer = dryRun?.answer.facets.find((one) => one.key === facet.key);
  const chosen =
    !answer || !('options' in answer)
      ? []
      : answer.options.filter((option) => option.selected).map((option) => option.value);
  return (
    <>
      {arrangesTerms(facet) && (
        <section className="section">
          <h3 className="eyebrow mb-2">Match</h3>
          {kindOf(facet).isSingle(facet) ? (
            <span className="text-ink-2">one at a time</span>
          ) : (
            <AnyAll
              value={facet.match}
              noun="ticked"
              effect={dryRun?.effects[facet.key]}
              onPick={(match) => onChange({ match })}
              ghostOf={(match) => ({ lens: changeFacet(lens, facet.key, { match }), facet: facet.key })}
            />
          )}
        </section>
      )}
      <Counts facet={facet} onChange={onChange} />
      {'draw' in facet && <DrawnAs source={source} facet={facet} onChange={onChange} />}
      {'labels' in facet && (
        <TermsSection source={source} lens={lens} facet={facet} field={field} chosen={chosen} onEdit={onEdit} />
      )}
    </>
  );
}

/** Whether colours and pictures of terms stand beside their names, and where they are given. */
function DrawnAs({
  source,
  facet,
  onChange,
}: { source: string; facet: Extract<Facet, { draw: string }> } & Pick<Props, 'onChange'>) {
  const { data = [] } = useTerms(source, facet.field);
  const given = data.filter(({ colour, picture }) => colour !== null || picture !== null).length;
  return (
    <section className="section grid gap-1.5">
      <Row label="Drawn with">
        <Segments
          label="Terms are drawn with"
          value={facet.draw}
          ways={{ names: 'names', swatches: 'swatches', pictures: 'pictures' }}
          onPick={(draw) => onChange({ draw })}
        />
      </Row>
      <p className="text-[13px] text-ink-2">
        {given === 0 ? 'No term has a colour or a picture yet.' : `${given} of ${data.length} terms have one.`}{' '}
        <Link className="link" to={`/sources/${source}/terms/${encodeURIComponent(facet.field)}`}>
          Give them
        </Link>
      </p>
    </section>
  );
}

type SectionProps = Pick<WiringProps<Listed>, 'source' | 'lens' | 'facet' | 'field' | 'onEdit'> & {
  chosen: readonly string[];
};

/** Which terms are listed, in which order and by what names. */
function TermsSection({ source, lens: kept, facet: shown, field, chosen, onEdit }: SectionProps) {
  const { data, error } = useTerms(source, shown.field);
  const lens = data ? withPresentSlugs(kept, shown.key, data) : kept;
  const facet = (lens.facets.find((one) => one.key === shown.key) as Listed | undefined) ?? shown;
  const terms = data && arrangesTerms(facet) ? arrangeTerms(facet, data) : data;
  const { key } = facet;
  const reorder = (order: string) => {
    if (order === 'own') return;
    onEdit(changeFacet(lens, key, { order: order as TermFacet['order'], sequence: [] }));
  };
  return (
    <section className="section">
      <div className="mb-1.5 flex items-center justify-between">
        <h3 className="eyebrow">Terms</h3>
        {arrangesTerms(facet) && (
          <select
            className="field h-[26px] pe-1"
            aria-label="Order of terms"
            value={facet.order === 'given' && facet.sequence.length > 0 ? 'own' : facet.order}
            onChange={(event) => reorder(event.target.value)}
          >
            {facet.sequence.length > 0 && <option value="own">In an order of its own</option>}
            <option value="given">{field?.tree ? 'As in the tree' : 'As in the posts'}</option>
            <option value="label">By name</option>
            <option value="count">Most posts first</option>
          </select>
        )}
      </div>
      {arrangesTerms(facet) && terms && terms.length > 0 && (
        <div className="mb-1.5">
          <Row label="Lists">
            <Segments
              label="Which terms are listed"
              value={facet.only.length > 0 ? 'only' : 'all'}
              ways={{ all: 'all but hidden', only: 'only these' }}
              onPick={(which) => onEdit(which === 'only' ? listOnly(lens, key, terms) : listAll(lens, key, terms))}
            />
          </Row>
        </div>
      )}
      <TermsList
        facet={facet}
        terms={terms}
        error={error}
        chosen={chosen}
        onLabel={(term, label) => onEdit(relabelTerm(lens, key, term, label))}
        onEye={(term) => onEdit(toggleTerm(lens, key, term))}
        onPlace={(term, over) => terms && onEdit(placeTerm(lens, key, terms, term, over))}
        onMove={(term, by) => terms && onEdit(moveTerm(lens, key, terms, term, by))}
      />
    </section>
  );
}

function Counts({ facet, onChange }: { facet: Facets; onChange: (patch: Partial<Facet>) => void }) {
  return (
    <section className="section">
      <Row label="Counts">
        <div className="flex items-center gap-2">
          <input
            type="checkbox"
            className="toggle toggle-sm toggle-primary"
            aria-label="Show counts"
            checked={facet.counts}
            onChange={(event) => onChange({ counts: event.target.checked })}
          />
          <span className="ms-auto text-[13px] text-ink-3">zeros</span>
          <div className="flex" role="group" aria-label="Terms with no posts">
            {(['hide', 'mute', 'keep'] as const).map((zero) => (
              <button
                key={zero}
                type="button"
                aria-pressed={facet.zero === zero}
                className="h-[28px] border border-s-0 border-rule-2 px-1.5 first:rounded-s-[3px] first:border-s last:rounded-e-[3px] aria-pressed:bg-hue-ground aria-pressed:font-semibold aria-pressed:shadow-[inset_0_-2px_0_var(--h)]"
                onClick={() => onChange({ zero })}
              >
                {zero[0]!.toUpperCase() + zero.slice(1)}
              </button>
            ))}
          </div>
        </div>
      </Row>
    </section>
  );
}
