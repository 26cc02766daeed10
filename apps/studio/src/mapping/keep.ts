import type { LensView, SourceView } from '@ivy/client';
import {
  checkLens,
  proposeLens,
  readLens,
  type Facet,
  type FieldDescription,
  type Mark,
  type RawRecord,
} from '@ivy/core';
import { api } from '../api/api.js';
import type { ControlReading, FetchedPage, PageReading } from './read-pages.js';

/** What is kept of a page: where it is, what is marked there, and what its controls are called. */
export interface Mapped {
  page: FetchedPage;
  marks: Mark[];
  reading: PageReading;
  labels: ReadonlyMap<string, string>;
}

/**
 * Makes a source of the items of a page, and a lens on it that is mapped on that page.
 * @throws ApiProblem where one of the two is refused; then neither is there
 */
export async function keepNew(name: string, mapped: Mapped): Promise<LensView> {
  const { page, reading } = mapped;
  const body = new FormData();
  const posts = new Blob([JSON.stringify(postsOf(reading, page.address))], { type: 'application/json' });
  body.append('file', posts, 'items.json');
  body.append('name', name);
  if (page.address !== '') body.append('site', new URL(page.address).origin);
  const source = (await api.ask('post', '/api/v1/sources', {}, { body })) as SourceView;
  try {
    const config = configOf(proposeLens(source.fields), source.fields, mapped, true);
    return await api.ask('post', '/api/v1/lenses', {}, { body: { name, source: source.slug, config } });
  } catch (error) {
    await api.ask('delete', '/api/v1/sources/{slug}', { slug: source.slug }).catch(() => {});
    throw error;
  }
}

/** Keeps what is marked in the draft of a lens. */
export async function keepIn(
  { slug, draft, draftRevision }: LensView,
  source: SourceView,
  mapped: Mapped,
): Promise<LensView> {
  const config = configOf(draft, source.fields, mapped, false);
  const headers = { 'if-match': `"${draftRevision}"` };
  return api.ask('put', '/api/v1/lenses/{slug}/draft', { slug }, { body: { config }, headers });
}

/** The items as posts: what is marked in them, and where each leads. */
export function postsOf({ records, items }: PageReading, address: string): RawRecord[] {
  const isNamed = records.some((record) => Object.hasOwn(record, 'link'));
  return records.map((record, i) => {
    const href = items[i]?.querySelector('a[href]')?.getAttribute('href') ?? null;
    if (isNamed || href === null || !URL.canParse(href, address || undefined)) return record;
    return { ...record, link: new URL(href, address || undefined).href };
  });
}

/**
 * A config with what is marked, and with a facet for each control that has none.
 * @param isNew  whether its facets were proposed, and give way to those of the page
 */
export function configOf(lens: object, fields: readonly FieldDescription[], mapped: Mapped, isNew: boolean): object {
  const { page, marks, reading, labels } = mapped;
  const markup = { page: page.address, marks };
  const own = reading.controls.flatMap((control) => facetOf(control, fields, marks, labels.get(control.key)) ?? []);
  const kept = isNew && own.length > 0 ? [] : ((lens as { facets?: Facet[] }).facets ?? []);
  const before = kept.map((facet) => renamed(facet, marks));
  const facets = [...before, ...own.filter(({ key }) => !before.some((one) => one.key === key))];
  return { ...lens, markup, facets };
}

/** A facet whose control is called otherwise in addresses since: it keeps the name it had as one more. */
function renamed(facet: Facet, marks: readonly Mark[]): Facet {
  const mark = marks.find(({ says }) => says.was?.split(' ').includes(facet.key));
  const key = mark?.says.as;
  if (!key) return facet;
  return { ...facet, key, aliases: [...new Set([...facet.aliases.filter((one) => one !== key), facet.key])] };
}

/** A facet as a control of the page is one; null where the source has no field that it could be of. */
function facetOf(
  { key, kind, field, values }: ControlReading,
  fields: readonly FieldDescription[],
  marks: readonly Mark[],
  label: string | undefined,
): Facet | null {
  const mark = marks.find(({ says }) => (says.as ?? says.reads ?? says.facet) === key || says.reads === field);
  const named = mark?.says.search?.split(' ').filter((one) => fields.some((other) => other.key === one)) ?? [];
  const texts = fields.filter(({ type }) => ['text', 'html', 'terms'].includes(type)).map((one) => one.key);
  const config = {
    key,
    kind,
    ...(label !== undefined && { label }),
    ...(kind === 'search' ? { fields: (named.length > 0 ? named : texts).slice(0, 20) } : { field }),
    ...(mark?.says.match === 'all' && kind === 'checkboxes' && { match: 'all' }),
    ...(kind === 'dropdown' && { single: true }),
  };
  const isApt = kind !== 'checkboxes' || values.length > 0;
  const read = readLens({ facets: [config] });
  return isApt && read.ok && checkLens(read.value, fields).length === 0 ? read.value.facets[0]! : null;
}
