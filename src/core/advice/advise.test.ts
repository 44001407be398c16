import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { lead, one, trips, verdicts } from "../../../tests/judged";

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
        );
      const drops = [chances - 1, chances]
        .map(after)
        .map(({ verb, reason, sureness }) => [verb, reason, sureness].join());
      // The lean lean to it before they know: what only pleases, from its first idle trip on.
      expect(drops, school).toEqual([
        school === "lean" ? "drop,seldom wanted,leaning" : expect.not.stringContaining("drop"),
        expect.stringContaining("drop,seldom wanted"),
      ]);
    }
  });

  test("a luxury idle on its first trip is a leaning to those to whom every gram argues, and to nobody else", () => {
    const chair = (school: "lean" | "even" | "roomy", mark: object = {}) =>
      lead(
        one({ kind: "chair", weight: "480 g" }, 1, () => ({ use: "unused", ...mark })),
        "It",
        school,
      );
    expect(chair("lean")).toMatchObject({
      verb: "drop",
      sureness: "leaning",
      says: "Never used in its one chance, 50\u00a0km carried for nothing. Leaning: leave it.",
    });
    expect(chair("even").verb).toBe("keep");
    expect(chair("roomy").verb).toBe("keep");
    expect(chair("lean", { why: "forgot it" }).verb).toBe("keep");
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

  test("the same fault after two repairs is a replacement", () => {
    const pad = {
      ...one({ kind: "inflatable pad" }, 5, (at) =>
        at % 2 === 0 ? { troubles: ["damaged"], note: "soft" } : {},
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
        at === 1 ? { troubles: ["failed"], ...more } : {},
      );
    expect(lead(torch({ cause: "defect" }), "It")).toMatchObject({
      verb: "replace",
      says: expect.stringContaining("Claim on the warranty"),
    });
    expect(lead(torch({ cause: "flat or empty" }), "It")).toMatchObject({ verb: "service", urgency: "now" });
  });

  test("a date past its label is replaced", () => {
    expect(
      lead(
        one({ kind: "treatment tablets", expires: "2026-10-31" }, 1, () => ({ use: "unused" })),
        "It",
      ),
    ).toMatchObject({ verb: "replace", urgency: "now" });
  });
});

// Each rule once where it must speak and once where it must not. Common practice, no source.
describe("what is new, used or dated", () => {
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

  test("a slow filter is serviced first; still slow after that, replaced", () => {
    const flow = (entries: object[]) => ({
      ...one({ kind: "filter" }, 3, (at) => ({
        frost: "kept",
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
        at === 2 ? { troubles: ["damaged"], cause: "weather" } : {},
      ),
      entries: [{ item: "It", on: "2025-01-20", what: "repair", cost: 20 }],
    });
    expect(lead(jacket(70), "It")).toMatchObject({ verb: "replace", says: expect.stringContaining("€40") });
    expect(lead(jacket(200), "It").verb).toBe("repair");
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
});
