import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { TODAY } from "../../../tests/judged";
import { marked, openBook, partOf, type Book } from "../ledger/book";
import { countedOn, outingOf, withToldDay, withUntold } from "../ledger/outing";
import { Trip } from "../model";
import type { FullItem } from "../trade/full-item";
import { isOffered, RANK } from "../trade/jobs";
import { isUnavoidable } from "../trade/triggers";
import { isBed } from "../trade/warmth";
import { sleepOf, waysToSleep } from "../weighin/sleep";
import { daysOf } from "./days";
import { replayer, type Replayed } from "./replay";
import { sayReplay, sayTotals } from "./words";

const units = { weight: "g", distance: "km", temperature: "C" } as const;
const weighed = ({ weight }: FullItem) => weight?.g ?? 0;
const plainText = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

/** What a list came to, a word for each thing that went wrong, in order. */
const toldBy = ({ lacks, cold, days, less }: Replayed) => ({
  less: less.toFixed(6),
  days: days.map(({ trip, on }) => `${trip} ${on}`),
  lacks: lacks
    .flatMap(({ thing, job, days: those }) => those.map(({ trip, n }) => `${trip} ${n} ${thing.id} ${job}`))
    .sort(),
  cold: cold
    .map(({ day, way, chance }) => `${day.trip} ${day.n} ${way?.bed.id ?? "none"} ${chance.toFixed(6)}`)
    .sort(),
});

/** The same by plain loops: each day of each walk, each thing, each job, each way to sleep. */
function byPlainLoops(book: Book, list: readonly FullItem[]): ReturnType<typeof toldBy> {
  const told: ReturnType<typeof toldBy> = { less: "", days: [], lacks: [], cold: [] };
  let grams = 0;
  for (const outing of book.outings) {
    const days = daysOf(outing);
    for (const day of days) {
      told.days.push(`${day.trip} ${day.on}`);
      const { night } = day;
      if (night && !night.roof) {
        const ways = waysToSleep(sleepOf(book)).filter((way) =>
          [way.bed, ...way.extras].every((thing) => list.includes(thing)),
        );
        let warmest = null;
        for (const way of ways) if (!warmest || way.comfort.median < warmest.comfort.median) warmest = way;
        if (!warmest) told.cold.push(`${day.trip} ${day.n} none 1.000000`);
        else if (night.low !== null && warmest.comfort.coldAt(night.low) >= 0.5)
          told.cold.push(
            `${day.trip} ${day.n} ${warmest.bed.id} ${warmest.comfort.coldAt(night.low).toFixed(6)}`,
          );
      }
    }
    const carries = book.tripOf(outing).carries;
    for (const carry of carries) {
      const item = book.item(carry.item)!;
      if (item.load !== "consumable") grams += weighed(item) * partOf(carry) * days.length;
    }
    for (const item of list) if (item.load !== "consumable") grams -= weighed(item) * days.length;
    const used = carries.flatMap(({ item }) => {
      const one = marked(book.carriedOf(item)).find((each) => each.outing === outing);
      return one && one.mark.use !== "unused" ? [{ thing: book.item(item)!, one }] : [];
    });
    for (const { thing, one } of used) {
      if (list.includes(thing) || isBed(thing.kind) || thing.load === "consumable") continue;
      let along = days.filter(({ leg }) => one.legs === null || (leg !== null && one.legs.includes(leg.id)));
      if (!thing.triggers.some(isUnavoidable)) {
        const called = along.filter(({ weather }) => thing.triggers.some((each) => weather.has(each)));
        if (called.length > 0) along = called;
      }
      if (one.mark.days !== null) along = along.slice(0, Math.max(1, Math.round(one.mark.days)));
      const jobs = thing.jobs.filter((job) => job !== "other" && !isOffered(job, outing.trip.offers));
      if (jobs.length === 0) {
        if (RANK[thing.consequence] > 0 || thing.load === "hobby")
          for (const day of along) told.lacks.push(`${day.trip} ${day.n} ${thing.id} null`);
        continue;
      }
      for (const job of jobs) {
        const on = along.filter(({ weather }) => {
          const hard = weather.has("freezing") || weather.get("cold") === "strong";
          const wanted =
            job === "stay warm" && hard ? used.filter((each) => each.thing.jobs.includes(job)).length : 1;
          return list.filter((each) => each.jobs.includes(job)).length < wanted;
        });
        for (const day of on) told.lacks.push(`${day.trip} ${day.n} ${thing.id} ${job}`);
        if (on.length > 0) break;
      }
    }
  }
  told.less = (grams / Math.max(1, told.days.length)).toFixed(6);
  told.lacks.sort();
  told.cold.sort();
  return told;
}

const withList = fc
  .tuple(anyFile, fc.array(fc.boolean(), { minLength: 1, maxLength: 12 }), fc.nat())
  .map(([file, coin, pick]) => {
    const book = openBook(logOf(file), TODAY);
    return { book, list: book.items.filter((_, n) => coin[n % coin.length]), pick };
  });

describe("over any log", () => {
  test("it says to the letter what plain loops say", () => {
    fc.assert(
      fc.property(withList, ({ book, list }) => {
        expect(toldBy(replayer(book, weighed).replay(list))).toEqual(byPlainLoops(book, list));
      }),
      { numRuns: 80 },
    );
  });

  test("a thing more on the list never adds a lack, and a warmer bed never a cold night", () => {
    fc.assert(
      fc.property(withList, ({ book, list, pick }) => {
        const { replay } = replayer(book, weighed);
        const more = book.items[pick % Math.max(1, book.items.length)];
        if (!more) return;
        const [before, after] = [toldBy(replay(list)), toldBy(replay([...new Set([...list, more])]))];
        for (const lack of after.lacks) expect(before.lacks).toContain(lack);
        const nights = ({ cold }: typeof before) => cold.map((each) => each.split(" ").slice(0, 2).join(" "));
        for (const night of nights(after)) expect(nights(before)).toContain(night);
      }),
      { numRuns: 80 },
    );
  });
});

describe("a planted year", () => {
  const things = [
    { id: "shell", name: "Shell", kind: "rain shell", weight: "300 g" },
    { id: "trousers", name: "Rain trousers", kind: "rain trousers", weight: "200 g" },
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
      weight: "1200 g",
      ratings: { label: { celsius: -12, means: "comfort" } },
    },
    { id: "hat", name: "Sun hat", kind: "sun hat", weight: "80 g" },
    { id: "torch", name: "Head torch", kind: "head torch", weight: "80 g" },
  ];
  const walk = (month: string, conditions: object, marks: string[], more: object = {}) => ({
    id: `t${month}`,
    name: `Walk ${month}`,
    starts: `2025-${month}-10`,
    ends: `2025-${month}-12`,
    distance: "60 km",
    conditions,
    marks: marks.map((item) => ({ item, use: "used" })),
    ...more,
  });
  const log = logOf({
    items: things,
    trips: [
      walk("01", { freezing: "strong" }, ["bag", "torch"], {
        felt: [
          { on: "2025-01-10", low: -11, felt: "right", slept: ["bag"] },
          { on: "2025-01-11", low: -8, felt: "right", slept: ["bag"] },
        ],
      }),
      walk("04", { rain: "strong" }, ["shell", "trousers", "quilt", "torch"], { counted: { rain: 3 } }),
      walk("07", { sun: "strong" }, ["hat", "quilt", "torch"], { missed: [{ what: "Shell" }] }),
    ],
  });
  const book = openBook(log, "2025-09-01");
  const { replay, days } = replayer(book, weighed);
  const listOf = (...ids: string[]) => book.items.filter(({ id }) => ids.includes(id));
  const all = book.items;
  const without = (id: string) => replay(all.filter((item) => item.id !== id));

  test("each leaving hurts once, and there", () => {
    expect(days).toHaveLength(9);
    expect(replay(all)).toMatchObject({ lacks: [], cold: [], water: [] });
    expect(without("trousers").lacks.map(({ job, days: those }) => [job, those.map(({ on }) => on)])).toEqual(
      [["legs dry", ["2025-04-10", "2025-04-11", "2025-04-12"]]],
    );
    expect(without("hat").lacks.map(({ thing, days: those }) => [thing.id, those[0]!.trip])).toEqual([
      ["hat", "t07"],
    ]);
    expect(without("torch").lacks.map(({ days: those }) => those[0]!.trip)).toEqual(["t01", "t04", "t07"]);
    expect(without("bag").cold.map(({ day, way }) => [day.on, way?.bed.id])).toEqual([
      ["2025-01-10", "quilt"],
      ["2025-01-11", "quilt"],
    ]);
    expect(without("quilt").cold).toEqual([]);
    expect(replay(listOf("shell", "torch")).cold).toHaveLength(6);
  });

  test("in words, with what the list has that was missed", () => {
    expect(plainText(sayReplay(without("bag"), units))).toMatch(
      /^Over 9 days of yours: \d.*; two cold nights \(10 January 2025, −11 °C in the quilt; 11 January 2025, −8 °C in the quilt\)\. It has what you missed: Shell\.$/,
    );
    expect(plainText(sayReplay(without("trousers"), units))).toContain(
      "no rain trousers, nor anything in its place, on 3 days",
    );
    expect(
      sayReplay(
        replay(all, () => false),
        units,
      ),
    ).toBe("No day of yours was like that: nothing can be said.");
  });

  test("over some days only; and what came since could not have been there", () => {
    const summer = replay(listOf("quilt"), ({ on }) => on.startsWith("2025-07"));
    expect([summer.trips, summer.days.length]).toEqual([1, 3]);
    expect(summer.lacks.map(({ thing }) => thing.id)).toEqual(["hat", "torch"]);
    const later = openBook(
      logOf({
        items: [...things, { id: "new", name: "New", kind: "pack", acquired: "2025-08-01" }],
        trips: [],
      }),
      "2025-09-01",
    );
    expect(replayer(later, weighed).replay(later.items)).toMatchObject({ days: [], since: [] });
  });
});

describe("the days of a walk", () => {
  const day = (trip: object) =>
    daysOf(
      outingOf(
        Trip.parse({
          id: "t",
          name: "T",
          starts: "2025-06-01",
          ends: "2025-06-10",
          legs: [{ id: "leg-1", distance: "100 km" }],
          ...trip,
        }),
      ),
    );
  const on = (days: ReturnType<typeof day>, trigger: "rain" | "freezing") =>
    days.filter(({ weather }) => weather.has(trigger)).map(({ n }) => n);

  test("rain that was counted rained on so many; told of only, on as many as it usually takes; each a guess of the day", () => {
    expect(on(day({ conditions: { rain: "some" }, counted: { rain: 2 } }), "rain")).toEqual([3, 8]);
    expect(on(day({ conditions: { rain: "some" } }), "rain")).toHaveLength(4);
    expect(on(day({ conditions: { rain: "strong" }, counted: { rain: 10 } }), "rain")).toHaveLength(10);
    expect(
      day({ conditions: { rain: "strong" }, counted: { rain: 10 } }).every(
        ({ guessed }) => guessed.size === 0,
      ),
    ).toBe(true);
    expect(on(day({}), "rain")).toEqual([]);
  });

  test("told of single days, it stands there and is no guess; the rest is spread over the others", () => {
    const told = [
      { on: "2025-06-02", weather: { rain: "strong", freezing: "some" } },
      { on: "2025-06-03", weather: { rain: "none" } },
    ];
    const days = day({ conditions: { rain: "some" }, counted: { rain: 3 }, daily: told });
    expect(on(days, "rain")).toHaveLength(3);
    expect(on(days, "rain")).toContain(2);
    expect(on(days, "rain")).not.toContain(3);
    expect(days[1]!.weather.get("rain")).toBe("strong");
    expect(days[1]!.guessed.size).toBe(0);
    expect(on(days, "freezing")).toEqual([2]);
    // Where each day was told, they are counted: nothing is left to guess.
    const each = Array.from({ length: 10 }, (_, n) => ({
      on: `2025-06-${String(n + 1).padStart(2, "0")}`,
      weather: { rain: n < 4 ? "some" : "none" },
    }));
    const whole = Trip.parse({
      id: "t",
      name: "T",
      starts: "2025-06-01",
      ends: "2025-06-10",
      legs: [],
      conditions: { rain: "strong" },
      daily: each,
    });
    expect(countedOn(whole, "rain")).toBe(4);
    expect(countedOn({ ...whole, daily: whole.daily.slice(1) }, "rain")).toBeUndefined();
    expect(on(daysOf(outingOf(whole)), "rain")).toEqual([1, 2, 3, 4]);
    // Taken back, nobody told of it; the day goes with its last word.
    expect(withToldDay(whole.daily.slice(0, 1), "2025-06-01", "rain", null)).toEqual([]);
    expect(withToldDay([], "2025-06-01", "rain", "some")).toEqual([
      { on: "2025-06-01", weather: { rain: "some" } },
    ]);
  });

  test("of one leg only on its days; the way adds up; nights as they were told", () => {
    const days = day({
      legs: [
        { id: "leg-1", distance: "60 km", starts: "2025-06-01", ends: "2025-06-06" },
        {
          id: "leg-2",
          distance: "40 km",
          starts: "2025-06-07",
          ends: "2025-06-10",
          conditions: { freezing: "strong" },
        },
      ],
      felt: [
        { on: "2025-06-08", low: -3, felt: "right" },
        { low: 6, felt: "warm", roof: true },
      ],
    });
    expect(on(days, "freezing").every((n) => n >= 7)).toBe(true);
    expect(days.reduce((sum, { metres }) => sum + metres, 0)).toBeCloseTo(100_000, 6);
    expect(days[7]!.night).toMatchObject({ low: -3, isGuess: false, roof: false });
    expect(days[0]!.night).toMatchObject({ low: 6, roof: true });
    expect(days[8]!.night).toMatchObject({ low: -7, isGuess: true });
    expect(days[9]!.night).toBeNull();
  });

  test("climb by its leg; what the days come to, in a sentence; what else is known of a day puts nothing told aside", () => {
    const days = day({
      legs: [{ id: "leg-1", distance: "100 km", ascent: "2000 m" }],
      conditions: { rain: "some", wind: "some" },
      counted: { rain: 3, wind: 1 },
      felt: [{ low: -3 }, { low: 4 }, { low: -8, roof: true }],
    });
    expect(days[0]!.ascent).toBe(200);
    expect(plainText(sayTotals(days, units))).toBe(
      "Rain on three of ten days and wind on one; one of two nights below 0 °C, the coldest −3 °C.",
    );
    expect(sayTotals(day({ ends: "2025-06-01" }), units)).toBe("");
    // The weather that came oftener comes first, whichever is told first; one day is a day.
    const weathers = (ends: string, counted: object) =>
      sayTotals(day({ ends, conditions: { rain: "some", wind: "some" }, counted }), units);
    expect(weathers("2025-06-10", { rain: 1, wind: 4 })).toBe("Wind on four of ten days and rain on one.");
    expect(weathers("2025-06-01", { rain: 1, wind: 0 })).toBe("Rain and wind.");
    const told = [{ on: "2025-06-02", weather: { rain: "strong" as const } }];
    expect(withUntold(told, { on: "2025-06-02", weather: { rain: "none", sun: "some" } })).toEqual([
      { on: "2025-06-02", weather: { rain: "strong", sun: "some" } },
    ]);
    expect(withUntold(told, { on: "2025-06-01", weather: { sun: "some" } })).toHaveLength(2);
  });

  test("a walk of one day, and one without a leg or a word of weather", () => {
    const [one, ...none] = day({ ends: "2025-06-01", legs: [] });
    expect(none).toEqual([]);
    expect(one).toMatchObject({ n: 1, leg: null, metres: 0, night: null });
  });
});
