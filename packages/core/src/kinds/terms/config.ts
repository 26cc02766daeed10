import { choice, flag, list, table, text, withDefault } from '../../shape/shape.js';
import { common, fieldKey, slug, type CommonConfig } from '../common.js';

/** Whether counts stand beside choices, and what becomes of choices without posts. */
export const counting = {
  counts: withDefault(flag(), () => true),
  zero: withDefault(choice('mute', 'hide', 'keep'), () => 'mute' as const),
};

/** Own labels by term. */
export const labels = withDefault(table(text({ min: 1, max: 200 }), 5000), () => ({}));

/** At most one choice. */
export const single = withDefault(flag(), () => false);

/** How terms that have a colour or a picture show it beside their names. */
export const drawn = {
  draw: withDefault(choice('names', 'swatches', 'pictures'), () => 'names' as const),
};
export type DrawnTerms = 'names' | 'swatches' | 'pictures';

/** What the config of every facet of terms has. */
export const terms = {
  ...common,
  field: fieldKey,
  match: withDefault(choice('any', 'all'), () => 'any' as const),
  ...counting,
  order: withDefault(choice('given', 'label', 'count'), () => 'given' as const),
  /** Own order, for `given`: these come first among their siblings, the others after them as given. */
  sequence: withDefault(list(slug, 5000), () => []),
  /** Empty: every term. */
  only: withDefault(list(slug, 5000), () => []),
  hide: withDefault(list(slug, 5000), () => []),
  labels,
};

/** The same as read. */
export interface TermsConfig extends CommonConfig {
  field: string;
  match: 'any' | 'all';
  counts: boolean;
  zero: 'mute' | 'hide' | 'keep';
  order: 'given' | 'label' | 'count';
  sequence: string[];
  only: string[];
  hide: string[];
  labels: Record<string, string>;
}

/** What decides which of its terms a facet shows, and how. */
export type Showing = Pick<TermsConfig, 'zero' | 'order' | 'sequence' | 'only' | 'hide' | 'labels'>;
