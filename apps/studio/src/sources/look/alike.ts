import type { LookView, SourceSummary } from '@ivy/client';
import { api } from '../../api/api.js';

/** Bytes of a table that are looked at for its columns. */
const headBytes = 64 * 1024;
/** Bytes of a file up to which it is looked at whole, where its beginning alone says nothing. */
const wholeBytes = 1024 * 1024;
/** How many fields a file and a source must have in common, and what share of all that either has. */
const [fewFields, mostOfThem] = [4, 0.7];

/** The source that has most fields of a file, and few others: the file may be a newer one of the same. */
export function alikeOf(keys: readonly string[], sources: readonly SourceSummary[]): SourceSummary | null {
  const own = new Set(keys);
  let best: { source: SourceSummary; share: number } | null = null;
  for (const source of sources) {
    const common = source.fields.filter(({ key }) => own.has(key)).length;
    // of a wide source the first fields alone are known here
    const isWhole = source.fields.length >= source.fieldCount;
    const share = common / (isWhole ? own.size + source.fields.length - common : source.fields.length);
    if (common >= fewFields && share >= mostOfThem && share > (best?.share ?? 0)) best = { source, share };
  }
  return best?.source ?? null;
}

/**
 * Finds the source that a file may be a newer one of, by the fields it begins with. Feeds have the same fields, one and all, so
 * those are never alike.
 * @returns null where there is none, and where the file can't be looked at: it is told what is wrong once it is brought in
 */
export async function alikeFile(
  file: File,
  sources: readonly SourceSummary[],
  signal: AbortSignal,
): Promise<SourceSummary | null> {
  const head = sources.length === 0 ? null : await headOf(file);
  if (!head) return null;
  const body = new FormData();
  body.append('file', head, file.name);
  try {
    const response = await api.fetch('/api/v1/looks', { method: 'POST', body, signal });
    const { fields } = (await response.json()) as LookView;
    return alikeOf(
      fields.map(({ key }) => key),
      sources.filter(({ live }) => live === null),
    );
  } catch {
    signal.throwIfAborted();
    return null;
  }
}

/** As much of a file as tells its fields: of a table whole lines, so that no letter is cut in two. */
async function headOf(file: File): Promise<Blob | null> {
  if (!/\.(?:csv|tsv|tab|txt|ndjson|jsonl)$/i.test(file.name))
    return /\.(?:json|xlsx)$/i.test(file.name) && file.size <= wholeBytes ? file : null;
  if (file.size <= headBytes) return file;
  const bytes = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
  return new Blob([bytes.subarray(0, bytes.lastIndexOf(0x0a) + 1 || undefined)]);
}
