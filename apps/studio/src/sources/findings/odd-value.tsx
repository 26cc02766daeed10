import { differenceOf, type Piece } from '@ivy/core';

interface Props {
  value: string;
  /** The usual spelling, which it is compared with; null where there is none. */
  usual: string | null;
}

/** A value as it came, with the characters boxed that make it another than the usual one. */
export function OddValue({ value, usual }: Props) {
  const isOdd = usual !== null && usual !== value;
  return (
    <span
      className={`mono max-w-full truncate px-1.5 text-[12px] ${usual === value ? 'bg-sunk' : 'bg-rust-soft'}`}
      title={isOdd ? differenceOf(usual, value).words : undefined}
    >
      {isOdd ? <Boxed pieces={differenceOf(usual, value).pieces} /> : value}
    </span>
  );
}

/** A spelling with the characters boxed that make it another than the usual one. */
export function Boxed({ pieces }: { pieces: readonly Piece[] }) {
  return pieces.map(({ text, isOdd }, i) =>
    isOdd ? (
      <mark key={i} className="rounded-[1px] bg-rust-soft px-px text-rust shadow-[inset_0_0_0_1.5px_currentColor]">
        {text.replace(/\s/g, '·')}
      </mark>
    ) : (
      <span key={i}>{text}</span>
    ),
  );
}
