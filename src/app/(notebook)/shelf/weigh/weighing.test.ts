import { expect, test } from "vitest";
import { ItemId } from "@/core/model";
import { beginWeighing, goTo, lyingOn, unweighed, weighed } from "./weighing";

const thing = (name: string, grams: number | null, known: "claimed" | "measured") =>
  ({ id: ItemId.parse(name), name, grams, known }) as const;
const THINGS = [thing("pot", 120, "claimed"), thing("mug", null, "claimed"), thing("lid", 40, "measured")];

test("one goes along the row and stops at its ends", () => {
  const at = (...steps: number[]) => steps.reduce((now, to) => goTo(now, to), beginWeighing(THINGS)).at;
  expect(at(1)).toBe(1);
  expect(at(-1)).toBe(0);
  expect(at(9)).toBe(2);
});

test("what was weighed is known, typed or read, until it is taken back", () => {
  const [pot, mug] = THINGS.map(({ id }) => id);
  const both = weighed(weighed(beginWeighing(THINGS), pot!, 131), mug!, null);
  expect([...both.taken]).toEqual([
    ["pot", 131],
    ["mug", null],
  ]);
  expect([...unweighed(both, pot!).taken]).toEqual([["mug", null]]);
});

test("the simulated scale finds more than a label claims, what was weighed as it was, and makes up the rest by name", () => {
  expect(lyingOn(THINGS[0]!)).toBeCloseTo(124.8);
  expect(lyingOn(THINGS[2]!)).toBe(40);
  expect(lyingOn(THINGS[1]!)).toBe(lyingOn(thing("mug", null, "claimed")));
  expect(lyingOn(THINGS[1]!)).toBeGreaterThanOrEqual(30);
});
