import type { Steps } from '@ivy/core';
import { Zip, ZipDeflate } from 'fflate';

/** Bytes that are packed before others get their turn. */
const portion = 64 * 1024;

/**
 * Packs files into a zip, step by step.
 * @param files  names with slashes between folders, and contents
 * @param at     when they were made, as the zip says it
 */
export function* writeZip(files: ReadonlyMap<string, Uint8Array>, at: Date): Steps<Buffer> {
  const parts: Uint8Array[] = [];
  const zip = new Zip((error, part) => {
    if (error) throw error;
    parts.push(part);
  });
  for (const [name, bytes] of files) {
    const file = new ZipDeflate(name, { level: 6 });
    file.mtime = at;
    zip.add(file);
    for (let from = 0; from < bytes.length || from === 0; from += portion) {
      file.push(bytes.subarray(from, from + portion), from + portion >= bytes.length);
      yield;
    }
  }
  zip.end();
  return Buffer.concat(parts);
}
