import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { savedByLeaving } from "./leaving";
import { shareBetween } from "./truth";

const walk = (month: number, km: number, marks: readonly object[], more: object = {}) => ({
  name: `Walk ${month}`,
  starts: `2026-0${month}-10`,
  ends: `2026-0${month}-12`,
  distance: `${km} km`,
  marks,
  ...more,
});
const item = (name: string, weight: string, more: object = {}) => ({
  id: name,
  name,
  kind: "chair",
  weight,
  ...more,
});
const unused = (name: string) => ({ item: name, use: "unused" });
const used = (name: string) => ({ item: name, use: "used" });

// Worked by hand: the chair, 900 g, lay idle in January and stayed at home for 40 and 60 km: 90 kg·km.
test("what lay idle and stayed at home since has saved its weight times the way", () => {
  const book = openBook(
    logOf({
      items: [
        item("chair", "900 g"),
        item("stool", "500 g"),
        item("lost-one", "700 g", { state: "lost", since: "2026-01-20" }),
        item("kept", "300 g"),
      ],
      trips: [
        walk(1, 30, [unused("chair"), used("stool"), unused("lost-one"), unused("kept")]),
        walk(2, 40, [unused("kept")]),
        walk(3, 60, [used("kept")]),
      ],
    }),
    "2026-06-01",
  );
  expect(
    savedByLeaving(book).map(({ item: { name }, trips, gramMetres, missed }) => [
      name,
      trips,
      gramMetres,
      missed,
    ]),
  ).toEqual([["chair", 2, 900 * 100_000, 0]]);
});

test("a share's interval is the other way round for what did not happen, and narrows with more", () => {
  const [low, high] = shareBetween(5, 10);
  expect(low + high).toBeCloseTo(1, 6);
  const [few, many] = [shareBetween(2, 10), shareBetween(20, 100)];
  expect(many[1] - many[0]).toBeLessThan(few[1] - few[0]);
  expect(shareBetween(0, 10)[0]).toBe(0);
  expect(shareBetween(10, 10)[1]).toBe(1);
});
