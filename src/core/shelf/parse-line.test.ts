import { expect, test } from "vitest";
import { parseLine } from "./parse-line";

test.each([
  [
    "rain shell 312 g lid",
    { name: "Rain shell", kind: "rain shell", stow: "lid", weight: "312 g", pieces: 1 },
  ],
  ["312g rain shell", { name: "Rain shell", kind: "rain shell", stow: null, weight: "312g", pieces: 1 }],
  [
    "tent stakes x8 96 g main",
    { name: "Tent stakes", kind: "stakes", stow: "main", weight: "96 g", pieces: 8 },
  ],
  [
    "quilt 1 lb 6 oz in the main",
    { name: "Quilt", kind: "quilt", stow: "main", weight: "1 lb 6 oz", pieces: 1 },
  ],
  ["head torch 47", { name: "Head torch", kind: "head torch", stow: null, weight: "47 g", pieces: 1 }],
  [
    "sleeping bag 900 g",
    { name: "Sleeping bag", kind: "sleeping bag", stow: null, weight: "900 g", pieces: 1 },
  ],
  [
    "Thing nobody knows",
    { name: "Thing nobody knows", kind: "other", stow: null, weight: undefined, pieces: 1 },
  ],
  [
    "2 litre bottle 38 g side",
    { name: "2 litre bottle", kind: "water bottle", stow: "side", weight: "38 g", pieces: 1 },
  ],
])("%s", (line, expected) => {
  const { name, kind, stow, weight, pieces } = parseLine(line);
  expect({ name, kind, stow, weight: weight?.typed, pieces }).toEqual(expected);
});

test("a weight alone is no name", () => {
  expect(parseLine("312 g").name).toBe("");
});

test("a weight below zero is refused, and a hyphen in a name is none", () => {
  expect(parseLine("tent -5 g")).toMatchObject({ name: "Tent", weight: null });
  expect(parseLine("tent -5 g").wrong).toMatch(/^It can't be below zero\./);
  expect(parseLine("tent −5").wrong).toMatch(/^It can't be below zero\./);
  expect(parseLine("T-5 torch 80 g")).toMatchObject({ name: "T-5 torch", wrong: null, weight: { g: 80 } });
});
