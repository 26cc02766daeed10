import { existsSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * Takes away folders that processes left that were killed.
 * @param prefix  what their names begin with, before the number of their process
 */
export function removeLeftovers(prefix: string): void {
  for (const name of readdirSync(tmpdir())) {
    const pid = name.startsWith(prefix) ? Number(name.slice(prefix.length).split('-')[0]) : NaN;
    if (pid > 0 && pid !== process.pid && !existsSync(`/proc/${pid}`)) {
      rmSync(join(tmpdir(), name), { recursive: true, force: true });
    }
  }
}
