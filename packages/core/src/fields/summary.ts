import type { Term } from '../model/post.js';
import type { FieldDescriber, FieldDescription } from './describe.js';
import { explainFields } from './findings/because.js';
import { maxFindings, type Finding } from './findings/finding.js';
import { openFindings } from './findings/mends.js';
import { lostCharacters } from './findings/texts.js';
import type { RecordReader } from './read/record-reader.js';

/** What is known of fields once all records were read. */
export interface Summary {
  fields: FieldDescription[];
  /** What nothing in force answers. */
  findings: Finding[];
  /** By field. */
  terms: Record<string, Term[]>;
}

/**
 * Sums up a reading: what each field holds, how sure that is, what is wrong with it, and what its mends came to.
 * @param said  keys of the fields of which a person says how they are read
 */
export function summarise(
  reader: RecordReader<Finding>,
  describer: FieldDescriber,
  said: readonly string[] = [],
): Summary {
  const terms = reader.taxonomies;
  const found = reader.findings(lostCharacters);
  const posts = new Map(found.map((finding) => [finding.id, finding.posts]));
  const described = describer.describe(terms).map((field): FieldDescription => {
    const mends = reader.mendsOf(field.key)?.map((mend) =>
      // one that changes nothing is of use as long as there is what it was made for
      mend.rule.does === 'keep' ? { ...mend, used: posts.get(mend.id) ?? 0 } : mend,
    );
    return mends ? { ...field, mends } : field;
  });
  const open = openFindings(
    found,
    described.flatMap(({ mends = [] }) => mends),
  );
  return { fields: explainFields(described, found, said), findings: open.slice(0, maxFindings), terms };
}
