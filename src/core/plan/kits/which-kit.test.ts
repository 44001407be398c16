import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../../tests/histories";
import { TODAY } from "../../../../tests/judged";
import { openBook } from "../../ledger/book";
import { SavedKit, Trip } from "../../model";
import { daysOf } from "../../replay/days";
import { sleepOf } from "../../weighin/sleep";
import { sayCold, sayKitChange, sayMonths } from "./kit-words";
import { planFor } from "../plan";
import {
  heldKits,
  isTooCold,
  kitChange,
  listFrom,
  lowLike,
  picksFor,
  purposeOf,
  thingsOf,
  warmTo,
} from "./which-kit";

const units = { weight: "g", distance: "km", temperature: "C" } as const;
const plainText = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

const kit = (name: string, items: readonly string[], more: object = {}) =>
  SavedKit.parse({ id: name.toLowerCase(), name, items, ...more });

const planned = (more: object = {}) =>
  Trip.parse({
    id: "ahead",
    name: "Ahead",
    starts: "2027-01-10",
    ends: "2027-01-13",
    planned: true,
    legs: [{ id: "leg-1", distance: "40 km" }],
    ...more,
  });

describe("on any log, with any list kept as a kit", () => {
  const withKit = fc.record({
    file: anyFile,
    picks: fc.array(fc.nat(50), { maxLength: 12 }),
    low: fc.integer({ min: -15, max: 10 }),
  });

  test("what is put in was not in it, what is taken out was, and taken so changed it is the trip's list to the letter", () => {
    fc.assert(
      fc.property(withKit, ({ file, picks, low }) => {
        const log = logOf(file);
        const book = openBook(log, TODAY);
        if (book.items.length === 0) return;
        const items = [...new Set(picks.map((n) => book.items[n % book.items.length]!.id))];
        const trip = planned({ foreseen: { low } });
        const plan = planFor(book, trip);
        const [held] = heldKits([kit("Any", items)], { plan, beds: sleepOf(book), low });
        const things = new Set(held!.things);
        for (const { item } of held!.putIn) expect(things.has(item)).toBe(false);
        for (const { item } of held!.takeOut) expect(things.has(item)).toBe(true);
        for (const { from, to } of held!.swap)
          expect([things.has(from.item), things.has(to.item)]).toEqual([true, false]);
        const list = listFrom(held!).filter((item) => plan.lines.some((line) => line.item === item));
        const taken = planFor(book, { ...trip, picks: picksFor(list, plan) });
        const goes = taken.lines.flatMap(({ item, column }) =>
          column === "take" || column === "not ready" ? [item.id] : [],
        );
        expect(goes.sort()).toEqual(list.map(({ id }) => id).sort());
        // Held again once it is taken, it is held against what the trip asks, not against itself.
        const [again] = heldKits([kit("Any", items)], { plan: taken, beds: sleepOf(book), low });
        expect(again!.putIn.map(({ item }) => item.id)).toEqual(held!.putIn.map(({ item }) => item.id));
      }),
      { numRuns: 60 },
    );
  });
});

const THINGS = [
  { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
  { id: "pack", name: "Pack", kind: "pack", weight: "1000 g" },
  {
    id: "quilt",
    name: "Quilt",
    kind: "quilt",
    weight: "600 g",
    ratings: { label: { celsius: 2, means: "comfort" } },
  },
  {
    id: "bag",
    name: "Winter bag",
    kind: "sleeping bag",
    weight: "1300 g",
    ratings: { label: { celsius: -15, means: "comfort" } },
  },
  { id: "old", name: "Old mug", kind: "mug", weight: "120 g", state: "worn out" },
  { id: "mug", name: "New mug", kind: "mug", weight: "60 g" },
];
const SUMMER = ["tent", "pack", "quilt", "old"];
const WINTER = ["tent", "pack", "bag", "mug"];
/** One walk, with one kit or the other. */
const walkedWith = (items: readonly string[]) =>
  openBook(
    logOf({
      items: THINGS,
      trips: [
        {
          name: "Before",
          starts: "2026-05-01",
          ends: "2026-05-04",
          distance: "50 km",
          marks: items.map((item) => ({ item, use: "used" })),
        },
      ],
    }),
    TODAY,
  );
const kits = [
  kit("Summer", SUMMER, { months: [5, 6, 7, 8, 9] }),
  kit("Winter", WINTER, { months: [11, 12, 1, 2, 3] }),
];
const heldOn = (items: readonly string[], trip: Trip) => {
  const book = walkedWith(items);
  const plan = planFor(book, trip);
  const held = heldKits(kits, { plan, beds: sleepOf(book), low: trip.foreseen.low });
  return { held, change: kitChange(held, { plan }) };
};

test("with the lows below what its bed does, the winter kit is proposed, with what goes in and what comes out", () => {
  const { held, change } = heldOn(SUMMER, planned({ foreseen: { low: -8 } }));
  expect(held.map(({ kit: { name } }) => name)).toEqual(["Winter", "Summer"]);
  expect(held.map(isTooCold)).toEqual([false, true]);
  expect(change).toMatchObject({ why: "too cold" });
  const said = plainText(sayKitChange(change!, -8, units));
  expect(said).toMatch(/^Time for “Winter”: nights down to −8 °C/);
  expect(said).toContain("In: Winter bag");
  expect(said).toContain("Out: Quilt");
  // The summer kit itself would be put right by the bag.
  expect(held[1]!.swap.map(({ from, to }) => [from.item.id, to.item.id])).toEqual([["quilt", "bag"]]);
  expect(plainText(sayCold(held[1]!, -8, units))).toMatch(/^Too cold for −8 °C: .* for a cold night/);
});

test("after the winter the lighter one will do, in its months, and is not spoken of while it would be cold", () => {
  const july = { starts: "2027-07-10", ends: "2027-07-13" };
  const { change } = heldOn(WINTER, planned({ ...july, foreseen: { low: 9 } }));
  expect(change).toMatchObject({ why: "lighter" });
  expect(plainText(sayKitChange(change!, 9, units))).toMatch(
    /^“Summer” will do for nights down to 9 °C: 760 g less/,
  );
  expect(heldOn(WINTER, planned({ ...july, foreseen: { low: -8 } })).change).toBeNull();
  // The one in hand is right: nothing is said.
  expect(heldOn(SUMMER, planned({ ...july, foreseen: { low: 9 } })).change).toBeNull();
});

test("what is gone from a kit is named with what has come in its place", () => {
  const { things, gone } = thingsOf(kits[0]!, walkedWith(SUMMER));
  expect(things.map(({ id }) => id)).toEqual(["tent", "pack", "quilt"]);
  expect(gone.map(({ thing, heir }) => [thing.id, heir?.id])).toEqual([["old", "mug"]]);
});

test("how cold a time of year gets: the coldest of ten nights out then; of few nights nothing is said", () => {
  const nights = (lows: readonly number[]) =>
    openBook(
      logOf({
        items: THINGS,
        trips: lows.map((low, n) => ({
          name: `N${n}`,
          starts: `2025-01-${String(n + 1).padStart(2, "0")}`,
          ends: `2025-01-${String(n + 2).padStart(2, "0")}`,
          distance: "10 km",
          felt: [{ low, felt: "right", slept: ["quilt"] }],
        })),
      }),
      TODAY,
    ).outings.flatMap((outing) => daysOf(outing));
  expect(lowLike(nights([-1, -2, -3, -4]), 1)).toBeNull();
  expect(lowLike(nights([-1, -2, -3, -4, -5]), 1)).toBe(-5);
  expect(lowLike(nights([-9, -1, -2, -3, -4, -5, -6, -7, -8, 0]), 2)).toBe(-8);
  expect(lowLike(nights([-1, -2, -3, -4, -5]), 6)).toBeNull();
});

test("a kit kept from a walk is for its time of year, the coldest night slept out, and the weather it had", () => {
  const trip = planned({
    planned: false,
    starts: "2025-12-20",
    ends: "2026-01-03",
    conditions: { rain: "strong", bugs: "none" },
    felt: [{ low: -6 }, { low: -9, roof: true }],
  });
  expect(purposeOf(trip)).toEqual({ months: [1, 2, 11, 12], low: -6, weather: ["rain"] });
  expect(purposeOf(planned({ foreseen: { low: -3 } })).low).toBe(-3);
});

test("the line of a bed is where a cold night stops being unlikely", () => {
  const { held } = heldOn(SUMMER, planned({ foreseen: { low: 0 } }));
  for (const { way } of held) {
    const to = warmTo(way!);
    expect(way!.comfort.coldAt(to)).toBeLessThanOrEqual(0.2);
    expect(way!.comfort.coldAt(to - 1)).toBeGreaterThan(0.2);
  }
});

test("months are said as a season", () => {
  expect([[], [8], [5, 6, 7], [11, 12, 1, 2], [1, 7]].map(sayMonths)).toEqual([
    "any month",
    "August",
    "May to July",
    "November to February",
    "January and July",
  ]);
});
