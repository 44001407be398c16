import { describe, expect, test } from "vitest";
import { judged, told } from "../../../tests/walked";

/** What an owner says outright, once; the reading of each is the trade's: common practice, no source. */
describe("one telling is a leaning, in its own verb, and never urgent", () => {
  test.each([
    ["too much of a bagful", { kind: "wash kit" }, { why: "too much of it" }, "slim: too much of it"],
    ["more pairs than were worn", { kind: "socks", pieces: 4 }, { enough: 2 }, "slim: too much of it"],
    [
      "one thing too many, unused",
      { kind: "towel", weight: "300 g" },
      { use: "unused", why: "too much of it" },
      "drop: too much, and only one",
    ],
    [
      "disliked and left in the pack",
      { kind: "chair", weight: "500 g" },
      { use: "unused", why: "awkward" },
      "drop: disliked",
    ],
    [
      "another did the job",
      { kind: "mug", weight: "90 g" },
      { use: "unused", why: "another did the job" },
      "drop: another did the job",
    ],
    ["used, and complained of", { kind: "shirt" }, { complaints: [{ what: "clammy" }] }, "swap: complaint"],
    [
      "used, and a nuisance by its design",
      { kind: "pack" },
      { troubles: ["nuisance"], cause: "poor design" },
      "swap: complaint",
    ],
    [
      "no call for a thing of its season",
      { kind: "bug net", weight: "60 g" },
      { use: "unused", why: "no call for it" },
      "bring only when: no call for it",
    ],
    [
      "sent home while hardly wanted",
      { kind: "chair", weight: "500 g" },
      { use: "hardly", exit: { how: "sent home" } },
      "drop: sent home unused",
    ],
    [
      "used, and then sent home",
      { kind: "insulated jacket" },
      { exit: { how: "sent home" }, days: 2 },
      "bring only when: sent away after use",
    ],
  ])("%s", (_, item, mark, expected) => {
    const { lead } = judged({
      item,
      marks: [mark],
      trip: () => ({ conditions: { bugs: "none", cold: "some" } }),
    });
    expect(`${lead.verb}: ${lead.reason}`).toBe(expected);
    expect([lead.sureness, lead.urgency]).toEqual(["leaning", "watch"]);
  });

  test("it grows with the chances: again, and over weeks; and goes when used trips speak against it", () => {
    const refused = { use: "unused", why: "awkward" };
    const chair = { kind: "chair", weight: "500 g" };
    const sureness = (marks: object[], days = 3) => judged({ item: chair, marks, days }).lead.sureness;
    expect([1, 2, 3, 5].map((n) => sureness(Array.from({ length: n }, () => refused)))).toEqual([
      "leaning",
      "perhaps",
      "likely",
      "sure",
    ]);
    // Five weeks are as good as five weekends.
    expect([3, 10, 17, 35].map((days) => sureness([refused], days))).toEqual([
      "leaning",
      "perhaps",
      "likely",
      "sure",
    ]);
    expect(told({ item: chair, marks: [refused, {}] })).toMatch(/^keep/);
    expect(told({ item: chair, marks: [{}, {}, {}, refused] })).toMatch(/^keep/);
  });

  test("“could have stayed” counts as a refusal, or as too much of a kit; “made the trip” keeps, whatever the complaint", () => {
    const stay = () => ({ stay: ["It"] });
    expect(told({ item: { kind: "chair", weight: "500 g" }, marks: [{ use: "hardly" }], trip: stay })).toBe(
      "drop: could have stayed",
    );
    expect(told({ item: { kind: "wash kit" }, marks: [{ use: "hardly" }], trip: stay })).toBe(
      "slim: too much of it",
    );
    expect(told({ item: { kind: "sleeping bag" }, marks: [{ use: "hardly" }], trip: stay })).toBe(
      "bring only when: not needed there",
    );
    expect(told({ item: { kind: "beacon" }, marks: [{ use: "unused", why: "cover" }], trip: stay })).toMatch(
      /^keep as cover/,
    );
    expect(told({ item: { kind: "pack" }, marks: [{}], trip: stay })).toMatch(/^keep/);
    const complained = { complaints: [{ what: "too heavy" }] };
    expect(told({ item: { kind: "chair" }, marks: [complained], trip: () => ({ made: ["It"] }) })).toBe(
      "keep: made the trip",
    );
  });

  test("forgotten, cut short, not called for and light are no refusals", () => {
    const chair = { kind: "chair", weight: "500 g" };
    expect(told({ item: chair, marks: [{ use: "unused", why: "forgot it" }] })).toBe(
      "keep: forgotten, not refused",
    );
    expect(
      told({ item: chair, marks: [{ use: "unused", why: "trip cut short" }], trip: () => ({ cut: true }) }),
    ).toBe("keep: cut short");
    expect(told({ item: { kind: "rain shell" }, marks: [{ use: "unused", why: "no call for it" }] })).toBe(
      "keep: no call yet",
    );
    expect(
      told({ item: { kind: "warm hat", weight: "60 g" }, marks: [{ use: "unused", why: "no call for it" }] }),
    ).toBe("keep: no call yet");
    expect(told({ item: { kind: "camera" }, marks: [{ use: "unused" }] })).toBe("keep: for joy");
  });

  test("one complaint among several good chances is repeated, not acted on; said again it is a swap; long without it, it is let go of", () => {
    const it = { kind: "pack" };
    const complained = { complaints: [{ what: "noisy" }] };
    expect(told({ item: it, marks: [{}, complained, {}, {}] })).toBe("keep: said once among many");
    expect(told({ item: it, marks: [{}, {}, complained] })).toBe("keep: said once among many");
    expect(told({ item: it, marks: [{}, complained] })).toBe("swap: complaint");
    expect(told({ item: it, marks: [{}, complained, {}, complained, {}, {}] })).toBe("swap: complaint");
    expect(
      told({ item: it, marks: [complained, complained, ...Array.from({ length: 7 }, () => ({}))] }),
    ).toBe("keep: said once among many");
    expect(judged({ item: it, marks: [complained] }).says).toContain("it was noisy");
  });

  test("what the weather made is no complaint; what is worn, flat or mouldy is no swap", () => {
    const nuisance = (more: object) => ({ troubles: ["nuisance"], ...more });
    expect(told({ item: { kind: "lighter" }, marks: [nuisance({ cause: "weather" })] })).toBe(
      "keep: weather, not the thing",
    );
    expect(told({ item: { kind: "sleeping bag" }, marks: [nuisance({ cause: "weather" })] })).toBe(
      "service: wet through",
    );
    expect(told({ item: { kind: "filter" }, marks: [nuisance({ cause: "weather" })] })).toBe(
      "service: comes back by service",
    );
    expect(told({ item: { kind: "poles" }, marks: [nuisance({ cause: "worn", condition: 3 })] })).toBe(
      "service: worn but serviceable",
    );
    expect(told({ item: { kind: "head torch" }, marks: [nuisance({ cause: "flat or empty" })] })).toBe(
      "service: flat or empty",
    );
    expect(told({ item: { kind: "head torch" }, marks: [nuisance({ cause: "flat or empty" }), {}] })).toMatch(
      /^keep/,
    );
    expect(told({ item: { kind: "head torch" }, marks: [nuisance({ cause: "worn", condition: 2 })] })).toBe(
      "replace: can't be relied on",
    );
    expect(told({ item: { kind: "head torch" }, marks: [nuisance({ cause: "worn", condition: 3 })] })).toBe(
      "service: worn but serviceable",
    );
    expect(told({ item: { kind: "water bag" }, marks: [nuisance({ symptoms: ["mould"] })] })).toBe(
      "replace: spoilt by mould",
    );
    // The only one is not left at home for frost; of two, this one is.
    const frozenHose = { troubles: ["nuisance"], complaints: [{ what: "slow", on: "freezing" }] };
    const hose = (others: string[]) =>
      told({
        item: { kind: "water bag", triggers: ["always"], weight: "130 g" },
        beside: others.map((kind) => ({ item: { kind }, marks: [] })),
        marks: [{}, frozenHose],
        trip: (n) => ({ conditions: { freezing: n ? "strong" : "none" } }),
      });
    expect(hose([])).toMatch(/^keep/);
    expect(hose(["water bag"])).toBe("bring only when: used only with");
  });
});

describe("of two for one job", () => {
  const cold = (n: number) => ({
    conditions: { freezing: n % 2 ? "strong" : "none", cold: n % 2 ? "strong" : "some" },
  });

  test("each is for its season where they never went together; together, neither is", () => {
    const winter = { kind: "sleeping bag", weight: "1600 g" };
    const quilt = { kind: "quilt", weight: "600 g" };
    const turns = {
      item: winter,
      marks: [null, {}, null, {}],
      beside: [{ item: quilt, marks: [{}, null, {}, null] }],
      trip: cold,
    };
    expect(told(turns)).toBe("bring only when: each for its season");
    expect(judged(turns).lead.when).toMatchObject({ caller: { trigger: "freezing", without: false } });
    expect(
      told({
        ...turns,
        item: quilt,
        marks: [{}, null, {}, null],
        beside: [{ item: winter, marks: [null, {}, null, {}] }],
      }),
    ).toBe("bring only when: each for its season");
    expect(
      told({ ...turns, marks: [{}, {}, {}, {}], beside: [{ item: quilt, marks: [{}, {}, {}, {}] }] }),
    ).toMatch(/^keep/);
  });

  test("refused without its weather and used with it, it is brought by that weather", () => {
    const marks = [{ use: "unused", why: "awkward" }, {}, { use: "unused", why: "awkward" }, {}];
    expect(told({ item: { kind: "camp shoes", weight: "230 g" }, marks, trip: cold })).toBe(
      "bring only when: used only with",
    );
    // A few refusals among many uses are no pattern.
    expect(
      told({
        item: { kind: "camp shoes", weight: "230 g" },
        marks: [{ use: "unused", why: "awkward" }, {}, {}, {}, {}, {}],
        trip: (n) => ({ conditions: { rain: n ? "some" : "none" } }),
      }),
    ).toMatch(/^keep/);
  });

  test("never the last of a critical job, nor the light one that a heavy one stood in for; a third treatment and a second layer may go", () => {
    const unused = { use: "unused", why: "another did the job" };
    expect(
      told({
        item: { kind: "head torch", weight: "85 g" },
        marks: [unused],
        beside: [{ item: { kind: "spare light", weight: "280 g", cover: false }, marks: [{}] }],
      }),
    ).toMatch(/^keep/);
    const other = (kind: string, mark: object, name: string) => ({
      item: { kind, name, weight: "60 g" },
      marks: [mark],
    });
    const cover = { use: "unused", why: "cover" };
    const filter = { kind: "filter", weight: "120 g" };
    expect(told({ item: filter, marks: [unused], beside: [other("filter", {}, "First filter")] })).toMatch(
      /^keep/,
    );
    expect(
      told({
        item: filter,
        marks: [unused],
        beside: [other("filter", {}, "First filter"), other("treatment tablets", cover, "Tablets")],
      }),
    ).toBe("drop: another did the job");
    expect(
      told({
        item: { kind: "fleece", weight: "300 g" },
        marks: [unused],
        beside: [other("insulated jacket", {}, "Jacket")],
      }),
    ).toBe("drop: another did the job");
    expect(told({ item: { kind: "fleece", weight: "300 g" }, marks: [unused] })).toMatch(/^keep/);
    // What something else can't do without stays.
    expect(
      told({
        item: { kind: "poles" },
        marks: [{ use: "unused", why: "another did the job" }],
        beside: [{ item: { kind: "tarp", needs: ["It"] }, marks: [{}] }],
      }),
    ).toMatch(/^keep/);
  });
});

describe("over weeks, and over years", () => {
  test("once or twice in weeks is a drop; over a weekend it is nothing; of what is light, dangerous or loved it says nothing", () => {
    const hardly = (days: number, item: object = { kind: "trousers", weight: "300 g" }) =>
      told({ item, marks: [{ use: "hardly", days: 2 }], days });
    expect([3, 14, 15, 16, 35].map((days) => hardly(days).split(":")[0])).toEqual([
      "keep",
      "keep",
      "keep",
      "drop",
      "drop",
    ]);
    expect(hardly(35, { kind: "head torch" })).toMatch(/^keep/);
    expect(hardly(35, { kind: "cable", weight: "24 g" })).toMatch(/^keep/);
    expect(hardly(35, { kind: "book", weight: "240 g" })).toMatch(/^keep/);
  });

  test("each school drops for want of use at just the chances it names", () => {
    const drops = (school: "lean" | "even" | "roomy" | "wary", n: number) => {
      const { lead } = judged({
        item: { kind: "chair", weight: "500 g" },
        marks: Array.from({ length: n }, () => ({ use: "unused" })),
        school,
      });
      return lead.reason === "seldom wanted";
    };
    for (const [school, chances] of [
      ["even", 3],
      ["roomy", 4],
      ["wary", 5],
    ] as const)
      expect([drops(school, chances - 1), drops(school, chances)], school).toEqual([false, true]);
  });

  test("used ten times and then unused twenty trips, it is let go of", () => {
    const marks = [
      ...Array.from({ length: 10 }, () => ({})),
      ...Array.from({ length: 20 }, () => ({ use: "unused" })),
    ];
    expect(told({ item: { kind: "chair", weight: "500 g" }, marks })).toBe("drop: seldom wanted");
  });

  test("a season's thing used a few days of a long walk is for that part; carried on all of it, it was dead weight", () => {
    const bag = { kind: "water bag", weight: "95 g" };
    const carried = (days: number) =>
      told({
        item: bag,
        marks: [{ days }],
        days: 35,
        trip: () => ({ conditions: { "dry stretch": "some" } }),
      });
    expect([carried(5), carried(11), carried(12)]).toEqual([
      "bring only when: part of a long walk",
      "bring only when: part of a long walk",
      "keep: earns its place",
    ]);
  });

  test("food and fuel: a third home is too much, a margin is not; a trip cut short excuses it", () => {
    const home = (back: number, cut = false) =>
      told({
        item: { kind: "food", name: "It" },
        marks: [{}],
        trip: () => ({ cut, supplies: [{ what: "food", unit: "g", out: 900, back }] }),
      });
    expect([home(299), home(300), home(300, true)]).toEqual([
      "keep: earns its place",
      "slim: carried home",
      "keep: earns its place",
    ]);
  });
});
