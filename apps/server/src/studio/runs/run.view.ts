import type { Rejection } from '@ivy/core';
import type { Run } from '../../database/run.entity.js';
import type { RunDiff, RunPreview } from './run-preview.js';

/** One bringing-in of posts, and what it changed. */
export interface RunView {
  id: number;
  /** Moment, as ISO 8601 writes it. */
  at: string;
  how: 'file' | 'live' | 'posts' | 'removal' | 'undo';
  fileName: string;
  state: 'done' | 'undone' | 'failed' | 'held';
  added: number;
  changed: number;
  unchanged: number;
  removed: number;
  rejected: Rejection[];
  /** Why it failed, or waits; null: it did not. Such a run changed nothing. */
  reason: string | null;
  /** Posts there were after it. */
  posts: number;
  /** Whether it is the one that can be undone. */
  undoable: boolean;
}

/** What was changed, under which number it can be found; or what would be, without one. */
export type RunMade = RunDiff & { run: number | null } & Partial<Omit<RunPreview, keyof RunDiff>>;
/** What a run would do, looked at before it is kept. */
export type RunLooked = RunPreview & { run: null };

/** @param runs  the newest first, all of them or as many as are shown */
export function runViews(runs: readonly Run[]): RunView[] {
  const newest = runs.find(({ how, undone, state }) => how !== 'undo' && !undone && state === 'done');
  return runs.map(
    ({ id, at, how, fileName, undone, state, reason, added, changed, unchanged, removed, total, rejected }, i) => ({
      id,
      at: at.toISOString(),
      how,
      fileName,
      state: undone ? 'undone' : state,
      added,
      changed,
      unchanged,
      removed,
      rejected,
      reason,
      posts: total,
      undoable: newest?.id === id && i < runs.length - 1,
    }),
  );
}
