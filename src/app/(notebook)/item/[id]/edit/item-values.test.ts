import { describe, expect, test } from "vitest";
import { Item } from "@/core/model";
import { Units } from "@/core/units/units";
import { byFormField, refuse } from "@/ui/form/answer";
import { demoLog } from "../../../../../../demo/log";
import { formFieldOf, toItem, toValues, type Values } from "./item-values";

const METRIC = Units.parse({});
const IMPERIAL = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });
const items = demoLog().items;
/** A thing after its form was opened, changed so, and saved. */
const saved = (item: Item, units: Units, change: Partial<Values> = {}) => {
  const was = Item.encode(item);
  return Item.parse(toItem(item.id, { ...toValues(was, units), ...change }, was, units));
};
const shoes = items.find(({ kind }) => kind === "trail shoes")!;
const bed = items.find(({ ratings }) => ratings.label !== undefined)!;

describe("the form of a thing", () => {
  test.each([
    ["metric", METRIC],
    ["imperial", IMPERIAL],
  ])("opened and saved as it stands it changes nothing, in %s units", (_, units) => {
    for (const item of items) expect(saved(item, units)).toEqual(item);
  });

  test("another weight is a weighing more, the same one none; a bare number is in the owner's unit; none at all is none", () => {
    const before = shoes.weights.length;
    expect(saved(shoes, METRIC, { weight: "634" }).weights).toHaveLength(before + 1);
    expect(saved(shoes, METRIC, { weight: "634" }).weights.at(-1)).toMatchObject({
      weight: { g: 634 },
      how: "measured",
    });
    // 1 oz is 28.349 523 g (NIST SP 811).
    expect(saved(shoes, IMPERIAL, { weight: "22" }).weights.at(-1)!.weight.g).toBeCloseTo(
      22 * 28.349523125,
      6,
    );
    expect(saved(shoes, METRIC, { weighed: "claimed" }).weights).toHaveLength(before + 1);
    expect(saved(shoes, METRIC, { weight: "  " }).weights).toEqual([]);
  });

  test("a label is read in the owner's degrees, and a battery in what it says", () => {
    const label = (text: string, units: Units) => saved(bed, units, { label: text }).ratings.label?.celsius;
    expect(label("-3", METRIC)).toBe(-3);
    expect(label("23", IMPERIAL)).toBeCloseTo(-5, 9);
    expect(label("23 °C", IMPERIAL)).toBe(23);
    expect(saved(bed, METRIC, { label: "" }).ratings.label).toBeUndefined();
    expect(saved(shoes, METRIC, { wattHours: "10000 mAh at 3.7 V" }).ratings.wattHours).toBeCloseTo(37, 9);
    expect(saved(shoes, METRIC, { wattHours: "37" }).ratings.wattHours).toBe(37);
  });

  test("what it holds and its room are in the owner's measure, or in what is typed", () => {
    const room = (text: string, units: Units) => saved(bed, units, { packed: text }).ratings.packed;
    expect(room("8.5", METRIC)).toBe(8.5);
    // 1 in³ is 0.016 387 064 L, a US quart 0.946 352 946 L (NIST SP 811).
    expect(room("500", IMPERIAL)).toBe(8.194);
    expect(room("8.5 L", IMPERIAL)).toBe(8.5);
    expect(room("1 200", IMPERIAL)).toBe(19.664);
    const holds = (text: string, units: Units) => saved(bed, units, { litres: text }).ratings.litres;
    expect(holds("2", IMPERIAL)).toBe(1.893);
    expect(holds("20 fl oz", METRIC)).toBe(0.591);
    expect(toValues(Item.encode({ ...bed, ratings: { volume: 46 } }), IMPERIAL).volume).toBe("2807");
  });

  test("what can't be read goes on as it was typed, to be refused by its field", () => {
    const refused = (change: Partial<Values>) => {
      const was = Item.encode(shoes);
      const read = Item.safeParse(toItem(shoes.id, { ...toValues(was, METRIC), ...change }, was, METRIC));
      return read.success ? [] : read.error.issues.map(({ path }) => path.join("."));
    };
    expect(refused({ label: "chilly" })).toEqual(["ratings.label.celsius"]);
    expect(refused({ weight: "heavy" })).toEqual([expect.stringMatching(/^weights/)]);
    expect(refused({ pieces: "some" })).toEqual(["pieces"]);
    expect(refused({ services: [{ what: "wax", every: "often", unit: "nights" }] })).toEqual([
      "services.0.every",
    ]);
  });

  test("a service by distance is kept in metres and shown in the owner's unit", () => {
    const waxed = saved(shoes, IMPERIAL, { services: [{ what: "wax", every: "100", unit: "m" }] });
    expect(waxed.services[0]!.every).toBeCloseTo(160_934.4, 6);
    expect(toValues(Item.encode(waxed), IMPERIAL).services[0]!.every).toBe("100");
    expect(toValues(Item.encode(waxed), METRIC).services[0]!.every).toBe("160.9");
  });

  test("what only a wish has, or only a thing in a bag, goes when it is one no more", () => {
    const wish = saved(shoes, METRIC, { state: "wished", delivery: "12", instead: bed.id });
    expect(wish).toMatchObject({ state: "wished", delivery: 12, instead: bed.id });
    expect(saved(wish, METRIC, { state: "active" })).toMatchObject({ delivery: null, instead: null });
    const stowed = saved(shoes, METRIC, { stow: "bag", bag: bed.id });
    expect(stowed.bag).toBe(bed.id);
    expect(saved(stowed, METRIC, { stow: "main" }).bag).toBeNull();
    expect(saved(shoes, METRIC, { past: "unknown", openingDistance: "40" }).opening).toBeNull();
  });

  test("what is wrong in a list or a pair stands at the one field that the form has for it", () => {
    const answer = byFormField(
      refuse({
        "weights.1.weight": "a",
        "opening.distance": "b",
        "ratings.label.celsius": "c",
        "ratings.rValue": "d",
        name: "e",
      }),
      formFieldOf,
    );
    expect(answer).toMatchObject({
      fields: { weight: "a", openingDistance: "b", label: "c", rValue: "d", name: "e" },
    });
    expect(byFormField({ ok: true, value: undefined }, formFieldOf)).toEqual({ ok: true, value: undefined });
  });
});
