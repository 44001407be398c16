import { anyFile, logOf } from "../../../tests/histories";
import fc from "fast-check";
import { expect, test } from "vitest";
import { openBook } from "./book";
import { ledger, usedInAll } from "./totals";
import { weighIn } from "../weighin/weigh-in";
import type { Log } from "../model";

const TODAY = "2030-01-01";
const totals = (log: Log) => ledger(openBook(log, TODAY));
const only = (file: object) => [...totals(logOf(file)).values()];

const trip = (more: object) => ({ starts: "2026-05-01", ends: "2026-05-05", distance: "100 km", ...more });

test("wear comes from use, not from being carried; hardly counts a tenth", () => {
  const items = ["used", "hardly", "unused"].map((name) => ({ name, kind: "trail shoes", weight: "600 g" }));
  const [used, hardly, unused] = only({
    items,
    trips: [trip({ marks: items.map(({ name }) => ({ item: name, use: name })) })],
  });
  expect([used!.wear, hardly!.wear, unused!.wear]).toEqual([100_000, 10_000, 0]);
  expect(unused!.carried).toEqual({ metres: 100_000, nights: 4, days: 5, trips: 1 });
  expect(unused!.deadGramMetres).toBe(600 * 100_000);
  expect(used!.deadGramMetres).toBe(0);
});

test("an item's miles are those of the legs that it was carried on", () => {
  const [boots] = only({
    items: [{ name: "Boots", kind: "boots" }],
    trips: [
      trip({
        distance: undefined,
        legs: [
          { distance: "30 km", terrain: "rock" },
          { distance: "70 km", terrain: "road" },
        ],
        marks: [{ item: "Boots", use: "used", legs: [1] }],
      }),
    ],
  });
  expect(boots!.carried.metres).toBe(30_000);
  expect(boots!.wear).toBeCloseTo(30_000 * 1.5, 6); // rock; common practice, no source
});

test("a trip that is not unpacked yet wears a thing in its place, as its others do on the average", () => {
  const on = (month: number) => ({
    starts: `2026-0${month}-01`,
    ends: `2026-0${month}-05`,
    distance: "100 km",
  });
  const boots = (use?: string) => [{ item: "Boots", ...(use && { use }) }];
  const [worn] = only({
    items: [{ name: "Boots", kind: "boots" }],
    entries: [{ item: "Boots", on: "2026-09-01", what: "wear", distance: "40 km" }],
    trips: [
      { ...on(5), marks: boots("used") },
      { ...on(6), marks: boots("unused") },
      { ...on(7), marks: boots() },
      { ...on(8), marks: boots("used") },
    ],
  });
  expect(worn!.steps.map(({ on, wear }) => [on, Math.round(wear)])).toEqual([
    ["2026-05-05", 100_000],
    ["2026-06-05", 0],
    ["2026-07-05", 66_667],
    ["2026-08-05", 100_000],
    ["2026-09-01", 40_000],
  ]);
  expect(worn!.wear).toBeCloseTo(306_666.67, 1);
});

test("socks worn in turn share the wear of a leg", () => {
  const items = ["grey", "green", "blue"].map((name) => ({ name, kind: "socks" }));
  const all = only({
    items,
    trips: [
      trip({
        marks: [
          { item: "grey", use: "used" },
          { item: "green", use: "used" },
          { item: "blue", use: "unused" },
        ],
      }),
    ],
  });
  expect(all.map(({ wear }) => wear)).toEqual([50_000, 50_000, 0]);
});

test("known days win over the bare mark, an opening balance and entries add on", () => {
  const [shoes] = only({
    items: [{ name: "Shoes", kind: "trail shoes", past: "known", opening: { distance: "200 km" } }],
    trips: [trip({ marks: [{ item: "Shoes", use: "used", days: 1 }] })],
    entries: [{ item: "Shoes", on: "2026-06-01", what: "wear", distance: "40 km" }],
  });
  expect(shoes!.wear).toBeCloseTo(200_000 + 20_000 + 40_000, 6);
});

// 379 km walked on trips, 200 before and 66 between: 645 in all, and each by itself.
test("what went before and between is told apart from what went on trips", () => {
  const [shoes] = only({
    items: [{ name: "Shoes", kind: "trail shoes", opening: { distance: "200 km", nights: 12, days: 20 } }],
    trips: [trip({ distance: "379 km", ends: "2026-05-20", marks: [{ item: "Shoes", use: "used" }] })],
    entries: [{ item: "Shoes", on: "2026-06-01", what: "wear", distance: "66 km", nights: 1 }],
  });
  expect(shoes!.used.metres).toBe(379_000);
  expect(shoes!.outside).toEqual({ metres: 266_000, nights: 13, days: 20 });
  expect(usedInAll(shoes!)).toEqual({ metres: 645_000, nights: 19 + 13, days: 20 + 20 });
});

// Common practice, no source: about a kilometre an evening. Four evenings of five days are 4 km, not 100.
test("camp shoes wear by evenings, not by the day's way", () => {
  const [clogs] = only({
    items: [{ name: "Clogs", kind: "camp shoes" }],
    trips: [trip({ marks: [{ item: "Clogs", use: "used" }] })],
  });
  expect(clogs!.wear).toBe(4000);
  expect(clogs!.used.metres).toBe(4000);
  expect(clogs!.carried.metres).toBe(100_000);
});

// A walk of 150 days, a fifth of it (30 days) told as strong rain: 30 · 0.75 and 5 in a hundred of the rest,
// 22.5 + 6 = 28.5, and not 112; where the owner counted 20, 20.
test("wet days are those of the stretch that it was told of, or as they were counted", () => {
  const wet = (more: object) =>
    only({
      items: [{ name: "Shell", kind: "rain shell" }],
      trips: [
        {
          name: "Long",
          starts: "2026-01-01",
          ends: "2026-05-30",
          legs: [{ distance: "2400 km" }, { distance: "600 km", conditions: { rain: "strong" } }],
          marks: [{ item: "Shell", use: "used" }],
          ...more,
        },
      ],
    })[0]!.wear;
  expect(wet({})).toBeCloseTo(28.5);
  expect(wet({ counted: { rain: 20 } })).toBe(20);
});

// Ten nights, three of them in huts: seven for the tent, ten for the mat.
test("a shelter is not up on nights under a roof", () => {
  const [tent, mat] = only({
    items: [
      { name: "Tent", kind: "tent" },
      { name: "Mat", kind: "foam pad" },
    ],
    trips: [
      trip({
        ends: "2026-05-11",
        felt: Array.from({ length: 3 }, () => ({ roof: true })),
        marks: [
          { item: "Tent", use: "used" },
          { item: "Mat", use: "used" },
        ],
      }),
    ],
  });
  expect(tent!.used.nights).toBe(7);
  expect(mat!.used.nights).toBe(10);
});

test("cover is never dead weight", () => {
  const [kit] = only({
    items: [{ name: "Kit", kind: "first-aid kit", weight: "180 g" }],
    trips: [trip({ marks: [{ item: "Kit", use: "unused" }] })],
  });
  expect(kit!.deadGramMetres).toBe(0);
});

test("totals do not depend on the order of items, trips or marks", () => {
  fc.assert(
    fc.property(anyFile, fc.infiniteStream(fc.nat()), (file, order) => {
      const shuffled = <T>(list: readonly T[]) =>
        list
          .map((one) => [order.next().value, one] as const)
          .sort(([a], [b]) => a - b)
          .map(([, one]) => one);
      const log = logOf(file);
      const mixed = {
        ...log,
        items: shuffled(log.items),
        trips: shuffled(log.trips).map((each) => ({ ...each, carries: shuffled(each.carries) })),
      };
      const figures = (of: Log) =>
        new Map(
          [...totals(of)].map(([id, { steps, ...own }]) => [
            id,
            { ...own, steps: steps.map(({ wear }) => wear) },
          ]),
        );
      expect(figures(mixed)).toEqual(figures(log));
    }),
    { numRuns: 60 },
  );
});

test("more use never lowers wear", () => {
  fc.assert(
    fc.property(anyFile, (file) => {
      const more = {
        ...file,
        trips: file.trips.map((each) => ({
          ...each,
          marks: each.marks.map((mark, n) => (n === 0 ? { ...mark, use: "used" as const } : mark)),
        })),
      };
      const before = totals(logOf(file));
      const after = totals(logOf(more));
      for (const one of file.trips.flatMap((each) => each.marks.slice(0, 1))) {
        const { kind } = file.items.find((item) => item.id === one.item)!;
        // Shared in turn: another's use may lower one's own.
        if (kind !== "socks" && kind !== "underwear")
          expect(after.get(one.item as never)!.wear).toBeGreaterThanOrEqual(
            before.get(one.item as never)!.wear,
          );
      }
    }),
    { numRuns: 60 },
  );
});

test("what a companion carried of a thing is off the owner's back; it was slept under all the same", () => {
  const log = logOf({
    items: [
      { id: "tent", name: "Tent", kind: "tent", weight: "1200 g" },
      { id: "chair", name: "Chair", kind: "chair", weight: "500 g" },
    ],
    trips: [
      {
        id: "t",
        name: "Two of us",
        starts: "2026-05-01",
        ends: "2026-05-05",
        distance: "60 km",
        marks: [
          { item: "tent", use: "used", shared: { with: "Companion", part: 0.5 } },
          { item: "chair", use: "unused", shared: { with: "Companion", part: 0 } },
        ],
      },
    ],
  });
  const totals = ledger(openBook(log, "2026-06-01"));
  const of = (id: string) => [...totals].find(([item]) => item === id)![1];
  expect(of("tent").carried).toMatchObject({ metres: 30_000, nights: 4 });
  expect(of("tent").used).toMatchObject({ metres: 60_000, nights: 4 });
  expect(of("tent").wear).toBe(4);
  expect(of("chair").deadGramMetres).toBe(0);
});

test("a companion carries it on a part of the way: only there is it off the owner’s back, and it is a load set out with", () => {
  const log = logOf({
    items: [
      { id: "stove", name: "Stove", kind: "stove", weight: "100 g" },
      { id: "chair", name: "Chair", kind: "other", weight: "500 g" },
    ],
    trips: [
      {
        id: "t",
        name: "Two",
        starts: "2026-05-01",
        ends: "2026-05-05",
        legs: [
          { id: "a", distance: "20 km" },
          { id: "b", distance: "40 km" },
        ],
        marks: [
          { item: "stove", use: "used", shared: { with: "Ida", part: 0, legs: ["b"] } },
          { item: "chair", use: "unused", shared: { with: "Ida", part: 0.5, legs: ["b"] } },
        ],
      },
    ],
  });
  const book = openBook(log, "2026-06-01");
  const totals = ledger(book);
  const of = (id: string) => [...totals].find(([item]) => item === id)![1];
  expect(of("stove").carried.metres).toBe(20_000);
  expect(of("stove").used.metres).toBe(60_000);
  // 500 g over 20 km, half of them over 40.
  expect(of("chair").deadGramMetres).toBe(500 * 40_000);
  const { legs } = weighIn(log.trips[0]!, book.item, book.items);
  expect(legs.map(({ base }) => base)).toEqual([600, 250]);
});
