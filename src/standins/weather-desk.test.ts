import { describe, expect, test } from "vitest";
import { conditionsOf, type WeatherDay } from "@/core/weather/desk";
import { weatherDesk } from "./weather-desk";

describe("the weather desk that stands in", () => {
  test("it says of a day that was the same each time, whoever asks and when", async () => {
    const once = await weatherDesk.days("Vask", "2026-04-01", "2026-04-30", "2026-06-01");
    expect(await weatherDesk.days("Vask", "2026-04-01", "2026-04-30", "2027-01-01")).toEqual(once);
    expect(once).toHaveLength(30);
    expect(once.every(({ low, high, doubt }) => low < high && doubt === 0)).toBe(true);
    expect(await weatherDesk.days("Saltpan", "2026-04-01", "2026-04-30", "2026-06-01")).not.toEqual(once);
  });

  test("its forecast is honest: the truth lies within its 80 % as often as it says, near and far", async () => {
    for (const ahead of [1, 5, 12, 40]) {
      let within = 0;
      let all = 0;
      for (const place of weatherDesk.places)
        for (let n = 0; n < 150; n++) {
          const on = new Date(Date.UTC(2025, 0, 1 + n * 2)).toISOString().slice(0, 10);
          const today = new Date(Date.UTC(2025, 0, 1 + n * 2 - ahead)).toISOString().slice(0, 10);
          const [said] = await weatherDesk.days(place, on, on, today);
          const [was] = await weatherDesk.days(place, on, on, "2027-01-01");
          all++;
          if (Math.abs(said!.low - was!.low) <= said!.doubt) within++;
        }
      expect(within / all).toBeGreaterThan(0.75);
      expect(within / all).toBeLessThan(0.85);
    }
  });

  test("a place that it does not know has no weather, and days in the wrong order are none", async () => {
    expect(await weatherDesk.days("Nowhere", "2026-04-01", "2026-04-30", "2026-06-01")).toEqual([]);
    expect(await weatherDesk.days("Vask", "2026-04-30", "2026-04-01", "2026-06-01")).toEqual([]);
  });
});

describe("what days of weather make of a trip", () => {
  const day = (more: Partial<WeatherDay>): WeatherDay => ({
    on: "2026-05-01",
    low: 8,
    high: 18,
    rain: 0,
    sun: 2,
    wind: 4,
    doubt: 0,
    ...more,
  });
  test.each<[string, Partial<WeatherDay>[], object]>([
    [
      "dry and mild",
      [{}, {}, {}],
      { rain: "none", cold: "none", freezing: "none", heat: "none", wind: "none", sun: "none" },
    ],
    ["one shower in four days", [{ rain: 2 }, {}, {}, {}], { rain: "some" }],
    ["one downpour in four days", [{ rain: 15 }, {}, {}, {}], { rain: "strong" }],
    ["rain every other day", [{ rain: 2 }, {}, { rain: 3 }, {}], { rain: "strong" }],
    ["a frost", [{ low: -1 }, {}, {}], { freezing: "some", cold: "strong" }],
    ["a hard frost", [{ low: -6 }, {}, {}], { freezing: "strong" }],
    ["snow is no rain", [{ rain: 4, low: -4, high: 1 }, {}], { rain: "none", "snow or ice": "strong" }],
    ["sun on most days", [{ sun: 8 }, { sun: 9 }, {}], { sun: "strong" }],
    ["a gale", [{ wind: 16 }, {}, {}], { wind: "strong" }],
    ["hot, and once very", [{ high: 33 }, {}, {}], { heat: "strong" }],
  ])("%s", (_, days, made) => expect(conditionsOf(days.map(day))).toMatchObject(made));
  test("of no days nothing is said", () => expect(conditionsOf([])).toEqual({}));
});
