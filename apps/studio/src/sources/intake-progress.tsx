import { countOf, figure } from '../shared/figures.js';
import type { IntakeStage } from './bring-in.js';

/** How far a file is, in words and, once it is being read, as a ruled line that fills. */
export function IntakeProgress({ file, stage }: { file: string; stage: IntakeStage }) {
  const part = stage.at === 'reading' && stage.total > 0 ? stage.done / stage.total : null;
  return (
    <>
      <p className="remark text-[16px]">{wordsOf(file, stage)}</p>
      <div
        role="progressbar"
        aria-label={`Reading ${file}`}
        aria-valuemin={0}
        aria-valuemax={100}
        {...(part !== null && { 'aria-valuenow': Math.round(part * 100) })}
        className="mt-2 h-[5px] overflow-hidden rounded-full bg-sunk"
      >
        <span
          className={`block h-full rounded-full bg-ivy motion-reduce:animate-none motion-reduce:transition-none ${part === null ? 'animate-pulse opacity-40' : 'transition-[width]'}`}
          style={{ width: `${(part ?? 1) * 100}%` }}
        />
      </div>
      <p className="mt-1 min-h-[1.4em] text-[13px] text-ink-2">
        {stage.at === 'reading' && stage.total > 0 && (
          <>
            {figure(stage.done)} of {countOf(stage.total, 'post')}
            {stage.rate > 0 && `, ${figure(stage.rate)} a second${leftWords(stage)}`}
          </>
        )}
        {stage.at === 'reading' && stage.total === 0 && stage.done > 0 && `${countOf(stage.done, 'post')} so far`}
      </p>
    </>
  );
}

/** How long it still takes, where that is more than a moment. */
function leftWords({ done, total, rate }: { done: number; total: number; rate: number }): string {
  const seconds = Math.round((total - done) / rate);
  if (seconds < 3) return '';
  return seconds < 100 ? `, about ${seconds} s left` : `, about ${Math.round(seconds / 60)} min left`;
}

function wordsOf(file: string, stage: IntakeStage): string {
  if (stage.at === 'sending') return `Sending ${file}…`;
  if (stage.at === 'reading') return `Reading ${file}…`;
  return stage.before === 1 ? `${file} is next in line…` : `${file} waits behind ${stage.before} others…`;
}
