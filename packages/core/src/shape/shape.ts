/**
 * Shapes: one definition from which a type, its validation, its defaults and its JSON Schema all come.
 *
 * A shape reads an unknown value. What is wrong is added to `problems` with a JSON pointer (RFC 6901), and
 * reading goes on, so that one answer names every mistake and not the first only.
 */
export interface ShapeProblem {
  /** JSON pointer into the value that was read; '' is the value itself. */
  pointer: string;
  message: string;
}

export type JsonSchema = { [key: string]: unknown };

export interface Shape<T> {
  readonly schema: JsonSchema;
  read(value: unknown, pointer: string, problems: ShapeProblem[]): T;
}

/** A shape that may be left out of an object. */
export interface OptionalShape<T> extends Shape<T> {
  readonly optional: true;
  /** Makes the value used when it is left out; undefined leaves it out of the result too. */
  missing(): T;
}

export type TypeOf<S> = S extends Shape<infer T> ? T : never;

/** Reads a whole value: either the typed value, or every problem found in it. */
export function readShape<T>(
  shape: Shape<T>,
  value: unknown,
): { ok: true; value: T } | { ok: false; problems: ShapeProblem[] } {
  const problems: ShapeProblem[] = [];
  const read = shape.read(value, '', problems);
  return problems.length === 0 ? { ok: true, value: read } : { ok: false, problems };
}

/** Writes one step of a JSON pointer: `~` and `/` are escaped as RFC 6901 asks. */
export function step(pointer: string, key: string | number): string {
  return `${pointer}/${String(key).replace(/~/g, '~0').replace(/\//g, '~1')}`;
}

export function text(rules: { min?: number; max?: number; pattern?: RegExp; says?: string } = {}): Shape<string> {
  const { min = 0, max = 500, pattern, says } = rules;
  return {
    schema: {
      type: 'string',
      ...(min > 0 && { minLength: min }),
      maxLength: max,
      ...(pattern && { pattern: pattern.source }),
    },
    read(value, pointer, problems) {
      if (typeof value !== 'string') problems.push({ pointer, message: 'must be text' });
      else if (value.length < min)
        problems.push({ pointer, message: min === 1 ? 'must not be empty' : `must have ${min} characters or more` });
      else if (value.length > max) problems.push({ pointer, message: `must have ${max} characters or fewer` });
      else if (pattern && !pattern.test(value)) problems.push({ pointer, message: says ?? 'has a wrong form' });
      else return value;
      return '';
    },
  };
}

export function whole(min: number, max: number): Shape<number> {
  return {
    schema: { type: 'integer', minimum: min, maximum: max },
    read(value, pointer, problems) {
      if (typeof value === 'number' && Number.isInteger(value) && value >= min && value <= max) return value;
      problems.push({ pointer, message: `must be a whole number from ${min} to ${max}` });
      return min;
    },
  };
}

export function flag(): Shape<boolean> {
  return {
    schema: { type: 'boolean' },
    read(value, pointer, problems) {
      if (typeof value === 'boolean') return value;
      problems.push({ pointer, message: 'must be true or false' });
      return false;
    },
  };
}

export function choice<const V extends readonly (string | number)[]>(...values: V): Shape<V[number]> {
  return {
    schema: { enum: [...values] },
    read(value, pointer, problems) {
      if (values.includes(value as V[number])) return value as V[number];
      problems.push({ pointer, message: `must be one of ${values.join(', ')}` });
      return values[0] as V[number];
    },
  };
}

export function list<T>(item: Shape<T>, max: number): Shape<T[]> {
  return {
    schema: { type: 'array', items: item.schema, maxItems: max },
    read(value, pointer, problems) {
      if (!Array.isArray(value)) {
        problems.push({ pointer, message: 'must be a list' });
        return [];
      }
      if (value.length > max) {
        problems.push({ pointer, message: `must have ${max} entries or fewer` });
        return [];
      }
      return value.map((entry, i) => item.read(entry, step(pointer, i), problems));
    },
  };
}

/** An object whose keys are not known beforehand, such as labels by term. */
export function table<T>(item: Shape<T>, max: number): Shape<Record<string, T>> {
  return {
    schema: { type: 'object', additionalProperties: item.schema, maxProperties: max },
    read(value, pointer, problems) {
      if (!isPlainObject(value)) {
        problems.push({ pointer, message: 'must be an object' });
        return {};
      }
      const entries = Object.entries(value);
      if (entries.length > max) problems.push({ pointer, message: `must have ${max} entries or fewer` });
      // fromEntries defines own properties, so that a key such as __proto__ stays plain data
      return Object.fromEntries(
        entries.slice(0, max).map(([key, entry]) => [key, item.read(entry, step(pointer, key), problems)]),
      );
    },
  };
}

export function optional<T>(shape: Shape<T>): OptionalShape<T | undefined> {
  return { ...shape, optional: true, missing: () => undefined };
}

/** A part with a default: `make` is called anew for each use, so that no two values share it. */
export function withDefault<T>(shape: Shape<T>, make: () => NoInfer<T>): OptionalShape<T> {
  return { ...shape, schema: { ...shape.schema, default: make() }, optional: true, missing: make };
}

type Parts = Record<string, Shape<unknown>>;
type LeftOut<P extends Parts> = { [K in keyof P]: undefined extends TypeOf<P[K]> ? K : never }[keyof P];
export type ObjectOf<P extends Parts> = { [K in Exclude<keyof P, LeftOut<P>>]: TypeOf<P[K]> } & {
  [K in LeftOut<P>]?: TypeOf<P[K]>;
};

/** An object with known parts. Unknown ones are refused: a slip of the pen must not pass in silence. */
export function object<P extends Parts>(parts: P): Shape<ObjectOf<P>> & { parts: P } {
  const required = Object.keys(parts).filter((key) => !isOptional(parts[key]!));
  return {
    parts,
    schema: {
      type: 'object',
      properties: Object.fromEntries(Object.entries(parts).map(([key, part]) => [key, part.schema])),
      ...(required.length > 0 && { required }),
      additionalProperties: false,
    },
    read(value, pointer, problems) {
      if (!isPlainObject(value)) {
        problems.push({ pointer, message: 'must be an object' });
        return {} as ObjectOf<P>;
      }
      for (const key of Object.keys(value)) {
        if (!Object.hasOwn(parts, key)) problems.push({ pointer: step(pointer, key), message: 'is not known here' });
      }
      const result: Record<string, unknown> = {};
      for (const [key, part] of Object.entries(parts)) {
        if (Object.hasOwn(value, key) && value[key] !== undefined) {
          result[key] = part.read(value[key], step(pointer, key), problems);
        } else if (isOptional(part)) {
          const made = part.missing();
          if (made !== undefined) result[key] = made;
        } else problems.push({ pointer: step(pointer, key), message: 'is missing' });
      }
      return result as ObjectOf<P>;
    },
  };
}

/** One of several objects, distinguished by the text in `tag`. */
export function variant<Tag extends string, V extends Record<string, Shape<object>>>(
  tag: Tag,
  variants: V,
): Shape<{ [K in keyof V & string]: TypeOf<V[K]> & Record<Tag, K> }[keyof V & string]> {
  type Result = { [K in keyof V & string]: TypeOf<V[K]> & Record<Tag, K> }[keyof V & string];
  return {
    schema: {
      oneOf: Object.entries(variants).map(([name, shape]) => {
        const properties = { [tag]: { const: name }, ...(shape.schema.properties as object) };
        const required = [tag, ...((shape.schema.required as string[] | undefined) ?? [])];
        return { ...shape.schema, properties, required };
      }),
    },
    read(value, pointer, problems) {
      if (!isPlainObject(value)) {
        problems.push({ pointer, message: 'must be an object' });
        return {} as Result;
      }
      const { [tag]: name, ...rest } = value;
      if (typeof name !== 'string' || !Object.hasOwn(variants, name)) {
        problems.push({
          pointer: step(pointer, tag),
          message: `must be one of ${Object.keys(variants).join(', ')}`,
        });
        return {} as Result;
      }
      return { [tag]: name, ...variants[name]!.read(rest, pointer, problems) } as Result;
    },
  };
}

function isOptional(shape: Shape<unknown>): shape is OptionalShape<unknown> {
  return 'optional' in shape;
}

function isPlainObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
