// npm test: everything that can go red, from a bare clone.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build.mjs';
import { checkNode, installPackages } from './packages.mjs';
import { aptInstall, startPostgres } from './postgres.mjs';
import { root } from './root.mjs';

/** Scripts that sites load have budgets, in kB gzipped; of that for a page's own markup 45 are aimed at. */
const budgets = { 'runtime/dist/ivy-lens.js': 30, 'page/dist/ivy-page.js': 45 };

const say = (words) => console.log(`· ${words}`);
const only = process.argv.slice(2);
const results = { passed: 0, failed: 0 };
const wanted = (name) => only.length === 0 || only.includes(name);

let postgres;
try {
  checkNode();
  installPackages(say);
  if (wanted('browser')) installChromium();
  const begin = Date.now();
  if (wanted('lint')) await lint();
  if (wanted('format')) await check('format', 'prettier', ['--check', '--log-level', 'warn', '.']);
  await build(say);
  if (wanted('size')) checkSize();
  if (wanted('api')) await check('api', process.execPath, [join(root, 'tools', 'api.mjs'), '--check']);
  if (wanted('unit'))
    await jest(['core', 'formats', 'view', 'client', 'runtime', 'alone', 'page', 'studio', 'tools'], []);
  if (wanted('server') || wanted('browser')) postgres = await startPostgres(say);
  if (wanted('server')) await jest(['server'], []);
  if (wanted('browser')) await jest(['browser'], ['--runInBand']);
  say(`took ${Math.round((Date.now() - begin) / 1000)} s`);
} catch (error) {
  console.error(error.message);
  results.failed++;
} finally {
  try {
    await postgres?.stop();
  } catch (error) {
    console.error(error.message);
    results.failed++;
  }
}
console.log(`${results.passed} passed, ${results.failed} failed`);
process.exitCode = results.failed > 0 || results.passed === 0 ? 1 : 0;

function installChromium() {
  const driver = process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver';
  const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(driver) && existsSync(chromium)) return;
  if (process.getuid?.() !== 0)
    throw new Error('Chromium is not installed. Install it (apt-get install chromium chromium-driver).');
  say('Installing Chromium (once)');
  aptInstall(['chromium', 'chromium-driver']);
}

/** Rules and types, in two halves that take about as long, each a process of its own. */
async function lint() {
  const half = ['apps/studio', 'e2e'];
  const others = half.flatMap((folder) => ['--ignore-pattern', `${folder}/**`]);
  await Promise.all([
    check('lint and types', 'eslint', half),
    check('lint and types of all others', 'eslint', [...others, '.']),
  ]);
}

async function check(name, command, args) {
  say(name);
  const code = await run(command === process.execPath ? command : join(root, 'node_modules', '.bin', command), args);
  if (code === 0) results.passed++;
  else {
    results.failed++;
    console.error(`✗ ${name}`);
  }
}

function checkSize() {
  for (const [name, most] of Object.entries(budgets)) {
    const file = join(root, 'packages', ...name.split('/'));
    const { stdout } = spawnSync('gzip', ['-9', '-c', file], { maxBuffer: 1 << 24 });
    const kilobytes = stdout.length / 1000;
    say(`${file.split('/').at(-1)}: ${kilobytes.toFixed(1)} kB gzipped`);
    if (kilobytes > 0 && kilobytes <= most) results.passed++;
    else {
      results.failed++;
      console.error(`✗ ${name} is over its budget of ${most} kB`);
    }
  }
}

async function jest(projects, more) {
  say(projects.join(', '));
  const folder = mkdtempSync(join(tmpdir(), 'ivy-jest-'));
  const report = join(folder, 'report.json');
  // both cores are ours: with the usual one less, all tests of a kind would wait for one another
  const workers = more.includes('--runInBand') ? [] : ['--maxWorkers=2'];
  const args = [...workers, '--selectProjects', ...projects, '--json', `--outputFile=${report}`, ...more];
  const env = { ...process.env, ...(postgres && { DATABASE_URL: postgres.url }) };
  // the report goes to a file; what Jest says to people comes on the error stream
  const code = await run(join(root, 'node_modules', '.bin', 'jest'), args, {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (!existsSync(report)) {
    results.failed++;
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(report, 'utf8'));
  rmSync(folder, { recursive: true });
  results.passed += numPassedTests;
  results.failed += numFailedTests + numRuntimeErrorTestSuites;
  if (code !== 0 && numFailedTests + numRuntimeErrorTestSuites === 0) results.failed++;
}

function run(command, args, options = { stdio: 'inherit' }) {
  return new Promise((done) => spawn(command, args, { cwd: root, ...options }).on('close', done));
}
