import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";

const opened = (item: object) =>
  openBook(logOf({ items: [{ id: "x", name: "X", kind: "trail shoes", ...item }] }), "2026-01-01").items[0]!;

test("what had been done before the log counts where something is told of it; told as nothing it is as good as untold", () => {
  expect(opened({ opening: { distance: "40 km", nights: 0, days: 0 } }).opening).toMatchObject({ nights: 0 });
  expect(opened({ opening: { distance: null, nights: 2, days: 0 } }).opening).toMatchObject({ nights: 2 });
  expect(opened({ opening: { distance: null, nights: 0, days: 3 } }).opening).toMatchObject({ days: 3 });
  expect(opened({ opening: { distance: null, nights: 0, days: 0 } }).opening).toBeNull();
  expect(opened({}).opening).toBeNull();
});

test("what a thing leaves blank its kind fills in; what its owner said stands", () => {
  const plain = opened({});
  expect(plain).toMatchObject({ stow: "worn", load: "worn", cover: false, ownTriggers: false });
  expect(plain.worthNew).toBeGreaterThan(0);
  expect(plain.weight).toBeNull();
  const said = opened({
    stow: "outside",
    load: "base",
    cover: true,
    triggers: ["rain"],
    price: 0,
    weight: "620 g",
  });
  expect(said).toMatchObject({
    stow: "outside",
    load: "base",
    cover: true,
    triggers: ["rain"],
    ownTriggers: true,
  });
  expect(said.worthNew).toBe(0);
  expect(said.weight?.g).toBe(620);
  // In a bag it rides there, whatever its kind.
  const book = openBook(
    logOf({
      items: [
        { id: "sack", name: "Sack", kind: "dry bag" },
        { id: "x", name: "X", kind: "trail shoes", bag: "sack" },
      ],
    }),
    "2026-01-01",
  );
  expect(book.item(book.items[1]!.id)!.stow).toBe("bag");
});
