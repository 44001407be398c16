import { describe, expect, test } from "vitest";
import { endOf, judged, startOf, toAdd, told } from "../../../tests/walked";

/** What is broken, worn, frozen, out of date or gone. Common practice, no source. */
const damaged = (more: object = {}) => ({ troubles: ["damaged"], condition: 3, ...more });
const failed = (more: object = {}) => ({ troubles: ["failed"], ...more });
const done = (what: string, n: number, more: object = {}) => ({ on: endOf(n), what, ...more });

describe("what can be mended is mended, and only that", () => {
  test.each([
    ["a torn pack", { kind: "pack" }, damaged({ symptoms: ["torn"] }), "repair: open trouble"],
    [
      "a pad that leaks",
      { kind: "inflatable pad" },
      failed({ symptoms: ["leaks air"], cause: "worn", condition: 2 }),
      "repair: open trouble",
    ],
    ["a sound pack with torn mesh", { kind: "pack" }, damaged({ condition: 4 }), "keep: lives with it"],
    ["a cheap hat", { kind: "sun hat" }, damaged(), "keep: lives with it"],
    [
      "a shirt worn through",
      { kind: "shirt" },
      damaged({ cause: "worn", condition: 2 }),
      "replace: wear to be seen",
    ],
    [
      "a shirt worn a little",
      { kind: "shirt" },
      damaged({ cause: "worn", condition: 3 }),
      "repair: open trouble",
    ],
    [
      "boots worn smooth, which are resoled",
      { kind: "boots" },
      damaged({ cause: "worn", condition: 2, symptoms: ["sole or tread"] }),
      "repair: open trouble",
    ],
    [
      "boots that are gone",
      { kind: "boots" },
      damaged({ cause: "worn", condition: 1 }),
      "replace: beyond mending",
    ],
    ["a broken compass", { kind: "map and compass" }, failed({ cause: "misuse" }), "replace: beyond mending"],
    ["a stove stopped by the cold", { kind: "stove" }, failed({ cause: "weather" }), "keep: lives with it"],
    [
      "a stove broken by the storm",
      { kind: "stove" },
      failed({ cause: "weather", symptoms: ["broken"] }),
      "repair: open trouble",
    ],
    ["a torch of a bad make", { kind: "head torch" }, failed({ cause: "defect" }), "replace: beyond mending"],
    [
      "a torch that was flat",
      { kind: "head torch" },
      failed({ cause: "flat or empty" }),
      "service: flat or empty",
    ],
    [
      "repellent that is used up",
      { kind: "insect repellent" },
      failed({ cause: "flat or empty" }),
      "replace: used up",
    ],
    [
      "a shell that wets out",
      { kind: "rain shell" },
      failed({ cause: "worn", symptoms: ["wets out"], condition: 3 }),
      "service: comes back by service",
    ],
    [
      "a shell that peels",
      { kind: "rain shell" },
      failed({ cause: "worn", symptoms: ["wets out"], condition: 1 }),
      "replace: beyond mending",
    ],
    [
      "a shell that failed by wear, nobody said how",
      { kind: "rain shell" },
      failed({ cause: "worn", condition: 3 }),
      "service: comes back by service",
    ],
    [
      "a tent with a torn zip",
      { kind: "tent" },
      damaged({ symptoms: ["zip or buckle"] }),
      "repair: open trouble",
    ],
    [
      "a sooty jet",
      { kind: "stove" },
      failed({ cause: "worn", symptoms: ["clogged or slow"] }),
      "service: comes back by service",
    ],
  ])("%s", (_, item, mark, expected) => {
    expect(told({ item, marks: [mark] })).toBe(expected);
  });

  test("the same fault after two repairs, and repairs that top half the price, are the end of it", () => {
    const it = { kind: "pack", price: 100 };
    const marks = [damaged(), damaged(), damaged()];
    const mended = (cost: number | null) => [0, 1].map((n) => done("repair", n, { cost }));
    expect(told({ item: it, marks, entries: mended(null) })).toBe("replace: fault came back");
    expect(told({ item: it, marks: [damaged(), damaged()], entries: mended(null).slice(0, 1) })).toBe(
      "repair: open trouble",
    );
    const dear = (cost: number) =>
      told({ item: it, marks: [damaged(), damaged()], entries: [done("repair", 0, { cost })] });
    expect([dear(25), dear(26)]).toEqual(["repair: open trouble", "replace: too dear to mend"]);
    expect(
      told({ item: it, marks: [...marks.slice(0, 2), damaged({ cause: "misuse" })], entries: mended(null) }),
    ).toBe("repair: open trouble");
  });

  test("a patch that held, damage lived with, and a cure that took close it; a leak that came back after one does not", () => {
    expect(told({ item: { kind: "pack" }, marks: [damaged({ fix: "patched" }), {}] })).toMatch(
      /^keep: earns/,
    );
    expect(told({ item: { kind: "pack" }, marks: [damaged({ fix: "patched", condition: 2 }), {}] })).toBe(
      "repair: open trouble",
    );
    expect(told({ item: { kind: "pack" }, marks: [damaged(), {}] })).toBe("repair: open trouble");
    expect(told({ item: { kind: "pack" }, marks: [damaged(), {}, {}] })).toBe("keep: lives with it");
    const leak = failed({ cause: "worn", symptoms: ["wets out"], condition: 3 });
    const shell = {
      item: { kind: "rain shell" },
      marks: [leak, leak],
      trip: () => ({ conditions: { rain: "strong" } }),
    };
    expect(told({ ...shell, entries: [done("service", 0)] })).toBe("repair: open trouble");
    expect(told(shell)).toBe("service: comes back by service");
  });

  test("a set short of pieces is made whole, unless it went on as well without them", () => {
    const stakes = { kind: "stakes", pieces: 8 };
    expect(told({ item: stakes, marks: [damaged({ pieces: 2, condition: null })] })).toBe(
      "replace: short of pieces",
    );
    expect(told({ item: stakes, marks: [{ pieces: 2, exit: { how: "lost" } }, {}] })).toMatch(/^keep/);
    expect(
      told({ item: stakes, marks: [{ pieces: 2, exit: { how: "lost" } }], entries: [done("restock", 0)] }),
    ).toMatch(/^keep/);
    expect(
      [1, 2].map(
        (pieces) => judged({ item: stakes, marks: [{ pieces, exit: { how: "lost" } }] }).lead.urgency,
      ),
    ).toEqual(["when convenient", "before next trip"]);
  });
});

describe("frost, dates and readings", () => {
  const frosty = (strength: string) => () => ({ conditions: { freezing: strength } });
  const filter = { kind: "filter" };

  test("known to have frozen: now, sure; hard frost and nobody knows: perhaps; a light one: asked and looked into; kept warm: nothing", () => {
    const verdict = (frost: string | null, strength: string) => {
      const { lead } = judged({ item: filter, marks: [{ frost }], trip: frosty(strength) });
      return [lead.verb, lead.reason, lead.urgency, lead.sureness];
    };
    expect(verdict("froze", "some")).toEqual(["replace", "froze", "now", "sure"]);
    expect(verdict("unknown", "strong")).toEqual(["replace", "froze", "before next trip", "perhaps"]);
    expect(verdict(null, "strong")).toEqual(["replace", "froze", "before next trip", "perhaps"]);
    expect(verdict("unknown", "some").slice(0, 2)).toEqual(["service", "frost nobody noted"]);
    expect(verdict(null, "some").slice(0, 2)).toEqual(["service", "frost nobody noted"]);
    expect(verdict("kept", "strong")[0]).toBe("keep");
    expect(verdict(null, "none")[0]).toBe("keep");
    // Not used is not wet; and a light frost long ago is no longer asked about.
    expect(told({ item: filter, marks: [{ use: "unused" }], trip: frosty("strong") })).toMatch(/^keep/);
    expect(
      told({
        item: filter,
        marks: [{}, {}, {}, {}, {}],
        trip: (n) => ({ conditions: { freezing: n ? "none" : "some" } }),
      }),
    ).toMatch(/^keep/);
    expect(told({ item: filter, marks: [{}], entries: [done("damage", 0, { frost: "unknown" })] })).toBe(
      "replace: froze",
    );
    expect(told({ item: { ...filter, past: "unknown" }, marks: [{}] })).toBe("replace: unknown past");
  });

  test("a date: past, within a month, or before the planned trip ends", () => {
    // Judged on 17 January 2025.
    const dated = (expires: string, planned?: object) =>
      told({
        item: { kind: "treatment tablets", expires },
        marks: [{ use: "unused", why: "cover" }],
        planned,
      }).split(":")[0];
    expect(["2025-01-16", "2025-01-17", "2025-02-16", "2025-02-17"].map((day) => dated(day))).toEqual([
      "replace",
      "replace",
      "replace",
      "keep as cover",
    ]);
    const june = { starts: "2025-06-01", ends: "2025-06-09" };
    expect(["2025-05-31", "2025-06-09", "2025-06-10"].map((day) => dated(day, june))).toEqual([
      "replace",
      "replace",
      "keep as cover",
    ]);
  });

  test("a reading at its limit replaces; flow and loft are serviced first", () => {
    const read = (kind: string, what: string, value: number, entries: object[] = []) =>
      told({ item: { kind }, marks: [{}, { reading: { what, value } }], entries });
    expect(read("trail shoes", "tread", 1.5)).toBe("replace: reading at its limit");
    expect(read("trail shoes", "tread", 1.6)).toMatch(/^keep/);
    expect(read("power bank", "capacity", 60)).toBe("replace: reading at its limit");
    expect(read("filter", "flow", 0.3)).toBe("service: comes back by service");
    expect(read("filter", "flow", 0.3, [done("service", 0)])).toBe("replace: reading at its limit");
  });

  test("graded 2 by its owner, what does not come back is replaced, whatever its miles; graded 3 it is quiet", () => {
    const graded = (condition: number) =>
      told({
        item: { kind: "trail shoes" },
        marks: [{}],
        entries: [done("wear", 0, { distance: "10 km", condition })],
      });
    expect([2, 3].map(graded)).toEqual(["replace: wear to be seen", "keep: earns its place"]);
  });
});

describe("what is mended, new or of unknown past is proved in what matters", () => {
  const rain =
    (from: number, wind = "none") =>
    (n: number) => ({ conditions: { rain: n >= from ? "strong" : "none", wind: n === 0 ? "strong" : wind } });

  test("a sealed leak in the wet, a mended pole in the wind, whatever met it when it broke where nobody said", () => {
    const tent = (symptoms: string[], trip: (n: number) => object, entries = [done("repair", 0)]) =>
      told({ item: { kind: "tent" }, marks: [damaged({ symptoms }), {}], trip, entries }).split(":")[0];
    expect(tent(["lets water in"], rain(0))).toBe("keep");
    expect(
      tent(["lets water in"], (n) => ({ conditions: { rain: n ? "none" : "strong", wind: "strong" } })),
    ).toBe("prove");
    expect(tent(["broken"], rain(0))).toBe("prove");
    expect(tent(["broken"], rain(0, "some"))).toBe("keep");
    expect(tent([], rain(0))).toBe("prove");
    expect(tent([], rain(0, "some"))).toBe("keep");
    // What needs no weather is proved by use; what is no matter of life needs no proof.
    expect(told({ item: { kind: "boots" }, marks: [damaged(), {}], entries: [done("repair", 0)] })).toMatch(
      /^keep/,
    );
    expect(told({ item: { kind: "boots" }, marks: [damaged()], entries: [done("repair", 0)] })).toBe(
      "prove: mended, not tried",
    );
    expect(told({ item: { kind: "trousers" }, marks: [damaged()], entries: [done("repair", 0)] })).toMatch(
      /^keep/,
    );
    expect(told({ item: { kind: "inflatable pad" }, marks: [damaged()], entries: [done("repair", 0)] })).toBe(
      "prove: mended, not tried",
    );
    expect(told({ item: { kind: "boots", altered: { on: endOf(0), what: "cut down" } }, marks: [{}] })).toBe(
      "prove: mended, not tried",
    );
  });

  test("new is what a date or its owner says; one shower is enough", () => {
    const dry = () => ({ conditions: { rain: "none" } });
    const tent = (more: object, trip = dry as (n: number) => object, mark: object = {}) =>
      told({ item: { kind: "tent", ...more }, marks: [mark], trip });
    expect(tent({ past: "new" })).toBe("prove: new, not tried");
    expect(tent({ acquired: "2024-11-11" })).toBe("prove: new, not tried");
    expect(tent({ acquired: "2024-11-10" })).toMatch(/^keep/);
    expect(tent({})).toMatch(/^keep/);
    expect(tent({ past: "unknown" })).toBe("prove: unknown past, not tried");
    expect(tent({ past: "new" }, () => ({ conditions: { rain: "some" } }))).toMatch(/^keep/);
    expect(tent({ past: "new", opening: { nights: 9 } })).toMatch(/^keep/);
    expect(
      told({
        item: { kind: "rain trousers", past: "new" },
        marks: [{ use: "unused", why: "no call for it" }],
      }),
    ).toMatch(/^keep/);
  });
});

describe("services", () => {
  test("a wash by its count, from the last, also half way through a walk; what shows its need only reminds", () => {
    const quilt = (days: number, entries: object[] = []) =>
      told({ item: { kind: "quilt" }, marks: [{}], days, entries });
    expect([quilt(60), quilt(61)]).toEqual(["keep: earns its place", "service: due by count"]);
    expect(quilt(100, [{ on: startOf(0), what: "wash" }])).toBe("service: due by count");
    expect(quilt(100, [{ on: "2025-03-10", what: "wash" }])).toMatch(/^keep/);
    const shell = judged({ item: { kind: "rain shell" }, marks: [{ days: 12 }], days: 14 });
    expect(shell.verbs).toEqual(["keep", "service"]);
    expect(told({ item: { kind: "quilt", opening: { nights: 40 } }, marks: [{}], days: 21 })).toBe(
      "service: due by count",
    );
  });

  test("a treatment holds for 42 days or 6 washes", () => {
    const clothes = (after: number, washes: number) =>
      told({
        item: { kind: "insect treatment", acquired: startOf(0) },
        marks: [{}],
        after,
        entries: Array.from({ length: washes }, () => done("wash", 0)),
      }).split(":")[0];
    expect([clothes(39, 0), clothes(40, 0), clothes(5, 5), clothes(5, 6)]).toEqual([
      "keep",
      "service",
      "keep",
      "service",
    ]);
  });

  test("after a hundred days without a trip, what store can spoil leads; not what was looked at lately, nor what store leaves alone", () => {
    const stored = (kind: string, after: number, entries: object[] = []) =>
      told({ item: { kind }, marks: [{}], after, entries }).split(":")[0];
    expect([stored("inflatable pad", 99), stored("inflatable pad", 100), stored("pot", 200)]).toEqual([
      "keep",
      "service",
      "keep",
    ]);
    expect(stored("inflatable pad", 120, [{ on: "2025-03-12", what: "check" }])).toBe("service");
    expect(stored("inflatable pad", 120, [{ on: "2025-03-13", what: "check" }])).toBe("keep");
  });

  test("a look between trips that found it wanting, a kit somebody else filled, a beacon on loan, contents nearly gone", () => {
    const tent = (condition: number, symptoms: string[] = []) =>
      told({ item: { kind: "tent" }, marks: [{}], entries: [done("check", 0, { condition, symptoms })] });
    expect([tent(3), tent(4), tent(4, ["mould"])]).toEqual([
      "service: found wanting",
      "keep: earns its place",
      "service: found wanting",
    ]);
    const cover = { use: "unused", why: "cover" };
    expect(told({ item: { kind: "first-aid kit", past: "unknown" }, marks: [cover] })).toBe(
      "service: unknown contents",
    );
    expect(told({ item: { kind: "beacon" }, marks: [cover], entries: [done("loan", 0)] })).toBe(
      "service: on loan",
    );
    expect(told({ item: { kind: "boots" }, marks: [{}], entries: [done("loan", 0)] })).toMatch(/^keep/);
    const left = (kind: string, share: number) => told({ item: { kind }, marks: [{ left: share }] });
    expect([left("power bank", 0.25), left("power bank", 0.26)]).toEqual([
      "service: nearly empty",
      "keep: earns its place",
    ]);
    // Cover has its hour when it is needed: it is filled up sooner.
    expect([left("repair kit", 0.65), left("repair kit", 0.66)]).toEqual([
      "service: nearly empty",
      "keep as cover: cover",
    ]);
  });
});

describe("what has gone tells its story, as done, with nothing to rule on", () => {
  const gone = (how: string, more: object = {}) => ({ exit: { how }, ...more });

  test.each([
    ["lost and liked: buy the same again", { kind: "pillow" }, gone("lost"), "replace: buy again"],
    ["lost and hardly wanted", { kind: "sit mat" }, gone("lost", { use: "hardly" }), "drop: gone unloved"],
    ["given away unused", { kind: "mug" }, gone("given away", { use: "unused" }), "drop: gone unloved"],
    [
      "given away for its fit",
      { kind: "trail shoes" },
      gone("given away", { cause: "poor design" }),
      "drop: gone unloved",
    ],
    ["a book read and left", { kind: "book" }, gone("given away"), "keep: gone when done with"],
    ["a good thing given away", { kind: "fleece" }, gone("given away"), "drop: gone when done with"],
    ["worn out", { kind: "trail shoes" }, gone("worn out", { cause: "worn" }), "replace: buy again"],
    ["swapped for another", { kind: "pot" }, gone("swapped"), "swap: gone for another"],
  ])("%s", (_, item, mark, expected) => {
    expect(told({ item, marks: [mark] })).toBe(expected);
  });

  test("with another in its slot it is done; a disliked one is a swap; one that did its job beside it makes it double", () => {
    const next = {
      item: { kind: "trail shoes", slot: "shoes", acquired: "2025-01-11", name: "Pair 2" },
      marks: [{ legs: [2] }],
    };
    const legs = () => ({ distance: undefined, legs: [{ distance: "20 km" }, { distance: "20 km" }] });
    const pair = (mark: object) =>
      judged({
        item: { kind: "trail shoes", slot: "shoes" },
        marks: [{ legs: [1], ...mark }],
        beside: [next],
        trip: legs,
      });
    expect(pair(gone("worn out")).lead).toMatchObject({
      verb: "replace",
      reason: "gone and done",
      done: true,
      urgency: "watch",
    });
    expect(pair(gone("given away", { complaints: [{ what: "too small" }] })).lead).toMatchObject({
      verb: "swap",
      reason: "gone for another",
    });
    const cover = {
      item: { kind: "pack cover" },
      marks: [gone("lost")],
      beside: [{ item: { kind: "pack liner" }, marks: [{}] }],
    };
    expect(told(cover)).toBe("drop: gone unloved");
    expect(judged({ item: { kind: "pack cover" }, marks: [gone("lost")] }).verbs).toEqual(["replace"]);
  });

  test("retired at home, long after its last trip: told with that day, not with that trip", () => {
    const umbrella = (since: string) =>
      judged({
        item: { kind: "umbrella", state: "retired", since },
        marks: [{}, { use: "unused" }, { use: "unused" }],
      });
    expect(umbrella(startOf(4)).says).toMatch(/^Retired on 19 June 2025\./);
    expect(umbrella(endOf(2)).says).toMatch(/^Retired on Walk 3\./);
  });

  test("graded sound it is quiet for a usual trip, and not for a planned walk that is longer than what is left", () => {
    const worn = (n: number) => ({
      item: {
        kind: "trail shoes",
        name: `Pair ${n}`,
        state: "worn out",
        since: startOf(0),
        opening: { distance: "700 km" },
      },
      marks: [],
    });
    const shoes = (planned?: object) =>
      told({
        item: { kind: "trail shoes", opening: { distance: "500 km" } },
        marks: [{}, {}, { condition: 3 }],
        beside: [worn(1), worn(2)],
        ...(planned ? { planned } : {}),
      });
    expect(shoes()).toMatch(/^keep|^service: due by count/);
    expect(shoes({ starts: startOf(4), ends: startOf(5), distance: "900 km" })).toBe("replace: life used up");
  });

  test("sent home it is still owned; posted ahead says nothing; never taken along it is at home", () => {
    expect(judged({ item: { kind: "fleece" }, marks: [gone("sent home")] }).case.state).toBe("active");
    expect(told({ item: { kind: "fleece" }, marks: [gone("posted ahead")] })).toMatch(/^keep: earns/);
    expect(
      told({ item: { kind: "fleece" }, marks: [null], beside: [{ item: { kind: "pot" }, marks: [{}] }] }),
    ).toBe("keep: at home");
  });
});

describe("what to add", () => {
  const missing =
    (cost: string, ...on: number[]) =>
    (n: number) =>
      on.includes(n) ? { missed: [{ what: "Warm hat", cost }] } : {};
  const pot = { item: { kind: "pot" }, marks: [{}, {}, {}] };

  test("once is a leaning; twice, or once where it was grave, is sure", () => {
    const add = (cost: string, ...on: number[]) =>
      toAdd({ ...pot, trip: missing(cost, ...on) }).map(({ reason, sureness, urgency }) => [
        reason,
        sureness,
        urgency,
      ]);
    expect(add("discomfort", 2)).toEqual([["missed", "leaning", "watch"]]);
    expect(add("nuisance", 0, 2)).toEqual([["missed", "sure", "when convenient"]]);
    expect(add("danger", 2)).toEqual([["missed", "sure", "before next trip"]]);
    expect(add("nuisance")).toEqual([]);
  });

  test("owned and left at home, it is to be taken along; bought or taken since, it is silent", () => {
    const hat = (marks: (object | null)[], more: object = {}) =>
      toAdd({
        ...pot,
        trip: missing("discomfort", 1),
        beside: [{ item: { kind: "warm hat", name: "Beanie", ...more }, marks }],
      }).map(({ reason }) => reason);
    expect(hat([{}, null, null])).toEqual(["take it along"]);
    expect(hat([{}, null, {}])).toEqual([]);
    expect(hat([null, {}, null])).toEqual(["missed"]);
    expect(hat([null, null, null], { acquired: startOf(2) })).toEqual([]);
  });

  test("a job that nothing does is named once the owner has said that the list is whole, and not where the way offers it", () => {
    const whole = { settings: { wholeList: true } };
    const named = (more: object) => toAdd({ ...pot, ...more }).map(({ what }) => what);
    expect(named({})).toEqual([]);
    expect(named(whole)).toContain("Something to treat water");
    expect(
      named({ ...whole, trip: () => ({ offers: { "tap water": "strong", beds: "some" } }) }),
    ).not.toContain("Something to treat water");
    expect(named({ ...whole, beside: [{ item: { kind: "filter" }, marks: [{}] }] })).not.toContain(
      "Something to treat water",
    );
  });
});

describe("a ruling is on an item, a verb and a reason", () => {
  const overruled = (ground: string | null, more: object = {}) => [
    {
      verb: "replace",
      ground,
      decision: "overrule",
      reason: "they last me",
      on: startOf(1),
      trips: 1,
      ...more,
    },
  ];
  const shoes = {
    item: { kind: "trail shoes", opening: { distance: "500 km" } },
    marks: [damaged({ cause: "worn", condition: 2 })],
  };

  test("an old “no” silences its own reason and no other: never a frozen filter or an expired date", () => {
    expect(told({ ...shoes, rulings: overruled("wear to be seen", { troubles: 1 }) })).toBe(
      "keep: your ruling",
    );
    expect(told({ ...shoes, rulings: overruled("life used up", { troubles: 1 }) })).toBe(
      "replace: wear to be seen",
    );
    expect(told({ ...shoes, rulings: overruled(null, { troubles: 1 }) })).toBe("keep: your ruling");
    const froze = { item: { kind: "filter" }, marks: [{ frost: "froze" }] };
    expect(told({ ...froze, rulings: overruled(null) })).toBe("replace: froze");
    expect(told({ ...froze, rulings: overruled("froze") })).toBe("keep: your ruling");
  });

  test("it gives way to new trouble, and to the trips after which to ask; “later” to the next trip", () => {
    const worn = damaged({ cause: "worn", condition: 2 });
    const after = (marks: object[], more: object) =>
      told({ ...shoes, marks, rulings: overruled("wear to be seen", { troubles: 1, ...more }) }).split(
        ":",
      )[0];
    expect(after([worn, worn], {})).toBe("replace");
    expect([
      after([worn], { again: 2 }),
      after([worn, {}], { again: 2, trips: 1 }),
      after([worn, {}, {}], { again: 2, trips: 1 }),
    ]).toEqual(["keep", "keep", "replace"]);
    expect([after([worn], { decision: "later" }), after([worn, {}], { decision: "later" })]).toEqual([
      "replace",
      "replace",
    ]);
  });

  test("agreed is not done: it still leads", () => {
    const { lead } = judged({
      ...shoes,
      rulings: overruled("wear to be seen", { decision: "agree", troubles: 1 }),
    });
    expect([lead.verb, lead.ruling?.decision]).toEqual(["replace", "agree"]);
  });
});
