import { plainField, type Field, type FieldRole, type FieldType } from '../model/post.js';
import { fold, humanise } from '../text/slug.js';
import { own } from '../text/own.js';
import { privateWords } from './private.js';
import { keyOfObjects, relateFields } from './relations.js';
import { cellText, cellTexts, isEmpty, isObject, nameKeys, type RawRecord, type Records } from './read/cell.js';
import { isSinceEpoch, readDay, readMoment } from './values/dates.js';
import { isNested } from './read/tree.js';
import { decimalOf, readNumber, type Decimal } from './values/numbers.js';
import { unitOf, withoutUnit } from './values/units.js';
import { isParting } from './values/parting.js';
import { readBoolean } from './values/yes-or-no.js';

/** Records looked at to tell a field's type. More would not change the answer, only the wait. */
const sampleSize = 5000;

interface Column {
  key: string;
  /** What its objects go by, where that is not what most do. */
  by: string | undefined;
  /** Raw values that are not empty. */
  raw: unknown[];
  texts: string[];
  distinct: number;
  records: number;
}

/**
 * Tells what fields records have: type, separators, and which field has which role.
 * @param records  as read from a file; values of any JSON kind
 */
export function discoverFields(records: Records): Field[] {
  const sample = sampleOf(records);
  const columns = columnsOf(records, sample);
  const fields = columns.map(fieldOf);
  giveRoles(fields, columns);
  return relateFields(leavePrivate(fields, columns), sample, records);
}

/** What people are reached by is left out until someone asks for it; an id or a title is no secret. */
function leavePrivate(fields: readonly Field[], columns: readonly Column[]): Field[] {
  return fields.map((field, i) => {
    const because = field.role === null || field.role === 'author' ? privateWords(field.key, columns[i]!.texts) : null;
    return because === null ? field : { ...field, type: 'text', role: null, left: true, because };
  });
}

/** Some of the records, evenly spread. */
function sampleOf(records: Records): RawRecord[] {
  const step = Math.max(1, Math.floor(records.length / sampleSize));
  const sample: RawRecord[] = [];
  let i = 0;
  for (const record of records) if (i++ % step === 0) sample.push(record);
  return sample;
}

function columnsOf(records: Records, sample: readonly RawRecord[]): Column[] {
  const keys = new Set(records.names);
  if (!records.names) for (const record of records) for (const key of Object.keys(record)) keys.add(key);
  return [...keys].map((key) => {
    const raw = sample.map((record) => own(record, key)).filter((value) => !isEmpty(value));
    const by = keyIn(raw);
    const texts = raw.map((one) => cellText(one, by));
    return { key, by, raw, texts, distinct: new Set(texts).size, records: sample.length };
  });
}

/** What the objects of a column go by; undefined where there are none, or where they have a name. */
function keyIn(raw: readonly unknown[]): string | undefined {
  const objects = raw.flat().filter(isObject);
  const isNamed = (one: RawRecord) => nameKeys.some((key) => !isEmpty(own(one, key)));
  return objects.length === 0 || objects.some(isNamed) ? undefined : keyOfObjects(objects);
}

/** Whether values come as lists of several, and not only as lists of one. */
function isListed({ raw }: Column): boolean {
  return raw.some((one) => Array.isArray(one) && one.length > 1);
}

function fieldOf(column: Column): Field {
  const base = { ...plainField(column.key, humanise(column.key)), ...(column.by !== undefined && { by: column.by }) };
  if (column.raw.length === 0) return base;
  if (isNested(column.raw)) return { ...base, type: 'terms', multiple: column.raw.some(Array.isArray), tree: true };
  const isList = column.raw.some(Array.isArray);
  if (isListed(column)) return { ...base, type: 'terms', multiple: true, ...pathOf(column, null) };
  const unit = unitOf(column.texts);
  const figures = unit === undefined ? column.texts : column.texts.map((text) => withoutUnit(text, unit));
  const isNumeric = (text: string) => readNumber(text, '.') !== null || readNumber(text, ',') !== null;
  const decimal = atLeast(0.95, figures, isNumeric) ? decimalOf(figures) : '.';
  const plain = plainType(column, decimal, unit);
  if (plain === 'number') {
    return { ...base, type: plain, ...(decimal === ',' && { decimal }), ...(unit !== undefined && { unit }) };
  }
  if (plain) return { ...base, type: plain };
  if (isList) return { ...base, type: 'terms', multiple: true, ...pathOf(column, null) };
  return { ...base, ...termsOf(column) };
}

/** The type of a field that holds no terms; null when it may hold some. */
function plainType(column: Column, decimal: Decimal, unit: string | undefined): FieldType | null {
  const most = (share: number, reads: (text: string, raw: unknown) => boolean) =>
    atLeast(share, column.texts, (text, i) => reads(text, column.raw[i]));
  const plainRaw = (text: string, raw: unknown) => (typeof raw === 'object' ? text : raw);
  if (most(1, (text, raw) => readBoolean(plainRaw(text, raw)) !== null)) return 'boolean';
  // what computers count from 1970 on is a number like any, unless it is called a time
  if (timeNames.test(column.key) && most(1, isSinceEpoch)) return 'datetime';
  if (most(0.95, (text, raw) => readNumber(plainRaw(text, raw), decimal, unit) !== null)) return 'number';
  // a date field stays one with a few slips in it: they are shown as findings, not as a reason to give up
  const isDay = (text: string) => readDay(text, true) !== null || readDay(text, false) !== null;
  // long figures are telephone numbers and keys as well
  const isMoment = (text: string) => readMoment(text) !== null && !isSinceEpoch(text);
  if (most(0.8, (text) => isDay(text) || isMoment(text))) return column.texts.some(isMoment) ? 'datetime' : 'date';
  if (most(0.8, isPictureAddress)) return 'image';
  if (most(0.8, isAddress)) return /image|picture|photo|thumb/i.test(column.key) ? 'image' : 'link';
  if (most(0.3, hasTag)) return 'html';
  return null;
}

/**
 * Whether at least a share of some texts is something; of a few texts, all but a lonely one. It is given up as soon as too
 * many are not.
 */
function atLeast(share: number, texts: readonly string[], is: (text: string, i: number) => boolean): boolean {
  const isFew = share < 1 && texts.length >= (share < 0.9 ? 4 : 10);
  let left = Math.max(isFew ? 1 : 0, Math.floor(texts.length * (1 - share) + 1e-9));
  for (let i = 0; i < texts.length; i++) if (!is(texts[i]!, i) && left-- === 0) return false;
  return true;
}

/** Whether a text has a tag in it: `<` and a letter, and a `>` somewhere after. */
function hasTag(text: string): boolean {
  const start = text.search(/<\/?[a-z]/i);
  return start >= 0 && text.indexOf('>', start) > 0;
}

/** No address of a page or picture is longer: browsers and servers stop well before. */
const longestAddress = 8192;

/** Whether a text is an address of a page or a picture, whole or from the root of its site. */
export function isAddress(text: string): boolean {
  return text.length <= longestAddress && /^(https?:\/\/|\.{0,2}\/)\S+$/i.test(text);
}

function isPictureAddress(text: string): boolean {
  if (text.length > longestAddress || /\s/.test(text)) return false;
  const path = /^[^?#]+/.exec(text)?.[0] ?? '';
  return /.\.(avif|gif|jpe?g|png|svg|webp)$/i.test(path);
}

const timeNames = /date|time|(^|_)at$|created|updated|modified|published|posted|stamp/i;

/** Tells terms from running text, and finds what parts them. */
function termsOf(column: Column): Partial<Field> {
  for (const separator of ['|', ';']) {
    if (column.texts.some((text) => text.includes(separator)) && areTerms(column, separator)) {
      return { type: 'terms', multiple: true, separator, ...pathOf(column, separator) };
    }
  }
  if (isParting(',', column.texts) && areTerms(column, ',')) return { type: 'terms', multiple: true, separator: ',' };
  const path = pathOf(column, null);
  if (path.tree && averageLength(column.texts) <= 120) return { type: 'terms', ...path };
  return areTerms(column, null) ? { type: 'terms' } : { type: 'text' };
}

/** Short texts that come back again and again are terms. */
function areTerms(column: Column, separator: string | null): boolean {
  const pieces = piecesOf(column, separator);
  if (pieces.length === 0 || averageLength(pieces) > 40 || pieces.some((piece) => piece.length > 120)) return false;
  if (titleNames.test(column.key) || textNames.test(column.key)) return false;
  const distinct = new Set(pieces).size;
  return distinct <= 12 ? distinct < pieces.length : distinct <= pieces.length * 0.5;
}

function pathOf(column: Column, separator: string | null): Pick<Field, 'tree' | 'pathSeparator'> {
  if (!column.texts.some((text) => /[>›]| \/ /.test(text))) return { tree: false, pathSeparator: null };
  const pieces = piecesOf(column, separator);
  for (const pathSeparator of ['>', '›', '/']) {
    const mark = pathSeparator === '/' ? ' / ' : pathSeparator;
    const paths = pieces.filter((piece) => piece.includes(mark)).length;
    if (paths >= pieces.length * 0.3 && paths > 0) return { tree: true, pathSeparator };
  }
  return { tree: false, pathSeparator: null };
}

/** The values that cells hold, where a sign parts several. */
function piecesOf({ raw, texts, by }: Column, separator: string | null): string[] {
  if (separator === null && !raw.some(Array.isArray)) return texts;
  return raw.flatMap((one) => cellTexts(one, separator, by));
}

function averageLength(texts: readonly string[]): number {
  return texts.reduce((sum, text) => sum + text.length, 0) / Math.max(1, texts.length);
}

const titleNames = /^(title|name|headline|subject|heading)$/i;
const textNames = /^(summary|excerpt|description|teaser|abstract|lead|body|content|text)$/i;

/** What a column is called that numbers or names things, in some languages; what it holds says whether it does. */
const idWords =
  /^(?:(?:article|artikel|bestell|catalogue?|event|inventar|inventory|item|katalog|order|post|produ[ck]t|record)[ _-]?)?(?:nr|no|num|number|nummer|numero|numéro|número|numer|code|kod|código|codice|ref|reference|référence|referenz|kennung|kennziffer|id)\.?$|^(?:sku|isbn|ean|gtin|номер|код|артикул|番号|编号|編號|رقم|מספר)$/i;

/** What numbers people or their money, and is nobody else's to see. */
const secretNames = /iban|account|konto|passport|ausweis|\bssn\b|steuer|\btax|token|secret|passw/i;

/** How a field is known for a role: by name first, in this order, then by what it holds. */
const roleNames: readonly [FieldRole, RegExp][] = [
  ['id', /^(id|guid|uuid|uid|key|slug|.+[_-]id)$/i],
  ['id', idWords],
  ['title', titleNames],
  ['link', /^(link|url|permalink|href|uri)$/i],
  ['image', /^(image|picture|photo|thumbnail|cover|img)/i],
  ['published', /^(published|publish|pubdate|posted|date|created|issued)/i],
  ['summary', /^(summary|excerpt|description|teaser|abstract|lead)$/i],
  ['body', /^(body|content|text|html|content_html)$/i],
  ['author', /^(author|by|byline|writer|creator)/i],
];

const roleTypes: Record<FieldRole, readonly FieldType[]> = {
  id: ['text', 'number', 'link', 'terms'],
  title: ['text', 'html'],
  summary: ['text', 'html'],
  body: ['text', 'html'],
  link: ['link'],
  image: ['image', 'link'],
  published: ['date', 'datetime'],
  author: ['text', 'terms'],
};

function giveRoles(fields: Field[], columns: readonly Column[]): void {
  const free = (role: FieldRole) => !fields.some((field) => field.role === role);
  const fits = (field: Field, role: FieldRole) => field.role === null && roleTypes[role].includes(field.type);
  // one that comes twice among many is a slip, and told
  const unique = (i: number) => {
    const { distinct, raw, records } = columns[i]!;
    return raw.length === records && records - distinct <= Math.max(records > 3 ? 1 : 0, records * 0.05);
  };
  // an id is seen by everybody
  const isPrivate = (i: number) =>
    secretNames.test(fields[i]!.key) || privateWords(fields[i]!.key, columns[i]!.texts) !== null;
  for (const [role, name] of roleNames) {
    if (!free(role)) continue;
    // what is called a number need not be one that names a post
    const names = name === idWords ? (i: number) => isUnique(columns[i]!) && !isPrivate(i) : unique;
    const i = fields.findIndex((field, i) => name.test(field.key) && fits(field, role) && (role !== 'id' || names(i)));
    if (i < 0) continue;
    fields[i]!.role = role;
    // an id is a name for a post, never a choice for a visitor, however its values look
    if (role === 'id' && fields[i]!.type === 'terms') fields[i]!.type = 'text';
    if (role === 'image') fields[i]!.type = 'image';
  }
  const giveFirst = (role: FieldRole, suits: (field: Field, i: number) => boolean) => {
    const field = free(role) ? fields.find((field, i) => fits(field, role) && suits(field, i)) : undefined;
    if (field) field.role = role;
  };
  // what stands under an address of its own is known by that
  if (free('link')) giveFirst('id', (field, i) => field.type === 'text' && namesEach(columns[i]!) && !isPrivate(i));
  giveFirst(
    'title',
    (field, i) => field.type === 'text' && averageLength(columns[i]!.texts) <= 120 && !looksLikeKey(columns[i]!),
  );
  giveFirst('link', () => true);
  giveFirst('image', (field) => field.type === 'image');
  giveFirst('published', () => true);
  giveFirst('summary', (_, i) => averageLength(columns[i]!.texts) > 40);
}

/** Whether a column of which no two values are the same holds what things are called by: short, in one word, with digits. */
function namesEach(column: Column): boolean {
  // of a handful of posts, much has a value of its own by chance
  return (
    column.records >= 5 &&
    isUnique(column) &&
    column.texts.every((text) => /^(?=.*\p{N})[\p{L}\p{N}_-]{1,40}$/u.test(text))
  );
}

function isUnique({ distinct, raw, records }: Column): boolean {
  return records > 1 && raw.length === records && distinct === records;
}

function looksLikeKey(column: Column): boolean {
  return column.texts.every((text) => /^\S+$/.test(text) && /[\d_-]|^[a-z]+$/.test(fold(text)) && !/\s/.test(text));
}
