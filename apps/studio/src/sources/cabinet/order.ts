import type { LensSummary, SourceSummary } from '@ivy/client';

/** What the drawers of a cabinet are put by. */
export type By = 'fresh' | 'name' | 'size' | 'findings' | 'asked';

export const bys: Record<By, string> = {
  fresh: 'Freshness',
  name: 'Name',
  size: 'Size',
  findings: 'Findings',
  asked: 'Last asked for',
};

/** A drawer: a source with the lenses on it. */
export interface Drawer {
  source: SourceSummary;
  lenses: readonly LensSummary[];
}

/** Drawers under one heading. */
export interface Shelf {
  heading: string;
  drawers: Drawer[];
}

/** When visitors last asked for one of the lenses on a source, in ms; 0 for never. */
export function askedOf({ lenses }: Drawer): number {
  return Math.max(0, ...lenses.map(({ askedAt }) => (askedAt ? Date.parse(askedAt) : 0)));
}

/** Which drawers are in sight. */
export type Only = 'all' | 'findings' | 'no-lens';

/** Drawers whose source, file, field or lens is called like that. */
export function drawersFound(all: readonly Drawer[], words: string, only: Only): Drawer[] {
  const wanted = words.trim().toLocaleLowerCase();
  return all.filter(({ source, lenses }) => {
    if (only === 'findings' && source.findingCount === 0) return false;
    if (only === 'no-lens' && lenses.length > 0) return false;
    const names = [source.name, source.slug, source.fileName, ...lenses.map(({ name }) => name)];
    const fields = source.fields.flatMap(({ key, label }) => [key, label]);
    return wanted === '' || [...names, ...fields].some((name) => name.toLocaleLowerCase().includes(wanted));
  });
}

const day = 24 * 60 * 60_000;

/** Drawers in their order, under headings that say where one is. */
export function shelvesOf(drawers: readonly Drawer[], by: By, now: number): Shelf[] {
  const compare = comparisons[by];
  const shelves = new Map<string, Drawer[]>();
  for (const drawer of [...drawers].sort((a, b) => compare(a, b) || a.source.name.localeCompare(b.source.name))) {
    const heading = headings[by](drawer, now);
    const shelf = shelves.get(heading);
    if (shelf) shelf.push(drawer);
    else shelves.set(heading, [drawer]);
  }
  return [...shelves].map(([heading, own]) => ({ heading, drawers: own }));
}

const comparisons: Record<By, (a: Drawer, b: Drawer) => number> = {
  fresh: (a, b) => Date.parse(b.source.updatedAt) - Date.parse(a.source.updatedAt),
  name: () => 0,
  size: (a, b) => b.source.posts - a.source.posts,
  findings: (a, b) => b.source.findingCount - a.source.findingCount,
  asked: (a, b) => askedOf(b) - askedOf(a),
};

const headings: Record<By, (drawer: Drawer, now: number) => string> = {
  fresh: ({ source }, now) => ageWords(now - Date.parse(source.updatedAt)),
  asked: (drawer, now) => {
    const at = askedOf(drawer);
    return at === 0 ? 'never' : ageWords(now - at);
  },
  name: ({ source }) => /^\p{L}/u.exec(source.name.toLocaleUpperCase())?.[0] ?? '0-9',
  size: ({ source }) => {
    if (source.posts >= 10_000) return '10,000 posts and more';
    return source.posts >= 1000 ? 'thousands' : source.posts >= 100 ? 'hundreds' : 'fewer than a hundred';
  },
  findings: ({ source }) => (source.findingCount > 0 ? 'want a look' : 'nothing found'),
};

function ageWords(age: number): string {
  if (age < day) return 'within a day';
  if (age < 7 * day) return 'this week';
  return age < 31 * day ? 'this month' : 'before';
}
