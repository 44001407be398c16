import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { TODAY } from "../../../tests/judged";
import { weighIn } from "../weighin/weigh-in";
import type { ItemId } from "../model";
import { openBook } from "./book";
import { ledger } from "./totals";

// Worked by hand: a walk of six legs, 810 km in all, of 140, 100, 150, 120, 160 and 140 km.
const KM = [140, 100, 150, 120, 160, 140];
const walk = (marks: readonly object[], items: readonly object[]) =>
  logOf({
    items,
    trips: [
      {
        id: "long",
        name: "The long one",
        starts: "2026-05-01",
        ends: "2026-06-04",
        legs: KM.map((km, n) => ({ id: `leg-${n + 1}`, distance: `${km} km` })),
        marks,
      },
    ],
  });
const tripod = { id: "tripod", name: "Tripod", kind: "hobby", weight: "310 g", load: "hobby" };
const carriedOf = (log: ReturnType<typeof walk>, id: string) =>
  openBook(log, TODAY).carriedOf(id as ItemId)[0]!;

test.each([
  ["sent home at the end of its leg", { at: { leg: "leg-1" } }, 140],
  ["sent home at a distance, in mid-leg", { at: { distance: "190 km" } }, 190],
  ["nobody said where", {}, 810],
])("%s: carried up to there, and lugged for nothing no further", (_, at, km) => {
  const log = walk([{ item: "tripod", use: "unused", exit: { how: "sent home" }, ...at }], [tripod]);
  const one = carriedOf(log, "tripod");
  expect(one.metres).toBeCloseTo(km * 1000, 6);
  expect(one.part).toBeCloseTo(km / 810, 9);
  const totals = ledger(openBook(log, TODAY)).get("tripod" as ItemId)!;
  expect(totals.deadGramMetres).toBeCloseTo(310 * km * 1000, 3);
});

test("posted ahead is not gone; part of a set may go, and the set stay", () => {
  const posted = walk(
    [{ item: "tripod", use: "used", exit: { how: "posted ahead" }, at: { leg: "leg-1" } }],
    [tripod],
  );
  expect(carriedOf(posted, "tripod").metres).toBe(810_000);
  const pegs = { id: "pegs", name: "Pegs", kind: "stakes", pieces: 8, weight: "96 g" };
  const lost = walk(
    [{ item: "pegs", use: "used", pieces: 1, exit: { how: "lost" }, at: { leg: "leg-2" } }],
    [pegs],
  );
  expect(carriedOf(lost, "pegs").metres).toBe(810_000);
});

test("three pairs of shoes, one after another: each wears its own legs, and one is worn at a time", () => {
  const shoes = [1, 2, 3].map((n) => ({
    id: `pair-${n}`,
    name: `Shoes, pair ${n}`,
    kind: "trail shoes",
    weight: `${600 + n * 10} g`,
    slot: "shoes",
  }));
  const log = walk(
    [
      { item: "pair-1", use: "used", exit: { how: "swapped", for: "pair-2" }, at: { leg: "leg-2" } },
      { item: "pair-2", use: "used", exit: { how: "swapped", for: "pair-3" }, at: { distance: "450 km" } },
      { item: "pair-3", use: "used" },
    ],
    shoes,
  );
  // 140 + 100; from there to 450; and the rest.
  expect(shoes.map(({ id }) => Math.round(carriedOf(log, id).metres / 1000))).toEqual([240, 210, 360]);
  const totals = ledger(openBook(log, TODAY));
  expect(shoes.map(({ id }) => Math.round(totals.get(id as ItemId)!.wear / 1000))).toEqual([240, 210, 360]);
  const book = openBook(log, TODAY);
  const { legs, bigThree } = weighIn(log.trips[0]!, book.item, book.items);
  expect(legs.map(({ worn }) => worn)).toEqual([610, 610, 620, 620, 630, 630]);
  expect(bigThree.grams).toBe(0);
});
