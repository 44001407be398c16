import fc from "fast-check";
import { demoLog } from "../../demo/log";
import { expect, test } from "vitest";
import { anyFile, logOf } from "../../tests/histories";
import { questionsAfter } from "@/core/ask/questions";
import { leavesForGood, type Advice } from "@/core/advice/advise";
import { whenHolds } from "@/core/advice/foresee";
import { kitOf, type Kit } from "@/core/advice/kit";
import { candidates } from "@/core/compare/candidate";
import { benchOf } from "@/core/jobs/bench";
import { readyFor } from "@/core/jobs/ready";
import { openBook } from "@/core/ledger/book";
import { Item, Ruling, Trip, type Log } from "@/core/model";
import { asLastTime } from "@/core/plan/as-last-time";
import { planFor } from "@/core/plan/plan";
import { weighed } from "@/core/plan/weighed";
import { sayWhy } from "@/core/plan/words";
import { argue } from "@/core/say/verdicts/argument";
import { says } from "@/core/say/verdicts/says";
import { sayLeftOf } from "@/core/say/words";
import { packWorth } from "@/core/weighin/pack-worth";
import { lightestWarm, sleepOf, waysToSleep } from "@/core/weighin/sleep";
import { schoolEffect } from "@/core/weighin/school-effect";
import { sheetOf } from "./(notebook)/(tally)/sheet-of";
import { slipOf } from "./(notebook)/verdicts/slip/slip-data";

const TODAY = "2029-01-01";
const decisions = fc.array(fc.constantFrom("agree", "overrule", "later", null), { maxLength: 12 });
const planned = fc.record({
  nights: fc.integer({ min: 0, max: 6 }),
  rain: fc.constantFrom("none", "some", "strong", undefined),
  freezing: fc.constantFrom("none", "some", "strong", undefined),
});

/** The log with some of what is told ruled on, a wish in the place of each third thing, and a trip planned. */
function ruledAndPlanned(
  log: Log,
  ruled: readonly (Ruling["decision"] | null)[],
  ahead: { nights: number; rain?: string | undefined; freezing?: string | undefined } | null,
): Log {
  const { things } = kitOf(openBook(log, TODAY));
  const rulings = things.flatMap(({ case: one, verdicts }, n) => {
    const decision = ruled[n];
    const verdict = verdicts[n % verdicts.length]!;
    return decision
      ? [
          Ruling.parse({
            id: `ruling-${n}`,
            item: one.item.id,
            verb: verdict.verb,
            ground: verdict.reason,
            decision,
            on: TODAY,
            trips: one.marked.length,
            troubles: one.history.troubles.length,
          }),
        ]
      : [];
  });
  const wishes = log.items
    .filter((_, n) => n % 3 === 0)
    .map(({ id, kind }, n) =>
      Item.parse({ id: `wish-${n}`, name: `Wish ${n}`, kind, state: "wished", instead: id }),
    );
  const { nights, ...conditions } = ahead ?? { nights: 0 };
  const trip = Trip.parse({
    id: "ahead",
    name: "Ahead",
    starts: "2029-06-01",
    ends: `2029-06-0${1 + nights}`,
    planned: true,
    legs: [{ id: "leg-1", distance: 30 }],
    conditions: Object.fromEntries(Object.entries(conditions).filter(([, told]) => told !== undefined)),
  });
  return {
    ...log,
    items: [...log.items, ...wishes],
    trips: ahead ? [...log.trips, trip] : log.trips,
    rulings: [...log.rulings, ...rulings],
  };
}

/** What the page of each thing's state, verb, stay or going, chance, life and grams has to say, against its advice. */
function expectOneVoice(kit: Kit, log: Log): void {
  const { book } = kit;
  const { units } = book.settings;
  const bench = benchOf(kit, log.tasks);
  const ready = readyFor(kit);
  const trip = log.trips.find(({ planned: isPlan }) => isPlan) ?? null;
  const plan = planFor(book, trip);
  const pack = packWorth(kit);
  const rows = new Map(sheetOf(kit).rows.map((row) => [row.id, row]));
  for (const advice of kit.things) {
    const { case: one, verdicts, asks, leaves, first } = advice;
    const [lead] = verdicts;
    const { item } = one;
    // Tally: state, verb, urgency, sentence, what is left.
    const row = rows.get(item.id);
    if (row)
      expect([row.state, row.verb, row.urgency, row.says, row.left]).toEqual([
        one.state,
        lead.verb,
        lead.urgency,
        says(one, lead),
        sayLeftOf(advice, units),
      ]);
    // Verdicts, and the thing's own page: a slip a verdict, what asks and stands apart from what is put aside.
    const slips = verdicts.map((verdict) => slipOf({ advice, verdict }));
    expect(slips.map(({ verb, urgency }) => [verb, urgency])).toEqual(
      verdicts.map(({ verb, urgency }) => [verb, urgency]),
    );
    expect(slips.filter(({ settled, aside }) => !settled && !aside)).toHaveLength(asks.length);
    // Bench, its calendar, and what is to be bought.
    expect(bench.jobs.filter((job) => job.item === item).map(({ verdict }) => verdict)).toEqual(
      expect.arrayContaining([...advice.jobs]),
    );
    expect(bench.jobs.filter((job) => job.item === item)).toHaveLength(advice.jobs.length);
    // Ready: what is to be replaced is not looked at.
    if (ready.checks.some((check) => check.item === item))
      expect(asks.map(({ verb }) => verb)).not.toContain("replace");
    // Next: stays or goes, ready or not, its chance, its reason.
    const line = plan.lines.find((each) => each.item === item);
    expect(line === undefined).toBe(one.standing === "gone");
    if (line) expectSamePlan(line, advice, plan.kit);
    // Worth its weight: what it would leave is what the advice leaves.
    const ranked = pack?.ranked.find((each) => each.one.item === item);
    if (ranked?.loses) expect(leaves).not.toBeNull();
    if (ranked && leavesForGood(advice)) expect(ranked.loses).toBe(true);
    // What is done, overruled or put off asks for nothing anywhere.
    for (const verdict of [first, leaves, advice.wantsAnother, ...advice.jobs])
      expect(verdict === null || asks.includes(verdict)).toBe(true);
    for (const { done, ruling } of asks)
      expect([done ?? false, ruling?.decision ?? "agree"]).toEqual([false, "agree"]);
  }
  for (const { present, asked } of candidates(kit))
    expect(asked).toBe(present ? (kit.of(present.id)?.wantsAnother ?? null) : null);
  for (const { item } of questionsAfter(kit)) expect(kit.of(item)!.case.standing).toBe("active");
  expectSameSums(kit, rows);
}

function expectSamePlan(line: ReturnType<typeof planFor>["lines"][number], advice: Advice, ahead: Kit): void {
  const again = ahead.of(line.item.id)!;
  // Foreseen by the plan or not, the next trip is the same: so is what is advised.
  expect(again.verdicts.map(({ verb, reason }) => [verb, reason])).toEqual(
    advice.verdicts.map(({ verb, reason }) => [verb, reason]),
  );
  expect(line.chance).toBe(advice.chance);
  if (line.column === "take") expect(advice.first).toBeNull();
  if (line.column === "not ready" && line.why.is === "verdict")
    expect(line.why.verdict.reason).toBe(advice.first!.reason);
  const broughtBack = ["last of its job", "leans on it", "wanted", "lent"].includes(line.why.is);
  if (
    leavesForGood(advice) &&
    !broughtBack &&
    !["sleep warm", "fuel"].some((job) => line.item.jobs.includes(job as never))
  )
    expect([line.item.name, line.column, sayWhy(line)]).toEqual([line.item.name, "leave", sayWhy(line)]);
  if (line.why.is === "verdict" && line.column === "leave") expect(advice.leaves).not.toBeNull();
  if (advice.leaves?.when && line.column === "leave" && line.why.is === "verdict")
    expect(whenHolds(advice.leaves.when, ahead.book.next)).toBe(false);
}

function expectSameSums(kit: Kit, rows: ReadonlyMap<string, { readonly grams: number }>): void {
  // "Could stay home" on Tally and on Verdicts is one sum, of rows that stand on the sheet with their grams.
  const { spare } = kit;
  expect(spare.grams).toBe(
    spare.things.reduce((sum, { case: { item } }) => sum + (rows.get(item.id)?.grams ?? 0), 0),
  );
  expect(spare.things.every(({ case: { standing } }) => standing === "active")).toBe(true);
  // What one's own school would change of one's own advice is nothing.
  expect(schoolEffect(kit, kit.book.rules.school.name)).toEqual({ leaves: [], leans: [], takes: [] });
  // The list to start from, and the best list, hold nothing that was agreed to be left but for a job of the kit.
  for (const id of asLastTime(kit)?.items ?? []) expect(kit.of(id)!.case.state).toBe("active");
  const plan = planFor(kit.book, null);
  for (const { id } of weighed(plan))
    expect(plan.lines.find(({ item }) => item.id === id)!.column).not.toBe("leave");
}

test("every page's builder says of each thing what its advice says: state, verb, stays or goes, chance, left, grams", () => {
  let seen = 0;
  fc.assert(
    fc.property(anyFile, decisions, fc.option(planned), (file, ruled, ahead) => {
      const log = ruledAndPlanned(logOf(file), ruled, ahead);
      const kit = kitOf(openBook(log, TODAY));
      seen += kit.things.length;
      expectOneVoice(kit, log);
    }),
    { numRuns: 150 },
  );
  expect(seen).toBeGreaterThan(300);
});

test("an argument rests on the verdict that the advice gives", () => {
  fc.assert(
    fc.property(anyFile, (file) => {
      const kit = kitOf(openBook(logOf(file), TODAY));
      const advice = kit.things.find(({ asks }) => asks.length > 0);
      if (!advice) return;
      const [asked] = advice.asks;
      expect(argue(advice, asked!).evidence.length).toBeGreaterThan(0);
    }),
    { numRuns: 15 },
  );
});

test("Next sleeps in what Nights names as the lightest that keeps a cold night unlikely, at every low", () => {
  const log = demoLog();
  const ways = waysToSleep(sleepOf(openBook(log, "2026-11-26")).filter(({ bed }) => bed.state === "active"));
  expect(ways.length).toBeGreaterThan(2);
  let named = 0;
  for (const low of [-12, -8, -5, -3, 0, 3, 6, 10, 15]) {
    const trip = Trip.parse({
      id: "ahead",
      name: "Ahead",
      starts: "2026-12-10",
      ends: "2026-12-12",
      planned: true,
      legs: [{ id: "leg-1", distance: 30 }],
      foreseen: { low },
    });
    const plan = planFor(openBook({ ...log, trips: [...log.trips, trip] }, "2026-11-26"), trip);
    const goes = plan.lines.filter(({ column }) => column !== "leave").map(({ item }) => item.id);
    const way = lightestWarm(ways, low);
    if (!way) continue;
    named += 1;
    expect(goes, `at ${low}`).toEqual(expect.arrayContaining([way.bed, ...way.extras].map(({ id }) => id)));
    const beds = ways.map(({ bed }) => bed.id).filter((id) => goes.includes(id));
    expect([...new Set(beds)], `at ${low}`).toEqual([way.bed.id]);
  }
  expect(named).toBeGreaterThan(3);
});
