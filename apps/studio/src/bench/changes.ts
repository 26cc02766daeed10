import { fieldsOf, isSearch, isTerms, type Facet, type Lens, type TermFacet } from '@ivy/core';

/** One thing that visitors would find different. */
export interface Change {
  /** Key of the facet it is about; null for the listing as a whole. */
  facet: string | null;
  title: string;
  /** How it was and how it becomes, where both can be said in a word. */
  before?: string;
  after?: string;
}

const kindNames: Record<Facet['kind'], string> = {
  checkboxes: 'ticks',
  radios: 'one of',
  dropdown: 'dropdown',
  buttons: 'buttons',
  tree: 'tree',
  switch: 'switch',
  search: 'search',
  favourites: 'favourites',
  'date-range': 'range of days',
  'number-range': 'range of numbers',
};

/** What differs between two states of a lens, in visitors' terms. */
export function changesBetween(before: Lens, after: Lens): Change[] {
  const old = new Map(before.facets.map((facet) => [facet.key, facet]));
  const changes: Change[] = [];
  const met = new Set<string>();
  for (const facet of after.facets) {
    const was = old.get(facet.key) ?? facet.aliases.map((alias) => old.get(alias)).find((one) => one !== undefined);
    if (!was) {
      changes.push({
        facet: facet.key,
        title: `${nameOf(facet)} is a new facet`,
        before: 'not there',
        after: kindNames[facet.kind],
      });
      continue;
    }
    met.add(was.key);
    const told = [...facetChanges(was, facet), ...ownChanges(was, facet)];
    // nothing that differs may go unsaid, though most has a sentence of its own
    if (told.length === 0 && differs(was, facet))
      told.push({ facet: facet.key, title: `${nameOf(facet)} is set another way` });
    changes.push(...told);
  }
  for (const facet of before.facets) {
    if (!met.has(facet.key))
      changes.push({
        facet: facet.key,
        title: `${nameOf(facet)} is no longer a facet`,
        before: kindNames[facet.kind],
        after: 'gone',
      });
  }
  const reads = (facet: Facet) => fieldsOf(facet).join(' ');
  const order = (lens: Lens, other: Lens) =>
    lens.facets.map(reads).filter((one) => other.facets.some((facet) => reads(facet) === one));
  if (order(before, after).join('\n') !== order(after, before).join('\n')) {
    changes.push({ facet: null, title: 'The facets stand in another order' });
  }
  changes.push(...listingChanges(before, after));
  return changes;
}

function facetChanges(was: Facet, is: Facet): Change[] {
  const changes: Change[] = [];
  const name = nameOf(is);
  const add = (title: string, before?: string, after?: string) =>
    changes.push({
      facet: is.key,
      title,
      ...(before !== undefined && { before }),
      ...(after !== undefined && { after }),
    });
  if (was.key !== is.key) add(`Addresses say ${is.key} where they said ${was.key}`, `?${was.key}=…`, `?${is.key}=…`);
  if (nameOf(was) !== name && was.label !== is.label) add(`${nameOf(was)} is now called ${name}`, nameOf(was), name);
  if (was.kind !== is.kind) add(`${name} is shown another way`, kindNames[was.kind], kindNames[is.kind]);
  if (was.visible !== is.visible)
    add(
      is.visible ? `${name} is shown again` : `${name} is hidden`,
      was.visible ? 'shown' : 'hidden',
      is.visible ? 'shown' : 'hidden',
    );
  if (isSearch(was) && isSearch(is)) {
    if (was.words !== is.words)
      add(`${name} finds posts with ${is.words} of the words`, `${was.words} words`, `${is.words} words`);
    if (was.fields.join() !== is.fields.join())
      add(`${name} looks in other fields`, was.fields.join(', '), is.fields.join(', '));
  }
  if ('counts' in was && 'counts' in is) changes.push(...countChanges(name, was, is));
  if (!isTerms(was) || !isTerms(is)) return changes;
  if (was.match !== is.match) {
    const all = is.match === 'all' ? 'all' : 'any';
    add(`${name} takes posts with ${all} of the ticked terms`, `${was.match} ticked`, `${is.match} ticked`);
  }
  const orderOf = ({ order, sequence }: TermFacet) => (sequence.length > 0 && order === 'given' ? 'its own' : order);
  if (was.order !== is.order || was.sequence.join() !== is.sequence.join())
    add(`${name} lists its terms in another order`, orderOf(was), orderOf(is));
  if (was.only.join() !== is.only.join())
    add(is.only.length === 0 ? `${name} lists terms as they come` : `${name} lists only ${listOf(is.only)}`);
  const gone = is.hide.filter((term) => !was.hide.includes(term));
  const back = was.hide.filter((term) => !is.hide.includes(term));
  if (gone.length > 0) add(`${name} no longer lists ${listOf(gone)}`);
  if (back.length > 0) add(`${name} lists ${listOf(back)} again`);
  return changes;
}

/** Whether visitors or addresses could tell two facets apart: a colour on the Bench is not theirs to see. */
function differs(was: Facet, is: Facet): boolean {
  const bare = ({ hue: _hue, ...facet }: Facet) => JSON.stringify(Object.entries(facet).sort());
  return bare(was) !== bare(is);
}

/** What only some kinds have: how it lies, waits and is worded. */
function ownChanges(was: Facet, is: Facet): Change[] {
  const name = nameOf(is);
  const changes: Change[] = [];
  const tell = (title: string, before: string, after: string) => {
    if (before !== after) changes.push({ facet: is.key, title, before, after });
  };
  const of = (facet: Facet, setting: string): unknown => (facet as Record<string, unknown>)[setting];
  const both = (setting: string) => of(was, setting) !== undefined && of(is, setting) !== undefined;
  const waits = (facet: Facet) => (facet.dependsOn === '' ? 'always there' : `after ${facet.dependsOn}`);
  tell(is.folded ? `${name} is folded at first` : `${name} is open at first`, foldWord(was), foldWord(is));
  tell(`${name} is there at another time`, waits(was), waits(is));
  if (both('single'))
    tell(`${name} takes another number of choices`, howMany(of(was, 'single')), howMany(of(is, 'single')));
  if (both('as')) tell(`${name} is drawn another way`, String(of(was, 'as')), String(of(is, 'as')));
  if (both('pick')) tell(`${name} is picked another way`, String(of(was, 'pick')), String(of(is, 'pick')));
  if (both('start')) tell(`${name} starts another way`, String(of(was, 'start')), String(of(is, 'start')));
  if (both('unit'))
    tell(`${name} has another unit`, String(of(was, 'unit')) || 'none', String(of(is, 'unit')) || 'none');
  if (was.kind === 'tree' && is.kind === 'tree')
    tell(`${name} shows other levels`, String(was.levels ?? 'all'), String(is.levels ?? 'all'));
  if (both('labels') && JSON.stringify(of(was, 'labels')) !== JSON.stringify(of(is, 'labels')))
    changes.push({ facet: is.key, title: `${name} words some choices differently` });
  if (was.kind === 'date-range' && is.kind === 'date-range') {
    const ranges = (facet: typeof was) => facet.presets.map((preset) => preset.label).join(', ') || 'none';
    tell(`${name} offers other ranges`, ranges(was), ranges(is));
  }
  return changes;
}

function foldWord(facet: Facet): string {
  return facet.folded ? 'folded' : 'open';
}

function howMany(single: unknown): string {
  return single === true ? 'one' : 'several';
}

type Counting = Pick<TermFacet, 'key' | 'counts' | 'zero'>;

function countChanges(name: string, was: Counting, is: Counting): Change[] {
  const changes: Change[] = [];
  const words = (counts: boolean) => (counts ? 'with counts' : 'no counts');
  if (was.counts !== is.counts) {
    changes.push({
      facet: is.key,
      title: `${name} shows ${is.counts ? '' : 'no '}counts`,
      before: words(was.counts),
      after: words(is.counts),
    });
  }
  if (was.zero !== is.zero) {
    changes.push({
      facet: is.key,
      title: `${name} treats terms with no posts another way`,
      before: was.zero,
      after: is.zero,
    });
  }
  return changes;
}

function listingChanges(before: Lens, after: Lens): Change[] {
  const changes: Change[] = [];
  const differ = (read: (lens: Lens) => unknown) => JSON.stringify(read(before)) !== JSON.stringify(read(after));
  if (differ((lens) => lens.paging))
    changes.push({
      facet: null,
      title: 'Another number of posts a page',
      before: `${before.paging.size} a page`,
      after: `${after.paging.size} a page`,
    });
  if (differ((lens) => lens.sort)) changes.push({ facet: null, title: 'The order of posts can be chosen another way' });
  if (differ((lens) => lens.card)) changes.push({ facet: null, title: 'Cards show other things' });
  if (differ((lens) => lens.look)) changes.push({ facet: null, title: 'The listing is laid out another way' });
  if (differ((lens) => lens.texts)) changes.push({ facet: null, title: 'Some words read differently' });
  if (differ((lens) => lens.scope)) changes.push({ facet: null, title: 'Other posts are in the listing' });
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
  if (differ(({ address: { apply: _apply, ...address }, zone, origins }) => [address, zone, origins]))
    changes.push({ facet: null, title: 'Settings of the page changed' });
  return changes;
}

function nameOf(facet: Facet): string {
  return facet.label || fieldsOf(facet).join(', ');
}

function listOf(terms: readonly string[]): string {
  return terms.length <= 3 ? terms.join(', ') : `${terms.slice(0, 2).join(', ')} and ${terms.length - 2} more`;
}
