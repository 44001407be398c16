import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { kitOf } from "../advice/kit";
import { openBook } from "../ledger/book";
import { swapsMade } from "../seasons/swaps";
import { loadsOf, thingLoads } from "./loads";

// By pencil: a pack of 1000 g, a tent of 1400 g used over 100 km, a camera of 600 g (hobby) over the same way and a
// saw of 300 g that lay idle; the second trip of 50 km left the saw, and took a tent of 900 g in the other's place.
const log = logOf({
  items: [
    { id: "pack", name: "Pack", kind: "backpack", weight: "1000 g" },
    {
      id: "old",
      name: "Old tent",
      kind: "tent",
      slot: "tent",
      weight: "1400 g",
      state: "retired",
      since: "2026-06-01",
    },
    { id: "new", name: "New tent", kind: "tent", slot: "tent", weight: "900 g", price: 300 },
    { id: "camera", name: "Camera", kind: "camera", weight: "600 g", load: "hobby" },
    { id: "saw", name: "Saw", kind: "other", weight: "300 g" },
  ],
  trips: [
    {
      id: "a",
      name: "A",
      starts: "2026-05-01",
      ends: "2026-05-05",
      distance: "100 km",
      marks: [
        { item: "pack", use: "used" },
        { item: "old", use: "used", complaints: [{ what: "too heavy" }] },
        { item: "camera", use: "used" },
        { item: "saw", use: "unused" },
      ],
    },
    {
      id: "b",
      name: "B",
      starts: "2026-07-01",
      ends: "2026-07-04",
      distance: "50 km",
      marks: [
        { item: "pack", use: "used" },
        { item: "new", use: "used" },
        { item: "camera", use: "unused" },
      ],
    },
  ],
});
const book = openBook(log, "2026-11-26");

test("each trip's load and what lugging it came to, in gram-metres", () => {
  expect(loadsOf(book)).toMatchObject([
    { base: 1900, bigThree: 1900, dead: 600 * 50_000, hobby: 600 * 50_000, used: 1900 * 50_000 },
    {
      base: 2700,
      bigThree: 2400,
      start: 3300,
      dead: 300 * 100_000,
      hobby: 600 * 100_000,
      used: 3000 * 100_000,
    },
  ]);
});

test("each thing over all trips, used and for nothing, and its part of the base weight that it went in", () => {
  const of = new Map(thingLoads(book).map((thing) => [thing.item.id as string, thing]));
  expect(of.get("camera")).toMatchObject({ used: 600 * 100_000, dead: 600 * 50_000, share: 0, trips: 2 });
  expect(of.get("pack")!.share).toBeCloseTo(2000 / (2700 + 1900));
  expect(of.get("saw")).toMatchObject({ used: 0, dead: 300 * 100_000 });
  // Every gram-metre of the trips is some thing's.
  const all = (each: { used: number; dead: number }) => each.used + each.dead;
  expect([...of.values()].reduce((sum, thing) => sum + all(thing), 0)).toBe(
    loadsOf(book).reduce((sum, load) => sum + all(load), 0),
  );
});

// 500 g lighter over 50 km: 25 kg·km spared; complained of once in one, never since.
test("what a swap spared, and what was said before and since", () => {
  expect(swapsMade(kitOf(book))).toMatchObject([
    {
      from: { case: { item: { id: "old" } } },
      to: { case: { item: { id: "new" } } },
      grams: 500,
      gramMetres: 500 * 50_000,
      nights: 3,
      trips: 1,
      before: { trouble: 1, of: 1 },
      since: { trouble: 0, of: 1 },
    },
  ]);
});
