import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { seeded } from "../../../tests/seeded";
import { openBook } from "../ledger/book";
import { Trip } from "../model";
import { planFor } from "../plan/plan";
import { cameOf, foretoldOf, type Told } from "./foretold";
import { sayForetold } from "./foretold-words";
import { lookBack, lookedBackOn } from "./score";
import { shareBetween, truthsOf } from "./truth";

const day = (n: number) => new Date(Date.UTC(2020, 0, 1 + n)).toISOString().slice(0, 10);
const units = { weight: "g", distance: "km", temperature: "C" } as const;
const TODAY = "2029-01-01";

/** What was told before each walk of an owner, judged by nothing but what was known then, and what came. */
function toldTo(file: object): Told[] {
  const log = logOf(file);
  const { item } = openBook(log, TODAY);
  return lookedBackOn(log, TODAY).flatMap((trip) => lookBack(log, trip, item).told);
}

/** A number from a bell around 0. */
const bell = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

describe("by simulation: what is told of owners that are as the trade supposes comes as often as it is said", () => {
  test("that a thing is used: each thing with a liking of its own, on weekends", () => {
    const random = seeded(7);
    const KINDS = ["camera", "book", "chair", "mug", "sun hat", "gloves"];
    const told = Array.from({ length: 24 }, () => {
      const likings = KINDS.map(() => 0.15 + 0.8 * random());
      return toldTo({
        items: KINDS.map((kind) => ({ id: kind.replace(" ", "-"), name: kind, kind, weight: "200 g" })),
        trips: Array.from({ length: 13 }, (_, n) => ({
          name: `Walk ${n}`,
          starts: day(30 * n),
          ends: day(30 * n + 2),
          distance: "30 km",
          marks: KINDS.map((kind, k) => ({
            item: kind.replace(" ", "-"),
            use: random() < likings[k]! ? "used" : "unused",
          })),
        })),
      });
    }).flat();
    const [used] = truthsOf(told.filter(({ sort }) => sort === "used"));
    expect(used!.times).toBe(24 * 12 * KINDS.length);
    expect(Math.abs(used!.said - used!.came / used!.times)).toBeLessThan(0.06);
    // What is said to be likelier comes more often, band by band.
    const shares = used!.bins.map(({ came, times }) => came / times);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  });

  test("that a night is too cold: sleepers who differ as sleepers do", () => {
    const random = seeded(11);
    const told = Array.from({ length: 60 }, () => {
      // Three degrees above the label and as many about, by the trade; nights differ by one and a half.
      const comfort = 2 + 3 + 4 * bell(random);
      return toldTo({
        items: [
          { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
          {
            id: "quilt",
            name: "Quilt",
            kind: "quilt",
            weight: "600 g",
            ratings: { label: { celsius: 2, means: "comfort" } },
          },
        ],
        trips: Array.from({ length: 9 }, (_, n) => {
          const low = Math.round(comfort - 6 + 10 * random());
          const above = low + 1.5 * bell(random) - comfort;
          const felt = above < -2 ? "cold" : above < 0 ? "cool" : "right";
          return {
            name: `Walk ${n}`,
            starts: day(30 * n),
            ends: day(30 * n + 1),
            distance: "20 km",
            felt: [{ low, felt, slept: ["quilt"] }],
            marks: [
              { item: "tent", use: "used" },
              { item: "quilt", use: "used" },
            ],
          };
        }),
      });
    }).flat();
    const [cold] = truthsOf(told.filter(({ sort }) => sort === "cold night"));
    expect(cold!.times).toBeGreaterThan(300);
    expect(Math.abs(cold!.said - cold!.came / cold!.times)).toBeLessThan(0.06);
    for (const { said, came, times } of cold!.bins) {
      const [low, high] = shareBetween(came, times);
      expect(said).toBeGreaterThan(low - 0.12);
      expect(said).toBeLessThan(high + 0.12);
    }
  });
});

describe("by hand", () => {
  const trip = Trip.parse({
    id: "walk",
    name: "Walk",
    starts: "2026-05-01",
    ends: "2026-05-03",
    legs: [{ id: "leg-1", distance: "20 km" }],
    felt: [
      { low: -3, felt: "cold", slept: [] },
      { low: -8, felt: "cold", roof: true },
    ],
    supplies: [{ what: "gas", unit: "g", out: 230, back: 120 }],
    carries: [
      { item: "mug", legs: null, shared: null, mark: { use: "hardly" } },
      { item: "book", legs: null, shared: null, mark: { use: "unused" } },
      { item: "map", legs: null, shared: null, mark: null },
    ],
  });
  const foretold = {
    used: { mug: 0.9, book: 0.4, map: 0.8, chair: 0.5 },
    cold: { low: -2, chance: 0.3 },
    gas: { likely: 100, most: 150 },
  };

  test("what was marked, slept and burnt is held against what was said of it; of what stayed at home nothing", () => {
    const givesOut = new Map([["mug", 0.05]] as const) as never;
    expect(
      cameOf(trip, foretold, givesOut, () => undefined).map(({ sort, chance, came }) => [sort, chance, came]),
    ).toEqual([
      ["used", 0.9, true],
      ["gives out", 0.05, false],
      ["used", 0.4, false],
      ["cold night", 0.3, true],
      ["gas", 0.5, false],
      ["gas", 0.9, true],
    ]);
    // Nobody told of the nights, or of the gas: nothing is known of either.
    expect(
      cameOf({ ...trip, felt: [], supplies: [] }, foretold, new Map(), () => undefined).map(
        ({ sort }) => sort,
      ),
    ).toEqual(["used", "used"]);
  });

  test("in sentences on the walk's page", () => {
    const kept = { ...trip, advised: { on: "2026-04-30", said: [], foretold } };
    expect(sayForetold(kept, units).map((each) => each.replaceAll(/[\u00a0\u202f]/g, " "))).toEqual([
      "Nights down to −2 °C were foreseen, 30 % that one is too cold for the bed; it came to −3 °C, and one was cold.",
      "Gas: 100 g were likely, 150 g enough nine times in ten; 110 g went.",
    ]);
    expect(sayForetold(trip, units)).toEqual([]);
  });

  test("by year, by how high, in all", () => {
    const told: Told[] = [
      { sort: "used", chance: 0.2, came: false, on: "2025-05-01" },
      { sort: "used", chance: 0.4, came: true, on: "2026-05-01" },
      { sort: "used", chance: 1, came: true, on: "2026-06-01" },
    ];
    expect(truthsOf(told)).toMatchObject([
      {
        sort: "used",
        times: 3,
        came: 2,
        bins: [
          { from: 0.1, times: 1, came: 0 },
          { from: 0.3, times: 1, came: 1 },
          { from: 0.9, to: 1, times: 1 },
        ],
        years: [
          { year: "2025", times: 1 },
          { year: "2026", times: 2, said: 0.7, came: 2 },
        ],
      },
    ]);
    expect(truthsOf([])).toEqual([]);
  });

  test("before the first walk: what nobody can say is not said", () => {
    const book = openBook(logOf({ items: [{ id: "mug", name: "Mug", kind: "mug" }] }), TODAY);
    const ahead = { ...trip, planned: true, starts: "2029-02-01", ends: "2029-02-03" };
    expect(foretoldOf(planFor(book, ahead), ahead, -5)).toMatchObject({ cold: null, gas: null });
  });
});
