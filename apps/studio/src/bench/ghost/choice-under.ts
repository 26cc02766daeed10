import type { DryRun } from '@ivy/core';
import { chipsView, choicesOf, choose, toggle, writeChoices, type Choices, type ChipsView } from '@ivy/view';
import type { Prospect } from './use-ghost.js';

/** What visitors choose by on the live page, and what they take away. */
export const choiceSelector =
  '[data-facet] label, [data-facet] button[aria-pressed], .ivy-chips .ivy-chip, .ivy-chips .ivy-clear';

/** The address a choice on the live page leads to, if there is one under the pointer or the focus. */
export function choiceUnder(target: Element, dryRun: DryRun): Prospect | null {
  const { answer, settings } = dryRun;
  const chip = target.closest('.ivy-chip, .ivy-clear');
  if (chip) return chipUnder(chip, dryRun);
  const place = target.closest('[data-facet]');
  const facet = place?.getAttribute('data-facet');
  const drawn = answer.facets.find(({ key }) => key === facet);
  if (!place || !drawn || !('options' in drawn)) return null;
  const value = valueUnder(target);
  if (value === null) return null;
  const before = choicesOf(answer, settings);
  const { single } = settings.facets.find(({ key }) => key === facet)!;
  const after = value === '' ? choose(before, drawn.key, []) : toggle(before, drawn, value, single);
  return prospectOf(after, drawn.key, dryRun);
}

function prospectOf(choices: Choices, facet: string | null, { settings }: DryRun): Prospect {
  return { address: writeChoices(choices, settings), facet };
}

/** The value of the tick, mark or pill that something belongs to. */
function valueUnder(target: Element): string | null {
  const pill = target.closest('button[aria-pressed]');
  if (pill) return pill.getAttribute('value');
  const input = target.closest('label')?.querySelector('input');
  return input && ['checkbox', 'radio'].includes(input.type) && !input.disabled ? input.value : null;
}

function chipUnder(chip: Element, dryRun: DryRun): Prospect | null {
  const view = chipsOf(dryRun);
  if (chip.matches('.ivy-clear')) return view?.clear ? prospectOf(view.clear.link.choices, null, dryRun) : null;
  const at = [...(chip.closest('.ivy-chips')?.querySelectorAll('.ivy-chip') ?? [])].indexOf(chip);
  const pressed = view?.chips[at];
  return pressed ? prospectOf(pressed.without.choices, pressed.facet, dryRun) : null;
}

/** The chips of an answer in the order the page draws them; null while nothing is chosen. */
export function chipsOf({ answer, settings }: DryRun): ChipsView | null {
  return chipsView({
    ...{ answer, settings, placed: settings.look.desktop, choices: choicesOf(answer, settings), now: Date.now() },
    // where a chip leads is told by its choices
    hrefOf: () => '',
    resolve: () => null,
    ...{ marks: new Set<string>(), finds: new Map() },
  });
}
