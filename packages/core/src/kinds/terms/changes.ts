import type { Tell } from '../change.js';
import type { CommonConfig } from '../common.js';
import type { TermsConfig } from './config.js';

type Counting = Pick<TermsConfig, 'counts' | 'zero'>;

/** What differs in counts and in what becomes of choices without posts. */
export function countChanges(name: string, was: CommonConfig & Partial<Counting>, is: Counting, tell: Tell): void {
  const words = (counts: boolean) => (counts ? 'with counts' : 'no counts');
  if (was.counts !== undefined && was.counts !== is.counts)
    tell(`${name} shows ${is.counts ? '' : 'no '}counts`, words(was.counts), words(is.counts));
  if (was.zero !== undefined) tell(`${name} treats terms with no posts another way`, was.zero, is.zero);
}

/** What differs in the words of single choices. */
export function labelChanges(
  name: string,
  was: CommonConfig & { labels?: Record<string, string> },
  is: { labels: Record<string, string> },
  tell: Tell,
): void {
  if (was.labels && JSON.stringify(was.labels) !== JSON.stringify(is.labels))
    tell(`${name} words some choices differently`);
}

/** What differs in how many can be chosen. */
export function singleChanges(
  name: string,
  was: CommonConfig & { single?: boolean },
  is: { single: boolean },
  tell: Tell,
): void {
  const words = (single: boolean) => (single ? 'one' : 'several');
  if (was.single !== undefined) tell(`${name} takes another number of choices`, words(was.single), words(is.single));
}

/** What differs between two facets of terms. */
export function termChanges(name: string, before: CommonConfig, is: TermsConfig, tell: Tell): void {
  countChanges(name, before, is, tell);
  labelChanges(name, before, is, tell);
  if (!('match' in before)) return;
  const was = before as TermsConfig;
  if (was.match !== is.match)
    tell(`${name} takes posts with ${is.match} of the ticked terms`, `${was.match} ticked`, `${is.match} ticked`);
  if (was.order !== is.order || was.sequence.join() !== is.sequence.join()) {
    const title = `${name} lists its terms in another order`;
    if (orderOf(was) === orderOf(is)) tell(title);
    else tell(title, orderOf(was), orderOf(is));
  }
  if (was.only.join() !== is.only.join())
    tell(is.only.length === 0 ? `${name} lists terms as they come` : `${name} lists only ${listOf(is.only)}`);
  const drawnAs = (one: object) => String('draw' in one ? one.draw : 'names');
  if (drawnAs(was) !== drawnAs(is)) tell(`${name} shows its terms otherwise`, drawnAs(was), drawnAs(is));
  const gone = is.hide.filter((term) => !was.hide.includes(term));
  const back = was.hide.filter((term) => !is.hide.includes(term));
  if (gone.length > 0) tell(`${name} no longer lists ${listOf(gone)}`);
  if (back.length > 0) tell(`${name} lists ${listOf(back)} again`);
}

function orderOf({ order, sequence }: TermsConfig): string {
  return sequence.length > 0 && order === 'given' ? 'its own' : order;
}

function listOf(terms: readonly string[]): string {
  return terms.length <= 3 ? terms.join(', ') : `${terms.slice(0, 2).join(', ')} and ${terms.length - 2} more`;
}
