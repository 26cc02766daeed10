import type { Encoding } from './format.js';

/** Bytes that are looked at to tell an encoding. */
const looked = 200_000;

/**
 * Tells what encoding bytes are in: by their byte order mark; by the null bytes of two-byte text; as UTF-8 where that is
 * valid; and else the one of the single-byte encodings in which most of what is not ASCII stands where letters and signs
 * do in the languages it is used for.
 */
export function encodingOf(bytes: Uint8Array, type = ''): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const wide = wideEncoding(bytes);
  if (wide) return wide;
  if (isUtf8(bytes)) return 'utf-8';
  const declared = declaredIn(bytes, type);
  if (declared) return declared;
  const some = bytes.subarray(0, looked);
  const scored = singleByte.map((encoding, i): [Encoding, number] => [encoding, score(some, encoding) - i * 0.01]);
  return scored.sort((a, b) => b[1] - a[1])[0]![0];
}

/** Turns a file's bytes into text, without a byte order mark. */
export function decodeText(bytes: Uint8Array, encoding: string = encodingOf(bytes)): string {
  return new TextDecoder(encoding).decode(bytes);
}

/** The encoding that a text, or whoever sent it, says it is in; null where that is none anyone knows, or UTF-8, which it is not. */
function declaredIn(bytes: Uint8Array, type: string): string | null {
  const start = new TextDecoder('windows-1252').decode(bytes.subarray(0, 2048));
  const said =
    /^\s*<\?xml[^>]*\bencoding=["']([\w-]+)/.exec(start)?.[1] ??
    /<meta[^>]*\bcharset=["']?([\w-]+)/i.exec(start)?.[1] ??
    /charset=["']?([\w-]+)/i.exec(type)?.[1];
  if (said === undefined) return null;
  try {
    const { encoding } = new TextDecoder(said);
    return encoding === 'utf-8' ? null : encoding;
  } catch {
    return null;
  }
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}

/** Text of two bytes a character has a null in every other place, as far as it is written in Latin letters. */
function wideEncoding(bytes: Uint8Array): Encoding | null {
  const length = Math.min(bytes.length & ~1, 2000);
  if (length < 8) return null;
  let [even, odd] = [0, 0];
  for (let i = 0; i < length; i += 2) {
    if (bytes[i] === 0) even++;
    if (bytes[i + 1] === 0) odd++;
  }
  const half = length / 2;
  if (odd > half * 0.6 && even < half * 0.1) return 'utf-16le';
  return even > half * 0.6 && odd < half * 0.1 ? 'utf-16be' : null;
}

/** The likeliest first, which stays where two are as likely. */
const singleByte = ['windows-1252', 'windows-1250', 'windows-1251', 'macintosh'] as const;

const western = 'äöüßéèêëàâçñóíúáãõåæøœîïôûùìòÿÄÖÜÉÈÀÇÑÓÍÚÁÅÆØ';
const central = 'ąćęłńóśźżčďěňřšťůžýáéíőűăâîşţäöüßĄĆĘŁŃŚŹŻČĎŇŘŠŤŽÁÉÍÓŐŰÝ';
const signs = '–—’‘“”„…€£§°²³·«»¿¡×©®™';
const usual: Readonly<Record<(typeof singleByte)[number], ReadonlySet<string>>> = {
  'windows-1252': new Set(western + signs),
  'windows-1250': new Set(central + signs),
  'windows-1251': new Set('абвгдежзийклмнопрстуфхцчшщъыьэюяёіїєґўАБВГДЕЖЗИЙКЛМНОПРСТУФХЦЧШЩЭЮЯЁІЇЄ' + signs),
  macintosh: new Set(western + signs),
};

/** How well bytes read in an encoding: letters in their places count for it, signs and capitals within words against. */
function score(bytes: Uint8Array, encoding: (typeof singleByte)[number]): number {
  const text = new TextDecoder(encoding).decode(bytes);
  const known = usual[encoding];
  let points = 0;
  for (let i = 0; i < text.length; i++) {
    if (text.charCodeAt(i) < 0x80) continue;
    const letter = text[i]!;
    const before = text[i - 1] ?? ' ';
    const after = text[i + 1] ?? ' ';
    points += known.has(letter) ? 1 : -1;
    const isWithin = /\p{L}/u.test(before) && /\p{L}/u.test(after);
    if (isWithin && !/[\p{L}’‘·]/u.test(letter)) points -= 2;
    // a capital after a small letter is rare in any language
    if (/\p{Lu}/u.test(letter) && /\p{Ll}/u.test(before)) points -= 1.5;
    if (/\p{Ll}/u.test(letter) && /\p{Lu}/u.test(before) && /\p{Lu}/u.test(after)) points -= 1.5;
    if (/\p{Cc}/u.test(letter)) points -= 5;
  }
  // words of two scripts are no words
  points -= 2 * (text.match(/\p{sc=Latin}\p{sc=Cyrillic}|\p{sc=Cyrillic}\p{sc=Latin}/gu)?.length ?? 0);
  return points;
}
