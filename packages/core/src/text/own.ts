/**
 * What a record holds under a name that came from a file. Records inherit names such as `constructor`, and a field may
 * be called just that, so a plain look-up would find what nobody put there.
 */
export function own<V>(record: Readonly<Record<string, V>>, name: string): V | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined;
}

/** Whether every object has something under a name already, so that it can't be a key of one. */
export function isInherited(name: string): boolean {
  return name in Object.prototype;
}

/**
 * A column's name as the key of a field: `__proto__` is no key that a record can be given, so it goes without its
 * underscores.
 */
export function fieldKeyOf(name: string): string {
  return name === '__proto__' ? 'proto' : name;
}
