import type { DeletedView } from '@ivy/client';
import { useState } from 'react';
import { api, refreshAll, useApi } from '../../api/api.js';
import { countOf } from '../../shared/figures.js';

/** What was deleted within a day, and how it comes back. */
export function BottomDrawer() {
  const { data = [] } = useApi('/api/v1/deleted', {});
  const [problem, setProblem] = useState('');
  if (data.length === 0) return null;
  const bringBack = async (id: string) => {
    setProblem('');
    try {
      await api.ask('post', '/api/v1/deleted/{id}/restore', { id });
      await refreshAll();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <section aria-label="Bottom drawer" className="mt-8 border border-dashed border-rule-2 bg-sunk px-5 py-3">
      <h2 className="flex flex-wrap items-baseline gap-x-3">
        <span className="remark text-[17px]">Bottom drawer</span>
        <span className="text-[13px] text-ink-2">deleted, kept a day</span>
      </h2>
      <ul>
        {data.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-4 py-1.5">
            <s className="font-semibold text-ink-2">{one.name}</s>
            <span className="text-ink-2">{holds(one)}</span>
            <span className="text-[13px] text-ink-3">{hoursLeft(one.until)} left</span>
            <button type="button" className="link ms-auto" onClick={() => void bringBack(one.id)}>
              Bring back<span className="sr-only"> {one.name}</span>
            </button>
          </li>
        ))}
      </ul>
      {problem && (
        <p className="text-bad" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}

function holds({ kind, posts, lenses }: DeletedView): string {
  if (kind === 'lens') return 'a lens';
  return [countOf(posts ?? 0, 'post'), lenses.length > 0 && countOf(lenses.length, 'lens', 'lenses')]
    .filter(Boolean)
    .join(', ');
}

function hoursLeft(until: string, now = Date.now()): string {
  const minutes = Math.max(1, Math.round((Date.parse(until) - now) / 60_000));
  return minutes < 90 ? countOf(minutes, 'minute') : countOf(Math.round(minutes / 60), 'hour');
}
