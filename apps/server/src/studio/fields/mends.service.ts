import { findingId, makeMend, mendedFinding, mendsFor, mendsIn } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { notFound, Problem } from '../../problem/problem.js';
import { SourcesService } from '../sources/sources.service.js';
import { FieldsService } from './fields.service.js';
import type { FindingView, MendMade, MendView } from './mend.view.js';

/** Rules of one field at most. */
const mostMends = 500;

/** Mends what was found wrong by rules of the field it was found in: taken back, values are read as they came. */
@Injectable()
export class MendsService {
  constructor(
    private readonly sources: SourcesService,
    private readonly fields: FieldsService,
  ) {}

  async findings(slug: string): Promise<FindingView[]> {
    const { findings, fields } = await this.sources.find(slug);
    const found = findings.map((finding) => ({ ...finding, id: findingId(finding), mended: null }));
    const mended = mendsIn(fields).map((mend) => ({
      ...mendedFinding(mend.field, mend),
      id: mend.id,
      mended: mend.into,
    }));
    return [...found, ...mended].map((one) => ({ ...one, mends: mendsFor(one) }));
  }

  async list(slug: string): Promise<MendView[]> {
    return mendsIn((await this.sources.find(slug)).fields);
  }

  /** Adds a rule; `isLook`: only says what it would do. */
  async add(slug: string, id: string, wanted: string, isLook: boolean): Promise<MendMade> {
    const { findings, fields } = await this.sources.find(slug);
    const inForce = mendsIn(fields).find((one) => one.id === id);
    const finding = inForce ? mendedFinding(inForce.field, inForce) : findings.find((one) => findingId(one) === id);
    if (!finding) throw notFound('finding', id.slice(0, 100));
    const mend = makeMend(finding, wanted, id);
    if (!mend) throw new Problem(422, 'no-mend', 'That is nothing that can be done about it. See what its mends are.');
    const before = fields.find(({ key }) => key === finding.field)?.mends ?? [];
    if (before.length >= mostMends) {
      throw new Problem(
        422,
        'no-mend',
        `A field takes ${mostMends} mends. Mend the file itself, and bring it in anew.`,
      );
    }
    const mends = [...before.filter((one) => one.id !== mend.id), mend];
    const made = await (isLook
      ? this.fields.preview(slug, finding.field, { mends })
      : this.fields.change(slug, finding.field, { mends }));
    return { id: mend.id, ...made };
  }

  /** Takes a rule back, whatever was added after it. */
  async remove(slug: string, id: string): Promise<void> {
    const { fields } = await this.sources.find(slug);
    const field = fields.find(({ mends = [] }) => mends.some((one) => one.id === id));
    if (!field) throw notFound('mend', id.slice(0, 100));
    await this.fields.change(slug, field.key, { mends: field.mends!.filter((one) => one.id !== id) });
  }
}
