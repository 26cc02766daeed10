import { kindOf, type AddressFault, type Answer, type Lens } from '@ivy/core';
import { PencilLine } from 'lucide-react';
import { Fragment, useRef, useState, type KeyboardEvent } from 'react';
import { useKeys } from '../../keys/use-keys.js';
import {
  cleanAddress,
  isWholeAddress,
  tokensOf,
  withoutFault,
  withoutToken,
  withToken,
  withValue,
} from './address-tokens.js';
import { tokenOffers, valueOffers } from './offers.js';
import { TokenBox } from './token-box.js';
import { TokenView } from './token-view.js';

export interface TokensProps {
  lens: Lens;
  address: string;
  answer: Answer | undefined;
  faults: readonly AddressFault[];
  hues: ReadonlyMap<string, number>;
  focus: string | null;
  onGo: (address: string) => void;
  onFocus: (key: string) => void;
  onEdit: () => void;
}

/** The address as tokens: a press changes a value, Backspace takes one away, and at the end one more is typed. */
export function Tokens({ lens, address, answer, faults, hues, focus, onGo, onFocus, onEdit }: TokensProps) {
  const tokens = tokensOf(address, lens);
  const [edited, setEdited] = useState<number | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const focusToken = (at: number) =>
    list.current?.querySelectorAll<HTMLElement>('[data-token] > span > button:first-child')[Math.max(0, at)]?.focus();
  const keys = (event: KeyboardEvent, at: number) => {
    if (event.key === 'Backspace' || event.key === 'Delete') {
      event.preventDefault();
      onGo(withoutToken(address, at));
      // the token is gone: the keyboard goes on at the one beside it
      focusToken(at - 1);
    }
    if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
      event.preventDefault();
      focusToken(at + (event.key === 'ArrowRight' ? 1 : -1));
    }
  };
  useKeys(['bench'], { address: () => list.current?.querySelector<HTMLElement>('[data-new] input')?.focus() });
  const added = (text: string | null) => {
    if (text === null || text.trim() === '') return;
    onGo(isWholeAddress(text) ? cleanAddress(text) : withToken(address, text));
  };
  return (
    <div
      ref={list}
      className="mono flex min-w-0 flex-1 items-center gap-1.5 overflow-x-auto text-[13px] font-medium [scrollbar-width:none] max-[700px]:order-last max-[700px]:w-full max-[700px]:flex-none max-[700px]:pb-1"
    >
      <span className="shrink-0 ps-1 text-ink-2">/ ?</span>
      {tokens.map((token, i) => {
        const hue = token.facet === null ? undefined : hues.get(token.facet);
        const facet = lens.facets.find(({ key }) => key === token.facet);
        return (
          <Fragment key={`${i} ${token.name}`}>
            {i > 0 && <span className="text-ink-3">&amp;</span>}
            <span data-token className="contents">
              {edited === i ? (
                <span className="flex items-center gap-1">
                  <span className="text-ink-2">{token.name}=</span>
                  <TokenBox
                    isBrief
                    steps={facet !== undefined && kindOf(facet).hasEnds === true}
                    label={`Value of ${token.name}`}
                    value={token.value}
                    hues={hues}
                    offersOf={(text) => valueOffers(lens, answer, token.name, text)}
                    onDone={(text) => {
                      setEdited(null);
                      if (text !== null && text !== token.value) onGo(withValue(address, i, text));
                      setTimeout(() => focusToken(i));
                    }}
                  />
                </span>
              ) : (
                <TokenView
                  {...{ token, hue }}
                  inHand={token.facet !== null && token.facet === focus}
                  faults={faults.filter(({ at }) => at === i)}
                  onPress={() => {
                    if (token.facet !== null) onFocus(token.facet);
                    if (token.known) setEdited(i);
                  }}
                  onKeyDown={(event) => keys(event, i)}
                  onMend={(fault) => onGo(withoutFault(address, fault))}
                />
              )}
            </span>
          </Fragment>
        );
      })}
      <span data-new className="flex min-w-[140px] flex-1">
        <TokenBox
          label="Add to the address"
          value=""
          placeholder={tokens.length === 0 ? 'name=value, or a whole address' : '&'}
          hues={hues}
          offersOf={(text) =>
            isWholeAddress(text)
              ? []
              : tokenOffers(
                  lens,
                  answer,
                  text,
                  tokens.map(({ name }) => name),
                )
          }
          onDone={added}
          onBackspace={() => focusToken(tokens.length - 1)}
        />
      </span>
      <button
        type="button"
        className="icon-button shrink-0"
        onClick={onEdit}
        aria-label="Edit the address as text"
        title="Edit the address as text"
      >
        <PencilLine size={14} />
      </button>
    </div>
  );
}
