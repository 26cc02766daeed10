/** One of a few ways, side by side. */
export function Segments<V extends string>({
  label,
  value,
  ways,
  onPick,
}: {
  label: string;
  value: V;
  ways: Record<V, string>;
  onPick: (value: V) => void;
}) {
  return (
    <div className="flex" role="group" aria-label={label}>
      {(Object.keys(ways) as V[]).map((way) => (
        <button
          key={way}
          type="button"
          aria-pressed={way === value}
          className="h-[28px] flex-1 border border-s-0 border-rule-2 px-2 whitespace-nowrap first:rounded-s-[3px] first:border-s last:rounded-e-[3px] aria-pressed:bg-hue-ground aria-pressed:font-semibold aria-pressed:shadow-[inset_0_-2px_0_var(--h)]"
          onClick={() => onPick(way)}
        >
          {ways[way]}
        </button>
      ))}
    </div>
  );
}
