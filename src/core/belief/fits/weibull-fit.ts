import type { Life } from "../life-belief";

export interface Weibull {
  readonly shape: number;
  readonly scale: number;
}

/** Wear by which half of the lives are over. */
export const weibullMedian = ({ shape, scale }: Weibull) => scale * Math.LN2 ** (1 / shape);

/**
 * Shape and scale by maximum likelihood, from lives worn out and lives still going (right-censored). Solves Σ
 * t^k ln t / Σ t^k − 1/k = mean of ln t over the worn out, by bisection (the left side rises with k); then
 * scale^k = Σ t^k / deaths.
 *
 * Null for fewer than two worn-out lives of different length: nothing then tells the shape.
 */
export function fitWeibull(lives: readonly Life[]): Weibull | null {
  const used = lives.filter((life) => life.wear > 0);
  const ended = used.filter((life) => life.wornOut > 0.5);
  if (new Set(ended.map((life) => life.wear)).size < 2) return null;
  // In units of the longest life, powers stay within range.
  const longest = Math.max(...used.map((life) => life.wear));
  const mean = ended.reduce((sum, life) => sum + Math.log(life.wear / longest), 0) / ended.length;
  const sums = (k: number) =>
    used.reduce(
      (sum, { wear }) => {
        const power = (wear / longest) ** k;
        return { power: sum.power + power, log: sum.log + power * Math.log(wear / longest) };
      },
      { power: 0, log: 0 },
    );
  const excess = (k: number) => {
    const { power, log } = sums(k);
    return log / power - 1 / k - mean;
  };
  let [low, high] = [0.05, 50];
  if (excess(high) < 0) return null;
  for (let step = 0; step < 80; step++) {
    const middle = (low + high) / 2;
    if (excess(middle) < 0) low = middle;
    else high = middle;
  }
  const shape = (low + high) / 2;
  return { shape, scale: longest * (sums(shape).power / ended.length) ** (1 / shape) };
}
