import type { RawRecord, Rejection } from '@ivy/core';
import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, PrimaryGeneratedColumn, type Relation } from 'typeorm';
import { Source } from './source.entity.js';

/** The file that posts are of, and the records of it that became none. */
export interface FileState {
  fileName: string;
  rejected: Rejection[];
}

/** Fields, and terms by field, that there were first with a run, and the file before it. */
export interface Made {
  fields?: string[];
  terms?: Record<string, string[]>;
  file?: FileState;
}

/** One bringing-in of posts, and what it changed. */
@Entity('run')
export class Run {
  @PrimaryGeneratedColumn('identity', { type: 'integer', primaryKeyConstraintName: 'run_pkey' })
  id: number;

  @Column({ name: 'source_id', type: 'uuid' })
  sourceId: string;

  @ManyToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'run_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'timestamptz', default: () => 'now()' })
  at: Date;

  /** A file in place of all posts, what a feed holds now, some posts by a program, some taken away, or another run undone. */
  @Column({ type: 'text' })
  how: 'file' | 'live' | 'posts' | 'removal' | 'undo';

  /** One that failed, or waits for a person, changed nothing; why is in `reason`. */
  @Column({ type: 'text', default: 'done' })
  state: 'done' | 'failed' | 'held';

  @Column({ type: 'text', nullable: true })
  reason: string | null;

  @Column({ name: 'file_name', type: 'text', default: '' })
  fileName: string;

  @Column({ type: 'integer' })
  added: number;

  @Column({ type: 'integer' })
  changed: number;

  @Column({ type: 'integer' })
  unchanged: number;

  @Column({ type: 'integer' })
  removed: number;

  /** Posts that were answered after it. */
  @Column({ type: 'integer' })
  total: number;

  @Column({ type: 'jsonb' })
  rejected: Rejection[];

  /** What there was first with it. */
  @Column({ type: 'jsonb', default: {} })
  made: Made;

  @Column({ type: 'boolean', default: false })
  undone: boolean;

  /** Of the source, after it. */
  @Column({ type: 'integer', default: 0 })
  revision: number;

  /** Ids of the posts it touched, where nothing else can have changed with them. */
  @Column({ type: 'text', array: true, nullable: true, select: false })
  touched: string[] | null;
}

/** A post as it was before a run changed it: nothing where it was not there. */
@Entity('run_post')
export class RunPost {
  @PrimaryColumn({ name: 'run_id', type: 'integer', primaryKeyConstraintName: 'run_post_pkey' })
  runId: number;

  @PrimaryColumn({ name: 'post_id', type: 'text', primaryKeyConstraintName: 'run_post_pkey' })
  postId: string;

  @ManyToOne(() => Run, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'run_id', foreignKeyConstraintName: 'run_post_run_fkey' })
  run: Relation<Run>;

  @Column({ type: 'jsonb', nullable: true })
  raw: RawRecord | null;

  @Column({ type: 'integer', nullable: true })
  position: number | null;
}
