import { Column, CreateDateColumn, DeleteDateColumn, Entity, PrimaryGeneratedColumn, UpdateDateColumn } from 'typeorm';
import type { ReadOptions } from '@ivy/formats';
import type { FieldDescription, Finding, Rejection } from '@ivy/core';

/** Posts brought in from a file, with the fields found in them. */
@Entity('source')
export class Source {
  @PrimaryGeneratedColumn('uuid', { primaryKeyConstraintName: 'source_pkey' })
  id: string;

  @Column({ type: 'text', unique: true })
  slug: string;

  @Column({ type: 'text' })
  name: string;

  /** How the file was read. */
  @Column({ type: 'text' })
  format: string;

  @Column({ name: 'file_name', type: 'text' })
  fileName: string;

  /** How the file is read, where that was said and not found. */
  @Column({ type: 'jsonb', default: {} })
  options: ReadOptions;

  /** Origin that links and pictures without one belong to. */
  @Column({ type: 'text', nullable: true })
  site: string | null;

  /** Goes up by one with every change of posts, terms or fields. */
  @Column({ type: 'integer', default: 1 })
  revision: number;

  /**
   * From the first of these revisions to the last, where that is the present one, nothing but terms and the posts that runs
   * touched changed: an index of one in between is brought up to date by them alone. Of an index after `shapedUntil` posts
   * lost terms that are back.
   */
  @Column({ name: 'shaped_from', type: 'integer', default: 0 })
  shapedFrom: number;

  @Column({ name: 'shaped_until', type: 'integer', nullable: true })
  shapedUntil: number | null;

  @Column({ name: 'shaped_to', type: 'integer', default: 0 })
  shapedTo: number;

  /** Whether what its fields hold, and what is wrong with them, is to be told anew after few of its posts changed. */
  @Column({ type: 'boolean', default: false })
  settles: boolean;

  @Column({ type: 'integer' })
  posts: number;

  @Column({ type: 'jsonb' })
  fields: FieldDescription[];

  @Column({ type: 'jsonb' })
  findings: Finding[];

  @Column({ type: 'jsonb' })
  rejected: Rejection[];

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
