import type { RawRecord } from '@ivy/core';
import type { FilesOnDisk } from '../intake/given-files.js';

/** What comes: a file in place of all posts, some posts beside the others, some that go, or what a run did, undone. */
export type Bringing =
  | { how: 'file'; given: FilesOnDisk; fileName: string; keepsMissing: boolean }
  /** What a feed or an endpoint holds now; where too much of it is gone, it is told and not kept. */
  | { how: 'live'; given: FilesOnDisk; fileName: string; guards: boolean }
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
