import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Source } from './source.entity.js';

/** The index of a source at a revision, as bytes in pieces. It can always be made anew from the posts. */
@Entity('snapshot')
export class Snapshot {
  @PrimaryColumn({ name: 'source_id', type: 'uuid', primaryKeyConstraintName: 'snapshot_pkey' })
  sourceId: string;

  @ManyToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'snapshot_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'integer' })
  revision: number;

  /** Bytes in all its pieces. */
  @Column({ type: 'integer' })
  size: number;

  @Column({ name: 'made_at', type: 'timestamptz', default: () => 'now()' })
  madeAt: Date;
}
