import type { AddressFault } from '@ivy/core';
import type { KeyboardEvent } from 'react';
import { hueAttribute, Seed } from '../../shared/seed.js';
import type { Token } from './address-tokens.js';

interface Props {
  token: Token;
  hue: number | undefined;
  inHand: boolean;
  faults: readonly AddressFault[];
  onPress: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  onMend: (fault: AddressFault) => void;
}

/** Why something is left out, in a word or two. */
const reasons: Partial<Record<AddressFault['code'], string>> = {
  'unknown-term': 'no such term',
  'unknown-post': 'no such post',
  'unknown-sort': 'no such order',
  'unknown-size': 'no such size',
  'unknown-name': 'not a name of the lens',
  'single-choice': 'one choice alone',
  'too-many': 'too many',
  'too-long': 'too long',
  'bad-switch': 'yes or no',
  'bad-date': 'no day',
  'bad-number': 'no number',
  'page-clamped': 'no such page',
  'range-reversed': 'turned round',
  moved: 'an old name',
};

/** One `name=value` of the address in its facet's hue. What can't be read is struck through, with what exists and comes nearest. */
export function TokenView({ token, hue, inHand, faults, onPress, onKeyDown, onMend }: Props) {
  const isOldName = faults.some(({ code, value }) => code === 'moved' && value === token.name);
  const lost = new Map(faults.filter(({ code }) => code !== 'unknown-name').map((fault) => [fault.value, fault]));
  const values = lost.has(token.value) ? [token.value] : token.value.split(',');
  return (
    <span {...(hue ? hueAttribute(hue) : {})} className="flex shrink-0 items-center gap-1.5">
      <button
        type="button"
        className={`flex h-[31px] shrink-0 items-center gap-1.5 border-b-[2.5px] px-1.5 ${hue ? 'border-hue' : 'border-rule-2'} ${inHand ? 'bg-hue-ground' : ''}`}
        title={token.known ? 'Press to change it, Backspace takes it away' : 'Not the lens’s own: kept as it is'}
        onClick={onPress}
        onKeyDown={onKeyDown}
      >
        {hue && <Seed hue={hue} />}
        <span className={`${hue ? 'font-semibold text-hue-text' : 'text-ink-2'} ${isOldName ? 'line-through' : ''}`}>
          {token.name}
        </span>
        <span className="text-ink-3">=</span>
        <span>
          {values.map((value, i) => (
            <span key={`${i} ${value}`}>
              {i > 0 && ' , '}
              {lost.get(value)?.isLost ? <s className="bg-rust-soft px-0.5 text-rust">{value}</s> : value}
            </span>
          ))}
        </span>
      </button>
      {faults.map((fault) => (
        <span
          key={`${fault.code} ${fault.value}`}
          className="remark flex items-center gap-1 text-[14px] whitespace-nowrap text-rust"
          title={fault.text}
        >
          {reasons[fault.code] ?? fault.text}
          {fault.near && (
            <button
              type="button"
              className="border-b border-rust px-0.5 font-sans font-semibold not-italic hover:bg-rust-soft"
              aria-label={`Take “${fault.near.label}” instead of “${fault.value}”`}
              onClick={() => onMend(fault)}
            >
              {fault.near.label}?
            </button>
          )}
        </span>
      ))}
    </span>
  );
}
