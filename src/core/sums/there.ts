/**
 * What must be there: the nth of a list, its last, what a map has for a key. Where it is not, the fault is told at
 * once, and not as an `undefined` that is met somewhere else.
 *
 * @throws RangeError where it is not there
 */
export function nth<T>(list: ArrayLike<T>, n: number): T {
  const element = list[n];
  if (element === undefined) throw new RangeError(`nth: nothing at ${n} of ${list.length}`);
  return element;
}

/** @throws RangeError where the list is empty */
export const lastOf = <T>(list: ArrayLike<T>): T => nth(list, list.length - 1);

/** @throws RangeError where the map knows nothing of the key */
export function known<K, V>(map: { get(key: K): V | undefined }, key: K): V {
  const value = map.get(key);
  if (value === undefined) throw new RangeError(`known: nothing of ${String(key)}`);
  return value;
}
