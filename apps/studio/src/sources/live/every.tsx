/** How often a source is looked at, in minutes. */
export const everyWords: Readonly<Record<number, string>> = {
  5: 'every five minutes',
  15: 'every quarter of an hour',
  60: 'every hour',
  360: 'every six hours',
  1440: 'every day',
  0: 'only when asked',
};

export function Every({ value, onChange }: { value: number; onChange: (every: number) => void }) {
  const all = value in everyWords ? everyWords : { ...everyWords, [value]: `every ${value} minutes` };
  return (
    <label className="block">
      <span className="text-[13px] font-semibold">Look for what is new</span>
      <select
        className="field mt-1 h-[30px] w-full"
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
      >
        {Object.entries(all)
          .sort(([a], [b]) => (Number(a) || Infinity) - (Number(b) || Infinity))
          .map(([minutes, words]) => (
            <option key={minutes} value={minutes}>
              {words}
            </option>
          ))}
      </select>
    </label>
  );
}
