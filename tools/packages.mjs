// Installs the npm packages when they are missing or the lock file changed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

const stamp = join(root, 'node_modules', '.ivy-lock');

export function installPackages(say) {
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing npm packages (about a minute, once)');
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (result.status !== 0) throw new Error('npm ci failed. What it said stands above.');
  writeFileSync(stamp, wanted);
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Error(`Node ${process.versions.node} is too old: Ivy Lens needs 20.19 or newer.`);
  }
}
