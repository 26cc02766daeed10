import type { Lens } from '@ivy/core';
import {
  Column,
  CreateDateColumn,
  DeleteDateColumn,
  Entity,
  JoinColumn,
  ManyToOne,
  PrimaryGeneratedColumn,
  UpdateDateColumn,
  type Relation,
} from 'typeorm';
import { Source } from './source.entity.js';

/** A lens and its draft. */
@Entity('lens')
export class LensRow {
  @PrimaryGeneratedColumn('uuid', { primaryKeyConstraintName: 'lens_pkey' })
  id: string;

  @Column({ type: 'text', unique: true })
  slug: string;

  /** Slugs it had before: they go on answering. */
  @Column({ type: 'text', array: true, default: '{}' })
  former: string[];

  @Column({ type: 'text' })
  name: string;

  @Column({ name: 'source_id', type: 'uuid' })
  sourceId: string;

  @ManyToOne(() => Source, { onDelete: 'RESTRICT' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'lens_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'jsonb' })
  draft: Lens;

  @Column({ name: 'draft_revision', type: 'integer', default: 1 })
  draftRevision: number;

  /** What a restored release took the place of, and the number of that release: kept so that it can be taken back. */
  @Column({ type: 'jsonb', nullable: true })
  before: { draft: Lens; release: number | null } | null;

  /** When visitors last asked for its release, to the minute; null: never. */
  @Column({ name: 'asked_at', type: 'timestamptz', nullable: true })
  askedAt: Date | null;

  /** When it was deleted: it is kept for a day, under a slug nobody asks for. */
  @DeleteDateColumn({ name: 'deleted_at', type: 'timestamptz' })
  deletedAt: Date | null;

  /** The slug it had until then. */
  @Column({ name: 'deleted_slug', type: 'text', nullable: true })
  deletedSlug: string | null;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;

  @UpdateDateColumn({ name: 'updated_at', type: 'timestamptz' })
  updatedAt: Date;
}
