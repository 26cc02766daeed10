import { encodePart, parameterNames, splitAddress, type AddressFault, type Lens } from '@ivy/core';

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
  return rawParts(address)
    .filter((_, i) => i !== at)
    .join('&');
}

/** The address with another value in one of its tokens; without that token where the value says nothing. */
export function withValue(address: string, at: number, value: string): string {
  const token = splitAddress(address)[at];
  if (!token || value.trim() === '') return withoutToken(address, at);
  const parts = rawParts(address);
  parts[at] = `${encodePart(token.name)}=${encodePart(value.trim())}`;
  return parts.join('&');
}

/** The address with a token more, `name=value` as a person types it. One that names what is there already takes its place. */
export function withToken(address: string, typed: string): string {
  const at = typed.indexOf('=');
  const [name, value] = [typed.slice(0, at).trim(), typed.slice(at + 1).trim()];
  if (at < 1 || name === '' || value === '') return address;
  const place = splitAddress(address).findIndex((one) => one.name === name);
  if (place >= 0) return withValue(address, place, value);
  return [...rawParts(address), `${encodePart(name)}=${encodePart(value)}`].join('&');
}

/** The address with a fault mended: by the value, or the name, that was most likely meant. */
export function withoutFault(address: string, { at, code, value, near }: AddressFault): string {
  const token = splitAddress(address)[at];
  if (!token || !near) return address;
  if (code === 'unknown-name') {
    const parts = rawParts(address);
    parts[at] = `${encodePart(near.value)}=${encodePart(token.value)}`;
    return parts.join('&');
  }
  const values = token.value.split(',').map((one) => (one === value ? near.value : one));
  return withValue(address, at, values.includes(near.value) ? [...new Set(values)].join(',') : near.value);
}

function rawParts(address: string): string[] {
  return splitAddress(address).map(({ raw }) => raw);
}

/** Whether a text is more than one token: a whole URL, or a query string of several. */
export function isWholeAddress(text: string): boolean {
  return /^[a-z]+:\/\/|^[/?]|&/i.test(text.trim());
}

/** An address as a person may have pasted it: a whole URL, or with its question mark. */
export function cleanAddress(text: string): string {
  const trimmed = text.trim();
  const at = trimmed.indexOf('?');
  const query = at >= 0 ? trimmed.slice(at + 1) : /^[a-z]+:\/\//i.test(trimmed) ? '' : trimmed;
  return query.split('#')[0]!.replace(/\s+/g, '+');
}
