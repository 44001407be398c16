import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { kitOf } from "../advice/kit";
import { isRoutine } from "../reasons/verbs/service";
import { pursesOf } from "../compare/money";
import { says } from "../say/verdicts/says";
import { stepsFor } from "../trade/steps";
import { timedReading } from "./timed";
import { benchOf, byMaterial } from "./bench";
import { Task } from "../model";
import { fromCalendar, type CalendarDay } from "./from-calendar";
import { readyFor } from "./ready";
import { servicesAhead } from "./services";

/**
 * Two trips: the pad leaked, the torch died of a defect, the filter froze, the shell let water in; a sit mat
 * was missed twice.
 */
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
  const kit = kitOf(book);
  return { bench: benchOf(kit, told.tasks), book, kit };
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

  test("by what they want: what most jobs want first, those that want nothing last; every job is in some row", () => {
    const job = (id: string, ...materials: string[]) =>
      ({ item: { id }, steps: { materials, steps: [] } }) as unknown as Parameters<
        typeof byMaterial
      >[0][number];
    const rows = byMaterial([
      job("a", "glue"),
      job("b"),
      job("c", "tape", "glue"),
      job("d", "patch", "tape", "glue"),
    ]);
    expect(rows.map(([material, jobs]) => [material, jobs.map(({ item }) => item.id).join("")])).toEqual([
      ["glue", "acd"],
      ["tape", "cd"],
      ["patch", "d"],
      ["nothing", "b"],
    ]);
    expect(byMaterial([job("a", "glue")]).map(([material]) => material)).toEqual(["glue"]);
  });

  test("the most urgent comes first, and a yearly look after what is broken", () => {
    const { bench } = benchIn();
    const urgencies = ["now", "before next trip", "when convenient", "watch"];
    const places = bench.jobs.map(
      ({ verdict }) => urgencies.indexOf(verdict.urgency) + (isRoutine(verdict) ? 2 : 0),
    );
    expect(places.length).toBeGreaterThan(3);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
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
  expect(stepsFor("serve", "filter", []).measures?.what).toBe("flow");
  expect(stepsFor("serve", "tent", []).materials).not.toContain("seam sealer");
  expect(stepsFor("mend", "tent", ["lets water in"]).materials).toContain("seam sealer");
  expect(stepsFor("mend", "chair", []).steps[0]).toMatch(/Mend it/);
  expect(stepsFor("try", "tent", []).steps[0]).toMatch(/near home/);
});

describe("ready", () => {
  const readyIn = (today: string, entries: object[] = []) => {
    return readyFor(benchIn({ entries }, today).kit);
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

// Worked by hand: trips of four nights and 50 km each, used on all; 12 nights in all.
describe("services by their count", () => {
  const served = (more: { entries?: object[]; services?: object[]; kinds?: object; plan?: object } = {}) => {
    const told = logOf({
      settings: { kinds: more.kinds ?? {} },
      items: [
        { id: "pack", name: "Pack", kind: "pack", weight: "1000 g", services: more.services ?? [] },
        { id: "mug", name: "Mug", kind: "mug", weight: "50 g" },
      ],
      trips: [
        ...[1, 2, 3].map((n) => ({
          id: `t${n}`,
          name: `T${n}`,
          starts: `2026-0${n + 4}-01`,
          ends: `2026-0${n + 4}-05`,
          distance: "50 km",
          marks: [
            { item: "pack", use: "used" },
            { item: "mug", use: n === 2 ? "hardly" : "used" },
          ],
        })),
        ...(more.plan ? [more.plan] : []),
      ],
      entries: more.entries ?? [],
    });
    const kit = kitOf(openBook(told, "2026-08-20"));
    return {
      rows: servicesAhead(kit).map(
        ({ item, what, since, every, standing }) => `${item.id}: ${what}, ${since} of ${every}, ${standing}`,
      ),
      lead: kit.things.find(({ case: { item } }) => item.id === "pack")!.verdicts[0],
    };
  };
  const every = (count: number, unit: string) => ({
    services: [{ what: "wax the zip", every: count, unit }],
  });

  test("due, soon and overdue, by nights, distance and trips", () => {
    expect(served(every(12, "nights")).rows).toEqual(["pack: wax the zip, 12 of 12, due"]);
    expect(served(every(9, "nights")).rows).toEqual(["pack: wax the zip, 12 of 9, overdue"]);
    expect(served(every(16, "nights")).rows).toEqual(["pack: wax the zip, 12 of 16, soon"]);
    expect(served(every(40, "nights")).rows).toEqual([]);
    expect(served(every(150_000, "m")).rows).toEqual(["pack: wax the zip, 150000 of 150000, due"]);
    expect(served(every(4, "trips")).rows).toEqual(["pack: wax the zip, 3 of 4, soon"]);
  });

  test("one of a kind's is of everything of the kind, and hardly used is a tenth", () => {
    const { rows } = served({
      kinds: { mug: { own: [{ what: "descale it", every: 8.4, unit: "nights" }] } },
    });
    expect(rows).toEqual(["mug: descale it, 8.4 of 8.4, due"]);
  });

  test("what the next trip brings to its count is soon due", () => {
    const plan = {
      id: "p",
      name: "P",
      starts: "2026-09-01",
      ends: "2026-09-11",
      distance: "90 km",
      planned: true,
    };
    expect(served(every(20, "nights")).rows).toEqual([]);
    expect(served({ ...every(20, "nights"), plan }).rows).toEqual(["pack: wax the zip, 12 of 20, soon"]);
  });

  test("done by its name it begins anew, and settles nothing else; another service does not settle it", () => {
    const entry = (what: string, service: string | null, on = "2026-06-20") => ({
      item: "pack",
      on,
      what,
      service,
    });
    const own = { ...every(8, "nights"), entries: [entry("own service", "wax the zip")] };
    // Four nights since, and the usual next trip would bring four more.
    expect(served(own).rows).toEqual(["pack: wax the zip, 4 of 8, soon"]);
    expect(served({ ...every(8, "nights"), entries: [entry("service", null)] }).rows).toEqual([
      "pack: wax the zip, 12 of 8, overdue",
    ]);
    // Half way through the third trip: two of its four nights are after it, by days 2 of 5.
    const midway = { ...every(8, "nights"), entries: [entry("own service", "wax the zip", "2026-07-03")] };
    expect(served({ ...midway, ...every(1.6, "nights") }).rows).toEqual([
      "pack: wax the zip, 1.6 of 1.6, due",
    ]);
  });

  test("a due one is a verdict in its owner's words, and washes and days count too", () => {
    const { lead } = served(every(12, "nights"));
    expect(lead).toMatchObject({ verb: "service", reason: "own service", sureness: "sure" });
    const wash = (on: string) => ({ item: "pack", on, what: "wash" });
    expect(served({ ...every(2, "washes"), entries: [wash("2026-06-10"), wash("2026-07-10")] }).rows).toEqual(
      ["pack: wax the zip, 2 of 2, due"],
    );
    // From its first trip, 1 May, to 20 August.
    expect(served(every(111, "days")).rows).toEqual(["pack: wax the zip, 111 of 111, due"]);
  });
});

describe("a calendar read back", () => {
  const task = (id: string, more: object = {}) =>
    Task.parse({ id, what: "sew on the hook", item: "pack", ...more });
  const day = (uid: string, more: Partial<CalendarDay> = {}): CalendarDay => ({
    uid,
    on: "2026-12-01",
    summary: "sew on the hook: Pack",
    about: "",
    repeats: false,
    undated: null,
    ...more,
  });
  const around = { nameOf: () => "Pack", jobs: new Set(["pad-repair-open-trouble"]) };

  test("what is as it was changes nothing, put on a day for want of one or on its own", () => {
    expect(fromCalendar([day("a@nettle-tally", { undated: "2026-12-01" })], [task("a")], around)).toEqual({
      changes: [],
      same: 1,
      verdicts: 0,
    });
    const dated = task("a", { due: "2026-12-01" });
    expect(fromCalendar([day("a@nettle-tally")], [dated], around).same).toBe(1);
  });

  test("edited there it is changed here: moved, renamed, a note; the thing stays", () => {
    const moved = fromCalendar(
      [
        day("a@nettle-tally", {
          on: "2026-12-09",
          undated: "2026-12-01",
          summary: "sew it: Pack",
          about: "blue",
        }),
      ],
      [task("a")],
      around,
    ).changes;
    expect(moved).toMatchObject([
      { is: "changed", task: { id: "a", due: "2026-12-09", what: "sew it", note: "blue", item: "pack" } },
    ]);
  });

  test("a day of another's is a new job once, however often it is read, and a verdict's job is left to the log", () => {
    const days = [
      day("x y@elsewhere", { summary: "pick up the tent" }),
      day("pad-repair-open-trouble@nettle-tally"),
    ];
    const first = fromCalendar([...days, days[0]!], [], around);
    expect(first).toMatchObject({
      changes: [{ is: "new", task: { what: "pick up the tent" } }],
      verdicts: 1,
    });
    const again = fromCalendar(
      days,
      first.changes.map(({ task: taken }) => taken),
      around,
    );
    expect(again).toMatchObject({ changes: [], same: 1 });
  });
});

// A thing of another's is not one's own money, and what went wrong with it is its owner's to hear.
test("what is borrowed or lent: told, looked after, and not paid for", () => {
  const told = logOf({
    items: [
      { id: "pot", name: "Pot", kind: "pot", weight: "100 g", price: 30, owner: "Ida" },
      { id: "mug", name: "Mug", kind: "mug", weight: "50 g", price: 12, lentTo: "Oswin" },
      {
        id: "old",
        name: "Old pot",
        kind: "pot",
        weight: "120 g",
        price: 9,
        owner: "Ida",
        state: "given back",
        since: "2026-07-01",
      },
    ],
    trips: [
      {
        id: "t",
        name: "T",
        starts: "2026-06-01",
        ends: "2026-06-03",
        distance: "30 km",
        marks: [
          { item: "pot", use: "used", troubles: ["damaged"], symptoms: ["bent"] },
          { item: "mug", use: "used" },
          { item: "old", use: "used" },
        ],
      },
    ],
  });
  const kit = kitOf(openBook(told, "2026-07-20"));
  const { things } = kit;
  const pot = things.find(({ case: { item } }) => item.id === "pot")!;
  const repair = pot.verdicts.find(({ verb }) => verb === "repair")!;
  expect(says(pot.case, repair)).toMatch(/ It is Ida’s: tell them\.$/);
  const old = things.find(({ case: { item } }) => item.id === "old")!;
  expect(old.verdicts[0]).toMatchObject({ verb: "keep", reason: "gone when done with", done: true });
  const { away, borrowed } = readyFor(kit);
  expect([away, borrowed].map((some) => some.map(({ id }) => id))).toEqual([["mug"], ["pot"]]);
  expect(pursesOf(things, "€")).toMatchObject([{ currency: "€", bought: 12 }]);
});

test("what a clock reads: minutes to boil, or litres a minute", () => {
  expect(timedReading("minutes", 210)).toBe(3.5);
  expect(timedReading("litre", 40)).toBe(1.5);
});
