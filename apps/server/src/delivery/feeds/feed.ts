import { fieldWithRole, plainText, type FieldRole, type Item, type ItemValue, type PostIndex } from '@ivy/core';

/** The newest posts at an address, before they are written in a format. */
export interface Feed {
  title: string;
  language: string;
  /** Tells this feed from every other, and never changes. */
  id: string;
  /** Whole addresses: of the feed, and of the page with the same posts. */
  self: string;
  page: string;
  /** When anything of it was new last, RFC 3339. */
  updated: string;
  entries: Entry[];
}

/** A post of a feed. What it does not have is the empty text. */
export interface Entry {
  id: string;
  title: string;
  /** Whole addresses. */
  link: string;
  image: string;
  /** RFC 3339. */
  published: string;
  summary: string;
  author: string;
  tags: string[];
}

interface Read {
  index: PostIndex;
  /** Slug of the source: posts of several may have the same ids. */
  source: string;
  /** Makes an address of a post whole; null for one that leads nowhere on the web. */
  resolve: (link: string) => string | null;
}

/** A post as an entry: when it was published, and of its fields those that its card shows or a facet filters by. */
export function entryOf(item: Item, { index, source, resolve }: Read): Entry {
  const fieldOf = (role: FieldRole) => fieldWithRole(index.fields, role);
  const plain = (role: FieldRole, text: string) => (fieldOf(role)?.type === 'html' ? plainText(text) : text);
  const shown = (role: FieldRole) => {
    const key = fieldOf(role)?.key;
    return key === undefined || !Object.hasOwn(item.fields, key) ? '' : plain(role, wordsOf(item.fields[key]!));
  };
  const whole = (link: string) => (link === '' ? '' : (resolve(link) ?? ''));
  const tags = Object.values(item.fields).flatMap((value) =>
    Array.isArray(value) ? value.map(({ label }) => label) : [],
  );
  return {
    id: `urn:ivy-lens:${source}:${encodeURIComponent(item.id)}`,
    title: plain('title', item.title),
    link: whole(item.link ?? ''),
    image: whole(shown('image')),
    published: momentOf(index, item.id, fieldOf('published')?.key),
    summary: shown('summary') || shown('body'),
    author: shown('author'),
    tags: [...new Set(tags)],
  };
}

function wordsOf(value: ItemValue): string {
  return Array.isArray(value) ? value.map(({ label }) => label).join(', ') : String(value);
}

/** When a post was published. A day begins at midnight, and a time without a zone is one, of UTC. */
function momentOf(index: PostIndex, id: string, key: string | undefined): string {
  const post = index.numberOf(id);
  const value = key === undefined || post === undefined ? undefined : index.valueOf(post, key);
  if (typeof value !== 'string') return '';
  const isBare = value.length > 10 && !/(?:Z|[+-]\d\d:\d\d)$/.test(value);
  const moment = Date.parse(isBare ? `${value}Z` : value);
  return Number.isNaN(moment) ? '' : new Date(moment).toISOString();
}
