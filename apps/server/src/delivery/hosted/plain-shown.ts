import { choicesOf, plainPlaced, type Choices, type Shown } from '@ivy/view';
import type { Listing } from '../results.service.js';

interface How extends Pick<Shown, 'now' | 'resolve' | 'finds'> {
  hrefOf: (choices: Choices) => string;
}

/** What a page of a lens shows that no script draws. */
export function plainShown({ settings, answer }: Listing, { now, resolve, finds, hrefOf }: How): Shown {
  const choices = choicesOf(answer, settings);
  return { settings, answer, placed: plainPlaced(settings.look), choices, now, hrefOf, resolve, marks: null, finds };
}
