import type { FieldDescription } from '../describe.js';
import type { Mend } from '../../model/post.js';
import { makeFinding, type Finding } from './finding.js';

/** Makes the rule that mends a finding; null where that mend is none of it. */
export function makeMend(finding: Finding, id: string): Mend | null {
  const offer = finding.mends.find((one) => one.id === id);
  if (!offer) return null;
  const { id: of, code, text, mends } = finding;
  return { id: of, code, mend: id, found: text, text: offer.text, rule: offer.rule, offers: mends };
}

/** The rule that has one value read as what a person wrote in its place; empty: as nothing. */
export function writtenMend(field: string, from: string, into: string): Mend {
  const text = into === '' ? `Leave “${from}” out` : `Read “${from}” as “${into}”`;
  const id = `written~${field}~${from}`;
  return { id, code: 'written', mend: 'write', found: `“${from}”`, text, rule: { does: 'read', from: [from], into } };
}

/** What a rule in force was made for: it is found no more, and may be mended in another way. */
export function mendedFinding(field: string, { id, code, found, offers = [], used = 0 }: Mend): Finding {
  return { ...makeFinding({ code, field: { key: field }, posts: used, text: found, mends: offers }), id };
}

/** The rules in force in a source, in the order of its fields. */
export function mendsIn(fields: readonly FieldDescription[]): (Mend & { field: string })[] {
  return fields.flatMap(({ key, mends = [] }) => mends.map((mend) => ({ ...mend, field: key })));
}

/** Findings that nothing in force answers. A mend that left some of it open is told together with what is left. */
export function openFindings(findings: readonly Finding[], mends: readonly Mend[]): Finding[] {
  const kept = new Set(mends.filter(({ rule }) => rule.does === 'keep').map(({ id }) => id));
  return findings.filter(({ id }) => !kept.has(id));
}

/** Whether a finding is only worth knowing: nothing in it need be wrong. */
export function isRemark({ code }: Pick<Finding, 'code'>): boolean {
  return remarks.has(code);
}

const remarks = new Set([
  'gaps',
  'missing-pictures',
  'on-every-post',
  'on-one-post',
  'duplicate-titles',
  'future-dates',
]);
