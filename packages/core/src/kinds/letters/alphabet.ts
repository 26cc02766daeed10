import { fold } from '../../text/slug.js';

/** What stands for all digits, and for whatever begins with neither a letter nor a digit. */
export const digits = '0-9';
export const others = 'other';

/** Characters of a text that are looked at: an article and the letter after it. */
const looked = 48;

/**
 * The letter a text is listed under.
 * @param articles  words that are passed over at its beginning, folded
 * @returns the first letter of the folded text, `0-9`, `other`, or null for a text of blanks
 */
export function letterOf(text: string, articles: readonly string[] = []): string | null {
  let folded = fold(text.trimStart().slice(0, looked)).trimStart();
  for (const article of articles) {
    const rest = folded.startsWith(article) ? folded.slice(article.length).trimStart() : '';
    if (rest === '') continue;
    folded = rest;
    break;
  }
  const [first] = folded;
  if (first === undefined) return null;
  if (/\p{L}/u.test(first)) return first;
  return /\p{Nd}/u.test(first) ? digits : others;
}

/** Articles at the beginning of a title, by language; those that end in an apostrophe stand before no blank. */
const articlesByLanguage: Record<string, readonly string[]> = {
  en: ['the ', 'a ', 'an '],
  de: ['der ', 'die ', 'das ', 'den ', 'dem ', 'ein ', 'eine ', 'einen ', 'einem ', 'einer '],
  fr: ['le ', 'la ', 'les ', 'un ', 'une ', 'des ', "l'", 'l’'],
  es: ['el ', 'la ', 'los ', 'las ', 'un ', 'una ', 'unos ', 'unas '],
  it: ['il ', 'lo ', 'la ', 'i ', 'gli ', 'le ', 'un ', 'uno ', 'una ', "l'", 'l’', "un'", 'un’'],
  pt: ['o ', 'a ', 'os ', 'as ', 'um ', 'uma ', 'uns ', 'umas '],
  nl: ['de ', 'het ', 'een ', "'t ", '’t '],
  sv: ['en ', 'ett ', 'den ', 'det ', 'de '],
  da: ['en ', 'et ', 'den ', 'det ', 'de '],
  nb: ['en ', 'ei ', 'et ', 'den ', 'det ', 'de '],
  hu: ['a ', 'az ', 'egy '],
};

/** The articles of a language, the longest first. */
export function articlesOf(language: string): readonly string[] {
  const own = articlesByLanguage[primary(language)] ?? [];
  return [...own].sort((a, b) => b.length - a.length);
}

/** Letters by script, folded, as a row of them is expected to hold each. */
const latin = [...'abcdefghijklmnopqrstuvwxyz'];
const alphabets: Record<string, readonly string[]> = {
  el: [...'αβγδεζηθικλμνξοπρστυφχψω'],
  ru: [...'абвгдежзиклмнопрстуфхцчшщъыьэюя'],
  bg: [...'абвгдежзиклмнопрстуфхцчшщъьюя'],
  uk: [...'абвгґдеєжзиіклмнопрстуфхцчшщьюя'],
  he: [...'אבגדהוזחטיכלמנסעפצקרשת'],
};

/** The alphabet of a language; that of Latin script where it is no other. */
function alphabetOf(language: string): readonly string[] {
  return alphabets[primary(language)] ?? latin;
}

/**
 * The letters a row holds, in the order of a language: those that posts begin with, and, so that a row is whole, the
 * rest of an alphabet of which there are some. `0-9` and `other` stand last, and only where there are posts for them.
 */
export function rowOf(found: ReadonlySet<string>, language: string): string[] {
  const letters = new Set([...found].filter((one) => one !== digits && one !== others));
  for (const alphabet of [alphabetOf(language), latin]) {
    if (alphabet.some((letter) => letters.has(letter))) for (const letter of alphabet) letters.add(letter);
  }
  const { compare } = new Intl.Collator(language);
  // letters that a language takes for the same stand by their code, the same everywhere
  const sorted = [...letters].sort((a, b) => compare(a, b) || (a < b ? -1 : 1));
  return [...sorted, ...[digits, others].filter((one) => found.has(one))];
}

/** A letter as a row shows it. */
export function letterLabel(letter: string, language: string): string {
  if (letter === digits) return '0–9';
  if (letter === others) return words[primary(language)] ?? words.en!;
  const upper = letter.toLocaleUpperCase(language);
  // ß has no upper case of one letter
  return [...upper].length === 1 ? upper : letter;
}

/** What posts stand under that begin with no letter and no digit. */
const words: Record<string, string> = {
  en: 'Other',
  de: 'Andere',
  ar: 'أخرى',
  fr: 'Autres',
  es: 'Otros',
  it: 'Altri',
  pt: 'Outros',
  nl: 'Overig',
  sv: 'Övrigt',
  pl: 'Inne',
};

function primary(language: string): string {
  return language.split('-')[0]!.toLowerCase();
}
