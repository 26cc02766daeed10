import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { createHash, randomBytes } from 'node:crypto';
import type { DataSource } from 'typeorm';
import { seal, unseal } from '../../shared/seal.js';

/**
 * Seals what is secret. The key is `IVY_SECRET` where the owner gives one, and is then nowhere in the database; else one
 * that the database keeps for all processes.
 */
@Injectable()
export class Secrets {
  #key: Promise<Buffer> | null = null;

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async seal(secret: Readonly<Record<string, string>>): Promise<Buffer | null> {
    return Object.keys(secret).length === 0 ? null : seal(JSON.stringify(secret), await this.#theKey());
  }

  /** @returns null where it was sealed by another key */
  async open(sealed: Buffer | null): Promise<Record<string, string> | null> {
    if (sealed === null) return {};
    const text = unseal(sealed, await this.#theKey());
    return text === null ? null : (JSON.parse(text) as Record<string, string>);
  }

  #theKey(): Promise<Buffer> {
    const { IVY_SECRET } = process.env;
    if (IVY_SECRET) return Promise.resolve(createHash('sha256').update(IVY_SECRET).digest());
    return (this.#key ??= this.#keptKey());
  }

  async #keptKey(): Promise<Buffer> {
    const value = JSON.stringify({ key: randomBytes(32).toString('base64') });
    await this.database.query(`INSERT INTO setting (key, value) VALUES ('secret', $1::jsonb) ON CONFLICT DO NOTHING`, [
      value,
    ]);
    const rows: { value: { key: string } }[] = await this.database.query(
      `SELECT value FROM setting WHERE key = 'secret'`,
    );
    return Buffer.from(rows[0]!.value.key, 'base64');
  }
}
