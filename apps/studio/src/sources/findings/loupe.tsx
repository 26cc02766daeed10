import { differenceOf, noDay, type Difference, type Finding } from '@ivy/core';
import { Boxed } from './odd-value.js';

const twins = new Set(['near-twins', 'slug-clashes']);
const days = new Set(['impossible-dates', 'unreadable-values', 'mixed-dates', 'ambiguous-dates']);

/** A value under the loupe, and what about it is odd. */
interface Seen extends Difference {
  value: string;
}

/** What of a field is worth being looked at closely: spellings beside the usual one, or values that are no days. */
export function underLoupe(findings: readonly Finding[], isDays: boolean): Seen[] {
  const spelled = findings.find(({ code, values }) => twins.has(code) && values.length > 1);
  if (spelled) {
    const [usual] = spelled.values;
    return spelled.values.slice(0, 3).map((value) => {
      const { pieces, words } = differenceOf(usual!, value);
      return { value, pieces, words: value === usual ? 'the usual way' : words };
    });
  }
  if (!isDays) return [];
  const odd = findings.filter(({ code }) => days.has(code));
  // one of each kind before a second of any
  const values = [0, 1, 2].flatMap((n) =>
    odd.flatMap(({ code, values: all }) => (all[n] ? [{ code, value: all[n] }] : [])),
  );
  return values.slice(0, 3).map(({ code, value }) => {
    if (code !== 'ambiguous-dates') return { value, ...noDay(value) };
    return { value, pieces: [{ text: value, isOdd: false }], words: 'the day first, or the month' };
  });
}

/** A few values under the loupe: what makes each another than the usual one is boxed, and said. */
export function Loupe({ seen }: { seen: readonly Seen[] }) {
  const longest = Math.max(...seen.map(({ value }) => value.length));
  const size = longest > 22 ? 13 : longest > 15 ? 16 : longest > 11 ? 20 : 24;
  return (
    <figure className="mx-auto mt-2 mb-1 w-[248px] max-w-full" aria-label="Under the loupe">
      <div className="squared relative grid aspect-square place-content-center gap-2.5 rounded-full border-[5px] border-hue bg-raised text-center shadow-[0_0_0_3px_var(--color-raised),0_0_0_4px_var(--h)]">
        <Ticks />
        {seen.map(({ value, pieces, words }) => (
          <p key={value} className="relative max-w-[196px]">
            <span className="mono block truncate py-px font-semibold" style={{ fontSize: size }}>
              <Boxed pieces={pieces} />
            </span>
            <span className="remark block text-[13px] text-ink-2">{words}</span>
          </p>
        ))}
      </div>
    </figure>
  );
}

/** The graduation of the lens’s rim. */
function Ticks() {
  return (
    <svg viewBox="0 0 200 200" className="absolute inset-0 h-full w-full text-hue opacity-50" aria-hidden="true">
      {Array.from({ length: 60 }, (_, i) => (
        <line
          key={i}
          x1="100"
          x2="100"
          y1="2"
          y2={i % 5 === 0 ? 8 : 5}
          stroke="currentColor"
          strokeWidth="0.8"
          transform={`rotate(${i * 6} 100 100)`}
        />
      ))}
    </svg>
  );
}
