/** What a field holds. Dates are calendar days without a zone; datetimes are moments. */
export const fieldTypes = [
  'text',
  'html',
  'terms',
  'date',
  'datetime',
  'number',
  'boolean',
  'link',
  'image',
  'reference',
] as const;
export type FieldType = (typeof fieldTypes)[number];

/** What a field is for, when it is for something. Each role belongs to at most one field. */
export const fieldRoles = ['id', 'title', 'summary', 'body', 'link', 'image', 'published', 'author'] as const;
export type FieldRole = (typeof fieldRoles)[number];

export interface Field {
  key: string;
  label: string;
  type: FieldType;
  role: FieldRole | null;
  /** A post may carry several values. */
  multiple: boolean;
  /** Its terms form a tree. */
  tree: boolean;
  /** What parts several values in one cell; null when they arrive as a list or one at a time. */
  separator: string | null;
  /** What parts the levels of a path such as `Shore > Mudflat`. */
  pathSeparator: string | null;
  /** How its slashed days are written, where someone said so. */
  dateOrder?: DateOrder;
  /** What stands before the parts of a whole in its numbers, where that is a comma. */
  decimal?: ',';
  /** What stands around its numbers and is no part of them: `min` in `12 min`. */
  unit?: string;
  /** The words of its own for yes and no. */
  words?: Answers;
  /** Where its terms form a tree by another field: the key of the one that names the term above. */
  parent?: string;
  /** Where its days are the start of a span: the key of the field they last until. */
  end?: string;
  /** Where its values stand for posts of another source. */
  reference?: Reference;
  /** Where its values are objects: the name of what in them they go by. */
  by?: string;
  /** Keys of columns made up for cells that came after this, the last one named. */
  beyond?: string[];
  /** It is kept as it came, and never answered. */
  left?: boolean;
  /** How sure it is that it is read as it is meant, and why. */
  sureness?: Sureness;
  because?: string;
  /** What of its values is read as something else, whenever they are read. */
  mends?: Mend[];
}

/** How sure a guess is: nothing speaks against it, little does, or it could as well be something else. */
export const surenesses = ['sure', 'likely', 'unsure'] as const;
export type Sureness = (typeof surenesses)[number];

/** Words that stand for yes, and for no. */
export interface Answers {
  yes: string[];
  no: string[];
}

/** Posts of another source that values stand for. */
export interface Reference {
  /** Slug of the source. */
  source: string;
  /** Field there that has the same values. */
  key: string;
  /** Field there that is shown. */
  label: string;
}

/** A rule that mends what was found wrong, whenever values are read. */
export interface Mend {
  /** That of the finding it mends, unique in its source. */
  id: string;
  /** Code of the finding. */
  code: string;
  /** Which of the finding's mends it is. */
  mend: string;
  /** What was found, in a sentence. */
  found: string;
  /** What is done about it, in a sentence. */
  text: string;
  rule: MendRule;
  /** All that can be done about the finding. */
  offers?: MendOffer[];
  /** Values that it made another, when they were last read. */
  used?: number;
}

/** What can be done about a finding. */
export interface MendOffer {
  /** Unique among those of its finding. */
  id: string;
  text: string;
  rule: MendRule;
}

/** What a mend does to values as they came. */
export type MendRule =
  /** Nothing: it is meant as it is, and told no more. */
  | { does: 'keep' }
  /** Some values, or labels of terms, are read as another; as nothing where that is empty. */
  | { does: 'read'; from: string[]; into: string }
  /** Terms at the top are read as standing under others, named top first. */
  | { does: 'place'; terms: string[]; under: string[] }
  /** Terms stand at the top, whatever another column names above them. */
  | { does: 'top'; terms: string[] }
  /** Slashed days are read in this order; `either`: those that can't be, in the other. */
  | { does: 'order'; as: DateOrder | 'either' }
  /** Letters that look like figures are read as those: O as 0, l as 1. */
  | { does: 'figures' }
  /** A day after the last of its month is read as the last. */
  | { does: 'last-day' }
  /** Posts with nothing there get this value. */
  | { does: 'fill'; with: string }
  /** Posts with nothing there get what another field has. */
  | { does: 'fallback'; field: string }
  /** Cells that came after the last are read as the rest of it. */
  | { does: 'join'; fields: string[] }
  /** Of posts with the same value, all but the first or the last are left out. */
  | { does: 'leave'; posts: 'later' | 'earlier' }
  /** Posts of one id stay, each under an id of its own. */
  | { does: 'number' }
  /** Markup is taken away, and its words stay. */
  | { does: 'strip' }
  /** Characters written as `&amp;` are read as what they stand for. */
  | { does: 'decode' }
  /** An address without one gets this before it. */
  | { does: 'prefix'; with: string }
  /** Objects go by this of theirs. */
  | { does: 'by'; name: string };

export const dateOrders = ['day-month', 'month-day'] as const;
export type DateOrder = (typeof dateOrders)[number];

export interface Term {
  /** Unique in its taxonomy. */
  slug: string;
  label: string;
  /** Slug of the term above, null at the top. */
  parent: string | null;
  hidden?: boolean;
  /** Slugs that lead to it: those it had, and those of terms that were merged into it. */
  aliases?: string[];
  /** Of these, the ones it had itself: what a lens says of them is said of it. */
  was?: string[];
  /** Address of a picture that stands for it. */
  picture?: string;
  /** Its colour, `#rrggbb`. */
  colour?: string;
  /** Once someone shaped it: the labels, top first, by which values lead to it. Empty for one that was added by hand. */
  paths?: string[][];
  /** It was deleted: values that lead to it are passed over. */
  gone?: boolean;
}

/** The terms that are there. */
export function livingTerms(terms: readonly Term[]): readonly Term[] {
  return terms.some(({ gone }) => gone) ? terms.filter(({ gone }) => !gone) : terms;
}

/**
 * A value by the type of its field: text, html, link, image → string; terms, reference → slugs; date → `YYYY-MM-DD`;
 * datetime → `YYYY-MM-DDTHH:mm:ss` with `Z`, an offset, or nothing; number; boolean.
 */
export type Value = string | number | boolean | string[];

export interface Post {
  id: string;
  values: Record<string, Value>;
}

/** A source's contents: all an index is made from. */
export interface Collection {
  fields: Field[];
  /** Terms by field key, each parent before its children, in the order they are shown. */
  taxonomies: Record<string, Term[]>;
  posts: Post[];
}

/** A field of text with nothing more said of it. */
export function plainField(key: string, label: string): Field {
  return {
    key,
    label,
    type: 'text',
    role: null,
    multiple: false,
    tree: false,
    separator: null,
    pathSeparator: null,
  };
}

/** The fields that posts are answered by: those that are left out are kept raw alone. */
export function answered<F extends Field>(fields: readonly F[]): F[] {
  return fields.filter(({ left }) => !left);
}

/** The field that bears a role, if one does. */
export function fieldWithRole(fields: readonly Field[], role: FieldRole): Field | undefined {
  return fields.find((field) => field.role === role);
}

/** Whether a field's values are terms of a taxonomy of its own. */
export function holdsTerms({ type }: Pick<Field, 'type'>): boolean {
  return type === 'terms' || type === 'reference';
}

/** Whether posts can be told apart by the terms of a field. Of any other a column would have to be made first. */
export function hasTerms(field: Pick<Field, 'type'>): boolean {
  return holdsTerms(field) || field.type === 'boolean';
}
