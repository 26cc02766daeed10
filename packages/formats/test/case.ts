/** A small file as it comes in the wild, and what must be made of it. */
export interface Case {
  file: string | [name: string, text: string | Uint8Array];
  /** What some of its fields are. */
  is?: Record<string, string>;
  /** What is found, and what is not. */
  found?: string[];
  not?: string[];
  /** Values of a field, as they are read. */
  read?: [key: string, values: unknown[]];
}

export const csv = (...lines: string[]) => lines.join('\n');
export const json = (value: unknown): [string, string] => ['posts.json', JSON.stringify(value)];
/** A column beside an id and a title. */
export const column = (key: string, values: readonly string[]) =>
  csv(`id,title,${key}`, ...values.map((value, i) => `${i + 1},Post ${i + 1},"${value.replaceAll('"', '""')}"`));
export const times = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value);
