import { expect, test } from "vitest";
import { PLAIN_NAMES } from "../../../../tests/plain-names";
import { guessKind } from "./names";

test("at least 95 % of the plain names get the kind that a walker would give", () => {
  const wrong = PLAIN_NAMES.filter(([name, kind]) => guessKind(name).id !== kind);
  expect(PLAIN_NAMES.length).toBeGreaterThan(300);
  expect(
    wrong
      .map(([name, kind]) => `${name}: ${guessKind(name).id}, not ${kind}`)
      .slice(PLAIN_NAMES.length * 0.05),
  ).toEqual([]);
});
