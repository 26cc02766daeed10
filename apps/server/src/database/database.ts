import type { DataSourceOptions } from 'typeorm';
import { LensRow } from './lens.entity.js';
import { First1700000000001 } from './migrations/1-first.js';
import { Snapshots1700000000002 } from './migrations/2-snapshots.js';
import { PostRow } from './post.entity.js';
import { Release } from './release.entity.js';
import { Setting } from './setting.entity.js';
import { Snapshot } from './snapshot.entity.js';
import { Source } from './source.entity.js';
import { TermRow } from './term.entity.js';

export const entities = [Source, PostRow, TermRow, LensRow, Release, Setting, Snapshot];

/** How the server speaks to PostgreSQL. Migrations run at start, all or none. */
export function databaseOptions(url: string): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    entities,
    migrations: [First1700000000001, Snapshots1700000000002],
    migrationsRun: true,
    migrationsTransactionMode: 'all',
    synchronize: false,
    installExtensions: false,
    applicationName: 'ivy-lens',
    poolSize: 10,
  };
}
