import { parameterNames, readAddress } from '../address/read.js';
import { planOf } from '../answer/plan.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import type { Notice, NoticeCode } from '../model/notice.js';
import { nearestWord } from '../text/near.js';
import { splitAddress } from '../text/parameters.js';

/** Something an address says that is not taken as it stands. */
export interface AddressFault {
  code: NoticeCode | 'unknown-name';
  /** Which parameter of the address it is in, from 0; -1 where it is the whole. */
  at: number;
  /** Key of the facet it is about; null for the lens's own and for what is not the lens's. */
  facet: string | null;
  /** The value that is meant, or the name. */
  value: string;
  text: string;
  /** What exists and comes nearest; null where nothing does. */
  near: { value: string; label: string } | null;
  /** Whether it is left out of what is asked; otherwise it is read as what it means. */
  isLost: boolean;
}

/** Notices of what is read all the same. */
const readAnyway: ReadonlySet<NoticeCode> = new Set(['moved', 'range-reversed', 'page-clamped', 'respelled']);

/**
 * All that an address says and that is not taken as it stands, in the order it stands there: values that are none, old names, and
 * names of nobody that come near to one of the lens's.
 */
export function addressFaults(index: PostIndex, lens: Lens, address: string, now: number): AddressFault[] {
  const { notices } = readAddress(address, lens, index, now);
  const parameters = splitAddress(address);
  const names = parameterNames(lens);
  const targets = parameters.map(({ name }) => names.get(name));
  const facetAt = (at: number) => {
    const target = targets[at];
    return typeof target === 'object' ? target.facet.key : null;
  };
  const placeOf = ({ facet, value, code }: Notice): number => {
    const isHere = (at: number) => {
      const { name, value: said } = parameters[at]!;
      if (code === 'unknown-sort') return targets[at] === 'sort' && said === value;
      if (code === 'unknown-size') return targets[at] === 'size' && said === value;
      if (code === 'page-clamped') return targets[at] === 'page';
      if (facetAt(at) !== facet) return false;
      return value === undefined || name === value || said === value || said.split(',').includes(value);
    };
    const exact = parameters.findIndex((_, at) => isHere(at));
    return exact >= 0 ? exact : parameters.findIndex((_, at) => facet !== undefined && facetAt(at) === facet);
  };
  const faults = notices.map((notice): AddressFault => {
    const { code, facet = null, value = '', text } = notice;
    const near = readAnyway.has(code) ? null : nearValue(index, lens, facet, value, code);
    return { code, at: placeOf(notice), facet, value, text, near, isLost: !readAnyway.has(code) };
  });
  for (const [at, { name }] of parameters.entries()) {
    if (targets[at] !== undefined || name.length < 3) continue;
    const near = nearestWord(name, names.keys());
    if (near === null || parameters.some((one) => one.name === near)) continue;
    const text = `“${name}” is no name of this lens: it is kept for the page it stands on.`;
    faults.push({
      code: 'unknown-name',
      at,
      facet: null,
      value: name,
      text,
      near: { value: near, label: near },
      isLost: false,
    });
  }
  return faults.sort((a, b) => a.at - b.at);
}

/** The value that exists and comes nearest to one that does not. */
function nearValue(
  index: PostIndex,
  lens: Lens,
  key: string | null,
  value: string,
  code: NoticeCode,
): AddressFault['near'] {
  if (code === 'unknown-sort') {
    const near = nearestWord(
      value,
      lens.sort.options.map((option) => option.key),
    );
    return near === null ? null : { value: near, label: near };
  }
  const place = lens.facets.findIndex((facet) => facet.key === key);
  const facet = lens.facets[place];
  if (!facet) return null;
  const { terms } = planOf(index, lens).facets[place]!;
  if (terms) {
    const labels = new Map(terms.terms.flatMap(({ slug, label }) => [[slug, slug] as const, [label, slug] as const]));
    const near = nearestWord(value, labels.keys());
    const slug = near === null ? undefined : labels.get(near);
    const term = terms.terms.find((one) => one.slug === slug);
    return term ? { value: term.slug, label: term.label } : null;
  }
  return kindOf(facet).nearValue?.(value) ?? null;
}
