// The start program is killed, and its disk runs full.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../tools/postgres.mjs';
import { root } from '../tools/root.mjs';
import { ask, ms, sendJson, upload, wait } from './serve.mjs';

async function start(data, port) {
  const env = { ...process.env, IVY_DATA: data, PORT: String(port), IVY_DEMO: '0' };
  delete env.DATABASE_URL;
  const child = spawn(process.execPath, [join(root, 'tools', 'start.mjs')], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stdout.on('data', (chunk) => (said += chunk));
  child.stderr.on('data', (chunk) => (said += chunk));
  for (let i = 0; !said.includes('Stop  '); i++) {
    if (i > 1200 || child.exitCode !== null) throw new Error(`It did not start:\n${said}`);
    await wait(50);
  }
  return { child, said: () => said };
}

/** What runs out of a data folder: servers and databases. */
function alive(data) {
  return spawnSync('pgrep', ['-f', data], { encoding: 'utf8' }).stdout.trim().split('\n').filter(Boolean).length;
}

export async function starts(say) {
  const data = mkdtempSync(join(tmpdir(), 'ivy-starts-'));
  const port = await freePort(48_100);
  const first = await start(data, port);
  await upload(`http://127.0.0.1:${port}`, 'id,title\n1,One\n2,Two', 'two.csv', { slug: 'two' });
  first.child.kill('SIGKILL');
  await wait(3_000);
  const left = (await ask(`http://127.0.0.1:${port}/api/v1/health`, {}, 1000)).status;
  const second = await start(data, port);
  const kept = JSON.parse((await ask(`http://127.0.0.1:${port}/api/v1/sources`)).body).length;
  second.child.kill('SIGINT');
  await new Promise((done) => second.child.once('exit', done));
  await wait(500);
  say(
    `start killed with -9 · server ${left === 0 ? 'gone after 3 s' : 'still there after 3 s'} · next start has ${kept} of 1 source · after Ctrl-C ${alive(data)} processes left`,
  );
  rmSync(data, { recursive: true, force: true });
  await fullDisk(say);
}

/** On a disk of its own in memory, which only root may make. */
async function fullDisk(say) {
  const disk = mkdtempSync(join(tmpdir(), 'ivy-disk-'));
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=300m,mode=755', 'tmpfs', disk]).status !== 0) {
    say('disk full · not tried: a disk in memory can’t be mounted here');
    return;
  }
  try {
    const data = join(disk, 'data');
    mkdirSync(data);
    const port = await freePort(48_300);
    const url = `http://127.0.0.1:${port}`;
    const { child, said } = await start(data, port);
    await upload(url, 'id,title\n1,One\n2,Two', 'two.csv', { slug: 'two' });
    await sendJson(`${url}/api/v1/lenses`, 'POST', { name: 'Two', source: 'two', slug: 'two' });
    await sendJson(`${url}/api/v1/lenses/two/releases`, 'POST', {});
    await ask(`${url}/api/v1/lenses/two/results`);
    spawnSync('fallocate', ['-l', '100%', join(disk, 'filler')]);
    spawnSync('sh', ['-c', `cat /dev/zero > ${join(disk, 'filler2')} 2>/dev/null`]);
    const rows = Array.from({ length: 40_000 }, (_, i) => `p${i},Post ${i} ${'with many words '.repeat(20)}`);
    const refused = await upload(url, `id,title\n${rows.join('\n')}`, 'large.csv', { slug: 'large' });
    spawnSync('pkill', ['-KILL', '-f', `${data}.*postgres|postgres.*${data}`]);
    await wait(4_000);
    const during = await ask(`${url}/api/v1/lenses/two/results?x=1`);
    const health = await ask(`${url}/api/v1/health`);
    rmSync(join(disk, 'filler'), { force: true });
    rmSync(join(disk, 'filler2'), { force: true });
    const back = performance.now();
    let recovered = null;
    while (performance.now() - back < 60_000) {
      if ((await ask(`${url}/api/v1/health`)).status === 200) {
        recovered = performance.now() - back;
        break;
      }
      await wait(100);
    }
    const sources = await ask(`${url}/api/v1/sources`);
    const words =
      said()
        .split('\n')
        .find((line) => line.includes('full')) ?? 'nothing';
    say(
      `disk full · an import meanwhile ${refused.status} · with PostgreSQL gone: released answers ${during.status}, health ${health.status} · told: “${words.replace(disk, '…').trim()}” · ${recovered === null ? 'not well again in 60 s' : `well again ${ms(recovered)} after there was room`} · ${sources.status === 200 ? JSON.parse(sources.body).length : '?'} source kept`,
    );
    child.kill('SIGINT');
    await new Promise((done) => child.once('exit', done));
  } finally {
    spawnSync('umount', ['-l', disk]);
    rmSync(disk, { recursive: true, force: true });
  }
}
