import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { ItemId } from "../model";
import { sayAside, sayPads, saySleeper } from "../say/sleep";
import { rFor } from "../trade/warmth";
import { Units } from "../units/units";
import { rUnder, setAside, sleeperOf, sleepOf, sleptNights, wouldHaveDone } from "./sleep";

const nights = (
  told: readonly (readonly [low: number | null, felt: string, slept: readonly string[], more?: object])[],
) =>
  openBook(
    logOf({
      items: [
        {
          id: "quilt",
          name: "Quilt",
          kind: "quilt",
          weight: "640 g",
          ratings: { label: { celsius: 0, means: "comfort" } },
        },
        {
          id: "bag",
          name: "Bag",
          kind: "sleeping bag",
          weight: "1200 g",
          ratings: { label: { celsius: -9, means: "comfort" } },
        },
        { id: "liner", name: "Liner", kind: "bag liner", weight: "110 g" },
        { id: "thin", name: "Thin pad", kind: "foam pad", ratings: { rValue: 2 } },
        { id: "thick", name: "Thick pad", kind: "inflatable pad", ratings: { rValue: 5 } },
        {
          id: "wish",
          name: "Wish",
          kind: "quilt",
          state: "wished",
          ratings: { label: { celsius: 6, means: "comfort" } },
        },
        { id: "mug", name: "Mug", kind: "mug" },
      ],
      trips: [
        {
          id: "t",
          name: "T",
          starts: "2026-05-01",
          ends: "2026-06-30",
          distance: "900 km",
          felt: told.map(([low, felt, slept, more]) => ({ low, felt, slept, ...more })),
        },
      ],
    }),
    "2026-11-26",
  );
const repeat = <T>(n: number, value: T) => Array.from({ length: n }, () => value);

test("only nights with a bed, a low and a feeling count; what does not warm is left out of it", () => {
  const told = sleptNights(
    nights([
      [3, "right", ["quilt", "mug", "liner", "thin"]],
      [null, "cold", ["quilt"]],
      [3, "right", ["liner"]],
    ]),
  );
  expect(told).toHaveLength(1);
  expect(told[0]!.extras.map(({ id }) => id)).toEqual(["liner", "thin"]);
});

test("a night under a roof, and one spoilt by something else, say nothing of the bed, and are told as set aside", () => {
  const out = repeat(4, [2, "right", ["quilt"]] as const);
  const aside = [
    [6, "cold", ["quilt"], { spoilt: "flat pad" }],
    [9, "cold", ["quilt"], { roof: true }],
  ] as const;
  const [plain, mixed] = [nights(out), nights([...out, ...aside])];
  const medianOf = (book: typeof plain) => sleepOf(book).find(({ bed }) => bed.id === "quilt")!.plain.median;
  expect(medianOf(mixed)).toBe(medianOf(plain));
  expect(sayAside(setAside(mixed, ItemId.parse("quilt")))).toBe(
    "2\u00a0nights set aside, since the bed was not what was tried: 1 flat pad and 1 under a roof.",
  );
});

test("the sleeper is learnt across beds, and what is told of them says by which", () => {
  expect(sleeperOf(nights(repeat(3, [2, "right", ["quilt"]] as const)))).toBeNull();
  // Cold at 5 and right at 7 in a bed labelled 0: well above it. The wish is judged by that.
  const told = nights([
    ...repeat(6, [4, "cool", ["quilt"]] as const),
    ...repeat(6, [6, "right", ["quilt"]] as const),
  ]);
  const sleeper = sleeperOf(told)!;
  expect(sleeper.mean).toBeGreaterThan(3.5);
  expect(sleeper.mean).toBeLessThan(6);
  expect(saySleeper(sleeper, Units.parse({}))).toMatch(
    /^You sleep well down to about 3\.8° above labels of comfort, give or take .*, by Quilt:/,
  );
  const wish = sleepOf(told).find(({ bed }) => bed.id === "wish")!.plain;
  expect(wish.median - 6).toBeCloseTo(sleeper.mean, 0);
});

// About 1 in summer, 3 to 4 towards freezing, 5 and more on snow: common practice, no source. R-values of pads
// stacked add up (ASTM F3340-18 measures the pads one by one; adding is common practice).
test("what the ground asks of the pads together", () => {
  expect([15, 10, 0, -5, -10, -20].map((low) => rFor(low))).toEqual([1, 1, 3, 4, 5, 5]);
  expect(rFor(2.5)).toBeCloseTo(2.5);
  expect(rFor(8, true)).toBe(5);
  const pads = nights([[0, "right", ["quilt", "thin", "thick"]]]).items.filter(({ jobs }) =>
    jobs.includes("pad"),
  );
  expect(rUnder(pads)).toBe(7);
  expect(sayPads(pads.slice(0, 1), 0, false, Units.parse({}))).toMatch(
    /R 2\.0; at 0\s°C the ground asks for about 3\.0 .*too little/,
  );
  expect(sayPads(pads, -5, false, Units.parse({}))).toMatch(/enough\.$/);
});

test("beds owned and wished for, the warmest line first; a bed that was never slept in learns from the one that was", () => {
  const cold = sleepOf(nights(repeat(10, [-3, "right", ["quilt"]] as const)));
  const warm = sleepOf(nights(repeat(10, [6, "cool", ["quilt"]] as const)));
  expect(cold.map(({ bed }) => bed.id)).toEqual(["wish", "quilt", "bag"]);
  const bag = (beds: typeof cold) => beds.find(({ bed }) => bed.id === "bag")!.plain.median;
  expect(bag(cold)).toBeLessThan(bag(warm) - 2);
  expect(cold[2]!.setups).toEqual([]);
});

test("a set-up with a liner reaches lower than the bed alone, and nights without it still count", () => {
  const [, quilt] = sleepOf(
    nights([
      ...repeat(6, [4, "right", ["quilt"]] as const),
      ...repeat(6, [0, "right", ["quilt", "liner"]] as const),
    ]),
  );
  const withLiner = quilt!.setups.find(({ extras }) => extras.length === 1)!;
  expect(withLiner.comfort.median).toBeLessThan(quilt!.plain.median - 0.5);
  expect(withLiner.comfort.nights).toBe(12);
  expect(quilt!.extras).toMatchObject([{ withIt: 6, without: 6 }]);
});

// Common practice, no source: 1.5 °C for each unit of R, so that 3 units more are worth 4.5 °C.
test("a thicker pad under the same bed is reckoned by its R-value", () => {
  const [, quilt] = sleepOf(
    nights([
      ...repeat(8, [5, "cool", ["quilt", "thin"]] as const),
      ...repeat(2, [0, "cool", ["quilt", "thick"]] as const),
    ]),
  );
  const on = (pad: string) => quilt!.setups.find(({ extras }) => extras[0]!.id === pad)!.comfort.median;
  expect(on("thin") - on("thick")).toBeCloseTo(4.5, 0);
});

test("would another have done: by what may be relied on of it", () => {
  const beds = sleepOf(
    nights([...repeat(5, [12, "warm", ["quilt"]] as const), ...repeat(5, [1, "right", ["quilt"]] as const)]),
  );
  const [wish, quilt, bag] = beds;
  expect(wouldHaveDone(quilt!.nights, bag!)).toHaveLength(10);
  expect(wouldHaveDone(quilt!.nights, wish!).every(({ low }) => low === 12)).toBe(true);
});
