/** Adds one to a group, which begins with the first: a copy a time would take forever where there are many. */
export function addTo<K, V>(groups: Map<K, V[]>, key: K, value: V): void {
  const group = groups.get(key);
  if (group) group.push(value);
  else groups.set(key, [value]);
}
