import type { Lens } from '@ivy/core';
import {
  Column,
  CreateDateColumn,
  Entity,
  JoinColumn,
  ManyToOne,
  PrimaryGeneratedColumn,
  Unique,
  type Relation,
} from 'typeorm';
import { LensRow } from './lens.entity.js';

/** A numbered state of a lens that visitors got. Never changed once it is there. */
@Entity('release')
@Unique('release_lens_number', ['lensId', 'number'])
export class Release {
  @PrimaryGeneratedColumn('identity', { type: 'integer', primaryKeyConstraintName: 'release_pkey' })
  id: number;

  @Column({ name: 'lens_id', type: 'uuid' })
  lensId: string;

  @ManyToOne(() => LensRow, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'lens_id', foreignKeyConstraintName: 'release_lens_fkey' })
  lens: Relation<LensRow>;

  @Column({ type: 'integer' })
  number: number;

  @Column({ type: 'jsonb' })
  config: Lens;

  @Column({ type: 'text', default: '' })
  note: string;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;
}
