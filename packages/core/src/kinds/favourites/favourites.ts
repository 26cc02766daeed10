import { PostSet } from '../../engine/sets/post-set.js';
import type { AnswerHead } from '../../model/answer.js';
import { object, type TypeOf } from '../../shape/shape.js';
import { byCodeUnits } from '../../text/slug.js';
import { common } from '../common.js';
import { noColumns, type FacetKind } from '../kind.js';
import { unmeasured } from '../miss.js';
import { fewValues, maxPosts } from '../notices.js';
import { writeList } from '../terms/read.js';

const shape = object(common);
export type FavouritesConfig = TypeOf<typeof shape> & { kind: 'favourites' };

/** What an answer holds of marked posts. */
export interface FavouritesFacetAnswer extends AnswerHead {
  /** Ids of the posts. */
  selected: string[];
}

/** Posts a visitor marked: kept on their device, by id in the address. */
export const favourites: FacetKind<FavouritesConfig, FavouritesFacetAnswer, { marks: boolean }> = {
  shape,
  noun: 'favourites',
  texts: [],
  splits: true,
  valueForm: () => 'id,id',
  fields: () => [],
  labelField: () => undefined,
  isSingle: () => false,
  keepsOwn: () => false,
  start: () => undefined,
  read: ({ key }, values, { index, notices }) => {
    const ids = fewValues(key, values, maxPosts, notices).filter((value) => {
      if (index.hasPost(value)) return true;
      const text = `There is no post “${value}” any more.`;
      notices.push({ code: 'unknown-post', facet: key, value, text });
      return false;
    });
    return ids.length === 0 ? undefined : { type: 'posts', ids: ids.sort(byCodeUnits) };
  },
  write: (_facet, selection) => (selection?.type === 'posts' ? writeList(selection.ids) : ''),
  columns: () => noColumns,
  *prepare() {},
  shown: () => null,
  passing: (index, _locale, _facet, selection) => {
    const ids = selection.type === 'posts' ? selection.ids : [];
    const posts = ids.map((id) => index.numberOf(id)).filter((post) => post !== undefined);
    return PostSet.ofList(index.size, Uint32Array.from(posts).sort());
  },
  answer: ({ key, kind, visible }, { label }, selection) => {
    return { key, kind, label, visible, selected: selection?.type === 'posts' ? selection.ids : [] };
  },
  misses: () => unmeasured('It is marked.', 'It is not marked.'),
  takesMatch: () => false,
  changed: (facet) => facet,
  problems: () => [],
  warnings: () => [],
  suits: () => null,
  canShow: () => false,
  changes: () => {},
  settings: () => ({ marks: true }),
};
