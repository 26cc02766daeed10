import { asWide, type Numbers } from './gather-map.js';
import type { Texts } from './texts.js';
import { termNumbers, type ManyTerms, type Values } from './values.js';

// Posts come in any order, and to pick from two stores, which looks for posts that stay in a row, is then far slower.

/**
 * The values of posts in another order: at place `p` those of post `order[p]`.
 * @param terms  how many terms there are, for a field of terms
 */
export function reorderValues(values: Values, order: Uint32Array, terms: number): Values {
  switch (values.form) {
    case 'texts':
      return { form: 'texts', texts: reorderTexts(values.texts, order) };
    case 'terms':
      return reorderTerms(values, order, terms);
    case 'flags':
      return { form: 'flags', flags: reorderNumbers(values.flags, order, new Uint8Array(order.length)) };
    case 'numbers':
      return { form: 'numbers', numbers: reorderNumbers(values.numbers, order, new Float64Array(order.length)) };
    case 'term':
      return { form: 'term', numbers: reorderNumbers(values.numbers, order, termNumbers(terms, order.length)) };
    case 'days':
    case 'wholes': {
      const Kind = values.numbers instanceof Int16Array ? Int16Array : Int32Array;
      return { form: values.form, numbers: reorderNumbers(values.numbers, order, new Kind(order.length)) };
    }
  }
}

export function reorderTexts({ starts, bytes }: Texts, order: Uint32Array): Texts {
  const [ends, moved] = [new Uint32Array(order.length + 1), new Uint8Array(bytes.length)];
  // four bytes at a time, wherever they begin: a third of the time of one by one
  const from = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const to = new DataView(moved.buffer);
  let at = 0;
  for (let p = 0; p < order.length; p++) {
    const post = order[p]!;
    const end = starts[post + 1]!;
    let i = starts[post]!;
    for (; i + 4 <= end; i += 4, at += 4) to.setInt32(at, from.getInt32(i, true), true);
    for (; i < end; i++) moved[at++] = bytes[i]!;
    ends[p + 1] = at;
  }
  return { starts: ends, bytes: moved };
}

function reorderTerms({ starts, numbers }: ManyTerms, order: Uint32Array, terms: number): Values {
  const [ends, moved] = [new Uint32Array(order.length + 1), termNumbers(terms, numbers.length)];
  let at = 0;
  for (let p = 0; p < order.length; p++) {
    const post = order[p]!;
    const end = starts[post + 1]!;
    for (let i = starts[post]!; i < end; i++) moved[at++] = numbers[i]!;
    ends[p + 1] = at;
  }
  return { form: 'terms', starts: ends, numbers: moved };
}

/** Both are of one kind. */
function reorderNumbers<N extends Numbers>(numbers: N, order: Uint32Array, into: N): N {
  const [from, to] = [asWide(numbers), asWide(into)];
  for (let p = 0; p < order.length; p++) to[p] = from[order[p]!]!;
  return into;
}
