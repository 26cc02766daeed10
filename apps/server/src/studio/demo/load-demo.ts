import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { getDataSourceToken } from '@nestjs/typeorm';
import { existsSync, readFileSync, statSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { Setting } from '../../database/setting.entity.js';
import { Source } from '../../database/source.entity.js';
import { LensesService } from '../lenses/lenses.service.js';
import { Problem } from '../../problem/problem.js';
import { fromRoot } from '../../shared/paths.js';
import { SourcesService } from '../sources/sources.service.js';

const sourceSlug = 'orrin-field-notes';
const lensSlug = 'field-notes';

/**
 * Loads the demo once, through the same door as anyone's file. What a person takes away afterwards stays away; only
 * the address of the demo site is kept current.
 * @param site  origin of the demo site
 */
export async function loadDemo(app: NestFastifyApplication, site: string): Promise<void> {
  const database = app.get<DataSource>(getDataSourceToken());
  const sources = app.get(SourcesService);
  const lenses = app.get(LensesService);
  if (await database.getRepository(Setting).findOneBy({ key: 'demo' })) {
    await database.getRepository(Source).update({ slug: sourceSlug }, { site });
    return;
  }
  const file = fromRoot('demo', 'dist', 'field-notes.csv');
  if (!existsSync(file)) return;
  await onlyIfNew(async () => {
    await sources.bringIn({
      path: file,
      size: statSync(file).size,
      fileName: 'field-notes.csv',
      name: 'Orrin field notes',
      slug: sourceSlug,
      site,
    });
  });
  await onlyIfNew(async () => {
    const config = JSON.parse(readFileSync(fromRoot('demo', 'lens.json'), 'utf8')) as object;
    await lenses.create({ name: 'Field notes', source: sourceSlug, slug: lensSlug, config });
    await lenses.publish(lensSlug, 'First notes page', undefined);
  });
  await database.getRepository(Setting).save({ key: 'demo', value: { loaded: true } });
}

/** A first run cut short may have loaded part of it: what is there already is left as it is. */
async function onlyIfNew(load: () => Promise<void>): Promise<void> {
  try {
    await load();
  } catch (error) {
    if (!(error instanceof Problem && error.code === 'slug-taken')) throw error;
  }
}
