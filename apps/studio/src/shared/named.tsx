import { useId, type ReactNode } from 'react';

/** A control with what it is called before it. */
export function Named({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2">
      <label htmlFor={id} className="text-[13px] font-semibold">
        {label}
      </label>
      {children(id)}
    </div>
  );
}
