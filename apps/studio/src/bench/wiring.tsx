import {
  addressNames,
  facetLabel,
  kindOf,
  warningsOf,
  type Facet,
  type FacetKind,
  type FieldDescription,
  type Lens,
  type DryRun,
} from '@ivy/core';
import { Copy, Trash2, TriangleAlert, X } from 'lucide-react';
import { useState } from 'react';
import type { ApiProblem } from '@ivy/client';
import { hueAttribute, Seed } from '../shared/seed.js';
import { changeFacet, changeKind, dropAlias, renameFacet } from './edits.js';
import { KindWiring, ThereWiring } from './kind-wiring.js';
import { kindDesks } from './kinds/kind-desks.js';
import { ShowsAs } from './shows-as.js';
import { Reads, Row } from './wiring-parts.js';

interface Props {
  source: string;
  posts: number;
  fields: readonly FieldDescription[];
  lens: Lens;
  facet: Facet;
  hue: number;
  dryRun: DryRun | null;
  problem: ApiProblem | null;
  onEdit: (lens: Lens, topic?: string, focus?: string) => void;
  onRemove: () => void;
  onDuplicate: () => void;
}

/** The settings of the facet in hand, read top to bottom like a sentence. */
export function Wiring({
  source,
  posts,
  fields,
  lens,
  facet,
  hue,
  dryRun,
  problem,
  onEdit,
  onRemove,
  onDuplicate,
}: Props) {
  const { Main } = kindDesks[facet.kind];
  const kind = kindOf(facet);
  const reads = kind.finding ? undefined : kind.fields(facet)[0];
  const field = fields.find((one) => one.key === reads);
  const label = facetLabel(facet, fields, lens);
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
          aria-label={`Duplicate the facet ${label}`}
          title="Duplicate"
          onClick={onDuplicate}
        >
          <Copy size={15} />
        </button>
        <button
          type="button"
          className="icon-button -ms-1.5"
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
        {warningsOf(lens, facet, fields).map((warning) => (
          <p key={warning.code} className="section flex gap-2 bg-rust-soft text-rust" data-warning={warning.code}>
            <TriangleAlert size={16} className="mt-0.5 shrink-0" aria-hidden="true" />
            {warning.text}
          </p>
        ))}
        {reads !== undefined && (
          <>
            <Reads field={field} fieldKey={reads} posts={posts} />
            <ShowsAs
              field={field}
              kind={facet.kind}
              onPick={(kind: FacetKind) => onEdit(changeKind(lens, facet.key, kind))}
            />
          </>
        )}
        <Main
          source={source}
          posts={posts}
          fields={fields}
          lens={lens}
          facet={facet}
          field={field}
          dryRun={dryRun}
          onEdit={onEdit}
          onChange={change}
        />
        <KindWiring facet={facet} onChange={change} />
        <ThereWiring
          lens={lens}
          facet={facet}
          labelOf={(one) => facetLabel(one, fields, lens)}
          onChange={(patch) => change(patch)}
        />
        <section className="section">
          <Row label="Label">
            <input
              className="field w-full"
              aria-label="Label visitors read"
              value={facet.label}
              maxLength={120}
              placeholder={facetLabel({ ...facet, label: '' }, fields, lens)}
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
        onDrop={(alias) => onEdit(dropAlias(lens, facet.key, alias))}
      />
    </div>
  );
}

function AddressName({
  lens,
  facet,
  onRename,
  onDrop,
}: {
  lens: Lens;
  facet: Facet;
  onRename: (name: string) => void;
  onDrop: (alias: string) => void;
}) {
  const [name, setName] = useState(facet.key);
  const taken = addressNames(lens).some((one) => one.name === name && one.facet !== facet);
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
          <span className="mono text-[12.5px] text-ink-3">= {kindOf(facet).valueForm(facet)}</span>
        </div>
        {words && (
          <p className="mt-1 text-[13px] text-rust" role="alert">
            {words}
          </p>
        )}
        {facet.aliases.length > 0 && (
          <p className="mt-1 flex flex-wrap items-center gap-x-2 text-[13px] text-ink-3">
            Old names kept:
            {facet.aliases.map((alias) => (
              <span key={alias} className="mono inline-flex items-center text-[12px] text-ink-2">
                {alias}
                <button
                  type="button"
                  className="grid h-[24px] w-[24px] place-items-center text-ink-3 hover:text-ink"
                  aria-label={`Let the old name ${alias} go`}
                  title="Links with it lose this choice"
                  onClick={() => onDrop(alias)}
                >
                  <X size={12} />
                </button>
              </span>
            ))}
          </p>
        )}
      </Row>
    </section>
  );
}

/** A problem of a setting as a sentence. */
export function sentence(name: string, message: string): string {
  return `${name[0]!.toUpperCase()}${name.slice(1)} ${message}.`;
}
