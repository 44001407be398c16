import fc from "fast-check";
import { expect, test } from "vitest";
import { flagEnd, flagRows } from "./flags";

test("a name stands above those whose poles are beneath it, and low where there is none", () => {
  const flags = [
    { at: 100, words: "Down jacket" },
    { at: 120, words: "Trail shoes" },
    { at: 400, words: "Stove" },
    { at: 130, words: "Mug" },
  ];
  expect(flagRows(flags)).toEqual([2, 1, 0, 0]);
});

test("no name covers another, nor another's pole", () => {
  const flag = fc.record({ at: fc.integer({ min: 0, max: 900 }), words: fc.string({ maxLength: 30 }) });
  fc.assert(
    fc.property(fc.array(flag, { maxLength: 12 }), (flags) => {
      const rows = flagRows(flags);
      for (const [n, one] of flags.entries())
        for (const [m, other] of flags.entries()) {
          if (n === m) continue;
          const isUnder = other.at >= one.at && other.at < flagEnd(one);
          if (isUnder) expect(rows[n]).not.toBe(rows[m]);
          if (isUnder && other.at > one.at) expect(rows[n]!).toBeGreaterThan(rows[m]!);
        }
    }),
  );
});
