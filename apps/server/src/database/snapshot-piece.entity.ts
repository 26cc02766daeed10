import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Snapshot } from './snapshot.entity.js';

/** Some of the bytes of a snapshot; `n` counts from 0. */
@Entity('snapshot_piece')
export class SnapshotPiece {
  @PrimaryColumn({ name: 'source_id', type: 'uuid', primaryKeyConstraintName: 'snapshot_piece_pkey' })
  sourceId: string;

  @PrimaryColumn({ type: 'integer', primaryKeyConstraintName: 'snapshot_piece_pkey' })
  n: number;

  @ManyToOne(() => Snapshot, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'snapshot_piece_snapshot_fkey' })
  snapshot: Relation<Snapshot>;

  @Column({ type: 'bytea' })
  bytes: Buffer;
}
