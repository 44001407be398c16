import fc from "fast-check";
import { expect, test } from "vitest";
import { towards, type Range } from "./arrange";

const range = fc
  .tuple(fc.nat(300), fc.integer({ min: 0, max: 40 }))
  .map(([from, n]): Range => ({ from, to: from + n }));
const linesIn = ({ from, to }: Range) =>
  new Set(Array.from({ length: Math.max(0, to - from + 1) }, (_, n) => from + n));

test("what is drawn reaches what is in view, never draws out of it, and never too much at once", () => {
  fc.assert(
    fc.property(range, range, fc.integer({ min: 1, max: 15 }), (start, view, most) => {
      let drawn = start;
      for (let step = 0; step < 50; step++) {
        const before = linesIn(drawn);
        drawn = towards(drawn, view, most);
        expect(drawn.from >= view.from && drawn.to <= view.to).toBe(true);
        expect([...linesIn(drawn)].filter((line) => !before.has(line)).length).toBeLessThanOrEqual(most);
      }
      expect(drawn).toEqual(view);
    }),
  );
});

test("nothing in view, nothing drawn", () => {
  expect(linesIn(towards({ from: 3, to: 9 }, { from: 0, to: -1 }, 10)).size).toBe(0);
});
