import { describeFields, discoverFields, readPosts, type PostReading, type RawRecord } from '@ivy/core';
import { FileProblem, readFile, type FileFormat } from '@ivy/formats';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource, EntityManager } from 'typeorm';
import { LensRow } from '../database/lens.entity.js';
import { Source } from '../database/source.entity.js';
import { isTaken, isUsed } from '../database/unique.js';
import { notFound, Problem } from '../problem/problem.js';
import { Changes } from '../shared/changes.js';
import { freeSlug } from '../shared/slugs.js';

/** A file as it was sent, and what was said about it. */
export interface Intake {
  bytes: Uint8Array;
  fileName: string;
  name?: string;
  slug?: string;
  format?: FileFormat;
  site?: string;
}

const rowsPerInsert = 2000;
/** Rejections kept with a source; the rest are only counted by their record numbers in the file. */
const rejectionsKept = 1000;

@Injectable()
export class SourcesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly changes: Changes,
  ) {}

  list(): Promise<Source[]> {
    return this.database.getRepository(Source).find({ order: { updatedAt: 'DESC', slug: 'ASC' } });
  }

  async find(slug: string): Promise<Source> {
    const source = await this.database.getRepository(Source).findOneBy({ slug });
    if (!source) throw notFound('source', slug);
    return source;
  }

  /** Brings a file in as a new source: everything in one transaction, or nothing. */
  async bringIn(intake: Intake): Promise<Source> {
    const { format, records } = readUpload(intake);
    const reading = readPosts(records, discoverFields(records));
    if (reading.posts.length === 0) {
      throw new Problem(422, 'no-posts', 'No record of the file has a value, so there is nothing to bring in.');
    }
    const name = intake.name?.trim() || nameOf(intake.fileName);
    try {
      return await this.database.transaction(async (manager) => {
        const slug = intake.slug ?? freeSlug(name, await slugsOf(manager));
        const source = await manager.save(
          manager.create(Source, {
            slug,
            name,
            format,
            fileName: intake.fileName.slice(0, 200),
            site: intake.site ?? null,
            posts: reading.posts.length,
            fields: describeFields(reading),
            findings: reading.findings,
            rejected: reading.rejected.slice(0, rejectionsKept),
          }),
        );
        await insertTerms(manager, source.id, reading);
        await insertPosts(manager, source.id, reading, records);
        return source;
      });
    } catch (error) {
      if (isTaken(error))
        throw new Problem(
          409,
          'slug-taken',
          `A source called “${intake.slug ?? name}” is there already. Choose another name.`,
        );
      throw error;
    }
  }

  /** Takes a source away, unless a lens uses it. */
  async remove(slug: string): Promise<void> {
    const source = await this.find(slug);
    try {
      await this.database.transaction(async (manager) => {
        await manager.delete(Source, { id: source.id });
        await this.changes.note(manager, { kind: 'source', id: source.id });
      });
    } catch (error) {
      if (!isUsed(error)) throw error;
      const lenses = await this.database.getRepository(LensRow).findBy({ sourceId: source.id });
      const names = lenses.map((lens) => lens.name).join(', ');
      throw new Problem(409, 'source-in-use', `The source is used by ${names}. Delete that lens first.`);
    }
    this.changes.tell({ kind: 'source', id: source.id });
  }
}

function readUpload(intake: Intake): { format: FileFormat; records: RawRecord[] } {
  try {
    return readFile(intake.bytes, intake.fileName, intake.format);
  } catch (error) {
    if (error instanceof FileProblem)
      throw new Problem(error.code === 'too-large' ? 413 : 422, error.code, error.message);
    throw error;
  }
}

function nameOf(fileName: string): string {
  const bare = fileName
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  return bare === '' ? 'Posts' : bare[0]!.toUpperCase() + bare.slice(1, 120);
}

async function slugsOf(manager: EntityManager): Promise<string[]> {
  const rows = await manager.find(Source, { select: { slug: true } });
  return rows.map((row) => row.slug);
}

async function insertTerms(manager: EntityManager, sourceId: string, reading: PostReading): Promise<void> {
  const rows = Object.entries(reading.taxonomies).flatMap(([field, terms]) =>
    terms.map(({ slug, label, parent }, position) => ({ field, slug, position, label, parent })),
  );
  await manager.query(
    `INSERT INTO term (source_id, field, slug, position, label, parent)
     SELECT $1, r.field, r.slug, r.position, r.label, r.parent
     FROM jsonb_to_recordset($2::jsonb) AS r(field text, slug text, position int, label text, parent text)`,
    [sourceId, JSON.stringify(rows)],
  );
}

async function insertPosts(
  manager: EntityManager,
  sourceId: string,
  reading: PostReading,
  records: readonly RawRecord[],
): Promise<void> {
  const rejected = new Set(reading.rejected.map((rejection) => rejection.record - 1));
  const kept = records.filter((_, i) => !rejected.has(i));
  for (let start = 0; start < reading.posts.length; start += rowsPerInsert) {
    const rows = reading.posts.slice(start, start + rowsPerInsert).map((post, i) => ({
      id: post.id,
      position: start + i,
      raw: kept[start + i],
      values: post.values,
    }));
    // one statement of one document: no limit on parameters, and twice as quick as a row at a time
    await manager.query(
      `INSERT INTO post (source_id, id, position, raw, "values")
       SELECT $1, r.id, r.position, r.raw, r."values"
       FROM jsonb_to_recordset($2::jsonb) AS r(id text, position int, raw jsonb, "values" jsonb)`,
      [sourceId, JSON.stringify(rows).replace(/\\u0000/g, '')],
    );
  }
}
