import type { Finding, TermChange } from '@ivy/core';
import {
  Column,
  CreateDateColumn,
  Entity,
  Index,
  JoinColumn,
  ManyToOne,
  PrimaryGeneratedColumn,
  type Relation,
} from 'typeorm';
import { Source } from './source.entity.js';

/** A term as it stood before or after a change; null where there was none. */
export type TermState = { slug: string; term: Record<string, unknown> | null };

/** Something that was done to the terms of a field, with what undoes it. */
@Entity('term_change')
@Index('term_change_of', ['sourceId', 'field', 'id'])
export class TermChangeRow {
  @PrimaryGeneratedColumn('identity', { type: 'integer', primaryKeyConstraintName: 'term_change_pkey' })
  id: number;

  @Column({ name: 'source_id', type: 'uuid' })
  sourceId: string;

  @ManyToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'term_change_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'text' })
  field: string;

  @CreateDateColumn({ type: 'timestamptz' })
  at: Date;

  @Column({ type: 'jsonb' })
  change: TermChange;

  /** What was done, in words. */
  @Column({ type: 'text' })
  text: string;

  @Column({ type: 'jsonb' })
  before: TermState[];

  @Column({ type: 'jsonb' })
  after: TermState[];

  /** What was found wrong before it, and told of nothing any more after it. */
  @Column({ type: 'jsonb', default: [] })
  findings: Finding[];

  /** The revision of the source that it made. */
  @Column({ type: 'integer' })
  revision: number;

  @Column({ type: 'boolean', default: false })
  undone: boolean;
}
