/*
 * The plain data that answers are made of. `npm run api` makes the schemas of the OpenAPI document from these types, so
 * that no answer is described a second time. All that goes over the wire stands here, and nothing else.
 */
export type {
  CardPart,
  CompactAnswer,
  CrossTable,
  DeadEnds,
  DryRun,
  AddressFault,
  Explanation,
  FoundAddress,
  FoundTerms,
  Lens,
  LensFinding,
  Nearest,
  Sieve,
  SortOption,
  WayIn,
} from '@ivy/core';
export type { AddressCheck, AddressesImported, SavedAddressView } from '../studio/addresses/saved-address.view.js';
export type { DeadEndView } from '../studio/lenses/sights.controller.js';
export type { MarkupView } from '../delivery/markup.controller.js';
export type { Listing, PageReply, Results } from '../delivery/results.service.js';
export type { ProblemBody } from '../problem/problem.filter.js';
export type { HealthView } from '../health/health.controller.js';
export type { CheckFinding } from '../studio/check/check-page.js';
export type { Match } from '../studio/match/matches.service.js';
export type { FieldPreview } from '../studio/fields/fields.service.js';
export type { FindingView, MendMade, MendView } from '../studio/fields/mend.view.js';
export type { PageView } from '../studio/pages/pages.controller.js';
export type { DemoView } from '../studio/demo/demo.controller.js';
export type { AboutView } from '../studio/about/about.controller.js';
export type { JobStatus } from '../studio/intake/jobs.js';
export type {
  LensRestored,
  LensSummary,
  LensView,
  ReleaseChange,
  ReleaseMade,
  ReleaseView,
} from '../studio/lenses/lens.view.js';
export type { BroughtBack, DeletedView } from '../studio/deleted/deleted.service.js';
export type { RunMade, RunView } from '../studio/runs/run.view.js';
export type { LookView } from '../studio/looks/look.js';
export type { LiveView } from '../studio/live/live.view.js';
export type { Refreshed } from '../studio/live/live.service.js';
export type { PostList } from '../studio/sources/posts.js';
export type { PostRuler } from '../studio/sources/ruler.js';
export type { TermChangeView, TermEffect, TermView } from '../studio/terms/term.view.js';
export type { SourceSummary, SourceView } from '../studio/sources/source.view.js';
