import type { FieldDescription } from '../../fields/describe.js';
import type { Warning } from '../warning.js';
import type { TermsConfig } from './config.js';

/** What is said where no post has a value. */
export const noValues: Warning = {
  code: 'no-values',
  broken: false,
  text: 'No post has a value here, so visitors find nothing to choose.',
};

export const oneTerm: Warning = {
  code: 'one-term',
  broken: false,
  text: 'All posts have the same term: there is nothing to choose between.',
};

/** How many terms a facet shows, as far as its settings and its field tell. */
export function termsLeft({ only }: Pick<TermsConfig, 'only'>, field: FieldDescription): number {
  return only.length > 0 ? only.length : field.distinct;
}

export function termWarnings(facet: TermsConfig, field: FieldDescription | undefined): Warning[] {
  if (!field) return [];
  if (field.filled === 0) return [noValues];
  const found: Warning[] = [];
  if (facet.only.length > 0 && facet.only.every((slug) => facet.hide.includes(slug))) {
    const text = 'Every term is hidden, so visitors find nothing to choose.';
    found.push({ code: 'all-hidden', broken: false, text });
  }
  if (termsLeft(facet, field) === 1) found.push(oneTerm);
  return found;
}
