import { describe, expect, test } from "vitest";
import { BLANK_NIGHT } from "@/core/ledger/nights";
import { ItemId } from "@/core/model";
import { Units } from "@/core/units/units";
import { filledDown, pastedInto, readRows, rowsOf, withRow } from "./night-rows";
import { readNights } from "./nights-typed";
import { BLANK_SUPPLY, readSupply } from "./supply-typed";

describe("a supply as it is typed", () => {
  const typed = { ...BLANK_SUPPLY, what: " gas ", out: "460 g", back: "120 g" };

  test("is kept in the unit that one of its amounts names", () => {
    expect(readSupply(typed)).toEqual({
      ok: true,
      supply: { what: "gas", unit: "g", out: 460, back: 120, sort: null, reserve: 0 },
    });
    expect(readSupply({ ...typed, out: "460", reserve: "50", sort: "fuel" })).toMatchObject({
      ok: true,
      supply: { unit: "g", out: 460, reserve: 50, sort: "fuel" },
    });
  });

  test("more than went out, another unit, and no name are refused beside their fields", () => {
    const wrong = (more: Partial<typeof typed>) => {
      const read = readSupply({ ...typed, ...more });
      return read.ok ? {} : read.wrong;
    };
    expect(wrong({ back: "461 g" }).back).toMatch(/^More than went out\. What was bought/);
    expect(wrong({ back: "460 g" })).toEqual({});
    expect(wrong({ reserve: "500 g" }).reserve).toBe("More than went out.");
    expect(wrong({ back: "2 L" }).back).toBe("Say it in g, like what went out.");
    expect(wrong({ what: " " }).what).toMatch(/^Say what it was/);
    expect(wrong({ out: "much" })).toMatchObject({ back: undefined, what: undefined });
    expect(wrong({ out: "much" }).out).toBeTruthy();
  });
});

describe("nights as they are typed", () => {
  const metric = Units.parse({});
  const slept = [ItemId.parse("quilt")];
  const nights = (number: string, low: string, left = 5, units = metric) =>
    readNights({ number, low, felt: "cool", slept, roof: false, spoilt: "" }, left, units);

  test("are so many alike, their low in degrees Celsius", () => {
    expect(nights("2", "-3")).toEqual({
      ok: true,
      nights: Array.from({ length: 2 }, () => ({ ...BLANK_NIGHT, low: -3, felt: "cool", slept })),
    });
    expect(nights("1", "")).toMatchObject({ nights: [{ low: null }] });
    expect(nights("1", "23", 5, Units.parse({ temperature: "F" }))).toMatchObject({ nights: [{ low: -5 }] });
  });

  test("more than the trip had left, no number, and no air that anybody slept in are refused", () => {
    expect(nights("6", "")).toMatchObject({
      wrong: { number: expect.stringMatching(/^5\snights of this trip are left/) },
    });
    expect(nights("2", "", 1)).toMatchObject({
      wrong: { number: expect.stringMatching(/^1\snight of this trip is left/) },
    });
    expect(nights("5", "")).toMatchObject({ ok: true });
    for (const number of ["0", "1.5", "two", "-1"])
      expect(nights(number, "")).toMatchObject({ wrong: { number: "Write how many nights." } });
    expect(nights("1", "51")).toMatchObject({ wrong: { low: expect.stringMatching(/^Between −60/) } });
    expect(nights("1", "-61")).toMatchObject({ ok: false });
    expect(nights("1", "35")).toMatchObject({ ok: true });
    expect(nights("1", "40")).toMatchObject({
      wrong: { low: expect.stringMatching(/^No night’s coldest is 40/) },
    });
    expect(nights("1", "40 F")).toMatchObject({ ok: true });
    expect(nights("1", "mild")).toMatchObject({ ok: false, wrong: { number: undefined } });
  });
});

describe("a row a night", () => {
  const metric = Units.parse({});
  const usual = [ItemId.parse("quilt")];
  const dated = {
    ...BLANK_NIGHT,
    on: "2026-05-02",
    low: -1,
    felt: "cool" as const,
    slept: [ItemId.parse("bag")],
  };
  const undated = { ...BLANK_NIGHT, felt: "right" as const };
  const rows = rowsOf([undated, dated], "2026-05-01", 4, metric);

  test("stands on its day, and what was told of it before is kept as it was", () => {
    expect(rows.map(({ on, felt }) => [on, felt])).toEqual([
      ["2026-05-01", ""],
      ["2026-05-02", "cool"],
      ["2026-05-03", ""],
      ["2026-05-04", ""],
    ]);
    expect(readRows(rows, [undated, dated], usual, metric)).toEqual({ ok: true, felt: [undated, dated] });
  });

  test("is said of the nights below it, up to the next that is told", () => {
    const first = filledDown(withRow(rows, 0, { felt: "right", roof: true }), 0);
    expect(first.map(({ felt }) => felt)).toEqual(["right", "cool", "", ""]);
    const read = readRows(filledDown(rows, 1), [], usual, metric);
    expect(read).toMatchObject({
      felt: [2, 3, 4].map((day) => ({ on: `2026-05-0${day}`, low: -1, felt: "cool", slept: ["bag"] })),
    });
  });

  test("takes lines pasted, a low each, with a feeling where one is named; what is no low is told in its row", () => {
    const pasted = pastedInto(rowsOf([], "2026-05-01", 4, metric), 1, "-2 cool\n\n40\n7");
    expect(pasted.map(({ low, felt }) => `${low}|${felt}`)).toEqual(["|", "-2|cool", "|", "40|"]);
    const read = readRows(pasted, [], usual, metric);
    expect(read.ok ? [] : [...read.wrong]).toEqual([[3, expect.stringMatching(/^No night’s coldest is 40/)]]);
    expect(readRows(withRow(pasted, 3, { low: "" }), [], usual, metric)).toMatchObject({
      felt: [{ on: "2026-05-02", low: -2, felt: "cool", slept: usual }],
    });
  });
});
