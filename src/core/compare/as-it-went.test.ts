import fc from "fast-check";
import { expect, test } from "vitest";
import { anyFile, logOf } from "../../../tests/histories";
import { TODAY, verdicts } from "../../../tests/judged";
import { openBook } from "../ledger/book";
import { kitOf } from "../advice/kit";
import { asItWent } from "./as-it-went";
import { keptOf } from "./money";

test("a tent's life, worked by hand: got, out, mended, out again", () => {
  const things = verdicts(
    logOf({
      items: [{ id: "tent", name: "Tent", kind: "tent", price: 300, acquired: "2025-03-01" }],
      trips: [
        {
          name: "A",
          starts: "2025-05-01",
          ends: "2025-05-04",
          distance: "40 km",
          marks: [{ item: "tent", use: "used" }],
        },
        {
          name: "B",
          starts: "2025-08-01",
          ends: "2025-08-08",
          distance: "90 km",
          marks: [{ item: "tent", use: "used" }],
        },
      ],
      entries: [{ item: "tent", on: "2025-06-01", what: "repair", cost: 20 }],
    }),
  );
  expect(asItWent(things, "€")).toEqual([
    { on: "2025-03-01", nights: 0, paid: 300, isPaid: true },
    { on: "2025-05-04", nights: 3, paid: 300, isPaid: false },
    { on: "2025-06-01", nights: 3, paid: 320, isPaid: true },
    { on: "2025-08-08", nights: 10, paid: 320, isPaid: false },
  ]);
});

test("it ends where the table stands, and only grows", () => {
  fc.assert(
    fc.property(anyFile, (file) => {
      const kit = kitOf(openBook(logOf(file), TODAY));
      for (const kept of keptOf(kit.things, "€")) {
        const points = asItWent(
          kept.holders.map(({ id }) => kit.of(id)!),
          "€",
        );
        const last = points.at(-1);
        if (!last) continue;
        expect(last.nights).toBeCloseTo(kept.nights, 6);
        expect(last.paid).toBeCloseTo(kept.cost, 6);
        points.slice(1).forEach((point, n) => {
          expect(point.nights).toBeGreaterThanOrEqual(points[n]!.nights);
          expect(point.paid).toBeGreaterThanOrEqual(points[n]!.paid);
        });
      }
    }),
    { numRuns: 80 },
  );
});
