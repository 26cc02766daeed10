import { PostSet } from '../../engine/sets/post-set.js';
import type { AnswerHead } from '../../model/answer.js';
import type { Notice } from '../../model/notice.js';
import type { Selection } from '../../model/selection.js';
import { cleanSearch, maxWords, readWords } from '../../engine/words/wanted.js';
import { choice, list, object, table, whole, withDefault, type TypeOf } from '../../shape/shape.js';
import { wellFormed } from '../../text/clean-text.js';
import { encodePart } from '../../text/parameters.js';
import { common, fieldKey } from '../common.js';
import { noColumns, type FacetKind } from '../kind.js';
import { unmeasured } from '../miss.js';
import { nameOf } from '../name.js';
import { prepareText, prepareSearch, searchOf, textIndexOf } from './finding.js';
import { searchMisses } from './misses.js';

const shape = object({
  ...common,
  fields: list(fieldKey, 20),
  words: withDefault(choice('all', 'any'), () => 'all' as const),
  /** How much a hit in a field weighs; 1 where nothing is said, 3 in the title. */
  weights: withDefault(table(whole(1, 20), 20), () => ({})),
});
export type SearchConfig = TypeOf<typeof shape> & { kind: 'search' };

/** What an answer holds of a search. */
export interface SearchFacetAnswer extends AnswerHead {
  selected: string | null;
}

/** Most characters of a search. */
export const maxSearch = 200;

/** Words to be found in the text of posts. */
export const searchKind: FacetKind<SearchConfig, SearchFacetAnswer> = {
  shape,
  noun: 'search',
  texts: [],
  splits: false,
  valueForm: () => 'words',
  fields: ({ fields }) => fields,
  labelField: () => undefined,
  isSingle: () => false,
  keepsOwn: () => false,
  start: () => undefined,
  read: ({ key }, values, { notices }) => readSearch(key, values, notices),
  write: (_facet, selection) => (selection?.type === 'search' ? encodePart(selection.text) : ''),
  columns: () => noColumns,
  *prepare() {},
  shown: () => null,
  passing: (index, _locale, facet, selection, _chosen, arena) =>
    selection.type === 'search'
      ? searchOf(index, facet, selection.text, arena).posts
      : PostSet.ofList(index.size, new Uint32Array(0)),
  answer: ({ key, kind, visible }, { label }, selection) => {
    return { key, kind, label, visible, selected: selection?.type === 'search' ? selection.text : null };
  },
  finding: { textIndex: textIndexOf, prepareText, search: searchOf, prepareSearch },
  misses: (index, _locale, facet, selection) =>
    selection.type === 'search'
      ? searchMisses(index, facet, selection.text)
      : unmeasured('Nothing is searched for.', 'Nothing is searched for.'),
  takesMatch: () => true,
  changed: (facet, change) => {
    if ('match' in change) return { ...facet, words: change.match };
    return 'field' in change ? { ...facet, fields: [change.field] } : facet;
  },
  problems: ({ fields }) =>
    fields.length === 0 ? [{ pointer: '/fields', message: 'must name a field to search in' }] : [],
  warnings: () => [],
  suits: () => null,
  canShow: () => false,
  changes: (was, is, tell) => {
    if (was.kind !== is.kind) return;
    const before = was as SearchConfig;
    const name = nameOf(is, is.fields);
    tell(`${name} finds posts with ${is.words} of the words`, `${before.words} words`, `${is.words} words`);
    tell(`${name} looks in other fields`, before.fields.join(', '), is.fields.join(', '));
  },
  settings: () => ({}),
};

function readSearch(key: string, values: readonly string[], notices: Notice[]): Selection | undefined {
  let text = cleanSearch(values.join(' '));
  if (text.length > maxSearch) {
    notices.push({
      code: 'too-long',
      facet: key,
      text: `Only the first ${maxSearch} characters of the search were taken.`,
    });
    // a cut in the middle of a character outside the basic plane would leave half of it
    text = cleanSearch(text.slice(0, maxSearch).replace(/[\ud800-\udbff]$/, ''));
  }
  // an address can hold no lone surrogate, so none is kept
  text = wellFormed(text);
  const { wanted, isCut } = readWords(text);
  if (isCut) {
    notices.push({ code: 'too-many', facet: key, text: `Only the first ${maxWords} words of the search were taken.` });
  }
  return wanted.length === 0 ? undefined : { type: 'search', text };
}
