import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { kitOf } from "../advice/kit";
import { wrongSoFar } from "../ledger/check/trip-change";
import { openBook } from "../ledger/book";
import { asSoFar } from "../ledger/so-far";
import { Units } from "../units/units";
import { planFor } from "./plan";
import { restOf, sayRest } from "./half-way";
import { daysToShop } from "./supplies";

const walk = (sofar: object | undefined) =>
  logOf({
    items: [{ id: "shoes", name: "Shoes", kind: "trail shoes", opening: { distance: "600 km" } }],
    trips: [
      {
        id: "long",
        name: "Long",
        starts: "2026-11-01",
        ends: "2026-12-20",
        legs: [
          { id: "leg-1", distance: "300 km", starts: "2026-11-01", ends: "2026-11-20" },
          { id: "leg-2", distance: "500 km", starts: "2026-11-20", ends: "2026-12-20" },
        ],
        marks: [{ item: "shoes", use: "used" }],
        ...(sofar && { sofar }),
      },
    ],
  });
const HALF = { on: "2026-11-25", distance: "340 km" };

// 340 of 800 km by the 25th day of 50: 460 km and 25 days are left, and 24 nights behind.
describe("a walk unpacked half way", () => {
  test("counts as far as it has come, and no further; once it is over, all of it", () => {
    const used = (today: string, sofar?: object) =>
      kitOf(openBook(walk(sofar), today)).things[0]!.case.totals.used;
    expect(used("2026-11-26", HALF)).toMatchObject({ metres: 340_000, days: 25, nights: 24 });
    expect(used("2026-11-26")).toMatchObject({ metres: 800_000 });
    expect(used("2026-12-21", HALF)).toMatchObject({ metres: 800_000, days: 50, nights: 49 });
    const { legs } = asSoFar(walk(HALF).trips[0]!, "2026-11-26");
    expect(legs.map(({ distance }) => distance.m)).toEqual([300_000, 40_000]);
  });

  test("tells what is left of the way, and what for it", () => {
    const log = walk(HALF);
    const kit = kitOf(openBook(log, "2026-11-26"));
    const rest = restOf(log.trips[0]!, kit)!;
    expect(rest).toMatchObject({ metres: 460_000, days: 25, nights: 25, gas: null });
    // 940 km of wear on shoes that usually last 800: they may well not see another 460.
    expect(rest.weak[0]!.item.id).toBe("shoes");
    expect(rest.weak[0]!.chance).toBeCloseTo(1 - kit.things[0]!.left!.lasts(460_000));
    expect(sayRest(rest, Units.parse({})).replaceAll("\u00a0", " ")).toMatch(
      /^Left: 460 km in 25 days\. For it, enough nine times in ten: [\d.]+ kg of food, less .* May not see the end: Shoes \(\d+ %\)\.$/,
    );
    expect(restOf(walk(undefined).trips[0]!, kit)).toBeNull();
  });

  test("is neither before its start nor further than all of it", () => {
    const [trip] = walk(HALF).trips;
    const said = (on: string, m: number) => wrongSoFar(trip!, { on, distance: { m, typed: "" } });
    expect(said("2026-10-31", 1)).toMatchObject({ on: expect.stringContaining("1 November") });
    expect(said("2026-11-10", 800_001)).toMatchObject({
      distance: expect.stringMatching(/^That is further/),
    });
    expect(said("2026-11-10", 800_000)).toBeNull();
  });
});

// Ten days: legs of 3, 4 and 3; a shop at the end of the second. Food for seven days, four, three.
test("food is carried to the next leg with a shop, or every so many days where no leg says", () => {
  const planned = (more: object, shop?: object) => {
    const leg = (distance: string, nights: number) => ({ distance, nights });
    const log = logOf({
      items: [],
      trips: [
        {
          name: "Ahead",
          planned: true,
          starts: "2027-01-01",
          ends: "2027-01-10",
          legs: [leg("30 km", 3), { ...leg("40 km", 4), ...shop }, leg("30 km", 3)],
          ...more,
        },
      ],
    });
    return daysToShop(planFor(openBook(log, "2026-11-26"), log.trips[0]!), log.trips[0]!).map(Math.round);
  };
  expect(planned({}, { offers: { shops: "some" } })).toEqual([7, 4, 3]);
  expect(planned({})).toEqual([10, 7, 3]);
  expect(planned({ foreseen: { resupply: 5 } })).toEqual([5, 2, 3]);
});
