import { parameterNames, splitAddress, type Lens } from '@ivy/core';

/** One `name=value` of the address as the strip shows it. */
export interface Token {
  name: string;
  value: string;
  /** Facet it belongs to; null for sort, page and what is not the lens's. */
  facet: string | null;
  /** The text of the address it came from. */
  raw: string;
  /** Whether it is a name the lens knows. */
  known: boolean;
}

/** Splits an address into tokens, each with the facet it belongs to. */
export function tokensOf(address: string, lens: Lens): Token[] {
  const names = parameterNames(lens);
  return splitAddress(address).map(({ name, value, raw }) => {
    const target = names.get(name);
    return {
      name,
      value,
      raw,
      facet: typeof target === 'object' ? target.facet.key : null,
      known: target !== undefined,
    };
  });
}

/** The address without one of its tokens. */
export function withoutToken(address: string, at: number): string {
  return splitAddress(address)
    .filter((_, i) => i !== at)
    .map((parameter) => parameter.raw)
    .join('&');
}

/** An address as a person may have pasted it: a whole URL, or with its question mark. */
export function cleanAddress(text: string): string {
  const trimmed = text.trim();
  const at = trimmed.indexOf('?');
  const query = at >= 0 ? trimmed.slice(at + 1) : /^[a-z]+:\/\//i.test(trimmed) ? '' : trimmed;
  return query.split('#')[0]!.replace(/\s+/g, '+');
}
