import type { FileFormat, Join, Paging, ReadOptions } from '@ivy/formats';
import { Column, Entity, Index, JoinColumn, OneToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Source } from './source.entity.js';

/** Where a source's posts come from by themselves, and how that went. */
@Entity('live')
@Index('live_next', ['nextAt'])
export class LiveRow {
  @PrimaryColumn({ name: 'source_id', type: 'uuid', primaryKeyConstraintName: 'live_pkey' })
  sourceId: string;

  @OneToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'live_source_fkey' })
  source: Relation<Source>;

  @Column({ type: 'jsonb' })
  feeds: { address: string; name: string }[];

  /** Minutes between two looks; 0 for none but on asking. */
  @Column({ type: 'integer' })
  every: number;

  @Column({ type: 'text', nullable: true })
  format: FileFormat | null;

  @Column({ type: 'jsonb', default: {} })
  options: ReadOptions;

  /** Headers for the endpoint, sealed; and their names, which may be shown. */
  @Column({ type: 'bytea', nullable: true })
  sealed: Buffer | null;

  @Column({ name: 'header_names', type: 'text', array: true, default: [] })
  headerNames: string[];

  /** How its posts go on, and what its ids stand for: as found at first, and then kept to. */
  @Column({ type: 'jsonb', nullable: true })
  paging: Paging | null;

  @Column({ type: 'jsonb', nullable: true })
  joins: Join[] | null;

  /** What was found by trying, in sentences. */
  @Column({ type: 'jsonb', default: [] })
  found: string[];

  /** Pages as they were read last, by which it can be asked whether they changed. */
  @Column({ type: 'jsonb', default: [] })
  pages: { address: string; etag: string; modified: string }[];

  /** What a ping from the other side is signed by. */
  @Column({ type: 'text' })
  ping: string;

  /** The hub that tells of changes (WebSub), and until when it does. */
  @Column({ type: 'jsonb', nullable: true })
  hub: { hub: string; topic: string; until: string | null } | null;

  @Column({ name: 'next_at', type: 'timestamptz', nullable: true })
  nextAt: Date | null;

  /** Since when a process is at it; too long ago, and it was killed. */
  @Column({ name: 'claimed_at', type: 'timestamptz', nullable: true })
  claimedAt: Date | null;

  @Column({ name: 'checked_at', type: 'timestamptz', nullable: true })
  checkedAt: Date | null;

  /** How often in a row it failed, and why the last time. */
  @Column({ type: 'integer', default: 0 })
  failures: number;

  @Column({ type: 'jsonb', nullable: true })
  problem: { code: string; text: string } | null;

  /** What a fetch would change that waits for a person, since it would take too much away. */
  @Column({ type: 'jsonb', nullable: true })
  held: { at: string; added: number; changed: number; removed: number; total: number } | null;
}
