import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { saySuspect } from "../say/weigh-in";
import { countsAs, fullLoad, packWeight, weighIn } from "./weigh-in";

/** A trip of two legs, 60 and 40 km, worked by hand: 5000 g of food and 2 L of water go out. */
const weighed = (more: { scale?: object; items?: object[]; marks?: object[]; supplies?: object[] } = {}) => {
  const book = openBook(
    logOf({
      items: [
        {
          id: "pack",
          name: "Pack",
          kind: "pack",
          weight: "1000 g",
          ratings: { volume: 40, comfortableLoad: "10 kg" },
        },
        { id: "tent", name: "Tent", kind: "tent", weight: "900 g", ratings: { packed: 8 } },
        { id: "quilt", name: "Quilt", kind: "quilt", weight: "600 g", ratings: { packed: 7 } },
        { id: "pouch", name: "Pouch", kind: "dry bag", weight: "40 g" },
        { id: "torch", name: "Torch", kind: "head torch", weight: "60 g", stow: "bag", bag: "pouch" },
        { id: "chair", name: "Chair", kind: "chair", weight: "500 g", ratings: { packed: 3 } },
        { id: "shoes", name: "Shoes", kind: "trail shoes", weight: "620 g" },
        { id: "camera", name: "Camera", kind: "camera", weight: "400 g" },
        { id: "gas", name: "Gas", kind: "fuel", weight: "200 g" },
        { id: "shell", name: "Shell", kind: "rain shell", weight: "300 g", stow: "outside" },
        ...(more.items ?? []),
      ],
      trips: [
        {
          id: "t",
          name: "T",
          starts: "2026-05-01",
          ends: "2026-05-05",
          legs: [{ distance: "60 km" }, { distance: "40 km" }],
          supplies: more.supplies ?? [
            { what: "food", unit: "kg", out: 5, back: 0 },
            { what: "water", unit: "L", out: 2, back: 0 },
            { what: "gas", unit: "g", out: 110, back: 20 },
          ],
          ...(more.scale && { scale: more.scale }),
          marks: [
            { item: "pack" },
            { item: "tent", shared: { with: "Ole", part: 0.5 } },
            { item: "quilt" },
            { item: "pouch" },
            { item: "torch" },
            { item: "chair", legs: [1] },
            { item: "shoes" },
            { item: "camera" },
            { item: "gas" },
            { item: "shell" },
            ...(more.marks ?? []),
          ].map((mark) => ({ use: "used", ...mark })),
        },
      ],
    }),
    "2026-11-26",
  );
  return weighIn(book.tripOf(book.outings[0]!), book.item, book.items);
};

describe("a list's weight, worked by hand", () => {
  test("each leg at its start; the owner's half of what is shared; fuel with its canister", () => {
    const [first, second] = weighed().legs;
    // 1000 + 450 + 600 + 40 + 60 + 500 + 300, and 60 % of 7000 g.
    expect(first).toMatchObject({ base: 2950, worn: 620, hobby: 400, consumable: 200, supplies: 4200 });
    expect(packWeight(first!)).toBe(7750);
    expect(fullLoad(first!)).toBe(8370);
    expect(second).toMatchObject({ base: 2450, supplies: 2800 });
  });

  test("the big three, by job and by place, pouch against contents, what the pack carries well, its room", () => {
    const { bigThree, byJob, byPlace, pouches, against, room } = weighed();
    expect(bigThree.grams).toBe(2050);
    expect(bigThree.share).toBeCloseTo(2050 / 2950, 9);
    expect(byJob[0]).toEqual(["carry", 1000]);
    expect(byPlace.find(([stow]) => stow === "bag")).toEqual(["bag", 60]);
    expect(pouches).toMatchObject([{ own: 40, contents: 60 }]);
    expect(against).toMatchObject({ limit: 10_000, heaviest: 7750 });
    // Half of the tent's 8 L, the quilt, the chair.
    expect(room).toMatchObject({ volume: 40, packed: 14 });
    expect(room!.outside.map(({ id }) => id)).toEqual(["shell"]);
    expect(room!.unknown.map(({ id }) => id)).toContain("camera");
    expect(byJob.reduce((sum, [, grams]) => sum + grams, 0)).toBe(
      byPlace.reduce((sum, [, grams]) => sum + grams, 0),
    );
  });
});

test("named apart: what was never weighed, what counts at its maker's weight; what is no longer on the shelf is no part of it", () => {
  const { unweighed, claimed, packed } = weighed({
    items: [
      { id: "hat", name: "Hat", kind: "warm hat" },
      { id: "pad", name: "Pad", kind: "inflatable pad", weights: [{ weight: "400 g", how: "claimed" }] },
      {
        id: "pot",
        name: "Pot",
        kind: "pot",
        weights: [
          { weight: "110 g", how: "claimed" },
          { weight: "123 g", how: "measured", on: "2026-01-01" },
        ],
      },
    ],
    marks: [{ item: "hat" }, { item: "pad" }, { item: "pot" }],
  });
  expect(unweighed.map(({ id }) => id)).toEqual(["hat"]);
  // Weighed since, the pot counts at what the scale said.
  expect(claimed.map(({ id }) => id)).toEqual(["pad"]);
  expect(packed.find(({ item }) => item.id === "pot")!.grams).toBe(123);
});

test("what is worn or in the hand is no base weight, the pack itself is", () => {
  const { packed } = weighed({
    items: [
      { id: "poles", name: "Poles", kind: "trekking poles", weight: "400 g" },
      { id: "belt", name: "Belt pack", kind: "pack", weight: "90 g", stow: "worn" },
    ],
    marks: [{ item: "poles" }, { item: "belt" }],
  });
  const countedAs = Object.fromEntries(packed.map(({ item }) => [item.id, countsAs(item)]));
  expect(countedAs).toMatchObject({
    poles: "worn",
    shoes: "worn",
    pack: "base",
    belt: "base",
    camera: "hobby",
    gas: "consumable",
    tent: "base",
  });
});

describe("the list against the scale", () => {
  // On the back at the first start: 2950 + 400 + 200 of things, 4200 of supplies; without supplies 3350.
  test.each([
    ["everything", "7.75 kg", 0, false],
    ["no supplies", "3.35 kg", 0, false],
    ["no supplies", "3.39 kg", 40, false],
    ["no supplies", "3.41 kg", 60, true],
  ] as const)("%s: %s is off by %s g", (holds, weight, gap, matters) => {
    expect(weighed({ scale: { weight, holds } }).scale).toMatchObject({ gap, matters });
  });

  test("what was never weighed leads, then what comes nearest; each in a sentence", () => {
    const { scale } = weighed({
      scale: { weight: "3.9 kg", holds: "no supplies" },
      items: [
        { id: "hat", name: "Hat", kind: "warm hat" },
        { id: "pad", name: "Pad", kind: "inflatable pad", weights: [{ weight: "400 g", how: "claimed" }] },
        { id: "stakes", name: "Stakes", kind: "stakes", pieces: 6, weight: "10 g" },
      ],
      marks: [{ item: "hat" }, { item: "pad" }, { item: "stakes" }],
    });
    expect(scale).toMatchObject({ gap: 140, matters: true });
    expect(scale!.suspects.map(({ why, grams }) => [why, grams])).toEqual([
      ["not weighed", null],
      ["pieces", 50],
      ["claimed", 20],
    ]);
    const units = { weight: "g", distance: "km", temperature: "C" } as const;
    expect(scale!.suspects.map((suspect) => saySuspect(suspect, units).replaceAll("\u00a0", " "))).toEqual([
      "Nobody has weighed Hat.",
      "Stakes: is 10 g the weight of one, or of all 6?",
      "Pad counts at the maker’s weight, which is mostly a little low (about 20 g).",
    ]);
  });

  test("lighter than its list: what comes nearest may have stayed at home", () => {
    const { scale } = weighed({ scale: { weight: "2.86 kg", holds: "no supplies" } });
    expect(scale).toMatchObject({ gap: -490, matters: true, suspects: [{ why: "heavier than packed" }] });
    expect(scale!.suspects[0]!.items[0]!.id).toBe("chair");
  });

  test("food and water that nobody told of are named where the bag held them", () => {
    const { scale } = weighed({ scale: { weight: "7 kg" }, supplies: [] });
    expect(scale!.suspects.map(({ why }) => why)).toContain("supplies not weighed");
  });
});
