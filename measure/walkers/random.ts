import { seeded } from "../../tests/seeded";

/** Draws whose order a seed fixes. */
export interface Random {
  /** 0 to 1, evenly. */
  readonly even: () => number;
  readonly chance: (p: number) => boolean;
  readonly normal: () => number;
  readonly pick: <T>(list: readonly T[]) => T;
}

export function randomFrom(seed: number): Random {
  const even = seeded(seed);
  return {
    even,
    chance: (p) => even() < p,
    normal: () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even()),
    pick: (list) => list[Math.floor(even() * list.length)]!,
  };
}

/** A seed from some numbers, so that the same thing in the same place meets the same luck under every policy. */
export const seedOf = (...parts: readonly number[]) =>
  parts.reduce((hash, part) => Math.imul(hash ^ (part + 0x9e3779b9), 0x85ebca6b) ^ (hash >>> 13), 0x1234567) |
  0;

/** A life from a lognormal of the same median and of about the same spread as that Weibull: what fails by many small hurts. */
export const drawLognormalLife = (random: Random, { median, k }: { median: number; k: number }) =>
  median * Math.exp((1.2825 / k) * random.normal());

/** A life from a Weibull of shape `k` of which half are over at `median`. */
export const drawLife = (random: Random, { median, k }: { median: number; k: number }) =>
  median * (-Math.log(1 - random.even()) / Math.LN2) ** (1 / k);
