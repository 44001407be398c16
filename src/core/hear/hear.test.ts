import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { Item, Mark, TripHead, type ItemId } from "../model";
import { sayHeard } from "../say/walk/heard";
import { withDefaults } from "../trade/full-item";
import { kindOf } from "../trade/words/names";
import type { HeardFact } from "../model";
import { hear, namedOf } from "./hear";
import { intoDebrief } from "./taken/into-debrief";
import { piecesOf } from "./taken/pieces";

const thing = (id: string, name: string, kind: string, pieces = 1) => {
  const item = Item.parse({ id, name, kind, pieces });
  return namedOf(withDefaults(item, kindOf(item)), true);
};
const ALONG = [
  thing("torch", "First head torch", "head torch"),
  thing("poncho", "Green poncho", "light rain shell"),
  thing("quilt", "Quilt", "quilt"),
  thing("jacket", "Down jacket", "insulated jacket"),
  thing("shoes-2", "Trail shoes, pair 2", "trail shoes"),
  thing("shoes-3", "Trail shoes, pair 3", "trail shoes"),
  thing("gas", "Gas canister", "fuel"),
  thing("pad", "Air pad", "inflatable pad"),
  thing("map", "Map and compass", "map and compass"),
  thing("stakes", "Stakes", "stakes", 8),
];
const factsOf = (text: string): HeardFact[] =>
  hear(text, ALONG).flatMap(({ heard }) => heard.map(({ fact }) => fact));

describe("lines as they are written on the way", () => {
  test.each<[string, object[]]>([
    ["torch died, km 41", [{ item: "torch", trouble: "failed", metres: 41_000 }]],
    ["Torch dead at 41.5 km", [{ item: "torch", trouble: "failed", metres: 41_500 }]],
    ["poncho sent home", [{ item: "poncho", exit: "sent home" }]],
    ["lost the poncho near mile 10", [{ item: "poncho", exit: "lost", metres: 16_093.44 }]],
    ["air pad leaks", [{ item: "pad", trouble: "damaged", symptoms: ["leaks air"] }]],
    ["pair 2 worn out, km 320", [{ item: "shoes-2", exit: "worn out", metres: 320_000 }]],
    [
      "pair 2 swapped for pair 3 at km 150",
      [{ item: "shoes-2", exit: "swapped", for: "shoes-3", metres: 150_000 }],
    ],
    ["swapped in pair 3 for pair 2", [{ item: "shoes-2", exit: "swapped", for: "shoes-3" }]],
    ["down jacket unused", [{ item: "jacket", use: "unused" }]],
    [
      "lost two stakes and the poncho",
      [
        { item: "stakes", pieces: 2 },
        { item: "poncho", exit: "lost" },
      ],
    ],
    ["night −3°, fine in the quilt", [{ about: "night", low: -3, felt: "right", slept: ["quilt"] }]],
    ["28 °F night", [{ about: "night", low: -2.2, felt: null, slept: [] }]],
    ["boiled 1.2 L", [{ about: "amount", what: "boiled", how: "used", value: 1.2, unit: "L" }]],
    ["400 g of gas left", [{ about: "amount", what: "gas", how: "left", value: 400, unit: "g" }]],
    ["bought a sun hat", [{ about: "joined", how: "bought", what: "sun hat" }]],
    ["borrowed gaiters from Ida", [{ about: "joined", how: "borrowed", what: "gaiters", from: "Ida" }]],
    ["wish I had a warm hat", [{ about: "missed", what: "warm hat" }]],
    ["no cold nights", []],
    ["torch never failed", []],
    ["Ida's torch died", []],
    ["lost the trail for an hour", []],
    ["almost lost the poncho", []],
    ["if the torch dies I go home", []],
    ["quilt better than the down jacket", []],
    ["the ferry only goes on Tuesdays", []],
    ["left the poncho at 6", []],
    ["bent down to fix the poncho", []],
    ["did the torch die?", []],
    ["quilt", []],
    ["", []],
  ])("%s", (text, facts) => {
    const heard = factsOf(text);
    expect(heard).toMatchObject(facts);
    expect(heard).toHaveLength(facts.length);
  });

  test.each<[string, object[]]>([
    // What is spoken of stays so while other things are named beside it.
    ["The quilt, well, I lay on the air pad, so I never got that out.", [{ item: "quilt", use: "unused" }]],
    ["The poncho tore while I was washing the down jacket.", [{ item: "poncho", symptoms: ["torn"] }]],
    ["The sleeve of the down jacket is torn", [{ item: "jacket", symptoms: ["torn"] }]],
    ["The poncho never left the pack", [{ item: "poncho", use: "unused" }]],
    // Whatever one does with a thing, one did not.
    ["The poncho I never unfurled", [{ item: "poncho", use: "unused" }]],
    ["they never dried out", []],
    // Numbers in words, and put right.
    ["I used the poncho on four, no, five days", [{ item: "poncho", use: "used", days: 5 }]],
    [
      "Gas, two hundred and thirty grams out, ninety-six came back",
      [
        { about: "amount", how: "out", value: 230 },
        { about: "amount", how: "left", value: 96 },
      ],
    ],
    [
      "In the quilt, six degrees the first night and cool, minus two the second and cold",
      [
        { about: "night", low: 6, felt: "cool", slept: ["quilt"] },
        { about: "night", low: -2, felt: "cold", slept: ["quilt"] },
      ],
    ],
    // What is to be done, was held against, or was bought.
    ["The poncho needs a wash and reproofing", []],
    ["bought gas, 230 g can", [{ about: "joined", how: "bought" }]],
    ["lost my way, map and compass out all day", [{ item: "map", use: "used" }]],
    ["the quilt lost feathers all night", []],
    // A night with its degrees, told in any order, and what was worn in it.
    [
      "In the quilt the night was cold at about 3",
      [{ about: "night", low: 3, felt: "cold", slept: ["quilt"] }],
    ],
    ["In the quilt the nights were fine, at -4", [{ about: "night", low: -4, slept: ["quilt"] }]],
    ["In the quilt the night was cold at 12", [{ about: "night", low: 12 }]],
    [
      "Slept in the quilt with the down jacket on, minus four, cold",
      [{ about: "night", low: -4, felt: "cold", slept: ["quilt", "jacket"] }],
    ],
    // What was only thought of is no call, nor what should have been.
    ["Thinking of leaving the poncho at home next time", []],
    ["The poncho should have been mended before", []],
  ])("talk: %s", (text, facts) => {
    const heard = factsOf(text);
    expect(heard.filter((each) => each.about !== "thing" || each.item !== "pad")).toMatchObject(facts);
  });

  test("it is said back in plain words", () => {
    const units = { weight: "g", distance: "km", temperature: "C" } as const;
    const say = (text: string) =>
      sayHeard(factsOf(text), units, (id) => ALONG.find((each) => each.id === id)!.name).replaceAll(
        /[\u00a0\u202f]/g,
        " ",
      );
    expect(say("torch died, km 41")).toBe("First head torch: failed, at 41 km");
    expect(say("20 g gas left, torch dead. great")).toBe("Gas: 20 g left; First head torch: failed");
    expect(say("hm")).toBe("A note, kept as it is");
  });
});

describe("directions", () => {
  const HARMS = ["leaks", "tore", "broke", "died", "slides", "clogged", "smells", "is bent"];
  const SUBJECTS = [
    ["torch", "torch"],
    ["poncho", "poncho"],
    ["air pad", "pad"],
    ["down jacket", "jacket"],
  ] as const;
  const harm = fc.constantFrom(...HARMS);
  const subject = fc.constantFrom(...SUBJECTS);

  test("a denial put in takes the fact away, and turns it into no other", () =>
    fc.assert(
      fc.property(subject, harm, ([words, id], verb) => {
        const heard = factsOf(`the ${words} never ${verb}`);
        expect(
          heard.filter(
            (fact) =>
              fact.about === "thing" &&
              fact.item === id &&
              (fact.trouble ?? fact.symptoms ?? fact.complaints),
          ),
        ).toEqual([]);
      }),
    ));

  test("two things said in one line say what both say by themselves", () =>
    fc.assert(
      fc.property(subject, harm, subject, harm, (a, one, b, other) => {
        fc.pre(a !== b);
        const both = factsOf(`the ${a[0]} ${one}, the ${b[0]} ${other}`);
        expect(both).toEqual(
          expect.arrayContaining([...factsOf(`the ${a[0]} ${one}`), ...factsOf(`the ${b[0]} ${other}`)]),
        );
      }),
    ));

  test("case, and a letter swapped in a long word, change nothing", () => {
    expect(factsOf("PONCHO TORN")).toEqual(factsOf("poncho torn"));
    expect(factsOf("ponhco torn")).toEqual(factsOf("poncho torn"));
    expect(factsOf("down jakcet smells")).toEqual(factsOf("down jacket smells"));
  });

  test("another word for a thing changes nothing, nor in which order a swap is told", () => {
    for (const [name, other] of [
      ["head torch", "headlamp"],
      ["air pad", "air mattress"],
      ["down jacket", "puffy"],
      ["stakes", "pegs"],
      ["gas canister", "gas"],
    ] as const)
      for (const said of ["is broken", "never used", "sent home from the shop", "lost on the ferry"])
        expect(factsOf(`the ${other} ${said}`)).toEqual(factsOf(`the ${name} ${said}`));
    const swap = factsOf("swapped pair 2 for pair 3");
    for (const told of [
      "pair 2 swapped for pair 3",
      "pair 3 instead of pair 2",
      "swapped in pair 3 for pair 2",
    ])
      expect(factsOf(told)).toEqual(swap);
  });

  test("a text of many sentences, each told by itself, says what they say together", () => {
    const said = ["The poncho tore at the hem.", "I never put the down jacket on.", "Lost two stakes."];
    expect(factsOf(said.join(" "))).toEqual(said.flatMap((sentence) => factsOf(sentence)));
  });
});

const WORDS = [
  "torch",
  "quilt",
  "gas",
  "died",
  "sent home",
  "lost",
  "km 41",
  "2 °C",
  "night",
  "cold",
  "in",
  "and",
  "left",
  "400 g",
  "swapped for",
  "boiled",
  "bought",
  "Ida's",
  "\n",
  "… ",
];

test("never a character that was typed is lost, whatever it is, and nothing throws", () =>
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ unit: "grapheme" }),
        fc
          .array(fc.oneof(fc.constantFrom(...WORDS), fc.string({ maxLength: 4 })))
          .map((words) => words.join(" ")),
      ),
      (text) => {
        const sentences = hear(text, ALONG);
        expect(sentences.map((sentence) => sentence.text).join("")).toBe(text);
        const pieces = piecesOf(sentences);
        expect(pieces.map((piece) => piece.text).join("")).toBe(text);
        expect(pieces.every((piece) => piece.text.length > 0)).toBe(true);
      },
    ),
    { numRuns: 1500 },
  ));

test("a long line, none on the shelf, and six hundred things of like names are answered", () => {
  const many = Array.from({ length: 600 }, (_, n) => thing(`thing-${n}`, `Pad ${n}`, "foam pad"));
  expect(hear("the pad tore ".repeat(25), many).length).toBeGreaterThan(0);
  expect(hear("the pad tore", []).flatMap(({ heard }) => heard)).toEqual([]);
  expect(
    hear("العشاء كان باردا 🏕️ torch died", ALONG)
      .map(({ text }) => text)
      .join(""),
  ).toBe("العشاء كان باردا 🏕️ torch died");
});

describe("what a line becomes at the debrief", () => {
  const trip = TripHead.parse({
    id: "t",
    name: "T",
    starts: "2026-05-01",
    ends: "2026-05-04",
    legs: [
      { id: "a", distance: "40 km" },
      { id: "b", distance: "30 km" },
    ],
  });
  const into = (text: string, known: Mark | null = null, item = "torch") =>
    intoDebrief(
      factsOf(text).map((fact) => ({ fact, text })),
      { trip, carries: [{ item: item as ItemId, legs: null, shared: null, mark: known }] },
      "2026-05-02",
    );

  test("a mark keeps what it said, and has the line in its note and its place on its leg", () => {
    const known = Mark.parse({ use: "used", complaints: [{ what: "weak" }], note: "dim" });
    const { marks } = into("torch died, km 41", known);
    expect(marks.get("torch" as ItemId)).toMatchObject({
      use: "used",
      troubles: ["failed"],
      complaints: [{ what: "weak" }],
      note: "dim; torch died, km 41",
      at: { leg: "b", distance: { m: 41_000 } },
    });
  });

  test("a night keeps its date and its bed; gas left stands in its supply; what was missed, done or bought is told apart", () => {
    expect(into("-1 in the quilt, fine").trip.felt).toMatchObject([
      { on: "2026-05-02", low: -1, felt: "right", slept: ["quilt"] },
    ]);
    expect(into("set out with 230 g gas").trip.supplies).toMatchObject([
      { what: "gas", unit: "g", out: 230, back: 0 },
    ]);
    // What was carried adds up, what was drunk comes off it; a share is of what went out, and of nothing it is none.
    expect(into("carried 3 l\ncarried 2 l\ndrank 4 l").trip.supplies).toMatchObject([
      { what: "water", unit: "L", out: 5, back: 1 },
    ]);
    expect(into("set out with 230 g gas\ngas half left").trip.supplies).toMatchObject([
      { what: "gas", unit: "g", out: 230, back: 115 },
    ]);
    expect(into("gas half left").trip.supplies).toEqual([]);
    expect(into("wish I had a warm hat").trip.missed).toMatchObject([{ what: "warm hat" }]);
    expect(into("sewed the poncho").done).toMatchObject([{ item: "poncho", what: "repair" }]);
    expect(into("bought a sun hat").joined).toMatchObject([{ how: "bought", what: "sun hat" }]);
    expect(into("boiled 1.5 l").trip.boiled).toBe(1.5);
  });

  test("a note changes nothing", () => {
    const { marks, done, joined, trip: told } = into("lovely morning");
    expect([marks.size, done, joined, told.felt, told.missed]).toEqual([0, [], [], [], []]);
  });
});
