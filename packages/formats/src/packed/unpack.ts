import { cleanText } from '@ivy/core';
import { Unzip, UnzipInflate } from 'fflate';
import { FileProblem } from '../file-problem.js';
import type { GivenFile } from '../format.js';
import { limits } from '../limits.js';

/** Bytes of a packed file that are given to the unpacker in one go. */
const step = 64 * 1024;

export function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2]! < 8 && bytes[3]! < 9;
}

/**
 * The files in a zip. What it unpacks to is counted as it comes, so that one made to fill all memory is refused after no
 * more than a step over what may be.
 * @param wants  which are unpacked; the others are passed over
 * @throws FileProblem for a zip that is broken, or holds too much
 */
export function unpack(bytes: Uint8Array, wants: (name: string) => boolean): GivenFile[] {
  const files: GivenFile[] = [];
  let [count, total] = [0, 0];
  let refusal: FileProblem | null = null;
  const most = Math.min(limits.unpackedBytes, Math.max(bytes.length * limits.packedRatio, 1024 * 1024));
  const zip = new Unzip((entry) => {
    if (++count > limits.packedFiles) {
      refusal ??= new FileProblem('too-many', `The zip has more than ${limits.packedFiles} files. Pack fewer.`);
    }
    const name = nameOf(entry.name);
    if (refusal !== null || name === null || !wants(name)) return;
    if (entry.compression !== 0 && entry.compression !== 8) {
      refusal = new FileProblem('broken-file', `“${name}” is packed in a way few programs know. Pack it again.`);
      return;
    }
    const parts: Uint8Array[] = [];
    entry.ondata = (error, part, isLast) => {
      if (error) refusal ??= broken();
      if (refusal !== null) return;
      total += part.length;
      if (total > most) {
        const megabytes = Math.floor(most / 1024 / 1024);
        const words = `What is in the zip is larger than ${megabytes} MB unpacked. Pack less in one.`;
        refusal = new FileProblem('too-large', words);
        parts.length = 0;
        return;
      }
      parts.push(part);
      if (isLast) files.push({ name, bytes: joined(parts) });
    };
    entry.start();
  });
  zip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && refusal === null; at += step) {
      zip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
    }
  } catch {
    refusal ??= broken();
  }
  if (refusal !== null) throw refusal;
  if (count === 0) throw broken();
  return files;
}

function broken(): FileProblem {
  return new FileProblem('broken-file', 'The zip is broken: it can’t be unpacked. Pack it again.');
}

/** The name of a file in a zip, with its folders; null for folders, and what only some system put there. */
function nameOf(said: string): string | null {
  const parts = cleanText(said)
    .replaceAll('\\', '/')
    .split('/')
    .filter((part) => part !== '' && part !== '.' && part !== '..');
  const isHidden = parts.some((part) => part.startsWith('.') || part === '__MACOSX' || part === 'Thumbs.db');
  return parts.length === 0 || isHidden || /[/\\]$/.test(said) ? null : parts.join('/');
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  if (parts.length === 1) return parts[0]!;
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
