import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { kitOf } from "../advice/kit";
import { openBook } from "../ledger/book";
import { partCounts } from "../ledger/service-counts";
import { sayAge, sayHowLong, sayItsLife } from "../say/served";
import { sayWay } from "../say/words";
import { Units } from "../units/units";
import { howLong, predecessorOf } from "./how-long";
import { costPer } from "./money";

const TODAY = "2026-11-26";
const metric = Units.parse({});

/** One pair worn out after 900 km, and the one after it with four trips of 100 km in the last 200 days. */
const log = logOf({
  items: [
    {
      id: "one",
      name: "Shoes, pair 1",
      kind: "trail shoes",
      slot: "shoes",
      price: 140,
      state: "worn out",
      since: "2026-04-01",
    },
    {
      id: "two",
      name: "Shoes, pair 2",
      kind: "trail shoes",
      slot: "shoes",
      price: 150,
      acquired: "2024-09-20",
      opening: { distance: "50 km" },
      parts: [{ name: "Insoles", renewed: "2026-07-01" }, { name: "Badge" }],
    },
  ],
  trips: [
    {
      name: "Before",
      starts: "2025-05-01",
      ends: "2025-06-09",
      distance: "900 km",
      marks: [{ item: "one", use: "used" }],
    },
    ...["2026-05-10", "2026-06-10", "2026-09-10", "2026-10-10"].map((starts, n) => ({
      name: `Walk ${n}`,
      starts,
      ends: starts.replace(/10$/, "14"),
      distance: "100 km",
      marks: [{ item: "two", use: "used" }],
    })),
  ],
  entries: [{ item: "two", on: "2026-08-01", what: "wear", distance: "20 km" }],
});
const kit = kitOf(openBook(log, TODAY));
const [one, two] = kit.things;

test("what filled its slot before: of one's own things alone, and from the first use where none says when it came", () => {
  const slot = { kind: "trail shoes", slot: "shoes" };
  const worn = { ...slot, state: "worn out", since: "2026-04-01" };
  const before = (older: object, newer: object) => {
    const told = logOf({
      items: [
        { id: "old", name: "Old", ...worn, ...older },
        { id: "new", name: "New", ...slot, ...newer },
      ],
      trips: [
        {
          name: "A",
          starts: "2025-05-01",
          ends: "2025-05-04",
          distance: "40 km",
          marks: [{ item: "old", use: "used" }],
        },
        {
          name: "B",
          starts: "2026-06-01",
          ends: "2026-06-04",
          distance: "40 km",
          marks: [{ item: "new", use: "used" }],
        },
      ],
    });
    const judged = kitOf(openBook(told, TODAY));
    return predecessorOf(judged.things[1]!, judged)?.case.item.id ?? null;
  };
  expect(before({}, {})).toBe("old");
  // Bought long before its turn came: its first use counts.
  expect(before({}, { acquired: "2025-01-01" })).toBe("old");
  expect(before({}, { owner: "Ida" })).toBeNull();
  expect(before({ owner: "Ida" }, {})).toBeNull();
  expect(before({ slot: "hut shoes" }, {})).toBeNull();
});

describe("how long a thing goes on", () => {
  // 420 km from 26 November 2025 to 26 November 2026: 420 / 365 = 1.15 km a day.
  test("by its owner's pace: trips of 100 km left, the day that it ends, and the day to order by, three weeks before the low end", () => {
    const left = two!.left!;
    const told = howLong(two!, kit)!;
    expect(told.trips).toBe(Math.floor(left.median / 100_000));
    const days = (day: string) => Math.round((Date.parse(day) - Date.parse(TODAY)) / 86_400_000);
    expect(days(told.ends!)).toBe(Math.floor((left.median / 420_000) * 365));
    expect(days(told.orderBy!)).toBe(Math.max(0, Math.floor((left.low / 420_000) * 365) - 21));
    expect(sayHowLong(told, TODAY)).toContain(
      `like yours; at your pace until about ${new Date(told.ends!).toLocaleDateString("en-GB", { month: "long", year: "numeric", timeZone: "UTC" })}; order the next by `,
    );
    expect(sayHowLong({ trips: 3, ends: null, orderBy: null }, TODAY)).toBe(
      "three\u00a0more trips like yours",
    );
    expect(sayHowLong({ trips: 0, ends: null, orderBy: TODAY }, TODAY)).toBe(
      "less than one more trip like yours; order the next now",
    );
  });

  test("what is worn out, what never went, and what lasts longer than anybody foresees, has none", () => {
    const ages = { ...two!.left!, median: two!.left!.median * 1000, low: two!.left!.low * 1000 };
    expect(howLong({ ...two!, left: ages }, kit)).toBeNull();
    expect(howLong({ ...one!, left: null }, kit)).toBeNull();
    const fresh = kitOf(openBook(logOf({ items: [{ name: "New", kind: "trail shoes" }] }), TODAY));
    expect(howLong(fresh.things[0]!, fresh)).toBeNull();
  });
});

test("its life in its head: how old, how far a day, and what it took the place of and what that had cost", () => {
  expect(predecessorOf(two!, kit)?.case.item.id).toBe("one");
  expect(predecessorOf(one!, kit)).toBeNull();
  // 400 km on 20 days in use.
  expect(sayItsLife(two!, one!, metric)).toEqual([
    "yours for two years and two months",
    expect.stringMatching(/^20\s?km a day in use$/),
    expect.stringMatching(/^in the place of Shoes, pair 1 \(worn out .*, after 900\s?km, €140\)$/),
  ]);
  expect(sayAge("2026-11-10", TODAY)).toBe("under a month");
  expect(sayAge("2025-11-20", TODAY)).toBe("one year");
});

// (150 + 0) / 470 km walked in all; 16 nights on trips.
test("the same way and the same cost wherever they are told", () => {
  expect(sayWay(two!, metric).replaceAll("\u00a0", " ")).toBe(
    "470 km: 400 km on trips, 70 km before and between",
  );
  expect(costPer(two!, "€")).toEqual({ night: 150 / 16, metre: 150 / 470_000 });
  expect(costPer(one!, "€").metre).toBeCloseTo(140 / 900_000);
});

// New on 1 July: two walks of 100 km and 20 km about town since. Shoes want new ones after 250 miles, by their kind.
test("a part is counted from the day that it was renewed, a service by its name renews it too, one of no known life is let be", () => {
  const counts = partCounts(two!.case.item, kit.book);
  expect(counts).toMatchObject([
    {
      what: "new insoles",
      since: 220_000,
      every: expect.closeTo(402_336, 0),
      unit: "m",
      last: "2026-07-01",
      isOfKind: true,
    },
  ]);
  const renewed = openBook(
    {
      ...log,
      entries: [
        ...log.entries,
        { ...log.entries[0]!, what: "own service", service: "new insoles", on: "2026-10-01", distance: null },
      ],
    },
    TODAY,
  );
  expect(partCounts(renewed.item(two!.case.item.id)!, renewed)).toMatchObject([
    { since: 100_000, last: "2026-10-01" },
  ]);
});
