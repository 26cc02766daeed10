import { decodeText, FileProblem, isOpml, readOpml } from '@ivy/formats';
import { readFileSync } from 'node:fs';
import type { Refusal } from '../../shared/thread.js';
import { readOnDisk, type FilesOnDisk } from '../intake/given-files.js';
import { lookOf, lookOfFeeds, type LookView } from './look.js';

export interface LookTask {
  given: FilesOnDisk;
  today: string;
}

export type LookResult = { refused: Refusal } | { refused: null; look: LookView };

/** Looks at files: nothing of them is kept. */
export default function look({ given, today }: LookTask): LookResult {
  try {
    const [first] = given.files;
    const start = decodeText(readFileSync(first!.path).subarray(0, 4000));
    if (given.files.length === 1 && isOpml(start)) {
      return { refused: null, look: lookOfFeeds(readOpml(decodeText(readFileSync(first!.path)))) };
    }
    return { refused: null, look: lookOf(readOnDisk(given, today)) };
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    return { refused: { status: error.code === 'too-large' ? 413 : 422, code: error.code, detail: error.message } };
  }
}
