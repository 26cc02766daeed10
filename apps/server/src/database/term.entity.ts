import { Column, Entity, JoinColumn, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Source } from './source.entity.js';

/** A term of one field's taxonomy. */
@Entity('term')
export class TermRow {
  @PrimaryColumn({ name: 'source_id', type: 'uuid', primaryKeyConstraintName: 'term_pkey' })
  sourceId: string;

  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'term_pkey' })
  field: string;

  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'term_pkey' })
  slug: string;

  @ManyToOne(() => Source, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'source_id', foreignKeyConstraintName: 'term_source_fkey' })
  source: Relation<Source>;

  /** Only tells which of two siblings comes first. */
  @Column({ type: 'double precision' })
  position: number;

  @Column({ type: 'text' })
  label: string;

  @Column({ type: 'text', nullable: true })
  parent: string | null;

  @Column({ type: 'boolean', default: false })
  hidden: boolean;

  @Column({ type: 'text', array: true, default: '{}' })
  aliases: string[];

  /** Of the aliases, those it had itself. */
  @Column({ type: 'text', array: true, default: '{}' })
  was: string[];

  @Column({ type: 'text', nullable: true })
  picture: string | null;

  @Column({ type: 'text', nullable: true })
  colour: string | null;

  /** Once someone shaped it: the labels by which values lead to it. */
  @Column({ type: 'jsonb', nullable: true })
  paths: string[][] | null;

  /** It was deleted, and is kept so that values that lead to it are passed over. */
  @Column({ type: 'boolean', default: false })
  gone: boolean;
}
