import { pageLook, spanNames, type Look, type PageLook, type Placed, type SpanName } from '@ivy/core';
import { arrangements, columnRules, narrowTable } from './arrangements.js';
import { colourDeclarations, coloursOf, schemesOf } from './colours.js';
import { extraRules, type Drawn } from './extras.js';
import { iconRules } from './icons.js';
import { placements } from './placement.js';
import { presets } from './presets/presets.js';
import { writeRules, type Rule } from './rule.js';
import { termRules } from './term-rules.js';
import { typeRules } from './types.js';

/**
 * The sheet of a lens as its elements have it, which measure how wide they are.
 * @param drawn  what it draws, which some rules go by
 * @param name   of the lens, as elements say it
 */
export function lookSheet(look: Look, drawn: Drawn, name: string): string {
  const here = `:is(.ivy-part, ivy-lens)[name='${name}']`;
  const bySpan = spansOf(look).map(({ rules, spans }) => {
    const at = spans.length === spanNames.length ? here : spans.map((span) => `[data-span='${span}']`);
    const where = typeof at === 'string' ? at : `${here}:is(${at.join(', ')})`;
    return writeRules(where, rules(false));
  });
  return layered(
    extraRules(drawn) +
      bySpan.join('') +
      writeRules(here, [...lookRules(look), ...cardRules(drawn), ...termRules(drawn)]),
  );
}

/** The sheet of a page that is drawn without scripts: there the window’s width counts. */
export function plainLookSheet(look: Look, drawn: Drawn): string {
  const bySpan = spansOf(look).map(({ rules, spans }) => {
    const written = (indent?: string) => writeRules('', rules(true).map(onPage), indent);
    if (spans.length === spanNames.length) return written();
    return `  @media ${spans.map((span) => media(look, span)).join(', ')} {\n${written('    ')}  }\n`;
  });
  return layered(
    extraRules(drawn) +
      bySpan.join('') +
      writeRules('', [...lookRules(look), ...cardRules(drawn), ...termRules(drawn)].map(onPage)),
  );
}

/** What a page that is the listing's alone looks like around it. */
export function pageSheet(look: Look): string {
  const colours = (name: 'ground' | 'ink') => schemesOf(look).map((scheme) => coloursOf(look, scheme)[name]);
  const declared = (name: string, [one, other = one]: string[]) =>
    /^#/.test(one!) ? `  ${name}: ${one === other ? one : `light-dark(${one}, ${other})`};\n` : '';
  const ground = declared('background', colours('ground'));
  // ink is for the listing's ground: without one, the page keeps its own of both
  const ink = ground === '' ? '' : declared('color', colours('ink'));
  return `:root {\n  color-scheme: ${schemesOf(look).join(' ')};\n}\nbody {\n${ground}${ink}}\n`;
}

/** On a page of its own a listing is borne by its element. */
function onPage([selectors, declared]: Rule): Rule {
  const all = typeof selectors === 'string' ? [selectors] : selectors;
  return [all.map((one) => (one === '' ? 'ivy-lens' : one)), declared];
}

function layered(rules: string): string {
  return `@layer ivy {\n${rules}}\n`;
}

/** What lies how, said once for all spans of width that have it alike. */
function spansOf(look: Look): { spans: SpanName[]; rules: (isPlain: boolean) => Rule[] }[] {
  const found: { spans: SpanName[]; placed: Placed }[] = [];
  const page = pageLook(look);
  for (const span of spanNames) {
    const placed = page[span];
    // a table has no room on a phone, so that one lies another way
    const same = found.find((one) => isSame(one.placed, placed) && placed.arrangement !== 'table');
    if (same) same.spans.push(span);
    else found.push({ spans: [span], placed });
  }
  return found.map(({ spans, placed }) => ({
    spans,
    rules: (isPlain) => placedRules(placed, isPlain, isNarrow(placed, spans)),
  }));
}

/** Whether a table has no room: on a phone, and beside facets on a tablet. */
function isNarrow({ facets }: Placed, spans: readonly SpanName[]): boolean {
  return spans.includes('phone') || (spans.includes('tablet') && facets === 'side');
}

function isSame({ folded: _a, ...one }: Placed, { folded: _b, ...other }: Placed): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

function placedRules(placed: Placed, isPlain: boolean, narrow: boolean): Rule[] {
  return [
    ...columnRules(placed),
    ...placements[placed.facets](placed, isPlain),
    ...arrangements[placed.arrangement](placed),
    ...(narrow && placed.arrangement === 'table' ? narrowTable : []),
  ];
}

function media({ tabletFrom, desktopFrom }: PageLook | Look, span: SpanName): string {
  if (span === 'phone') return `(width < ${tabletFrom}px)`;
  return span === 'tablet' ? `(${tabletFrom}px <= width < ${desktopFrom}px)` : `(width >= ${desktopFrom}px)`;
}

/** Rules of parts that few cards have. */
function cardRules({ card: parts }: Drawn): Rule[] {
  const inPlace: Rule = [
    ['.ivy-card-text .ivy-ribbon', '.ivy-table .ivy-ribbon'],
    { position: 'static', display: 'inline-flex', width: 'auto', gap: '8px', 'border-radius': '0', background: 'none' },
  ];
  const hasMark = parts.some(({ show }) => show === 'mark');
  return [...iconRules(parts.map(({ icon }) => icon)), ...(hasMark ? [inPlace] : [])];
}

/** Colours, type, shape and room: what is the same at every width. */
function lookRules(look: Look): Rule[] {
  const preset = presets[look.preset];
  const isPlain = look.preset === 'plain';
  const radius = look.radius ?? (isPlain ? undefined : preset.radius);
  const border = look.border ?? (isPlain ? undefined : preset.border);
  const own: Record<string, string> = {
    ...colourDeclarations(look),
    ...(radius !== undefined && { '--i-radius': `var(--ivy-radius, ${radius}px)` }),
    ...(border !== undefined && { '--i-border': `var(--ivy-border, ${border}px)` }),
    ...(look.space !== 100 && { '--i-space': `var(--ivy-space, ${look.space / 100})` }),
    ...(preset.family !== null && { 'font-family': preset.family }),
  };
  return [['', own], ...groundRules(look), ...preset.rules, ...typeRules(look.type)];
}

/** A listing with a ground of its own keeps its words off the ground’s edge; so do cards. */
function groundRules(look: Look): Rule[] {
  const has = (name: 'ground' | 'card') =>
    schemesOf(look).some((scheme) => coloursOf(look, scheme)[name] !== 'transparent');
  const padding = 'calc(18px * var(--i-space))';
  return [
    ...(has('ground')
      ? [['.ivy-frame', { padding, background: 'var(--i-ground)', 'border-radius': 'var(--i-radius)' }] as const]
      : []),
    ...(has('card')
      ? [
          [
            '.ivy-card',
            { padding: 'calc(12px * var(--i-space))', background: 'var(--i-card)', 'border-radius': 'var(--i-radius)' },
          ] as const,
        ]
      : []),
  ];
}
