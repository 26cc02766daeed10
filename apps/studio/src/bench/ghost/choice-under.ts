import type { DryRun } from '@ivy/core';
import { choicesOf, choose, toggle, writeChoices } from '@ivy/view';
import type { Prospect } from './use-ghost.js';

/** The address a choice on the live page leads to, if there is one under the pointer or the focus. */
export function choiceUnder(target: Element, { answer, settings }: DryRun): Prospect | null {
  const place = target.closest('[data-facet]');
  const facet = place?.getAttribute('data-facet');
  const drawn = answer.facets.find(({ key }) => key === facet);
  if (!place || !drawn || !('options' in drawn)) return null;
  const value = valueUnder(target);
  if (value === null) return null;
  const before = choicesOf(answer, settings);
  const { single } = settings.facets.find(({ key }) => key === facet)!;
  const after = value === '' ? choose(before, drawn.key, []) : toggle(before, drawn, value, single);
  return { address: writeChoices(after, settings), facet: drawn.key };
}

/** The value of the tick, mark or pill that something belongs to. */
function valueUnder(target: Element): string | null {
  const pill = target.closest('button[aria-pressed]');
  if (pill) return pill.getAttribute('value');
  const input = target.closest('label')?.querySelector('input');
  return input && ['checkbox', 'radio'].includes(input.type) && !input.disabled ? input.value : null;
}
