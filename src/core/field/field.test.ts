import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { Leg, Mark, type Item, type ItemId } from "../model";
import { sayUnderstood } from "../say/field-line";
import { boiledWith, intoMark } from "./into-debrief";
import { parseFieldLine, type Named } from "./parse-field-line";

const thing = (id: string, name: string, kind: string): Named => ({ id: id as ItemId, name, kind }) as Item;
const ALONG = [
  thing("torch", "First head torch", "head torch"),
  thing("poncho", "Green poncho", "light rain shell"),
  thing("quilt", "Quilt", "quilt"),
  thing("jacket", "Down jacket", "insulated jacket"),
  thing("shoes-2", "Trail shoes, pair 2", "trail shoes"),
  thing("shoes-3", "Trail shoes, pair 3", "trail shoes"),
  thing("gas", "Gas canister", "fuel"),
  thing("pad", "Air pad", "air pad"),
  thing("map", "Map and compass", "map"),
];
const read = (text: string) => parseFieldLine(text, ALONG).understood;

describe("lines as they are written on the way", () => {
  test.each<[string, object]>([
    [
      "torch died, km 41",
      { as: "mark", item: "torch", trouble: "failed", use: "used", metres: 41_000, exit: null },
    ],
    ["Torch dead at 41.5 km", { as: "mark", item: "torch", trouble: "failed", metres: 41_500 }],
    [
      "poncho sent home",
      { as: "mark", item: "poncho", exit: "sent home", use: null, trouble: null, metres: null },
    ],
    ["lost the poncho near mile 10", { as: "mark", item: "poncho", exit: "lost", metres: 16_093.44 }],
    ["air pad leaks", { as: "mark", item: "pad", trouble: "damaged", use: "used" }],
    ["pair 2 worn out, km 320", { as: "mark", item: "shoes-2", exit: "worn out", metres: 320_000 }],
    [
      "pair 2 swapped for pair 3 at km 150",
      { as: "mark", item: "shoes-2", exit: "swapped", instead: "shoes-3", metres: 150_000 },
    ],
    ["down jacket unused", { as: "mark", item: "jacket", use: "unused", trouble: null, exit: null }],
    [
      "cold night, 2 °C, in quilt and jacket",
      { as: "night", low: 2, felt: "cold", slept: ["quilt", "jacket"] },
    ],
    ["night −3°, fine in the quilt", { as: "night", low: -3, felt: "right", slept: ["quilt"] }],
    [
      "slept warm under the quilt, on the air pad",
      { as: "night", low: null, felt: "warm", slept: ["quilt", "pad"] },
    ],
    ["28 °F night", { as: "night", low: -2.2, felt: null, slept: [] }],
    ["boiled 1.2 L", { as: "amount", how: "boiled", amount: 1.2, unit: "L", item: null }],
    ["400 g of gas left", { as: "amount", how: "left", amount: 400, unit: "g", item: "gas" }],
    ["bought a sun hat", { as: "joined", how: "bought", what: "sun hat" }],
    ["found an umbrella in the hut", { as: "joined", how: "found", what: "umbrella in the hut" }],
    ["borrowed gaiters from Ida", { as: "joined", how: "borrowed", what: "gaiters", owner: "Ida" }],
    ["borrowed the small pot", { as: "joined", how: "borrowed", what: "small pot", owner: null }],
    ["the ferry only goes on Tuesdays", { as: "note" }],
    ["quilt", { as: "note" }],
    ["", { as: "note" }],
  ])("%s", (text, understood) => expect(read(text)).toMatchObject(understood));

  test("it is said back in plain words", () => {
    const units = { weight: "g", distance: "km", temperature: "C" } as const;
    const say = (text: string) =>
      sayUnderstood(read(text), units, (id) => ALONG.find((each) => each.id === id)!.name).replaceAll(
        "\u00a0",
        " ",
      );
    expect(say("torch died, km 41")).toBe("First head torch: failed, at 41 km");
    expect(say("cold night, 2 °C, in quilt and jacket")).toBe(
      "A night that felt cold, down to 2 °C, in Quilt and Down jacket",
    );
    expect(say("400 g of gas left")).toBe("Gas canister: 400 g left");
    expect(say("hm")).toBe("A note, kept as it is");
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
];

test("never a character that was typed is lost, whatever it is", () =>
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string({ unit: "grapheme" }),
        fc
          .array(fc.oneof(fc.constantFrom(...WORDS), fc.string({ maxLength: 4 })))
          .map((words) => words.join(" ")),
      ),
      (text) => {
        const { pieces } = parseFieldLine(text, ALONG);
        expect(pieces.map((piece) => piece.text).join("")).toBe(text);
        expect(pieces.every((piece) => piece.text.length > 0)).toBe(true);
      },
    ),
    { numRuns: 2000 },
  ));

describe("what a line becomes at the debrief", () => {
  const legs = [Leg.parse({ id: "a", distance: "40 km" }), Leg.parse({ id: "b", distance: "30 km" })];
  const into = (known: Mark | null, text: string) => {
    const said = read(text);
    if (said.as !== "mark") throw new Error(text);
    return intoMark(known, said, text, legs);
  };

  test("its leg and distance, its trouble, and the line itself as a note", () =>
    expect(into(null, "torch died, km 41")).toMatchObject({
      use: "used",
      troubles: ["failed"],
      at: { leg: "b", distance: { m: 41_000 } },
      note: "torch died, km 41",
    }));

  test("what was said before stays", () => {
    const known = Mark.parse({ use: "hardly", troubles: ["nuisance"], note: "dim", condition: 3 });
    expect(into(known, "torch died, km 41")).toMatchObject({
      use: "used",
      troubles: ["nuisance", "failed"],
      condition: 3,
      note: "dim; torch died, km 41",
    });
    expect(into(known, "torch sent home")).toMatchObject({ use: "hardly", exit: { how: "sent home" } });
  });
});

test("litres boiled add up; grams, and what is left, are none", () => {
  const amount = (how: "boiled" | "left", value: number, unit: string) =>
    ({ as: "amount", how, amount: value, unit, item: null }) as const;
  expect(boiledWith(null, amount("boiled", 1.2, "L"))).toBe(1.2);
  expect(boiledWith(1.2, amount("boiled", 500, "ml"))).toBe(1.7);
  expect(boiledWith(1.2, amount("boiled", 500, "g"))).toBe(1.2);
  expect(boiledWith(1.2, amount("left", 2, "L"))).toBe(1.2);
  expect(boiledWith(null, { as: "note" })).toBeNull();
});
