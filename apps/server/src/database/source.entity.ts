import { Column, CreateDateColumn, Entity, PrimaryGeneratedColumn, UpdateDateColumn } from 'typeorm';
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

  /** Origin that links and pictures without one belong to. */
  @Column({ type: 'text', nullable: true })
  site: string | null;

  /** Goes up by one with every change of posts, terms or fields. */
  @Column({ type: 'integer', default: 1 })
  revision: number;

  @Column({ type: 'integer' })
  posts: number;

  @Column({ type: 'jsonb' })
  fields: FieldDescription[];

  @Column({ type: 'jsonb' })
  findings: Finding[];

  @Column({ type: 'jsonb' })
  rejected: Rejection[];

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt: Date;

  @UpdateDateColumn({ name: 'updated_at', type: 'timestamptz' })
  updatedAt: Date;
}
