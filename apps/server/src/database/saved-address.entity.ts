import type { Expectation } from '@ivy/core';
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
import { LensRow } from './lens.entity.js';

/** An address of a lens that someone relies on, with what it must return. */
@Entity('saved_address')
@Index('saved_address_lens', ['lensId'])
export class SavedAddress {
  @PrimaryGeneratedColumn('uuid', { primaryKeyConstraintName: 'saved_address_pkey' })
  id: string;

  @Column({ name: 'lens_id', type: 'uuid' })
  lensId: string;

  @ManyToOne(() => LensRow, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'lens_id', foreignKeyConstraintName: 'saved_address_lens_fkey' })
  lens: Relation<LensRow>;

  /** Its place among those of the lens. */
  @Column({ type: 'integer' })
  position: number;

  /** The user's own folder; '' for none. */
  @Column({ type: 'text', default: '' })
  folder: string;

  @Column({ type: 'text', default: '' })
  name: string;

  /** A query string as it was saved. */
  @Column({ type: 'text' })
  address: string;

  @Column({ type: 'jsonb' })
  expect: Expectation;

  /** Ids of the posts it returned when it was saved; null where they were too many to keep. */
  @Column({ type: 'text', array: true, nullable: true })
  had: string[] | null;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}
