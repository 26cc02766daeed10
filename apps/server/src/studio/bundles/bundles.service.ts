import { answerAddress, standAlone, writeSnapshot, type AloneLens, type Item, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { readFileSync } from 'node:fs';
import type { CachedLens } from '../../delivery/lens-cache.js';
import { ResultsService, type Ready } from '../../delivery/results.service.js';
import { Problem } from '../../problem/problem.js';
import { fromRoot } from '../../shared/paths.js';
import { inTurns } from '../../shared/turns.js';
import { bundlePage, mostListed } from './bundle-page.js';
import { bundleText } from './bundle-text.js';
import { writeZip } from './zip.js';

/** Posts, and bytes of them, that a page may be expected to load at once. */
const mostPosts = 20_000;
const mostBytes = 24_000_000;

/** What the script has in the place of what it brings along, in quotes of whatever kind. */
const place = /(["'`])@@ivy-taken@@\1/;

/** Released lenses as plain files that answer by themselves. */
@Injectable()
export class BundlesService {
  constructor(private readonly results: ResultsService) {}

  ready(slug: string): Promise<Ready> {
    return this.results.ready(slug, 'release');
  }

  /** A zip of the lens as it is released, with its posts as they are now. */
  async bundle({ kept, posts }: Ready): Promise<Buffer> {
    const total = answerAddress(posts.index, kept.lens, '', Date.now()).total;
    if (total > mostPosts) throw tooMuch(`${total} posts`, `${mostPosts}`);
    const alone = await inTurns(standAlone(posts.index, kept.lens));
    const bytes = await inTurns(writeSnapshot(alone.index));
    if (bytes.length > mostBytes) {
      throw tooMuch(`${Math.ceil(bytes.length / 1e6)} MB of posts`, `${mostBytes / 1e6} MB`);
    }
    const now = new Date();
    const items = firstItems(alone);
    const write = (text: string) => new TextEncoder().encode(text);
    const files = new Map([
      ['index.html', write(bundlePage(kept, items, total - items.length))],
      ['ivy-lens.js', write(script(kept, alone.lens, bytes))],
      ['README.md', write(bundleText(kept, total, now.toISOString().slice(0, 10)))],
    ]);
    return inTurns(writeZip(files, now));
  }
}

/** The page script with a lens and its posts written into it. */
function script({ slug, name, source, site, release }: CachedLens, lens: Lens, posts: Uint8Array<ArrayBuffer>): string {
  const taken = { slug, name, source, site, release, lens, posts: Buffer.from(posts.buffer).toString('base64') };
  const code = readFileSync(fromRoot('packages', 'alone', 'dist', 'ivy-alone.js'), 'utf8');
  return code.replace(place, () => JSON.stringify(JSON.stringify(taken)));
}

function firstItems({ lens, index }: AloneLens): readonly Item[] {
  const paging = { mode: 'pages' as const, size: mostListed, sizes: [] };
  return answerAddress(index, { ...lens, paging }, '', Date.now()).items;
}

function tooMuch(has: string, most: string): Problem {
  return new Problem(
    409,
    'too-much-to-bring',
    `A lens brings up to ${most} along, and this one has ${has}. Narrow its scope, or put it on pages by its line.`,
  );
}
