import {
  addressNames,
  arrangesTerms,
  kindOf,
  proposeFacet,
  readLens,
  FacetKeys,
  type Facet,
  type FacetKind,
  type FieldDescription,
  type Lens,
  type TermFacet,
} from '@ivy/core';
import { renameFolds } from './look/edits.js';
import { moveLabels } from './results/languages.js';

/*
 * What one can do to a lens on the Bench: pure functions from lens to lens.
 */

/** The hue of each facet by key: its own, or the first that is free. */
export function huesOf(facets: readonly Facet[]): Map<string, number> {
  const taken = new Set(facets.map((facet) => facet.hue).filter((hue) => hue !== undefined));
  const hues = new Map<string, number>();
  for (const facet of facets) {
    let hue = facet.hue;
    if (hue === undefined) {
      hue = 1;
      while (taken.has(hue)) hue++;
      taken.add(hue);
    }
    hues.set(facet.key, hue);
  }
  return hues;
}

/** Writes each facet's hue down, so that moving or removing one does not recolour the others. */
function keepHues(lens: Lens): Lens {
  const hues = huesOf(lens.facets);
  return { ...lens, facets: lens.facets.map((facet) => ({ ...facet, hue: hues.get(facet.key)! })) };
}

/** Puts a facet for a field at the end, of the kind that suits it. */
export function addFacet(lens: Lens, field: FieldDescription): { lens: Lens; key: string } {
  return insertFacet(lens, proposeFacet(field, keysIn(lens)));
}

/**
 * Puts a facet in, with every default filled in.
 * @param at  its place; without it, the last
 */
export function insertFacet(lens: Lens, config: object, at = lens.facets.length): { lens: Lens; key: string } {
  const facet = withDefaults(config);
  // colours are written down first, so that what comes before others takes none of theirs
  const kept = keepHues(lens);
  return { lens: keepHues({ ...kept, facets: kept.facets.toSpliced(at, 0, facet) }), key: facet.key };
}

/** A maker of address names that no part of the lens has or had. */
export function keysIn(lens: Lens): FacetKeys {
  return new FacetKeys(addressNames(lens).map(({ name }) => name));
}

/** Fills a facet's defaults from the one definition all share. */
function withDefaults(facet: object): Facet {
  const read = readLens({ facets: [facet] });
  if (!read.ok) throw new Error(read.problems.map((problem) => problem.message).join('; '));
  return read.value.facets[0]!;
}

export function removeFacet(lens: Lens, key: string): Lens {
  const kept = keepHues(renameFolds(lens, key, null));
  return { ...kept, facets: kept.facets.filter((facet) => facet.key !== key) };
}

/** Moves a facet up (-1) or down (1); at an end it stays. */
export function moveFacet(lens: Lens, key: string, by: -1 | 1): Lens {
  const facets = [...keepHues(lens).facets];
  const from = facets.findIndex((facet) => facet.key === key);
  const to = from + by;
  if (from < 0 || to < 0 || to >= facets.length) return lens;
  [facets[from], facets[to]] = [facets[to]!, facets[from]!];
  return { ...lens, facets };
}

/** Changes settings of a facet. */
export function changeFacet(lens: Lens, key: string, change: Partial<Facet>): Lens {
  return {
    ...lens,
    facets: lens.facets.map((facet) => (facet.key === key ? ({ ...facet, ...change } as Facet) : facet)),
  };
}

/** Shows a facet another way. What both ways know is kept. */
export function changeKind(lens: Lens, key: string, kind: FacetKind): Lens {
  return {
    ...lens,
    facets: lens.facets.map((facet) => (facet.key === key ? ofKind(facet, kind) : facet)),
  };
}

function ofKind(facet: Facet, kind: FacetKind): Facet {
  const next: Record<string, unknown> = {
    ...withDefaults({ key: facet.key, field: kindOf(facet).fields(facet)[0] ?? '', kind }),
  };
  for (const [name, value] of Object.entries(facet)) {
    if (name !== 'kind' && (name in next || name === 'hue')) next[name] = value;
  }
  return next as Facet;
}

/** Changes how one gets on from the first posts. The address name of the size gives way to those in use. */
export function changePaging(lens: Lens, change: Partial<Lens['paging']>): Lens {
  const next = { ...lens, paging: { ...lens.paging, ...change } };
  const names = addressNames(next);
  const size = names.find(({ pointer }) => pointer === '/address/size');
  if (!size || !names.some((one) => one !== size && one.name === size.name)) return next;
  return { ...next, address: { ...next.address, size: keysIn(next).make(size.name) } };
}

/** Gives a facet another address name. The old one is kept as an alias, so that no link breaks. */
export function renameFacet(lens: Lens, key: string, name: string): Lens {
  return {
    ...renameFolds(moveLabels(lens, `facets/${key}/`, `facets/${name}/`), key, name),
    address: renameInFormer(lens.address, key, name),
    facets: lens.facets.map((facet) => {
      if (facet.key !== key) return facet;
      const aliases = [...new Set([...facet.aliases, key])].filter((alias) => alias !== name);
      return { ...facet, key: name, aliases };
    }),
  };
}

/** Names that stood for one that is called otherwise now stand for the new one, which is no old name any more. */
export function renameInFormer(address: Lens['address'], before: string, name: string): Lens['address'] {
  const whole = address.prefix + name;
  return {
    ...address,
    former: address.former
      .filter((one) => one.name !== whole)
      .map((one) => (one.is === before ? { ...one, is: name } : one)),
    gone: address.gone.filter((one) => one !== whole),
  };
}

/** Hides a term from visitors, or shows it again. Of a facet that lists only some, one stays. */
export function toggleTerm(lens: Lens, key: string, term: string): Lens {
  const facet = termFacet(lens, key);
  if (!facet) return lens;
  if (facet.only.length === 0)
    return changeFacet(lens, key, { hide: without(facet.hide, term) ?? [...facet.hide, term] });
  const only = without(facet.only, term) ?? [...facet.only, term];
  return only.length === 0 ? lens : changeFacet(lens, key, { only });
}

/** A lens with what it says of a facet's terms by slugs they had said by those they have. The same one where it is so already. */
export function withPresentSlugs(lens: Lens, key: string, terms: readonly { slug: string; was: string[] }[]): Lens {
  const facet = termFacet(lens, key);
  const present = new Map(terms.flatMap(({ slug, was }) => was.map((one) => [one, slug])));
  if (!facet || present.size === 0) return lens;
  const now = (slug: string) => present.get(slug) ?? slug;
  const all = (slugs: readonly string[]) => [...new Set(slugs.map(now))];
  const { only, hide, sequence, labels } = facet;
  const said = {
    ...{ only: all(only), hide: all(hide), sequence: all(sequence) },
    labels: Object.fromEntries(Object.entries(labels).map(([slug, label]) => [now(slug), label])),
  };
  const isSame = JSON.stringify(said) === JSON.stringify({ only, hide, sequence, labels });
  return isSame ? lens : changeFacet(lens, key, said);
}

/** Lists only the terms that are shown now: those that come into the posts later stay out. */
export function listOnly(lens: Lens, key: string, terms: readonly { slug: string }[]): Lens {
  const facet = termFacet(lens, key);
  const shown = terms.map((term) => term.slug).filter((slug) => !facet?.hide.includes(slug));
  return facet && shown.length > 0 ? changeFacet(lens, key, { only: shown, hide: [] }) : lens;
}

/** Lists every term but those that are not shown now: those that come into the posts later are shown. */
export function listAll(lens: Lens, key: string, terms: readonly { slug: string }[]): Lens {
  const facet = termFacet(lens, key);
  if (!facet) return lens;
  const hide = terms.map((term) => term.slug).filter((slug) => !facet.only.includes(slug));
  return changeFacet(lens, key, { only: [], hide });
}

function termFacet(lens: Lens, key: string): TermFacet | null {
  const facet = lens.facets.find((one) => one.key === key);
  return facet && arrangesTerms(facet) ? facet : null;
}

/** A list without an entry; null if it was not in it. */
function without(list: readonly string[], entry: string): string[] | null {
  return list.includes(entry) ? list.filter((one) => one !== entry) : null;
}

interface Placed {
  slug: string;
  parent: string | null;
}

/**
 * Puts a term where another one is, as one does by dragging. A term stays under its parent: over a term of another
 * branch it goes to that branch, if the two lie side by side, and otherwise it stays.
 * @param terms  all terms, as the facet arranges them now
 */
export function placeTerm(lens: Lens, key: string, terms: readonly Placed[], slug: string, over: string): Lens {
  const facet = termFacet(lens, key);
  const bySlug = new Map(terms.map((term) => [term.slug, term]));
  const term = bySlug.get(slug);
  let target = bySlug.get(over);
  while (target && target.parent !== term?.parent)
    target = target.parent === null ? undefined : bySlug.get(target.parent);
  if (!facet || !term || !target || target === term) return lens;
  const siblings = terms.filter((one) => one.parent === term.parent).map((one) => one.slug);
  const to = siblings.indexOf(target.slug);
  const moved = siblings.filter((one) => one !== slug).toSpliced(to, 0, slug);
  // all terms are written down as they stand: the order had before may have been by name or by count
  const others = terms.map((one) => one.slug).filter((one) => !siblings.includes(one));
  return changeFacet(lens, key, { order: 'given', sequence: [...moved, ...others] });
}

/** Moves a term up (-1) or down (1) among its siblings; at an end it stays. */
export function moveTerm(lens: Lens, key: string, terms: readonly Placed[], slug: string, by: -1 | 1): Lens {
  const term = terms.find((one) => one.slug === slug);
  const siblings = terms.filter((one) => one.parent === term?.parent);
  const next = siblings[siblings.findIndex((one) => one.slug === slug) + by];
  return term && next ? placeTerm(lens, key, terms, slug, next.slug) : lens;
}

/** Puts a copy of a facet behind it, under an address name of its own. */
export function duplicateFacet(lens: Lens, key: string): { lens: Lens; key: string } {
  const kept = keepHues(lens);
  const at = kept.facets.findIndex((facet) => facet.key === key);
  const { hue: _own, ...facet } = kept.facets[at]!;
  const copy = { ...facet, key: keysIn(lens).make(key), aliases: [] } as Facet;
  return { lens: keepHues({ ...kept, facets: kept.facets.toSpliced(at + 1, 0, copy) }), key: copy.key };
}

/** Takes a facet out and puts it where another one is, as one does by dragging. */
export function placeFacet(lens: Lens, key: string, over: string): Lens {
  const kept = keepHues(lens);
  const from = kept.facets.findIndex((facet) => facet.key === key);
  const to = kept.facets.findIndex((facet) => facet.key === over);
  if (from < 0 || to < 0 || from === to) return lens;
  const facet = kept.facets[from]!;
  return { ...kept, facets: kept.facets.toSpliced(from, 1).toSpliced(to, 0, facet) };
}

/** Gives a term a label of this lens's own; an empty one gives it back the source's. */
export function relabelTerm(lens: Lens, key: string, term: string, label: string): Lens {
  const facet = lens.facets.find((one) => one.key === key);
  if (!facet || !('labels' in facet)) return lens;
  const { [term]: _before, ...labels } = facet.labels;
  return changeFacet(lens, key, { labels: label.trim() === '' ? labels : { ...labels, [term]: label.trim() } });
}

/** Lets an old address name go: links that use it lose that choice, and no release brings it back. */
export function dropAlias(lens: Lens, key: string, alias: string): Lens {
  const facet = lens.facets.find((one) => one.key === key);
  if (!facet?.aliases.includes(alias)) return lens;
  const { prefix, gone } = lens.address;
  const aliases = facet.aliases.filter((name) => name !== alias);
  return {
    ...changeFacet(lens, key, { aliases }),
    address: { ...lens.address, gone: [...new Set([...gone, prefix + alias])] },
  };
}

/** A lens whose facets of some keys hide what has no post; null where all of them do already, or can't. */
export function hideZeros(lens: Lens, keys: readonly string[]): Lens | null {
  const hides = (facet: Facet) => keys.includes(facet.key) && 'zero' in facet && facet.zero !== 'hide';
  if (!lens.facets.some(hides)) return null;
  return {
    ...lens,
    facets: lens.facets.map((facet) => (hides(facet) ? ({ ...facet, zero: 'hide' } as Facet) : facet)),
  };
}
