import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { TODAY } from "../../../tests/judged";
import { openBook } from "../ledger/book";
import { Trip, type Trigger } from "../model";
import { planFor } from "../plan/plan";
import { doubtsOf, type Doubt } from "./doubts";
import { bestOfEach, daysBefore, shakedowns, shortestOf, skyLike, skyOf, type Sky } from "./shakedown";
import { sayDoubt, sayShakedown, sayWants } from "./words";

const units = { weight: "g", distance: "km", temperature: "C" } as const;
const plainText = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

const ahead = (more: object = {}) =>
  Trip.parse({
    id: "big",
    name: "Big",
    starts: "2026-12-20",
    ends: "2027-01-03",
    planned: true,
    legs: [{ id: "leg-1", distance: "220 km" }],
    conditions: { rain: "strong", cold: "strong" },
    foreseen: { low: -4 },
    ...more,
  });

const USED = ["tent", "pack", "quilt", "stove", "shell"];
/** Three dry walks with all that is used. */
const walked = (more: { items?: object[]; entries?: object[]; rain?: string; quilt?: object } = {}) =>
  logOf({
    items: [
      { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
      { id: "pack", name: "Pack", kind: "pack", weight: "1000 g" },
      {
        id: "quilt",
        name: "Quilt",
        kind: "quilt",
        weight: "600 g",
        ratings: { label: { celsius: -6, means: "comfort" } },
        ...more.quilt,
      },
      { id: "stove", name: "Stove", kind: "stove", weight: "80 g" },
      { id: "shell", name: "Shell", kind: "rain shell", weight: "300 g" },
      ...(more.items ?? []),
    ],
    trips: [1, 2, 3].map((month) => ({
      name: `Walk ${month}`,
      starts: `2026-0${month + 4}-10`,
      ends: `2026-0${month + 4}-12`,
      distance: "40 km",
      conditions: { rain: more.rain ?? "none", wind: "some" },
      marks: USED.map((item) => ({ item, use: "used" })),
    })),
    entries: more.entries ?? [],
  });

const doubtsIn = (log: ReturnType<typeof walked>, trip = ahead()) => {
  const { doubts } = { doubts: doubtsOf(planFor(openBook(log, TODAY), trip), trip) };
  return new Map(doubts.map((doubt) => [String(doubt.item.id), doubt]));
};

describe("what is in doubt, by hand", () => {
  test("never out in the rain that is foreseen: tent and shell; after one wet walk neither", () => {
    const dry = doubtsIn(walked());
    expect(dry.get("shell")).toMatchObject({ setting: "evening", weather: ["rain"] });
    expect(dry.get("tent")).toMatchObject({ setting: "night", weather: ["rain"] });
    expect(plainText(sayDoubt(dry.get("tent")!, units))).toMatch(/rain/);
    expect(plainText(sayWants(dry.get("tent")!, units))).toBe("a night out in rain");
    const wet = doubtsIn(walked({ rain: "some" }));
    expect([wet.has("shell"), wet.has("tent")]).toEqual([false, false]);
    // Nor where no rain is foreseen.
    expect(doubtsIn(walked(), ahead({ conditions: { rain: "none", cold: "some" } })).has("shell")).toBe(
      false,
    );
  });

  test("never used, altered and not used since, and mended; a trial near home settles each", () => {
    const items = [
      { id: "filter", name: "Filter", kind: "filter", weight: "70 g", past: "new" },
      {
        id: "gaiters",
        name: "Gaiters",
        kind: "gaiters",
        weight: "90 g",
        altered: { on: "2026-10-01", what: "shortened" },
      },
    ];
    const marked = walked({ rain: "some", items });
    const log = {
      ...marked,
      trips: marked.trips.map((trip) => ({
        ...trip,
        carries: [
          ...trip.carries,
          { ...trip.carries[0]!, item: marked.items.find(({ id }) => id === "gaiters")!.id },
        ],
      })),
    };
    const doubts = doubtsIn(log);
    expect(doubts.get("filter")?.why.is).toMatch(/never used|to prove/);
    expect(doubts.get("gaiters")?.why).toEqual({ is: "altered", what: "shortened" });
    const entry = (item: string) => ({ id: `e-${item}`, item, on: "2026-11-01", what: "trial" });
    const tried = doubtsIn({
      ...log,
      entries: walked({ items, entries: [entry("filter"), entry("gaiters")] }).entries,
    });
    expect([tried.has("filter"), tried.has("gaiters")]).toEqual([false, false]);
  });

  test("a bed that few nights tell of wants a night near the low; one that is sure to be warm wants none", () => {
    const bed = doubtsIn(walked({ rain: "some" })).get("quilt")!;
    expect(bed).toMatchObject({ why: { is: "cold bed", low: -4 }, setting: "night", low: -1 });
    expect(plainText(sayWants(bed, units))).toBe("a night out down to −1 °C");
    const warm = walked({ rain: "some", quilt: { ratings: { label: { celsius: -20, means: "comfort" } } } });
    expect(doubtsIn(warm).has("quilt")).toBe(false);
    expect(doubtsIn(walked(), ahead({ foreseen: { low: null } })).get("quilt")?.why.is).not.toBe("cold bed");
  });

  test("a load that the pack has never carried", () => {
    // Fifteen days of food from one shop to the next, after weekends.
    const heavy = doubtsIn(walked({ rain: "some" }));
    expect(heavy.get("pack")?.why.is).toBe("heavier than ever");
    expect(plainText(sayDoubt(heavy.get("pack")!, units))).toMatch(/kg to carry; the most so far was /);
    const weekend = ahead({
      starts: "2026-12-20",
      ends: "2026-12-21",
      legs: [{ id: "leg-1", distance: "20 km" }],
    });
    expect(doubtsIn(walked({ rain: "some" }), weekend).has("pack")).toBe(false);
  });

  test("a thing once, what matters most first, and nothing of what stays at home", () => {
    fc.assert(
      fc.property(anyFile, (file) => {
        const trip = ahead();
        const plan = planFor(openBook(logOf(file), TODAY), trip);
        const doubts = doubtsOf(plan, trip);
        expect(new Set(doubts.map(({ item }) => item)).size).toBe(doubts.length);
        const weights = doubts.map(({ weight }) => weight);
        expect(weights).toEqual(weights.toSorted((a, b) => b - a));
        const goes = plan.lines.filter(({ column }) => column === "take" || column === "not ready");
        for (const { item } of doubts) expect(goes.some((line) => line.item === item)).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

const some = doubtsIn(walked());
const doubt = (id: string, more: Partial<Doubt>): Doubt => ({
  ...[...some.values()][0]!,
  item: { ...[...some.values()][0]!.item, id: id as never, name: id },
  weather: [],
  low: null,
  weight: 1,
  ...more,
});
const sky = (on: string, chances: Partial<Record<Trigger, number>> = {}, cold = 0): Sky => ({
  on,
  chance: (trigger) => chances[trigger] ?? 0,
  coldTo: () => cold,
});

describe("the outing", () => {
  const evening = doubt("stove", { setting: "evening" });
  const wet = doubt("tent", { setting: "night", weather: ["rain"], weight: 4 });
  const frost = doubt("quilt", { setting: "night", low: -1, weight: 4 });

  test("the shortest that settles most, on the day that has the weather for it", () => {
    const skies = [
      sky("2026-12-01"),
      sky("2026-12-02", { rain: 0.9 }, 0.8),
      sky("2026-12-03", { rain: 0.2 }),
    ];
    const best = shortestOf(shakedowns([evening, wet, frost], skies))!;
    expect([best.sort.name, best.on]).toEqual(["a night out", "2026-12-02"]);
    expect(best.settles.map(({ chance }) => chance)).toEqual([1, 0.9, 0.8]);
    expect(plainText(sayShakedown(best))).toBe("A night out, Wed 2 Dec, would likely settle all three.");
    // With nothing but an evening's worth, nobody has to sleep out.
    expect(shortestOf(shakedowns([evening], skies))!.sort.name).toBe("an evening in the garden");
  });

  test("two nights are worth it where one is not likely to have the weather; worked by hand", () => {
    const skies = [sky("2026-12-01", { rain: 0.5 }), sky("2026-12-02", { rain: 0.5 })];
    const all = shakedowns([wet], skies);
    expect(bestOfEach(all).map(({ sort, worth }) => [sort.hours, worth])).toEqual([
      [2, 0],
      [8, 0],
      [20, 4 * 0.5],
      [44, 4 * 0.75],
    ]);
    expect(shortestOf(all)!.sort.hours).toBe(44);
    expect(plainText(sayShakedown(all.find(({ sort }) => sort.hours === 20)!))).toMatch(
      /likely settle it\.$/,
    );
  });

  test("nothing in doubt, or no day left: there is none", () => {
    expect(shortestOf(shakedowns([], [sky("2026-12-01")]))).toBeNull();
    expect(shortestOf(shakedowns([wet], []))).toBeNull();
    expect(daysBefore("2026-12-19", "2026-12-20")).toEqual([]);
    expect(daysBefore("2026-12-17", "2026-12-20")).toEqual(["2026-12-17", "2026-12-18"]);
    expect(daysBefore("2026-11-01", "2026-12-20")).toHaveLength(14);
  });

  test("a longer outing on the same days never settles less, and likelier weather never does either", () => {
    const chance = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(chance, chance, chance, chance, (rain, more, cold, second) => {
        const on = ["2026-12-01", "2026-12-02"];
        const at = (first: number) => [
          sky(on[0]!, { rain: first }, cold),
          sky(on[1]!, { rain: second }, cold),
        ];
        const likelier = Math.max(rain, more);
        const worthAt = (first: number) =>
          shakedowns([evening, wet, frost], at(first))
            .filter((each) => each.on === on[0])
            .map(({ worth }) => worth);
        const before = worthAt(rain);
        expect(before).toEqual(before.toSorted((a, b) => a - b));
        worthAt(likelier).forEach((worth, n) => expect(worth).toBeGreaterThanOrEqual(before[n]! - 1e-9));
      }),
    );
  });

  test("a forecast tells of its day, and where there is none the owner's own days do", () => {
    const day = { on: "2026-12-01", low: -2, high: 4, rain: 3, sun: 0, wind: 3, doubt: 2 };
    const foreseen = skyOf(day);
    expect([foreseen.chance("rain"), foreseen.chance("wind")]).toEqual([0.8, 0.15]);
    // Half of the nights are below the middle of a forecast; four in five within its doubt.
    expect(foreseen.coldTo(-2)).toBeCloseTo(0.5, 6);
    expect(foreseen.coldTo(0) - foreseen.coldTo(-4)).toBeCloseTo(0.8, 2);
    expect(skyLike("2026-12-01", []).chance("rain")).toBe(0.3);
  });
});
