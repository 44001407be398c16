import { describe, expect, test } from "vitest";
import { readThermometer } from "./thermometer-csv";

describe("a thermometer's log as a file", () => {
  const first = (text: string, unit?: "C" | "F") => {
    const read = readThermometer(text, unit);
    return read.ok ? { ...read.readings[0], unit: read.unit, all: read.readings.length } : read;
  };
  test.each<[string, string, object]>([
    [
      "a header with its unit",
      "time,temp (°C)\n2026-05-01 22:10,4.5\n2026-05-01 22:20,4.4",
      { at: "2026-05-01T22:10", c: 4.5, unit: "C", all: 2 },
    ],
    ["Fahrenheit", "Timestamp;Temperature_F;Humidity\n2026-05-01T22:10:00Z;28;81", { c: -2.2, unit: "F" }],
    [
      "a title above, other columns between",
      "Logger 7\nNo,Date,Hum,Temp [C]\n1,2026/5/1 9:05,80,12",
      { at: "2026-05-01T09:05", c: 12 },
    ],
    [
      "day first, where a day over 12 shows it",
      "time,temp C\n01/05/2026 22:10,4\n13/05/2026 22:10,5",
      { at: "2026-05-01T22:10" },
    ],
    ["month first otherwise", "time,temp C\n05/01/2026 22:10,4", { at: "2026-05-01T22:10" }],
    ["no header, the unit in the cell", "2026-05-01 22:10,4.5 °C", { c: 4.5, unit: "C" }],
    ["a decimal comma", "time;temp °C\n2026-05-01 22:10;−4,5", { c: -4.5 }],
    [
      "a missing reading is left out",
      "time,temp °C\n2026-05-01 22:10,\n2026-05-01 22:20,4",
      { at: "2026-05-01T22:20", all: 1 },
    ],
  ])("%s", (_, text, read) => expect(first(text)).toMatchObject(read));

  test("whose unit nobody told it asks for; the day leads only where one is over 12, in any row of readings", () => {
    expect(readThermometer("time,temp\n2026-05-01 22:10,4.5")).toEqual({
      ok: false,
      asks: "unit",
      why: "It does not say whether its temperatures are °C or °F.",
    });
    expect(first("time,temp\n2026-05-01 22:10,4.5", "C")).toMatchObject({ c: 4.5, unit: "C" });
    expect(first("time,temp C\n05/12/2026 22:10,4\n06/12/2026 22:10,5")).toMatchObject({
      at: "2026-05-12T22:10",
    });
    expect(first("time,temp C\n05/13/2026 22:10,4")).toMatchObject({ at: "2026-05-13T22:10" });
    // The day above the readings is the logger's own.
    expect(first("Read out,13/05/2026\ntime,temp C\n05/01/2026 22:10,4")).toMatchObject({
      at: "2026-05-01T22:10",
    });
  });

  test("a day that no month has is told, not taken for one of the next", () => {
    const read = readThermometer("time,temp C\n2026-02-28 22:00,1.5\n2026-02-30 22:00,2.5");
    expect(read).toMatchObject({
      ok: false,
      why: expect.stringMatching(/^Row 3 can't be read: “2026-02-30/),
    });
    expect(readThermometer("time,temp C\n2028-02-29 22:00,1.5")).toMatchObject({ ok: true });
  });

  test("where the unit is not told it is asked for, and taken", () => {
    const text = "time,temp\n2026-05-01 22:10,40\n2026-05-01 22:20,41";
    expect(first(text)).toMatchObject({ ok: false, asks: "unit" });
    expect(first(text, "F")).toMatchObject({ c: 4.4, unit: "F" });
    expect(first(text, "C")).toMatchObject({ c: 40 });
  });

  test.each([
    ["no times", "a,b\n1,2", /There is no time in it/],
    ["no temperatures", "time,place\n2026-05-01 22:10,hut", /There is no temperature in it/],
    [
      "a broken row",
      "time,temp C\n2026-05-01 22:10,4\n2026-05-01 22:20,warm",
      /Row 3 can't be read: “2026-05-01 22:20, warm”/,
    ],
    ["the wrong unit", "time,temp C\n2026-05-01 22:10,104", /nowhere is so hot\. Is the unit right\?/],
    ["no such day", "time,temp C\n2026-05-01 22:10,4\n2026-13-41 22:20,4", /Row 3 can't be read/],
  ])("%s: a sentence", (_, text, why) => {
    const read = readThermometer(text);
    expect(read.ok ? "" : read.why).toMatch(why);
  });
});
