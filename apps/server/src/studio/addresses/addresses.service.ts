import { countMatched, postsAt, readAddress, type Expectation, type Lens, type PostIndex } from '@ivy/core';
import { readAddressList } from '@ivy/formats';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { In, type DataSource, type EntityManager } from 'typeorm';
import type { LensRow } from '../../database/lens.entity.js';
import { SavedAddress } from '../../database/saved-address.entity.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { checkLength } from '../../delivery/results.service.js';
import { Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { inTurns } from '../../shared/turns.js';
import { wholeConfig } from '../lenses/lens-config.js';
import { findRow, newest } from '../lenses/lens-rows.js';
import { AddressChecks } from './address-checks.js';
import type { ChangeAddressBody, FolderBody, ImportAddressesBody, SaveAddressBody } from './saved-address.bodies.js';
import { savedView, type AddressCheck, type AddressesImported, type SavedAddressView } from './saved-address.view.js';

/** Saved addresses a lens may have. */
const mostSaved = 1000;
/** Lines of a list that are said to be passed over. */
const mostSkipped = 200;

/** A lens as it is answered, with its posts. */
interface Answering {
  index: PostIndex;
  config: Lens;
  now: number;
}

/** Keeps the addresses of a lens that someone relies on. */
@Injectable()
export class AddressesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly indexes: IndexCache,
    private readonly checks: AddressChecks,
    private readonly changes: Changes,
  ) {}

  async list(slug: string): Promise<SavedAddressView[]> {
    const { id } = await findRow(this.database.manager, slug);
    return (await inOrder(this.database.manager, id)).map(savedView);
  }

  /** @param of  which state of the lens they are held to */
  async check(slug: string, of: 'draft' | 'release'): Promise<AddressCheck[]> {
    const lens = await findRow(this.database.manager, slug);
    const release = of === 'release' ? await newest(this.database.manager, lens.id) : null;
    if (of === 'release' && !release) {
      throw new Problem(404, 'not-released', `“${lens.name}” has no release yet. Check them on the draft.`);
    }
    const checked = await this.checks.check(lens, wholeConfig(release?.config ?? lens.draft));
    return checked.map(({ saved, held }) => ({ id: saved.id, ...held }));
  }

  async save(slug: string, body: SaveAddressBody): Promise<SavedAddressView> {
    const lens = await findRow(this.database.manager, slug);
    const made = this.#made(await this.#answering(lens), body.address, body);
    return this.#changed(lens, async (manager) => {
      const [row] = await this.#add(manager, lens, [made]);
      return savedView(row!);
    });
  }

  /** Changes a saved address. One that must return something else from now on has what it returns now. */
  async change(slug: string, id: string, body: ChangeAddressBody): Promise<SavedAddressView> {
    const lens = await findRow(this.database.manager, slug);
    const finds = body.address !== undefined || body.expect !== undefined;
    const answering = finds ? await this.#answering(lens) : null;
    return this.#changed(lens, async (manager) => {
      const row = await addressOf(manager, lens, id);
      if (answering) {
        const { address = row.address, expect = row.expect } = body;
        Object.assign(row, this.#made(answering, address, { expect }));
      }
      if (body.name !== undefined) row.name = body.name.trim();
      if (body.folder !== undefined) row.folder = body.folder.trim();
      return savedView(await manager.save(row));
    });
  }

  async renameFolder(slug: string, { folder, to }: FolderBody): Promise<SavedAddressView[]> {
    const lens = await findRow(this.database.manager, slug);
    return this.#changed(lens, async (manager) => {
      await manager.update(SavedAddress, { lensId: lens.id, folder }, { folder: to.trim() });
      return (await inOrder(manager, lens.id)).map(savedView);
    });
  }

  async remove(slug: string, ids: string[]): Promise<void> {
    const lens = await findRow(this.database.manager, slug);
    await this.#changed(lens, async (manager) => {
      const isIds = ids.every((id) => idForm.test(id));
      const { affected } = isIds
        ? await manager.delete(SavedAddress, { lensId: lens.id, id: In(ids) })
        : { affected: -1 };
      if (affected !== new Set(ids).size) throw notThere();
    });
  }

  /** Saves every address of a list, to return what it returns now. */
  async bringIn(slug: string, { text, folder = '' }: ImportAddressesBody): Promise<AddressesImported> {
    const lens = await findRow(this.database.manager, slug);
    const read = readAddressList(text);
    if (typeof read === 'string') throw new Problem(422, 'no-addresses', read);
    const answering = await this.#answering(lens);
    const skipped: AddressesImported['skipped'] = [...read.skipped];
    const known = new Set((await inOrder(this.database.manager, lens.id)).map(({ address }) => address));
    const made: Made[] = [];
    const work = function* (this: AddressesService) {
      for (const { line, address, name } of read.addresses) {
        const clean = queryIn(address);
        if (known.has(clean)) {
          skipped.push({ line, text: address, reason: 'It is there already.' });
          continue;
        }
        known.add(clean);
        if (clean.length > 8192)
          skipped.push({ line, text: address.slice(0, 200), reason: 'It is longer than an address may be.' });
        else made.push(this.#made(answering, clean, { name, folder }));
        yield;
      }
    };
    await inTurns(work.call(this));
    const added = await this.#changed(lens, (manager) => this.#add(manager, lens, made));
    return { added: added.map(savedView), skipped: skipped.slice(0, mostSkipped) };
  }

  /** The state of a lens that promises are made by: what visitors have, or the draft before there is a release. */
  async #answering(lens: LensRow): Promise<Answering> {
    const release = await newest(this.database.manager, lens.id);
    const { index } = await this.indexes.of(lens.sourceId);
    return { index, config: wholeConfig(release?.config ?? lens.draft), now: Date.now() };
  }

  #made(
    { index, config, now }: Answering,
    written: string,
    { name, folder, expect }: Omit<ChangeAddressBody, 'address'>,
  ): Made {
    const address = queryIn(written);
    checkLength(address);
    const had = postsAt(index, config, address, now);
    const { query } = readAddress(address, config, index, now);
    const expected = cleanExpectation(expect) ?? { matched: had?.length ?? countMatched(index, query) };
    return { name: name?.trim() ?? '', folder: folder?.trim() ?? '', address, expect: expected, had };
  }

  async #add(manager: EntityManager, { id }: LensRow, made: readonly Made[]): Promise<SavedAddress[]> {
    await manager.query('SELECT 1 FROM lens WHERE id = $1 FOR UPDATE', [id]);
    const there = await inOrder(manager, id);
    if (there.length + made.length > mostSaved) {
      throw new Problem(
        422,
        'too-many-addresses',
        `A lens keeps ${mostSaved} addresses at most, and has ${there.length}. Take some away first.`,
      );
    }
    const next = (there.at(-1)?.position ?? -1) + 1;
    return manager.save(
      made.map((one, i) => manager.create(SavedAddress, { ...one, lensId: id, position: next + i })),
      { chunk: 200 },
    );
  }

  /** Does something to the addresses of a lens in a transaction, of which everyone hears who looks at it. */
  async #changed<T>(lens: LensRow, work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const done = await this.database.transaction(async (manager) => {
      const result = await work(manager);
      await this.changes.note(manager, { kind: 'lens', slug: lens.slug });
      return result;
    });
    void this.changes.tell({ kind: 'lens', slug: lens.slug });
    return done;
  }
}

type Made = Pick<SavedAddress, 'name' | 'folder' | 'address' | 'expect' | 'had'>;

function inOrder(manager: EntityManager, lensId: string): Promise<SavedAddress[]> {
  return manager.find(SavedAddress, {
    where: { lensId },
    order: { position: 'ASC', createdAt: 'ASC', id: 'ASC' },
  });
}

async function addressOf(manager: EntityManager, lens: LensRow, id: string): Promise<SavedAddress> {
  const row = idForm.test(id) ? await manager.findOneBy(SavedAddress, { id, lensId: lens.id }) : null;
  if (!row) throw notThere();
  return row;
}

const idForm = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

function notThere(): Problem {
  return new Problem(404, 'not-found', 'There is no such saved address. It may have been taken away meanwhile.');
}

/** The query string of an address as a person may have it: a whole URL, or with its question mark. */
function queryIn(text: string): string {
  const trimmed = text.trim();
  const at = trimmed.indexOf('?');
  const query = at >= 0 ? trimmed.slice(at + 1) : /^([a-z]+:\/\/|\/)/i.test(trimmed) ? '' : trimmed;
  return query.split('#')[0]!.replace(/\s+/g, '+');
}

/** An expectation with what says something; undefined where nothing does. */
function cleanExpectation(expect: Expectation | undefined): Expectation | undefined {
  const said = Object.entries(expect ?? {}).filter(
    ([, one]) => one !== undefined && !(Array.isArray(one) && one.length === 0),
  );
  return said.length === 0 ? undefined : Object.fromEntries(said);
}
