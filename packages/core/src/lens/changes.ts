import { kindOf, type Facet } from '../kinds/kinds.js';
import type { LensChange } from '../kinds/change.js';
import { nameOf } from '../kinds/name.js';
import { listed } from '../kinds/miss.js';
import type { Field } from '../model/post.js';
import { pagingOf, sizesOf } from '../paging/paging.js';
import { addressNames } from './address-names.js';
import { heirOf } from './kept-names.js';
import { facetLabel } from './label.js';
import type { Lens } from './lens.js';

/**
 * What differs between two states of a lens, in visitors' terms; nothing where every address is answered and drawn alike.
 * @param fields  of the source, where they are known: a label written out is none that changes
 */
export function changesBetween(was: Lens, is: Lens, fields: readonly Field[] = []): LensChange[] {
  const [before, after] = [labelled(was, fields), labelled(is, fields)];
  const changes: LensChange[] = [];
  const met = new Set<string>();
  for (const facet of after.facets) {
    const became = before.facets.filter((one) => heirOf(one, after) === facet);
    const was = became.find(({ key }) => key === facet.key) ?? became[0];
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
        breaks: true,
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
  changes.push(...nameChanges(before, after), ...listingChanges(before, after));
  return changes;
}

/** A lens whose facets say what they are called, where their fields do. */
function labelled(lens: Lens, fields: readonly Field[]): Lens {
  if (fields.length === 0) return lens;
  return { ...lens, facets: lens.facets.map((facet) => ({ ...facet, label: facetLabel(facet, fields, lens) })) };
}

/** Every name that addresses of a lens are read by, with what stands for it. */
function readNames(lens: Lens): Map<string, Facet | 'sort' | 'page' | 'size'> {
  const { prefix, former } = lens.address;
  const names = new Map<string, Facet | 'sort' | 'page' | 'size'>();
  const own = new Map<string, 'sort' | 'page' | 'size'>(
    (['page', 'sort', 'size'] as const).map((part) => [lens.address[part], part]),
  );
  for (const { name, facet } of addressNames(lens)) names.set(prefix + name, facet ?? own.get(name)!);
  for (const { name, is } of former) {
    const now = names.get(prefix + is);
    if (now && !names.has(name)) names.set(name, now);
  }
  return names;
}

/** Names and orders that addresses could say and can't any more, that mean something else now, or that can be said anew. */
function nameChanges(before: Lens, after: Lens): LensChange[] {
  const changes: LensChange[] = [];
  const [old, now] = [readNames(before), readNames(after)];
  const lost = new Map<Facet | string, string[]>();
  for (const [name, was] of old) {
    const is = now.get(name);
    const heir = typeof was === 'string' ? was : heirOf(was, after);
    // that a facet is gone is said already, and its names with it
    if (heir === undefined && is === undefined) continue;
    if (is === undefined) lost.set(heir!, [...(lost.get(heir!) ?? []), name]);
    else if (typeof is === 'string' || typeof was === 'string') {
      if (is !== was) changes.push({ facet: null, breaks: true, title: `“${name}” means another thing in addresses` });
    } else if (is.key !== (heir as Facet | undefined)?.key) {
      const [from, to] = [named(was), named(is)];
      changes.push({
        facet: is.key,
        breaks: true,
        title: `“${name}” chooses in another facet`,
        before: from,
        after: to,
      });
    }
  }
  for (const [of, names] of lost) {
    const facet = typeof of === 'string' ? null : of.key;
    changes.push({ facet, breaks: true, title: `Addresses with ${quoted(names)} are read no more` });
  }
  for (const [name, is] of now) {
    if (old.has(name) || typeof is === 'string') continue;
    // the name a facet goes by is told with the facet
    if (name === after.address.prefix + is.key || !before.facets.some((facet) => heirOf(facet, after) === is)) continue;
    changes.push({ facet: is.key, title: `Addresses with “${name}” are read as ${named(is)}` });
  }
  const orders = (lens: Lens) => lens.sort.options.flatMap(({ key, aliases }) => [key, ...aliases]);
  const gone = orders(before).filter((key) => !orders(after).includes(key));
  if (gone.length > 0)
    changes.push({ facet: null, breaks: true, title: `The order ${quoted(gone)} can’t be asked for any more` });
  return changes;
}

function quoted(names: readonly string[]): string {
  return listed(names.map((name) => `“${name}”`));
}

const keptWords = {
  usual: 'as is usual',
  never: 'none',
  alone: 'those with nothing else chosen',
  paired: 'those with one choice more',
};

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
  const [read, reads] = [was, is].map((facet) => kindOf(facet).fields(facet).join(', '));
  if (read !== reads)
    changes.push({ facet: is.key, breaks: true, title: `${name} reads another field`, before: read!, after: reads! });
  const [form, forms] = [was, is].map((facet) => kindOf(facet).valueForm(facet));
  // where one was read and several are, what was said is read as before
  if (form !== forms && forms !== `${form},b`)
    changes.push({
      facet: is.key,
      breaks: true,
      title: `${name} is said another way in addresses`,
      before: form!,
      after: forms!,
    });
  if (was.label !== is.label) tell(`${named(was)} is now called ${name}`, named(was), name);
  tell(`${name} is shown another way`, kindOf(was).noun, kindOf(is).noun);
  tell(is.visible ? `${name} is shown again` : `${name} is hidden`, seen(was), seen(is));
  kindOf(is).changes(was, is, tell);
  tell(is.folded ? `${name} is folded at first` : `${name} is open at first`, fold(was), fold(is));
  tell(`${name} is there at another time`, waits(was), waits(is));
  tell(
    `Search engines may keep other addresses with ${name}`,
    keptWords[was.indexed ?? 'usual'],
    keptWords[is.indexed ?? 'usual'],
  );
  return changes;
}

/** Whether visitors or addresses could tell two facets apart: a colour on the Bench is not theirs to see. */
function differs(was: Facet, is: Facet): boolean {
  const bare = ({ hue: _hue, aliases: _aliases, indexed: _indexed, ...facet }: Facet) =>
    JSON.stringify(Object.entries(facet).sort());
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
  if (differ(({ sort }) => ({ ...sort, options: sort.options.map(({ aliases: _aliases, ...option }) => option) })))
    changes.push({ facet: null, title: 'The order of posts can be chosen another way' });
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
  tell('Names in addresses begin another way', ({ address }) => address.prefix || 'plainly');
  tell('The order is called otherwise in addresses', ({ address }) => address.sort);
  tell('The page is called otherwise in addresses', ({ address }) => address.page);
  tell('The size is called otherwise in addresses', ({ address, paging }) =>
    sizesOf(paging).length > 0 ? address.size : 'size',
  );
  if (differ(({ zone, origins }) => [zone, origins]))
    changes.push({ facet: null, title: 'Settings of the page changed' });
  return changes;
}

function named(facet: Facet): string {
  return nameOf(facet, kindOf(facet).fields(facet));
}
