import { useEffect, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import { figure } from '../../shared/figures.js';
import { hueAttribute, Seed } from '../../shared/seed.js';
import { isWholeAddress } from './address-tokens.js';
import type { Offer } from './offers.js';
import { stepValue } from './step-value.js';

interface Props {
  label: string;
  value: string;
  placeholder?: string;
  hues: ReadonlyMap<string, number>;
  offersOf: (text: string) => Offer[];
  /** @param text  null where it is to stay as it was */
  onDone: (text: string | null) => void;
  /** Whether it is there for as long as it is needed, rather than always: it then has the keyboard from the start. */
  isBrief?: boolean;
  /** Whether arrows step the day or number that the caret stands in. */
  steps?: boolean;
  /** Backspace where nothing is left to take away. */
  onBackspace?: () => void;
}

/** A box of the address: what may be meant is offered while one types. Enter takes it, Escape leaves all as it was. */
export function TokenBox({
  label,
  value,
  placeholder,
  hues,
  offersOf,
  onDone,
  isBrief = false,
  steps = false,
  onBackspace,
}: Props) {
  const [text, setText] = useState(value);
  const [isOpen, setOpen] = useState(isBrief);
  const [at, setAt] = useState(-1);
  const [place, setPlace] = useState<{ left: number; top: number } | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const isOver = useRef(false);
  const id = useId();
  const offers = isOpen ? offersOf(text) : [];
  useEffect(() => {
    if (!isBrief) return;
    input.current?.focus();
    input.current?.select();
  }, [isBrief]);
  useLayoutEffect(() => {
    const box = isOpen ? input.current?.getBoundingClientRect() : undefined;
    setPlace(box ? { left: Math.max(8, Math.min(box.left, innerWidth - 308)), top: box.bottom + 6 } : null);
  }, [isOpen, text]);

  const done = (next: string | null) => {
    if (isOver.current) return;
    isOver.current = isBrief;
    setOpen(false);
    setAt(-1);
    if (!isBrief) setText('');
    onDone(next);
  };
  const change = (next: string) => {
    setText(next);
    setOpen(true);
    setAt(-1);
  };
  const take = (offer: Offer) => {
    if (offer.goesOn) {
      change(offer.text);
      input.current?.focus();
    } else done(offer.text);
  };
  const keys = (event: KeyboardEvent<HTMLInputElement>) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (event.key === 'Enter') {
      event.preventDefault();
      if (offers[at]) take(offers[at]);
      else done(text);
    } else if (event.key === 'Escape') {
      event.preventDefault();
      event.stopPropagation();
      done(null);
    } else if (event.key === 'Backspace' && text === '' && onBackspace) {
      event.preventDefault();
      onBackspace();
    } else if (by !== 0) {
      event.preventDefault();
      const { selectionStart, value: now } = event.currentTarget;
      // up is a day later, as in boxes for numbers
      const stepped = steps && at < 0 ? stepValue({ text: now, at: selectionStart ?? 0 }, by === 1 ? -1 : 1) : null;
      if (stepped) {
        setText(stepped.text);
        requestAnimationFrame(() => input.current?.setSelectionRange(stepped.at, stepped.at));
        return;
      }
      setOpen(true);
      setAt((now) => Math.max(-1, Math.min(now + by, offers.length - 1)));
    }
  };
  return (
    <span className={isBrief ? 'shrink-0' : 'min-w-[140px] flex-1'}>
      <input
        ref={input}
        role="combobox"
        aria-label={label}
        aria-expanded={offers.length > 0}
        aria-controls={id}
        aria-autocomplete="list"
        aria-activedescendant={offers[at] ? `${id}-${at}` : undefined}
        className={`mono h-[31px] rounded-[3px] text-[13px] ${isBrief ? 'border border-rule-2 bg-raised px-1.5' : 'w-full bg-transparent px-2 placeholder:text-ink-3 hover:bg-sunk'}`}
        style={isBrief ? { width: `${Math.max(12, text.length + 3)}ch` } : undefined}
        value={text}
        placeholder={placeholder}
        spellCheck={false}
        autoComplete="off"
        maxLength={8192}
        onFocus={() => setOpen(true)}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData('text');
          if (isBrief || text !== '' || !isWholeAddress(pasted)) return;
          // a whole address that is pasted is gone to at once
          event.preventDefault();
          done(pasted);
        }}
        onChange={({ target }) => change(target.value)}
        onBlur={() => done(isBrief || text.includes('=') ? text : null)}
        onKeyDown={keys}
      />
      {place && offers.length > 0 && (
        <ul
          id={id}
          role="listbox"
          aria-label="What it can say"
          className="fixed z-30 max-h-[320px] w-[300px] overflow-y-auto border border-ink-3 bg-raised py-1 font-sans text-[14px] shadow-[0_0_0_4px_var(--paper)]"
          style={place}
        >
          {offers.map((offer, i) => (
            <Row key={offer.text} {...{ offer, hues }} id={`${id}-${i}`} isAt={i === at} onTake={() => take(offer)} />
          ))}
        </ul>
      )}
    </span>
  );
}

interface RowProps {
  offer: Offer;
  hues: Props['hues'];
  id: string;
  isAt: boolean;
  onTake: () => void;
}

function Row({ offer: { label, count, facet }, hues, id, isAt, onTake }: RowProps) {
  const hue = facet === null ? undefined : hues.get(facet);
  return (
    <li
      id={id}
      role="option"
      aria-selected={isAt}
      {...(hue ? hueAttribute(hue) : {})}
      className={`flex min-h-[28px] cursor-pointer items-center gap-2 px-2.5 ${isAt ? 'bg-hue-ground' : 'hover:bg-sunk'}`}
      // the box keeps the keyboard, and is not left by the press
      onMouseDown={(event) => event.preventDefault()}
      onClick={onTake}
    >
      {hue ? <Seed hue={hue} size={11} /> : <span className="w-[11px]" />}
      <span className="min-w-0 flex-1 truncate">{label}</span>
      {count !== null && <span className={count === 0 ? 'text-ink-3' : 'text-ink-2'}>{figure(count)}</span>}
    </li>
  );
}
