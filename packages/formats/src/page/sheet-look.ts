import * as css from 'css-tree';
import { formatHex, parse as parseColour } from 'culori';

/** What of a page's look can be taken over. */
export type LookPart =
  | 'ink'
  | 'ground'
  | 'accent'
  | 'on-accent'
  | 'line'
  | 'family'
  | 'title-family'
  | 'title-weight'
  | 'title-case'
  | 'size'
  | 'line-height'
  | 'radius'
  | 'gap';

/** Something found in a page's sheets. */
export interface FoundLook {
  part: LookPart;
  scheme: 'light' | 'dark';
  /** A colour as `#rrggbb`, a list of fonts, or a number: pixels, per cent for `size` and `line-height`. */
  value: string;
  /** The selector it stands under. */
  where: string;
}

interface Declared {
  selector: string;
  name: string;
  value: string;
  scheme: 'light' | 'dark';
}

/** Characters of sheets that are read; what comes after them is left. */
const mostRead = 4_000_000;
/** Declarations that are looked at. */
const mostDeclared = 60_000;
/** Characters of a value that can be a colour, a font or a measure. */
const longest = 1000;

/**
 * Finds in a page's sheets what its look is made of: the best guess for each part, with where it stands.
 * @param sheets  rules in the order of the page
 */
export function findLook(sheets: readonly string[]): FoundLook[] {
  const declared = declarationsOf(sheets);
  const known = { light: propertiesOf(declared, 'light'), dark: propertiesOf(declared, 'dark') };
  const root = rootSize(declared);
  const found: FoundLook[] = [];
  for (const scheme of ['light', 'dark'] as const) {
    const seen = declared
      .filter((one) => one.scheme === scheme)
      .map((one) => ({ ...one, value: inPixels(resolved(one.value, known[scheme]), root) }));
    for (const { part, of, read } of looks) {
      // what is typed and measured is the same by night
      if (scheme === 'dark' && !colourParts.has(part)) continue;
      const best = bestOf(seen, of, read);
      if (best) found.push({ part, scheme, ...best });
    }
  }
  return found;
}

const colourParts = new Set<LookPart>(['ink', 'ground', 'accent', 'on-accent', 'line']);

type Read = (value: string, name: string) => string | null;
/** How well a declaration tells a part; 0: not at all. */
type Weight = (one: Declared) => number;

const page = (selector: string) =>
  /^(:root|html|body)$/.test(selector) ? 3 : /^(main|p|article)$/.test(selector) ? 1 : 0;
const isButton = (selector: string) =>
  /(^|[\s.>])(button|btn|cta)([-_][\w-]*)?(\.[\w-]+)*$/i.test(selector) || /\[type=["']?submit/.test(selector);
const isPrimary = (selector: string) => /primary|main|cta|submit|accent/i.test(selector);
const isHeading = (selector: string) => /^h[1-4]$/.test(selector) || /^\.?[\w-]*title$/i.test(selector);
const isListing = (selector: string) =>
  /grid|cards|list|posts|items|tiles|columns/i.test(selector) && !/nav|menu|head|foot/i.test(selector);
const isBox = (selector: string) => isButton(selector) || /^(input|select|textarea)\b|card|tile|panel/i.test(selector);
const named =
  (pattern: RegExp, weight: number): Weight =>
  (one) =>
    one.name.startsWith('--') && page(one.selector) > 0 && pattern.test(one.name) ? weight : 0;
const first =
  (...weights: Weight[]): Weight =>
  (one) => {
    for (const weight of weights) {
      const found = weight(one);
      if (found > 0) return found;
    }
    return 0;
  };

const looks: readonly { part: LookPart; of: Weight; read: Read }[] = [
  {
    part: 'ink',
    of: first(
      (one) => (one.name === 'color' ? page(one.selector) * 3 : 0),
      named(/^--([\w-]+-)?(ink|text|fg|foreground)(-color|-base)?$/, 2),
    ),
    read: colour,
  },
  {
    part: 'ground',
    of: first(
      (one) => (/^background(-color)?$/.test(one.name) ? page(one.selector) * 3 : 0),
      named(/^--([\w-]+-)?(bg|background|paper|surface|page|canvas)(-color|-base)?$/, 2),
    ),
    read: colour,
  },
  {
    part: 'accent',
    of: first(
      (one) =>
        /^background(-color)?$/.test(one.name) && isButton(one.selector) ? (isPrimary(one.selector) ? 6 : 4) : 0,
      named(/^--([\w-]+-)?(accent|primary|brand)(-color|-500|-600)?$/, 5),
      (one) => (one.name === 'color' && /(^|\s)a(:link)?$/.test(one.selector) ? 3 : 0),
    ),
    read: vivid,
  },
  {
    part: 'on-accent',
    of: (one) => (one.name === 'color' && isButton(one.selector) ? (isPrimary(one.selector) ? 6 : 4) : 0),
    read: colour,
  },
  {
    part: 'line',
    of: (one) =>
      /^border(-color|-bottom|-top)?(-color)?$/.test(one.name) && isBox(one.selector)
        ? 2
        : named(/^--([\w-]+-)?(border|line|rule)(-color)?$/, 1)(one),
    read: colour,
  },
  { part: 'family', of: ofPage('font-family', 'font'), read: family },
  { part: 'size', of: ofPage('font-size', 'font'), read: size },
  { part: 'line-height', of: ofPage('line-height'), read: lineHeight },
  { part: 'title-family', of: ofHeading('font-family', 'font'), read: family },
  { part: 'title-weight', of: ofHeading('font-weight'), read: weight },
  { part: 'title-case', of: ofHeading('text-transform'), read: titleCase },
  {
    part: 'radius',
    of: (one) => (one.name === 'border-radius' && isBox(one.selector) ? 1 : named(/^--([\w-]+-)?radius$/, 1)(one)),
    read: pixels(0, 40),
  },
  {
    part: 'gap',
    of: (one) => (/^(grid-)?(column-)?gap$/.test(one.name) ? (isListing(one.selector) ? 3 : 0) : 0),
    read: pixels(8, 80),
  },
];

function ofPage(...names: string[]): Weight {
  return (one) => (names.includes(one.name) ? page(one.selector) : 0);
}

function ofHeading(...names: string[]): Weight {
  return (one) => (names.includes(one.name) && isHeading(one.selector) ? 1 : 0);
}

/** The value with most weight behind it; of equals the one that stands last, as a browser would have it. */
function bestOf(seen: readonly Declared[], of: Weight, read: Read): { value: string; where: string } | null {
  const values = new Map<string, { weight: number; where: string; at: number }>();
  seen.forEach((one, at) => {
    const weight = of(one);
    const value = weight > 0 ? read(one.value, one.name) : null;
    if (value === null) return;
    const before = values.get(value);
    // what a page says of itself outweighs any number of its parts
    const sum = Math.max(weight, (before?.weight ?? 0) + weight / 4);
    values.set(value, { weight: sum, where: one.selector, at });
  });
  const [best] = [...values].sort(([, a], [, b]) => b.weight - a.weight || b.at - a.at);
  return best ? { value: best[0], where: best[1].where } : null;
}

function declarationsOf(sheets: readonly string[]): Declared[] {
  const declared: Declared[] = [];
  let read = 0;
  for (const rules of sheets) {
    const part = rules.slice(0, Math.max(0, mostRead - read));
    read += part.length;
    // a page's sheets are as they are: what can’t be read is passed over
    const tree = css.parse(part, { parseValue: false, parseCustomProperty: false, onParseError: () => {} });
    const media: string[] = [];
    css.walk(tree, {
      enter(this: css.WalkContext, node: css.CssNode) {
        if (node.type === 'Atrule') media.push(node.prelude ? css.generate(node.prelude).toLowerCase() : node.name);
        if (node.type !== 'Declaration' || declared.length >= mostDeclared) return;
        const context = media.join(' ');
        if (!this.rule || /print|min-width|width>/.test(context)) return;
        const scheme = context.includes('prefers-color-scheme:dark') ? 'dark' : 'light';
        const value = css.generate(node.value).trim().replace(/\s+/g, ' ');
        if (value.length > longest) return;
        for (const selector of css.generate(this.rule.prelude).split(',')) {
          // what a listing of ours has there already is no look of the page's own
          if (selector.includes('ivy-')) continue;
          declared.push({ selector: selector.trim().slice(0, 200), name: node.property.toLowerCase(), value, scheme });
        }
      },
      leave(node: css.CssNode) {
        if (node.type === 'Atrule') media.pop();
      },
    });
  }
  return declared;
}

/** Custom properties of the whole page; by night those of the day hold where nothing else is said. */
function propertiesOf(declared: readonly Declared[], scheme: 'light' | 'dark'): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const one of declared) {
    if (!one.name.startsWith('--') || page(one.selector) === 0) continue;
    if (one.scheme === 'light' || scheme === 'dark') found.set(one.name, one.value);
  }
  return found;
}

/** A value with the custom properties it names put in; a few deep, so that those that name each other end. */
function resolved(value: string, known: ReadonlyMap<string, string>, depth = 0): string {
  if (depth > 6 || value.length > 1000 || !value.includes('var(')) return value;
  const next = value.replace(
    /var\(\s*(--[\w-]+)\s*(?:,\s*([^()]*(?:\([^()]*\)[^()]*)*))?\)/g,
    (_all, name: string, otherwise?: string) => {
      return known.get(name) ?? otherwise?.trim() ?? '';
    },
  );
  return next === value ? value : resolved(next, known, depth + 1);
}

/** CSS pixels of the text of the whole page, which `rem` is by. */
function rootSize(declared: readonly Declared[]): number {
  const said = declared.findLast(({ selector, name }) => name === 'font-size' && /^(html|:root)$/.test(selector));
  const percent = said ? size(said.value) : null;
  return percent === null ? 16 : (Number(percent) / 100) * 16;
}

function inPixels(value: string, root: number): string {
  return value.replace(/(^|[\s(,/])([\d.]+)rem\b/g, (_, before: string, figure: string) => {
    return `${before}${Math.round(Number(figure) * root * 100) / 100}px`;
  });
}

/** The first colour of a value, if one sees it. */
function colour(value: string): string | null {
  for (const word of wordsOf(value)) {
    const parsed = /^(transparent|inherit|none|currentcolor)$/i.test(word) ? undefined : parseColour(word);
    if (parsed && (parsed.alpha ?? 1) > 0.6) return formatHex(parsed);
  }
  return null;
}

/** A colour that is neither white nor near it. */
function vivid(value: string): string | null {
  const hex = colour(value);
  if (hex === null) return null;
  const parts = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
  return Math.min(...parts) > 225 ? null : hex;
}

/** Words of a value, functions whole. */
function wordsOf(value: string): string[] {
  return value.match(/[\w-]+\([^()]*(?:\([^()]*\)[^()]*)*\)|[^\s,/]+/g) ?? [];
}

function family(value: string, name: string): string | null {
  // the shorthand ends with the fonts, after the size
  const fonts =
    name === 'font'
      ? (/[\d.]+(?:px|rem|em|%|pt)(?:\s*\/\s*[\d.]+\w*)?\s*([^\d\s/][^]*)$/.exec(value)?.[1] ?? '')
      : value;
  const clean = fonts.replace(/\s*!important$/, '').trim();
  if (!/^[\p{L}\p{N} ,'"_-]{1,200}$/u.test(clean) || /^(inherit|initial|unset)$/.test(clean)) return null;
  return clean.replace(/\s*,\s*/g, ', ');
}

function size(value: string): string | null {
  const [, figure, unit] = /(?:^|\s)([\d.]+)(px|rem|em|%)(?=$|[\s/])/.exec(value) ?? [];
  if (figure === undefined) return null;
  const percent = unit === 'px' ? (Number(figure) / 16) * 100 : unit === '%' ? Number(figure) : Number(figure) * 100;
  return percent >= 50 && percent <= 300 ? String(Math.round(percent)) : null;
}

function lineHeight(value: string): string | null {
  const figure = Number(/^([\d.]+)(?:em|rem)?$/.exec(value)?.[1]);
  return figure >= 0.8 && figure <= 3 ? String(Math.round(figure * 100)) : null;
}

function weight(value: string): string | null {
  const figure = value === 'bold' ? 700 : value === 'normal' ? 400 : Number(/^\d+$/.exec(value)?.[0]);
  return figure >= 100 && figure <= 900 ? String(figure) : null;
}

function titleCase(value: string): string | null {
  return { uppercase: 'upper', lowercase: 'lower', capitalize: 'title' }[value] ?? null;
}

function pixels(least: number, most: number): Read {
  return (value) => {
    const [, figure, unit] = /^([\d.]+)(px|rem|em)?(?=\s|$)/.exec(value) ?? [];
    if (figure === undefined || (unit === undefined && Number(figure) !== 0)) return null;
    const px = Math.round(unit === 'px' || unit === undefined ? Number(figure) : Number(figure) * 16);
    return px >= least && px <= most ? String(px) : null;
  };
}
