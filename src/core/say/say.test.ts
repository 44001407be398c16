import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { TODAY } from "../../../tests/judged";
import { openBook } from "../ledger/book";
import { endsOf } from "../ledger/stretches";
import { Leg, Mark } from "../model";
import type { Supposition } from "../advice/flip";
import { kitOf } from "../advice/kit";
import { sayFlip } from "./verdicts/flip";
import { happenedOn, legName, sayMark } from "./walk/mark";
import { sayMoney } from "./money";
import { says } from "./verdicts/says";
import { sayComfort, sayLabel } from "./sleep";
import { sayAmount, sayCameHome, sayRate } from "./supplies";
import { sayPoured, sayRoom } from "../units/speak";
import { Units } from "../units/units";
import { quoted, sayCaller, sayLeft, sayWay, theThing } from "./words";
import { sayWear, wearFromNumber, wearNumber } from "./wear";

/** As a test reads it: the blanks that hold a number to its unit are blanks. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const METRIC = Units.parse({ weight: "g", distance: "km", temperature: "C" });
const IMPERIAL = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });

describe("a mark, all of it", () => {
  const mark = Mark.parse({
    use: "hardly",
    troubles: ["damaged"],
    symptoms: ["torn"],
    complaints: [{ what: "slides", on: "rock" }, { what: "stiff" }],
    exit: { how: "swapped", for: "boots" },
    at: { leg: "leg-2", distance: "16.09344 km" },
    where: "at the ford",
    why: null,
    cause: "misuse",
    fix: "patched",
    cost: "a day",
    condition: 2,
    reading: { what: "tread", value: 1.5 },
    days: 1,
    pieces: 2,
    enough: 3,
    left: 0.25,
    frost: "kept",
    call: "replace",
    note: "Held to the hut.",
  });
  const legs = [
    Leg.parse({ id: "leg-1", name: "", distance: "10 km" }),
    Leg.parse({ id: "leg-2", name: "Over the pass", distance: "6 km" }),
  ];
  const names = { item: () => "Boots", leg: (id: string) => legName(legs, id) };

  test("is a phrase for each thing said, the owner's note last, as written", () => {
    expect(sayMark(mark, METRIC, names).map(plain)).toEqual([
      "damaged",
      "torn",
      "slides on rock",
      "stiff",
      "swapped for Boots",
      "Over the pass",
      "after 16 km",
      "at the ford",
      "misuse",
      "patched",
      "it cost a day",
      "condition 2 of 5",
      "tread 1.5",
      "used on 1 day",
      "2 pieces lost or broken",
      "3 would have been enough",
      "25 % left",
      "frost: kept",
      "your call: replace",
      "Held to the hut.",
    ]);
  });

  test("in miles for who walks in them; a plain use says nothing more", () => {
    // 1 mi is 1609.344 m (NIST SP 811).
    expect(sayMark(mark, IMPERIAL, names).map(plain)).toContain("after 10 mi");
    expect(sayMark(Mark.parse({ use: "used" }), METRIC, names)).toEqual([]);
    expect(sayMark(Mark.parse({ use: "used", cost: "nothing", left: 0 }), METRIC, names).map(plain)).toEqual([
      "0 % left",
    ]);
  });

  test("stands where it happened: at its distance, in the middle of its leg, never past the end", () => {
    const ends = endsOf(legs);
    const at = (place: object | null, more: object = {}) =>
      happenedOn(Mark.parse({ use: "used", troubles: ["failed"], at: place, ...more }), legs, ends);
    expect(at({ leg: "leg-2", distance: "12 km" })).toEqual({ metres: 12_000, words: "failed" });
    expect(at({ leg: "leg-2" })).toEqual({ metres: 13_000, words: "failed" });
    expect(at({ leg: "leg-1", distance: "40 km" })?.metres).toBe(16_000);
    expect(at({ leg: "leg-1" }, { exit: { how: "sent home" } })?.words).toBe("sent home");
    expect(at({ leg: "leg-1" }, { troubles: [] })?.words).toBe("used");
    expect(at(null)).toBeNull();
    expect(happenedOn(null, legs, ends)).toBeNull();
  });

  test("a leg without a name bears its number", () => {
    expect(["leg-1", "leg-2"].map((id) => legName(legs, id))).toEqual(["leg 1", "Over the pass"]);
  });
});

test("how far a thing went: on trips and beside them, and as the ground counts; what is not unpacked is told", () => {
  const trip = (month: number, use?: string) => ({
    starts: `2026-0${month}-01`,
    ends: `2026-0${month}-05`,
    distance: "100 km",
    terrain: "rock",
    marks: [{ item: "Boots", ...(use && { use }) }],
  });
  const wayOf = (entries: readonly object[], ...trips: object[]) => {
    const log = logOf({ items: [{ name: "Boots", kind: "boots" }], entries, trips });
    return plain(sayWay(kitOf(openBook(log, TODAY)).things[0]!, METRIC));
  };
  // Rock counts half as much again: common practice, no source.
  expect(wayOf([], trip(5, "used"))).toBe("100 km; as the ground counts, 150 km");
  const between = { item: "Boots", on: "2026-06-01", what: "wear", distance: "40 km" };
  expect(wayOf([between], trip(5, "used"))).toBe(
    "140 km: 100 km on trips, 40 km before and between; as the ground counts, 190 km",
  );
  expect(wayOf([], trip(5, "used"), trip(6))).toBe(
    "100 km; as the ground counts, 300 km with what is not unpacked yet",
  );
});

test("money: a sign stands before it, a word behind; cents only where they are some", () => {
  expect(
    [
      sayMoney(12.5, "€"),
      sayMoney(12, "€"),
      sayMoney(4200, "kr"),
      sayMoney(120.4, "$"),
      sayMoney(0.05, "£"),
    ].map(plain),
  ).toEqual(["€12.50", "€12", "4 200 kr", "$120", "£0.05"]);
});

describe("wear", () => {
  test("is said in the unit that it is counted in, one of it as one", () => {
    const said = (
      [
        [412_300, "m"],
        [1, "nights"],
        [38.4, "nights"],
        [1, "wet days"],
        [1, "called days"],
        [3, "called days"],
        [120.4, "L"],
        [1, "burns"],
        [2, "cycles"],
        [400, "days"],
      ] as const
    ).map(([wear, unit]) => plain(sayWear(wear, unit, METRIC)));
    expect(said).toEqual([
      "412 km",
      "1 night",
      "38 nights",
      "1 wet day",
      "1 day in use",
      "3 days in use",
      "120 L",
      "1 burn",
      "2 charges",
      "400 days",
    ]);
    expect(plain(sayWear(1_609_344, "m", IMPERIAL))).toBe("1 000 mi");
  });

  test("as a number for a form it comes back as it went, in any unit", () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e7, noNaN: true }),
        fc.constantFrom("m" as const, "nights" as const, "L" as const),
        fc.constantFrom(METRIC, IMPERIAL),
        (wear, unit, units) => {
          expect(wearFromNumber(wearNumber(wear, unit, units), unit, units)).toBeCloseTo(wear, 6);
        },
      ),
    ));

  test("what is left has its range; next to nothing is said as that", () => {
    const left = { median: 90_000, low: 40_000, high: 150_000 } as Parameters<typeof sayLeft>[0] & object;
    expect(plain(sayLeft(left, "m", METRIC))).toBe("about 90 km left, 40 km to 150 km");
    expect(plain(sayLeft({ ...left, median: 300, high: 4000 }, "m", METRIC))).toBe(
      "next to nothing left, 4.0 km at most",
    );
    expect(sayLeft(null, "m", METRIC)).toBe("no life to count down");
  });
});

describe("names and notes inside a sentence", () => {
  test("a thing has its article and loses its capital, unless the name is its own", () => {
    const said = ["Air mat", "GPS", "Ole's boots", "Shoes, pair 3", "puffy"].map((name) =>
      theThing({ name }),
    );
    expect(said).toEqual(["the air mat", "the GPS", "Ole's boots", "Shoes, pair 3", "the puffy"]);
  });

  test("a note is quoted without its full stop; none is nothing", () => {
    expect([quoted("Wet at the seams. "), quoted("  "), quoted(undefined)]).toEqual([
      " (“Wet at the seams”)",
      "",
      "",
    ]);
  });

  test("what calls for it: strong weather is strong, cold is hard, and staying away is told", () => {
    const caller = { trigger: "rain", at: "strong", without: false } as Parameters<typeof sayCaller>[0];
    expect(sayCaller(caller)).toBe("strong rain");
    expect(sayCaller({ ...caller, trigger: "freezing" })).toMatch(/^hard /);
    expect(sayCaller({ ...caller, at: "some", without: true })).toBe("no rain");
  });
});

describe("amounts and rates", () => {
  test("as their owner would say them", () => {
    expect(
      [
        sayAmount(118, "g", METRIC),
        sayAmount(2.5, "L", METRIC),
        sayAmount(2, "L", METRIC),
        sayAmount(24, "Wh", METRIC),
        sayAmount(7, "", METRIC),
      ].map(plain),
    ).toEqual(["118 g", "2.5 L", "2 L", "24 Wh", "7"]);
  });

  test("what is poured and how much room there is, in quarts and cubic inches for owners who weigh in ounces", () => {
    // 1 US liquid quart is 0.946 352 946 L, 1 cubic inch 0.016 387 064 L (NIST Handbook 44, Appendix C).
    const poured = [0, 0.25, 0.946352946, 2, 7.5, 9.46352946, 38].map((litres) => [
      plain(sayPoured(litres, METRIC)),
      plain(sayPoured(litres, IMPERIAL)),
    ]);
    expect(poured).toEqual([
      ["0 L", "0 fl oz"],
      ["0.3 L", "8 fl oz"],
      ["0.9 L", "1 qt"],
      ["2 L", "2.1 qt"],
      ["7.5 L", "7.9 qt"],
      ["9.5 L", "2.5 gal"],
      ["38 L", "10 gal"],
    ]);
    expect([46, 33.6].map((litres) => plain(sayRoom(litres, METRIC)))).toEqual(["46 L", "33.6 L"]);
    expect(plain(sayRoom(46, IMPERIAL))).toBe("2 807 cu in");
    expect(plain(sayCameHome({ unit: "kg", out: 1.2, back: 0.3 }, IMPERIAL))).toBe("10.6 oz of 2 lb 10.3 oz");
    expect(plain(sayCameHome({ unit: "bars", out: 12, back: 7 }, IMPERIAL))).toBe("7 of 12 bars");
  });

  test("a rate by the kilometre is more by the mile, and grams become ounces", () => {
    // 1 oz is 28.349 523 g, 1 mi 1.609 344 km (NIST SP 811).
    expect(plain(sayRate(0.1, { unit: "L", over: "km" }, METRIC))).toBe("0.1 L a km");
    expect(plain(sayRate(0.1, { unit: "L", over: "km" }, IMPERIAL))).toBe("0.17 qt a mi");
    expect(plain(sayRate(28.349523125, { unit: "g", over: "night" }, IMPERIAL))).toBe("1 oz a night");
    expect(plain(sayRate(26.4, { unit: "g", over: "night" }, METRIC))).toBe("26 g a night");
    expect(plain(sayRate(8.2, { unit: "g", over: "L boiled" }, METRIC))).toBe("8.2 g a litre boiled");
  });
});

describe("a bed", () => {
  const comfort = { median: 2, low: -1, high: 5, nights: 3, relyOn: 3, coldAt: () => 0.5, coolAt: () => 0.6 };
  test("says what to rely on, warmer than the likely line while nights are few", () => {
    expect(plain(sayComfort(comfort, METRIC))).toBe(
      "Right for you down to about 2 °C; four times in five the line lies between −1 °C and 5 °C. With 3 nights told, rely on 3 °C.",
    );
    expect(plain(sayComfort({ ...comfort, relyOn: 2, nights: 20 }, METRIC))).toMatch(
      /^Right for you down to about 2 °C, by 20 nights;/,
    );
    expect(plain(sayComfort({ ...comfort, nights: 0, relyOn: 5 }, IMPERIAL))).toBe(
      "No night in it has been told: by its label and what is usual, four times in five the line lies between 30 °F and 41 °F. Rely on 41 °F.",
    );
  });

  test("a label says what it means by its standard; extreme is no temperature to plan by", () => {
    expect(plain(sayLabel({ celsius: -4, means: "limit" }, METRIC))).toMatch(
      /^The label says −4 °C, limit by test \(ISO 23537-1\)/,
    );
    expect(sayLabel({ celsius: -20, means: "extreme" }, METRIC)).toMatch(/no temperature to plan by/);
    expect(sayLabel(undefined, METRIC)).toMatch(/Nothing is known of its label/);
  });
});

test("what would change a verdict is one sentence, whatever is supposed", () => {
  const said = (supposed: Supposition) => plain(sayFlip({ supposed, then: "keep" }));
  expect(said({ kind: "trips", n: 1, use: "used", calls: ["rain"], without: false })).toBe(
    "Used on one more trip with rain: then “keep”.",
  );
  expect(said({ kind: "trips", n: 3, use: "unused", calls: ["rain"], without: true })).toBe(
    "Unused on three more trips without rain: then “keep”.",
  );
  expect(said({ kind: "next trip", factor: 0.5 })).toBe("A next trip of half the length: then “keep”.");
  expect(said({ kind: "next trip", factor: 2 })).toBe("A next trip of twice the length: then “keep”.");
  expect(said({ kind: "next trip", factor: 4 })).toBe("A next trip of four times the length: then “keep”.");
  expect(said({ kind: "graded", condition: 4 })).toBe("A grade of 4 of 5: then “keep”.");
  expect(said({ kind: "logged", what: "repair" })).toBe("A repair, logged: then “keep”.");
  expect(sayFlip(null)).toBe("Nothing that twenty more trips could bring.");
});

test("of any history, in any units: whole sentences, with nothing of the machine in them, in the owner's units alone", () =>
  fc.assert(
    fc.property(anyFile, fc.constantFrom(METRIC, IMPERIAL), (file, units) => {
      const log = logOf({ ...file, settings: { units } });
      const book = openBook(log, TODAY);
      const notes = new Set(log.trips.flatMap(({ carries }) => carries.map(({ mark }) => mark?.note.trim())));
      for (const advice of kitOf(book).things)
        for (const verdict of advice.verdicts) {
          const sentence = plain(says(advice.case, verdict));
          // What its owner wrote is quoted as it is.
          if ([...notes].some((note) => note && sentence.includes(note))) continue;
          expect(sentence).toMatch(/^[^a-z].*[.”]$/);
          expect(sentence).not.toMatch(/undefined|NaN|null|\[object|Infinity| {2}|\.\.|\$\{/);
          if (units === IMPERIAL) expect(sentence).not.toMatch(/\d (km|g|kg|m|°C)\b/);
          else expect(sentence).not.toMatch(/\d (mi|oz|lb|ft|°F)\b/);
        }
    }),
    { numRuns: 150 },
  ));
