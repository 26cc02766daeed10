import type { MultipartFile } from '@fastify/multipart';
import { cleanText, isBroken } from '@ivy/core';
import { limits } from '@ivy/formats';
import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import type { FastifyRequest } from 'fastify';
import { createWriteStream } from 'node:fs';
import { mkdir, mkdtemp, rm, statfs } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type TransformCallback } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { FileOnDisk, FilesOnDisk } from './given-files.js';
import { brokenText } from '../../doors/bodies.js';
import { removeLeftovers } from '../../shared/leftovers.js';
import { Problem } from '../../problem/problem.js';

/** Files as they came, on disk until they are read. */
export interface Upload {
  given: FilesOnDisk;
  /** Bytes of them all. */
  size: number;
  /** What one is called; several by the first and how many more. */
  fileName: string;
  /** Text parts, last one of a name winning. */
  parts: Record<string, string>;
  /** Takes the file away. */
  discard(): Promise<void>;
}

/** What all uploads together may take: files at once, bytes on disk, and bytes that must stay free there. */
export const uploadLimits = { files: 24, bytes: 1024 ** 3, free: 256 * 1024 ** 2 };

const folderName = 'ivy-lens-uploads-';

/** Takes files in: onto disk, never into memory, and no more at once than there is room for. */
@Injectable()
export class Uploads implements OnModuleInit, OnModuleDestroy {
  #folder = '';
  #files = 0;
  #bytes = 0;

  async onModuleInit(): Promise<void> {
    removeLeftovers(folderName);
    this.#folder = await mkdtemp(join(tmpdir(), `${folderName}${process.pid}-`));
  }

  async onModuleDestroy(): Promise<void> {
    await rm(this.#folder, { recursive: true, force: true });
  }

  /** Reads a multipart body: one part `file` or several, and text parts. */
  async receive(request: FastifyRequest): Promise<Upload> {
    if (!request.isMultipart()) {
      throw new Problem(415, 'not-multipart', 'Send the file as multipart/form-data, in a part called “file”.');
    }
    await this.#checkRoom();
    const folder = await mkdtemp(join(this.#folder, 'file-'));
    this.#files++;
    let size = 0;
    let isHere = true;
    const discard = async () => {
      if (!isHere) return;
      isHere = false;
      this.#files--;
      this.#bytes -= size;
      await rm(folder, { recursive: true, force: true });
    };
    const count = (bytes: number) => {
      size += bytes;
      this.#bytes += bytes;
      if (this.#bytes > uploadLimits.bytes) throw tooMany();
    };
    try {
      const { files, parts } = await readParts(request, folder, count);
      const [first] = files;
      const more = files.length - 1;
      const fileName = more === 0 ? first!.name : `${first!.name} and ${more} more`;
      const given = { files, format: null, options: {}, field: more === 0 ? null : 'file', joins: [] };
      return { given, size, fileName, parts, discard };
    } catch (error) {
      await discard();
      throw error;
    }
  }

  async #checkRoom(): Promise<void> {
    if (this.#files >= uploadLimits.files || this.#bytes >= uploadLimits.bytes) throw tooMany();
    await mkdir(this.#folder, { recursive: true });
    const { bavail, bsize } = await statfs(this.#folder);
    if (bavail * bsize < uploadLimits.free) {
      throw new Problem(
        507,
        'disk-full',
        'The disk of this server is nearly full. Make room there, then send the file again.',
      );
    }
  }
}

function tooMany(): Problem {
  return new Problem(503, 'too-many-uploads', 'Too many files are coming in at once. Send this one again in a moment.');
}

async function readParts(
  request: FastifyRequest,
  folder: string,
  count: (bytes: number) => void,
): Promise<{ files: FileOnDisk[]; parts: Record<string, string> }> {
  const parts: [string, string][] = [];
  const files: FileOnDisk[] = [];
  for await (const part of request.parts()) {
    if (part.type === 'field') parts.push([part.fieldname, textOf(part.fieldname, part.value)]);
    else if (part.fieldname === 'file') {
      const path = join(folder, `posts-${files.length}`);
      files.push({ path, name: await keepFile(part, path, count) });
    } else part.file.resume();
  }
  if (files.length === 0) throw new Problem(400, 'no-file', 'The body has no file. Send one in a part called “file”.');
  return { files, parts: Object.fromEntries(parts) };
}

function textOf(name: string, value: unknown): string {
  const text = String(value);
  if (isBroken(text)) throw brokenText(`/${name}`);
  return text;
}

async function keepFile(part: MultipartFile, path: string, count: (bytes: number) => void): Promise<string> {
  const counting = new Transform({
    transform(chunk: Buffer, _encoding, done: TransformCallback) {
      try {
        count(chunk.length);
        done(null, chunk);
      } catch (error) {
        done(error as Error);
      }
    },
  });
  await pipeline(part.file, counting, createWriteStream(path));
  if (part.file.truncated) {
    const megabytes = limits.bytes / 1024 / 1024;
    throw new Problem(413, 'too-large', `The file is larger than ${megabytes} MB. Bring it in as smaller ones.`);
  }
  return cleanText(part.filename ?? '') || 'posts';
}
