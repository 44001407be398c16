import { expect, test } from "vitest";
import { demoLog } from "../../../../demo/log";
import { logOf } from "../../../../tests/histories";
import { kitOf } from "../../advice/kit";
import { unusedOf, gramsOf, wentAlong } from "../../ledger/along";
import { openBook } from "../../ledger/book";
import { capital, sayMass } from "../../units/speak";
import { reviewOf } from "./review";

const log = demoLog();
const book = openBook(log, "2026-10-01");
const kit = kitOf(book);
const walked = log.trips.filter(({ planned }) => !planned);

test("a review names nothing that was not along, and says of each thing what its mark says", () => {
  for (const trip of walked) {
    const { rows, parts } = reviewOf(trip, book, kit);
    expect(rows.map(({ name }) => name)).toEqual(wentAlong(trip, book).map(({ item }) => item.name));
    for (const [n, { item, carry }] of wentAlong(trip, book).entries()) {
      expect(rows[n]!.use).toBe(carry.mark?.use ?? "");
      for (const symptom of carry.mark?.symptoms ?? []) expect(rows[n]!.said).toContain(symptom);
      const wrong = parts.find(({ head }) => head === "What went wrong")?.sentences ?? [];
      const isTold = wrong.some((sentence) => sentence.startsWith(`${item.name}: `));
      const { troubles = [], symptoms = [], complaints = [], exit = null } = carry.mark ?? {};
      expect(isTold).toBe(troubles.length + symptoms.length + complaints.length > 0 || exit !== null);
    }
    const { dead } = unusedOf(wentAlong(trip, book));
    const stayed = parts.find(({ head }) => head === "What stayed in the pack")?.sentences ?? [];
    if (dead.length > 0) expect(stayed[0]).toContain(sayMass(gramsOf(dead), book.settings.units));
    expect(parts.flatMap(({ sentences }) => sentences).join(" ")).not.toMatch(/undefined|null|NaN|\.\./);
  }
});

test("what changes next time is what the verdicts ask of what was along", () => {
  const trip = walked.at(-1)!;
  const { parts, rows } = reviewOf(trip, book, kit);
  const asked = wentAlong(trip, book).filter(({ item }) => kit.of(item.id)?.asks[0]);
  const changes = parts.find(({ head }) => head === "What changes next time")?.sentences ?? [];
  expect(changes.map((sentence) => sentence.split(". ")[0])).toEqual(
    asked.map(({ item }) => `${capital(kit.of(item.id)!.asks[0]!.verb)}: ${item.name}`),
  );
  expect(rows.map(({ next }) => next)).toEqual(
    wentAlong(trip, book).map(({ item }) => kit.of(item.id)?.asks[0]?.verb ?? ""),
  );
  expect(rows.filter(({ next }) => next !== "")).toHaveLength(asked.length);
  expect(asked.length).toBeGreaterThan(0);
});

/** The parts of the review of one walk, by their heads. */
const partsOf = (trip: object, more: object = {}) => {
  const told = logOf({
    items: [
      { name: "Quilt", kind: "quilt", weight: "600 g" },
      { name: "Chair", kind: "chair", weight: "400 g" },
      { name: "Socks, blue", kind: "socks", weight: "50 g" },
      { name: "First aid", kind: "first-aid kit", weight: "200 g" },
      { name: "Gas", kind: "gas", weight: "330 g" },
    ],
    trips: [{ name: "Ring", starts: "2026-05-01", ends: "2026-05-03", distance: "30 km", ...trip }],
    ...more,
  });
  const open = openBook(told, "2026-06-01");
  const { title, about, parts } = reviewOf(told.trips[0]!, open, kitOf(open));
  const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
  return {
    title,
    about: plain(about),
    ...Object.fromEntries(parts.map(({ head, sentences }) => [head, sentences.map(plain)])),
  };
};

test("a small walk, part by part, by hand", () => {
  const parts = partsOf({
    conditions: { rain: "strong", bugs: "none", cold: "some" },
    cut: true,
    felt: [
      { on: "2026-05-01", low: -2, felt: "cold", slept: ["Quilt"] },
      { on: "2026-05-02", low: -2, felt: "cold", slept: ["Quilt"] },
    ],
    made: ["Quilt"],
    stay: ["Chair"],
    missed: [{ what: "a spoon" }],
    marks: [
      { item: "Quilt", use: "used", troubles: ["damaged"], symptoms: ["torn"], note: "On a thorn." },
      { item: "Chair", use: "unused", why: "another did the job" },
      { item: "Socks, blue", use: "hardly" },
      { item: "First aid", use: "unused" },
    ],
  });
  expect(parts).toMatchObject({
    title: "Ring",
    "What it was": ["30 km in 3 days and 2 nights, cut short.", "It had strong rain and some cold."],
    "What went along": [
      "4 things: 1 200 g in the pack, 50 g worn.",
      "1 thing used, 1 hardly and 2 not at all.",
    ],
    "What stayed in the pack": [
      "Chair (another did the job): 400 g, as much as a kilogram over 12 km, for nothing.",
      "Carried in case, and not needed: First aid, 200 g.",
    ],
    "What went wrong": ["Quilt: damaged, torn."],
    "Looking back": ["Made the trip: Quilt.", "Could have stayed at home: Chair.", "Missed: a spoon."],
  });
});

test("what goes for pleasure is told apart from the pack and what is worn", () => {
  const items = [{ name: "Camera", kind: "camera", weight: "500 g", load: "hobby" }];
  const parts = partsOf({ marks: [{ item: "Camera", use: "used" }] }, { items });
  expect(parts).toMatchObject({
    "What went along": ["1 thing: 0 g in the pack, 0 g worn, 500 g for pleasure.", "1 thing used."],
  });
});

test("a walk of which little is told says no more than that", () => {
  const parts = partsOf({ marks: [{ item: "Quilt" }] });
  expect(Object.keys(parts)).toEqual(["title", "about", "What it was", "What went along"]);
  expect(parts).toMatchObject({
    "What it was": ["30 km in 3 days and 2 nights."],
    "What went along": ["1 thing: 600 g in the pack, 0 g worn.", "0 things used and 1 not unpacked yet."],
  });
});
