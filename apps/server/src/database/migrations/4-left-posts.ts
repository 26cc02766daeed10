import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Posts may be left out and kept; findings and mends say themselves what they are and do. */
export class LeftPosts1700000000004 implements MigrationInterface {
  readonly name = 'LeftPosts1700000000004';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE post ADD COLUMN left_by text[] NOT NULL DEFAULT '{}'`);
    const sources = (await runner.query('SELECT id, fields, findings FROM source')) as OldSource[];
    for (const { id, fields, findings } of sources) {
      await runner.query('UPDATE source SET fields = $2::jsonb, findings = $3::jsonb WHERE id = $1', [
        id,
        JSON.stringify(fields.map(newField)),
        JSON.stringify(findings.map(newFinding)),
      ]);
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE post DROP COLUMN left_by');
  }
}

interface OldSource {
  id: string;
  fields: OldField[];
  findings: OldFinding[];
}

interface OldMend {
  id: string;
  found: string;
  text: string;
  from: string[];
  into: string;
}

interface OldField {
  mends?: OldMend[];
}

interface OldFinding {
  code: string;
  field: string;
  values: string[];
}

function newField({ mends, ...field }: OldField): object {
  if (!mends) return field;
  const rules = mends.map(({ id, found, text, from, into }) => {
    const rule = { does: 'read', from, into };
    return { id, code: 'near-twins', mend: into, found, text, rule };
  });
  return { ...field, mends: rules };
}

function newFinding(finding: OldFinding): object {
  const isTwins = finding.code === 'near-twins';
  const id = [finding.code, finding.field, ...(isTwins ? finding.values : [])].join('~');
  const mends = finding.values.map((into) => {
    const rule = { does: 'read', from: finding.values.filter((label) => label !== into), into };
    return { id: into, text: `Read all as “${into}”`, rule };
  });
  return { ...finding, id, mends: isTwins ? mends : [] };
}
