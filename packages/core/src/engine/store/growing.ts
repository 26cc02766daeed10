type Numbers = Uint8Array | Uint16Array | Uint32Array | Int32Array | Float64Array;

/** Numbers with room for so many: the same ones where there is room, else moved to where there is twice as much. */
export function withRoom<N extends Numbers>(numbers: N, size: number): N {
  if (size <= numbers.length) return numbers;
  const Kind = numbers.constructor as new (size: number) => N;
  const more = new Kind(Math.max(size, numbers.length * 2));
  more.set(numbers);
  return more;
}
