import { addTo } from '../add-to.js';
import { checkDepth } from '../json/depth.js';
import { isObject } from '../json/is-object.js';
import { attribute, elementsOf, type documentOf } from './elements.js';
import type { Thing } from './thing.js';

/** Types that tell of the page and its site, and not of what it lists. */
const ofPage =
  /^(?:WebSite|WebPage|CollectionPage|AboutPage|ItemPage|SearchAction|BreadcrumbList|Organization|ImageObject|Person|ListItem|ItemList|SiteNavigationElement|WPHeader|WPFooter|Blog)$/;

/** What a page says in JSON-LD: the things of its list, where it has one, and else those of the type it has most of. */
export function thingsInJsonLd(document: ReturnType<typeof documentOf>): Thing[] {
  const things: Thing[] = [];
  const listed: Thing[] = [];
  for (const element of elementsOf(document)) {
    if (element.tagName !== 'script' || !/^application\/ld\+json\b/i.test(attribute(element, 'type'))) continue;
    const text = element.childNodes.map((node) => ('value' in node ? node.value : '')).join('');
    const data = read(text);
    if (data !== undefined) collect(data, things, listed);
  }
  const known = new Map(things.flatMap((one) => (typeof one['@id'] === 'string' ? [[one['@id'], one] as const] : [])));
  const whole = listed.map((one) => (Object.keys(one).length <= 2 ? (known.get(String(one['@id'])) ?? one) : one));
  return whole.length > 0 ? whole : mostOfOneType(things);
}

function read(text: string): unknown {
  try {
    checkDepth(text);
    return JSON.parse(text);
  } catch {
    // what is broken is passed over, as search engines do
    return undefined;
  }
}

function collect(value: unknown, things: Thing[], listed: Thing[]): void {
  if (Array.isArray(value)) for (const one of value) collect(one, things, listed);
  if (!isObject(value)) return;
  if (value['@graph'] !== undefined) collect(value['@graph'], things, listed);
  const entries = [value.itemListElement ?? value.blogPost ?? value.hasPart ?? []].flat();
  for (const entry of entries) {
    if (!isObject(entry)) continue;
    // a way through the site is no list of posts
    if (typesOf(value).includes('BreadcrumbList')) continue;
    listed.push(isObject(entry.item) ? { ...entry.item } : withoutPlace(entry));
  }
  if (value['@type'] !== undefined) things.push(value);
}

function withoutPlace({ position: _position, ...entry }: Thing): Thing {
  return entry;
}

export function typesOf(thing: Thing): string[] {
  return [thing['@type'] ?? []]
    .flat()
    .flatMap((type) => (typeof type === 'string' ? [type.replace(/^.*[/#:]/, '')] : []));
}

export function mostOfOneType(things: readonly Thing[]): Thing[] {
  const byType = new Map<string, Thing[]>();
  for (const thing of things) {
    const [type = ''] = typesOf(thing);
    if (type === '' || ofPage.test(type)) continue;
    addTo(byType, type, thing);
  }
  return [...byType.values()].sort((a, b) => b.length - a.length)[0] ?? [];
}
