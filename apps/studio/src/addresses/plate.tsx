import type { SavedAddressView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { useState } from 'react';
import { countOf } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { changePrefix, letGo, renameParameter } from './edits.js';
import { HostNames } from './host-names.js';
import { nameProblem, type NameRow } from './names.js';

interface Props {
  slug: string;
  lens: Lens;
  rows: readonly NameRow[];
  hues: ReadonlyMap<string, number>;
  /** Whole names that saved addresses use. */
  uses: ReadonlyMap<string, readonly SavedAddressView[]>;
  onEdit: (lens: Lens, topic?: string) => void;
}

/** What an address may say, written out in the order it is written: each name, its old names, and what its values are. */
export function Plate({ slug, lens, rows, hues, uses, onEdit }: Props) {
  return (
    <aside
      aria-label="What an address may say"
      className="squared w-[440px] shrink-0 overflow-y-auto border-e border-rule p-3 max-[900px]:w-auto max-[900px]:p-2"
    >
      <div className="border border-rule-2 bg-raised p-1">
        <div className="border border-rule px-3.5 pt-2.5 pb-3">
          <h2 className="serif text-[21px] font-semibold">
            What an address may say{' '}
            <span className="remark ms-1 text-[15px] font-normal text-ink-2">in this order</span>
          </h2>
          <div className="mt-1.5 flex justify-between text-[13px] text-ink-3" aria-hidden="true">
            <span className="mono text-ink-2">/ ?</span>
            <span>saved</span>
          </div>
          <ol aria-label="Parameters">
            {rows.map((row) => (
              <Row
                key={row.of}
                {...{ lens, row, uses, onEdit }}
                hue={row.facet ? hues.get(row.facet.key) : undefined}
              />
            ))}
          </ol>
          <Prefix lens={lens} onEdit={onEdit} />
          <HostNames slug={slug} onPrefix={(prefix) => onEdit(changePrefix(lens, prefix))} />
        </div>
      </div>
    </aside>
  );
}

interface RowProps extends Pick<Props, 'lens' | 'uses' | 'onEdit'> {
  row: NameRow;
  hue: number | undefined;
}

function Row({ lens, row: { of, name, label, example, form, old }, hue, uses, onEdit }: RowProps) {
  const [isNaming, setNaming] = useState(false);
  const { prefix } = lens.address;
  const count = new Set([prefix + name, ...old].flatMap((one) => uses.get(one) ?? [])).size;
  return (
    <li
      {...(hue ? hueAttribute(hue) : {})}
      className="grid grid-cols-[16px_minmax(0,1fr)_minmax(0,1.15fr)_30px] gap-x-2 border-t border-rule py-1.5"
    >
      <span className="mt-[3px]">
        {hue ? <Seed hue={hue} /> : <span className="block size-[11px] rounded-full border-2 border-ink-3" />}
      </span>
      {isNaming ? (
        <NameBox
          {...{ lens, name }}
          label={`Name of ${label} in addresses`}
          onDone={(next) => {
            setNaming(false);
            if (next !== null) onEdit(renameParameter(lens, of, next));
          }}
        />
      ) : (
        <button
          type="button"
          className={`mono min-w-0 self-start truncate text-start text-[13px] font-semibold hover:underline ${hue ? 'text-hue-text' : 'text-ink-2'}`}
          aria-label={`Rename ${prefix}${name}`}
          title="Press to call it otherwise: the name before is still read"
          onClick={() => setNaming(true)}
        >
          {prefix}
          {name}
        </button>
      )}
      <span className="min-w-0">
        <span className="mono block truncate text-[12.5px]" title={example}>
          {example}
        </span>
        <span className="block text-[13px] text-ink-2">{form}</span>
      </span>
      <b className="text-end font-semibold" title={`In ${countOf(count, 'saved address', 'saved addresses')}`}>
        {count}
      </b>
      {old.length > 0 && <OldNames {...{ lens, of, old, uses, onEdit }} />}
    </li>
  );
}

/** A box for a name. What can't be one says why, and is not taken. */
function NameBox({
  lens,
  name,
  label,
  onDone,
}: {
  lens: Lens;
  name: string;
  label: string;
  onDone: (name: string | null) => void;
}) {
  const [text, setText] = useState(name);
  const problem = nameProblem(lens, name, text);
  return (
    <span className="min-w-0">
      <input
        autoFocus
        className="field mono h-[26px] w-full text-[13px]"
        aria-label={label}
        aria-invalid={problem !== null}
        value={text}
        maxLength={60}
        spellCheck={false}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setText(target.value)}
        onBlur={() => onDone(problem === null ? text : null)}
        onKeyDown={({ key }) => {
          if (key === 'Enter' && problem === null) onDone(text);
          if (key === 'Escape') onDone(null);
        }}
      />
      {problem !== null && (
        <span className="block text-[13px] text-bad" role="alert">
          {problem}
        </span>
      )}
    </span>
  );
}

/** Names that are still read. One that saved addresses use says so before it is let go. */
function OldNames({
  lens,
  of,
  old,
  uses,
  onEdit,
}: Pick<Props, 'lens' | 'uses' | 'onEdit'> & { of: string; old: readonly string[] }) {
  const [asked, setAsked] = useState<string | null>(null);
  const users = asked === null ? [] : (uses.get(asked) ?? []);
  return (
    <div className="col-span-3 col-start-2 flex flex-wrap items-baseline gap-x-2.5 text-[13px]">
      <span className="remark text-ink-3">still read</span>
      {old.map((name) => (
        <span key={name} className="flex items-baseline gap-1.5">
          <s className="mono text-[12.5px] text-ink-2">{name}</s>
          <button type="button" className="act link text-[13px]" onClick={() => setAsked(name)}>
            let {name} go
          </button>
        </span>
      ))}
      {asked !== null && (
        <div className="mt-1 w-full border-s-2 border-rust bg-rust-soft px-2.5 py-1.5" role="alert">
          <p>
            Links with <b className="mono">{asked}=</b> will lose that choice.{' '}
            {users.length === 0
              ? 'No saved address uses it.'
              : `${countOf(users.length, 'saved address uses it', 'saved addresses use it')}:`}
          </p>
          {users.length > 0 && (
            <ul className="mono text-[12px]">
              {users.slice(0, 5).map(({ id, name, address }) => (
                <li key={id} className="truncate">
                  {name || `?${address}`}
                </li>
              ))}
            </ul>
          )}
          <span className="mt-1 flex gap-2">
            <button
              type="button"
              className="button button-small"
              onClick={() => {
                onEdit(letGo(lens, of, asked));
                setAsked(null);
              }}
            >
              Let it go
            </button>
            <button type="button" className="button button-small" onClick={() => setAsked(null)}>
              Keep it
            </button>
          </span>
        </div>
      )}
    </div>
  );
}

function Prefix({ lens, onEdit }: Pick<Props, 'lens' | 'onEdit'>) {
  const [text, setText] = useState(lens.address.prefix);
  const [known, setKnown] = useState(lens.address.prefix);
  if (known !== lens.address.prefix) {
    setKnown(lens.address.prefix);
    setText(lens.address.prefix);
  }
  const isGood = /^[a-z0-9_-]{0,30}$/.test(text);
  const take = () => isGood && onEdit(changePrefix(lens, text));
  return (
    <label className="mt-2 flex items-center gap-2 border-t border-rule pt-2.5">
      <span className="remark text-ink-2">every name begins with</span>
      <input
        className="field mono h-[26px] w-[90px] text-[13px]"
        aria-label="Every name begins with"
        aria-invalid={!isGood}
        placeholder="nothing"
        value={text}
        maxLength={30}
        spellCheck={false}
        onChange={({ target }) => setText(target.value)}
        onBlur={take}
        onKeyDown={({ key }) => key === 'Enter' && take()}
      />
      {!isGood && <span className="text-[13px] text-bad">a to z, digits, - or _</span>}
    </label>
  );
}
