import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';

/**
 * Takes a lock file, waiting for whoever holds it. A lock whose process is gone is taken over.
 * @returns {Promise<() => void>} gives it back
 */
export async function lock(path, patience = 120_000) {
  const until = Date.now() + patience;
  for (;;) {
    try {
      writeFileSync(path, String(process.pid), { flag: 'wx' });
      return () => rmSync(path, { force: true });
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
    }
    if (!isHeld(path)) rmSync(path, { force: true });
    else if (Date.now() > until)
      throw new Error(`Another start has held ${path} for too long. Remove it if none runs.`);
    else await new Promise((done) => setTimeout(done, 100));
  }
}

function isHeld(path) {
  try {
    const pid = Number(readFileSync(path, 'utf8'));
    // an empty file is being written this very moment
    return pid === 0 || existsSync(`/proc/${pid}`);
  } catch {
    return false;
  }
}
