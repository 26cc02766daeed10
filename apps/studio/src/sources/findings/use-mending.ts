import type { MendMade } from '@ivy/client';
import { useState } from 'react';

/** A mend on its way: first looked at, then kept or left. */
export interface Mending<W> {
  /** What it would do; null until that was asked for. */
  looked: MendMade | null;
  problem: string;
  isBusy: boolean;
  /** Asks what it would do. */
  look: (wanted: W) => void;
  /** Does what was looked at. */
  keep: () => void;
  leave: () => void;
}

/** @param run  does what is wanted, or only says what it would do */
export function useMending<W>(
  run: (wanted: W, keeps: boolean) => Promise<MendMade>,
  onMended: () => Promise<unknown>,
): Mending<W> {
  const [looked, setLooked] = useState<{ wanted: W; made: MendMade } | null>(null);
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const work = async (wanted: W, keeps: boolean) => {
    setBusy(true);
    setProblem('');
    try {
      const made = await run(wanted, keeps);
      if (keeps) await onMended();
      setLooked(keeps ? null : { wanted, made });
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return {
    looked: looked?.made ?? null,
    problem,
    isBusy,
    look: (wanted) => void work(wanted, false),
    keep: () => looked && void work(looked.wanted, true),
    leave: () => setLooked(null),
  };
}
