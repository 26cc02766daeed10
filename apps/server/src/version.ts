import { readFileSync } from 'node:fs';
import { fromRoot } from './shared/paths.js';

/** The product's version, from the package at the top of the repository. */
export const version = (JSON.parse(readFileSync(fromRoot('package.json'), 'utf8')) as { version: string }).version;
