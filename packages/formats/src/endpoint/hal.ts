import { isObject } from '../json/is-object.js';

type Plain = Record<string, unknown>;

/**
 * A record of an answer with links and embedded resources (HAL), as a record alone: links are left out but for its own, and
 * ids that stand for something embedded become that.
 */
export function withoutLinks(record: Plain): Plain {
  const { _links: links, _embedded: embedded, ...rest } = record;
  if (!isObject(links) && !isObject(embedded)) return record;
  const result: Plain = { ...rest };
  const self = isObject(links) && isObject(links.self) ? links.self.href : undefined;
  if (typeof self === 'string' && !('url' in result) && !('link' in result)) result.url = self;
  if (!isObject(embedded)) return result;
  for (const [name, value] of Object.entries(embedded)) {
    const groups = groupsIn(value);
    for (const group of groups) {
      const key = keyFor(result, name, group);
      const isOne = group.length === 1 && !Array.isArray(result[key]) && !Array.isArray(value);
      result[key] = isOne ? (nameOf(group[0]!) ?? group[0]) : group;
    }
  }
  return result;
}

/** What is embedded under a name: one resource, a list of them, or several lists. */
function groupsIn(value: unknown): Plain[][] {
  if (isObject(value)) return [[value]];
  if (!Array.isArray(value)) return [];
  if (value.some(Array.isArray)) return value.flatMap((one) => groupsIn(one));
  const group = value.filter(isObject);
  return group.length === 0 ? [] : [group];
}

/** The field whose ids are those of a group: it holds what they stand for then. Else the name it is embedded under. */
function keyFor(record: Plain, name: string, group: readonly Plain[]): string {
  const ids = new Set(group.map(({ id }) => String(id)));
  const holds = Object.entries(record).filter(([key, value]) => {
    const own = [value].flat();
    const isPlain = own.length > 0 && own.every((one) => typeof one === 'number' || typeof one === 'string');
    return key !== 'id' && isPlain && own.length === group.length && own.every((one) => ids.has(String(one)));
  });
  const [alike] = [...holds].sort(([a], [b]) => likeness(b, name) - likeness(a, name));
  return alike?.[0] ?? (name in record && !Array.isArray(record[name]) ? `${name} 2` : name);
}

/** What one thing is called, if it says so. */
function nameOf(thing: Plain): string | undefined {
  const name = ['name', 'label', 'title'].map((key) => thing[key]).find((said) => typeof said === 'string');
  return name;
}

function likeness(key: string, name: string): number {
  return key === name ? 2 : name.includes(key) || key.includes(name) ? 1 : 0;
}
