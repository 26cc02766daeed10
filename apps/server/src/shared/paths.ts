import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** A path from the top of the repository, wherever the server was started. */
export function fromRoot(...parts: string[]): string {
  return join(root, ...parts);
}

/** What is started by its own name, as it was built: the server and its threads. */
export function builtServer(...parts: string[]): string {
  return fromRoot('apps', 'server', 'dist', 'bundle', ...parts);
}

const root =
  findRoot(process.argv[1] ? dirname(process.argv[1]) : process.cwd()) ?? findRoot(process.cwd()) ?? process.cwd();

function findRoot(from: string): string | undefined {
  for (let folder = from; ; folder = dirname(folder)) {
    if (existsSync(join(folder, 'apps', 'server', 'package.json'))) return folder;
    if (folder === dirname(folder)) return undefined;
  }
}
