import { expect, test } from "vitest";
import { isOffered } from "./jobs";

// Common practice, no source: a hut on one night is no tent on the others.
test("beds on some nights take neither shelter nor bed off the list, beds on all of them do", () => {
  for (const job of ["shelter", "sleep warm"] as const) {
    expect(isOffered(job, { beds: "some" })).toBe(false);
    expect(isOffered(job, { beds: "strong" })).toBe(true);
    expect(isOffered(job, {})).toBe(false);
  }
  expect(isOffered("treat water", { "tap water": "some" })).toBe(true);
  expect(isOffered("stay dry", { beds: "strong" })).toBe(false);
});
