import type { AddressFault, Answer, Lens } from '@ivy/core';
import { ArrowLeft, ArrowRight, Check, Link2, X } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { figure } from '../../shared/figures.js';
import { useCopy } from '../../shared/use-copy.js';
import { cleanAddress } from './address-tokens.js';
import { SaveAddress } from './save-address.js';
import { Tokens } from './tokens.js';

interface Props {
  slug: string;
  lens: Lens;
  address: string;
  answer: Answer | undefined;
  /** How many posts would match with what is pointed at. */
  would?: number | undefined;
  /** What of the address is not taken as it stands. */
  faults: readonly AddressFault[];
  hues: ReadonlyMap<string, number>;
  focus: string | null;
  onGo: (address: string) => void;
  onFocus: (key: string) => void;
}

/** The page's address as tokens, each in its facet's hue, and how many posts it finds. */
export function AddressStrip({ slug, lens, address, answer, would, faults, hues, focus, onGo, onFocus }: Props) {
  const navigate = useNavigate();
  const [editing, setEditing] = useState(false);
  const { copied, copy } = useCopy();

  return (
    <section
      aria-label="Address"
      className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-1 border-b border-rule bg-raised px-2"
    >
      <button
        type="button"
        className="icon-button"
        aria-label="Address before"
        title="Address before"
        onClick={() => void navigate(-1)}
      >
        <ArrowLeft size={16} />
      </button>
      <button
        type="button"
        className="icon-button"
        aria-label="Address after"
        title="Address after"
        onClick={() => void navigate(1)}
      >
        <ArrowRight size={16} />
      </button>
      {editing ? (
        <AddressInput
          address={address}
          onDone={(text) => {
            setEditing(false);
            if (text !== null) onGo(cleanAddress(text));
          }}
        />
      ) : (
        <Tokens {...{ lens, address, answer, faults, hues, focus, onGo, onFocus }} onEdit={() => setEditing(true)} />
      )}
      <p className="ms-2 flex shrink-0 items-baseline gap-1.5" role="status">
        {answer && (
          <>
            <b className="serif text-[26px] leading-none font-semibold" data-testid="matched">
              {figure(answer.matched)}
            </b>
            {would !== undefined && would !== answer.matched && (
              <b className="serif ghost-figure ms-1.5 text-[20px] leading-none">→ {figure(would)}</b>
            )}
            <span className="serif text-[15px] text-ink-2">of {figure(answer.total)}</span>
          </>
        )}
      </p>
      <span className="mx-1.5 h-6 w-px bg-rule" />
      <SaveAddress {...{ slug, address }} matched={answer?.matched} />
      <button
        type="button"
        className="icon-button"
        aria-label="Copy the address"
        title="Copy the address"
        onClick={() => void copy(location.href)}
      >
        {copied ? <Check size={16} className="text-ivy" /> : <Link2 size={16} />}
      </button>
      <button
        type="button"
        className="icon-button"
        aria-label="Clear the address"
        title="Clear the address"
        disabled={address === ''}
        onClick={() => onGo('')}
      >
        <X size={16} />
      </button>
      <span className="sr-only" role="status">
        {copied ? 'Copied' : ''}
      </span>
    </section>
  );
}

/** The whole address as one line of text. Enter goes there, Escape leaves it as it was. */
function AddressInput({ address, onDone }: { address: string; onDone: (text: string | null) => void }) {
  const [text, setText] = useState(address);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.select(), []);
  return (
    <input
      ref={input}
      aria-label="Address as text"
      className="field mono h-[32px] flex-1 text-[13px]"
      value={text}
      spellCheck={false}
      maxLength={8192}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => onDone(text)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') onDone(text);
        if (event.key === 'Escape') onDone(null);
      }}
    />
  );
}
