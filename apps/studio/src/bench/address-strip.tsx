import type { Answer, Lens } from '@ivy/core';
import { ArrowLeft, ArrowRight, Check, Link2, PencilLine, X } from 'lucide-react';
import { Fragment, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { useCopy } from '../shared/use-copy.js';
import { cleanAddress, tokensOf, withoutToken } from './address-tokens.js';

interface Props {
  lens: Lens;
  address: string;
  answer: Answer | undefined;
  /** How many posts would match with what is pointed at. */
  would?: number | undefined;
  hues: ReadonlyMap<string, number>;
  focus: string | null;
  onGo: (address: string) => void;
  onFocus: (key: string) => void;
}

/** The page's address as tokens, each in its facet's hue, and how many posts it finds. */
export function AddressStrip({ lens, address, answer, would, hues, focus, onGo, onFocus }: Props) {
  const navigate = useNavigate();
  const [editing, setEditing] = useState(false);
  const { copied, copy } = useCopy();

  return (
    <section
      aria-label="Address"
      className="flex h-[50px] shrink-0 items-center gap-1 border-b border-rule bg-raised px-2"
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
        <Tokens
          lens={lens}
          address={address}
          hues={hues}
          focus={focus}
          onGo={onGo}
          onFocus={onFocus}
          onEdit={() => setEditing(true)}
        />
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

interface TokensProps extends Omit<Props, 'answer'> {
  onEdit: () => void;
}

function Tokens({ lens, address, hues, focus, onGo, onFocus, onEdit }: TokensProps) {
  const tokens = tokensOf(address, lens);
  const list = useRef<HTMLDivElement>(null);
  const keys = (event: KeyboardEvent, at: number) => {
    if (event.key !== 'Backspace' && event.key !== 'Delete') return;
    event.preventDefault();
    onGo(withoutToken(address, at));
    // the token is gone: the keyboard goes on at the one beside it
    const buttons = list.current?.querySelectorAll('button');
    buttons?.[Math.max(0, at - 1)]?.focus();
  };
  return (
    <div
      ref={list}
      className="mono flex min-w-0 flex-1 items-center gap-1.5 overflow-x-auto text-[13px] font-medium [scrollbar-width:none]"
    >
      <span className="shrink-0 ps-1 text-ink-2">/ ?</span>
      {tokens.map((token, i) => {
        const hue = token.facet === null ? undefined : hues.get(token.facet);
        const inHand = token.facet !== null && token.facet === focus;
        return (
          <Fragment key={`${i} ${token.raw}`}>
            {i > 0 && <span className="text-ink-3">&amp;</span>}
            <button
              type="button"
              {...(hue ? hueAttribute(hue) : {})}
              className={`flex h-[31px] shrink-0 items-center gap-1.5 border-b-[2.5px] px-1.5 ${hue ? 'border-hue' : 'border-rule-2'} ${inHand ? 'bg-hue-ground' : ''}`}
              title={token.known ? 'Backspace takes it away' : 'Not the lens’s own: kept as it is'}
              onClick={() => token.facet !== null && onFocus(token.facet)}
              onKeyDown={(event) => keys(event, i)}
            >
              {hue && <Seed hue={hue} />}
              <span className={hue ? 'font-semibold text-hue-text' : 'text-ink-2'}>{token.name}</span>
              <span className="text-ink-3">=</span>
              <span>{token.value.replaceAll(',', ' , ')}</span>
            </button>
          </Fragment>
        );
      })}
      <button
        type="button"
        className="flex h-[31px] min-w-[120px] flex-1 items-center gap-1.5 rounded-[3px] px-2 text-start text-ink-3 hover:bg-sunk"
        onClick={onEdit}
        aria-label="Edit the address as text"
      >
        <PencilLine size={13} className="shrink-0" />
        {tokens.length === 0 && <span aria-hidden="true">name=value</span>}
      </button>
    </div>
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
