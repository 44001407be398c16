import { describe, expect, test } from "vitest";
import { lead, one, verbs } from "../../../tests/judged";

// Common practice, no source: miles alone condemn little; a grade that is asked for and not given is not
// waited for without end where a failure would end the trip; a grade given settles it for a while.

/** A thing that came to the log with its miles behind it, then went on `n` trips of 50 km. */
const seasoned = (kind: string, km: number, n: number, mark: (at: number) => object = () => ({})) =>
  one({ kind, past: "known", opening: { distance: `${km} km` } }, n, mark);
const reason = (file: object) => lead(file, "It").reason;

describe("a life that only the miles worry about", () => {
  test("what ends a trip is waited for twice, then replaced", () => {
    expect(verbs(seasoned("boots", 2100, 1), "It")).not.toContain("replace");
    expect(reason(seasoned("boots", 2100, 2))).toBe("life used up");
    expect(reason(seasoned("boots", 2100, 4))).toBe("life used up");
  });

  test("what is only a discomfort is never replaced for its miles", () => {
    for (const n of [1, 3, 6]) expect(verbs(seasoned("socks", 2000, n), "It")).not.toContain("replace");
  });

  test("a grade on any of the last trips is an answer, and so is a look between them", () => {
    const graded = (at: number) => seasoned("boots", 2100, 3, (n) => (n === at ? { condition: 4 } : {}));
    for (const at of [1, 2]) expect(verbs(graded(at), "It")).not.toContain("replace");
    const looked = {
      ...seasoned("boots", 2100, 3),
      entries: [{ item: "It", on: "2025-02-20", what: "check", condition: 4 }],
    };
    expect(verbs(looked, "It")).not.toContain("replace");
    // Its first life is long over: that look says nothing of now.
    const long = {
      ...seasoned("boots", 2100, 6),
      entries: [{ item: "It", on: "2024-12-20", what: "check" }],
    };
    expect(reason(long)).toBe("life used up");
  });

  test("left at home it is not waited for: only uses count", () => {
    const idle = seasoned("boots", 2100, 4, (at) => (at > 0 ? { use: "unused", why: "no call for it" } : {}));
    expect(verbs(idle, "It")).not.toContain("replace");
  });

  test("young things are left alone, however often they went", () => {
    expect(verbs(seasoned("boots", 300, 6), "It")).not.toContain("replace");
  });
});
