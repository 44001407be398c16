import { describe, expect, test } from "vitest";
import { Item } from "../model";
import { withDefaults } from "../trade/full-item";
import { burns } from "../trade/supplies";
import { kindOf } from "../trade/words/names";
import { supplyUses } from "./supplies";
import { suppliesAhead } from "./supplies-ahead";

const thing = (name: string, kind: string, ratings = {}) => {
  const item = Item.parse({ id: name.toLowerCase().replaceAll(" ", "-"), name, kind, ratings });
  return withDefaults(item, kindOf(item));
};
const USES = supplyUses({ outings: [] });
const STRETCH = { nights: 4, days: 5, shopDays: 3, dryKm: 20 };
const ahead = (list: ReturnType<typeof thing>[], margin = 0.5) => suppliesAhead(USES, list, STRETCH, margin);

// Worked by hand from the rules of thumb, as no trip tells: at one trip in two a rate is its rule.
describe("what a list wants for a trip", () => {
  test("gas for a gas stove, spirit for a spirit burner, neither without a stove", () => {
    expect(ahead([thing("Stove", "stove")])).toMatchObject({ spirit: null });
    expect(ahead([thing("Stove", "stove")]).gas?.grams).toBeCloseTo(4 * 26, 6);
    expect(ahead([thing("Spirit burner", "stove")]).spirit).toBeCloseTo(4 * 0.075, 6);
    expect(ahead([thing("Spirit burner", "stove")]).gas).toBeNull();
    expect(ahead([thing("Wood stove", "stove")])).toMatchObject({ gas: null, spirit: null });
    expect(ahead([])).toMatchObject({ gas: null, spirit: null });
  });

  test("food is carried to the next shop, not for all days", () => {
    expect(ahead([]).foodGrams).toBeCloseTo(3 * 700, 6);
  });

  test("a bank lasts as many days as it does for the trip: never seven days beside not enough", () => {
    for (const margin of [0.5, 0.8, 0.9, 0.97])
      for (const holds of [10, 37, 60, 74, 150]) {
        const { banks, powerWh } = ahead([thing("Bank", "power bank", { wattHours: holds })], margin);
        expect(banks[0]!.days < STRETCH.days).toBe(banks[0]!.is === "less");
        expect(banks[0]!.is === "less").toBe(holds < powerWh);
      }
  });

  test("a dry stretch of 20 km wants 2 L, one more than a bottle of 1 L holds; a thing that says nothing holds nothing", () => {
    const bottle = thing("Bottle", "water bottle", { litres: 1 });
    expect(ahead([bottle]).water).toMatchObject({ capacity: 1, vessels: [bottle] });
    expect(ahead([bottle]).water.need).toBeCloseTo(2, 6);
    expect(ahead([bottle]).water.lacks).toBeCloseTo(1, 6);
    expect(ahead([thing("Bottle", "water bottle")]).water).toMatchObject({ capacity: 0, lacks: 0 });
  });
});

test.each([
  ["Gas stove", "gas"],
  ["Stove", "gas"],
  ["Spirit burner", "spirit"],
  ["Wood stove", "other"],
  ["Multi-fuel stove", "other"],
])("a %s burns %s", (name, fuel) => {
  expect(burns(name)).toBe(fuel);
});
