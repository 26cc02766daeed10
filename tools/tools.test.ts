import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const tools = __dirname;

function node(script: string, env: Record<string, string> = {}) {
  return spawnSync(process.execPath, ['--input-type=module', '-e', script], {
    encoding: 'utf8',
    cwd: tools,
    env: { ...process.env, ...env },
  });
}

test('a busy port is a clear message, not a stack trace', async () => {
  const server = createServer();
  const port = await new Promise<number>((done) =>
    server.listen(0, '127.0.0.1', () => done((server.address() as { port: number }).port)),
  );
  const { status, stderr } = await new Promise<{ status: number | null; stderr: string }>((done) => {
    done(
      spawnSync(process.execPath, [join(tools, 'start.mjs')], {
        encoding: 'utf8',
        env: { ...process.env, PORT: String(port) },
      }),
    );
  });
  server.close();
  expect(status).toBe(1);
  expect(stderr.trim()).toBe(`Port ${port} is in use. Stop what uses it, or set PORT to another.`);
});

test('a lock left by a process that is gone is taken over', () => {
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-lock-')), 'lock');
  writeFileSync(path, '999999999');
  const { stdout } = node(
    `import { lock } from './lock.mjs'; const free = await lock(${JSON.stringify(path)}, 2000); console.log('taken'); free();`,
  );
  expect(stdout.trim()).toBe('taken');
});

test('a lock that is held is waited for', () => {
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-lock-')), 'lock');
  writeFileSync(path, String(process.pid));
  const { stderr } = node(`import { lock } from './lock.mjs'; await lock(${JSON.stringify(path)}, 300);`);
  expect(stderr).toContain('has held');
  expect(readFileSync(path, 'utf8')).toBe(String(process.pid));
});

test('the demo makes the same 480 notes every time, with the slips it should have', () => {
  const script = "import { makeNotes } from '../demo/make/notes.mjs'; console.log(JSON.stringify(makeNotes()))";
  const [first, second] = [node(script).stdout, node(script).stdout];
  expect(first).toBe(second);
  const notes = JSON.parse(first) as { id: string; title: string; habitat: string[]; place: string }[];
  expect(notes.length).toBe(480);
  expect(new Set(notes.map((note) => note.title)).size).toBe(480);
  expect(notes.filter((note) => note.habitat.length === 0).length).toBe(8);
  expect(notes.filter((note) => note.place.includes('Gannick Pt')).length).toBe(1);
});

test('a picture is the same for the same note, and whole', () => {
  const script =
    "import { drawPicture } from '../demo/make/picture.mjs'; console.log(drawPicture({ seed: 'n-1', habitat: 'Lagoon', subject: 'Eels', light: 'dusk' }))";
  const [first, second] = [node(script).stdout, node(script).stdout];
  expect(first).toBe(second);
  expect(first).toMatch(/^<svg [^>]+>.+<\/svg>\s*$/s);
  expect(first).not.toMatch(/NaN|undefined/);
});

test('the kernel that the engine carries is the one its script makes', () => {
  const { stdout } = node(
    `import { kernelFile, kernelSource } from './kernel.mjs'; import { readFileSync } from 'node:fs';
     console.log(readFileSync(kernelFile, 'utf8') === await kernelSource());`,
  );
  expect(stdout.trim()).toBe('true');
});
