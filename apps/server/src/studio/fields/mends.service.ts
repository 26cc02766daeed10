import {
  isRemark,
  makeMend,
  mendedFinding,
  mendsIn,
  writtenMend,
  type FieldChange,
  type FieldDescription,
  type Finding,
  type Mend,
} from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { notFound, Problem } from '../../problem/problem.js';
import { SourcesService } from '../sources/sources.service.js';
import { FieldsService } from './fields.service.js';
import type { FindingView, MendMade, MendView } from './mend.view.js';

/** Rules of one field at most. */
const mostMends = 500;

/** A mend of a field. */
interface Wanted {
  field: string;
  mend: Mend;
}

/** Mends what was found wrong by rules of the field it was found in: taken back, values are read as they came. */
@Injectable()
export class MendsService {
  constructor(
    private readonly sources: SourcesService,
    private readonly fields: FieldsService,
  ) {}

  async findings(slug: string): Promise<FindingView[]> {
    const { findings, fields } = await this.sources.find(slug);
    const view = (finding: Finding, mended: string | null): FindingView => ({
      ...finding,
      mends: finding.mends.map(({ id, text }) => ({ id, text })),
      mended,
      isRemark: isRemark(finding),
    });
    const open = findings.map((finding) => view(finding, null));
    const mended = mendsIn(fields).map((mend) => view(mendedFinding(mend.field, mend), mend.mend));
    return [...open, ...mended];
  }

  async list(slug: string): Promise<MendView[]> {
    return mendsIn((await this.sources.find(slug)).fields).map(({ offers: _offers, used = 0, ...mend }) => ({
      ...mend,
      used,
      fits: used > 0,
    }));
  }

  /** Adds a rule; `isLook`: only says what it would do. */
  async add(slug: string, id: string, wanted: string, isLook: boolean): Promise<MendMade> {
    const { findings, fields } = await this.sources.find(slug);
    const finding = findings.find((one) => one.id === id) ?? mendedAs(id, fields);
    if (!finding) throw notFound('finding', id.slice(0, 100));
    const mend = makeMend(finding, wanted);
    if (!mend) throw new Problem(422, 'no-mend', 'That is nothing that can be done about it. See what its mends are.');
    return this.#apply(slug, fields, [{ field: finding.field, mend }], isLook);
  }

  /** Mends all findings of a kind, each in the way that is advised for it. */
  async addAll(slug: string, code: string, isLook: boolean): Promise<MendMade> {
    const { findings, fields } = await this.sources.find(slug);
    const wanted = findings
      .filter((finding) => finding.code === code)
      .flatMap((finding): Wanted[] => {
        const mend = finding.mends[0] && makeMend(finding, finding.mends[0].id);
        return mend ? [{ field: finding.field, mend }] : [];
      });
    if (wanted.length === 0) throw notFound('finding', code.slice(0, 100));
    return this.#apply(slug, fields, wanted, isLook);
  }

  /** Has values of a field read as what a person wrote in their place. */
  async write(slug: string, key: string, values: Record<string, string>, isLook: boolean): Promise<MendMade> {
    const { fields } = await this.sources.find(slug);
    const wanted = Object.entries(values).map(([from, into]) => ({ field: key, mend: writtenMend(key, from, into) }));
    if (wanted.length === 0) throw new Problem(422, 'no-mend', 'Say what at least one value is to be read as.');
    return this.#apply(slug, fields, wanted, isLook);
  }

  /** Takes a rule back, whatever was added after it. */
  async remove(slug: string, id: string): Promise<void> {
    const { fields } = await this.sources.find(slug);
    const field = fields.find(({ mends = [] }) => mends.some((one) => one.id === id));
    if (!field) throw notFound('mend', id.slice(0, 100));
    const mends = field.mends!.filter((one) => one.id !== id);
    await this.fields.change(slug, field.key, { [field.key]: { mends } });
  }

  async #apply(
    slug: string,
    fields: readonly FieldDescription[],
    wanted: readonly Wanted[],
    isLook: boolean,
  ): Promise<MendMade> {
    const changes: Record<string, FieldChange> = {};
    for (const { field, mend } of wanted) {
      const known = fields.find(({ key }) => key === field);
      if (!known) throw notFound('field', field.slice(0, 100));
      const before = changes[field]?.mends ?? known.mends ?? [];
      const mends = [...before.filter((one) => one.id !== mend.id), mend];
      if (mends.length > mostMends) {
        const detail = `A field takes ${mostMends} mends. Mend the file itself, and bring it in anew.`;
        throw new Problem(422, 'no-mend', detail);
      }
      changes[field] = { mends };
    }
    const [first] = wanted;
    const made = await (isLook
      ? this.fields.preview(slug, first!.field, changes)
      : this.fields.change(slug, first!.field, changes));
    const ids = wanted.map(({ mend }) => mend.id);
    return { id: ids[0]!, ids, ...made };
  }
}

/** What is mended by a rule in force may be mended in another way. */
function mendedAs(id: string, fields: readonly FieldDescription[]): Finding | undefined {
  const inForce = mendsIn(fields).find((one) => one.id === id);
  return inForce && mendedFinding(inForce.field, inForce);
}
