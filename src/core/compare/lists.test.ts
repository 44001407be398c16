import fc from "fast-check";
import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import type { ItemId } from "../model";
import { compareLists, listOf, totalOf, weightOn } from "./lists";

const book = openBook(
  logOf({
    items: [
      { id: "shoes-1", name: "Shoes one", kind: "trail shoes", slot: "shoes", weight: "620 g" },
      { id: "shoes-2", name: "Shoes two", kind: "trail shoes", slot: "shoes", weight: "580 g" },
      { id: "boots", name: "Boots", kind: "boots", weight: "1200 g" },
      {
        id: "quilt",
        name: "Quilt",
        kind: "quilt",
        weights: [
          { weight: "700 g", how: "claimed" },
          { weight: "731 g", on: "2026-03-01" },
        ],
      },
      { id: "bag", name: "Sleeping bag", kind: "sleeping bag", weight: "1100 g" },
      { id: "chair", name: "Chair", kind: "chair", weight: "480 g" },
      { id: "tent", name: "Tent", kind: "tent", weight: "1400 g" },
      { id: "poem", name: "A poem", kind: "other" },
    ],
    trips: [
      {
        id: "a",
        name: "A",
        starts: "2025-05-01",
        ends: "2025-05-04",
        distance: "40 km",
        marks: ["shoes-1", "quilt", "chair", "tent", "poem"].map((item) => ({ item, use: "used" })),
      },
      {
        id: "b",
        name: "B",
        starts: "2026-05-01",
        ends: "2026-05-04",
        distance: "40 km",
        marks: [
          ...["shoes-2", "quilt"].map((item) => ({ item, use: "used" })),
          { item: "tent", use: "used", shared: { with: "Companion", part: 0.5 } },
          { item: "boots", use: "unused" },
        ],
      },
    ],
  }),
  "2026-12-01",
);
const list = (id: string) => listOf(book.tripOf(book.outings.find(({ trip }) => trip.id === id)!), book.item);

test("worked by hand: what came out, went in, took a place, was weighed again, and the sum", () => {
  const difference = compareLists(list("a"), list("b"));
  const names = (things: readonly { item: { name: string } }[]) => things.map(({ item }) => item.name);
  expect(names(difference.out)).toEqual(["Chair", "A poem"]);
  expect(names(difference.into)).toEqual(["Boots"]);
  expect(difference.swapped).toMatchObject([
    { from: { item: { id: "shoes-1" } }, to: { item: { id: "shoes-2" } }, grams: -40 },
  ]);
  // The quilt by its own weighing, not by the label's; half of the tent on another back.
  expect(difference.reweighed.map(({ to, grams }) => [to.item.id, grams])).toEqual([
    ["tent", -700],
    ["quilt", 31],
  ]);
  // − 480 + 1200 − 40 − 700 + 31
  expect(difference.grams).toBe(11);
  expect([totalOf(list("a")), totalOf(list("b"))]).toEqual([620 + 700 + 480 + 1400, 580 + 731 + 700 + 1200]);
});

test("the other way round everything is the other way round", () => {
  const [there, back] = [compareLists(list("a"), list("b")), compareLists(list("b"), list("a"))];
  expect(back.grams).toBe(-there.grams);
  expect(back.out).toEqual(there.into);
  expect(back.swapped.map(({ grams }) => grams)).toEqual([40]);
});

test("what nobody weighed is on the list without a weight, shared or not; what is no longer on the shelf is not on it", () => {
  const carry = (item: string, shared: object | null = null) => ({ item, legs: null, shared, mark: null });
  const mug = { ...book.items[0]!, id: "unweighed" as ItemId, weights: [] };
  const listed = listOf(
    {
      ends: "2026-05-03",
      carries: [carry("unweighed"), carry("unweighed", { with: "Ida", part: 0.5 }), carry("gone")] as never,
    },
    (id) => (id === mug.id ? mug : undefined),
  );
  expect(listed.map(({ grams }) => grams)).toEqual([null, null]);
  expect(totalOf(listed)).toBe(0);
});

test("a weight holds from its day on", () => {
  const quilt = book.item("quilt" as never)!;
  expect([weightOn(quilt, "2026-02-28"), weightOn(quilt, "2026-03-01")]).toEqual([700, 731]);
  expect(weightOn({ weights: [] }, "2026-01-01")).toBeNull();
});

test("of any two lists the changes add up, and nothing is told twice", () =>
  fc.assert(
    fc.property(
      fc.subarray(book.items.slice()),
      fc.subarray(book.items.slice()),
      fc.array(fc.integer({ min: 0, max: 3000 }), { minLength: 16, maxLength: 16 }),
      (a, b, weights) => {
        const listed = (items: typeof a, from: number) =>
          items.map((item, n) => ({ item, grams: weights[(from + n) % 16]! }));
        const [before, after] = [listed(a, 0), listed(b, 5)];
        const { out, into, swapped, reweighed, same, grams } = compareLists(before, after);
        const sum = (changes: readonly { grams: number }[]) =>
          changes.reduce((all, each) => all + each.grams, 0);
        expect(totalOf(into) - totalOf(out) + sum(swapped) + sum(reweighed)).toBe(grams);
        const told = [...out, ...swapped.map(({ from }) => from), ...reweighed.map(({ from }) => from)].map(
          ({ item }) => item.id,
        );
        expect(new Set([...told, ...same.map(({ item }) => item.id)])).toEqual(
          new Set(before.map(({ item }) => item.id)),
        );
        expect(told.length + same.length).toBe(before.length);
      },
    ),
  ));

test("what came out and what went in: the heaviest first", () => {
  const listed = (id: string) => {
    const item = book.item(id as ItemId)!;
    return { item, grams: item.weight!.g };
  };
  const some = ["chair", "bag", "tent"].map(listed);
  const byWeight = ["tent", "bag", "chair"];
  expect(compareLists(some, []).out.map(({ item }) => item.id)).toEqual(byWeight);
  expect(compareLists([], some).into.map(({ item }) => item.id)).toEqual(byWeight);
});
