import type { SavedAddressView } from '@ivy/client';
import { figure } from '../shared/figures.js';

/** What a saved address must find, in words. */
export function expectationWords({ matched, min, max, has = [], lacks = [] }: SavedAddressView['expect']): string {
  const words: string[] = [];
  if (matched !== undefined) words.push(`exactly ${figure(matched)}`);
  if (min !== undefined && max !== undefined) words.push(`${figure(min)} to ${figure(max)}`);
  else if (min !== undefined) words.push(`at least ${figure(min)}`);
  else if (max !== undefined) words.push(`at most ${figure(max)}`);
  if (has.length > 0) words.push(`with ${has.join(', ')}`);
  if (lacks.length > 0) words.push(`never ${lacks.join(', ')}`);
  return words.join(', ');
}
