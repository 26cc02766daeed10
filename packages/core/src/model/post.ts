/** What a field holds. Dates are calendar days without a zone; datetimes are moments. */
export const fieldTypes = ['text', 'html', 'terms', 'date', 'datetime', 'number', 'boolean', 'link', 'image'] as const;
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
  /** It is kept as it came, and never answered. */
  left?: boolean;
  /** What of its values is read as something else, whenever they are read. */
  mends?: Mend[];
}

/** A rule that mends what was found wrong: some values, as they came, are read as another. */
export interface Mend {
  /** Unique in its source. */
  id: string;
  /** What was found, in a sentence. */
  found: string;
  /** What is done about it, in a sentence. */
  text: string;
  from: string[];
  into: string;
}

export const dateOrders = ['day-month', 'month-day'] as const;
export type DateOrder = (typeof dateOrders)[number];

export interface Term {
  /** Unique in its taxonomy. */
  slug: string;
  label: string;
  /** Slug of the term above, null at the top. */
  parent: string | null;
  hidden?: boolean;
  /** Slugs it had before. */
  aliases?: string[];
}

/**
 * A value by the type of its field: text, html, link, image → string; terms → slugs; date → `YYYY-MM-DD`;
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

/** Whether posts can be told apart by the terms of a field. Of any other a column would have to be made first. */
export function hasTerms({ type }: Pick<Field, 'type'>): boolean {
  return type === 'terms' || type === 'boolean';
}
