import { defaultTreeAdapter, parse, type DefaultTreeAdapterTypes } from 'parse5';

export type Element = DefaultTreeAdapterTypes.Element;

/** A page as a browser would have it, however it is written. */
export function documentOf(page: string): DefaultTreeAdapterTypes.Document {
  return parse(page);
}

/** Every element of a document in order; a loop, since a page may be nested deeper than calls can be. */
export function* elementsOf(document: DefaultTreeAdapterTypes.Document): Generator<Element> {
  const open: DefaultTreeAdapterTypes.Node[] = [document];
  for (let node = open.pop(); node; node = open.pop()) {
    if (defaultTreeAdapter.isElementNode(node)) yield node;
    if ('childNodes' in node) open.push(...node.childNodes.toReversed());
  }
}

/** What an attribute says; '' where it is not there. */
export function attribute(element: Element, name: string): string {
  return element.attrs.find((one) => one.name === name)?.value ?? '';
}

export function textOf(element: Element): string {
  return element.childNodes.map((node) => (defaultTreeAdapter.isTextNode(node) ? node.value : '')).join('');
}
