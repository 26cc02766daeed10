import type { RawRecord } from '@ivy/core';
import type { FileFormat } from '@ivy/formats';

/** What comes: a file in place of all posts, some posts beside the others, some that go, or what a run did, undone. */
export type Bringing =
  | { how: 'file'; path: string; fileName: string; format: FileFormat | null; keepsMissing: boolean }
  | { how: 'posts'; records: RawRecord[] }
  | { how: 'removal'; ids: string[] }
  | { how: 'undo'; run: number };

export interface RunTask {
  sourceId: string;
  what: Bringing;
  /** Whether it is kept, or only looked at. */
  keeps: boolean;
  /** The day it is, `YYYY-MM-DD`. */
  today: string;
  databaseUrl: string;
}
