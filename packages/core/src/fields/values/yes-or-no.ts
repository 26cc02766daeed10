import type { Answers } from '../../model/post.js';
import { cellText } from '../read/cell.js';

/** How yes and no are said where sites are written, without their accents. */
const yes =
  'yes y true ja j oui vrai si sim verdadero verdade vero wahr tak prawda ano igen evet da kylla joo jah taip nai да так ναι 是 はい 예 네 כן نعم हाँ ✓ ✔ ☑';
const no =
  'no n false nein non faux nao falso nee nej nei nie ne falsz nem hayir ei ikke nu нет ні не οχι 否 不 いいえ 아니요 아니오 לא لا नहीं ✗ ✘ ☐';

const answers = new Map<string, boolean>([
  ...yes.split(' ').map((word) => [word, true] as const),
  ...no.split(' ').map((word) => [word, false] as const),
]);

/**
 * Reads yes or no, in a dozen languages. Bare 1 and 0 are numbers, not answers.
 * @param words  what stands for them, where that was said: it goes before all else
 */
export function readBoolean(raw: unknown, words?: Answers): boolean | null {
  if (typeof raw === 'boolean') return raw;
  if (words) {
    const said = cellText(raw).toLowerCase();
    const isOne = (one: string) => one.trim().toLowerCase() === said;
    if (words.yes.some(isOne)) return true;
    if (words.no.some(isOne)) return false;
  }
  if (typeof raw !== 'string' || raw.length > 20) return null;
  const text = raw.trim().toLowerCase();
  return answers.get(text) ?? answers.get(bare(text)) ?? null;
}

/** Without what stands above and below letters, and with the Turkish letter that has no dot as one that has. */
function bare(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').replace(/ı/g, 'i').replace(/ł/g, 'l');
}
