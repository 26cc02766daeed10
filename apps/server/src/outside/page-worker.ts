import { findLook, pageFacts, pageSheets, type FoundLook, type PageFacts, type PageSheets } from '@ivy/formats';

/** What is read in a thread of its own: a page, for its sheets or for what bears on a listing; or sheets, for what they make. */
export type PageTask =
  | { read: 'sheets'; page: string; address: string }
  | { read: 'facts'; page: string; address: string }
  | { read: 'look'; sheets: string[] };

export default function read(task: PageTask): PageSheets | PageFacts | FoundLook[] {
  if (task.read === 'look') return findLook(task.sheets);
  return task.read === 'sheets' ? pageSheets(task.page, task.address) : pageFacts(task.page, task.address);
}
