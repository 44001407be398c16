import { describe, expect, test } from "vitest";
import { openBook } from "../ledger/book";
import { kitOf } from "./kit";
import { additions } from "./add";
import { lead, one, TODAY, trips, verbs } from "../../../tests/judged";
import { logOf } from "../../../tests/histories";

// Common practice, no source, unless a test says otherwise.

describe("a complaint is let go of", () => {
  const slow = { complaints: [{ what: "slow" }] };
  const stove = (n: number, told: readonly number[], mark: (at: number) => object = () => ({})) =>
    one({ kind: "stove" }, n, (at) => ({ ...(told.includes(at) ? slow : {}), ...mark(at) }));

  test("on the only chance it leads as a leaning; again, it grows", () => {
    expect(lead(stove(1, [0]), "It")).toMatchObject({
      verb: "swap",
      reason: "complaint",
      sureness: "leaning",
    });
    expect(lead(stove(3, [0, 1, 2]), "It")).toMatchObject({ verb: "swap", sureness: "likely" });
  });

  test("used long without it since, it is not repeated as advice; the uses before it do not count for that", () => {
    expect(verbs(stove(9, [0, 1]), "It")).not.toContain("swap");
    expect(verbs(stove(9, [7, 8]), "It")).toContain("swap");
  });

  test("lying unused since is no proof that it is well again", () => {
    const idle = stove(9, [0, 1], (at) => (at > 1 ? { use: "unused", why: "another did the job" } : {}));
    expect(kitOf(openBook(logOf(idle), TODAY)).things[0]!.verdicts.map(({ verb }) => verb)).not.toEqual([
      "keep",
    ]);
  });
});

test("left unused as awkward it is to be left; taken up again since, it is not", () => {
  const umbrella = (last: object) =>
    lead(
      one({ kind: "umbrella" }, 2, (at) => (at === 0 ? { use: "unused", why: "awkward" } : last), {
        conditions: { rain: "some" },
      }),
      "It",
    );
  expect(umbrella({ use: "unused", why: "awkward" })).toMatchObject({ verb: "drop", reason: "disliked" });
  expect(umbrella({ use: "used" }).verb).not.toBe("drop");
});

describe("a mended thing must meet the weather of its fault again", () => {
  const shell = (symptom: string, after: readonly object[]) => ({
    items: [{ name: "It", kind: "rain shell" }],
    trips: trips(1 + after.length, (at) =>
      at === 0
        ? {
            conditions: { rain: "strong" },
            marks: [{ item: "It", use: "used", troubles: ["failed"], symptoms: [symptom] }],
          }
        : { ...after[at - 1], marks: [{ item: "It", use: "used" }] },
    ),
    entries: [{ item: "It", on: "2025-01-20", what: "repair" }],
  });

  test("sealed and only out in the dry it is still to be proved; wet once, it is proved", () => {
    expect(lead(shell("lets water in", []), "It").verb).toBe("prove");
    expect(lead(shell("lets water in", [{ conditions: { wind: "some" } }]), "It").verb).toBe("prove");
    expect(lead(shell("lets water in", [{ conditions: { rain: "some" } }]), "It").verb).not.toBe("prove");
  });

  test("it is the trouble before the mending that counts, not one after it", () => {
    const later = shell("lets water in", [{ conditions: { rain: "some" } }]);
    expect(verbs(later, "It")).not.toContain("prove");
  });
});

describe("a date on the label", () => {
  // Judged on 24 November 2026.
  const tablets = (expires: string, planned: object[] = []) =>
    lead(
      {
        items: [{ name: "It", kind: "treatment tablets", expires }],
        trips: [...trips(1, () => ({ marks: [{ item: "It", use: "used" }] })), ...planned],
      },
      "It",
    );
  const walk = { name: "Next", starts: "2027-02-01", ends: "2027-02-20", planned: true, distance: "200 km" };

  test("past it they are replaced now, as what is dangerous to lack; near it before the next trip", () => {
    expect(tablets("2026-11-23")).toMatchObject({
      reason: "past its date",
      urgency: "now",
      sureness: "sure",
      facts: { falls: "past", daysLeft: -1 },
      trips: [],
    });
    // On its last day it is over, too.
    expect(tablets("2026-11-24")).toMatchObject({ urgency: "now", facts: { falls: "past", daysLeft: 0 } });
    expect(tablets("2026-12-20")).toMatchObject({
      urgency: "before next trip",
      facts: { falls: "soon", daysLeft: 26 },
    });
    expect(tablets("2026-12-30").reason).not.toBe("past its date");
  });

  test("with a walk planned it is the walk that counts", () => {
    expect(tablets("2027-02-10", [walk])).toMatchObject({
      urgency: "before next trip",
      facts: { falls: "on the trip" },
    });
    expect(tablets("2027-02-20", [walk])).toMatchObject({ facts: { falls: "on the trip" } });
    expect(tablets("2027-02-21", [walk]).reason).not.toBe("past its date");
  });
});

describe("what has gone", () => {
  const gone = (kind: string, how: string) =>
    lead(
      one({ kind }, 6, (at) => ({
        use: at === 2 ? "used" : "unused",
        ...(at === 5 && { exit: { how } }),
      })),
      "It",
    );

  test("little used is not bought again, but for what is dangerous to lack", () => {
    expect(gone("chair", "lost")).toMatchObject({ verb: "drop", reason: "gone unloved" });
    expect(gone("filter", "lost")).toMatchObject({ verb: "replace", reason: "buy again" });
    expect(gone("filter", "worn out")).toMatchObject({ verb: "replace", reason: "buy again" });
    // Given away by its owner's own choice.
    expect(gone("filter", "given away").verb).toBe("drop");
  });
});

describe("of the essential systems, what nothing does", () => {
  const listOf = (items: readonly object[], more: object = {}, trip: object = {}) =>
    additions(
      ...(() => {
        const book = openBook(
          logOf({
            settings: { wholeList: true },
            items,
            trips: trips(1, () => ({
              marks: items.map((item) => ({ item: (item as { name: string }).name, use: "used" })),
              ...trip,
            })),
            ...more,
          }),
          TODAY,
        );
        return [book, kitOf(book).things] as const;
      })(),
    ).flatMap(({ job }) => job ?? []);
  const tent = { name: "Tent", kind: "tent" };
  const hat = { name: "Hat", kind: "sun hat" };
  const cream = { name: "Cream", kind: "sunscreen" };

  test("is named once its owner has said that the list is whole, and a night was spent out", () => {
    expect(listOf([tent])).toContain("treat water");
    expect(listOf([tent])).not.toContain("shelter");
    expect(listOf([tent], { settings: { wholeList: false } })).toEqual([]);
    expect(listOf([tent], {}, { starts: "2025-01-10", ends: "2025-01-10" })).toEqual([]);
  });

  test("a hat does for the sun, and so does cream", () => {
    expect(listOf([tent])).toContain("sun protection");
    expect(listOf([tent, hat])).not.toContain("sun protection");
    expect(listOf([tent, cream])).not.toContain("sun protection");
  });

  test("what has left the shelf does nothing any more", () => {
    expect(listOf([tent, { name: "Filter", kind: "filter" }])).not.toContain("treat water");
    const gone = (state: string) =>
      listOf([tent, { name: "Filter", kind: "filter", state, since: "2025-02-01" }]);
    expect(gone("sold")).toContain("treat water");
    // Worn out and liked, it is to be bought again: that is said of the thing itself, and not a second time.
    expect(gone("worn out")).not.toContain("treat water");
  });
});
