import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { judge } from "./judge";

// Counts, seasons and treatments: common practice, no source.
const TODAY = "2026-11-24";

interface Walk {
  readonly starts: string;
  readonly ends: string;
  readonly mark?: object;
  readonly distance?: string;
  readonly conditions?: object;
}

/** The service asked of one thing after these walks and entries, or undefined. */
function asked(item: object, walks: readonly Walk[], entries: readonly object[] = []) {
  const log = logOf({
    items: [{ name: "It", ...item }],
    trips: walks.map(({ mark, distance = "60 km", ...walk }) => ({
      ...walk,
      distance,
      marks: [{ item: "It", use: "used", ...mark }],
    })),
    entries: entries.map((entry) => ({ item: "It", ...entry })),
  });
  return judge(openBook(log, TODAY))[0]!.verdicts.find(({ verb }) => verb === "service");
}

const walk = (starts: string, ends: string, mark: object = {}): Walk => ({ starts, ends, mark });
const LATELY = [walk("2026-10-01", "2026-10-08")];

test("by count: poles want new tips every 500 miles of use, and the count starts anew at a service", () => {
  const months = ["03", "04", "05", "06", "07", "08", "09"];
  const far = months.map((month) => ({ ...walk(`2026-${month}-01`, `2026-${month}-06`), distance: "75 mi" }));
  expect(asked({ kind: "poles" }, far.slice(0, 6))).toBeUndefined();
  expect(asked({ kind: "poles" }, far)).toMatchObject({
    urgency: "before next trip",
    says: expect.stringMatching(/845.km since it was new; due at 805.km: new tips/),
  });
  expect(asked({ kind: "poles" }, far, [{ on: "2026-07-20", what: "service" }])).toBeUndefined();
});

test("carried and not used does not count towards it", () => {
  const far = ["03", "04", "05", "06", "07", "08", "09"].map((month) => ({
    ...walk(`2026-${month}-01`, `2026-${month}-06`, { use: "unused" }),
    distance: "75 mi",
  }));
  expect(asked({ kind: "poles" }, far)).toBeUndefined();
});

test("by season: a year and five nights since the last look, and not before either", () => {
  const year = [walk("2025-10-01", "2025-10-04"), walk("2026-05-01", "2026-05-04")];
  expect(asked({ kind: "pack" }, year)).toMatchObject({
    urgency: "when convenient",
    says: expect.stringContaining("6 nights out since its first trip on 2025-10-01: seams, buckles and mesh"),
  });
  expect(asked({ kind: "pack" }, year.slice(0, 1))).toBeUndefined();
  expect(asked({ kind: "pack" }, LATELY)).toBeUndefined();
  expect(asked({ kind: "pack" }, year, [{ on: "2026-03-01", what: "check" }])).toBeUndefined();
  expect(asked({ kind: "pack" }, year, [{ on: "2026-03-01", what: "wear", nights: 2 }])).toBeDefined();
});

test("after lying in store: what holds a charge, or dries out, is looked at before it is relied on", () => {
  const idle = [walk("2026-04-01", "2026-04-03")];
  expect(asked({ kind: "head torch" }, idle)?.says).toMatch(/235.days in store since 2026-04-03/);
  expect(asked({ kind: "filter" }, [{ ...idle[0]!, conditions: { freezing: "none" } }])?.says).toMatch(
    /soak it 30 min/,
  );
  expect(asked({ kind: "head torch" }, LATELY)).toBeUndefined();
  expect(asked({ kind: "head torch" }, idle, [{ on: "2026-11-01", what: "check" }])).toBeUndefined();
});

test("after a patch: a pad is left blown up overnight, until it has been looked at or has held on a trip", () => {
  const patched = [walk("2026-07-01", "2026-07-05", { trouble: "damaged", note: "thorn" })];
  const repair = { on: "2026-07-20", what: "repair" };
  expect(asked({ kind: "inflatable pad" }, patched, [repair])).toMatchObject({
    urgency: "before next trip",
    says: "Mended on 2026-07-20 and not tried since: leave it blown up overnight.",
  });
  expect(
    asked({ kind: "inflatable pad" }, patched, [repair, { on: "2026-07-22", what: "check" }]),
  ).toBeUndefined();
  expect(asked({ kind: "inflatable pad" }, [...patched, ...LATELY], [repair])).toBeUndefined();
});

test("flat is charged, not mended; the more pressing where its absence is dangerous", () => {
  const flat = [walk("2026-10-01", "2026-10-03", { trouble: "failed", cause: "flat or empty" })];
  expect(asked({ kind: "head torch" }, flat)).toMatchObject({ urgency: "now", sureness: "sure" });
  expect(asked({ kind: "power bank" }, flat)).toMatchObject({ urgency: "before next trip" });
  expect(asked({ kind: "head torch" }, flat, [{ on: "2026-10-05", what: "service" }])).toBeUndefined();
});

test("a filter slow twice is backflushed; slow once is nothing, and a service wipes the slate", () => {
  const slow = (at: string) => ({
    ...walk(`2026-${at}-01`, `2026-${at}-04`, { trouble: "nuisance", note: "slow", froze: false }),
  });
  expect(asked({ kind: "filter" }, [slow("09"), slow("10")])).toMatchObject({
    urgency: "before next trip",
    says: expect.stringContaining("First backflush"),
  });
  expect(asked({ kind: "filter" }, [slow("10")])).toBeUndefined();
  expect(
    asked({ kind: "filter" }, [slow("09"), slow("10")], [{ on: "2026-10-20", what: "service" }]),
  ).toBeUndefined();
});

test("a treatment holds for 42 days from when it was last put on; a wash before that does not count", () => {
  const treated = (on: string, ...washes: string[]) =>
    asked(
      { kind: "insect treatment", acquired: "2026-01-01" },
      [],
      [{ on, what: "service" }, ...washes.map((day) => ({ on: day, what: "wash" }))],
    );
  expect(treated("2026-10-13")).toMatchObject({
    says: expect.stringMatching(/^42.days since 2026-10-13/),
    caution: expect.stringContaining("cats"),
  });
  expect(treated("2026-10-14")).toBeUndefined();
  const washed = (n: number, from: number) =>
    Array.from({ length: n }, (_, day) => `2026-11-${String(from + day).padStart(2, "0")}`);
  expect(treated("2026-11-10", ...washed(6, 11))?.says).toMatch(/^6.washes since 2026-11-10/);
  expect(treated("2026-11-10", ...washed(5, 11))).toBeUndefined();
  expect(treated("2026-11-10", ...washed(9, 1))).toBeUndefined();
});

test("what is to be replaced, or left at home, is not sent to be serviced", () => {
  const expired = asked({ kind: "head torch", expires: "2026-06-01" }, [
    walk("2025-06-01", "2025-06-08"),
    walk("2026-03-01", "2026-03-03"),
  ]);
  expect(expired).toBeUndefined();
  const idle = Array.from({ length: 6 }, (_, n) =>
    walk(`2025-0${n + 1}-01`, `2025-0${n + 1}-03`, { use: "unused" }),
  );
  expect(asked({ kind: "stove", weight: "200 g" }, idle)).toBeUndefined();
});
