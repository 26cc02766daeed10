import { kindOf, loose, parameterNames, type Answer, type Facet, type Lens } from '@ivy/core';

/** Something one may mean while one types in the address. */
export interface Offer {
  /** What the box holds once it is taken. */
  text: string;
  label: string;
  /** How many posts it would find; null where that is not what it is about. */
  count: number | null;
  facet: string | null;
  /** Whether typing goes on after it, as after a name. */
  goesOn: boolean;
}

/** Offers shown at most. */
const most = 12;

/** Names that are not in the address yet, then, behind `=`, values of the one that is typed. */
export function tokenOffers(lens: Lens, answer: Answer | undefined, typed: string, taken: readonly string[]): Offer[] {
  const at = typed.indexOf('=');
  if (at < 0) return nameOffers(lens, typed, taken);
  const name = typed.slice(0, at).trim();
  return valueOffers(lens, answer, name, typed.slice(at + 1)).map((offer) => ({
    ...offer,
    text: `${name}=${offer.text}`,
  }));
}

function nameOffers(lens: Lens, typed: string, taken: readonly string[]): Offer[] {
  const wanted = loose(typed);
  const { prefix, sort, page } = lens.address;
  const names = [
    ...lens.facets.map(({ key, label }) => ({ name: prefix + key, label, facet: key })),
    { name: prefix + sort, label: '', facet: null },
    { name: prefix + page, label: '', facet: null },
  ];
  return names
    .filter(({ name, label }) => !taken.includes(name) && (wanted === '' || loose(name + label).includes(wanted)))
    .slice(0, most)
    .map(({ name, facet }) => ({ text: `${name}=`, label: name, count: null, facet, goesOn: true }));
}

/** What a parameter of an address can say, with how many posts each value would find. */
export function valueOffers(lens: Lens, answer: Answer | undefined, name: string, typed: string): Offer[] {
  const target = parameterNames(lens).get(name);
  if (target === undefined || !answer) return [];
  if (target === 'sort')
    return fitting(
      lens.sort.options.map(({ key }) => plain(key)),
      typed,
    );
  if (target === 'page')
    return fitting(
      Array.from({ length: Math.min(answer.pages, most) }, (_, i) => plain(String(i + 1))),
      typed,
    );
  if (target === 'size')
    return fitting(
      lens.paging.sizes.map((size) => plain(String(size))),
      typed,
    );
  const { facet } = target;
  const found = answer.facets.find(({ key }) => key === facet.key);
  if (!found) return [];
  if ('options' in found) return termOffers(facet, found.options, typed);
  if (!('buckets' in found)) return [];
  const presets = 'presets' in facet ? facet.presets : [];
  const ready = presets.map(({ label, range }) => ({ ...plain(range), label: `${range}  ${label}`, facet: facet.key }));
  const stretches = [...found.buckets]
    .reverse()
    .map(({ from, to, count }) => ({ ...plain(`${from}/${to}`), count, facet: facet.key }));
  const bare = typed.trim();
  return [...ready, ...stretches].filter(({ text }) => bare === '' || text.startsWith(bare)).slice(0, most);
}

/** Terms that hold what is typed behind the last comma, the ones with posts first. */
function termOffers(
  facet: Facet,
  options: readonly { value: string; label: string; count: number }[],
  typed: string,
): Offer[] {
  const takesSeveral = kindOf(facet).splits && !kindOf(facet).isSingle(facet);
  const parts = takesSeveral ? typed.split(',') : [typed];
  const before = parts.slice(0, -1).map((one) => one.trim());
  const wanted = loose(parts.at(-1)!);
  const whole = options.some(({ value }) => value === parts.at(-1)!.trim());
  return options
    .filter(
      ({ value, label }) =>
        !before.includes(value) && (wanted === '' || whole || loose(`${value} ${label}`).includes(wanted)),
    )
    .sort((a, b) => Number(b.count > 0) - Number(a.count > 0) || Number(begins(b, wanted)) - Number(begins(a, wanted)))
    .slice(0, most)
    .map(({ value, label, count }) => ({
      text: [...before, value].join(','),
      label,
      count,
      facet: facet.key,
      goesOn: false,
    }));
}

function begins({ value, label }: { value: string; label: string }, wanted: string): boolean {
  return loose(label).startsWith(wanted) || loose(value).startsWith(wanted);
}

function fitting(offers: Offer[], typed: string): Offer[] {
  const wanted = loose(typed);
  const found = offers.filter(({ text }) => loose(text).includes(wanted));
  return (found.some(({ text }) => text === typed) ? offers : found).slice(0, most);
}

function plain(text: string): Offer {
  return { text, label: text, count: null, facet: null, goesOn: false };
}
