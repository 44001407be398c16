import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import type { Log, SchoolName, Verb } from "../model";
import { additions } from "./add";
import { judge } from "./judge";

const TODAY = "2026-11-24";
const verdicts = (log: Log, school?: SchoolName) => judge(openBook(log, TODAY, school));
const lead = (file: object, name: string, school?: SchoolName) => verdicts(logOf(file), school).find(({ case: { item } }) => item.name === name)!.verdicts[0];
const verbs = (file: object, name: string): Verb[] => verdicts(logOf(file)).find(({ case: { item } }) => item.name === name)!.verdicts.map(({ verb }) => verb);

/** `n` trips of four days, 50 km each, a month apart. */
const trips = (n: number, more: (at: number) => object) => Array.from({ length: n }, (_, at) => ({
  name: `Walk ${at + 1}`, starts: `202${5 + Math.floor(at / 12)}-${String(1 + (at % 12)).padStart(2, "0")}-10`, ends: `202${5 + Math.floor(at / 12)}-${String(1 + (at % 12)).padStart(2, "0")}-13`, distance: "50 km", ...more(at),
}));
const one = (item: object, n: number, mark: (at: number) => object, trip: object = {}) => ({ items: [{ name: "It", ...item }], trips: trips(n, (at) => ({ ...trip, marks: [{ item: "It", use: "used", ...mark(at) }] })) });

// What experienced walkers do: common practice, no source.
describe("use", () => {
  test("a chair carried on three trips and never opened is left, by an even hand", () => {
    const never = one({ kind: "chair", weight: "480 g" }, 3, () => ({ use: "unused" }));
    expect(lead(never, "It")).toMatchObject({ verb: "drop", stake: { grams: 480, deadGramMetres: 3 * 50_000 * 480 } });
    expect(lead(never, "It", "roomy").verb).toBe("keep");
    expect(lead(one({ kind: "chair", weight: "480 g" }, 2, () => ({ use: "unused" })), "It").verb).toBe("keep");
    expect(lead(one({ kind: "chair", weight: "480 g" }, 2, () => ({ use: "unused" })), "It", "lean").verb).toBe("drop");
  });

  test("each school drops at just the unused chances it names", () => {
    for (const [school, chances] of [["lean", 2], ["even", 3], ["roomy", 4], ["wary", 5]] as const) {
      const after = (n: number) => lead(one({ kind: "chair", weight: "480 g" }, n, () => ({ use: "unused" })), "It", school).verb;
      expect([after(chances - 1), after(chances)], school).toEqual(["keep", "drop"]);
    }
  });

  test("unused with no call for it says nothing against a bug shirt: it is brought when there are bugs", () => {
    const seasonal = { items: [{ name: "Bug shirt", kind: "bug net", weight: "146 g" }], trips: trips(8, (at) => ({ conditions: { bugs: at % 4 === 0 ? "strong" : "none" }, marks: [{ item: "Bug shirt", use: at % 4 === 0 ? "used" : "unused" }] })) };
    expect(lead(seasonal, "Bug shirt")).toMatchObject({ verb: "bring only when", when: ["bugs"] });
  });

  test("refused when called is a drop, though the season calls seldom", () => {
    const refused = { items: [{ name: "Bug shirt", kind: "bug net", weight: "146 g" }], trips: trips(8, () => ({ conditions: { bugs: "strong" }, marks: [{ item: "Bug shirt", use: "unused" }] })) };
    expect(lead(refused, "Bug shirt").verb).toBe("drop");
  });

  test("a first-aid kit that stayed shut did its job; traction on dry ground, too", () => {
    expect(lead(one({ kind: "first-aid kit", weight: "180 g" }, 12, () => ({ use: "unused" })), "It").verb).toBe("keep as cover");
    expect(lead(one({ kind: "traction", weight: "358 g" }, 1, () => ({ use: "unused" }), { conditions: { "snow or ice": "none" } }), "It").verb).toBe("keep as cover");
  });

  test("a rain shell on dry trips stays", () => {
    expect(["keep", "keep as cover"]).toContain(lead(one({ kind: "rain shell", weight: "312 g" }, 10, () => ({ use: "unused" }), { conditions: { rain: "none" } }), "It").verb);
  });

  test("of three warm layers the one never worn goes; of two it is the backup", () => {
    const layers = (names: readonly string[]) => ({ items: names.map((name) => ({ name, kind: name, weight: "250 g" })), trips: trips(6, () => ({ conditions: { cold: "some" }, marks: names.map((item) => ({ item, use: item === "insulated vest" ? "unused" : "used" })) })) });
    expect(lead(layers(["insulated jacket", "fleece", "insulated vest"]), "insulated vest").verb).toBe("drop");
    expect(lead(layers(["fleece", "insulated vest"]), "insulated vest").verb).not.toBe("drop");
  });

  test("what weighs next to nothing is not worth an argument", () => {
    expect(lead(one({ kind: "mug", weight: "20 g" }, 8, () => ({ use: "unused" })), "It").verb).toBe("keep");
  });

  test("a camera is carried for joy and not judged by use", () => {
    expect(lead(one({ kind: "camera", weight: "420 g" }, 8, () => ({ use: "unused" })), "It").verb).toBe("keep");
  });

  test("twice in five months is a drop", () => {
    const long = { items: [{ name: "Pillow", kind: "pillow", weight: "90 g" }], trips: [{ starts: "2026-04-01", ends: "2026-08-31", distance: "2500 km", marks: [{ item: "Pillow", use: "hardly" }] }] };
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
    const early = { items: [{ name: "New", kind: "trail shoes" }, ...["A", "B", "C", "D"].map((name) => ({ name, kind: "trail shoes", past: "known", opening: { distance: "300 km" }, state: "worn out" }))], trips: trips(9, () => ({ marks: [{ item: "New", use: "used" }] })) };
    const late = { ...early, items: early.items.map((item) => ({ ...item, ...(item.name === "New" ? {} : { opening: { distance: "1400 km" } }) })) };
    expect(lead(early, "New").verb).toBe("replace");
    expect(lead(late, "New").verb).not.toBe("replace");
  });

  test("lost is censored: it says less about the life of its kind than worn out does", () => {
    const file = (state: string) => ({ items: [{ name: "New", kind: "trail shoes" }, { name: "Old", kind: "trail shoes", past: "known", opening: { distance: "250 km" }, state, since: "2024-01-01" }], trips: trips(3, () => ({ marks: [{ item: "New", use: "used" }] })) });
    const left = (state: string) => verdicts(logOf(file(state)))[0]!.case.left!.median;
    expect(left("lost")).toBeGreaterThan(left("worn out"));
  });

  test("a filter that froze wet is replaced, now, and nothing flips that; one kept warm is not", () => {
    const filter = (froze: boolean | undefined) => one({ kind: "filter" }, 2, () => ({ froze }), { conditions: { freezing: "strong" } });
    expect(lead(filter(true), "It")).toMatchObject({ verb: "replace", urgency: "now", sureness: "sure", caution: expect.stringContaining("can't be tested at home") });
    expect(lead(filter(undefined), "It")).toMatchObject({ verb: "replace", sureness: "likely", rule: expect.stringContaining("kept from freezing") });
    expect(lead(filter(false), "It").verb).not.toBe("replace");
  });

  test("open damage is repaired; once mended, a tent must be proved; once used in earnest, it is kept", () => {
    const tent = (n: number, entries: object[], rain = "some") => ({ ...one({ kind: "tent" }, n, (at) => (at === 1 ? { trouble: "damaged", note: "seam leaks" } : {}), { conditions: { rain } }), entries });
    const sealed = [{ item: "It", on: "2025-02-20", what: "repair" }];
    expect(lead(tent(2, []), "It")).toMatchObject({ verb: "repair", urgency: "before next trip" });
    expect(lead(tent(2, sealed), "It")).toMatchObject({ verb: "prove", caution: expect.stringContaining("unproven") });
    expect(lead(tent(3, sealed), "It").verb).toBe("keep");
    expect(lead(tent(3, sealed, "none"), "It").verb, "a dry night proves no seam").toBe("prove");
  });

  test("the same fault after two repairs is a replacement", () => {
    const pad = { ...one({ kind: "inflatable pad" }, 5, (at) => (at % 2 === 0 ? { trouble: "damaged", note: "soft" } : {})), entries: [{ item: "It", on: "2025-01-20", what: "repair" }, { item: "It", on: "2025-03-20", what: "repair" }] };
    expect(lead(pad, "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("mended twice") });
  });

  test("a defect under warranty is claimed; flat is charged, not replaced", () => {
    const torch = (more: object) => one({ kind: "head torch", warranty: "2027-01-01" }, 2, (at) => (at === 1 ? { trouble: "failed", ...more } : {}));
    expect(lead(torch({ cause: "defect" }), "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("Claim on the warranty") });
    expect(lead(torch({ cause: "flat or empty" }), "It")).toMatchObject({ verb: "service", urgency: "now" });
  });

  test("one of two poles lost is replaced as a piece; a lost thing that was liked is bought again", () => {
    expect(lead(one({ kind: "poles", pieces: 2 }, 3, (at) => (at === 2 ? { trouble: "lost", pieces: 1 } : {})), "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("1 of 2 gone") });
    expect(lead(one({ kind: "poles" }, 3, (at) => (at === 2 ? { trouble: "lost" } : {})), "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("Buy the same again") });
  });

  test("a date past its label is replaced", () => {
    expect(lead(one({ kind: "treatment tablets", expires: "2026-10-31" }, 1, () => ({ use: "unused" })), "It")).toMatchObject({ verb: "replace", urgency: "now" });
  });

  test("working but annoying is a swap; too much of it is slimmed", () => {
    expect(lead(one({ kind: "pillow" }, 4, (at) => (at > 1 ? { trouble: "nuisance", note: "Slides" } : {})), "It")).toMatchObject({ verb: "swap", says: expect.stringContaining("slides") });
    expect(lead(one({ kind: "wash kit" }, 4, (at) => (at > 1 ? { why: "too much of it" } : {})), "It").verb).toBe("slim");
  });

  test("missed twice is added; missed once where it was dangerous, too", () => {
    const missed = (n: number, cost: string) => additions(openBook(logOf({ items: [{ name: "It", kind: "mug" }], trips: trips(n, () => ({ missed: [{ what: "Sit mat", cost }] })) }), TODAY)).length;
    expect([missed(1, "discomfort"), missed(2, "discomfort"), missed(1, "danger")]).toEqual([0, 1, 1]);
  });
});

describe("rulings", () => {
  const chair = (more: object, n = 4) => ({ ...one({ kind: "chair", weight: "480 g", id: "chair" }, n, () => ({ use: "unused" })), rulings: [{ item: "chair", verb: "drop", decision: "overrule", reason: "my back", on: "2025-05-01", trips: 4, ...more }] });

  test("an overruled verdict gives way to the owner's, with the reason", () => {
    const kept = lead(chair({ again: 2 }), "It");
    expect(kept).toMatchObject({ verb: "keep", says: expect.stringContaining("my back") });
    expect(verbs(chair({ again: 2 }), "It")).toEqual(["keep", "drop"]);
  });

  test("it is asked again after the trips named, or when something new goes wrong, and not before", () => {
    expect(lead(chair({ again: 2 }, 5), "It").verb).toBe("keep");
    expect(lead(chair({ again: 2 }, 6), "It").verb).toBe("drop");
    expect(lead(chair({ again: null }, 11), "It").verb).toBe("keep");
    const broken = chair({ again: null }, 5);
    const trips = broken.trips.map((trip, at) => (at === 4 ? { ...trip, marks: [{ item: "It", use: "used", trouble: "damaged" }] } : trip));
    expect(lead({ ...broken, trips }, "It").verb).toBe("repair");
  });

  test("where the owner's call says otherwise, both are shown", () => {
    const file = one({ kind: "chair", weight: "480 g" }, 4, () => ({ use: "unused", call: "bring again" }));
    expect(verdicts(logOf(file))[0]!.dissent).toMatchObject({ call: "bring again" });
  });
});

describe("for any history", () => {
  test("cover and what is dangerous to lack are never dropped, by any school", () => {
    fc.assert(fc.property(anyFile, fc.constantFrom<SchoolName>("lean", "even", "roomy", "wary"), (file, school) => {
      for (const { case: { item }, verdicts: found } of verdicts(logOf(file), school)) {
        if (item.cover || item.consequence === "danger") expect(found.map(({ verb }) => verb)).not.toContain("drop");
      }
    }), { numRuns: 150 });
  });

  test("one more unused trip that called for it never lowers the case for dropping", () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 8 }), fc.array(fc.constantFrom("used", "hardly", "unused"), { maxLength: 7 }), (_, uses) => {
      const file = (list: readonly string[]) => one({ kind: "chair", weight: "480 g" }, list.length, (at) => ({ use: list[at] }));
      if (uses.length > 0 && lead(file(uses), "It").verb === "drop") expect(lead(file([...uses, "unused"]), "It").verb).toBe("drop");
    }), { numRuns: 60 });
  });

  test("a stricter school never drops less", () => {
    fc.assert(fc.property(anyFile, (file) => {
      const log = logOf(file);
      const dropped = (school: SchoolName) => verdicts(log, school).filter(({ verdicts: found }) => found.some(({ verb }) => verb === "drop")).map(({ case: { item } }) => item.id);
      const byStrictness = (["wary", "roomy", "even", "lean"] as const).map(dropped);
      byStrictness.slice(1).forEach((stricter, n) => expect(stricter).toEqual(expect.arrayContaining(byStrictness[n]!)));
    }), { numRuns: 80 });
  });

  test("verdicts do not depend on the order of entry, and every item has one that explains itself", () => {
    fc.assert(fc.property(anyFile, (file) => {
      const log = logOf(file);
      const turned = { ...log, items: log.items.toReversed(), trips: log.trips.toReversed().map((trip) => ({ ...trip, carries: trip.carries.toReversed() })) };
      const said = (each: Log) => new Map(verdicts(each).map(({ case: { item }, verdicts: found }) => [item.id, found.map(({ verb, urgency }) => `${verb} ${urgency}`)]));
      expect(said(turned)).toEqual(said(log));
      for (const { verdicts: found } of verdicts(log)) for (const { says, rule, evidence } of found) {
        expect(says).toMatch(/\.$/);
        expect(rule).toMatch(/\.$/);
        expect(evidence.length).toBeGreaterThan(0);
        expect(says).not.toMatch(/NaN|undefined|Infinity/);
      }
    }), { numRuns: 100 });
  });

  test("scaling every weight by ten changes no verdict on wear", () => {
    fc.assert(fc.property(anyFile, (file) => {
      const heavier = { ...file, items: file.items.map((item) => ({ ...item, ...(item.weight ? { weight: item.weight.replace(" g", "0 g") } : {}) })) };
      const wear = (each: object) => verdicts(logOf(each)).map(({ verdicts: found }) => found.map(({ verb }) => verb).filter((verb) => verb === "replace" || verb === "repair"));
      expect(wear(heavier)).toEqual(wear(file));
    }), { numRuns: 60 });
  });
});
