import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import type { RawRecord, Value } from '@ivy/core';
import { Source } from './source.entity.js';

/** One post: the record as it came, and its values by the types its fields have. */
@Entity('post')
@Index('post_place', ['sourceId', 'position'])
@Index('post_left', ['sourceId'], { where: `"left_by" <> '{}'` })
export class PostRow {
  @PrimaryColumn({ name: 'source_id', type: 'uuid', primaryKeyConstraintName: 'post_pkey' })
  sourceId: string;

  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'post_pkey' })
  id: string;

  @ManyToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'post_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'integer' })
  position: number;

  @Column({ type: 'jsonb' })
  raw: RawRecord;

  @Column({ type: 'jsonb' })
  values: Record<string, Value>;

  /** Keys of the fields that have it left out; it is answered where there are none. */
  @Column({ name: 'left_by', type: 'text', array: true, default: () => `'{}'` })
  leftBy: string[];
}
