import { Named } from '../shared/named.js';

interface ChoiceProps {
  label: string;
  value: string;
  options: readonly (readonly [value: string, words: string])[];
  isDisabled?: boolean;
  onChange: (value: string) => void;
}

/** A choice of one, with its name before it. */
export function Choice({ label, value, options, isDisabled = false, onChange }: ChoiceProps) {
  return (
    <Named label={label}>
      {(id) => (
        <select
          id={id}
          className="field h-[30px] w-full"
          value={value}
          disabled={isDisabled}
          onChange={({ target }) => onChange(target.value)}
        >
          {options.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Named>
  );
}
