import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { judged } from "../../../tests/walked";
import { openBook } from "../ledger/book";
import { planFor } from "../plan/plan";
import { sayWearingOut, sayWhy } from "../plan/words";
import { sayFlip } from "../say/verdicts/flip";
import { sayCalls, sayLeftOf } from "../say/words";
import { someOf } from "../units/speak";
import { packWorth } from "../weighin/pack-worth";
import { candidates } from "../compare/candidate";
import { nearestFlip } from "./flip";
import { kitOf } from "./kit";

// What one page said of a thing and another, or its own next line, took back. Common practice, no source.

const units = { distance: "km", weight: "g", temperature: "C" } as const;
const walk = (n: number, more: object) => ({
  name: `Walk ${n}`,
  starts: `2026-0${n}-10`,
  ends: `2026-0${n}-13`,
  distance: "50 km",
  ...more,
});

test("of a filter that froze no litres are left to count", () => {
  const frozen = judged({
    item: { kind: "filter" },
    marks: [{ frost: "froze" }],
    trip: () => ({ conditions: { freezing: "strong" } }),
  });
  expect([frozen.lead.verb, frozen.left, sayLeftOf(frozen, units)]).toEqual([
    "replace",
    null,
    "to be replaced",
  ]);
});

test("what is not mended a third time is not asked to be", () => {
  const pad = judged({
    item: { kind: "inflatable pad", price: 90 },
    marks: [{}, { troubles: ["damaged"], symptoms: ["leaks air"] }],
    entries: [
      { what: "repair", on: "2025-01-20" },
      { what: "repair", on: "2025-02-01" },
    ],
  });
  expect(pad.lead.reason).toBe("fault came back");
  expect(sayFlip(nearestFlip(pad, pad.lead))).not.toMatch(/repair/i);
});

describe("hardly is not lost in the words", () => {
  const marks = (...uses: string[]) =>
    judged({ item: { kind: "chair", weight: "300 g" }, marks: uses.map((use) => ({ use })) }).says;
  test("hardly used, once or on every trip", () => {
    expect(marks("hardly")).toMatch(/^Hardly used on its one trip/);
    expect(marks("hardly", "hardly")).toMatch(/^Hardly used on both trips/);
    expect(marks("used", "hardly")).toMatch(/^Used on both trips, hardly on one of them/);
    expect(marks("used", "used", "used")).toMatch(/^Used on all three trips[.,]/);
  });
});

describe("shoes that may not last the walk that is planned", () => {
  const planned = { starts: "2026-01-10", ends: "2026-01-25", distance: "300 km" };
  const shoes = {
    item: { kind: "trail shoes", weight: "620 g" },
    marks: Array<object>(6).fill({}),
    days: 6,
    planned,
  };
  test("graded sound today they are kept, and told to be doubtful: not asked for a second grade", () => {
    const graded = judged({ ...shoes, entries: [{ what: "check", on: "2025-08-05", condition: 4 }] });
    expect(graded.verbs).not.toContain("replace");
    expect(graded.verdicts.map(({ reason }) => reason)).not.toContain("look it over");
    expect(graded.left!.givesOut).toBeGreaterThan(0.2);
  });
  test("Next says the chance on their line, and which of those at home is sounder", () => {
    const log = logOf({
      items: [
        { id: "shoes", name: "Shoes", kind: "trail shoes", weight: "620 g" },
        { id: "boots", name: "Boots", kind: "boots", weight: "1200 g" },
      ],
      trips: [
        walk(1, { marks: [{ item: "boots", use: "used" }] }),
        ...[2, 3, 4, 5, 6].map((n) =>
          walk(n, { distance: "120 km", marks: [{ item: "shoes", use: "used" }] }),
        ),
        { id: "next", name: "Next", planned: true, ...planned, starts: "2026-12-01", ends: "2026-12-12" },
      ],
      entries: [{ item: "shoes", what: "check", on: "2026-06-20", condition: 4 }],
    });
    const plan = planFor(
      openBook(log, "2026-07-01"),
      log.trips.find(({ planned: isPlan }) => isPlan)!,
    );
    const line = plan.lines.find(({ item }) => item.id === "shoes")!;
    expect(sayWhy(line)).toMatch(/\d+.% to give out on the way\.$/);
    expect(sayWearingOut(plan.wearingOut[0]!, units)).toMatch(/The boots at home would be sounder\.$/);
  });
});

test("what was missed and is owned is to be taken along, whatever it is called; once it went it is asked for no more", () => {
  const file = (more: object[]) => ({
    items: [
      { id: "spf", name: "Zinc stick", kind: "sunscreen" },
      { id: "mug", name: "Mug", kind: "mug" },
    ],
    trips: [
      walk(1, { marks: [{ item: "mug", use: "used" }], missed: [{ what: "sun cream", cost: "discomfort" }] }),
      ...more,
    ],
  });
  const toAdd = (more: object[]) => kitOf(openBook(logOf(file(more)), "2026-08-01")).toAdd;
  expect(toAdd([])).toMatchObject([{ reason: "take it along", owned: { id: "spf" } }]);
  expect(toAdd([walk(2, { marks: [{ item: "spf", use: "used" }] })])).toEqual([]);
});

test("gone by a mishap, or given back, is not told as swapped after a complaint", () => {
  const gone = (item: object, mark: object) =>
    judged({ item: { kind: "mug", ...item }, marks: [{}, mark] }).says;
  expect(gone({}, { exit: { how: "swapped" }, troubles: ["failed"] })).not.toMatch(/complaint/);
  expect(gone({}, { exit: { how: "swapped" }, complaints: [{ what: "too heavy" }] })).toMatch(
    /after a complaint/,
  );
});

test("a pole short weighs less, wherever its weight is told", () => {
  const poles = judged({ item: { kind: "poles", weight: "480 g", pieces: 2 }, marks: [{}, { pieces: 1 }] });
  expect(poles.grams).toBe(240);
});

test("an overruled swap does not stand under the wish any more", () => {
  const log = logOf({
    items: [
      { id: "tent", name: "Tent", kind: "tent", weight: "1500 g" },
      { id: "light", name: "Light tent", kind: "tent", state: "wished", instead: "tent" },
    ],
    trips: [1, 2].map((n) =>
      walk(n, { marks: [{ item: "tent", use: "used", complaints: [{ what: "too heavy" }] }] }),
    ),
  });
  const [before] = candidates(kitOf(openBook(log, "2026-08-01")));
  expect(before!.asked).toMatchObject({ verb: "swap" });
  const ruling = {
    item: "tent",
    verb: "swap",
    ground: before!.asked!.reason,
    decision: "overrule",
    on: "2026-07-01",
    trips: 2,
  };
  const after = candidates(
    kitOf(
      openBook(
        {
          ...log,
          rulings: logOf({ items: [{ id: "tent", name: "Tent", kind: "tent" }], rulings: [ruling] }).rulings,
        },
        "2026-08-01",
      ),
    ),
  );
  expect(after[0]!.asked).toBeNull();
});

test("worth its weight: what was thrown out is ranked no more, and what stayed unused is not told as used", () => {
  const log = logOf({
    items: [
      { id: "pot", name: "Pot", kind: "pot", weight: "300 g" },
      { id: "stool", name: "Stool", kind: "chair", weight: "900 g" },
      { id: "bag", name: "Bag", kind: "water bag", weight: "80 g" },
    ],
    trips: [
      walk(1, {
        marks: [
          { item: "pot", use: "used" },
          { item: "stool", use: "unused" },
          { item: "bag", use: "used", exit: { how: "thrown out" } },
        ],
      }),
    ],
  });
  const ranked = packWorth(kitOf(openBook(log, "2026-03-01")))!.ranked;
  expect(ranked.map(({ one }) => one.item.id)).not.toContain("bag");
  expect(ranked.find(({ one }) => one.item.id === "stool")!.wanted).toBe(false);
});

test("numbers in a sentence are alike, and what calls is told only where something does", () => {
  expect([someOf(6, 8), someOf(8, 16), someOf(5, 9)]).toEqual(["six of eight", "8 of 16", "five of nine"]);
  const light = judged({ item: { kind: "head torch" }, marks: [] });
  expect(sayCalls(light)).not.toMatch(/0 of 0|always/);
});

test("what was measured last month was not last seen to a year ago", () => {
  const quilt = (reading: object) =>
    judged({
      item: { kind: "quilt" },
      marks: [{}, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}, {}].map((mark, n) =>
        n === 11 ? { ...mark, ...reading } : mark,
      ),
      entries: [{ what: "check", on: "2025-01-20" }],
    }).verdicts.map(({ reason }) => reason);
  expect(quilt({})).toContain("each season");
  expect(quilt({ reading: { what: "loft", value: 92 } })).not.toContain("each season");
});
