import fc from "fast-check";
import { expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { openBook, withSchool } from "../ledger/book";
import { Trip, type SchoolName, type Strength } from "../model";
import { kitJobs } from "../advice/kit-law";
import { planFor } from "./plan";

const strength = fc.constantFrom<Strength | undefined>("none", "some", "strong", undefined);
const ahead = fc
  .record({
    rain: strength,
    cold: strength,
    freezing: strength,
    wind: strength,
    nights: fc.integer({ min: 0, max: 9 }),
  })
  .map(({ nights, ...conditions }) =>
    Trip.parse({
      id: "ahead",
      name: "Ahead",
      starts: "2029-06-01",
      ends: `2029-06-0${1 + Math.min(8, nights)}`,
      nights,
      planned: true,
      legs: [{ id: "leg-1", distance: 40 }],
      conditions: Object.fromEntries(Object.entries(conditions).filter(([, told]) => told !== undefined)),
    }),
  );
const school = fc.constantFrom<SchoolName>("lean", "even", "roomy", "wary");

test("whatever each thing by itself is told, no list that is proposed leaves a job of the kit undone that something owned does", () => {
  let held = 0;
  fc.assert(
    fc.property(anyFile, ahead, school, (file, trip, by) => {
      const plan = planFor(withSchool(openBook(logOf(file), "2029-01-01"), by), trip);
      const goes = plan.lines.filter(({ column }) => column === "take" || column === "not ready");
      for (const job of kitJobs(plan.next)) {
        if (!plan.lines.some(({ item }) => item.jobs.includes(job))) continue;
        held += 1;
        expect(
          goes.some(({ item }) => item.jobs.includes(job)),
          job,
        ).toBe(true);
      }
    }),
    { numRuns: 150 },
  );
  expect(held).toBeGreaterThan(100);
});

test("of two warm jackets each may go by itself, not both: the one used last comes after all, and says why", () => {
  const jacket = (id: string, weight: string) => ({ id, name: id, kind: "insulated jacket", weight });
  const walk = (n: number, marks: readonly object[]) => ({
    name: `Walk ${n}`,
    starts: `2026-0${n}-10`,
    ends: `2026-0${n}-13`,
    distance: "50 km",
    marks,
  });
  const said = (item: string) => ({ item, use: "unused", why: "another did the job", call: "leave" });
  const log = logOf({
    items: [jacket("light", "280 g"), jacket("heavy", "520 g")],
    trips: [
      walk(1, [{ item: "light", use: "used" }, said("heavy")]),
      walk(2, [said("light"), { item: "heavy", use: "used", call: "leave" }]),
    ],
  });
  const trip = Trip.parse({
    id: "frost",
    name: "Frost",
    starts: "2026-12-10",
    ends: "2026-12-12",
    planned: true,
    legs: [{ id: "leg-1", distance: 40 }],
    conditions: { freezing: "strong", cold: "strong" },
  });
  const plan = planFor(openBook(log, "2026-11-20"), trip);
  expect(plan.lines.filter(({ column }) => column === "take").length).toBeGreaterThanOrEqual(1);
});
