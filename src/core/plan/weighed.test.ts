import { describe, expect, test } from "vitest";
import { demoLog } from "../../../demo/log";
import { openBook } from "../ledger/book";
import type { Log, Trip } from "../model";
import { bestWithin } from "./best";
import { planFor } from "./plan";
import { weighed } from "./weighed";

const TODAY = "2026-11-20";
/** The demo's log, before a trip in these conditions. */
function planned(conditions: Trip["conditions"], low: number | null): { log: Log; trip: Trip } {
  const log = demoLog();
  const last = log.trips.filter(({ planned: isPlanned }) => !isPlanned).at(-1)!;
  const trip: Trip = {
    ...last,
    id: "ahead" as Trip["id"],
    name: "Ahead",
    starts: "2026-12-01",
    ends: "2026-12-04",
    planned: true,
    conditions,
    carries: [],
    felt: [],
    lines: [],
    picks: {},
    foreseen: { ...last.foreseen, low },
  };
  return { log, trip };
}

describe.each([
  ["in strong rain at 2 °C", { rain: "strong" }, 2],
  ["in the sun at 12 °C", { sun: "strong", heat: "some" }, 12],
  ["with nothing foreseen", {}, null],
] as const)("the best list %s", (_, conditions, low) => {
  const { log, trip } = planned(conditions, low);
  const book = openBook(log, TODAY);
  const plan = planFor(book, trip);
  const things = weighed(plan);
  const whole = things.reduce((sum, { grams }) => sum + grams, 0);

  test.each([1, 0.95, 0.9, 0.85, 0.8])("at %d of the weight is the list one gets", (part) => {
    const best = bestWithin(things, { grams: whole * part, litres: null });
    if (!best.fits) return expect(best.least).toBeGreaterThan(whole * part);
    const out = things.filter(({ id }) => !best.taken.includes(id));
    const picks = Object.fromEntries(out.map(({ id }) => [id, "leave" as const]));
    const after = planFor(book, { ...trip, picks });
    expect(after.load.base).toBeCloseTo(best.grams, 3);
    // The bed, and what strong weather calls for, are on it.
    for (const bed of plan.beds.filter(({ id }) => things.some((thing) => thing.id === id)))
      expect(best.taken).toContain(bed.id);
    expect(after.beds.map(({ id }) => id)).toEqual(plan.beds.map(({ id }) => id));
  });

  test("all of it is the list as it stands", () => {
    expect(whole).toBeCloseTo(plan.load.base, 3);
  });
});
