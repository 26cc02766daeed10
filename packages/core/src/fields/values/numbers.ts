import { withoutUnit } from './units.js';

/** What stands before the parts of a whole in a number: 1.5 or 1,5. */
export type Decimal = '.' | ',';

/** No number is written in more characters. */
const longestNumber = 40;

const whole = String.raw`(?:0|[1-9]\d*|[1-9]\d{0,2}(?:GROUP\d{3})+)`;
/** Thousands may be parted by blanks and apostrophes whatever the decimal sign, and by the sign that is not that. */
const forms: Record<Decimal, RegExp> = {
  '.': new RegExp(`^[+-]?(?:${whole.replace('GROUP', String.raw`[,\s'’]`)}(?:\\.\\d+)?|\\.\\d+)$`, 'u'),
  ',': new RegExp(`^[+-]?(?:${whole.replace('GROUP', String.raw`[.\s'’]`)}(?:,\\d+)?|,\\d+)$`, 'u'),
};

/** A figure somewhere, and no plain letter: most texts are none, and are told so before the dearer expressions are made. */
const looksNumeric = /^[^a-z]*\d[^a-z]*$/i;

/**
 * Reads a plain number in figures: `12`, `-0.5`, `1,250.5`, `.078`, `-3 %`, `€ 12`; with a decimal comma `1.234,50` and
 * `1,10 €`. Null for anything else, figures with a leading 0 too.
 * @param unit  what may stand before or after the figures
 */
export function readNumber(raw: unknown, decimal: Decimal = '.', unit?: string): number | null {
  if (typeof raw === 'number') return Number.isFinite(raw) ? raw : null;
  if (typeof raw !== 'string' || raw.length > longestNumber) return null;
  const bare = unit === undefined ? raw : withoutUnit(raw, unit);
  if (!looksNumeric.test(bare)) return null;
  const text = figuresOf(bare);
  if (!forms[decimal].test(text)) return null;
  const plain = decimal === ',' ? text.replace(/[.\s'’]/gu, '').replace(',', '.') : text.replace(/[,\s'’]/gu, '');
  return Number(plain);
}

/** A text without the signs of money and shares around its figures, and with a plain minus. */
function figuresOf(text: string): string {
  return text
    .trim()
    .replace(/[−‒–]/gu, '-')
    .replace(/^([+-]?)\s*\p{Sc}\s*/u, '$1')
    .replace(/\s*(?:\p{Sc}|[%‰])$/u, '')
    .replace(/^([+-])\s+/, '$1');
}

/**
 * Tells by the numbers of a field what their decimal sign is: a comma where some can be read with one alone, and none
 * without it alone.
 */
export function decimalOf(texts: Iterable<string>): Decimal {
  let commas = 0;
  for (const text of texts) {
    const [point, comma] = [readNumber(text, '.') !== null, readNumber(text, ',') !== null];
    if (point && !comma) return '.';
    if (comma && !point) commas++;
  }
  return commas > 0 ? ',' : '.';
}
