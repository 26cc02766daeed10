import type { DataSourceOptions } from 'typeorm';
import { LensRow } from './lens.entity.js';
import { First1700000000001 } from './migrations/1-first.js';
import { Snapshots1700000000002 } from './migrations/2-snapshots.js';
import { SnapshotPieces1700000000003 } from './migrations/3-snapshot-pieces.js';
import { LeftPosts1700000000004 } from './migrations/4-left-posts.js';
import { Runs1700000000005 } from './migrations/5-runs.js';
import { ShapedTerms1700000000006 } from './migrations/6-shaped-terms.js';
import { TouchedPosts1700000000007 } from './migrations/7-touched-posts.js';
import { SavedAddresses1700000000008 } from './migrations/8-saved-addresses.js';
import { AskedLenses1700000000009 } from './migrations/9-asked-lenses.js';
import { LiveSources1700000000010 } from './migrations/10-live-sources.js';
import { PostsInPlace1700000000011 } from './migrations/11-posts-in-place.js';
import { LiveRow } from './live.entity.js';
import { Run, RunPost } from './run.entity.js';
import { PostRow } from './post.entity.js';
import { Release } from './release.entity.js';
import { SavedAddress } from './saved-address.entity.js';
import { Setting } from './setting.entity.js';
import { SnapshotPiece } from './snapshot-piece.entity.js';
import { Snapshot } from './snapshot.entity.js';
import { Source } from './source.entity.js';
import { TermChangeRow } from './term-change.entity.js';
import { TermRow } from './term.entity.js';

export const entities = [
  Source,
  PostRow,
  TermRow,
  TermChangeRow,
  LensRow,
  LiveRow,
  Release,
  SavedAddress,
  Run,
  RunPost,
  Setting,
  Snapshot,
  SnapshotPiece,
];

/** No question waits for ever, whatever became of the database. Milliseconds. */
export const poolLimits = {
  /** To connect, and to wait for a connection of the pool. */
  connectionTimeoutMillis: 5_000,
  /** For an answer: told by PostgreSQL, and a little later by this side, in case PostgreSQL is silent. */
  statement_timeout: 60_000,
  query_timeout: 65_000,
  /** For a transaction that does nothing. */
  idle_in_transaction_session_timeout: 120_000,
  keepAlive: true,
};

/** How the server speaks to PostgreSQL. Migrations run at start, all or none. */
export function databaseOptions(url: string): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    entities,
    migrations: [
      First1700000000001,
      Snapshots1700000000002,
      SnapshotPieces1700000000003,
      LeftPosts1700000000004,
      Runs1700000000005,
      ShapedTerms1700000000006,
      TouchedPosts1700000000007,
      SavedAddresses1700000000008,
      AskedLenses1700000000009,
      LiveSources1700000000010,
      PostsInPlace1700000000011,
    ],
    migrationsRun: true,
    migrationsTransactionMode: 'all',
    synchronize: false,
    installExtensions: false,
    applicationName: 'ivy-lens',
    poolSize: 10,
    extra: poolLimits,
  };
}
