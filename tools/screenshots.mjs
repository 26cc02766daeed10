// npm run screenshots: takes the pictures in docs/screenshots anew, from the demo data.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build } from './build.mjs';
import { startPostgres } from './postgres.mjs';
import { root } from './root.mjs';

const say = (words) => console.log(`· ${words}`);
await build(say);
const postgres = await startPostgres(say);
const env = { ...process.env, DATABASE_URL: postgres.url, IVY_PICTURES: join(root, 'docs', 'screenshots') };
const jest = join(root, 'node_modules', '.bin', 'jest');
const { status } = spawnSync(jest, ['--selectProjects', 'browser', '--runInBand', 'pictures'], {
  cwd: root,
  env,
  stdio: 'inherit',
});
await postgres.stop();
process.exitCode = status ?? 1;
