import type { Mark } from '@ivy/core';
import {
  findLook,
  markCounts,
  pageFacts,
  pageSheets,
  type FoundLook,
  type PageFacts,
  type PageSheets,
} from '@ivy/formats/page';

/**
 * What is read in a thread of its own: a page, for its sheets, for what bears on a listing or for what is marked on it; or
 * sheets, for what they make.
 */
export type PageTask =
  | { read: 'sheets'; page: string; address: string }
  | { read: 'facts'; page: string; address: string }
  | { read: 'marks'; page: string; marks: Mark[] }
  | { read: 'look'; sheets: string[] };

export default function read(task: PageTask): PageSheets | PageFacts | FoundLook[] | number[] {
  switch (task.read) {
    case 'look':
      return findLook(task.sheets);
    case 'marks':
      return markCounts(task.page, task.marks);
    case 'sheets':
      return pageSheets(task.page, task.address);
    case 'facts':
      return pageFacts(task.page, task.address);
  }
}
