import type { Markup } from '@ivy/core';
import type { ModuleRef } from '@nestjs/core';
import { getDataSourceToken } from '@nestjs/typeorm';
import { existsSync, readFileSync, statSync } from 'node:fs';
import type { DataSource } from 'typeorm';
import { Setting } from '../../database/setting.entity.js';
import { Source } from '../../database/source.entity.js';
import { ReleasesService } from '../lenses/releases.service.js';
import { LensesService } from '../lenses/lenses.service.js';
import { Problem } from '../../problem/problem.js';
import { nameOfHost } from '../../doors/doors.js';
import { fromRoot } from '../../shared/paths.js';
import { oneFile } from '../intake/given-files.js';
import { LiveService } from '../live/live.service.js';
import { SourcesService } from '../sources/sources.service.js';

/** A part of the demo: a source, and lenses on it or on one that was there before. */
interface DemoPart {
  file: string;
  name: string;
  source: string;
  lenses: readonly { slug: string; source: string; name: string; note: string }[];
}

const parts: Record<string, DemoPart> = {
  notes: {
    file: 'field-notes.csv',
    name: 'Orrin field notes',
    source: 'orrin-field-notes',
    lenses: [{ slug: 'field-notes', source: 'orrin-field-notes', name: 'Field notes', note: 'First notes page' }],
  },
  walks: {
    file: 'walks.csv',
    name: 'Orrin walks',
    source: 'orrin-walks',
    lenses: [
      { slug: 'walks', source: 'orrin-walks', name: 'Walks', note: 'The calendar' },
      { slug: 'notes-there', source: 'orrin-field-notes', name: 'Notes from there', note: 'Beside the calendar' },
    ],
  },
  notices: {
    file: 'notices.csv',
    name: 'Orrin notices',
    source: 'orrin-notices',
    lenses: [{ slug: 'notices', source: 'orrin-notices', name: 'Notices', note: 'On the board as it is' }],
  },
};

/** The config of a lens of the demo; a page it stands on is one of the demo site. */
function configOf(slug: string, site: string): object {
  const config = JSON.parse(readFileSync(fromRoot('demo', 'lenses', `${slug}.json`), 'utf8')) as { markup?: Markup };
  if (!config.markup) return config;
  return { ...config, markup: { ...config.markup, page: site + config.markup.page } };
}

/** What gives the services of the app. */
interface Services {
  get<T>(token: Parameters<ModuleRef['get']>[0]): T;
}

/** The lens of the demo that one sees first. */
export const demoLens = 'field-notes';

/** Origin of the demo site: it stands beside the server, unless it is said to stand elsewhere. */
export function siteOfDemo(): string {
  const { HOST = '127.0.0.1', PORT = '4800', IVY_DEMO_SITE } = process.env;
  return IVY_DEMO_SITE ?? `http://${nameOfHost(HOST)}:${Number(PORT) + 1}`;
}

/**
 * Loads each part of the demo once, through the same door as anyone's file. What a person takes away afterwards stays
 * away; only the address of the demo site is kept current.
 * @param site   origin of the demo site
 * @param again  whether what was taken away comes back
 */
export async function loadDemo(app: Services, site: string, again = false): Promise<void> {
  const database = app.get<DataSource>(getDataSourceToken());
  const settings = database.getRepository(Setting);
  const before = (await settings.findOneBy({ key: 'demo' }))?.value as { loaded?: unknown } | undefined;
  // the first demos had the notes alone, and said only that they were loaded
  const loaded = Array.isArray(before?.loaded) ? (before.loaded as string[]) : before?.loaded ? ['notes'] : [];
  for (const { source } of Object.values(parts)) {
    await database.getRepository(Source).update({ slug: source }, { site });
  }
  await keepPressCurrent(database);
  await keepPagesCurrent(database, site);
  const loaders = {
    ...Object.fromEntries(Object.entries(parts).map(([name, part]) => [name, () => loadPart(app, part, site)])),
    press: () => loadPress(app),
  };
  for (const [name, load] of Object.entries(loaders)) {
    if (loaded.includes(name) && !again) continue;
    if (!(await load())) continue;
    if (!loaded.includes(name)) loaded.push(name);
    await settings.save({ key: 'demo', value: { loaded } });
  }
}

/** The source of the demo that is fetched from its press, and minutes between two looks. */
const pressSource = { slug: 'wardens-press', name: 'Wardens’ press', path: '/api/notes', every: 5 };

/** @returns whether it is there: the press may be elsewhere, or not be started at all */
async function loadPress(app: Services): Promise<boolean> {
  const press = process.env.IVY_DEMO_PRESS;
  if (press === undefined) return false;
  const { slug, name, path, every } = pressSource;
  try {
    await onlyIfNew(async () => {
      await app.get<LiveService>(LiveService).create({ slug, name, url: press + path, every });
    });
    return true;
  } catch (error) {
    // it is loaded at the next start then
    if (error instanceof Problem) return false;
    throw error;
  }
}

/** Pages that lenses of the demo stand on are pages of the demo site, wherever that stands now. */
async function keepPagesCurrent(database: DataSource, site: string): Promise<void> {
  for (const { slug } of Object.values(parts).flatMap(({ lenses }) => lenses)) {
    const { markup } = JSON.parse(readFileSync(fromRoot('demo', 'lenses', `${slug}.json`), 'utf8')) as {
      markup?: Markup;
    };
    if (!markup) continue;
    const isOfDemo = (column: string) => `${column} #>> '{markup,page}' ~ ('^https?://[^/]+' || $3 || '$')`;
    const moved = (column: string) => `${column} = jsonb_set(${column}, '{markup,page}', to_jsonb($2 || $3::text))`;
    const given = [slug, site, markup.page];
    await database.query(`UPDATE lens SET ${moved('draft')} WHERE slug = $1 AND ${isOfDemo('draft')}`, given);
    await database.query(
      `UPDATE release SET ${moved('config')} FROM lens WHERE lens.id = lens_id AND lens.slug = $1 AND ${isOfDemo('config')}`,
      given,
    );
  }
}

/** The press may stand at another port than the last time. */
async function keepPressCurrent(database: DataSource): Promise<void> {
  const press = process.env.IVY_DEMO_PRESS;
  if (press === undefined) return;
  const { slug, path } = pressSource;
  const feeds = [{ address: press + path, name: new URL(press).host }];
  await database.query('UPDATE source SET site = $2 WHERE slug = $1', [slug, press]);
  await database.query(
    `UPDATE live SET feeds = $2::jsonb, pages = '[]', joins = NULL FROM source WHERE source.id = source_id AND source.slug = $1
     AND jsonb_array_length(feeds) = 1 AND feeds #>> '{0,address}' ~ ('^http://[^/]+' || $3 || '$') AND feeds <> $2::jsonb`,
    [slug, JSON.stringify(feeds), path],
  );
}

/** @returns whether there was something to load */
async function loadPart(app: Services, part: DemoPart, site: string): Promise<boolean> {
  const sources = app.get<SourcesService>(SourcesService);
  const lenses = app.get<LensesService>(LensesService);
  const releases = app.get<ReleasesService>(ReleasesService);
  const path = fromRoot('demo', 'dist', part.file);
  if (!existsSync(path)) return false;
  await onlyIfNew(async () => {
    const { file: fileName, name, source: slug } = part;
    await sources.bringIn({ given: oneFile(path, fileName), size: statSync(path).size, fileName, name, slug, site });
  });
  for (const { slug, source, name, note } of part.lenses) {
    await onlyIfNew(async () => {
      await lenses.create({ name, source, slug, config: configOf(slug, site) });
      await releases.publish(slug, { note, anyway: true }, undefined);
    });
  }
  return true;
}

/**
 * A first run cut short may have loaded part of it: what is there already is left as it is. What stood on a source that
 * a person took away is not brought either.
 */
async function onlyIfNew(load: () => Promise<void>): Promise<void> {
  try {
    await load();
  } catch (error) {
    if (!(error instanceof Problem && (error.code === 'slug-taken' || error.code === 'not-found'))) throw error;
  }
}
