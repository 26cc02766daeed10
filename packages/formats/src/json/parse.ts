import { parse, type ParseError } from 'jsonc-parser';
import { FileProblem } from '../file-problem.js';
import { checkDepth } from './depth.js';

/** The document that a text is. */
export function parseJson(text: string): unknown {
  checkDepth(text);
  try {
    return JSON.parse(text.replace(/^\ufeff/, ''));
  } catch {
    throw new FileProblem('broken-file', `The JSON is broken${placeOf(text)}. Mend it there and bring it in again.`);
  }
}

/** Where JSON broke, as a line. The engine's own words name no place that can be relied on. */
function placeOf(text: string): string {
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true });
  const offset = errors[0]?.offset ?? text.length;
  if (offset >= text.trimEnd().length) return ' at its end: something was opened and not closed';
  return ` near line ${text.slice(0, offset).split('\n').length}`;
}
