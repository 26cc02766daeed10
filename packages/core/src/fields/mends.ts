import type { Mend } from '../model/post.js';
import type { FieldDescription } from './describe.js';
import type { Finding } from './findings.js';

/** What can be done about a finding. */
export interface MendOffer {
  id: string;
  text: string;
}

/** Tells a finding from every other of its source. */
export function findingId({ code, field, values }: Finding): string {
  return [code, field, ...(code === 'near-twins' ? values : [])].join('~');
}

/** What can be done about a finding by a rule. What wants a decision about the whole field is done there. */
export function mendsFor(finding: Finding): MendOffer[] {
  if (finding.code !== 'near-twins') return [];
  return finding.values.map((label) => ({ id: label, text: `Read all as “${label}”` }));
}

/**
 * Makes the rule that mends a finding.
 * @param id  of the finding, also where its values stand in another order than when it was found
 * @returns null where that mend is none of it
 */
export function makeMend(finding: Finding, mend: string, id = findingId(finding)): Mend | null {
  if (!mendsFor(finding).some((offer) => offer.id === mend)) return null;
  const from = finding.values.filter((label) => label !== mend);
  const found = `${from.map((label) => `“${label}”`).join(', ')} and “${mend}”`;
  return { id, found, text: `Read all as “${mend}”`, from, into: mend };
}

/** What a rule in force was made for: it is found no more, and may be mended in another way. */
export function mendedFinding(field: string, { found, from, into }: Mend): Finding {
  return { code: 'near-twins', field, posts: 0, values: [...from, into], text: `Mended: ${found}.` };
}

/** The rules in force in a source, in the order of its fields. */
export function mendsIn(fields: readonly FieldDescription[]): (Mend & { field: string })[] {
  return fields.flatMap(({ key, mends = [] }) => mends.map((mend) => ({ ...mend, field: key })));
}
