/** Values in two: those that pass, and the rest. */
export function partition<V>(values: readonly V[], passes: (value: V) => boolean): [V[], V[]] {
  const yes: V[] = [];
  const no: V[] = [];
  for (const value of values) (passes(value) ? yes : no).push(value);
  return [yes, no];
}

/** Values by key, in the order met. `Map.groupBy` for the Node.js versions that lack it. */
export function groupBy<K, V>(values: readonly V[], keyOf: (value: V) => K): Map<K, V[]> {
  const groups = new Map<K, V[]>();
  for (const value of values) {
    const key = keyOf(value);
    const group = groups.get(key);
    if (group) group.push(value);
    else groups.set(key, [value]);
  }
  return groups;
}
