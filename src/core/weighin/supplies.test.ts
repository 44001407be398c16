import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { JOULES_TO_BOIL, LEAST_GAS_PER_LITRE, sortOf } from "../trade/supplies";
import { inBaseUnit, parseAmount } from "../units/quantity";
import { cansFor, cansOf, sinceWeighed, isBelowPhysics, supplyUses, usesOf, type Can } from "./supplies";

// Source: specific heat of water 4187 J/(kg·K), handbook value, from memory: 377 kJ for a litre from 10 °C;
// 46 MJ/kg of gas.
test("no litre boils on less than 8.2 g of gas", () => {
  expect(JOULES_TO_BOIL / 1000).toBeCloseTo(377, 0);
  expect(LEAST_GAS_PER_LITRE).toBeCloseTo(8.2, 1);
});

test("a sort is told by its owner, its unit, its name", () => {
  const sort = (what: string, unit = "g") => sortOf({ sort: null, what, unit });
  expect(
    ["gas", "Dinners", "porridge oats", "power bank", "water", "nut bars", "soap"].map((what) => sort(what)),
  ).toEqual(["fuel", "dinners", "food", "power", "water", "snacks", "other"]);
  expect(sort("bank", "Wh")).toBe("power");
  expect(sortOf({ sort: "food", what: "gas", unit: "g" })).toBe("food");
});

test("amounts come to grams, litres, watt-hours or pieces; mAh only with a voltage", () => {
  expect(inBaseUnit(0.9, "kg")).toEqual({ value: 900, unit: "g" });
  expect(inBaseUnit(500, "ml")).toEqual({ value: 0.5, unit: "L" });
  expect(inBaseUnit(3, "bars")).toEqual({ value: 3, unit: "" });
  // 6.7 Ah × 3.7 V = 24.79 Wh
  expect(parseAmount("6700 mAh at 3.7 V")).toEqual({ ok: true, value: { value: 24.8, unit: "Wh" } });
  expect(parseAmount("10 Ah 5V")).toEqual({ ok: true, value: { value: 50, unit: "Wh" } });
  expect(parseAmount("10000 mAh")).toMatchObject({ ok: false, why: expect.stringContaining("voltage") });
});

const trip = (n: number, supplies: object[], more: object = {}) => ({
  id: `t${n}`,
  name: `T${n}`,
  starts: `2026-0${n}-01`,
  ends: `2026-0${n}-05`,
  distance: "80 km",
  supplies,
  ...more,
});
const usesIn = (...trips: object[]) => supplyUses(openBook(logOf({ items: [], trips }), "2026-11-26"));

describe("an owner's own use", () => {
  test("what went out less what came home, over nights, days, kilometres and litres", () => {
    const uses = usesIn(
      trip(
        1,
        [
          { what: "gas", unit: "g", out: 230, back: 0.13, sort: "fuel" },
          { what: "spare gas", unit: "kg", out: 0.1, back: 0.1, reserve: 0.1 },
          { what: "water", unit: "L", out: 10, back: 2 },
          { what: "food", unit: "kg", out: 4, back: 0.5 },
        ],
        { boiled: 9 },
      ),
    );
    const [perLitre, perNight] = ["L boiled", "night"].map((over) =>
      uses.find(({ rule }) => rule.sort === "fuel" && rule.unit === "g" && rule.over === over)!,
    );
    expect(perNight!.taken[0]).toMatchObject({ out: 330, back: 100.13, reserve: 100, over: 4 });
    expect(perLitre!.taken[0]).toMatchObject({ over: 9 });
    expect(usesOf(uses, "water")[0]!.taken[0]).toMatchObject({ used: 8, over: 80 });
    expect(usesOf(uses, "food")[0]!.taken[0]).toMatchObject({ used: 3500, over: 5 });
    expect(usesOf(uses, "power")[0]!.taken).toEqual([]);
  });

  test("a reading below physics is questioned; one above it is not", () => {
    const low = (back: number) =>
      usesIn(trip(1, [{ what: "gas", unit: "g", out: 100, back }], { boiled: 5 })).flatMap(isBelowPhysics);
    expect(low(60)).toHaveLength(1);
    expect(low(58)).toHaveLength(0);
  });
});

describe("canisters", () => {
  const can = (name: string, gross: number, left: number, partUsed: boolean): Can => ({
    item: name as Can["item"],
    name,
    gross,
    left,
    partUsed,
    weighed: null,
  });
  const cans = [
    can("big", 378, 230, false),
    can("half", 151, 53, true),
    can("dregs", 120, 22, true),
    can("new", 208, 110, false),
  ];
  const taken = (grams: number) => cansFor(grams, cans)?.map(({ name }) => name);

  test("part-used ones before a full one is begun, the lightest that are enough; none where all are too little", () => {
    expect(taken(40)).toEqual(["half"]);
    expect(taken(15)).toEqual(["dregs"]);
    expect(taken(70)).toEqual(["half", "dregs"]);
    expect(taken(100)).toEqual(["new"]);
    expect(taken(200)).toEqual(["big"]);
    expect(taken(500)).toBeUndefined();
  });

  test("by weight on the shelf: gross less empty; part-used once it was heavier", () => {
    const { items } = openBook(
      logOf({
        items: [
          {
            id: "a",
            name: "A",
            kind: "fuel",
            weights: [{ weight: "212 g" }, { weight: "151 g" }],
            ratings: { empty: "98 g" },
          },
          { id: "b", name: "B", kind: "fuel", weight: "208 g", ratings: { empty: "98 g" } },
          { id: "c", name: "C", kind: "fuel", weight: "208 g" },
          {
            id: "d",
            name: "D",
            kind: "fuel",
            weight: "208 g",
            ratings: { empty: "98 g" },
            state: "thrown out",
          },
        ],
      }),
      "2026-11-26",
    );
    expect(cansOf(items)).toMatchObject([
      { item: "a", left: 53, partUsed: true },
      { item: "b", left: 110, partUsed: false },
    ]);
  });

  test("what is left is of the day that it was weighed, with what it was out for since", () => {
    const log = logOf({
      items: [
        {
          id: "can",
          name: "Can",
          kind: "fuel",
          weights: [{ weight: "151 g", on: "2026-06-01" }],
          ratings: { empty: "98 g" },
        },
      ],
      trips: [
        {
          name: "Before",
          starts: "2026-05-01",
          ends: "2026-05-04",
          distance: "1 km",
          boiled: 4,
          marks: [{ item: "can", use: "used" }],
        },
        {
          name: "Since",
          starts: "2026-07-01",
          ends: "2026-07-03",
          distance: "1 km",
          boiled: 2.5,
          marks: [{ item: "can", use: "used" }],
        },
        {
          name: "Idle",
          starts: "2026-08-01",
          ends: "2026-08-03",
          distance: "1 km",
          boiled: 9,
          marks: [{ item: "can", use: "unused" }],
        },
      ],
    });
    const book = openBook(log, "2026-11-26");
    const [told] = cansOf(book.items);
    expect(told).toMatchObject({ left: 53, weighed: "2026-06-01" });
    expect(sinceWeighed(told!, book)).toEqual({ nights: 2, boiled: 2.5 });
  });
});
