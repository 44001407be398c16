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

test.each<readonly [string, object]>([
  // Places by the names they have on the pages.
  ["tent 1.2kg main bag", { name: "Tent", stow: "main" }],
  ["map 40 g hip belt", { name: "Map", stow: "hip" }],
  ["map 40 g in the hip belt pocket", { name: "Map", stow: "hip" }],
  ["bottle 38 g side pockets", { name: "Bottle", stow: "side" }],
  ["poles in the hands 462 g", { name: "Poles", stow: "hand", weight: "462 g" }],
  ["bread 800 g food bag", { name: "Bread", stow: "food" }],
  ["food bag 46 g", { name: "Food bag", kind: "food bag", stow: null }],
  ["day bag 390 g", { name: "Day bag", stow: null }],
  ["medicines 40 g in a bag", { name: "Medicines", stow: "bag" }],
  ["lid 20 g", { name: "Lid", stow: null }],
  ["pot lid 20 g", { name: "Pot lid", stow: null }],
  ["pot 124 g lid", { name: "Pot", stow: "lid" }],
  ["pot in the lid", { name: "Pot", stow: "lid" }],
  ["merino top 182 g", { name: "Merino top", stow: null }],
  ["merino top", { name: "Merino top", stow: null }],
  ["merino top 182 g worn", { name: "Merino top", stow: "worn" }],
  ["dried food 800 g", { name: "Dried food", stow: null }],
  ["bread 800 g food", { name: "Bread", stow: "food" }],
  ["torch 47 g top", { name: "Torch", stow: "lid" }],
  ["knife 42 lid", { name: "Knife", weight: "42 g", stow: "lid" }],
  // Weights as people write them.
  ["tent 1,200 g", { name: "Tent", g: 1200 }],
  ["tent, 1,2 kg", { name: "Tent", g: 1200 }],
  ["tent 2lb3oz", { name: "Tent", weight: "2lb3oz" }],
  ["boots 1\u202f240\u00a0g worn", { name: "Boots", g: 1240, stow: "worn" }],
  ["jacket ~ 316 g", { name: "Jacket", weight: "316 g" }],
  ["jacket approx. 316g lid", { name: "Jacket", weight: "316g", stow: "lid" }],
  ["water filter 68 g (claimed)", { name: "Water filter", weight: "68 g", claimed: true }],
  ["stove 83 g €35", { name: "Stove", weight: "83 g" }],
  // What is no weight.
  ["air pad r-value 3.2", { name: "Air pad r-value 3.2", weight: undefined }],
  ["sunscreen SPF 50", { name: "Sunscreen SPF 50", weight: undefined }],
  ["trail shoes, pair 3", { name: "Trail shoes, pair 3", weight: undefined }],
  ["shoes size 44 631 g", { name: "Shoes size 44", weight: "631 g" }],
  ["40 L pack 1080 g", { name: "40 L pack", weight: "1080 g" }],
  // So many, and what they weigh together.
  ["8 stakes 96 g", { name: "Stakes", kind: "stakes", pieces: 8, weight: "96 g" }],
  ["3 pairs of socks 210 g", { name: "Socks", pieces: 3, weight: "210 g" }],
  ["socks x3 70 g each", { name: "Socks", pieces: 3, weight: "210 g" }],
  ["4 bottles 1.3 oz each", { name: "Bottles", kind: "water bottle", pieces: 4, weight: "147.4 g" }],
  ["socks 71g/pair", { name: "Socks", pieces: 1, weight: "71g" }],
  ["2 person tent 1400 g", { name: "2 person tent", pieces: 1 }],
  ["3 days food 1.8 kg", { name: "3 days food", pieces: 1 }],
  ["2 litres bottle 38 g", { name: "2 litres bottle", pieces: 1 }],
  ["4 guy lines 40 g", { name: "4 guy lines", pieces: 1 }],
])("as people write it: %s", (line, expected) => {
  const { weight, ...read } = parseLine(line);
  expect({ ...read, weight: weight?.typed, g: weight?.g }).toMatchObject(expected);
});

test("a weight alone is no name", () => {
  expect(parseLine("312 g").name).toBe("");
});

test("a weight below zero is refused, and a hyphen in a name is none", () => {
  expect(parseLine("tent -5 g")).toMatchObject({ name: "Tent", weight: null });
  expect(parseLine("tent -5 g").wrong).toMatch(/^It can't be below zero\./);
  expect(parseLine("-5 g hat")).toMatchObject({ name: "Hat", weight: null });
  expect(parseLine("tent −5").wrong).toMatch(/^It can't be below zero\./);
  expect(parseLine("T-5 torch 80 g")).toMatchObject({ name: "T-5 torch", wrong: null, weight: { g: 80 } });
});
