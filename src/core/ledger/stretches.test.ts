import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import type { ItemId, Trip } from "../model";
import { openBook } from "./book";
import { carriedOnStretches, endsOf, splitAt, stretchesOf } from "./stretches";
import { ledger } from "./totals";

const KM = 1000;
/** Five legs, 400 km, 20 nights, with the things named all along. */
const walk = (...things: object[]) =>
  logOf({
    items: things,
    trips: [
      {
        id: "t",
        name: "Ring of islands",
        starts: "2026-05-01",
        ends: "2026-05-21",
        legs: [
          { id: "a", distance: "60 km", terrain: "soft", nights: 3 },
          { id: "b", distance: "120 km", terrain: "rock", nights: 6, ascent: "4000 m" },
          { id: "c", distance: "80 km", nights: 4, starts: "2026-05-10", ends: "2026-05-14" },
          { id: "d", distance: "100 km", nights: 5 },
          { id: "e", distance: "40 km", nights: 2 },
        ],
        marks: things.map((thing) => ({ item: (thing as { name: string }).name, use: "used" })),
      },
    ],
  });
const tripOf = (log: ReturnType<typeof walk>): Trip => log.trips[0]!;
const totalsOf = (log: ReturnType<typeof walk>, trip: Trip, item: string) =>
  ledger(openBook({ ...log, trips: [trip] }, "2026-12-01")).get(item as ItemId)!;

describe("a ledger worked by hand, leg by leg", () => {
  const log = walk(
    { id: "shoes-1", name: "Shoes one", kind: "trail shoes", slot: "shoes" },
    { id: "shoes-2", name: "Shoes two", kind: "trail shoes", slot: "shoes" },
    { id: "tent", name: "Tent", kind: "tent" },
  );

  test("sent home and sent back: two ranges, their own kilometres and nights, and no others", () => {
    // On legs a and d, e: 60 + 100 + 40 km, 3 + 5 + 2 of 20 nights.
    const trip = carriedOnStretches(tripOf(log), "tent" as ItemId, [
      { from: 0, to: 60 * KM },
      { from: 260 * KM, to: 400 * KM },
    ]);
    expect(trip.legs).toHaveLength(5);
    expect(trip.carries.find(({ item }) => item === "tent")?.legs).toEqual(["a", "d", "e"]);
    const { carried } = totalsOf(log, trip, "tent");
    expect(carried.metres).toBe(200 * KM);
    expect(carried.nights).toBeCloseTo(10, 9);
  });

  test("a swap in mid-leg: pair 1 to km 150.3, pair 2 from there, to the last metre and by the ground", () => {
    const at = 150_300;
    const one = carriedOnStretches(tripOf(log), "shoes-1" as ItemId, [{ from: 0, to: at }]);
    const both = carriedOnStretches(one, "shoes-2" as ItemId, [{ from: at, to: 400 * KM }]);
    expect(both.legs.map(({ distance }) => distance.m)).toEqual([
      60_000, 90_300, 29_700, 80_000, 100_000, 40_000,
    ]);
    // Leg b had six nights: 90.3 of 120 km is 0.7525, 4.5 nights, 5 to the whole; the rest is 1.
    expect(both.legs.map(({ nights }) => nights)).toEqual([3, 5, 1, 4, 5, 2]);
    expect(both.legs[1]!.ascent!.m + both.legs[2]!.ascent!.m).toBe(4000);
    const [first, second] = ["shoes-1", "shoes-2"].map((shoes) => totalsOf(log, both, shoes));
    expect(first!.carried.metres).toBe(150_300);
    expect(second!.carried.metres).toBe(249_700);
    // Soft counts 0.8, rock 1.5, mixed 1: 60 × 0.8 + 90.3 × 1.5 and 29.7 × 1.5 + 220.
    expect(first!.wear).toBeCloseTo(60_000 * 0.8 + 90_300 * 1.5, 6);
    expect(second!.wear).toBeCloseTo(29_700 * 1.5 + 220_000, 6);
    // The tent, all along, has lost nothing by the cut.
    expect(totalsOf(log, both, "tent").carried).toMatchObject({ metres: 400_000, nights: 20 });
  });

  test("a leg with dates is cut in its dates too", () => {
    const cut = splitAt(tripOf(log), 200 * KM);
    expect(cut.legs.slice(2, 4).map(({ starts, ends }) => [starts, ends])).toEqual([
      ["2026-05-10", "2026-05-11"],
      ["2026-05-11", "2026-05-14"],
    ]);
  });

  test("what happened past the cut stands on the second part", () => {
    const trip = tripOf(log);
    const marked = {
      ...trip,
      carries: trip.carries.map((carry) => ({
        ...carry,
        mark: { ...carry.mark!, at: { leg: trip.legs[1]!.id, distance: { typed: "170 km", m: 170_000 } } },
      })),
    };
    const cut = splitAt(marked, 100 * KM);
    expect(cut.carries.every(({ mark }) => mark?.at?.leg === cut.legs[2]!.id)).toBe(true);
    expect(splitAt(marked, 175 * KM).carries[0]!.mark?.at?.leg).toBe("b");
  });

  test("no cut at a leg's end, nor beyond the way; nothing left: not carried", () => {
    const trip = tripOf(log);
    for (const metres of [-5, 0, 60_000, 60_049, 400_000, 1e9]) expect(splitAt(trip, metres)).toBe(trip);
    const off = carriedOnStretches(trip, "tent" as ItemId, []);
    expect(off.carries.map(({ item }) => item)).toEqual(["shoes-1", "shoes-2"]);
  });
});

test("whatever the changes, the way keeps its length, its nights and its things, and each is where it was put", () =>
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 400_000 }), fc.integer({ min: 0, max: 400_000 })), {
        maxLength: 8,
      }),
      (changes) => {
        const log = walk({ id: "x", name: "X", kind: "tent" }, { id: "y", name: "Y", kind: "pot" });
        let trip = tripOf(log);
        for (const [a, b] of changes) {
          const [from, to] = [Math.min(a, b), Math.max(a, b)];
          trip = carriedOnStretches(trip, "x" as ItemId, [{ from, to }]);
          const x = trip.carries.find(({ item }) => item === "x");
          const metres = x
            ? stretchesOf(trip.legs, x.legs).reduce((sum, each) => sum + each.to - each.from, 0)
            : 0;
          // Each end may have joined a leg's end that lay within 50 m.
          expect(Math.abs(metres - (to - from))).toBeLessThanOrEqual(101);
        }
        expect(endsOf(trip.legs).at(-1)).toBe(400_000);
        expect(trip.legs.reduce((sum, leg) => sum + leg.nights!, 0)).toBe(20);
        expect(new Set(trip.legs.map(({ id }) => id)).size).toBe(trip.legs.length);
        expect(totalsOf(log, trip, "y").carried.metres).toBe(400_000);
      },
    ),
  ));

describe("a cut that nobody uses any more", () => {
  const log = walk({ id: "tent", name: "Tent", kind: "tent" }, { id: "saw", name: "Saw", kind: "other" });
  const along = (trip: Trip, item: string, ...stretches: readonly [number, number][]) =>
    carriedOnStretches(
      trip,
      item as ItemId,
      stretches.map(([from, to]) => ({ from: from * KM, to: to * KM })),
    );
  const lengths = ({ legs }: Trip) => legs.map(({ distance }) => distance.m / KM);

  test("is gone once its end is dragged back, with not a metre, a night or a metre of ascent lost", () => {
    const cut = along(tripOf(log), "tent", [0, 100]);
    expect(lengths(cut)).toEqual([60, 40, 80, 80, 100, 40]);
    const back = along(cut, "tent", [0, 400]);
    expect(lengths(back)).toEqual([60, 120, 80, 100, 40]);
    expect(back.legs[1]).toMatchObject({ id: "b", nights: 6, terrain: "rock", ascent: { m: 4000 } });
    expect(back.carries.every(({ legs }) => legs === null)).toBe(true);
  });

  test("stays as long as another thing comes or goes there, and the owner's own legs stay whatever comes", () => {
    const both = along(along(tripOf(log), "tent", [0, 100]), "saw", [0, 100]);
    const one = along(both, "tent", [0, 400]);
    expect(lengths(one)).toEqual([60, 40, 80, 80, 100, 40]);
    expect(lengths(along(one, "saw", [0, 60]))).toEqual([60, 120, 80, 100, 40]);
  });

  test("moved on, leaves no trail of legs behind it", () => {
    let trip = tripOf(log);
    for (let at = 70; at < 180; at += 10) trip = along(trip, "tent", [0, at]);
    expect(lengths(trip)).toEqual([60, 110, 10, 80, 100, 40]);
  });
});
