import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { kitOf } from "../advice/kit";
import { candidates } from "./candidate";
import { keptOf, pursesOf } from "./money";

const trip = (n: number, marks: object[]) => ({
  id: `t${n}`,
  name: `T${n}`,
  starts: `2026-0${n}-01`,
  ends: `2026-0${n}-05`,
  distance: "50 km",
  marks,
});
const book = openBook(
  logOf({
    items: [
      {
        id: "tent",
        name: "Tent",
        kind: "tent",
        weight: "900 g",
        price: 300,
        acquired: "2024-03-01",
        ratings: { packed: 8 },
      },
      { id: "mat", name: "Mat", kind: "inflatable pad", weight: "400 g", price: 100 },
      { id: "one", name: "Shoes one", kind: "trail shoes", slot: "shoes", price: 120, state: "worn out" },
      { id: "two", name: "Shoes two", kind: "trail shoes", slot: "shoes", price: 130 },
      { id: "hat", name: "Hat", kind: "sun hat", price: 30, state: "lost" },
      { id: "torch", name: "Torch", kind: "head torch", price: 400, currency: "kr" },
      {
        id: "light",
        name: "Light tent",
        kind: "tent",
        weight: "600 g",
        price: 450,
        state: "wished",
        instead: "tent",
        ratings: { packed: 5 },
      },
      { id: "new", name: "Drone", kind: "hobby", state: "wished" },
    ],
    trips: [1, 2, 3].map((n) =>
      trip(n, [
        {
          item: "tent",
          use: "used",
          complaints: n < 3 ? [{ what: "too heavy" }] : [{ what: "noisy" }],
          symptoms: n === 2 ? ["torn"] : [],
        },
        { item: "mat", use: "used" },
        { item: n === 1 ? "one" : "two", use: "used" },
        { item: "torch", use: "used" },
      ]),
    ),
    entries: [{ item: "mat", on: "2026-01-20", what: "repair", cost: 8 }],
  }),
  "2026-11-26",
);
const kit = kitOf(book);

test("a wish beside what it would take the place of, worked by hand", () => {
  const [light, drone] = candidates(kit);
  expect(light).toMatchObject({ saves: 300, roomier: 3, perHundredGrams: 150 });
  expect(light!.present!.id).toBe("tent");
  expect(light!.complaints).toEqual([
    { what: "too heavy", times: 2 },
    { what: "torn", times: 1 },
    { what: "noisy", times: 1 },
  ]);
  expect(drone).toMatchObject({ present: null, saves: null, perHundredGrams: null, asked: null });
});

test("nothing wished for is judged, counted or packed", () => {
  expect(kit.things.map(({ case: { item } }) => item.id)).not.toContain("light");
  expect(book.items.map(({ id }) => id)).not.toContain("new");
});

test("each currency by itself: bought, spent, lost, saved by mending", () => {
  expect(pursesOf(kit.things, "€")).toEqual([
    // 300 + 100 + 120 + 130 + 30; the mat was mended for 8 and used again.
    { currency: "€", bought: 680, spent: 8, lost: 30, mendingSaved: 92 },
    { currency: "kr", bought: 400, spent: 0, lost: 0, mendingSaved: 0 },
  ]);
});

test("a slot costs what all its holders did, for all that they did", () => {
  const shoes = keptOf(kit.things, "€").find(({ name }) => name === "shoes")!;
  expect(shoes).toMatchObject({ cost: 250, nights: 12, metres: 150_000 });
  expect(keptOf(kit.things, "€")[0]).toMatchObject({ name: "Torch", currency: "kr" });
});
