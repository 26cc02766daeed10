export * from './text/parameters.js';
export * from './address/read.js';
export * from './address/write.js';
export { answer, answerWith, countMatched, type AnswerIn } from './answer/answer.js';
export * from './answer/compact.js';
export * from './answer/expand.js';
export * from './answer/find-terms.js';
export { arrangeTerms } from './kinds/terms/term-order.js';
export { prepareAnswer } from './answer/prepare-answer.js';
export { prewarmCounts, prewarmColumns, prewarm, prewarmText } from './answer/prewarm.js';
export * from './fields/cell.js';
export * from './fields/describe.js';
export * from './fields/discover.js';
export * from './fields/findings.js';
export * from './fields/change-field.js';
export * from './fields/mends.js';
export * from './fields/numbers.js';
export * from './fields/parting.js';
export * from './fields/read-posts.js';
export * from './fields/yes-or-no.js';
export * from './engine/index/build.js';
export * from './engine/index/post-index.js';
export { type TermColumn } from './engine/columns/term-column.js';
export * from './dates/calendar.js';
export { zoneDays } from './dates/zone.js';
export { readInterval } from './dates/interval.js';
export { presetRange } from './dates/preset.js';
export * from './lens/address-names.js';
export * from './lens/card.js';
export * from './lens/check.js';
export * from './lens/for-page.js';
export * from './lens/label.js';
export * from './lens/languages.js';
export * from './lens/locale.js';
export * from './lens/propose.js';
export * from './lens/settings.js';
export * from './card/derived.js';
export * from './card/icons.js';
export * from './card/parts.js';
export * from './dry-run/dry-run.js';
export * from './look/colours.js';
export * from './look/look.js';
export * from './look/placing.js';
export * from './look/type-levels.js';
export type { Specimen, SpecimenKind } from './dry-run/specimens.js';
export * from './lens/warnings.js';
export * from './dry-run/effects.js';
export * from './dry-run/rank-moves.js';
export * from './model/answer.js';
export * from './model/notice.js';
export * from './model/selection.js';
export { addressName, common, maxAddressName, maxLabel } from './kinds/common.js';
export { type LensChange } from './kinds/change.js';
export { type Locale } from './kinds/kind.js';
export { type DateFacetAnswer, type DateRangeConfig } from './kinds/date-range/date-range.js';
export { type FavouritesFacetAnswer } from './kinds/favourites/favourites.js';
export {
  arrangesTerms,
  facetKinds,
  kindOf,
  kinds,
  type Facet,
  type FacetAnswer,
  type FacetKind,
  type FacetOf,
  type TermFacet,
} from './kinds/kinds.js';
export { maxPosts, maxValues } from './kinds/notices.js';
export { type NumberFacetAnswer } from './kinds/number-range/number-range.js';
export { type RangeConfig } from './kinds/range/config.js';
export { type RangeFacetAnswer } from './kinds/range/range-kind.js';
export { maxSearch, type SearchConfig, type SearchFacetAnswer } from './kinds/search/search.js';
export { type SettingChange } from './kinds/setting-change.js';
export { either, type SwitchConfig, type SwitchFacetAnswer } from './kinds/switch/switch.js';
export { type TermFacetAnswer } from './kinds/terms/answer.js';
export { type TermsConfig } from './kinds/terms/config.js';
export { type Warning } from './kinds/warning.js';
export * from './lens/answer.js';
export * from './lens/changes.js';
export * from './lens/lens.js';
export { markNames, noMarkup, type Mark, type MarkName, type Markup } from './lens/markup.js';
export * from './model/post.js';
export { mostOnPage } from './paging/mode.js';
export * from './paging/paging.js';
export * from './lens/query.js';
export * from './lens/sort.js';
export * from './model/texts.js';
export * from './model/word-sets.js';
export { Lru, type CacheFigures } from './engine/base/lru.js';
export { finished, inParts, type Steps } from './engine/base/steps.js';
export { step, type JsonSchema, type ShapeProblem } from './shape/shape.js';
export * from './text/clean-text.js';
export * from './text/fill.js';
export * from './text/own.js';
export * from './text/safe-address.js';
export * from './text/loose.js';
export * from './text/page-order.js';
export * from './text/slug.js';
export * from './why/dead-ends.js';
export * from './why/explain.js';
export * from './why/nearest.js';
export * from './why/preview.js';
export { type FacetReason } from './why/judge.js';
export { type Miss } from './kinds/miss.js';
export * from './why/sieve.js';
export { changeIndex, type Change } from './engine/change/change.js';
export { readSnapshot, snapshotVersion, writeSnapshot } from './engine/snapshot/snapshot.js';
export { DamagedSnapshot } from './engine/snapshot/bytes.js';
