import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { argue } from "../say/verdicts/argument";
import { kitOf } from "../advice/kit";
import { packWorth } from "./pack-worth";

const TODAY = "2026-11-24";
const open = (file: object) => {
  const kit = kitOf(openBook(logOf(file), TODAY));
  return { kit, pack: packWorth(kit) };
};

/**
 * Four trips of 50 km and 1000 m of ascent with a tent, a chair never used, a liked mug, a camera, and a bug
 * net where there are none.
 */
const walked = (more: object = {}) => ({
  settings: more,
  items: [
    { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
    { id: "chair", name: "Chair", kind: "chair", weight: "480 g" },
    { id: "mug", name: "Mug", kind: "mug", weight: "50 g" },
    { id: "camera", name: "Camera", kind: "camera", weight: "400 g" },
    { id: "net", name: "Bug shirt", kind: "bug net", weight: "150 g" },
    { id: "towel", name: "Towel", kind: "towel" },
  ],
  trips: [1, 2, 3, 4].map((month) => ({
    id: `t${month}`,
    starts: `2026-0${month}-10`,
    ends: `2026-0${month}-13`,
    distance: "50 km",
    ascent: "1000 m",
    conditions: { bugs: "none", rain: "some" },
    marks: [
      ["tent", "used"],
      ["chair", "unused"],
      ["mug", "used"],
      ["camera", "unused"],
      ["net", "unused"],
      ["towel", "used"],
    ].map(([item, use]) => ({ item, use })),
  })),
});

describe("the pack by worth", () => {
  test("the least worth first; the dropped and the idle are left; cover, danger, joy and the unweighed are not ranked", () => {
    const { pack } = open(walked());
    expect(pack!.ranked.map(({ one, loses }) => [one.item.id, loses])).toEqual([
      ["chair", true],
      ["net", true],
      ["mug", false],
    ]);
    expect(pack!.savedGrams).toBe(630);
    expect(pack!.savedGramMetres).toBe(630 * 50_000);
    expect(pack!.load).toBeCloseTo(1.98, 9);
  });

  test("what is left costs energy that is saved: more for a heavier load left, none for none", () => {
    const { pack } = open(walked());
    expect(pack!.savedKilocalories).toBeGreaterThan(5);
    expect(pack!.savedKilocalories).toBeLessThan(100);
    const used = walked();
    const all = {
      ...used,
      trips: used.trips.map((trip) => ({
        ...trip,
        marks: trip.marks.map((mark) => ({ ...mark, use: "used" })),
      })),
    };
    expect(open(all).pack).toMatchObject({ savedGrams: 0, savedKilocalories: 0 });
  });

  test("the owner's body weight is taken where it is given", () => {
    expect(open(walked()).pack!.body).toBe(75);
    expect(open(walked({ body: "60 kg" })).pack!.body).toBe(60);
  });

  test("before the first trip there is nothing to rank", () => {
    expect(open({ items: [{ name: "Tent", kind: "tent" }] }).pack).toBeNull();
  });
});

describe("the whole argument", () => {
  const argued = (file: object, id: string) => {
    const advice = open(file).kit.things.find(({ case: { item } }) => item.id === id)!;
    return argue(advice, advice.verdicts[0]);
  };

  test("its curves fall from 1, today stands on the wear so far, the next trip's end after it, the owner's own as steps", () => {
    const shoes = {
      settings: { units: { distance: "mi" } },
      items: [
        { id: "new", name: "New", kind: "trail shoes" },
        {
          id: "old",
          name: "Old",
          kind: "trail shoes",
          past: "known",
          opening: { distance: "400 mi" },
          state: "worn out",
        },
      ],
      trips: [1, 2, 3].map((month) => ({
        starts: `2026-0${month}-10`,
        ends: `2026-0${month}-13`,
        distance: "50 mi",
        marks: [{ item: "new", use: "used" }],
      })),
    };
    const { life } = argued(shoes, "new");
    expect(life).toMatchObject({ unit: "mi" });
    expect(life!.now).toBeCloseTo(150, 6);
    expect(life!.next).toBeCloseTo(200, 6);
    expect(life!.this[0]).toEqual({ x: life!.now, y: 1 });
    expect(life!.kind[0]!.y).toBeCloseTo(1, 9);
    for (const curve of [life!.this, life!.kind])
      curve.slice(1).forEach(({ y }, n) => expect(y).toBeLessThanOrEqual(curve[n]!.y));
    expect(life!.own.map(({ x, y }) => [Math.round(x), y])).toEqual([
      [0, 1],
      [400, 1],
      [400, 0],
    ]);
  });

  test("readings are told with their line, beside what the life model says alone", () => {
    const read = {
      items: [{ id: "shoes", name: "Shoes", kind: "trail shoes" }],
      trips: [4.6, 4.1, 3.7, 3.2].map((value, n) => ({
        starts: `2026-0${n + 1}-10`,
        ends: `2026-0${n + 1}-13`,
        distance: "100 km",
        marks: [{ item: "shoes", use: "used", reading: { what: "tread", value } }],
      })),
    };
    expect(argued(read, "shoes").worn.at(-1)).toMatch(
      /^Its tread: 4\.6, 4\.1, 3\.7, 3\.2; by the robust line 3\.2.mm now, and at 1\.5.mm in about 3\d\d km\. By the life model alone/,
    );
  });
});
