import { absolute, attribute, childrenOf, elementsOf, wordsOf, type documentOf, type Element } from './elements.js';
import { mostOfOneType } from './json-ld.js';
import type { Thing } from './thing.js';

/** Things within things are read so deep. */
const deepest = 6;

/** What a page marks by microdata (HTML Standard, 5): the things of the type it has most of, as JSON-LD has them. */
export function thingsInMicrodata(document: ReturnType<typeof documentOf>, base: string): Thing[] {
  const things: Thing[] = [];
  for (const element of elementsOf(document)) {
    const isTop = has(element, 'itemscope') && (!has(element, 'itemprop') || isListed(element));
    if (isTop) things.push(thingOf(element, base, 0));
  }
  return mostOfOneType(things);
}

/** An entry of a list is a thing of its own, though it is a property of the list. */
function isListed(element: Element): boolean {
  return /^(?:itemListElement|blogPost|blogPosts|hasPart|item|event|events)$/.test(attribute(element, 'itemprop'));
}

function has(element: Element, name: string): boolean {
  return element.attrs.some((one) => one.name === name);
}

function thingOf(element: Element, base: string, depth: number): Thing {
  const type = attribute(element, 'itemtype').trim().split(/\s+/)[0]!;
  const thing: Thing = { ...(type !== '' && { '@type': type }) };
  const id = attribute(element, 'itemid');
  if (id !== '') thing['@id'] = id;
  const open = [...childrenOf(element)].reverse();
  for (let node = open.pop(); node; node = open.pop()) {
    const isThing = has(node, 'itemscope');
    const value = isThing && depth < deepest ? thingOf(node, base, depth + 1) : valueOf(node, base);
    for (const name of attribute(node, 'itemprop').split(/\s+/).filter(Boolean)) {
      const key = name.replace(/^.*[/#]/, '');
      thing[key] = thing[key] === undefined ? value : [...[thing[key]].flat(), value];
    }
    if (!isThing) open.push(...[...childrenOf(node)].reverse());
  }
  return thing;
}

function valueOf(element: Element, base: string): string {
  const said = (name: string) => attribute(element, name);
  if (has(element, 'content')) return said('content');
  switch (element.tagName) {
    case 'a':
    case 'area':
    case 'link':
      return absolute(said('href'), base);
    case 'img':
    case 'audio':
    case 'video':
    case 'source':
    case 'iframe':
      return absolute(said('src'), base);
    case 'time':
      return said('datetime') || wordsOf(element);
    case 'data':
    case 'meter':
      return said('value');
    default:
      return wordsOf(element);
  }
}
