import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { lead, one, trips, verbs, verdicts } from "../../../tests/judged";

// What experienced walkers do: common practice, no source.
describe("use", () => {
  test("a chair carried on three trips and never opened is left, by an even hand", () => {
    const never = one({ kind: "chair", weight: "480 g" }, 3, () => ({ use: "unused" }));
    expect(lead(never, "It")).toMatchObject({
      verb: "drop",
      stake: { grams: 480, deadGramMetres: 3 * 50_000 * 480 },
    });
    expect(lead(never, "It", "roomy").verb).toBe("keep");
    expect(
      lead(
        one({ kind: "chair", weight: "480 g" }, 2, () => ({ use: "unused" })),
        "It",
      ).verb,
    ).toBe("keep");
    expect(
      lead(
        one({ kind: "chair", weight: "480 g" }, 2, () => ({ use: "unused" })),
        "It",
        "lean",
      ).verb,
    ).toBe("drop");
  });

  test("each school drops at just the unused chances it names", () => {
    for (const [school, chances] of [
      ["lean", 2],
      ["even", 3],
      ["roomy", 4],
      ["wary", 5],
    ] as const) {
      const after = (n: number) =>
        lead(
          one({ kind: "chair", weight: "480 g" }, n, () => ({ use: "unused" })),
          "It",
          school,
        ).verb;
      expect([after(chances - 1), after(chances)], school).toEqual(["keep", "drop"]);
    }
  });

  test("unused with no call for it says nothing against a bug shirt: it is brought when there are bugs", () => {
    const seasonal = {
      items: [{ name: "Bug shirt", kind: "bug net", weight: "146 g" }],
      trips: trips(8, (at) => ({
        conditions: { bugs: at % 4 === 0 ? "strong" : "none" },
        marks: [{ item: "Bug shirt", use: at % 4 === 0 ? "used" : "unused" }],
      })),
    };
    expect(lead(seasonal, "Bug shirt")).toMatchObject({ verb: "bring only when", when: ["bugs"] });
  });

  test("refused when called is a drop, though the season calls seldom", () => {
    const refused = {
      items: [{ name: "Bug shirt", kind: "bug net", weight: "146 g" }],
      trips: trips(8, () => ({
        conditions: { bugs: "strong" },
        marks: [{ item: "Bug shirt", use: "unused" }],
      })),
    };
    expect(lead(refused, "Bug shirt").verb).toBe("drop");
  });

  test("a first-aid kit that stayed shut did its job; traction on dry ground, too", () => {
    expect(
      lead(
        one({ kind: "first-aid kit", weight: "180 g" }, 12, () => ({ use: "unused" })),
        "It",
      ).verb,
    ).toBe("keep as cover");
    expect(
      lead(
        one({ kind: "traction", weight: "358 g" }, 1, () => ({ use: "unused" }), {
          conditions: { "snow or ice": "none" },
        }),
        "It",
      ).verb,
    ).toBe("keep as cover");
  });

  test("a rain shell on dry trips stays", () => {
    expect(["keep", "keep as cover"]).toContain(
      lead(
        one({ kind: "rain shell", weight: "312 g" }, 10, () => ({ use: "unused" }), {
          conditions: { rain: "none" },
        }),
        "It",
      ).verb,
    );
  });

  test("twice in five months is a drop; once on three nights is nothing; a week of five is sent on", () => {
    const chair = (starts: string, ends: string, km: number, mark: object) =>
      lead(
        {
          items: [{ name: "Chair", kind: "chair", weight: "480 g" }],
          trips: [{ starts, ends, distance: `${km} km`, marks: [{ item: "Chair", use: "used", ...mark }] }],
        },
        "Chair",
      );
    expect(chair("2026-04-01", "2026-08-30", 2500, { days: 2 })).toMatchObject({
      verb: "drop",
      says: "Used on 2\u00a0days of 152 out on Trip of 2026-04-01. Leave it.",
    });
    expect(chair("2026-04-01", "2026-08-30", 2500, { use: "hardly" }).verb).toBe("drop");
    expect(chair("2026-04-01", "2026-08-30", 2500, {}).verb).not.toBe("drop");
    expect(chair("2026-04-01", "2026-04-04", 50, { days: 1 }).verb).toBe("keep");
    expect(chair("2026-04-01", "2026-05-05", 700, { days: 7 })).toMatchObject({
      verb: "bring only when",
      says: expect.stringContaining("send it on"),
    });
  });

  test("twice in months of some rain says nothing against an umbrella; of strong rain, it does", () => {
    const umbrella = (rain: string) =>
      lead(
        {
          items: [{ name: "It", kind: "umbrella", weight: "240 g" }],
          trips: [
            {
              starts: "2026-04-01",
              ends: "2026-08-30",
              distance: "2500 km",
              conditions: { rain },
              marks: [{ item: "It", use: "used", days: 2 }],
            },
          ],
        },
        "It",
      ).verb;
    expect([umbrella("some"), umbrella("strong")]).toEqual(["bring only when", "drop"]);
  });

  test("of three hats the heaviest and least used is the one to leave; of two, neither", () => {
    const hats = (names: readonly string[]) => ({
      items: names.map((name, n) => ({ name, kind: "sun hat", weight: `${80 + 40 * n} g` })),
      trips: trips(6, () => ({
        conditions: { sun: "strong" },
        marks: names.map((item, n) => ({ item, use: (["used", "hardly", "unused"] as const)[n] })),
      })),
    });
    expect(
      ["Cap", "Straw hat", "Bucket hat"].map(
        (name) => lead(hats(["Cap", "Straw hat", "Bucket hat"]), name).verb,
      ),
    ).toEqual(["keep", "keep as cover", "drop"]);
    expect(["Cap", "Straw hat"].map((name) => lead(hats(["Cap", "Straw hat"]), name).verb)).not.toContain(
      "drop",
    );
  });

  test("of two warm jackets the one never worn is named as the one to leave, and never called a drop", () => {
    const jackets = {
      items: [
        { name: "Down", kind: "insulated jacket", weight: "400 g" },
        { name: "Synthetic", kind: "insulated jacket", weight: "500 g" },
      ],
      trips: trips(5, () => ({
        conditions: { cold: "some" },
        marks: [
          { item: "Down", use: "used" },
          { item: "Synthetic", use: "unused" },
        ],
      })),
    };
    expect(lead(jackets, "Synthetic")).toMatchObject({
      verb: "slim",
      stake: { grams: 500 },
      caution: expect.stringContaining("dangerous"),
    });
    expect(lead(jackets, "Down").verb).toBe("keep");
  });

  test("a backup is called one", () => {
    const layers = {
      items: [
        { name: "Fleece", kind: "fleece", weight: "300 g" },
        { name: "Vest", kind: "insulated vest", weight: "200 g" },
      ],
      trips: trips(5, () => ({
        conditions: { cold: "some" },
        marks: [
          { item: "Fleece", use: "used" },
          { item: "Vest", use: "unused" },
        ],
      })),
    };
    expect(lead(layers, "Vest").says).toMatch(/^Backup to the fleece/);
  });

  test("of two pads always taken, the one hardly used is the one to leave; pads used together are both kept", () => {
    const pads = (second: string) => ({
      items: [
        { name: "Air", kind: "inflatable pad", weight: "480 g" },
        { name: "Foam", kind: "pad", weight: "410 g" },
      ],
      trips: trips(4, () => ({
        marks: [
          { item: "Air", use: "used" },
          { item: "Foam", use: second },
        ],
      })),
    });
    expect(lead(pads("hardly"), "Foam")).toMatchObject({
      verb: "slim",
      says: "Two for one job went along, and the air was enough on 4\u00a0trips. If one stays home, it is this one.",
      stake: { grams: 410 },
    });
    expect(lead(pads("hardly"), "Air").verb).toBe("keep");
    expect(lead(pads("used"), "Foam").verb).toBe("keep");
    const often = pads("hardly");
    const mostly = [
      ...often.trips.slice(0, 3),
      ...trips(8, () => ({
        marks: [
          { item: "Air", use: "used" },
          { item: "Foam", use: "used" },
        ],
      })).slice(3),
    ];
    expect(lead({ ...often, trips: mostly }, "Foam").verb, "used more often than not").toBe("keep");
  });

  test("what may stay home is not said to stay as well; hardly used is not called never used", () => {
    const jackets = {
      items: ["Down", "Synthetic"].map((name) => ({ name, kind: "insulated jacket", weight: "400 g" })),
      trips: trips(5, (at) => ({
        conditions: { cold: "some" },
        marks: [
          { item: "Down", use: "used" },
          { item: "Synthetic", use: at % 2 ? "hardly" : "unused" },
        ],
      })),
    };
    expect(verbs(jackets, "Synthetic")).toEqual(["slim", "prove", "service"]);
    expect(verdicts(logOf(jackets))[1]!.verdicts[1]!.says).toBe(
      "Hardly used so far, and never yet in cold or frost. Try it near home first: one cold night out will tell.",
    );
  });

  test("cover opened on most trips is simply used; what is trip-ending to lack stays, by its days", () => {
    expect(
      lead(
        one({ kind: "map and compass", weight: "90 g" }, 5, () => ({})),
        "It",
      ),
    ).toMatchObject({
      verb: "keep",
      says: "Used on 5 of 5\u00a0trips, and dangerous to be without. Keep it.",
    });
    const walk = {
      items: [{ name: "Down", kind: "insulated jacket", weight: "350 g" }],
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-06-04",
          distance: "600 km",
          conditions: { cold: "some" },
          marks: [{ item: "Down", use: "used", days: 7 }],
        },
      ],
    };
    expect(lead(walk, "Down")).toMatchObject({
      verb: "keep as cover",
      says: "Used on 7 of 35\u00a0days out, but the end of a trip to lack when it is wanted. It stays.",
    });
  });

  test("a keep says how many times over it is worth its weight, and that weight alone condemns nothing used", () => {
    const of = (weight: string, use = "used") =>
      lead(
        one({ kind: "towel", consequence: "discomfort", weight }, 8, () => ({ use })),
        "It",
      ).says;
    // Worth is P(use) × 400 g: Beta(9, 1) has mean 0.9, so 360 g. Worked by hand.
    expect(of("120 g")).toBe("Used on 8 of 8\u00a0trips, and worth 3.0 times its weight. Keep it.");
    expect(of("36 g")).toBe("Used on 8 of 8\u00a0trips, and worth 10 times its weight. Keep it.");
    expect(of("720 g")).toMatch(/weight alone condemns nothing that is used/);
  });

  test("fuel never opened, or half of it carried home, is slimmed; shares count, whatever the unit", () => {
    expect(
      lead(
        one({ kind: "fuel" }, 3, () => ({ use: "unused" })),
        "It",
      ),
    ).toMatchObject({ verb: "slim", says: expect.stringContaining("All of it came home") });
    const told = (supplies: readonly object[]) => ({
      items: [{ name: "Gas", kind: "fuel" }],
      trips: trips(supplies.length, (at) => ({
        supplies: [{ what: "gas", ...supplies[at] }],
        marks: [{ item: "Gas", use: "used" }],
      })),
    });
    expect(
      lead(
        told([
          { unit: "g", out: 400, back: 200 },
          { unit: "kg", out: 0.4, back: 0.2 },
        ]),
        "Gas",
      ),
    ).toMatchObject({
      verb: "slim",
      says: expect.stringMatching(/^50.% of it came home on 2.trips; last time 0\.2 of 0\.4.kg/),
    });
    expect(
      lead(
        told([
          { unit: "g", out: 400, back: 100 },
          { unit: "g", out: 400, back: 120 },
        ]),
        "Gas",
      ).verb,
    ).toBe("keep");
  });

  test("a camera is judged by its owner alone, used or not", () => {
    expect(
      lead(
        one({ kind: "camera", weight: "700 g" }, 5, () => ({ use: "unused" })),
        "It",
      ),
    ).toMatchObject({ verb: "keep", says: expect.stringContaining("judged by you alone") });
  });

  test("of three warm layers the one never worn goes; of two it is the backup", () => {
    const layers = (names: readonly string[]) => ({
      items: names.map((name) => ({ name, kind: name, weight: "250 g" })),
      trips: trips(6, () => ({
        conditions: { cold: "some" },
        marks: names.map((item) => ({ item, use: item === "insulated vest" ? "unused" : "used" })),
      })),
    });
    expect(lead(layers(["insulated jacket", "fleece", "insulated vest"]), "insulated vest").verb).toBe(
      "drop",
    );
    expect(lead(layers(["fleece", "insulated vest"]), "insulated vest").verb).not.toBe("drop");
  });

  test("what weighs next to nothing is not worth an argument", () => {
    expect(
      lead(
        one({ kind: "mug", weight: "20 g" }, 8, () => ({ use: "unused" })),
        "It",
      ).verb,
    ).toBe("keep");
  });

  test("a camera is carried for joy and not judged by use", () => {
    expect(
      lead(
        one({ kind: "camera", weight: "420 g" }, 8, () => ({ use: "unused" })),
        "It",
      ).verb,
    ).toBe("keep");
  });

  test("hardly used on five months out is a quarter of five chances", () => {
    const long = {
      items: [{ name: "Pillow", kind: "pillow", weight: "90 g" }],
      trips: [
        {
          starts: "2026-04-01",
          ends: "2026-08-31",
          distance: "2500 km",
          marks: [{ item: "Pillow", use: "hardly" }],
        },
      ],
    };
    expect(verdicts(logOf(long))[0]!.case.use.called).toEqual({ uses: 1.25, misses: 3.75 });
  });

  test("a cut-short trip counts half", () => {
    const cut = one({ kind: "chair", weight: "480 g" }, 4, () => ({ use: "unused" }), { cut: true });
    expect(lead(cut, "It").verb).toBe("keep");
  });
});

describe("wear and trouble", () => {
  test("shoes near the end of their life are replaced before the next trip, with an interval", () => {
    const shoes = one({ kind: "trail shoes", price: 140 }, 14, () => ({}));
    const { verb, says, stake } = lead(shoes, "It");
    expect(verb).toBe("replace");
    expect(says).toMatch(/700.km on it, about \d+.km left, \d+.km to \d+.km/);
    expect(stake.price).toBe(140);
  });

  test("an owner whose shoes gave out early is warned early", () => {
    const early = {
      items: [
        { name: "New", kind: "trail shoes" },
        ...["A", "B", "C", "D"].map((name) => ({
          name,
          kind: "trail shoes",
          past: "known",
          opening: { distance: "300 km" },
          state: "worn out",
        })),
      ],
      trips: trips(9, () => ({ marks: [{ item: "New", use: "used" }] })),
    };
    const late = {
      ...early,
      items: early.items.map((item) => ({
        ...item,
        ...(item.name === "New" ? {} : { opening: { distance: "1400 km" } }),
      })),
    };
    expect(lead(early, "New").verb).toBe("replace");
    expect(lead(late, "New").verb).not.toBe("replace");
  });

  test("lost is censored: it says less about the life of its kind than worn out does", () => {
    const file = (state: string) => ({
      items: [
        { name: "New", kind: "trail shoes" },
        {
          name: "Old",
          kind: "trail shoes",
          past: "known",
          opening: { distance: "250 km" },
          state,
          since: "2024-01-01",
        },
      ],
      trips: trips(3, () => ({ marks: [{ item: "New", use: "used" }] })),
    });
    const left = (state: string) => verdicts(logOf(file(state)))[0]!.case.left!.median;
    expect(left("lost")).toBeGreaterThan(left("worn out"));
  });

  test("a filter that froze wet is replaced, now, and nothing flips that; one kept warm is not", () => {
    const filter = (froze: boolean | undefined) =>
      one({ kind: "filter" }, 2, () => ({ froze }), { conditions: { freezing: "strong" } });
    expect(lead(filter(true), "It")).toMatchObject({
      verb: "replace",
      urgency: "now",
      sureness: "sure",
      caution: expect.stringContaining("can't be tested at home"),
    });
    expect(lead(filter(undefined), "It")).toMatchObject({
      verb: "replace",
      sureness: "likely",
      rule: expect.stringContaining("kept from freezing"),
    });
    expect(lead(filter(false), "It").verb).not.toBe("replace");
  });

  test("open damage is repaired; once mended, a tent must be proved; once used in earnest, it is kept", () => {
    const tent = (n: number, entries: object[], rain = "some") => ({
      ...one({ kind: "tent" }, n, (at) => (at === 1 ? { trouble: "damaged", note: "zip torn out" } : {}), {
        conditions: { rain },
      }),
      entries,
    });
    const sealed = [{ item: "It", on: "2025-02-20", what: "repair" }];
    expect(lead(tent(2, []), "It")).toMatchObject({ verb: "repair", urgency: "before next trip" });
    expect(lead(tent(2, sealed), "It")).toMatchObject({
      verb: "prove",
      caution: expect.stringContaining("unproven"),
    });
    expect(lead(tent(3, sealed), "It").verb).toBe("keep");
    expect(lead(tent(3, sealed, "none"), "It").verb, "a dry night proves no seam").toBe("prove");
  });

  test("the same fault after two repairs is a replacement", () => {
    const pad = {
      ...one({ kind: "inflatable pad" }, 5, (at) =>
        at % 2 === 0 ? { trouble: "damaged", note: "soft" } : {},
      ),
      entries: [
        { item: "It", on: "2025-01-20", what: "repair" },
        { item: "It", on: "2025-03-20", what: "repair" },
      ],
    };
    expect(lead(pad, "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("mended twice") });
  });

  test("a defect under warranty is claimed; flat is charged, not replaced", () => {
    const torch = (more: object) =>
      one({ kind: "head torch", warranty: "2027-01-01" }, 2, (at) =>
        at === 1 ? { trouble: "failed", ...more } : {},
      );
    expect(lead(torch({ cause: "defect" }), "It")).toMatchObject({
      verb: "replace",
      says: expect.stringContaining("Claim on the warranty"),
    });
    expect(lead(torch({ cause: "flat or empty" }), "It")).toMatchObject({ verb: "service", urgency: "now" });
  });

  test("one of two poles lost is replaced as a piece; a lost thing that was liked is bought again", () => {
    expect(
      lead(
        one({ kind: "poles", pieces: 2 }, 3, (at) => (at === 2 ? { trouble: "lost", pieces: 1 } : {})),
        "It",
      ),
    ).toMatchObject({ verb: "replace", says: expect.stringContaining("1 of 2 gone") });
    expect(
      lead(
        one({ kind: "poles" }, 3, (at) => (at === 2 ? { trouble: "lost" } : {})),
        "It",
      ),
    ).toMatchObject({ verb: "replace", says: expect.stringContaining("Buy the same again") });
  });

  test("a date past its label is replaced", () => {
    expect(
      lead(
        one({ kind: "treatment tablets", expires: "2026-10-31" }, 1, () => ({ use: "unused" })),
        "It",
      ),
    ).toMatchObject({ verb: "replace", urgency: "now" });
  });

  test("working but annoying is a swap; too much of it is slimmed", () => {
    expect(
      lead(
        one({ kind: "pillow" }, 4, (at) => (at > 1 ? { trouble: "nuisance", note: "Slides" } : {})),
        "It",
      ),
    ).toMatchObject({ verb: "swap", says: expect.stringContaining("slides") });
    expect(
      lead(
        one({ kind: "wash kit" }, 4, (at) => (at > 1 ? { why: "too much of it" } : {})),
        "It",
      ).verb,
    ).toBe("slim");
  });
});

// Each rule once where it must speak and once where it must not. Common practice, no source.
describe("what is new, used or dated", () => {
  test("a tent bought after the first trips is proved before the next; an owner's first list is not all new", () => {
    const tent = { name: "Tent", kind: "tent" };
    expect(
      lead(
        {
          items: [{ name: "Mug", kind: "mug" }, tent],
          trips: trips(2, () => ({ marks: [{ item: "Mug", use: "used" }] })),
        },
        "Tent",
      ),
    ).toMatchObject({ verb: "prove", urgency: "before next trip" });
    expect(lead({ items: [{ ...tent, acquired: "2026-11-01" }], trips: [] }, "Tent").verb).toBe("prove");
    expect(verbs({ items: [tent], trips: [] }, "Tent")).toEqual(["keep", "prove"]);
  });

  test("a beacon of unknown past is looked over at home; a check, logged, is enough", () => {
    const beacon = { items: [{ name: "Beacon", kind: "beacon", past: "unknown" }] };
    expect(lead(beacon, "Beacon")).toMatchObject({
      verb: "prove",
      caution: expect.stringContaining("leave a plan"),
    });
    expect(
      lead({ ...beacon, entries: [{ item: "Beacon", on: "2026-11-01", what: "check" }] }, "Beacon").verb,
    ).toBe("keep as cover");
  });

  test("a date is near thirty days before it, or when the planned trip ends after it", () => {
    const tablets = (expires: string, more: readonly object[] = []) =>
      lead({ items: [{ name: "It", kind: "treatment tablets", expires }], trips: more }, "It");
    expect(tablets("2026-11-24")).toMatchObject({ verb: "replace", urgency: "now" });
    expect(tablets("2026-12-20")).toMatchObject({ verb: "replace", urgency: "before next trip" });
    expect(tablets("2027-01-20").verb).toBe("keep as cover");
    const planned = {
      name: "Plan",
      planned: true,
      starts: "2027-01-15",
      ends: "2027-01-25",
      distance: "90 km",
    };
    expect(tablets("2027-01-20", [planned])).toMatchObject({
      verb: "replace",
      says: expect.stringContaining("before Plan ends"),
    });
    expect(tablets("2027-01-26", [planned]).verb).toBe("keep as cover");
  });

  test("what was lost and liked is bought again, a mug too; what was seldom wanted is not", () => {
    const lost = (item: object, unusedAt: readonly number[]) =>
      lead(
        one(item, 5, (at) =>
          at === 4 ? { use: "used", trouble: "lost" } : { use: unusedAt.includes(at) ? "unused" : "used" },
        ),
        "It",
      );
    expect(lost({ kind: "mug" }, [])).toMatchObject({
      verb: "replace",
      urgency: "when convenient",
      says: expect.stringContaining("Buy the same again"),
    });
    expect(lost({ kind: "mug" }, [0, 1, 2]).verb).toBe("keep");
    expect(lost({ kind: "poles" }, []).urgency).toBe("before next trip");
  });

  test.each([
    ["stakes, set", "stakes"],
    ["Hollow-fibre filter", "filter"],
    ["water tablets", "treatment tablets"],
    ["light throw-away rain shell", "light rain shell"],
    ["first-aid kit", "first-aid kit"],
    ["waterproof lining of shoes", "shoe lining"],
    ["pole rubber feet", "pole rubber feet"],
    ["satellite messenger or beacon", "beacon"],
    ["insect treatment on clothes", "insect treatment"],
    ["socks, per pair", "socks"],
  ])("“%s” is the kind %s", (word, kind) => {
    expect(logOf({ items: [{ name: "It", kind: word }] }).items[0]!.kind).toBe(kind);
  });
});

describe("the finer rules", () => {
  const nth = (at: number, n: number, yes: object, no: object = {}) => (at >= n ? yes : no);

  test("used one week of five, by its days, is sent on, not dropped; used all the way, it is kept", () => {
    const walk = (days: number) => ({
      items: [{ name: "Camp sandals", kind: "camp shoes", weight: "204 g" }],
      trips: [
        {
          starts: "2026-05-01",
          ends: "2026-06-04",
          distance: "600 km",
          marks: [{ item: "Camp sandals", use: "used", days }],
        },
      ],
    });
    expect(lead(walk(7), "Camp sandals")).toMatchObject({
      verb: "bring only when",
      says: expect.stringMatching(/7.days of 35.*send it on/),
    });
    expect(lead(walk(30), "Camp sandals").verb).toBe("keep");
  });

  test("camp things idle on day walks are brought only for a night out", () => {
    const pad = {
      items: [{ name: "Pad", kind: "inflatable pad", weight: "430 g" }],
      trips: trips(6, (at) => ({
        ...(at % 2 ? {} : { ends: `2025-${String(1 + at).padStart(2, "0")}-10` }),
        marks: [{ item: "Pad", use: at % 2 ? "used" : "unused" }],
      })),
    };
    expect(lead(pad, "Pad")).toMatchObject({ verb: "bring only when", when: ["camp time"] });
  });

  test("much carried home is slimmed; a fair margin is not", () => {
    const fuel = (back: number) => ({
      items: [{ name: "Gas", kind: "fuel", weight: "230 g" }],
      trips: trips(3, () => ({
        supplies: [{ what: "gas", unit: "g", out: 200, back }],
        marks: [{ item: "Gas", use: "used" }],
      })),
    });
    expect(lead(fuel(110), "Gas")).toMatchObject({ verb: "slim", says: expect.stringContaining("55") });
    expect(lead(fuel(50), "Gas").verb).toBe("keep");
  });

  test("a kit hardly opened is slimmed, never dropped; the third pair that had no turn is left", () => {
    expect(
      lead(
        one({ kind: "wash kit", weight: "136 g" }, 6, () => ({ use: "hardly" })),
        "It",
      ).verb,
    ).toBe("slim");
    const socks = {
      items: ["grey", "green", "blue"].map((name) => ({ name, kind: "socks", weight: "70 g" })),
      trips: trips(4, () => ({
        marks: ["grey", "green", "blue"].map((item) => ({ item, use: item === "blue" ? "unused" : "used" })),
      })),
    };
    expect(lead(socks, "blue")).toMatchObject({ verb: "slim", stake: { grams: 70 } });
    expect(lead(socks, "grey").verb).toBe("keep");
  });

  test("far lighter and liked, on the shelf, for the same job: a swap; among critical things weight alone condemns nothing", () => {
    const twin = (kind: string, light = "300 g") => ({
      items: [
        { name: "Heavy", kind, weight: "600 g" },
        { name: "Light", kind, weight: light },
      ],
      trips: trips(5, (at) => ({ marks: [{ item: at < 2 ? "Light" : "Heavy", use: "used" }] })),
    });
    expect(lead(twin("chair"), "Heavy").verb).toBe("swap");
    expect(lead(twin("chair", "560 g"), "Heavy").verb).toBe("keep");
    expect(lead(twin("trail shoes"), "Heavy").verb).toBe("keep");
  });

  test("cold on two of three nights is a swap, with a caution; one cold night is not", () => {
    const quilt = (felts: readonly string[]) =>
      one({ kind: "quilt", id: "quilt" }, 2, () => ({}), {
        conditions: { cold: "strong" },
        felt: felts.map((felt) => ({ low: -2, felt, slept: ["quilt"] })),
      });
    expect(lead(quilt(["cold", "right"]), "It")).toMatchObject({
      verb: "swap",
      says: expect.stringContaining("Too cold"),
      caution: expect.any(String),
    });
    const once = quilt([]);
    expect(
      lead(
        {
          ...once,
          trips: once.trips.map((trip, at) =>
            nth(at, 1, { ...trip, felt: [{ low: -2, felt: "cold", slept: ["quilt"] }] }, trip),
          ),
        },
        "It",
      ).verb,
    ).toBe("keep");
  });

  test("clothes are treated again after 42 days or 6 washes, whichever comes first", () => {
    const treated = (on: string, washes: number) => ({
      ...one({ kind: "insect treatment", acquired: "2026-01-01" }, 1, () => ({}), {
        conditions: { bugs: "some" },
      }),
      entries: [
        { item: "It", on, what: "service" },
        ...Array.from({ length: washes }, () => ({ item: "It", on: "2026-11-20", what: "wash" })),
      ],
    });
    expect(lead(treated("2026-10-13", 0), "It")).toMatchObject({
      verb: "service",
      caution: expect.stringContaining("label"),
    });
    expect(lead(treated("2026-10-14", 5), "It").verb).not.toBe("service");
    expect(lead(treated("2026-10-14", 6), "It").verb).toBe("service");
  });

  test("a slow filter is serviced first; still slow after that, replaced", () => {
    const flow = (entries: object[]) => ({
      ...one({ kind: "filter" }, 3, (at) => ({
        froze: false,
        ...(at === 2 ? { reading: { what: "flow", value: 0.2 } } : {}),
      })),
      entries,
    });
    expect(lead(flow([]), "It")).toMatchObject({
      verb: "service",
      says: expect.stringContaining("backflush"),
    });
    const cleaned = { ...flow([{ item: "It", on: "2025-03-01", what: "service" }]) };
    expect(lead(cleaned, "It")).toMatchObject({
      verb: "replace",
      says: expect.stringMatching(/flow was 0.2/),
    });
  });

  test("tread past its limit is replaced, whatever the miles; readings far from it overrule many miles", () => {
    const shoes = (n: number, treads: (at: number) => number) =>
      one({ kind: "trail shoes" }, n, (at) => ({ reading: { what: "tread", value: treads(at) } }));
    expect(
      lead(
        shoes(3, (at) => 4 - at * 1.3),
        "It",
      ),
    ).toMatchObject({ verb: "replace", sureness: "sure" });
    const worn = one({ kind: "trail shoes" }, 16, () => ({}));
    expect(lead(worn, "It").verb).toBe("replace");
    expect(
      lead(
        shoes(16, (at) => 5 - at * 0.03),
        "It",
      ).verb,
    ).not.toBe("replace");
  });

  test("repairs that come to over half its price, the next among them, are worse than a new one", () => {
    const jacket = (price: number) => ({
      ...one({ kind: "rain trousers", price }, 3, (at) =>
        at === 2 ? { trouble: "damaged", cause: "weather" } : {},
      ),
      entries: [{ item: "It", on: "2025-01-20", what: "repair", cost: 20 }],
    });
    expect(lead(jacket(70), "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("€40") });
    expect(lead(jacket(200), "It").verb).toBe("repair");
  });

  test("a pole that broke is replaced as a piece; a filter of unknown past is not trusted; old plastic is due", () => {
    expect(
      lead(
        one({ kind: "poles", pieces: 2 }, 3, (at) =>
          at === 2 ? { trouble: "failed", cause: "misuse", pieces: 1 } : {},
        ),
        "It",
      ),
    ).toMatchObject({ verb: "replace", says: expect.stringContaining("1 of 2 gone") });
    expect(
      lead(
        one({ kind: "filter", past: "unknown" }, 1, () => ({ froze: false })),
        "It",
      ),
    ).toMatchObject({ verb: "replace", rule: expect.stringContaining("unknown past") });
    expect(
      lead(
        one({ kind: "water bottle", acquired: "2024-01-01" }, 2, () => ({})),
        "It",
      ),
    ).toMatchObject({ verb: "replace", urgency: "when convenient" });
    expect(
      lead(
        one({ kind: "water bottle", acquired: "2026-01-01" }, 2, () => ({})),
        "It",
      ).verb,
    ).toBe("keep");
  });

  test("left at home and missed by name, it is as good as used", () => {
    const chair = one({ kind: "chair", weight: "480 g" }, 3, () => ({ use: "unused" }));
    expect(lead(chair, "It").verb).toBe("drop");
    const missed = {
      ...chair,
      trips: [
        ...chair.trips,
        { starts: "2026-08-01", ends: "2026-08-03", distance: "40 km", missed: [{ what: "it" }], marks: [] },
      ],
    };
    expect(lead(missed, "It").verb).toBe("keep");
  });

  test("an owner's own numbers are judged by, and only for that kind", () => {
    const file = (settings: object) => ({ settings, ...one({ kind: "trail shoes" }, 8, () => ({})) });
    expect(lead(file({}), "It").verb).not.toBe("replace");
    expect(lead(file({ kinds: { "trail shoes": { median: 350_000 } } }), "It").verb).toBe("replace");
    expect(lead(file({ kinds: { boots: { median: 350_000 } } }), "It").verb).not.toBe("replace");
    const chair = (settings: object) =>
      lead({ settings, ...one({ kind: "chair", weight: "480 g" }, 2, () => ({ use: "unused" })) }, "It").verb;
    expect([
      chair({}),
      chair({ schools: { even: { dropLine: 0.5 } } }),
      chair({ schools: { even: { dropLine: 0.5, tooLight: 500 } } }),
    ]).toEqual(["keep", "drop", "keep"]);
  });
});
