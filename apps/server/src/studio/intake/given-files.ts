import {
  joinedRecords,
  readFiles,
  type FileFormat,
  type FileReading,
  type FilledJoin,
  type ReadOptions,
} from '@ivy/formats';
import { readFileSync } from 'node:fs';

/** A file on disk, and what is known of it. */
export interface FileOnDisk {
  path: string;
  name: string;
  address?: string;
  /** Media type it came as. */
  type?: string;
  /** What the field calls it that tells of which file a post is. */
  label?: string;
}

/** Files on disk that are posts together, and how they are to be read. */
export interface FilesOnDisk {
  files: FileOnDisk[];
  format: FileFormat | null;
  options: ReadOptions;
  /** What the field is called that tells of which file a post is; null for none. */
  field: string | null;
  /** Ids that stand for names kept elsewhere. */
  joins: FilledJoin[];
}

/** One file, as it comes most often. */
export function oneFile(path: string, name: string, format: FileFormat | null = null): FilesOnDisk {
  return { files: [{ path, name }], format, options: {}, field: null, joins: [] };
}

/**
 * Reads files that are posts together. To be called in a thread: it may take seconds.
 * @throws FileProblem with a sentence for people
 */
export function readOnDisk({ files, format, options, field, joins }: FilesOnDisk, today: string): FileReading {
  const given = files.map(({ path, ...file }) => ({ ...file, bytes: readFileSync(path) }));
  const reading = readFiles(given, { ...(format !== null && { format }), options, today, field });
  return { ...reading, records: joinedRecords(reading.records, joins) };
}
