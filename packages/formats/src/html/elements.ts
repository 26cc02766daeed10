import { defaultTreeAdapter, serialize, type DefaultTreeAdapterTypes } from 'parse5';
import { FileProblem } from '../file-problem.js';
import { attribute, type Element } from '../page/elements.js';

export { attribute, documentOf, elementsOf, type Element } from '../page/elements.js';

export function childrenOf(element: Element): Element[] {
  return element.childNodes.filter((node) => defaultTreeAdapter.isElementNode(node));
}

export function classesOf(element: Element): string[] {
  return attribute(element, 'class').split(/\s+/).filter(Boolean);
}

/** Elements in an element, in order; a loop, since a page may be nested deeper than calls can be. */
export function* within(element: Element, goes: (into: Element) => boolean = () => true): Generator<Element> {
  const open: Element[] = childrenOf(element).reverse();
  for (let node = open.pop(); node; node = open.pop()) {
    yield node;
    if (goes(node)) open.push(...childrenOf(node).reverse());
  }
}

const silent = new Set(['script', 'style', 'template', 'noscript']);

/** All text of an element as a line, without scripts and styles. */
export function wordsOf(element: Element): string {
  const parts: string[] = [];
  const open: DefaultTreeAdapterTypes.ChildNode[] = [...element.childNodes].reverse();
  for (let node = open.pop(); node; node = open.pop()) {
    if (defaultTreeAdapter.isTextNode(node)) parts.push(node.value);
    else if (defaultTreeAdapter.isElementNode(node) && !silent.has(node.tagName)) {
      parts.push(' ');
      open.push(...[...node.childNodes].reverse());
    }
  }
  return parts.join('').replace(/\s+/g, ' ').trim();
}

/** What an element says of itself, and not what elements in it say. */
export function ownWords(element: Element): string {
  const own = element.childNodes.filter((node) => defaultTreeAdapter.isTextNode(node)).map(({ value }) => value);
  return own.join(' ').replace(/\s+/g, ' ').trim();
}

export function innerHtml(element: Element): string {
  return serialize(element).trim();
}

/** An address as it stands on a page, whole; '' for one that leads to no page or picture. */
export function absolute(address: string, base: string): string {
  const bare = address.trim();
  if (bare === '' || /^(?:javascript|data|mailto|tel|blob):/i.test(bare) || bare.startsWith('#')) return '';
  return base !== '' && URL.canParse(bare, base) ? new URL(bare, base).href : bare;
}

/** The likeliest picture of those an element names. */
export function pictureOf(element: Element, base: string): string {
  const said = attribute(element, 'src') || attribute(element, 'data-src');
  const [first = ''] = attribute(element, 'srcset').split(',');
  return absolute(said || first.trim().split(/\s+/)[0]!, base);
}

/** Levels that pages are read to: what is nested deeper is no listing, and whatever walks it would take long. */
const deepest = 512;

/** @throws FileProblem for a page that nests as no page does */
export function checkNesting(document: DefaultTreeAdapterTypes.Document): void {
  const open: [DefaultTreeAdapterTypes.Node, number][] = [[document, 0]];
  for (let next = open.pop(); next; next = open.pop()) {
    const [node, depth] = next;
    if (depth > deepest) throw new FileProblem('too-large', `The page nests deeper than ${deepest} levels.`);
    if ('childNodes' in node) for (const one of node.childNodes) open.push([one, depth + 1]);
  }
}
