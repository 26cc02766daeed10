import { wellFormed } from './clean-text.js';

/** One `name=value` of an address, and the very text it came as. */
export interface Parameter {
  name: string;
  value: string;
  raw: string;
}

/**
 * Splits a query string as `application/x-www-form-urlencoded` does. Never throws: a broken escape stays as it
 * stands, and an empty piece (`a=1&&b=2`) is passed over.
 * @param address  with or without its leading `?`
 */
export function splitAddress(address: string): Parameter[] {
  const query = address.startsWith('?') ? address.slice(1) : address;
  const parameters: Parameter[] = [];
  for (const raw of query.split('&')) {
    if (raw === '') continue;
    const at = raw.indexOf('=');
    const name = at < 0 ? raw : raw.slice(0, at);
    const value = at < 0 ? '' : raw.slice(at + 1);
    parameters.push({ name: decode(name), value: decode(value), raw });
  }
  return parameters;
}

/** Whether a text is written as it is: `/^[\w.,/:-]*$/`, which is asked of every part of every address. */
function isPlain(text: string): boolean {
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    // a to z; `,` `-` `.` `/` 0 to 9 `:`; A to Z and `_`
    if (unit >= 0x61 && unit <= 0x7a) continue;
    if (unit >= 0x2c && unit <= 0x3a) continue;
    if ((unit >= 0x41 && unit <= 0x5a) || unit === 0x5f) continue;
    return false;
  }
  return true;
}

/** Writes one piece of an address. `,` `/` `:` and `.` stay readable; a space is `+`. */
export function encodePart(text: string): string {
  if (isPlain(text)) return text;
  return encodeURIComponent(wellFormed(text))
    .replace(/%20/g, '+')
    .replace(/%2C/g, ',')
    .replace(/%2F/g, '/')
    .replace(/%3A/g, ':');
}

function decode(text: string): string {
  const spaced = text.replace(/\+/g, ' ');
  if (!spaced.includes('%')) return spaced;
  try {
    return decodeURIComponent(spaced);
  } catch {
    return spaced.replace(/(?:%[0-9a-fA-F]{2})+/g, (run) => {
      try {
        return decodeURIComponent(run);
      } catch {
        return run;
      }
    });
  }
}
