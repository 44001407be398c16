/** How often something happened among the chances it had. */
interface Seen {
  readonly times: number;
  readonly chances: number;
}

/**
 * Chance, 0 to 1, that a complaint or a fault comes back on the next use, having come so often: the mean of
 * Beta(½ + times, ½ + chances − times), the prior that lets the first telling count (H. Jeffreys, Proc. R.
 * Soc. A 186:453, 1946).
 *
 * @example comesBack({ times: 1, chances: 1 }) // 0.75
 */
export function comesBack({ times, chances }: Seen): number {
  if (!(times >= 0 && chances >= times)) throw new RangeError(`comesBack: ${times} of ${chances}`);
  return (0.5 + times) / (1 + chances);
}
