import { SaxesParser, type SaxesTagNS } from 'saxes';
import { FileProblem } from '../file-problem.js';
import { limits } from '../limits.js';

/** An element of XML, with its namespace. */
export interface Element {
  uri: string;
  local: string;
  /** By local name, and by `{namespace}name` where it is in one. */
  attributes: Readonly<Record<string, string>>;
  children: Element[];
  /** What stands in it itself, and not in its children. */
  text: string;
  /** What stands in it as it was written, where that is markup (Atom's `xhtml`). */
  markup?: string;
}

const xhtml = 'http://www.w3.org/1999/xhtml';

/**
 * Goes through XML and tells of each element that is wanted, whole, as it ends, so that of a long feed no more than one
 * item is in memory as a tree. A doctype with declarations of its own, and with it every entity beyond HTML's and XML's,
 * is refused: nothing is fetched and nothing grows.
 * @param wants  whether an element is to be told of; elements above it are told without their children
 * @throws FileProblem for XML that is broken, or nests too deep
 */
export function eachElement(
  text: string,
  wants: (uri: string, local: string, depth: number) => boolean,
  tell: (element: Element, line: number) => void,
): void {
  const parser = new SaxesParser({ xmlns: true, position: true });
  // the names HTML has for signs are met in feeds, declared nowhere
  Object.assign(parser.ENTITIES, htmlSigns);
  const stack: Element[] = [];
  let wanted = -1;
  let markupFrom = -1;
  parser.on('error', (error) => {
    const words = error.message.replace(/^\d+:\d+:\s*/, '');
    throw new FileProblem('broken-file', `The XML is broken near line ${parser.line}: ${words.slice(0, 160)}.`);
  });
  parser.on('doctype', (doctype) => {
    if (!doctype.includes('[')) return;
    const reason = 'It declares entities of its own, which are not read: they could grow without end, or name files.';
    throw new FileProblem('broken-file', `The XML is refused. ${reason} Take its DOCTYPE out.`);
  });
  parser.on('opentag', (tag) => {
    const { uri, local } = tag;
    if (stack.length >= limits.depth) {
      const words = `The XML nests deeper than ${limits.depth} levels. Flatten it and try again.`;
      throw new FileProblem('too-large', words);
    }
    const element: Element = { uri, local, attributes: attributesOf(tag), children: [], text: '' };
    if (wanted < 0 && wants(uri, local, stack.length)) wanted = stack.length;
    if (markupFrom >= 0) stack[markupFrom]!.markup += startTag(tag);
    else if (wanted >= 0 && uri === xhtml && stack.length > 0) {
      // a whole tree of markup is kept as it stands in the element around it
      markupFrom = stack.length - 1;
      stack[markupFrom]!.markup = '';
      stack[markupFrom]!.markup += startTag(tag);
    }
    stack.push(element);
  });
  const hear = (part: string) => {
    const on = stack.at(-1);
    if (!on) return;
    if (markupFrom >= 0) stack[markupFrom]!.markup += escaped(part);
    else if (wanted >= 0) on.text += part;
    if (on.text.length > limits.cell) {
      const words = `An element near line ${parser.line} is longer than ${limits.cell / 1024 / 1024} MB.`;
      throw new FileProblem('too-large', words);
    }
  };
  parser.on('text', hear);
  parser.on('cdata', hear);
  parser.on('closetag', ({ name, isSelfClosing }) => {
    const element = stack.pop()!;
    if (markupFrom >= 0) {
      if (!isSelfClosing) stack[markupFrom]!.markup += `</${name}>`;
      if (stack.length - 1 === markupFrom) markupFrom = -1;
      return;
    }
    if (wanted < 0) return;
    if (stack.length > wanted) stack.at(-1)!.children.push(element);
    else {
      wanted = -1;
      tell(element, parser.line);
    }
  });
  // in pieces, so that what is refused half-way is not read to its end first
  const whole = withoutBareSigns(text);
  for (let at = 0; at < whole.length; at += 65_536) parser.write(whole.slice(at, at + 65_536));
  parser.close();
}

/** An “and” that stands for itself is met in feeds more often than any other fault, and means nothing else. */
function withoutBareSigns(text: string): string {
  const bare = /<!\[CDATA\[[^]*?\]\]>|&(?!(?:#\d{1,8}|#[xX][\da-fA-F]{1,6}|[a-zA-Z]\w{0,31});)/g;
  return text.replace(bare, (found) => (found === '&' ? '&amp;' : found));
}

function attributesOf({ attributes }: SaxesTagNS): Record<string, string> {
  const found: Record<string, string> = {};
  for (const { uri, local, value } of Object.values(attributes)) {
    found[local] ??= value;
    if (uri !== '') found[`{${uri}}${local}`] = value;
  }
  return found;
}

function startTag({ name, attributes, isSelfClosing }: SaxesTagNS): string {
  const said = Object.values(attributes)
    .filter((one) => !one.name.startsWith('xmlns'))
    .map((one) => ` ${one.name}="${escaped(one.value).replaceAll('"', '&quot;')}"`);
  return `<${name}${said.join('')}${isSelfClosing ? '/' : ''}>`;
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

export function child(element: Element, local: string, uri?: string): Element | undefined {
  return element.children.find((one) => one.local === local && (uri === undefined || one.uri === uri));
}

export function childrenOf(element: Element, local: string, uri?: string): Element[] {
  return element.children.filter((one) => one.local === local && (uri === undefined || one.uri === uri));
}

/** The text of the first child of a name, trimmed; '' where there is none. */
export function textOf(element: Element, local: string, uri?: string): string {
  return child(element, local, uri)?.text.trim() ?? '';
}

const htmlSigns = {
  ...{ nbsp: '\u00a0', hellip: '…', ndash: '–', mdash: '—', lsquo: '‘', rsquo: '’', ldquo: '“', rdquo: '”' },
  ...{ laquo: '«', raquo: '»', bull: '•', middot: '·', copy: '©', reg: '®', trade: '™', deg: '°', euro: '€' },
  ...{ auml: 'ä', ouml: 'ö', uuml: 'ü', Auml: 'Ä', Ouml: 'Ö', Uuml: 'Ü', szlig: 'ß', eacute: 'é', egrave: 'è' },
  ...{ ecirc: 'ê', agrave: 'à', acirc: 'â', ccedil: 'ç', ocirc: 'ô', icirc: 'î', ntilde: 'ñ', aring: 'å', oslash: 'ø' },
  ...{ aelig: 'æ', times: '×', pound: '£', sect: '§', shy: '', zwnj: '', zwj: '' },
};
