import { PostIndex, type KeptText } from '../index/post-index.js';
import { type Steps } from '../base/steps.js';
import type { Field, Term } from '../../model/post.js';
import { fieldEnd, indexingSortedTokens, type TextIndex } from '../words/text-index.js';
import { packTexts } from '../store/text-packer.js';
import { textAt, type Texts } from '../store/texts.js';
import type { Values } from '../store/values.js';
import { DamagedSnapshot, readBytes, writeBytes, type NumberArray } from './bytes.js';

/** Of the form below. To be raised with every change of it: a snapshot of another version is made anew, never guessed. */
export const snapshotVersion = 3;

/** What is not numbers. The arrays stand in the order the values and texts are named here. */
interface Body {
  size: number;
  fields: Field[];
  taxonomies: Record<string, Term[]>;
  values: [key: string, form: Values['form']][];
  texts: KeptText['fields'][];
}

/**
 * Puts an index into bytes: posts, and the words that were cut for searches. Columns and orders are left out, since
 * they are made from these faster than they would be read.
 */
export function* writeSnapshot(index: PostIndex): Steps<Uint8Array<ArrayBuffer>> {
  const { store, texts } = index;
  const arrays: NumberArray[] = [store.byId];
  putTexts(arrays, store.ids);
  for (const values of store.values.values()) putValues(arrays, values);
  for (const { text } of texts) {
    putWords(arrays, text);
    yield;
  }
  const body: Body = {
    size: store.size,
    fields: [...index.fields],
    taxonomies: index.taxonomies as Body['taxonomies'],
    values: [...store.values].map(([key, values]) => [key, values.form]),
    texts: texts.map(({ fields }) => fields),
  };
  return yield* writeBytes(snapshotVersion, body, arrays);
}

/**
 * Reads an index back. It keeps the bytes, which must not be changed any more.
 * @throws {DamagedSnapshot} of bytes that are not what was written, or of another version
 */
export function* readSnapshot(bytes: Uint8Array): Steps<PostIndex> {
  const { body, arrays } = (yield* readBytes(snapshotVersion, bytes)) as { body: Body; arrays: NumberArray[] };
  const from = new Taker(arrays);
  const byId = from.take(Uint32Array);
  const ids = takeTexts(from);
  const values = new Map(body.values.map(([key, form]) => [key, takeValues(from, form)]));
  const texts: KeptText[] = [];
  for (const fields of body.texts) texts.push({ fields, text: yield* takeWords(from, fields) });
  return new PostIndex(body.fields, body.taxonomies, { size: body.size, ids, byId, values }, texts);
}

/** Hands arrays out in the order they were put. */
class Taker {
  #next = 0;

  constructor(private readonly arrays: readonly NumberArray[]) {}

  take<A extends NumberArray>(...kinds: (abstract new (...args: never[]) => A)[]): A {
    const array = this.arrays[this.#next++];
    for (const kind of kinds) if (array instanceof kind) return array;
    throw new DamagedSnapshot('It lacks a part.');
  }
}

function putTexts(arrays: NumberArray[], { starts, bytes }: Texts): void {
  arrays.push(starts, bytes);
}

function takeTexts(from: Taker): Texts {
  return { starts: from.take(Uint32Array), bytes: from.take(Uint8Array) };
}

function putValues(arrays: NumberArray[], values: Values): void {
  if (values.form === 'texts') putTexts(arrays, values.texts);
  else if (values.form === 'flags') arrays.push(values.flags);
  else if (values.form === 'terms') arrays.push(values.starts, values.numbers);
  else arrays.push(values.numbers);
}

function takeValues(from: Taker, form: Values['form']): Values {
  switch (form) {
    case 'texts':
      return { form, texts: takeTexts(from) };
    case 'flags':
      return { form, flags: from.take(Uint8Array) };
    case 'terms':
      return {
        form,
        starts: from.take(Uint32Array),
        numbers: from.take<Uint16Array | Uint32Array>(Uint16Array, Uint32Array),
      };
    case 'term':
      return { form, numbers: from.take<Uint16Array | Uint32Array>(Uint16Array, Uint32Array) };
    case 'days':
    case 'wholes':
      return { form, numbers: from.take<Int16Array | Int32Array>(Int16Array, Int32Array) };
    case 'numbers':
      return { form, numbers: from.take(Float64Array) };
  }
}

/** Stands for the end of a field among words of 16 bits: what -1 is there. */
const shortFieldEnd = 0xffff;

/** The words of each post are kept, and how many posts each word has; which those are is found again. */
function putWords(arrays: NumberArray[], { vocabulary, starts, tokenStarts, tokens }: TextIndex): void {
  putTexts(
    arrays,
    packTexts(vocabulary.length, (w) => vocabulary[w]),
  );
  const isShort = vocabulary.length < shortFieldEnd;
  arrays.push(
    starts,
    tokenStarts,
    isShort ? new Uint16Array(tokens) : new Uint32Array(tokens.buffer, tokens.byteOffset, tokens.length),
  );
}

function* takeWords(from: Taker, fields: KeptText['fields']): Steps<TextIndex> {
  const words = takeTexts(from);
  const vocabulary = Array.from({ length: words.starts.length - 1 }, (_, w) => textAt(words, w));
  const starts = from.take(Uint32Array);
  const tokenStarts = from.take(Uint32Array);
  const tokens = from.take<Uint16Array | Uint32Array>(Uint16Array, Uint32Array);
  yield;
  return yield* indexingSortedTokens(
    vocabulary,
    tokenStarts,
    tokens instanceof Uint32Array ? new Int32Array(tokens.buffer, tokens.byteOffset, tokens.length) : widened(tokens),
    fields.map(({ weight }) => weight),
    starts,
  );
}

function widened(tokens: Uint16Array): Int32Array {
  const wide = new Int32Array(tokens.length);
  for (let i = 0; i < tokens.length; i++) wide[i] = tokens[i] === shortFieldEnd ? fieldEnd : tokens[i]!;
  return wide;
}
