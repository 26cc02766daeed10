import { look, type SightName, type Sights, type Steps } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { IndexCache } from '../../delivery/index-cache.js';
import { checkLength } from '../../delivery/results.service.js';
import { Problem } from '../../problem/problem.js';
import { inTurns } from '../../shared/turns.js';
import { LensesService } from './lenses.service.js';

/** What is looked at: a config, kept or not, at an address. */
export interface Sighted {
  config: object;
  address: string;
}

/** Looks at lenses for whoever works on them: what keeps posts out, and what visitors stumble over. */
@Injectable()
export class SightsService {
  constructor(
    private readonly lenses: LensesService,
    private readonly indexes: IndexCache,
  ) {}

  /** @param isLeft  whether nobody waits for it any more: what takes long is then let go */
  async see<K extends SightName>(
    slug: string,
    name: K,
    { config: written, address }: Sighted,
    wanted: Sights[K]['wanted'],
    isLeft: () => boolean,
  ): Promise<Sights[K]['seen']> {
    const { lens, config } = await this.lenses.readFor(slug, written);
    checkLength(address);
    const { index } = await this.indexes.of(lens.sourceId);
    return inTurns(unlessLeft(look(name, index, config, address, wanted, Date.now()), isLeft));
  }

  /** The same of the draft as it is kept. */
  async ofDraft<K extends SightName>(
    slug: string,
    name: K,
    wanted: Sights[K]['wanted'],
    isLeft: () => boolean,
  ): Promise<Sights[K]['seen']> {
    const { draft: config } = await this.lenses.row(slug);
    return this.see(slug, name, { config, address: '' }, wanted, isLeft);
  }
}

function* unlessLeft<T>(steps: Steps<T>, isLeft: () => boolean): Steps<T> {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    if (isLeft()) throw new Problem(503, 'left', 'Nobody waits for this any more.');
    yield;
  }
}
