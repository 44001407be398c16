import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { supplyUses } from "../weighin/supplies";
import { sayGap, sayOnSomeLegs, sayShort, sayWhy } from "./words";
import { callOn } from "../advice/foresee";
import { planFor } from "./plan";
import { onSomeLegs, stagesOf } from "./stages";

const TODAY = "2026-11-26";
const ITEMS = [
  { id: "pack", name: "Pack", kind: "pack", weight: "1000 g" },
  { id: "tent", name: "Tent", kind: "tent", weight: "900 g" },
  {
    id: "quilt",
    name: "Quilt",
    kind: "quilt",
    weight: "600 g",
    ratings: { label: { celsius: 4, means: "comfort" } },
  },
  {
    id: "bag",
    name: "Winter bag",
    kind: "sleeping bag",
    weight: "1300 g",
    ratings: { label: { celsius: -14, means: "comfort" } },
  },
  { id: "net", name: "Head net", kind: "bug net", weight: "25 g" },
  { id: "chair", name: "Chair", kind: "chair", weight: "500 g" },
  { id: "kit", name: "First-aid kit", kind: "first-aid kit", weight: "180 g" },
  { id: "filter", name: "Filter", kind: "filter", weight: "70 g" },
  { id: "stove", name: "Stove", kind: "stove", weight: "80 g" },
  { id: "gas", name: "Canister", kind: "fuel", weight: "208 g", ratings: { empty: "98 g" } },
  { id: "shoes", name: "Shoes", kind: "trail shoes", weight: "620 g" },
  { id: "boots", name: "Boots", kind: "boots", weight: "1200 g" },
  { id: "new", name: "New mug", kind: "mug", weight: "60 g" },
  { id: "lost", name: "Lost hat", kind: "sun hat", weight: "80 g", state: "lost" },
];
const USED = ["pack", "tent", "quilt", "filter", "stove", "gas", "shoes"];
/** Five trips of four days and 50 km; bugs on two of them. */
const walked = (more: { filter?: object; items?: object[]; plan?: object; felt?: object[] } = {}) =>
  logOf({
    items: [...ITEMS, ...(more.items ?? [])],
    trips: [
      ...[1, 2, 3, 4, 5].map((month) => ({
        id: `t${month}`,
        name: `T${month}`,
        starts: `2026-0${month + 4}-10`,
        ends: `2026-0${month + 4}-13`,
        distance: "50 km",
        conditions: { rain: "some", wind: "some", bugs: month < 3 ? "strong" : "none" },
        felt: more.felt ?? [],
        marks: [
          ...USED.map((item) => ({
            item,
            use: "used",
            ...(item === "filter" && month === 5 ? more.filter : {}),
          })),
          { item: "net", use: month < 3 ? "used" : "unused" },
          { item: "chair", use: "unused" },
          { item: "kit", use: "unused" },
        ],
      })),
      {
        id: "b",
        name: "Boots once",
        starts: "2026-03-01",
        ends: "2026-03-03",
        distance: "30 km",
        conditions: { rain: "some" },
        marks: [{ item: "boots", use: "used" }],
      },
      ...(more.plan
        ? [
            {
              id: "p",
              name: "Plan",
              starts: "2027-02-01",
              ends: "2027-02-04",
              distance: "60 km",
              planned: true,
              ...more.plan,
            },
          ]
        : []),
    ],
  });
const planOf = (more: Parameters<typeof walked>[0] = {}) => {
  const log = walked(more);
  const trip = log.trips.find(({ id }) => id === "p") ?? null;
  return planFor(openBook(log, TODAY), trip);
};
const columns = (plan: ReturnType<typeof planOf>) =>
  Object.fromEntries(plan.lines.map(({ item, column }) => [item.id, column]));
const lineOf = (plan: ReturnType<typeof planOf>, id: string) =>
  plan.lines.find(({ item }) => item.id === id)!;

describe("a plan worked by hand", () => {
  test("what is used goes, cover goes, what the verdicts leave is left, what is gone is not there", () => {
    const plan = planOf({ plan: { conditions: { rain: "some", bugs: "strong" } } });
    expect(columns(plan)).toMatchObject({
      pack: "take",
      tent: "take",
      quilt: "take",
      filter: "take",
      net: "take",
      kit: "take",
      chair: "leave",
      boots: "leave",
      new: "leave",
      bag: "leave",
    });
    expect(plan.lines.map(({ item }) => item.id)).not.toContain("lost");
    expect(sayWhy(lineOf(plan, "boots"))).toBe("Shoes goes in its place.");
    expect(sayWhy(lineOf(plan, "new"))).toBe("Never taken along yet.");
    expect(sayWhy(lineOf(plan, "kit"))).toMatch(/^Cover/);
    // 1000 + 900 + 600 + 25 + 180 + 70 + 80 of base; the shoes worn; the canister used up.
    expect(plan.load).toMatchObject({ base: 2855, worn: 620, consumable: 208 });
    // Last time the chair went too.
    expect(plan.lastLoad!.base).toBe(3355);
    expect(plan.saved).toBe(500);
  });

  test("what the weather calls for: foreseen, ruled out, or nobody knows", () => {
    expect(columns(planOf({ plan: { conditions: { bugs: "strong" } } })).net).toBe("take");
    const none = planOf({ plan: { conditions: { bugs: "none" } } });
    expect(columns(none).net).toBe("leave");
    expect(sayWhy(lineOf(none, "net"))).toBe("No bugs expected.");
    const unknown = planOf({ plan: {} });
    expect(columns(unknown).net).toBe("take if");
    expect(unknown.mayCome).toBe(25);
    expect(sayWhy(lineOf(unknown, "net"))).toMatch(
      /^If you expect bugs; used on one such trip in (\d|two)\.$/,
    );
  });

  // Bugs on two of five trips that told of them: (2 + ½) ÷ (5 + 1).
  test("how often it comes, where nobody foresees it", () => {
    const book = openBook(walked(), TODAY);
    const net = book.item("net" as never)!;
    const next = { nights: 3, strength: () => undefined };
    expect(callOn(net, next, book)).toMatchObject({ is: "unknown", chance: 2.5 / 6 });
    expect(callOn(book.item("pack" as never)!, next, book)).toMatchObject({ is: "called", chance: 1 });
    const noNights = callOn(book.item("stove" as never)!, { ...next, nights: 0 }, book);
    expect(noNights.is).toBe("not called");
  });

  test("of a winter and a summer bed, the lightest that is warm enough", () => {
    const felt = [
      { low: 6, felt: "right", slept: ["quilt"] },
      { low: 5, felt: "right", slept: ["quilt"] },
      { low: 4, felt: "cool", slept: ["quilt"] },
    ];
    expect(columns(planOf({ felt, plan: { foreseen: { low: 12 } } }))).toMatchObject({
      quilt: "take",
      bag: "leave",
    });
    const cold = planOf({ felt, plan: { foreseen: { low: -6 } } });
    expect(columns(cold)).toMatchObject({ quilt: "leave", bag: "take" });
    expect(sayWhy(lineOf(cold, "quilt"))).toBe("Winter bag is the one for these nights.");
  });

  test("not ready: it goes, and something is to be done first; with nothing else for a critical job, that stands first", () => {
    const plan = planOf({ filter: { frost: "froze" }, plan: {} });
    expect(columns(plan).filter).toBe("not ready");
    expect(plan.gaps.map(sayGap)).toEqual([
      "No trusted way to treat water: the filter (it froze wet on T5).",
    ]);
    const doubled = planOf({
      filter: { frost: "froze" },
      items: [
        { id: "tablets", name: "Tablets", kind: "treatment tablets", weight: "10 g", expires: "2030-01-01" },
      ],
      plan: { picks: { tablets: "take" } },
    });
    expect(columns(doubled).tablets).toBe("take");
    expect(doubled.gaps).toEqual([]);
    // Where the taps are good, nobody treats water.
    expect(planOf({ filter: { frost: "froze" }, plan: { offers: { "tap water": "strong" } } }).gaps).toEqual(
      [],
    );
  });

  test("canisters whose weights tell go as they are needed; of those that nobody weighed, all in use go", () => {
    // The one in use holds 110 g, which may not do for three nights; 450 g does for any three.
    const can = (id: string, more: object) => ({ id, name: id, kind: "fuel", ...more });
    const plan = planOf({
      items: [
        can("large", { weight: "600 g", ratings: { empty: "150 g" } }),
        can("unknown", {}),
        can("bare", { weight: "150 g" }),
        can("retired", { state: "retired" }),
      ],
      plan: {},
    });
    const { gas, large, unknown, bare, retired } = columns(plan);
    expect({ gas, large }).toEqual({ gas: "leave", large: "take" });
    expect({ unknown, bare, retired }).toEqual({ unknown: "take", bare: "take", retired: undefined });
  });

  test("the owner's word moves a thing, whatever the list says; what is to be done about it stays", () => {
    const moved = planOf({
      filter: { frost: "froze" },
      plan: { picks: { chair: "take", pack: "leave", filter: "leave", kit: "take" } },
    });
    expect(columns(moved)).toMatchObject({ chair: "take", pack: "leave", filter: "leave", kit: "take" });
    expect(sayWhy(lineOf(moved, "chair"))).toBe("Your word.");
    expect(lineOf(moved, "chair").own).toBe("leave");
    expect(sayWhy(lineOf(moved, "kit"))).not.toBe("Your word.");
  });

  test("counted: a stove without gas, what a thing can't do without", () => {
    const gasless = planOf({ plan: { picks: { gas: "leave" } } });
    expect(gasless.short.map(sayShort)).toEqual(["Stove goes without anything to burn."]);
    const leaning = planOf({
      items: [
        { id: "tarp", name: "Tarp", kind: "tarp", needs: ["sticks"] },
        { id: "sticks", name: "Sticks", kind: "poles" },
      ],
      plan: { picks: { tarp: "take" } },
    });
    expect(leaning.short.map(sayShort)).toEqual(["Tarp can’t do without the sticks."]);
  });
});

test("why a thing stands where it does, in a few words, whatever the reason", () => {
  const plan = planOf({ plan: {} });
  const chair = lineOf(plan, "chair");
  const other = lineOf(plan, "kit").item;
  const usedOn = (trips: number): typeof chair => {
    const { advice } = chair;
    const { totals } = advice.case;
    const used = { ...totals, used: { ...totals.used, trips } };
    return { ...chair, advice: { ...advice, case: { ...advice.case, totals: used } } };
  };
  const line = usedOn(3);
  const said = (why: (typeof line)["why"], chance = 0.5, pieces = 1) =>
    sayWhy({ ...line, item: { ...line.item, pieces }, why, chance });
  expect(said({ is: "at home" })).toBe("Enough without it.");
  expect(said({ is: "wanted" })).toBe("Left at home last time, and missed.");
  expect(said({ is: "essential" })).toBe("Goes whatever is expected.");
  expect(said({ is: "not called", triggers: ["bugs", "snow or ice", "rain"] })).toBe(
    "No bugs or snow and ice expected.",
  );
  expect(said({ is: "called", triggers: ["bugs", "rain"] }, 0.95)).toBe(
    "For bugs and rain; used on nearly every such trip.",
  );
  expect(said({ is: "for other nights", other })).toBe("First-aid kit is the one for these nights.");
  expect(said({ is: "another goes", other }, 0.5, 2)).toBe("First-aid kit go in its place.");
  expect(said({ is: "leans on it", other })).toBe("First-aid kit can’t do without it.");
  // How often, in words: from next to never to nearly always; what is used on most trips needs none.
  expect([0.02, 0.05, 0.2, 0.42, 0.6, 0.74].map((chance) => said({ is: "earns its place" }, chance))).toEqual(
    [
      "Used on next to no such trip.",
      "Used on one such trip in 20.",
      "Used on one such trip in five.",
      "Used on one such trip in two.",
      "Used on six such trips in ten.",
      "Used on seven such trips in ten.",
    ],
  );
  expect(said({ is: "earns its place" }, 0.75)).toBe("");
  // Chance is told as chance: never used is not told as used so often.
  expect(sayWhy({ ...usedOn(0), why: { is: "earns its place" }, chance: 0.5 })).toBe(
    "Perhaps on one such trip in two, and not asked for yet.",
  );
  expect(said({ is: "last of its job", job: "stay warm" })).toBe(
    "Nothing else that goes is a way to stay warm.",
  );
});

test("what is likely carried for nothing: grams by metres, by the chance that each is not used", () => {
  const plan = planOf({ plan: {} });
  const along = plan.lines.filter(({ column }) => column === "take" || column === "not ready");
  const dead = along
    .filter(({ item }) => !item.cover)
    .reduce((sum, { item, chance }) => sum + (item.weight?.g ?? 0) * (1 - chance) * 60_000, 0);
  expect(along.length).toBeGreaterThan(5);
  expect(plan.deadGramMetres).toBeCloseTo(dead, 3);
});

test("an empty shelf has an empty plan", () => {
  const plan = planFor(openBook(logOf({ items: [] }), TODAY), null);
  expect(plan).toMatchObject({ lines: [], gaps: [], short: [], saved: 0, lastLoad: null });
});

describe("a plan of several legs, by hand", () => {
  const LEGS = [
    { name: "Shore", distance: "40 km" },
    { name: "Plateau", distance: "20 km", conditions: { "snow or ice": "strong" } },
    { name: "Down", distance: "40 km" },
  ];
  const legged = (more: object = {}, items: object[] = []) => {
    const log = walked({
      items: [{ id: "spikes", name: "Spikes", kind: "traction", weight: "350 g" }, ...items],
      plan: {
        legs: LEGS,
        conditions: { "snow or ice": "none", rain: "some" },
        picks: { spikes: "take" },
        ...more,
      },
    });
    const trip = log.trips.find(({ id }) => id === "p")!;
    const plan = planFor(openBook(log, TODAY), trip);
    const some = onSomeLegs(plan, trip);
    return { plan, some, stages: stagesOf(plan, trip, some) };
  };

  test("spikes for the middle leg are posted ahead to it and sent home after", () => {
    const { some, plan } = legged();
    expect(some).toMatchObject([{ legs: [1], without: 80_000, postedAhead: true, sentHome: true }]);
    expect(some[0]!.line.item.id).toBe("spikes");
    expect(sayOnSomeLegs(some[0]!, plan.kit.book.settings.units).replaceAll(/[\u00a0\u202f]/g, " ")).toBe(
      "Spikes: wanted on leg 2 only. Posted ahead and sent home after, 350 g is off your back for 80 km.",
    );
  });

  test("for the first leg it is only sent home, for the last only posted ahead; for two parts of the way it stays", () => {
    const icy = { "snow or ice": "strong" } as const;
    const onLegs = (...legs: number[]) =>
      legged({
        legs: [0, 1, 2].map((n) => ({
          distance: "33 km",
          conditions: legs.includes(n) ? icy : { "snow or ice": "none" },
        })),
      }).some;
    expect(onLegs(0)).toMatchObject([{ legs: [0], postedAhead: false, sentHome: true, without: 66_000 }]);
    expect(onLegs(2)).toMatchObject([{ legs: [2], postedAhead: true, sentHome: false }]);
    expect(onLegs(1, 2)).toMatchObject([{ legs: [1, 2], postedAhead: true, sentHome: false }]);
    expect(onLegs(0, 2)).toEqual([]);
    expect(onLegs(0, 1, 2)).toEqual([]);
  });

  test("what every leg calls for, is dangerous to lack, or saves too little stays in the pack", () => {
    const whole = legged({ conditions: { "snow or ice": "strong" } });
    expect(whole.some).toEqual([]);
    const light = legged({}, [{ id: "clip", name: "Clip", kind: "traction", weight: "20 g" }]);
    expect(light.some.map(({ line }) => line.item.id)).toEqual(["spikes"]);
    const shell = legged(
      {
        conditions: { rain: "none" },
        legs: [{ distance: "50 km", conditions: { rain: "strong" } }, { distance: "50 km" }],
      },
      [{ id: "shell", name: "Shell", kind: "rain shell", weight: "400 g" }],
    );
    expect(shell.some.map(({ line }) => line.item.id)).not.toContain("shell");
  });

  // Four days of 100 km: 1.6, 0.8 and 1.6 days. What goes on the back is the plan's, and food is a day's
  // times the days to the shop.
  test("what is on the back where each leg begins", () => {
    const { plan, stages } = legged();
    const back = plan.load.base + plan.load.consumable + plan.load.hobby;
    const food = supplyUses(plan.kit.book)
      .find(({ rule }) => rule.sort === "food" && rule.over === "day")!
      .rate.enoughFor(0.9);
    const gas = supplyUses(plan.kit.book)
      .find(({ rule }) => rule.sort === "fuel" && rule.over === "night" && rule.unit === "g")!
      .rate.enoughFor(0.9);
    const [shore, plateau, down] = stages;
    expect(shore!.onBack).toBeCloseTo(back - 350 + 4 * food, 6);
    expect(plateau!.onBack).toBeCloseTo(back - (gas * 3 * 1.6) / 4 + 2.4 * food, 6);
    expect(down!.onBack).toBeCloseTo(back - 350 - (gas * 3 * 2.4) / 4 + 1.6 * food, 6);
    expect(stages.map(({ name }) => name)).toEqual(["Shore", "Plateau", expect.stringMatching(/./)]);
    // Three nights, by distance: 1.2, 0.6 and 1.2.
    [1.2, 0.6, 1.2].forEach((nights, n) => expect(stages[n]!.nights).toBeCloseTo(nights, 9));
    expect(stages.map(({ from, to }) => [from, to])).toEqual([
      [0, 40_000],
      [40_000, 60_000],
      [60_000, 100_000],
    ]);
    // A shop every two days: at the start food for two, on the plateau for what is left of them.
    const shops = legged({ foreseen: { resupply: 2 } }).stages;
    expect(shops[0]!.onBack).toBeCloseTo(back - 350 + 2 * food, 6);
    expect(shops[1]!.onBack - plateau!.onBack).toBeCloseTo((0.4 - 2.4) * food, 6);
    // One each day: four tenths of the third day are over where the last leg begins.
    const daily = legged({ foreseen: { resupply: 1 } }).stages;
    expect(daily[2]!.onBack - down!.onBack).toBeCloseTo((0.6 - 1.6) * food, 6);
  });
});

describe("what counts short, is lent, or has been replaced", () => {
  const along = (id: string, use = "used") => ({ item: id, use });
  const with_ = (items: object[], marks: readonly (readonly object[])[], plan: object = {}) => {
    const log = logOf({
      items: [{ id: "pack", name: "Pack", kind: "pack", weight: "1000 g" }, ...items],
      trips: [
        ...marks.map((each, n) => ({
          id: `t${n}`,
          name: `T${n}`,
          starts: `2026-0${n + 3}-10`,
          ends: `2026-0${n + 3}-13`,
          distance: "50 km",
          marks: [along("pack"), ...each],
        })),
        {
          id: "p",
          name: "P",
          starts: "2027-02-01",
          ends: "2027-02-04",
          distance: "60 km",
          planned: true,
          ...plan,
        },
      ],
    });
    return planFor(openBook(log, TODAY), log.trips.at(-1)!);
  };
  const thing = (id: string, kind: string, more: object = {}) => ({
    id,
    name: id,
    kind,
    weight: "40 g",
    ...more,
  });

  test("a bank without a cable, and one cable where two were in use", () => {
    const bank = thing("bank", "power bank");
    const cables = [thing("a", "cable"), thing("b", "cable")];
    const both = [along("bank"), along("a"), along("b")];
    expect(with_([bank, ...cables], [both, both, both]).short).toEqual([]);
    const one = with_([bank, ...cables], [both, both, both], { picks: { b: "leave" } });
    expect(one.short.map(sayShort)).toEqual([
      "Cable: one fewer than were in use on each of your last two trips with any.",
    ]);
    const none = with_([bank], [[along("bank")]]);
    expect(none.short.map(sayShort)).toEqual(["bank goes without a cable to fill it."]);
  });

  test("a lent thing is not ready before it is back", () => {
    const plan = with_([thing("pot", "pot", { lentTo: "Ida" })], [[along("pot")], [along("pot")]]);
    expect(columns(plan).pot).toBe("not ready");
    expect(sayWhy(lineOf(plan, "pot"))).toBe("Ida has it: get it back.");
    const filter = thing("filter", "filter", { lentTo: "Ida" });
    const [gap] = with_([filter], [[along("filter")], [along("filter")]]).gaps;
    const nothingElse = { ...gap!, doubted: gap!.doubted.map((one) => ({ ...one, first: null })) };
    expect(sayGap(nothingElse)).toBe("No trusted way to treat water: the filter (Ida has it).");
  });

  test("a mug that another has gone in the place of since stays at home; one that went beside it does not", () => {
    const mugs = [thing("old", "mug"), thing("new", "mug")];
    const since = with_(mugs, [[along("old")], [along("new")], [along("new")]]);
    expect(columns(since)).toMatchObject({ old: "leave", new: "take" });
    expect(sayWhy(lineOf(since, "old"))).toBe("new goes in its place.");
    expect(columns(with_(mugs, [[along("old")], [along("new")]])).old).toBe("take");
    const beside = with_(mugs, [[along("old"), along("new")], [along("new")], [along("new")]]);
    expect(columns(beside).old).toBe("take");
  });
});

describe("before anything ever went", () => {
  const first = (trip: object | null) => {
    const log = logOf({ items: ITEMS.filter(({ state }) => state === undefined), trips: trip ? [trip] : [] });
    return planFor(openBook(log, TODAY), log.trips[0] ?? null);
  };
  const on = (column: string, plan: ReturnType<typeof planFor>) =>
    plan.lines.filter((line) => line.column === column).map(({ item }) => item.id as string);

  // Of two pairs of shoes the lighter, of two beds the one for the low; what only bugs ask for, if they are expected.
  test("what one needs goes: one of each sort, the lighter, and not two things out of twelve", () => {
    const plan = first(null);
    expect(on("take", plan)).toEqual(
      expect.arrayContaining(["pack", "tent", "quilt", "kit", "filter", "stove", "gas", "shoes", "new"]),
    );
    expect(on("leave", plan)).toEqual(expect.arrayContaining(["boots", "bag"]));
    expect(on("take if", plan)).toContain("net");
    expect(plan.load.base).toBeGreaterThan(2500);
    expect(plan.next.nights).toBe(1);
  });

  test("of a trip that is planned: its weather, its low", () => {
    const plan = first({
      name: "Ahead",
      planned: true,
      starts: "2027-01-10",
      ends: "2027-01-13",
      distance: "50 km",
      conditions: { bugs: "strong" },
      foreseen: { low: -10 },
    });
    expect(on("take", plan)).toEqual(expect.arrayContaining(["net", "bag", "tent"]));
    expect(on("leave", plan)).toContain("quilt");
  });
});
