import { expect, test } from "vitest";
import { HeardFact, Mark, TripHead, type ItemId } from "../../model";
import { intoDebrief } from "./into-debrief";

const TRIP = TripHead.parse({
  id: "t",
  name: "T",
  starts: "2026-05-01",
  ends: "2026-05-04",
  legs: [
    { id: "a", distance: "40 km" },
    { id: "b", distance: "40 km" },
  ],
  supplies: [{ what: "Gas", unit: "g", out: 230, back: 0 }],
});
const TENT = "tent" as ItemId;
const into = (facts: readonly object[], known: Mark | null = null) =>
  intoDebrief(
    facts.map((fact) => ({ fact: HeardFact.parse(fact), text: " as told " })),
    {
      trip: TRIP,
      carries: [
        { item: "pot" as ItemId, legs: null, shared: null, mark: Mark.parse({ use: "hardly" }) },
        { item: TENT, legs: null, shared: null, mark: known },
      ],
    },
    "2026-05-02",
  );
const markOf = (said: object, known: Mark | null = null) =>
  into([{ about: "thing", item: TENT, ...said }], known).marks.get(TENT);

const SAID = {
  use: "hardly",
  trouble: "damaged",
  symptoms: ["torn"],
  complaints: ["leaks", "too heavy"],
  on: "rain",
  exit: "swapped",
  for: "tarp",
  why: "awkward",
  call: "leave",
  pieces: 2,
  enough: 1,
  left: 0.5,
  condition: 2,
  frost: "kept",
  fix: "patched",
  days: 3,
  metres: 50_000,
};

test("a mark has all that was heard, where nothing was known; the words stand in its note", () => {
  expect(markOf(SAID)).toEqual({
    ...Mark.parse({ use: "hardly" }),
    troubles: ["damaged"],
    symptoms: ["torn"],
    complaints: [
      { what: "leaks", on: "rain" },
      { what: "too heavy", on: "rain" },
    ],
    exit: { how: "swapped", for: "tarp" },
    why: "awkward",
    call: "leave",
    pieces: 2,
    enough: 1,
    left: 0.5,
    condition: 2,
    frost: "kept",
    fix: "patched",
    days: 3,
    at: { leg: "b", distance: expect.objectContaining({ m: 50_000 }) },
    note: "as told",
  });
});

test("what was marked before stays where nothing else is said, and is not said twice", () => {
  const known = markOf(SAID)!;
  expect(markOf({ symptoms: ["torn"], complaints: ["leaks"] }, known)).toEqual({
    ...known,
    note: "as told; as told",
  });
  expect(markOf({ complaints: ["slides"], exit: "lost" }, known)).toMatchObject({
    complaints: [...known.complaints, { what: "slides", on: null }],
    exit: { how: "lost", for: null },
  });
  expect(markOf({ why: "cover", call: "bring again", pieces: 1, condition: 4 }, known)).toMatchObject({
    why: "cover",
    call: "bring again",
    pieces: 1,
    condition: 4,
    enough: 1,
    left: 0.5,
    days: 3,
  });
});

test("what something happened to was used, whatever was marked before; what was only said stays unused", () => {
  const unused = Mark.parse({ use: "unused" });
  for (const said of [
    { trouble: "failed" },
    { symptoms: ["torn"] },
    { complaints: ["leaks"] },
    { days: 2 },
    { fix: "patched" },
  ])
    expect(markOf(said, unused)?.use, JSON.stringify(said)).toBe("used");
  for (const said of [{ call: "leave" }, { why: "cover" }, { enough: 1 }])
    expect(markOf(said, unused)?.use, JSON.stringify(said)).toBe("unused");
  // Nobody said: used, until the debrief asks.
  expect(markOf({ call: "leave" })?.use).toBe("used");
});

test("of several things each has its own mark, and two sentences of one come together", () => {
  const { marks } = into([
    { about: "thing", item: TENT, trouble: "damaged" },
    { about: "thing", item: "pot", complaints: ["too heavy"] },
    { about: "thing", item: TENT, fix: "patched" },
  ]);
  expect(marks.get(TENT)).toMatchObject({ troubles: ["damaged"], fix: "patched", note: "as told; as told" });
  expect(marks.get("pot" as ItemId)).toMatchObject({ use: "hardly", complaints: [{ what: "too heavy" }] });
});

test("a day is where one was on it; nothing said of a place leaves it", () => {
  expect(markOf({ trouble: "failed", day: 1 })?.at).toMatchObject({ leg: "a" });
  expect(markOf({ trouble: "failed", day: 4 })?.at).toMatchObject({ leg: "b" });
  expect(markOf({ trouble: "failed" })?.at).toBeNull();
});

test("who carried it, what made the trip and what could have stayed stand with the trip, as many as it names", () => {
  const told = into([
    { about: "thing", item: TENT, with: "Ida" },
    { about: "thing", item: "pot", with: "Ida", use: "used" },
    ...["a", "b", "c", "d", "a"].map((item) => ({ about: "thing", item, made: true })),
    { about: "thing", item: "e", stay: true },
    { about: "thing", item: TENT, did: "wash" },
  ]);
  expect([...told.shared]).toEqual([
    [TENT, { with: "Ida", part: 0, legs: null }],
    ["pot", { with: "Ida", part: 0.5, legs: null }],
  ]);
  expect(told.trip.made).toEqual(["a", "b", "c"]);
  expect(told.trip.stay).toEqual(["e"]);
  expect(told.done).toEqual([{ item: TENT, what: "wash", text: " as told " }]);
  // Only carried, praised or washed: no mark of that.
  expect([...told.marks.keys()]).toEqual(["pot"]);
});

test("amounts go into their own row, whatever its capitals; a share is of what went out", () => {
  const amount = (what: string, how: string, value: number, unit: string) => ({
    about: "amount",
    what,
    how,
    value,
    unit,
  });
  expect(into([amount("gas", "left", 25, "%")]).trip.supplies).toMatchObject([
    { what: "Gas", out: 230, back: 57.5 },
  ]);
  expect(into([amount("gas", "used", 100, "g")]).trip.supplies).toMatchObject([
    { what: "Gas", out: 230, back: 130 },
  ]);
  // More came home than went out: then at least as much went out.
  expect(into([amount("gas", "left", 300, "g")]).trip.supplies).toMatchObject([
    { what: "Gas", out: 300, back: 300 },
  ]);
  expect(into([amount("gas", "out", 200, "g")]).trip.supplies).toMatchObject([{ what: "Gas", out: 200 }]);
  expect(into([amount("food", "left", 50, "%")]).trip.supplies).toHaveLength(1);
  expect(
    into([amount("food", "out", 900, "g"), amount("food", "out", 800, "g")]).trip.supplies,
  ).toMatchObject([{ what: "Gas" }, { what: "food", out: 800, back: 0 }]);
  const boiled = into([amount("boiled", "used", 1.25, "L"), amount("boiled", "used", 0.5, "L")]).trip;
  expect(boiled.boiled).toBe(1.75);
  expect(boiled.supplies).toHaveLength(1);
});

test("one night has the day of its words, several have none", () => {
  const night = { about: "night", low: 3, felt: "cool", slept: ["quilt"] };
  expect(into([{ ...night, nights: 1 }]).trip.felt).toMatchObject([{ on: "2026-05-02", low: 3 }]);
  expect(into([{ ...night, nights: 2 }]).trip.felt.map(({ on }) => on)).toEqual([null, null]);
});
