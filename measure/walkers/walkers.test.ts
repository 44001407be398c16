import { expect, test } from "vitest";
import { allOf, countOf, coverage, total, watchDrops } from "./measure";
import { ageRule, engineLeaves, engineReplaces, threeTripsRule } from "./policies";
import { NEVER, walk } from "./walk";
import { FAILURE_COST, USUAL, walkerOf } from "./world";

// A handful of the simulated walkers, so that a change which spoils the measures is seen; `npm run walkers` measures.
const people = (n: number, wearing = false) =>
  Array.from({ length: n }, (_, seed) => walkerOf(seed + 101, { ...USUAL, wearing }));
const costs = {
  failure: ({ kind }: { kind: { consequence: keyof typeof FAILURE_COST } }) => FAILURE_COST[kind.consequence],
};

test("the same walker is drawn by the same seed", () => {
  expect(walkerOf(7, USUAL)).toEqual(walkerOf(7, USUAL));
  expect(walkerOf(7, USUAL)).not.toEqual(walkerOf(8, USUAL));
});

test("about four in five of the true lives lie in the 80 % interval", () => {
  const all = allOf(coverage(people(8, true)).values());
  expect(countOf(all)).toBeGreaterThan(100);
  expect(all.inside / countOf(all)).toBeGreaterThan(0.7);
  expect(all.inside / countOf(all)).toBeLessThan(0.92);
});

test("replacing as the engine says costs less than by age, and than going on until it fails", () => {
  const cost = (policy: typeof NEVER) => {
    const { failureCost, earlyCost } = total(people(3, true).map((walker) => walk(walker, policy, costs)));
    return failureCost + earlyCost;
  };
  const engine = cost(engineReplaces);
  expect(engine).toBeLessThan(cost(ageRule));
  expect(engine).toBeLessThan(cost(NEVER));
});

test("leaving what the engine leaves saves much, is regretted little, and never leaves what is dangerous to lack", () => {
  const watch = watchDrops();
  const engine = total(people(3).map((walker) => walk(walker, engineLeaves(watch.look), costs)));
  const rule = total(people(3).map((walker) => walk(walker, threeTripsRule, costs)));
  expect(engine.savedGramMetres).toBeGreaterThan(0.8 * rule.savedGramMetres);
  expect(engine.regrets).toBeLessThan(rule.regrets / 2);
  expect(watch.seen.looked).toBeGreaterThan(2000);
  expect(watch.seen.dropped).toBe(0);
});
