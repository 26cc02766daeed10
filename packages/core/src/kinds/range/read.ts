import type { Notice } from '../../model/notice.js';
import type { Selection } from '../../model/selection.js';

/** Reads the first value of an address that can be read, and notes the others. */
export function firstReadable(
  key: string,
  found: readonly string[],
  notices: Notice[],
  unreadable: { code: 'bad-date' | 'bad-number'; noun: string },
  read: (value: string) => Selection | undefined,
): Selection | undefined {
  let selection: Selection | undefined;
  for (const value of found) {
    if (selection) {
      const text = `“${key}” takes one range, so “${value}” was passed over.`;
      notices.push({ code: 'single-choice', facet: key, value, text });
      continue;
    }
    selection = read(value);
    if (selection) continue;
    const text = `“${value}” is not ${unreadable.noun}, so it was passed over.`;
    notices.push({ code: unreadable.code, facet: key, value, text });
  }
  return selection;
}

/** What is noted of a range whose ends were turned round. */
export function reversed(key: string, value: string): Notice {
  return { code: 'range-reversed', facet: key, value, text: `The ends of “${value}” were turned round.` };
}
