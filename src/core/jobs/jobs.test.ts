import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { survey } from "../decide/case";
import { openBook } from "../ledger/book";
import { additions } from "../reasons/add";
import { judgeAll } from "../reasons/judge";
import { stepsFor } from "../trade/steps";
import { benchOf, byMaterial } from "./bench";
import { readyFor } from "./ready";

/** Two trips: the pad leaked, the torch died of a defect, the filter froze, the shell let water in; a sit mat was missed twice. */
const log = (more: { entries?: object[]; rulings?: object[]; tasks?: object[] } = {}) =>
  logOf({
    items: [
      { id: "pad", name: "Pad", kind: "inflatable pad", weight: "400 g", price: 110 },
      { id: "torch", name: "Torch", kind: "head torch", weight: "80 g", price: 48, warranty: "2027-05-01" },
      { id: "filter", name: "Filter", kind: "filter", weight: "70 g", price: 42 },
      { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
      { id: "kit", name: "Kit", kind: "first-aid kit", weight: "180 g", expires: "2026-12-30" },
      { id: "mug", name: "Mug", kind: "mug", weight: "50 g" },
      {
        id: "wish",
        name: "Good filter",
        kind: "filter",
        weight: "90 g",
        price: 41,
        state: "wished",
        instead: "filter",
      },
    ],
    trips: [1, 2].map((n) => ({
      id: `t${n}`,
      name: `T${n}`,
      starts: `2026-0${n + 6}-01`,
      ends: `2026-0${n + 6}-05`,
      distance: "50 km",
      conditions: { rain: "some" },
      missed: [{ what: "Sit mat", cost: "discomfort" }],
      marks: [
        {
          item: "pad",
          use: "used",
          ...(n === 2 && { troubles: ["damaged"], symptoms: ["leaks air"], cause: "misuse" }),
        },
        {
          item: "torch",
          use: "used",
          ...(n === 2 && { troubles: ["failed"], symptoms: ["no charge"], cause: "defect" }),
        },
        { item: "filter", use: "used", ...(n === 2 && { frost: "froze" }) },
        { item: "tent", use: "used", ...(n === 2 && { troubles: ["damaged"], symptoms: ["lets water in"] }) },
        { item: "kit", use: "unused" },
        { item: "mug", use: "used" },
      ],
    })),
    ...more,
  });
const benchIn = (more: Parameters<typeof log>[0] = {}, today = "2026-08-20") => {
  const told = log(more);
  const book = openBook(told, today);
  const judgements = judgeAll(survey(book));
  return { bench: benchOf(book, judgements, additions(book, judgements), told.tasks), book, judgements };
};
const jobOf = (bench: ReturnType<typeof benchIn>["bench"], id: string) =>
  bench.jobs.find(({ item }) => item.id === id);

describe("the bench", () => {
  test("what is to be done, where, and by which steps; a warranty before a purchase", () => {
    const { bench } = benchIn();
    expect(jobOf(bench, "pad")).toMatchObject({ verb: "repair", place: "home", claim: false });
    expect(jobOf(bench, "pad")!.steps.steps.join(" ")).toMatch(/overnight.*soap and water/);
    expect(jobOf(bench, "torch")).toMatchObject({ place: "post", claim: true });
    expect(jobOf(bench, "filter")).toMatchObject({ verb: "replace", place: "shop" });
    expect(jobOf(bench, "mug")).toBeUndefined();
    // After its last day, the warranty is no word any more.
    expect(jobOf(benchIn({}, "2027-06-01").bench, "torch")).toMatchObject({ claim: false });
  });

  test("everything that wants seam sealer", () => {
    const [material, jobs] = byMaterial(benchIn().bench.jobs).find(([name]) => name === "seam sealer")!;
    expect([material, jobs.map(({ item }) => item.id)]).toEqual(["seam sealer", ["tent"]]);
  });

  test("agreed to, it stays until it is done, and comes first; overruled, it is no job", () => {
    const on = (item: string, verb: string, decision: string) => ({
      id: item,
      item,
      verb,
      decision,
      on: "2026-08-10",
      trips: 2,
      troubles: 1,
    });
    expect(benchIn({ rulings: [on("tent", "service", "agree")] }).bench.jobs[0]).toMatchObject({
      agreed: true,
    });
    expect(jobOf(benchIn({ rulings: [on("pad", "repair", "overrule")] }).bench, "pad")).toBeUndefined();
    const mended = benchIn({ entries: [{ item: "pad", on: "2026-08-15", what: "repair" }] });
    expect(jobOf(mended.bench, "pad")).toMatchObject({ verb: "prove", place: "near home" });
  });

  test("what to buy: the wish for it, with its price; what was missed twice", () => {
    const { bench } = benchIn();
    expect(bench.buy).toMatchObject([
      { name: "Good filter", price: 41, present: { id: "filter" } },
      { name: "Sit mat", price: null, present: null },
    ]);
  });

  test("the owner's own jobs, until they are done", () => {
    const { bench } = benchIn({
      tasks: [
        { what: "Sew on the hook", item: "tent" },
        { what: "Shorten the strap", done: "2026-08-01" },
      ],
    });
    expect(bench.tasks.map(({ what }) => what)).toEqual(["Sew on the hook"]);
  });
});

test("steps by trouble, by kind, and plain ones for the rest", () => {
  expect(stepsFor("service", "filter", []).measures?.what).toBe("flow");
  expect(stepsFor("service", "tent", []).materials).not.toContain("seam sealer");
  expect(stepsFor("repair", "tent", ["lets water in"]).materials).toContain("seam sealer");
  expect(stepsFor("repair", "chair", []).steps[0]).toMatch(/Mend it/);
  expect(stepsFor("prove", "tent", []).steps[0]).toMatch(/near home/);
});

describe("ready", () => {
  const readyIn = (today: string, entries: object[] = []) => {
    const { book, judgements } = benchIn({ entries }, today);
    return readyFor(book, judgements);
  };
  test("after a hundred days in store, what store can spoil leads; before that, what was mended and whose date is near", () => {
    // The last trip ended on 5 August: 99 and 100 days.
    expect(readyIn("2026-11-12").afterStore).toBe(false);
    const stored = readyIn("2026-11-13");
    expect(stored).toMatchObject({ afterStore: true, stored: 100 });
    expect(stored.checks[0]!.why).toBe("store");
    expect(stored.checks.map(({ item }) => item.id)).not.toContain("mug");
    const soon = readyIn("2026-08-20", [{ item: "pad", on: "2026-08-15", what: "repair" }]);
    expect(soon.checks.find(({ item }) => item.id === "kit")).toMatchObject({ why: "date", done: false });
    // The repair itself is a look.
    expect(soon.checks.find(({ item }) => item.id === "pad")).toMatchObject({
      why: "mended",
      done: true,
      last: "2026-08-15",
    });
  });
  test("looked at since the last trip, it is ticked and goes to the end", () => {
    const { checks } = readyIn("2026-11-20", [{ item: "tent", on: "2026-11-15", what: "check" }]);
    expect(checks.at(-1)).toMatchObject({ item: { id: "tent" }, done: true });
    const before = readyIn("2026-11-20", [{ item: "tent", on: "2026-07-15", what: "check" }]);
    expect(before.checks.find(({ item }) => item.id === "tent")).toMatchObject({
      done: false,
      last: "2026-07-15",
    });
  });
});
