import { kindOf, type Facet } from '../kinds/kinds.js';
import type { LensChange } from '../kinds/change.js';
import { nameOf } from '../kinds/name.js';
import { pagingOf, sizesOf } from '../paging/paging.js';
import type { Lens } from './lens.js';

/** What differs between two states of a lens, in visitors' terms. */
export function changesBetween(before: Lens, after: Lens): LensChange[] {
  const old = new Map(before.facets.map((facet) => [facet.key, facet]));
  const changes: LensChange[] = [];
  const met = new Set<string>();
  for (const facet of after.facets) {
    const was = old.get(facet.key) ?? facet.aliases.map((alias) => old.get(alias)).find((one) => one !== undefined);
    if (!was) {
      changes.push({
        facet: facet.key,
        title: `${named(facet)} is a new facet`,
        before: 'not there',
        after: kindOf(facet).noun,
      });
      continue;
    }
    met.add(was.key);
    const found = facetChanges(was, facet);
    // nothing that differs may go unsaid, though most has a sentence of its own
    if (found.length === 0 && differs(was, facet))
      found.push({ facet: facet.key, title: `${named(facet)} is set another way` });
    changes.push(...found);
  }
  for (const facet of before.facets) {
    if (!met.has(facet.key))
      changes.push({
        facet: facet.key,
        title: `${named(facet)} is no longer a facet`,
        before: kindOf(facet).noun,
        after: 'gone',
      });
  }
  const reads = (facet: Facet) => kindOf(facet).fields(facet).join(' ');
  const order = (lens: Lens, other: Lens) =>
    lens.facets.map(reads).filter((one) => other.facets.some((facet) => reads(facet) === one));
  if (order(before, after).join('\n') !== order(after, before).join('\n')) {
    changes.push({ facet: null, title: 'The facets stand in another order' });
  }
  changes.push(...listingChanges(before, after));
  return changes;
}

function facetChanges(was: Facet, is: Facet): LensChange[] {
  const changes: LensChange[] = [];
  const name = named(is);
  const tell = (title: string, before?: string, after?: string) => {
    if (before === undefined || after === undefined) changes.push({ facet: is.key, title });
    else if (before !== after) changes.push({ facet: is.key, title, before, after });
  };
  const seen = ({ visible }: Facet) => (visible ? 'shown' : 'hidden');
  const fold = ({ folded }: Facet) => (folded ? 'folded' : 'open');
  const waits = ({ dependsOn }: Facet) => (dependsOn === '' ? 'always there' : `after ${dependsOn}`);
  tell(`Addresses say ${is.key} where they said ${was.key}`, `?${was.key}=…`, `?${is.key}=…`);
  if (was.label !== is.label) tell(`${named(was)} is now called ${name}`, named(was), name);
  tell(`${name} is shown another way`, kindOf(was).noun, kindOf(is).noun);
  tell(is.visible ? `${name} is shown again` : `${name} is hidden`, seen(was), seen(is));
  kindOf(is).changes(was, is, tell);
  tell(is.folded ? `${name} is folded at first` : `${name} is open at first`, fold(was), fold(is));
  tell(`${name} is there at another time`, waits(was), waits(is));
  return changes;
}

/** Whether visitors or addresses could tell two facets apart: a colour on the Bench is not theirs to see. */
function differs(was: Facet, is: Facet): boolean {
  const bare = ({ hue: _hue, ...facet }: Facet) => JSON.stringify(Object.entries(facet).sort());
  return bare(was) !== bare(is);
}

function listingChanges(before: Lens, after: Lens): LensChange[] {
  const changes: LensChange[] = [];
  const differ = (read: (lens: Lens) => unknown) => JSON.stringify(read(before)) !== JSON.stringify(read(after));
  const tell = (title: string, words: (lens: Lens) => string) => {
    const [was, is] = [words(before), words(after)];
    if (was !== is) changes.push({ facet: null, title, before: was, after: is });
  };
  tell('Posts go on another way', ({ paging }) => pagingOf(paging).noun);
  if (before.paging.mode === after.paging.mode)
    tell('Another number of posts a page', ({ paging }) => `${paging.size} a page`);
  tell(
    'Visitors choose how many a page another way',
    ({ paging }) => sizesOf(paging).join(', ') || 'not theirs to choose',
  );
  if (differ((lens) => lens.sort)) changes.push({ facet: null, title: 'The order of posts can be chosen another way' });
  if (differ((lens) => lens.card)) changes.push({ facet: null, title: 'Cards show other things' });
  if (differ((lens) => lens.look)) changes.push({ facet: null, title: 'The listing is laid out another way' });
  if (differ((lens) => lens.texts)) changes.push({ facet: null, title: 'Some words read differently' });
  tell(
    'The listing follows other lenses on a page',
    ({ follows }) => follows.map(({ lens, facet }) => `${facet} of ${lens}`).join(', ') || 'none',
  );
  const spoken = ({ languages }: Lens) => Object.keys(languages).sort().join(', ');
  tell('The listing speaks other languages besides', (lens) => spoken(lens) || 'none');
  if (spoken(before) === spoken(after) && differ((lens) => lens.languages))
    changes.push({ facet: null, title: 'Some words read differently in other languages' });
  if (differ((lens) => lens.nothing))
    changes.push({ facet: null, title: 'Something else stands where nothing is found' });
  if (differ(({ scope: { pinned: _pinned, ...scope } }) => scope))
    changes.push({ facet: null, title: 'Other posts are in the listing' });
  if (differ((lens) => lens.scope.pinned)) changes.push({ facet: null, title: 'Other posts stand first' });
  if (before.address.apply !== after.address.apply) {
    const words = (lens: Lens) => (lens.address.apply === 'button' ? 'on a button' : 'at once');
    changes.push({ facet: null, title: 'Choices take effect another way', before: words(before), after: words(after) });
  }
  if (before.language !== after.language)
    changes.push({
      facet: null,
      title: 'The listing speaks another language',
      before: before.language,
      after: after.language,
    });
  if (differ((lens) => lens.markup)) changes.push({ facet: null, title: 'Other things are marked on its page' });
  if (differ(({ address: { apply: _apply, ...address }, zone, origins }) => [address, zone, origins]))
    changes.push({ facet: null, title: 'Settings of the page changed' });
  return changes;
}

function named(facet: Facet): string {
  return nameOf(facet, kindOf(facet).fields(facet));
}
