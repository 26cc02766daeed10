// Checks the types of every part, two at a time.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './root.mjs';

const queue = [
  'packages/core',
  'packages/formats',
  'packages/view',
  'packages/client',
  'packages/runtime',
  'packages/page',
  'apps/server',
  'apps/studio',
  'e2e',
  'tools',
];
let failed = 0;
const worker = async () => {
  for (let part = queue.shift(); part; part = queue.shift()) {
    const code = await new Promise((done) => {
      spawn(join(root, 'node_modules', '.bin', 'tsc'), ['-p', part], { cwd: root, stdio: 'inherit' }).on('close', done);
    });
    if (code !== 0) failed++;
  }
};
await Promise.all([worker(), worker()]);
process.exitCode = failed > 0 ? 1 : 0;
