import { readFile, stat } from 'node:fs/promises';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/** A file as it goes over the wire, packed as tightly as can be. */
export interface PackedFile {
  br: Buffer;
  gzip: Buffer;
}

const packed = new Map<string, { changed: number; file: Promise<PackedFile> }>();

/**
 * A text file, packed once for all who ask: the tightest packing takes a tenth of a second, beside the requests of others,
 * and saves a tenth of the bytes on every one. Packed anew when the file has changed.
 */
export async function packedFile(path: string): Promise<PackedFile> {
  const changed = (await stat(path)).mtimeMs;
  const before = packed.get(path);
  if (before?.changed === changed) return before.file;
  const file = pack(path);
  packed.set(path, { changed, file });
  // what failed must not be remembered: the next request tries again
  file.catch(() => packed.delete(path));
  return file;
}

async function pack(path: string): Promise<PackedFile> {
  const bytes = await readFile(path);
  const params = { [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length };
  const [br, zipped] = await Promise.all([
    promisify(brotliCompress)(bytes, { params }),
    promisify(gzip)(bytes, { level: 9 }),
  ]);
  return { br, gzip: zipped };
}
