import { kindOf, type FacetKind, type OwnSettings } from '../kinds/kinds.js';
import { pageLook, type PageLook } from '../look/look.js';
import type { Field } from '../model/post.js';
import { sizesOf } from '../paging/paging.js';
import type { Texts } from '../model/texts.js';
import { cardParts } from './card.js';
import { tableHeads, type TableHead } from './table-heads.js';
import { pictureSizes } from '../look/picture-sizes.js';
import { facetLabel, sortLabel, textsOf } from './label.js';
import type { CardPart } from '../card/parts.js';
import { defaultSort, type Lens } from './lens.js';

/** What a page needs to know of one facet to draw it. */
interface CommonSettings {
  key: string;
  kind: FacetKind;
  label: string;
  /** The field it reads first; empty for none. */
  field: string;
  visible: boolean;
  single: boolean;
  counts: boolean;
  zero: 'mute' | 'hide' | 'keep';
  folded: boolean;
  /** Key of the facet it waits for; empty for none. */
  dependsOn: string;
}

/** With what only its kind has. */
export type FacetSettings = CommonSettings & OwnSettings;

/** What a page needs to know of a lens besides its answers. Changes only with the release. */
export interface Settings {
  facets: FacetSettings[];
  sort: { key: string; label: string }[];
  /** Sort of an address that names none. */
  defaultSort: string | null;
  paging: Lens['paging'];
  card: CardPart[];
  /** The columns of a table, one a part of the card; none where no width has a table. */
  heads: TableHead[];
  /** How wide pictures are drawn, as `sizes` of HTML says it; empty where there is one size of each. */
  pictureSizes: string;
  /** What of a card leads to its post, and whether beside the page. */
  cardLink: Pick<Lens['card'], 'link' | 'newTab'>;
  look: PageLook;
  texts: Texts;
  address: Omit<Lens['address'], 'former' | 'gone'>;
  /** What the lens is called. */
  name: string;
  /** Facets of other lenses on a page that it is narrowed by, with the field that has their terms here. */
  follows: Lens['follows'];
  /** Slug of the source: what visitors mark is kept by it, for all lenses of a source. */
  source: string;
  /** Every parameter name that is the lens's own, old names and prefix included. */
  names: string[];
  language: string;
  zone: string;
}

/** Draws from a lens what a page may see of it. */
export function settingsOf(
  lens: Lens,
  fields: readonly Field[],
  names: Iterable<string>,
  { name, source }: Pick<Settings, 'name' | 'source'>,
): Settings {
  const { former: _former, gone: _gone, ...address } = lens.address;
  const card = cardParts(lens, fields);
  return {
    facets: lens.facets.map((facet) => ({
      key: facet.key,
      kind: facet.kind,
      label: facetLabel(facet, fields, lens),
      field: kindOf(facet).fields(facet)[0] ?? '',
      visible: facet.visible,
      single: kindOf(facet).isSingle(facet),
      counts: 'counts' in facet ? facet.counts : false,
      zero: 'zero' in facet ? facet.zero : 'keep',
      folded: facet.folded,
      dependsOn: facet.dependsOn,
      ...kindOf(facet).settings(facet),
    })),
    sort: lens.sort.options.map((option) => ({ key: option.key, label: sortLabel(option, fields, lens) })),
    defaultSort: defaultSort(lens)?.key ?? null,
    paging: { ...lens.paging, sizes: sizesOf(lens.paging) },
    card,
    heads: tableHeads(lens, card, fields),
    pictureSizes: card.some((part) => part.show === 'picture' && part.sizes.length > 0) ? pictureSizes(lens.look) : '',
    cardLink: { link: lens.card.link, newTab: lens.card.newTab },
    look: pageLook(lens.look),
    texts: textsOf(lens),
    address,
    name,
    follows: lens.follows,
    source,
    names: [...names],
    language: lens.language,
    zone: lens.zone,
  };
}
