import { checkAddress, prewarmColumns, type Held, type Lens, type Steps } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import type { LensRow } from '../../database/lens.entity.js';
import { SavedAddress } from '../../database/saved-address.entity.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { Problem } from '../../problem/problem.js';
import { inTurns } from '../../shared/turns.js';

/** A saved address, and whether it holds. */
export interface Checked {
  saved: SavedAddress;
  held: Held;
}

/** Holds saved addresses to what they must return. */
@Injectable()
export class AddressChecks {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly indexes: IndexCache,
  ) {}

  /** All saved addresses of a lens, in their order, by a state of it. */
  async check({ id, sourceId }: LensRow, config: Lens): Promise<Checked[]> {
    const saved = await this.database
      .getRepository(SavedAddress)
      .find({ where: { lensId: id }, order: { position: 'ASC', createdAt: 'ASC', id: 'ASC' } });
    if (saved.length === 0) return [];
    const { index } = await this.indexes.of(sourceId);
    const now = Date.now();
    function* each(): Steps<Checked[]> {
      yield* prewarmColumns(index, config);
      const checked: Checked[] = [];
      for (const one of saved) {
        checked.push({ saved: one, held: checkAddress(index, config, one.address, one.expect, one.had, now) });
        yield;
      }
      return checked;
    }
    return inTurns(each());
  }

  /** Refuses a state of a lens by which saved addresses do not hold, and names them. */
  async refuseFailing(lens: LensRow, config: Lens): Promise<void> {
    const failing = (await this.check(lens, config)).filter(({ held }) => !held.holds);
    if (failing.length === 0) return;
    const errors = failing.map(({ saved, held }) => ({
      pointer: `/addresses/${saved.id}`,
      message: `${saved.name || `?${saved.address}`}: ${held.reasons.join('; ')}`,
    }));
    const many =
      failing.length === 1 ? 'A saved address no longer holds' : `${failing.length} saved addresses no longer hold`;
    throw new Problem(409, 'addresses-fail', `${many}. Settle them, or publish anyway. See errors.`, errors);
  }
}
