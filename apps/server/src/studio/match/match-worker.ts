import { findLook, pageSheets, type FoundLook, type PageSheets } from '@ivy/formats';

/** What is read in a thread of its own: a page, for its sheets; or sheets, for what they make. */
export type MatchTask = { page: string; address: string } | { sheets: string[] };

export default function read(task: MatchTask): PageSheets | FoundLook[] {
  return 'sheets' in task ? findLook(task.sheets) : pageSheets(task.page, task.address);
}
