import fc from "fast-check";
import { expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { openBook, withSchool } from "../ledger/book";
import { Trip, type ItemId, type Job, type SchoolName, type Strength } from "../model";
import { kitJobs } from "../advice/kit-law";
import type { FullItem } from "../trade/full-item";
import { leavesForGood } from "../advice/advise";
import { kitOf } from "../advice/kit";
import { says } from "../say/verdicts/says";
import { asLastTime } from "./as-last-time";
import { bestWithin } from "./best";
import { planFor } from "./plan";
import { weighed } from "./weighed";

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
  expect(held).toBeGreaterThan(50);
});

test("nor does the list to start from, the best list within a weight, or what any school would leave for good", () => {
  let held = 0;
  fc.assert(
    fc.property(
      anyFile,
      ahead,
      school,
      fc.double({ min: 0.3, max: 1, noNaN: true }),
      (file, trip, by, share) => {
        const log = logOf(file);
        const kit = kitOf(withSchool(openBook({ ...log, trips: [...log.trips, trip] }, "2029-01-01"), by));
        const does = (job: Job, items: readonly FullItem[]) => items.some(({ jobs }) => jobs.includes(job));
        const itemsOf = (ids: readonly ItemId[]) => ids.map((id) => kit.of(id)!.case.item);
        const inUse = kit.things.filter(({ case: { standing } }) => standing === "active");
        const agreed = new Set(inUse.filter((one) => leavesForGood(one) && one.leaves!.ruling !== null));
        const start = asLastTime(kit);
        const went = start
          ? itemsOf(start.trip.carries.map(({ item }) => item)).filter(({ state }) => state === "active")
          : [];
        const plan = planFor(kit.book, trip);
        const choice = weighed(plan);
        const best = bestWithin(choice, {
          grams: share * choice.reduce((sum, { grams }) => sum + grams, 0),
          litres: null,
        });
        if (best.fits) {
          // The list one gets: what falls out, left by a press.
          const taken = new Set(best.taken);
          const left = choice.filter(({ id }) => !taken.has(id));
          const picks = {
            ...trip.picks,
            ...Object.fromEntries(left.map(({ id }) => [id, "leave" as const])),
          };
          expect(planFor(kit.book, { ...trip, picks }).load.base).toBeCloseTo(best.grams, 3);
        }
        for (const job of kitJobs(kit.book.next)) {
          if (does(job, went)) {
            held += 1;
            expect(does(job, itemsOf(start!.items)), `as last time: ${job}`).toBe(true);
          }
          if (best.fits && choice.some(({ jobs }) => jobs.includes(job)))
            expect(does(job, itemsOf(best.taken)), `the best list: ${job}`).toBe(true);
          const own = inUse.filter((one) => one.case.item.jobs.includes(job));
          if (own.some((one) => !agreed.has(one)))
            expect(
              own.some((one) => !leavesForGood(one)),
              `left for good: ${job}`,
            ).toBe(true);
        }
      },
    ),
    { numRuns: 300 },
  );
  expect(held).toBeGreaterThan(120);
});

const jacket = (id: string, weight: string) => ({ id, name: id, kind: "insulated jacket", weight });
const walk = (n: number, marks: readonly object[]) => ({
  name: `Walk ${n}`,
  starts: `2026-0${n}-10`,
  ends: `2026-0${n}-13`,
  distance: "50 km",
  marks,
});
const said = (item: string) => ({ item, use: "unused", why: "another did the job", call: "leave" });
const twoJackets = logOf({
  items: [jacket("light", "280 g"), jacket("heavy", "520 g")],
  trips: [
    walk(1, [{ item: "light", use: "used" }, said("heavy")]),
    walk(2, [said("light"), { item: "heavy", use: "used", call: "leave" }]),
  ],
});

test("of two warm jackets each may go by itself, not both: one slip says which stays, and why", () => {
  const { things, alone, spare } = kitOf(openBook(twoJackets, "2026-11-20"));
  expect(alone.map(leavesForGood)).toEqual([true, true]);
  expect(
    things.map(({ case: one, verdicts: [lead] }) => `${one.item.name}: ${lead.verb}. ${says(one, lead)}`),
  ).toEqual([
    "light: drop. You said on Walk 2 to leave it. One of the two stays: the heavy, used last.",
    "heavy: keep. By itself it might go, and so might the light: one of them has to be the way to stay warm. This one was used last: it stays.",
  ]);
  expect(spare.grams).toBe(280);
});

test("and on a freezing trip the one that stays goes along", () => {
  const trip = Trip.parse({
    id: "frost",
    name: "Frost",
    starts: "2026-12-10",
    ends: "2026-12-12",
    planned: true,
    legs: [{ id: "leg-1", distance: 40 }],
    conditions: { freezing: "strong", cold: "strong" },
  });
  const plan = planFor(openBook(twoJackets, "2026-11-20"), trip);
  expect(plan.lines.map(({ item, column }) => `${item.name}: ${column}`).toSorted()).toEqual([
    "heavy: take",
    "light: leave",
  ]);
});
