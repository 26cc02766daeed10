/* Made by npm run api from the OpenAPI document. */
import type * as core from '@ivy/core';
export interface paths {
  '/api/v1/lenses/{slug}/results': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['results-results'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/listing': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['results-listing'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/listing/{known}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['results-page'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/terms/{facet}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['results-terms'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/feed.json': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['feeds-json'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/feed.atom': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['feeds-atom'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/markup': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['markup-markup'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/health': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['health-health'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/about': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['about-about'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/demo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['demo-load'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/events': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['events-events'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/jobs/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['jobs-find'];
    put?: never;
    post?: never;
    delete: operations['jobs-cancel'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/jobs/{id}/events': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['jobs-events'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/export': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['export-export'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lenses-list'];
    put?: never;
    post: operations['lenses-create'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lenses-view'];
    put?: never;
    post?: never;
    delete: operations['lenses-remove'];
    options?: never;
    head?: never;
    patch: operations['lenses-change'];
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put: operations['lenses-saveDraft'];
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/schemas/lens.json': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lenses-schema'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/releases': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['releases-list'];
    put?: never;
    post: operations['releases-publish'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/releases/{number}/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['releases-changes'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/releases/{number}/restore': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['releases-restore'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/releases/{number}/publish': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['releases-publishAgain'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/undo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['releases-undo'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/results': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['drafts-results'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/listing/{known}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['drafts-listing'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/terms/{facet}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['drafts-terms'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/dry-run': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['drafts-dryRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/bundle.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['bundles-bundle'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/sieve': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sights-sieve'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/dead-ends': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sights-deadEnds'];
    put?: never;
    post: operations['sights-deadEndsOf'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/nearest': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-nearest'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/ways-in': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-waysIn'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/faults': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-faults'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/sitemap': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-sitemap'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/findings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-findings'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/cross-table': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sights-crossTable'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/why/{postId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['why-ofRelease'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/draft/why/{postId}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['why-ofDraft'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/addresses': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['addresses-list'];
    put?: never;
    post: operations['addresses-save'];
    delete?: never;
    options?: never;
    head?: never;
    patch: operations['addresses-renameFolder'];
    trace?: never;
  };
  '/api/v1/lenses/{slug}/addresses/import': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addresses-bringIn'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/addresses/check': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['addresses-check'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/addresses/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['addresses-remove'];
    options?: never;
    head?: never;
    patch: operations['addresses-change'];
    trace?: never;
  };
  '/api/v1/lenses/{slug}/addresses/remove': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addresses-removeSeveral'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/lenses/{slug}/check': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['check-check'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/matches': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['matches-match'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/pages': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['pages-fetch'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/fields/{key}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch: operations['fields-change'];
    trace?: never;
  };
  '/api/v1/sources/{slug}/findings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mends-findings'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/mends': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mends-list'];
    put?: never;
    post: operations['mends-add'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/mends/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['mends-remove'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/export': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['skos-export'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/import': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['skos-import'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['terms-list'];
    put?: never;
    post: operations['terms-add'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/merge': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['terms-merge'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['terms-history'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/undo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['terms-undo'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/redo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['terms-redo'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/terms/{field}/{term}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['terms-remove'];
    options?: never;
    head?: never;
    patch: operations['terms-change'];
    trace?: never;
  };
  '/api/v1/sources/{slug}/posts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sources-posts'];
    put: operations['posts-replace'];
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch: operations['posts-upsert'];
    trace?: never;
  };
  '/api/v1/sources/{slug}/posts/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['posts-remove'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/runs': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['posts-list'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/runs/{id}/undo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['posts-undo'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sources-list'];
    put?: never;
    post: operations['sources-bringIn'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sources-find'];
    put?: never;
    post?: never;
    delete: operations['sources-remove'];
    options?: never;
    head?: never;
    patch: operations['sources-change'];
    trace?: never;
  };
  '/api/v1/sources/{slug}/ruler': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sources-ruler'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/index': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sources-snapshot'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/copies': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['sources-copy'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/live': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['live-find'];
    put: operations['live-change'];
    post?: never;
    delete: operations['live-stop'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/sources/{slug}/refresh': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['live-refresh'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/looks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['looks-look'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/pings/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['pings-ping'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/deleted': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['deleted-list'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/v1/deleted/{id}/restore': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['deleted-restore'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
}
export type webhooks = Record<string, never>;
export interface components {
  schemas: {
    CreateLensBody: {
      /** @description Of a copy it may be left out. */
      name?: string;
      /** @description Slug of the source; of a copy, that of the lens it is made from where none is named. */
      source?: string;
      /** @description Slug of the lens whose draft it begins with. */
      from?: string;
      slug?: string;
      /** @description Without it, one is proposed. */
      config?: components['schemas']['LensConfig'];
    };
    LensBody: {
      name?: string;
      /** @description The one before goes on answering. */
      slug?: string;
    };
    DraftBody: {
      config: components['schemas']['LensConfig'];
    };
    ReleaseBody: {
      /** @description What is new, in a few words. */
      note?: string;
      /** @description Also where saved addresses no longer hold. */
      anyway?: boolean;
      /** @description The draft that is meant: refused when someone saved another one meanwhile. */
      draftRevision?: number;
    };
    PublishAgainBody: {
      /** @description What is new, in a few words. */
      note?: string;
      /** @description Also where saved addresses no longer hold. */
      anyway?: boolean;
    };
    DryRunBody: {
      config: components['schemas']['LensConfig'];
      /** @description The query string to answer. */
      address: string;
      /** @description Where pages stand below one another: the first one wanted, 1 if not said. */
      from?: number;
    };
    NearestBody: {
      config: components['schemas']['LensConfig'];
      /** @description The query string. */
      address: string;
      /** @description Posts that fail so many facets; 1 if nothing is said. */
      failing?: number;
      /** @description Of these, the ones that fail this facet. */
      facet?: string;
      /** @description Instead: posts that pass all facets before this one, and fail it. */
      fallsAt?: string;
      /** @description Instead: posts whose title holds this, or whose id it is. */
      find?: string;
      /** @description Instead: the post of this id. */
      post?: string;
    };
    WaysInBody: {
      config: components['schemas']['LensConfig'];
      /** @description The query string. */
      address: string;
      /** @description Id of the post. */
      post: string;
    };
    SightBody: {
      config: components['schemas']['LensConfig'];
      /** @description The query string. */
      address: string;
    };
    CrossTableBody: {
      config: components['schemas']['LensConfig'];
      /** @description The query string. */
      address: string;
      /** @description Keys of two facets of terms. */
      facets: string[];
    };
    ExpectBody: {
      /** @description Exactly so many posts. */
      matched?: number;
      /** @description At least so many. */
      min?: number;
      /** @description At most so many. */
      max?: number;
      /** @description Ids of posts that must be there. */
      has?: string[];
      /** @description Ids of posts that must not be there. */
      lacks?: string[];
    };
    SaveAddressBody: {
      name?: string;
      /** @description A folder of your own. */
      folder?: string;
      /** @description A query string; of a whole URL, its query string is taken. */
      address?: string;
      /** @description What it must return; left out at first, exactly as many posts as it returns now. */
      expect?: components['schemas']['ExpectBody'];
    };
    FolderBody: {
      /** @description The folder as it is called now. */
      folder: string;
      /** @description What it is called from now on. */
      to: string;
    };
    ImportAddressesBody: {
      /** @description URLs, one a line; a CSV file with a column of them; or a sitemap. */
      text: string;
      /** @description The folder they go into. */
      folder?: string;
    };
    ChangeAddressBody: {
      name?: string;
      /** @description A folder of your own. */
      folder?: string;
      /** @description A query string; of a whole URL, its query string is taken. */
      address?: string;
      /** @description What it must return; left out at first, exactly as many posts as it returns now. */
      expect?: components['schemas']['ExpectBody'];
    };
    RemoveAddressesBody: {
      ids: string[];
    };
    MatchBody: {
      /** @description Address of a page. */
      page?: string;
      /** @description Rules of a sheet, where the page can’t be reached. */
      css?: string;
    };
    PageBody: {
      /** @description Address of a page. */
      page: string;
    };
    WordsBody: {
      yes: string[];
      no: string[];
    };
    ReferenceBody: {
      /** @description Slug of the source. */
      source: string;
      /** @description Field there that has the same values. */
      key: string;
      /** @description Field there that is shown. */
      label: string;
    };
    FieldBody: {
      /** @enum {string} */
      type?: 'text' | 'html' | 'terms' | 'date' | 'datetime' | 'number' | 'boolean' | 'link' | 'image' | 'reference';
      /** @enum {string|null} */
      role?: 'id' | 'title' | 'summary' | 'body' | 'link' | 'image' | 'published' | 'author' | null;
      label?: string;
      /** @description What parts several values in one. */
      separator?: string | null;
      /** @description What parts the levels of a path. */
      pathSeparator?: string | null;
      /**
       * @description Null: as the values look.
       * @enum {string|null}
       */
      dateOrder?: 'day-month' | 'month-day' | null;
      /** @description Field that names the term above each. */
      parent?: string | null;
      /** @description Field of days that its spans last until. */
      end?: string | null;
      /** @description What stands around its numbers: `min` in `12 min`. */
      unit?: string | null;
      /** @description Words of its own for yes and no. */
      words?: components['schemas']['WordsBody'] | null;
      /** @description Posts of another source it stands for. */
      reference?: components['schemas']['ReferenceBody'] | null;
      /** @description What the objects it holds go by. */
      by?: string | null;
      /** @description Kept as it came, and never answered. */
      left?: boolean;
    };
    MendBody: {
      /** @description Id of the finding. */
      finding?: string;
      /** @description Id of one of its mends. */
      mend?: string;
      /** @description All findings of this code. */
      code?: string;
      /** @description Field whose values are written by hand. */
      field?: string;
      /** @description By value as it came: what it is read as; nothing: as none. */
      values?: Record<string, never>;
    };
    NewTermBody: {
      label: string;
      slug?: string;
      /** @description Slug of the term above; null at the top. */
      parent?: string | null;
    };
    MergeBody: {
      from: string[];
      into: string;
    };
    TermBody: {
      label?: string;
      /** @description The one before goes on leading here. */
      slug?: string;
      /** @description Up to 20 levels; null at the top. */
      parent?: string | null;
      /** @description Place among its siblings, from 0. */
      position?: number;
      hidden?: boolean;
      /** @description Address of a picture, with http or https or from the root. */
      picture?: string | null;
      /** @description `#rrggbb` */
      colour?: string | null;
    };
    SourceBody: {
      name?: string;
      slug?: string;
      /** @description Origin that links and pictures without one belong to. */
      site?: string | null;
    };
    OptionsBody: {
      /** @enum {string} */
      encoding?: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1250' | 'windows-1251' | 'windows-1252' | 'macintosh';
      /** @enum {string} */
      delimiter?: ',' | ';' | '\t' | '|';
      /** @enum {string} */
      quote?: '"' | "'";
      /** @description Whether a line names the columns. */
      header?: boolean;
      /** @description Lines above it that are no part of the table. */
      skip?: number;
      /** @description JSON pointer to the list of posts. */
      path?: string;
      /** @description Whether folders of Markdown files become terms. */
      folders?: boolean;
      /** @description Months up to which events that recur are listed. */
      months?: number;
    };
    FeedBody: {
      address: string;
      name: string;
    };
    LiveBody: {
      /** @description The address of a feed, an endpoint, a file or a page. */
      url: string;
      headers?: {
        [key: string]: string;
      };
      /** @enum {string} */
      format?: 'csv' | 'tsv' | 'json' | 'ndjson' | 'jsonfeed' | 'rss' | 'atom' | 'markdown' | 'html' | 'ics' | 'xlsx';
      options?: components['schemas']['OptionsBody'];
      /**
       * @description Minutes between two looks; 0 for none but on asking.
       * @default 60
       */
      every: number;
      /** @description Several feeds as one source, in place of the one address. */
      feeds?: components['schemas']['FeedBody'][];
    };
    RefreshBody: {
      /** @description Posts that are gone there go, however many they are. */
      anyway?: boolean;
    };
    LookBody: {
      /** @description The address of a feed, an endpoint, a file or a page. */
      url: string;
      headers?: {
        [key: string]: string;
      };
      /** @enum {string} */
      format?: 'csv' | 'tsv' | 'json' | 'ndjson' | 'jsonfeed' | 'rss' | 'atom' | 'markdown' | 'html' | 'ics' | 'xlsx';
      options?: components['schemas']['OptionsBody'];
    };
    /** @description What the studio should know of the server it is on. */
    AboutView: {
      version: string;
      /** @description Origin that pages elsewhere reach it by. */
      publicUrl: null | string;
      /** @description How the caches of this process are doing; weights in bytes. */
      caches: {
        responses: components['schemas']['CacheFigures'];
      };
    };
    /** @description Whether a saved address returns what it must, and if not, what did it. */
    AddressCheck: {
      id: string;
      holds: boolean;
      expected: components['schemas']['Expectation'];
      got: {
        matched: number;
        /** @description Ids of posts that must be there and are not; of those that must not and are. */
        missing: string[];
        there: string[];
      };
      /** @description What was not as expected, in words. */
      reasons: string[];
      /** @description Posts that it returned when it was saved and does not now, by what keeps them out. */
      lost: components['schemas']['Moved'][];
      /** @description How many came that were not there then, and the first few of them. */
      gained: {
        posts: number;
        some: {
          id: string;
          title: string;
        }[];
      };
      /** @description What of it can’t be read any more, or is read under another name. */
      notices: components['schemas']['Notice'][];
      /** @description How it is written now. */
      canonical: string;
    };
    /** @description Something an address says that is not taken as it stands. */
    AddressFault: core.AddressFault;
    /** @description A saved address that a run moves. */
    AddressMove: {
      id: string;
      /** @description Slug of its lens. */
      lens: string;
      name: string;
      address: string;
      matched: {
        before: number;
        after: number;
      };
      /** @description Whether it finds what it must then. */
      holds: boolean;
    };
    /** @description What came of a list of addresses. */
    AddressesImported: {
      added: components['schemas']['SavedAddressView'][];
      /** @description What of the list was passed over, with its line. */
      skipped: {
        line: number;
        text: string;
        reason: string;
      }[];
    };
    /** @description The whole answer to a query: everything a page needs to draw itself. Exact. */
    Answer: core.Answer;
    /** @description Words that stand for yes, and for no. */
    Answers: core.Answers;
    /** @description Where something that came back is now. */
    BroughtBack: {
      /** @enum {unknown} */
      kind: 'lens' | 'source';
      slug: string;
    };
    /** @description How a cache is doing. */
    CacheFigures: core.CacheFigures;
    /** @description A part of a card: what its shape says, with every default filled in. */
    CardPart: core.CardPart;
    /** @description One thing of an installation that stands or does not. */
    CheckFinding: {
      /** @description Stable: what programs go by. */
      code: string;
      ok: boolean;
      text: string;
      /** @description What to do, with the very line where there is one; '' where it stands. */
      mend: string;
    };
    /** @description A choice a visitor can make first: a term of a facet that has posts. */
    Choice: core.Choice;
    /** @description An answer for a page that has its frame already: the same, without a word that it knows. */
    CompactAnswer: core.CompactAnswer;
    /** @description What an answer holds of a facet whose frame is known, beside what is chosen. */
    CompactCounts: {
      selected: string[];
      /** @description By option of the frame; a negative number stands for so many zeros. */
      counts: number[];
    };
    /** @description What a compact answer holds of a facet: what its frame leaves open, or, where it has none, the whole. */
    CompactFacet: core.CompactFacet;
    /** @description A post: its values in the order of the frame's fields. The title is 0 where it is that of the field of titles. */
    CompactItem: [
      string,
      string | 0,
      null | string,
      components['schemas']['CompactValue'][],
      {
        [key: string]: [number, number][];
      },
    ];
    /** @description A value of a post: terms by their numbers, where they are not too many to be told once; null for none. */
    CompactValue: null | string | number | number[] | components['schemas']['TermValue'][] | boolean;
    /** @description How many posts any two choices of two facets give together. */
    CrossTable: core.CrossTable;
    DeadEnd: core.DeadEnd;
    /** @description Two choices that visitors can make one after the other, and that find nothing together. */
    DeadEndView: {
      address: string;
      /** @description None. */
      matched: number;
      /** @description Keys of the facets that are chosen from. */
      facets: string[];
    };
    DeadEnds: core.DeadEnds;
    /** @description What was deleted and can be brought back. */
    DeletedView: {
      id: string;
      /** @enum {unknown} */
      kind: 'lens' | 'source';
      name: string;
      /** @description Posts of a source; of a lens, null. */
      posts: null | number;
      /** @description Names of the lenses that come back with a source; of a lens, none. */
      lenses: string[];
      /** @description Moments, as ISO 8601 writes them: when it was deleted, and until when it is kept. */
      at: string;
      until: string;
    };
    /** @description Where the demo is to be seen. */
    DemoView: {
      /** @description Slug of its first lens. */
      lens: string;
    };
    /** @description All the Bench shows of a lens at an address. */
    DryRun: core.DryRun;
    /** @description What a saved address must return. */
    Expectation: core.Expectation;
    Explanation: core.Explanation;
    /** @description A facet of a lens: what its kind's shape says, with every default filled in. */
    Facet: core.Facet;
    /** @description What an answer holds of a facet. */
    FacetAnswer: core.FacetAnswer;
    /** @description What of a facet's options stays the same from answer to answer. */
    FacetFrame: {
      /** @description Which list of terms the options are of. */
      of: string;
      /** @description By option, depth first: the number of its term; null where all terms are options, as they are numbered. Of a facet that puts most posts first, siblings stand by label, which is how ties fall. */
      terms: null | number[];
      /** @description By option: the place of the option above it, -1 at the top; null where none stands under another. */
      parents: null | number[];
      /** @description Own labels, by place. */
      labels: {
        [key: string]: string;
      };
      /** @description Whether siblings are put by their counts, most first. */
      byCount: boolean;
      /** @description Whether options without posts are left out, unless they are chosen or stand above one that is. */
      hidesZero: boolean;
    };
    FacetReason: core.FacetReason;
    /** @description With what only its kind has. */
    FacetSettings: core.FacetSettings;
    /** @description What an answer holds of marked posts. */
    FavouritesFacetAnswer: core.FavouritesFacetAnswer;
    /** @description A field, with what its posts hold. */
    FieldDescription: core.FieldDescription;
    /** @description What a field holds, and how many posts have it. */
    FieldGlance: {
      key: string;
      label: string;
      /** @enum {unknown} */
      type: 'boolean' | 'date' | 'datetime' | 'html' | 'image' | 'link' | 'number' | 'reference' | 'terms' | 'text';
      filled: number;
    };
    /** @description What a change of a field would come to, before it is kept. */
    FieldPreview: {
      lenses: components['schemas']['LensEffect'][];
      before: components['schemas']['FieldDescription'];
      after: components['schemas']['FieldDescription'];
      /** @description Values there are, and how many of them can be read as they would be. */
      filled: number;
      read: number;
      /** @description Posts whose values are others than they were, or that are left out or brought back. */
      changed: number;
      /** @description Posts that are answered. */
      posts: {
        before: number;
        after: number;
      };
      /** @description How many values each type could read. */
      types: {
        [key: string]: number;
      };
      /** @description Some values as they came, as they are read, and as they would be: those first that can't be. */
      rows: {
        record: number;
        raw: string;
        before: null | string;
        after: null | string;
      }[];
      /** @description All fields that are read anew, before and after. */
      fields: {
        before: components['schemas']['FieldDescription'];
        after: components['schemas']['FieldDescription'];
      }[];
      /** @description What would be found wrong with them. */
      findings: components['schemas']['Finding'][];
    };
    FieldProblem: {
      /** @description JSON pointer (RFC 6901) into the body. */
      pointer: string;
      message: string;
    };
    /** @description What was found wrong with the values of a field. */
    Finding: core.Finding;
    /** @description A finding, with what can be done about it and what is. */
    FindingView: {
      mends: {
        id: string;
        text: string;
      }[];
      /** @description Id of the mend in force; null for none. */
      mended: null | string;
      /** @description Whether it is only worth knowing: nothing in it need be wrong. */
      isRemark: boolean;
      field: string;
      /** @description One sentence for people. */
      text: string;
      /** @description Up to eight of the values as they came. */
      values: string[];
      /** @description How many posts it touches. */
      posts: number;
      code: string;
      /** @description Tells it from every other of its source, whenever the values are read. */
      id: string;
    };
    /** @description An address that search engines are told of. */
    FoundAddress: core.FoundAddress;
    /** @description Something found in a page's sheets. */
    FoundLook: {
      part: components['schemas']['LookPart'];
      /** @enum {unknown} */
      scheme: 'dark' | 'light';
      /** @description A colour as `#rrggbb`, a list of fonts, or a number: pixels, per cent for `size` and `line-height`. */
      value: string;
      /** @description The selector it stands under. */
      where: string;
    };
    /** @description Terms of a facet that hold a text, with their counts. */
    FoundTerms: core.FoundTerms;
    /** @description What of a lens's answers stays the same from choice to choice. */
    Frame: core.Frame;
    /** @description A term as it is sent once: its slug and its label. */
    FrameTerm: [string, string];
    /** @description What a server that is ready to serve says. */
    HealthView: {
      /** @constant */
      status: 'ok';
      version: string;
    };
    Item: core.Item;
    ItemValue: core.ItemValue;
    /** @enum {unknown} */
    JobState: 'cancelled' | 'done' | 'failed' | 'running';
    /** @description Long work as it is reported. */
    JobStatus: {
      id: string;
      state: components['schemas']['JobState'];
      /** @description How many others come before; 0 once it is being worked on. */
      waits: number;
      done: number;
      /** @description 0 while it is not known. */
      total: number;
      /** @description How many are done in a second. */
      rate: number;
      result?: unknown;
      problem?: components['schemas']['ProblemBody'];
    };
    /** @description A list in a JSON document that could be the posts. */
    JsonList: {
      /** @description Its JSON pointer. */
      path: string;
      records: number;
      /** @description The first few names its objects have. */
      names: string[];
    };
    /** @description A lens's config with every default filled in. */
    Lens: core.Lens;
    /** @description What a change of a field does to a lens. */
    LensEffect: {
      slug: string;
      name: string;
      /**
       * @description Whether it is the release that visitors have, or the draft.
       * @enum {unknown}
       */
      of: 'draft' | 'release';
      /** @description Labels of the facets that read the field. */
      facets: string[];
      before: string;
      after: string;
      /** @description How many posts it has, where that changes and it has all of its source; else null. */
      posts: null | {
        before: number;
        after: number;
      };
      /** @description Why the lens can’t work with it; null where it can. */
      problem: null | string;
    };
    /** @description Something about a lens that can't work or that visitors stumble over. */
    LensFinding: core.LensFinding;
    /** @description A released lens, and its facets that list the terms of a field. */
    LensOfTerms: {
      slug: string;
      name: string;
      facets: string[];
    };
    /** @description A lens whose draft was replaced, and where that is undone. */
    LensRestored: {
      /** @description Path to POST to. */
      undo: string;
      draft: components['schemas']['Lens'];
      draftRevision: number;
      /** @description Number of the release that took the draft’s place, while that can be taken back. */
      restored: null | number;
      slug: string;
      name: string;
      /** @description Slug of its source. */
      source: string;
      /** @description Number of the newest release. */
      release: null | number;
      /** @description Whether the draft differs from the newest release. */
      changed: boolean;
      /** @description Moment, as ISO 8601 writes it. */
      updatedAt: string;
      /** @description When visitors last asked for its release, to the minute; null: never. */
      askedAt: null | string;
    };
    /** @description A lens in a list. */
    LensSummary: {
      slug: string;
      name: string;
      /** @description Slug of its source. */
      source: string;
      /** @description Number of the newest release. */
      release: null | number;
      /** @description Whether the draft differs from the newest release. */
      changed: boolean;
      /** @description Moment, as ISO 8601 writes it. */
      updatedAt: string;
      /** @description When visitors last asked for its release, to the minute; null: never. */
      askedAt: null | string;
    };
    LensView: {
      draft: components['schemas']['Lens'];
      draftRevision: number;
      /** @description Number of the release that took the draft’s place, while that can be taken back. */
      restored: null | number;
      slug: string;
      name: string;
      /** @description Slug of its source. */
      source: string;
      /** @description Number of the newest release. */
      release: null | number;
      /** @description Whether the draft differs from the newest release. */
      changed: boolean;
      /** @description Moment, as ISO 8601 writes it. */
      updatedAt: string;
      /** @description When visitors last asked for its release, to the minute; null: never. */
      askedAt: null | string;
    };
    /** @description A post of a source, as it was read. */
    ListedPost: {
      title: string;
      /** @description Its values as a person reads them, by field. */
      words: {
        [key: string]: string;
      };
      /** @description The record as it came. */
      raw: components['schemas']['RawRecord'];
      id: string;
      values: {
        [key: string]: components['schemas']['Value'];
      };
    };
    /** @description All a page needs for its first paint, in one request. */
    Listing: {
      settings: components['schemas']['Settings'];
      answer: components['schemas']['Results'];
    };
    /** @description Where a source's posts come from by themselves, and how that goes. */
    LiveView: {
      /** @description The address; of several feeds the first. */
      url: string;
      feeds: {
        address: string;
        name: string;
      }[];
      /** @description Minutes between two looks; 0 for none but on asking. */
      every: number;
      /** @description What its headers are called; what they say is never shown. */
      headers: string[];
      /** @description How its posts go on, in words, and what was found by trying. */
      paging: string;
      found: string[];
      joins: {
        field: string;
        from: string;
      }[];
      /** @enum {unknown} */
      state: 'failing' | 'fetching' | 'fresh' | 'held';
      /** @description Moments, as ISO 8601 writes them. */
      checkedAt: null | string;
      nextAt: null | string;
      failures: number;
      problem: null | {
        code: string;
        text: string;
      };
      held: null | {
        at: string;
        added: number;
        changed: number;
        removed: number;
        total: number;
      };
      /** @description Where the other side says that something changed, and what it signs that by. */
      ping: {
        path: string;
        secret: string;
      };
      /** @description The hub that tells of changes, and until when. */
      hub: null | {
        hub: string;
        until: null | string;
      };
    };
    /**
     * @description What of a page's look can be taken over.
     * @enum {unknown}
     */
    LookPart:
      | 'accent'
      | 'family'
      | 'gap'
      | 'ground'
      | 'ink'
      | 'line'
      | 'line-height'
      | 'on-accent'
      | 'radius'
      | 'size'
      | 'title-case'
      | 'title-family'
      | 'title-weight';
    /** @description What a file or an address holds, before anything of it is kept. */
    LookView: {
      /** @enum {unknown} */
      format: 'atom' | 'csv' | 'html' | 'ics' | 'json' | 'jsonfeed' | 'markdown' | 'ndjson' | 'rss' | 'tsv' | 'xlsx';
      /** @description What people call that format. */
      label: string;
      /** @description How it was read, so that it can be said otherwise. */
      options: components['schemas']['ReadOptions'];
      /** @description Lists in JSON that could be the posts, the likeliest first, where there are several. */
      lists: components['schemas']['JsonList'][];
      records: number;
      /** @description Rows that can’t be read: how many, and the first of them. */
      rejected: {
        count: number;
        first: components['schemas']['Rejection'][];
      };
      /** @description Fields as they would be read, and their values in the first rows. */
      fields: {
        key: string;
        label: string;
        /** @enum {unknown} */
        type: 'boolean' | 'date' | 'datetime' | 'html' | 'image' | 'link' | 'number' | 'reference' | 'terms' | 'text';
        role: null | ('author' | 'body' | 'id' | 'image' | 'link' | 'published' | 'summary' | 'title');
      }[];
      rows: string[][];
      /** @description Of an address: how its posts go on, what was found by trying, and whether all of them were looked at. */
      paging: null | string;
      found: string[];
      /** @description Feeds that a list of feeds names. */
      feeds: {
        address: string;
        name: string;
        under: string[];
      }[];
    };
    /** @description What is marked on a page of its own, by the released lens. */
    MarkupView: {
      lens: string;
      release: number;
      /** @description What its names in the address begin with. */
      prefix: string;
      marks: {
        at: string;
        says: {
          [key: string]: string;
        };
        /** @enum {unknown} */
        in: 'item' | 'page';
      }[];
    };
    /** @description What of a page's look can be taken over. */
    Match: {
      /** @description Where the page was in the end; null where its rules were pasted. */
      page: null | string;
      title: string;
      /** @description Sheets that were read. */
      sheets: number;
      /** @description Sheets that could not be, with why. */
      missed: {
        address: string;
        why: string;
      }[];
      found: components['schemas']['FoundLook'][];
    };
    /** @description Results with the same choices under each way of matching: known before it is set. */
    MatchEffect: core.MatchEffect;
    /** @description A rule that mends what was found wrong, whenever values are read. */
    Mend: core.Mend;
    /** @description What mends did, or would do. */
    MendMade: {
      /** @description Id of the first of them. */
      id: string;
      ids: string[];
      /** @description Posts that have it otherwise since. */
      changed: number;
      lenses: components['schemas']['LensEffect'][];
      before: components['schemas']['FieldDescription'];
      after: components['schemas']['FieldDescription'];
      /** @description Values there are, and how many of them can be read as they would be. */
      filled: number;
      read: number;
      /** @description Posts that are answered. */
      posts: {
        before: number;
        after: number;
      };
      /** @description How many values each type could read. */
      types: {
        [key: string]: number;
      };
      /** @description Some values as they came, as they are read, and as they would be: those first that can't be. */
      rows: {
        record: number;
        raw: string;
        before: null | string;
        after: null | string;
      }[];
      /** @description All fields that are read anew, before and after. */
      fields: {
        before: components['schemas']['FieldDescription'];
        after: components['schemas']['FieldDescription'];
      }[];
      /** @description What would be found wrong with them. */
      findings: components['schemas']['Finding'][];
    };
    /** @description What can be done about a finding. */
    MendOffer: core.MendOffer;
    /** @description What a mend does to values as they came. */
    MendRule: core.MendRule;
    /** @description A rule in force. */
    MendView: {
      field: string;
      /** @description Values that it made another, when they were last read. */
      used: number;
      /** @description Whether there is still something that it mends. */
      fits: boolean;
      /** @description What is done about it, in a sentence. */
      text: string;
      rule: components['schemas']['MendRule'];
      /** @description Code of the finding. */
      code: string;
      /** @description That of the finding it mends, unique in its source. */
      id: string;
      /** @description Which of the finding's mends it is. */
      mend: string;
      /** @description What was found, in a sentence. */
      found: string;
    };
    /** @description By how much a post misses a facet. */
    Miss: core.Miss;
    /** @description Why posts that an address had are not there any more, or why one it must have is not. */
    Moved: core.Moved;
    /** @description A post, and how it stands to each facet with a choice. */
    NearPost: core.NearPost;
    Nearest: core.Nearest;
    /** @description Something the address said that was not taken as it stood. */
    Notice: core.Notice;
    /** @description How long a step of numbers is: `size / down`, of which one is 1. */
    NumberCut: {
      size: number;
      down: number;
      /** @description A step of whole numbers ends on its last one; otherwise where the next begins. */
      whole: boolean;
    };
    Option: core.Option;
    /** @description How a listing lies at each width, all worked out: what a page needs of it besides its sheet. */
    PageLook: core.PageLook;
    /** @description What a page asks for: an answer without what it knows already, and, where it does not know that yet, all of it. */
    PageReply: {
      /** @description Of what stays the same from answer to answer: said again with the next question. */
      known: string;
      settings?: components['schemas']['Settings'];
      /** @description How the lens looks: rules of a sheet. */
      sheet?: string;
      frame?: components['schemas']['Frame'];
      answer: {
        /** @description The first of the pages whose posts are here, where those of several are. */
        from?: number;
        /** @description Canonical, the lens's own parameters only; '' when nothing is chosen. */
        address: string;
        total: number;
        matched: number;
        page: number;
        pages: number;
        pageSize: number;
        sort: null | string;
        notices: components['schemas']['Notice'][];
        ways: components['schemas']['Way'][];
        facets: components['schemas']['CompactFacet'][];
        items: components['schemas']['CompactItem'][];
        others?: components['schemas']['CompactItem'][];
        release: null | number;
      };
    };
    /** @description A page of others, as it was sent. */
    PageView: {
      /** @description Where it was in the end, after redirects. */
      address: string;
      html: string;
    };
    /** @description How a listing lies at one width. */
    Placed: core.Placed;
    /** @description A post that would be another, with what it has and would have. */
    PostDiff: {
      title: string;
      /** @description Of the fields that are others: what came before, and what comes now. */
      values: {
        key: string;
        before: string;
        after: string;
      }[];
      id: string;
      /** @enum {unknown} */
      change: 'added' | 'changed' | 'removed';
      fields: string[];
    };
    /** @description Some posts of a source. */
    PostList: {
      total: number;
      page: number;
      pages: number;
      items: components['schemas']['ListedPost'][];
    };
    /** @description A place in a list from which on posts have something else in what they are ordered by. */
    PostMark: {
      /** @description Place of the first such post, from 0. */
      place: number;
      /** @description What they have there: a year, a month, a day, an amount, a term, a first letter. */
      words: string;
    };
    /** @description What stands where in a list of posts, so that one can go to it without reading what is between. */
    PostRuler: {
      total: number;
      /** @description What marks tell; null where the order is that of the best matches, of which nothing can be told. */
      unit: null | ('amount' | 'day' | 'letter' | 'month' | 'term' | 'year');
      marks: components['schemas']['PostMark'][];
    };
    /** @description A problem as RFC 9457 writes it. */
    ProblemBody: {
      type: string;
      status: number;
      title: string;
      code: string;
      detail: string;
      errors?: components['schemas']['FieldProblem'][];
    };
    /** @description Where a post of the first page stands by a search's weights, and where it would without them. */
    RankMove: core.RankMove;
    /** @description A record as a reader of some format gives it: values by field name, before anything is known of types. */
    RawRecord: core.RawRecord;
    /** @description How a file is read, where that is not what was found: each is told by itself where it is not said. */
    ReadOptions: {
      /** @enum {unknown} */
      encoding?: 'macintosh' | 'utf-16be' | 'utf-16le' | 'utf-8' | 'windows-1250' | 'windows-1251' | 'windows-1252';
      /**
       * @description Sign between cells, and the one around a cell that holds it.
       * @enum {unknown}
       */
      delimiter?: '\t' | ',' | ';' | '|';
      /** @enum {unknown} */
      quote?: '"' | "'";
      /** @description Whether a line names the columns, and how many lines stand above it. */
      header?: boolean;
      skip?: number;
      /** @description Where in JSON the list of posts stands, as a JSON pointer. */
      path?: string;
      /** @description Whether folders of Markdown files become terms. */
      folders?: boolean;
      /** @description Months from today on up to which events that recur are listed. */
      months?: number;
    };
    /** @description Posts of another source that values stand for. */
    Reference: core.Reference;
    /** @description What a refresh came to. */
    Refreshed: {
      added: number;
      changed: number;
      unchanged: number;
      removed: number;
      /** @description Posts that are answered then. */
      total: number;
      rejected: components['schemas']['Rejection'][];
      run: null | number;
      /** @description Fields that are new, and those of which nothing comes any more. */
      fields?: {
        added: string[];
        gone: string[];
      };
      /** @description Up to some hundred of each kind. */
      posts?: components['schemas']['PostDiff'][];
      /** @description Lenses, with how many posts they have. */
      lenses?: {
        slug: string;
        name: string;
        matched: {
          before: number;
          after: number;
        };
      }[];
      /** @description Saved addresses that would find another number of posts, or not what they must. */
      addresses?: components['schemas']['AddressMove'][];
      /** @description What would be found wrong that was not before. */
      findings?: components['schemas']['Finding'][];
      /** @description Mends in force: how many values each makes another, before and after. */
      mends?: {
        id: string;
        field: string;
        text: string;
        before: number;
        after: number;
      }[];
      /** @enum {unknown} */
      state: 'done' | 'held' | 'unchanged';
    };
    /** @description A record that did not become a post. */
    Rejection: core.Rejection;
    /** @description One thing that differs between two states of a lens, in words. */
    ReleaseChange: {
      /** @description Key of the facet it is about; left out for the listing as a whole. */
      facet?: string;
      headline: string;
      /** @description How it was and how it becomes, where that can be said in a word; else ''. */
      text: string;
      /** @description Addresses that were live find something else by it, or nothing. */
      breaks: boolean;
    };
    ReleaseMade: {
      number: number;
    };
    ReleaseView: {
      number: number;
      note: string;
      /** @description Moment, as ISO 8601 writes it. */
      createdAt: string;
      config: components['schemas']['Lens'];
    };
    /** @description The body of `results`: the answer, and which lens gave it. */
    Results: {
      lens: string;
      release: null | number;
      /** @description What it took to work the answer out. */
      tookMs: number;
      /** @description Canonical, the lens's own parameters only; '' when nothing is chosen. */
      address: string;
      total: number;
      matched: number;
      page: number;
      /** @description The first of the pages whose posts are here, where those of several are. */
      from?: number;
      pages: number;
      pageSize: number;
      sort: null | string;
      items: components['schemas']['Item'][];
      facets: components['schemas']['FacetAnswer'][];
      notices: components['schemas']['Notice'][];
      ways: components['schemas']['Way'][];
      /** @description Posts to show where nothing matches; absent where there are none. */
      others?: components['schemas']['Item'][];
    };
    /** @description What was changed, under which number it can be found; or what would be, without one. */
    RunMade: {
      added: number;
      changed: number;
      unchanged: number;
      removed: number;
      /** @description Posts that are answered then. */
      total: number;
      rejected: components['schemas']['Rejection'][];
      run: null | number;
      /** @description Fields that are new, and those of which nothing comes any more. */
      fields?: {
        added: string[];
        gone: string[];
      };
      /** @description Up to some hundred of each kind. */
      posts?: components['schemas']['PostDiff'][];
      /** @description Lenses, with how many posts they have. */
      lenses?: {
        slug: string;
        name: string;
        matched: {
          before: number;
          after: number;
        };
      }[];
      /** @description Saved addresses that would find another number of posts, or not what they must. */
      addresses?: components['schemas']['AddressMove'][];
      /** @description What would be found wrong that was not before. */
      findings?: components['schemas']['Finding'][];
      /** @description Mends in force: how many values each makes another, before and after. */
      mends?: {
        id: string;
        field: string;
        text: string;
        before: number;
        after: number;
      }[];
    };
    /** @description One bringing-in of posts, and what it changed. */
    RunView: {
      id: number;
      /** @description Moment, as ISO 8601 writes it. */
      at: string;
      /** @enum {unknown} */
      how: 'file' | 'live' | 'posts' | 'removal' | 'undo';
      fileName: string;
      /** @enum {unknown} */
      state: 'done' | 'failed' | 'held' | 'undone';
      added: number;
      changed: number;
      unchanged: number;
      removed: number;
      rejected: components['schemas']['Rejection'][];
      /** @description Why it failed, or waits; null: it did not. Such a run changed nothing. */
      reason: null | string;
      /** @description Posts there were after it. */
      posts: number;
      /** @description Whether it is the one that can be undone. */
      undoable: boolean;
    };
    /** @description An address that someone relies on. */
    SavedAddressView: {
      id: string;
      /** @description '' for none. */
      folder: string;
      name: string;
      /** @description A query string, as it was saved. */
      address: string;
      expect: components['schemas']['Expectation'];
      /** @description Moment, as ISO 8601 writes it. */
      createdAt: string;
    };
    /** @description What an answer holds of a search. */
    SearchFacetAnswer: core.SearchFacetAnswer;
    /** @description What a page needs to know of a lens besides its answers. Changes only with the release. */
    Settings: core.Settings;
    Sieve: core.Sieve;
    /** @description What one facet with a choice takes away. */
    SieveStep: core.SieveStep;
    SortOption: core.SortOption;
    /** @description A source in a list. */
    SourceSummary: {
      slug: string;
      name: string;
      posts: number;
      /** @description How many fields it has. */
      fieldCount: number;
      /** @description How many findings it has. */
      findingCount: number;
      /** @description Its first fields, as far as one sees at a glance. */
      fields: components['schemas']['FieldGlance'][];
      fileName: string;
      /** @description Moment, as ISO 8601 writes it. */
      updatedAt: string;
      /** @description How it is with one that comes from an address; null for one of a file. */
      live: null | ('failing' | 'fetching' | 'fresh' | 'held');
    };
    /** @description A source with all that was found in it. */
    SourceView: {
      slug: string;
      name: string;
      posts: number;
      format: string;
      fileName: string;
      /** @description Origin that links and pictures without one belong to. */
      site: null | string;
      /** @description Moment, as ISO 8601 writes it. */
      updatedAt: string;
      fields: components['schemas']['FieldDescription'][];
      findings: components['schemas']['Finding'][];
      rejected: components['schemas']['Rejection'][];
      /** @description Where it comes from by itself; null for one of a file. */
      live: null | components['schemas']['LiveView'];
    };
    /** @description A post that strains the card in some way. */
    Specimen: core.Specimen;
    Spread: core.Spread;
    /** @description What an answer holds of a switch. */
    SwitchFacetAnswer: core.SwitchFacetAnswer;
    /** @description The head of a column: what it is called, and the orders by it that visitors may choose. */
    TableHead: {
      /** @description Place of the part of the card; -1 for the title, where no part shows it. */
      at: number;
      label: string;
      asc: null | string;
      desc: null | string;
    };
    /** @description Something that was done to the terms of a field. */
    TermChangeView: {
      id: number;
      /** @description Moment, as ISO 8601 writes it. */
      at: string;
      /** @description What, in words. */
      text: string;
      undone: boolean;
    };
    /** @description What a change of terms comes to. */
    TermEffect: {
      /** @description What is done, in words. */
      text: string;
      /** @description Slug of the term that was changed, or that others became; null where it was deleted. */
      term: null | string;
      /** @description Posts that lose a term, or get another instead. */
      posts: number;
      /** @description Posts of that term, with all under it. */
      before: number;
      after: number;
      /** @description Posts that have any term of the field. */
      filled: {
        before: number;
        after: number;
      };
      /** @description Lenses that visitors see it in. */
      lenses: components['schemas']['LensOfTerms'][];
    };
    /** @description What an answer holds of a facet whose choices are terms. */
    TermFacetAnswer: core.TermFacetAnswer;
    /** @description How a term of a facet looks, besides its name. */
    TermLook: core.TermLook;
    TermValue: core.TermValue;
    /** @description A term of a source. */
    TermView: {
      slug: string;
      label: string;
      parent: null | string;
      /** @description Posts that have it or one under it. */
      count: number;
      /** @description Posts that have just it. */
      own: number;
      hidden: boolean;
      /** @description Slugs that lead to it as well. */
      aliases: string[];
      /** @description Of these, those it had itself. */
      was: string[];
      /** @description Address of a picture that stands for it. */
      picture: null | string;
      /** @description `#rrggbb` */
      colour: null | string;
    };
    Texts: core.Texts;
    /** @description A value by the type of its field: text, html, link, image → string; terms, reference → slugs; date → `YYYY-MM-DD`; datetime → `YYYY-MM-DDTHH:mm:ss` with `Z`, an offset, or nothing; number; boolean. */
    Value: core.Value;
    /** @description A way out of an empty answer: what leaving some facets out gives, or taking another term in one. */
    Way: core.Way;
    /** @description A change of the choices with which a post matches. */
    WayIn: core.WayIn;
    /** Lens */
    LensConfig: object;
  };
  responses: never;
  parameters: never;
  requestBodies: never;
  headers: never;
  pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
  'results-results': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The answer of the released lens to the page’s query string. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Results'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'results-listing': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Settings and answer of the released lens: all a page needs for its first paint. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Listing'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'results-page': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        known: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What the page script asks for: the answer without labels it knows. `known` is what the reply before said; with any other, settings and labels come along. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PageReply'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'results-terms': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
        find?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        facet: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Terms of a facet of the released lens whose label holds `find`, with their counts. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FoundTerms'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'feeds-json': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The newest posts at the address, as JSON Feed. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/feed+json': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'feeds-atom': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The newest posts at the address, as Atom. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/atom+xml': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'markup-markup': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What is marked on the page that the released lens stands on. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MarkupView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'health-health': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Ready to serve. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['HealthView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'about-about': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AboutView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'demo-load': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DemoView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'events-events': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Each change: `{"kind":"source","id":…}` or `{"kind":"lens","slug":…}`. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/event-stream': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'jobs-find': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobStatus'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'jobs-cancel': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'jobs-events': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The same as server-sent events, one a change, until it is over. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/event-stream': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'export-export': {
    parameters: {
      query: {
        order?: 'asc' | 'desc';
        sort?: unknown;
        /** @description The same: `field:term,term`, once or several times. */
        filter?: unknown;
        /** @description As for the list of posts: only what is found goes out. */
        q?: unknown;
        as: 'csv' | 'ndjson' | 'jsonfeed' | 'atom';
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description All records, or those that were asked for, as they came. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-list': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensSummary'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-create': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['CreateLensBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-view': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-remove': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-change': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['LensBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-saveDraft': {
    parameters: {
      query?: never;
      header: {
        /** @description The draftRevision this draft was made from. */
        'If-Match': string;
      };
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['DraftBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'lenses-schema': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description JSON Schema of a lens’s config. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': {
            [key: string]: unknown;
          };
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-list': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ReleaseView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-publish': {
    parameters: {
      query?: never;
      header?: {
        /** @description The draftRevision that is to be published. */
        'If-Match'?: string;
      };
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ReleaseBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ReleaseMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-changes': {
    parameters: {
      query?: {
        /** @description Number of a release, or `draft`, as without it. */
        to?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        number: number;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Nothing where every address is answered and drawn alike. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ReleaseChange'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-restore': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        number: number;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensRestored'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-publishAgain': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        number: number;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['PublishAgainBody'];
      };
    };
    responses: {
      /** @description The release is live again, as a new number. */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ReleaseMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'releases-undo': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The draft is what it was before a release took its place. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'drafts-results': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The answer of the draft to the page’s query string. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Results'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'drafts-listing': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        known: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What the page script would ask for, were the draft released. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PageReply'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'drafts-terms': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
        find?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        facet: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Terms of a facet of the draft whose label holds `find`, with their counts. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FoundTerms'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'drafts-dryRun': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['DryRunBody'];
      };
    };
    responses: {
      /** @description Settings, answer and effects of a config that is not kept. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DryRun'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'bundles-bundle': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Plain files that answer by themselves; index.html shows the listing. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/zip': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-sieve': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description How many posts each facet with a choice takes away. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Sieve'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-deadEnds': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Pairs of choices that find nothing, those most within reach first. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeadEndView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-deadEndsOf': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SightBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeadEnds'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-nearest': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NearestBody'];
      };
    };
    responses: {
      /** @description Posts that are not shown, those that miss by least first, with what stops them. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Nearest'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-waysIn': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['WaysInBody'];
      };
    };
    responses: {
      /** @description How a post could be let in, with what else would come. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['WayIn'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-faults': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SightBody'];
      };
    };
    responses: {
      /** @description What of the address is not taken as it stands, where it stands, and what exists and comes nearest. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AddressFault'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-sitemap': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SightBody'];
      };
    };
    responses: {
      /** @description The addresses that search engines would be told of. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FoundAddress'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-findings': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SightBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LensFinding'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sights-crossTable': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['CrossTableBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CrossTable'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'why-ofRelease': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        postId: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Which facets of the released lens a post passes, and why. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Explanation'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'why-ofDraft': {
    parameters: {
      query?: {
        /** @description The query string of the page, exactly as it stands there. */
        query?: {
          [key: string]: string;
        };
        /** @description What names in the address begin with on this page. */
        '~prefix'?: unknown;
        /** @description Terms all posts on this page must have: `field:term`, several with commas. */
        '~scope'?: unknown;
        /** @description What is chosen in lenses this one follows: `field:term,term`, several with semicolons. */
        '~driven'?: unknown;
        /** @description What visitors of this page read: tags of languages, best first. Without one, the lens’s own. */
        '~lang'?: unknown;
        /** @description Where pages stand below one another: the first one wanted by a page script, 1 if not said. */
        '~from'?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        postId: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Which facets of the draft a post passes, and why. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Explanation'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-list': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SavedAddressView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-save': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SaveAddressBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SavedAddressView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-renameFolder': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['FolderBody'];
      };
    };
    responses: {
      /** @description All of them, with the folder called otherwise. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SavedAddressView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-bringIn': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ImportAddressesBody'];
      };
    };
    responses: {
      /** @description Each is to return what it returns now. */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AddressesImported'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-check': {
    parameters: {
      query?: {
        of?: 'draft' | 'release';
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Which hold, and of those that do not, what did it. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AddressCheck'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-remove': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-change': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ChangeAddressBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SavedAddressView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'addresses-removeSeveral': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['RemoveAddressesBody'];
      };
    };
    responses: {
      /** @description All of them are gone, or, where one is not there, none. */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'check-check': {
    parameters: {
      query: {
        /** @description Address of the page. */
        page: string;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What stands and what does not, what to do first at the top. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CheckFinding'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'matches-match': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['MatchBody'];
      };
    };
    responses: {
      /** @description Colours, type, corners and room found in the sheets of a page. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Match'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'pages-fetch': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['PageBody'];
      };
    };
    responses: {
      /** @description The page, as its server sent it. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PageView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'fields-change': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        key: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['FieldBody'];
      };
    };
    responses: {
      /** @description What it comes to: values before and after, and what it does to lenses. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FieldPreview'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'mends-findings': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FindingView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'mends-list': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The rules in force: applied whenever values are read. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MendView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'mends-add': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['MendBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MendMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'mends-remove': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'skos-export': {
    parameters: {
      query: {
        as: 'jsonld' | 'turtle';
      };
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The terms as SKOS: they come in again unchanged. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/turtle': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'skos-import': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'multipart/form-data': {
          /** Format: binary */
          file: string;
          /** @description Of the labels that are taken, where there are several. */
          language?: string;
        };
      };
    };
    responses: {
      /** @description Terms are as SKOS has them; what it does not know stays. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermEffect'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-list': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Depth first, in their order. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-add': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewTermBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermEffect'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-merge': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['MergeBody'];
      };
    };
    responses: {
      /** @description Posts that have one of some terms have another instead. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermEffect'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-history': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What was done to these terms, the newest first. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermChangeView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-undo': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The newest change was taken back. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermChangeView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-redo': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        field: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description What was taken back last was made again. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermChangeView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-remove': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        field: string;
        term: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Its posts lose it; what stands under it moves up. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermEffect'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'terms-change': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        field: string;
        term: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['TermBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TermEffect'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-posts': {
    parameters: {
      query?: {
        /** @description `field:term,term`, once or several times. */
        filter?: unknown;
        order?: 'asc' | 'desc';
        /** @description Key of a field; else the best matches, or the newest. */
        sort?: unknown;
        size?: unknown;
        page?: unknown;
        /** @description Just these posts: ids, each encoded, with commas. */
        ids?: unknown;
        /** @description Words to find in titles, or in texts where there are none; or an id. */
        q?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PostList'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'posts-replace': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'multipart/form-data': {
          /** Format: binary */
          file: string;
          /** @enum {string} */
          format?:
            'csv' | 'tsv' | 'json' | 'ndjson' | 'jsonfeed' | 'rss' | 'atom' | 'markdown' | 'html' | 'ics' | 'xlsx';
          /** @description How it is read, as JSON; without it as the file before. */
          options?: string;
          /**
           * @description Posts that the file does not have stay.
           * @enum {string}
           */
          keep?: 'missing';
        };
      };
    };
    responses: {
      /** @description What changed; of a preview, what would. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'posts-upsert': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': {
          [key: string]: unknown;
        }[];
      };
    };
    responses: {
      /** @description Posts with ids that are there are changed in what is given; others are added. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'posts-remove': {
    parameters: {
      query?: {
        /** @description `1`: nothing is kept. */
        preview?: unknown;
      };
      header?: never;
      path: {
        slug: string;
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'posts-list': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'posts-undo': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
        id: number;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The posts are what they were before that run. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunMade'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-list': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SourceSummary'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-bringIn': {
    parameters: {
      query?: never;
      header?: {
        /** @description `respond-async`: the work is reported as a job. */
        Prefer?: string;
      };
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'multipart/form-data': {
          /** Format: binary */
          file?: string;
          name?: string;
          slug?: string;
          /** @enum {string} */
          format?:
            'csv' | 'tsv' | 'json' | 'ndjson' | 'jsonfeed' | 'rss' | 'atom' | 'markdown' | 'html' | 'ics' | 'xlsx';
          /** @description How it is read, as JSON. */
          options?: string;
          site?: string;
          /** @description In a JSON body: the address its posts come from. */
          url?: string;
          /** @description The same: minutes between two looks. */
          every?: number;
        };
        'application/json': {
          /** Format: binary */
          file?: string;
          name?: string;
          slug?: string;
          /** @enum {string} */
          format?:
            'csv' | 'tsv' | 'json' | 'ndjson' | 'jsonfeed' | 'rss' | 'atom' | 'markdown' | 'html' | 'ics' | 'xlsx';
          /** @description How it is read, as JSON. */
          options?: string;
          site?: string;
          /** @description In a JSON body: the address its posts come from. */
          url?: string;
          /** @description The same: minutes between two looks. */
          every?: number;
        };
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SourceView'];
        };
      };
      /** @description It is being read: `Location` tells where to ask how far it is. */
      202: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobStatus'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-find': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SourceView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-remove': {
    parameters: {
      query?: {
        /** @description `1`: lenses on it go with it. */
        lenses?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-change': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['SourceBody'];
      };
    };
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SourceView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-ruler': {
    parameters: {
      query?: {
        filter?: unknown;
        order?: 'asc' | 'desc';
        sort?: unknown;
        q?: unknown;
      };
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PostRuler'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-snapshot': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description The index as bytes, for a browser that works on a lens. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'sources-copy': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description A second source with the same posts. */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SourceView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'live-find': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LiveView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'live-change': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['LiveBody'];
      };
    };
    responses: {
      /** @description Where it comes from now. Posts stay until the next look. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LiveView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'live-stop': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'live-refresh': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        slug: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['RefreshBody'];
      };
    };
    responses: {
      /** @description What changed; of one that is held, what would. */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Refreshed'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'looks-look': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    /** @description An address; or a multipart body with one `file` or several, `format` and `options`. */
    requestBody: {
      content: {
        'multipart/form-data': components['schemas']['LookBody'];
        'application/json': components['schemas']['LookBody'];
      };
    };
    responses: {
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LookView'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'pings-ping': {
    parameters: {
      query?: never;
      header?: {
        /** @description `t=<seconds since 1970>,v1=<HMAC-SHA256 of "<t>.<id>" by the secret, in hex>`, no older than five minutes. */
        'X-Ivy-Signature'?: string;
      };
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'deleted-list': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeletedView'][];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
  'deleted-restore': {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BroughtBack'];
        };
      };
      default: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/problem+json': components['schemas']['ProblemBody'];
        };
      };
    };
  };
}
