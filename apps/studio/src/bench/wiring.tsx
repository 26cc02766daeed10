import { isSingle, isSwitch, type Facet, type FacetKind, type FieldDescription, type Lens } from '@ivy/core';
import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { ApiProblem } from '../api/api.js';
import type { Trial } from '../api/types.js';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { changeFacet, changeKind, renameFacet, toggleTerm } from './edits.js';
import { ShowsAs } from './shows-as.js';
import { TermsList } from './terms-list.js';

interface Props {
  source: string;
  posts: number;
  fields: readonly FieldDescription[];
  lens: Lens;
  facet: Facet;
  hue: number;
  trial: Trial | null;
  problem: ApiProblem | null;
  onEdit: (lens: Lens, topic?: string, focus?: string) => void;
  onRemove: () => void;
}

/** The settings of the facet in hand, read top to bottom like a sentence. */
export function Wiring({ source, posts, fields, lens, facet, hue, trial, problem, onEdit, onRemove }: Props) {
  const field = fields.find((one) => one.key === facet.field);
  const label = facet.label || field?.label || facet.key;
  const answer = trial?.answer.facets.find((one) => one.key === facet.key);
  const chosen = answer ? [answer.selected].flat().filter((value) => value !== null) : [];
  const change = (patch: Partial<Facet>, topic?: string) => onEdit(changeFacet(lens, facet.key, patch), topic);
  const at = lens.facets.indexOf(facet);
  const errors = problem?.errors.filter((error) => error.pointer.startsWith(`/config/facets/${at}/`)) ?? [];
  return (
    <div {...hueAttribute(hue)} className="flex h-full flex-col border-t-4 border-hue">
      <header className="flex items-center gap-2.5 border-b border-rule bg-hue-ground px-3.5 py-3">
        <Seed hue={hue} size={18} />
        <h2 className="serif min-w-0 truncate text-[21px] leading-tight font-semibold">{label}</h2>
        <span className="remark text-[15px] text-ink-2">wiring</span>
        <button
          type="button"
          className="icon-button ms-auto"
          aria-label={`Delete the facet ${label}`}
          title="Delete (undo brings it back)"
          onClick={onRemove}
        >
          <Trash2 size={15} />
        </button>
      </header>
      <div className="min-h-0 flex-1 overflow-y-auto">
        {errors.map((error) => (
          <p key={error.pointer} className="section bg-rust-soft text-rust" role="alert">
            {sentence(error.pointer.split('/').at(-1)!, error.message)}
          </p>
        ))}
        <Reads field={field} fieldKey={facet.field} posts={posts} />
        <section className="section">
          <h3 className="eyebrow mb-2">Shows as</h3>
          <ShowsAs
            field={field}
            kind={facet.kind}
            onPick={(kind: FacetKind) => onEdit(changeKind(lens, facet.key, kind))}
          />
        </section>
        {!isSwitch(facet) && <Match facet={facet} trial={trial} onPick={(match) => change({ match })} />}
        <Counts facet={facet} onChange={change} />
        <section className="section">
          <div className="mb-1.5 flex items-center justify-between">
            <h3 className="eyebrow">Terms</h3>
            {!isSwitch(facet) && (
              <select
                className="field h-[26px] pe-1"
                aria-label="Order of terms"
                value={facet.order}
                onChange={(event) => change({ order: event.target.value as 'given' })}
              >
                <option value="given">{field?.tree ? 'As in the tree' : 'As in the posts'}</option>
                <option value="label">By name</option>
                <option value="count">Most posts first</option>
              </select>
            )}
          </div>
          <TermsList
            source={source}
            facet={facet}
            chosen={chosen}
            onEye={(term) => onEdit(toggleTerm(lens, facet.key, term))}
          />
        </section>
        <section className="section">
          <Row label="Label">
            <input
              className="field w-full"
              aria-label="Label visitors read"
              value={facet.label}
              maxLength={120}
              placeholder={field?.label ?? ''}
              onChange={(event) => change({ label: event.target.value }, `label ${facet.key}`)}
            />
          </Row>
        </section>
      </div>
      <AddressName
        key={facet.key}
        lens={lens}
        facet={facet}
        onRename={(name) => onEdit(renameFacet(lens, facet.key, name), undefined, name)}
      />
    </div>
  );
}

function Reads({ field, fieldKey, posts }: { field: FieldDescription | undefined; fieldKey: string; posts: number }) {
  const filled = field?.filled ?? 0;
  return (
    <section className="section">
      <div className="flex items-center gap-3">
        <h3 className="eyebrow w-[54px]">Reads</h3>
        <span className="mono rounded-[3px] border border-rule-2 bg-raised px-2 py-0.5 text-[12.5px]">{fieldKey}</span>
        <span className="ms-auto text-[13px] text-ink-2">{field ? describe(field) : 'gone from the source'}</span>
      </div>
      <div className="mt-2 h-1 bg-sunk" aria-hidden="true">
        <div className="h-full bg-hue" style={{ width: `${(100 * filled) / Math.max(1, posts)}%` }} />
      </div>
      <p className="mt-1 text-[13px]">
        {filled === posts
          ? `All ${figure(posts)} posts have a value`
          : `${figure(filled)} of ${figure(posts)} posts have a value`}
      </p>
    </section>
  );
}

function describe(field: FieldDescription): string {
  if (field.type === 'terms')
    return field.tree ? 'terms, in a tree' : field.multiple ? 'terms, many each' : 'terms, one each';
  return field.type === 'boolean' ? 'yes or no' : field.type;
}

/** Any or all, each with the number of posts it would give with what is chosen now. */
function Match({
  facet,
  trial,
  onPick,
}: {
  facet: Facet;
  trial: Trial | null;
  onPick: (match: 'any' | 'all') => void;
}) {
  if (isSwitch(facet)) return null;
  if (isSingle(facet)) {
    return (
      <section className="section">
        <Row label="Match">
          <span className="text-ink-2">one at a time</span>
        </Row>
      </section>
    );
  }
  const effect = trial?.effects[facet.key];
  return (
    <section className="section">
      <Row label="Match">
        <div className="grid grid-cols-2 gap-1.5" role="group" aria-label="Match">
          {(['any', 'all'] as const).map((match) => (
            <button
              key={match}
              type="button"
              className="pick flex h-[31px] items-center justify-between px-2 whitespace-nowrap"
              aria-pressed={facet.match === match}
              onClick={() => onPick(match)}
            >
              <span>{match} ticked</span>
              <span className="serif text-[16px] font-semibold text-ink" data-testid={`match-${match}`}>
                {effect ? figure(effect[match]) : '…'}
              </span>
            </button>
          ))}
        </div>
      </Row>
    </section>
  );
}

function Counts({ facet, onChange }: { facet: Facet; onChange: (patch: Partial<Facet>) => void }) {
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
                className="h-[28px] border border-s-0 border-rule-2 px-2 first:rounded-s-[3px] first:border-s last:rounded-e-[3px] aria-pressed:bg-hue-ground aria-pressed:font-semibold aria-pressed:shadow-[inset_0_-2px_0_var(--h)]"
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

function AddressName({ lens, facet, onRename }: { lens: Lens; facet: Facet; onRename: (name: string) => void }) {
  const [name, setName] = useState(facet.key);
  const others = lens.facets.filter((one) => one !== facet).flatMap((one) => [one.key, ...one.aliases]);
  const taken = [...others, lens.address.sort, lens.address.page].includes(name);
  const wrong = !/^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}_-]*$/u.test(name);
  const words = taken ? 'Another part has this name.' : wrong ? 'Lower-case letters, digits, - and _ only.' : '';
  const done = () => {
    if (words === '' && name !== facet.key) onRename(name);
    else setName(facet.key);
  };
  return (
    <section className="border-t border-rule px-3.5 py-2.5">
      <Row label="Address">
        <div className="flex items-center gap-2">
          <input
            className="field mono w-[110px] text-[12.5px]"
            aria-label="Name in the address"
            aria-invalid={words !== ''}
            value={name}
            maxLength={60}
            spellCheck={false}
            onChange={(event) => setName(event.target.value)}
            onBlur={done}
            onKeyDown={(event) => {
              if (event.key === 'Enter') done();
              if (event.key === 'Escape') setName(facet.key);
            }}
          />
          <span className="mono text-[12.5px] text-ink-3">
            = {isSwitch(facet) ? 'yes' : isSingle(facet) ? 'a' : 'a,b'}
          </span>
        </div>
        {words && (
          <p className="mt-1 text-[13px] text-rust" role="alert">
            {words}
          </p>
        )}
        {facet.aliases.length > 0 && (
          <p className="mt-1 text-[13px] text-ink-3">
            Old names kept: <span className="mono text-[12px] text-ink-2">{facet.aliases.join(' ')}</span>
          </p>
        )}
      </Row>
    </section>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[60px_minmax(0,1fr)] items-start">
      <h3 className="eyebrow pt-1">{label}</h3>
      <div>{children}</div>
    </div>
  );
}

/** A problem of a setting as a sentence. */
export function sentence(name: string, message: string): string {
  return `${name[0]!.toUpperCase()}${name.slice(1)} ${message}.`;
}
