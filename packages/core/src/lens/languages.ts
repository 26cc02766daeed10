import type { CardPart } from '../card/parts.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Field } from '../model/post.js';
import { facetLabel, sortLabel } from './label.js';
import type { Lens } from './lens.js';

/** A text that a lens itself gives its visitors, such as what a facet is called. */
export interface LensText {
  /** Where it stands: steps from the lens inwards, with keys where a list has them, such as `facets/place/label`. */
  at: string;
  text: string;
}

/** Every language that visitors may read a lens in, its own first; of a lens as it was written, not as one language has it. */
export function languagesOf({ language, languages }: Lens): string[] {
  return [language, ...Object.keys(languages).filter((one) => one !== language)];
}

/**
 * The language of a lens that serves a reader best (the lookup of RFC 4647): the one wanted, or else the same without
 * its region; the lens's own where it has neither.
 * @param wanted  BCP 47 tags, best first
 */
export function bestLanguage(lens: Lens, wanted: readonly string[]): string {
  const there = languagesOf(lens);
  for (const tag of wanted) {
    for (let range = tag.toLowerCase(); range !== ''; range = range.slice(0, Math.max(0, range.lastIndexOf('-')))) {
      const same = (one: string) => one.toLowerCase() === range;
      const found = there.find(same) ?? there.find((one) => one.toLowerCase().split('-')[0] === range);
      if (found !== undefined) return found;
    }
  }
  return lens.language;
}

/**
 * A lens as those have it who read one of its languages: a lens of that language alone. What has no words in it keeps
 * those of the lens's own.
 */
export function lensIn(lens: Lens, language: string): Lens {
  const words = lens.languages[language];
  if (!words || language === lens.language) return lens;
  const in_ = (at: string, otherwise: string) => words.labels[at] || otherwise;
  return {
    ...lens,
    language,
    languages: {},
    texts: words.texts,
    facets: lens.facets.map((facet) => withTexts(facet, (path, text) => in_(`facets/${facet.key}/${path}`, text))),
    sort: {
      ...lens.sort,
      // an order without a name in this language says by itself what it does
      options: lens.sort.options.map((option) => ({ ...option, label: in_(`sort/${option.key}/label`, '') })),
    },
    card: {
      ...lens.card,
      parts: lens.card.parts.map((part) => ({
        ...part,
        before: in_(`${placeOf(part)}/before`, part.before),
        words: in_(`${placeOf(part)}/words`, part.words),
      })),
    },
  };
}

/** The texts a lens gives its visitors itself, as they read in its own language. */
export function lensTexts(lens: Lens, fields: readonly Field[]): LensText[] {
  const texts: LensText[] = [];
  const add = (at: string, text: string) => {
    if (text !== '') texts.push({ at, text });
  };
  for (const facet of lens.facets) {
    withTexts(facet, (path, text) => {
      add(`facets/${facet.key}/${path}`, path === 'label' ? facetLabel(facet, fields, lens) : text);
      return text;
    });
  }
  for (const option of lens.sort.options) add(`sort/${option.key}/label`, sortLabel(option, fields, lens));
  for (const part of lens.card.parts) {
    add(`${placeOf(part)}/before`, part.before);
    add(`${placeOf(part)}/words`, part.words);
  }
  return texts;
}

/** Where a part of the card stands: by its field, or by what it is where it has none. */
function placeOf({ field, show }: CardPart): string {
  return `card/${field === '' ? show : field}`;
}

/** A facet with each text that its visitors read put through a function. */
function withTexts<F extends Facet>(facet: F, change: (path: string, text: string) => string): F {
  return ['label', ...kindOf(facet).texts].reduce<F>((made, path) => changeAt(made, path.split('/'), change), facet);
}

/** A value with the texts at a path put through a function; `*` stands for every place of a list. */
function changeAt<V>(value: V, path: readonly string[], change: (path: string, text: string) => string, at = ''): V {
  const [step, ...rest] = path;
  if (step === undefined) return (typeof value === 'string' ? change(at, value) : value) as V;
  const inner = (key: string | number, one: unknown) =>
    changeAt(one, rest, change, at === '' ? String(key) : `${at}/${key}`);
  if (step === '*') return (value as unknown[]).map((one, i) => inner(i, one)) as V;
  return { ...value, [step]: inner(step, (value as Record<string, unknown>)[step]) };
}
