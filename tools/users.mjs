// Who uses a database folder: a file a process, so that the last to go stops what runs there, whoever started it.
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** When a process began, as Linux counts: tells it from another that got its number later. Null when it is gone. */
export function beginningOf(pid) {
  try {
    // the second entry is the program's name in brackets, which may hold anything
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').pop().split(' ')[19];
  } catch {
    return null;
  }
}

/** Notes this process as a user of a folder. */
export function enter(folder) {
  mkdirSync(join(folder, 'users'), { recursive: true });
  writeFileSync(join(folder, 'users', String(process.pid)), beginningOf(process.pid) ?? '');
}

/** Takes the note of this process away. */
export function leave(folder) {
  rmSync(join(folder, 'users', String(process.pid)), { force: true });
}

/** How many other processes use a folder; notes of those that are gone are taken away. */
export function othersIn(folder) {
  const users = join(folder, 'users');
  if (!existsSync(users)) return 0;
  return readdirSync(users).filter((name) => {
    if (Number(name) === process.pid) return false;
    const isThere = beginningOf(name) === readFileSync(join(users, name), 'utf8');
    if (!isThere) rmSync(join(users, name), { force: true });
    return isThere;
  }).length;
}
