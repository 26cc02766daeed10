import { mkdtempSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync, gunzipSync } from 'node:zlib';
import { packedFile } from './packed-file.js';

test('a file is packed once, unpacks to what it was, and is packed anew when it has changed', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-packed-')), 'script.js');
  writeFileSync(path, 'export const tern = 1;\n'.repeat(400));
  const first = await packedFile(path);
  expect(brotliDecompressSync(first.br).toString()).toBe(gunzipSync(first.gzip).toString());
  expect(first.br.length).toBeLessThan(200);
  expect(await packedFile(path)).toBe(first);
  writeFileSync(path, 'export const gull = 2;\n');
  utimesSync(path, new Date(), new Date(Date.now() + 5000));
  expect(brotliDecompressSync((await packedFile(path)).br).toString()).toBe('export const gull = 2;\n');
});

test('a file that is not there fails each time it is asked for, and is found once it is', async () => {
  const path = join(mkdtempSync(join(tmpdir(), 'ivy-packed-')), 'late.js');
  await expect(packedFile(path)).rejects.toThrow('ENOENT');
  writeFileSync(path, 'export const tern = 1;\n');
  expect(gunzipSync((await packedFile(path)).gzip).toString()).toBe('export const tern = 1;\n');
});
