import type { MultipartFile } from '@fastify/multipart';
import type { FastifyRequest } from 'fastify';
import { Problem } from '../problem/problem.js';

export interface Upload {
  bytes: Uint8Array;
  fileName: string;
  /** Text parts, last one of a name winning. */
  parts: Record<string, string>;
}

/** Reads a multipart body: one part `file`, and text parts. */
export async function readUploadParts(request: FastifyRequest): Promise<Upload> {
  if (!request.isMultipart()) {
    throw new Problem(415, 'not-multipart', 'Send the file as multipart/form-data, in a part called “file”.');
  }
  const parts: [string, string][] = [];
  let file: { bytes: Uint8Array; fileName: string } | undefined;
  for await (const part of request.parts()) {
    if (part.type === 'field') parts.push([part.fieldname, String(part.value)]);
    else if (part.fieldname === 'file' && !file) file = await readPart(part);
    else part.file.resume();
  }
  if (!file) throw new Problem(400, 'no-file', 'The body has no file. Send one in a part called “file”.');
  return { ...file, parts: Object.fromEntries(parts) };
}

async function readPart(part: MultipartFile): Promise<{ bytes: Uint8Array; fileName: string }> {
  const bytes = await part.toBuffer();
  return { bytes, fileName: part.filename || 'posts' };
}
