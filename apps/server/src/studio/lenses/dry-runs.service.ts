import { prewarmColumns, prepareAnswer, readQuestion, dryRunOfQuestion, type DryRun } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { IndexCache } from '../../delivery/index-cache.js';
import { checkLength } from '../../delivery/results.service.js';
import { inTurns } from '../../shared/turns.js';
import { LensesService } from './lenses.service.js';

/** Tries configs out that are not kept. */
@Injectable()
export class DryRunsService {
  constructor(
    private readonly lenses: LensesService,
    private readonly indexes: IndexCache,
  ) {}

  /** Answers with a config as it would be answered: what the Bench shows while one works on it. */
  async answer(slug: string, body: { config: object; address: string; from?: number }): Promise<DryRun> {
    const { lens: row, config } = await this.lenses.readFor(slug, body.config);
    checkLength(body.address);
    const { index } = await this.indexes.of(row.sourceId);
    const now = Date.now();
    await inTurns(prewarmColumns(index, config));
    const { query, notices } = readQuestion(index, config, body.address, now, body.from ?? 1);
    await inTurns(prepareAnswer(index, query));
    return dryRunOfQuestion(index, config, { name: row.name, source: row.source.slug }, query, notices);
  }
}
