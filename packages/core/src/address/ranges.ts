import { isReversed, readInterval } from '../dates/interval.js';
import type { Notice, Selection } from '../model/query.js';

/** Reads the days of a date range; of several values the first that can be read. */
export function readDays(
  key: string,
  found: readonly string[],
  today: number,
  notices: Notice[],
): Selection | undefined {
  return firstReadable(key, found, notices, 'bad-date', (value) => {
    const interval = readInterval(value, today);
    if (!interval) return undefined;
    if (isReversed(value)) notices.push(reversed(key, value));
    return { type: 'days', ...interval };
  });
}

/** Reads `5/10`, `5/..`, `../10`, or a lone number for just that. */
export function readNumbers(key: string, found: readonly string[], notices: Notice[]): Selection | undefined {
  return firstReadable(key, found, notices, 'bad-number', (value) => {
    const parts = value.trim().split('/');
    if (parts.length > 2) return undefined;
    const [start, end] = parts.length === 1 ? [parts[0]!, parts[0]!] : (parts as [string, string]);
    const [from, to] = [readEnd(start), readEnd(end)];
    if (from === undefined || to === undefined || (from === null && to === null)) return undefined;
    if (from === null || to === null || from <= to) return { type: 'numbers', from, to };
    notices.push(reversed(key, value));
    return { type: 'numbers', from: to, to: from };
  });
}

function firstReadable(
  key: string,
  found: readonly string[],
  notices: Notice[],
  code: 'bad-date' | 'bad-number',
  read: (value: string) => Selection | undefined,
): Selection | undefined {
  let selection: Selection | undefined;
  for (const value of found) {
    if (selection) {
      notices.push({
        code: 'single-choice',
        facet: key,
        value,
        text: `“${key}” takes one range, so “${value}” was passed over.`,
      });
      continue;
    }
    selection = read(value);
    if (selection) continue;
    const noun = code === 'bad-date' ? 'a range of days' : 'a range of numbers';
    notices.push({ code, facet: key, value, text: `“${value}” is not ${noun}, so it was passed over.` });
  }
  return selection;
}

/** @returns null for an open end, undefined when it can't be read */
function readEnd(text: string): number | null | undefined {
  const t = text.trim();
  if (t === '..' || t === '') return null;
  if (!/^[+-]?\d{1,15}(\.\d{1,10})?$/.test(t)) return undefined;
  // -0 and 0 are one number, and are written as one
  return Number(t) + 0;
}

function reversed(key: string, value: string): Notice {
  return { code: 'range-reversed', facet: key, value, text: `The ends of “${value}” were turned round.` };
}
