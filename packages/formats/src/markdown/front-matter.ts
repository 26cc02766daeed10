import { parse as parseToml } from 'smol-toml';
import { parseDocument, visit } from 'yaml';
import { limits } from '../limits.js';

/** A document in two parts: what is said about it, and its text. */
export interface FrontMatter {
  said: Record<string, unknown>;
  body: string;
}

/** Characters that what is said may take. */
const most = 256 * 1024;

/**
 * Parts a text into YAML between `---`, TOML between `+++`, or JSON at its beginning, and what comes after.
 * @returns a sentence where what is said can't be read
 */
export function frontMatterOf(text: string): FrontMatter | string {
  const found = /^(---|\+\+\+)[ \t]*\r?\n([^]*?)(?:^|\r?\n)\1[ \t]*(?:\r?\n|$)/m.exec(text);
  if (found?.index === 0) {
    const [whole, mark, inner] = found as unknown as [string, string, string];
    if (inner.length > most) return `What is said above its text is longer than ${most / 1024} kB.`;
    const said = mark === '---' ? readYaml(inner) : readToml(inner);
    return typeof said === 'string' ? said : { said, body: text.slice(whole.length) };
  }
  return { said: {}, body: text };
}

/** YAML without tags and without aliases: a few lines of those can grow into more than any memory holds. */
function readYaml(text: string): Record<string, unknown> | string {
  const document = parseDocument(text, { schema: 'core', merge: false, uniqueKeys: false, stringKeys: true });
  const [error] = document.errors;
  if (error) return `What is said above its text is no YAML, near line ${(error.linePos?.[0].line ?? 0) + 1}.`;
  let reason = '';
  visit(document, {
    Alias: () => {
      reason = 'It names a part of itself by “*”, which is not read: write the part out.';
      return visit.BREAK;
    },
    Node: (_key, node, path) => {
      const { tag } = node as { tag?: string };
      if (tag !== undefined && !tag.startsWith('tag:yaml.org,2002:'))
        reason = 'It has tags of its own, which are not read.';
      if (path.length > limits.depth * 2) reason = `It nests deeper than ${limits.depth} levels.`;
      return reason === '' ? undefined : visit.BREAK;
    },
  });
  if (reason !== '') return reason;
  const value: unknown = document.toJS({ maxAliasCount: 0 });
  if (value === null || value === undefined) return {};
  return typeof value === 'object' && !Array.isArray(value)
    ? (plain(value) as Record<string, unknown>)
    : 'What is said above its text are no names with values.';
}

function readToml(text: string): Record<string, unknown> | string {
  try {
    return plain(parseToml(text, { maxDepth: limits.depth })) as Record<string, unknown>;
  } catch (error) {
    const line = (error as { line?: number }).line;
    return `What is said above its text is no TOML${line === undefined ? '' : `, near line ${line + 1}`}.`;
  }
}

/** Values as JSON has them: days and moments as they are written. */
function plain(value: unknown): unknown {
  if (value instanceof Date) {
    const text = value.toISOString();
    return text.endsWith('T00:00:00.000Z') ? text.slice(0, 10) : text;
  }
  if (typeof value === 'bigint') return Number(value);
  if (Array.isArray(value)) return value.map(plain);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, plain(inner)]));
}
