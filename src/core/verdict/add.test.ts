import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { additions, settledBy } from "./add";
import { judge } from "./judge";

const TODAY = "2026-11-24";
/** What is to be added by a file's log, and what would settle each. */
const toAdd = (file: object) => {
  const book = openBook(logOf(file), TODAY);
  const judgements = judge(book);
  return additions(book, judgements).map((addition) => ({
    ...addition,
    settled: settledBy(addition, book, judgements),
  }));
};

/** A walk of four days in the nth month of 2026. */
const walk = (n: number, more: object = {}) => ({
  name: `Walk ${n}`,
  starts: `2026-0${n}-10`,
  ends: `2026-0${n}-13`,
  distance: "50 km",
  marks: [{ item: "Mug", use: "used" }],
  ...more,
});
const mug = { name: "Mug", kind: "mug" };
const missing = (what: string, cost = "discomfort") => ({ missed: [{ what, cost }] });

// Common practice, no source.
describe("missed on the way", () => {
  const after = (n: number, cost: string) =>
    toAdd({
      items: [mug],
      trips: Array.from({ length: n }, (_, at) => walk(at + 1, missing("Sit mat", cost))),
    });

  test("twice is added; once where it was dangerous or ended the trip, too, and sooner", () => {
    expect(after(1, "discomfort")).toEqual([]);
    expect(after(2, "discomfort")).toMatchObject([
      {
        what: "Sit mat",
        verb: "add",
        urgency: "when convenient",
        says: "Missed on 2\u00a0trips. Add it.",
        times: 2,
        settled: "One bought, and on the shelf",
      },
    ]);
    expect(after(1, "danger")).toMatchObject([
      { urgency: "before next trip", says: "Missed on Walk 1, where it mattered. Add it." },
    ]);
    expect(after(1, "trip-ending")).toHaveLength(1);
  });

  const missedTwice = [walk(1, missing("Warm hat")), walk(2, missing("warm hat "))];

  test("on the shelf but left at home, it is to be taken, not bought; taken once, it is settled", () => {
    expect(toAdd({ items: [mug, { name: "Beanie", kind: "warm hat" }], trips: missedTwice })).toMatchObject([
      {
        owned: { id: "beanie" },
        says: "Missed on 2\u00a0trips, and the beanie is on the shelf. Take it along.",
        settled: "The beanie taken along once",
      },
    ]);
    expect(
      toAdd({
        items: [mug, { name: "Beanie", kind: "warm hat" }],
        trips: [...missedTwice, walk(3, { marks: [{ item: "Beanie", use: "unused" }] })],
      }),
    ).toEqual([]);
  });

  test("what was there when it was missed is not what was missed; what is bought since is", () => {
    const there = missedTwice.map((trip) => ({ ...trip, marks: [{ item: "Thin warm hat", use: "used" }] }));
    expect(toAdd({ items: [mug, { name: "Thin warm hat", kind: "warm hat" }], trips: there })).toMatchObject([
      { owned: null },
    ]);
    expect(
      toAdd({
        items: [
          mug,
          { name: "Thin warm hat", kind: "warm hat" },
          { name: "Thick warm hat", kind: "warm hat", acquired: "2026-03-01" },
        ],
        trips: there,
      }),
    ).toEqual([]);
    expect(
      toAdd({ items: [mug, { name: "Hatbox, warm", kind: "other" }], trips: missedTwice }),
    ).toMatchObject([{ owned: null }]);
  });
});

describe("rulings on what to add", () => {
  const ruled = (ruling: object, more: object[] = []) =>
    toAdd({
      items: [mug],
      trips: [walk(1, missing("Sit mat")), walk(2, missing("Sit mat")), ...more],
      rulings: [
        {
          what: "sit mat",
          verb: "add",
          decision: "overrule",
          reason: "the ground is soft",
          on: "2026-02-20",
          trips: 2,
          troubles: 2,
          ...ruling,
        },
      ],
    })[0]!.ruling?.decision ?? null;

  test("one stands until it is missed again", () => {
    expect(ruled({})).toBe("overrule");
    expect(ruled({}, [walk(3), walk(4)])).toBe("overrule");
    expect(ruled({}, [walk(3, missing("Sit mat"))])).toBeNull();
  });

  test("“later” asks after the next trip, and “again” after as many as were said", () => {
    expect(ruled({ decision: "later" })).toBe("later");
    expect(ruled({ decision: "later" }, [walk(3)])).toBeNull();
    expect([ruled({ again: 2 }, [walk(3)]), ruled({ again: 2 }, [walk(3), walk(4)])]).toEqual([
      "overrule",
      null,
    ]);
  });
});

describe("an essential job that nothing does", () => {
  const shelf = (...more: object[]) =>
    toAdd({
      items: [...Array.from({ length: 20 }, (_, n) => ({ ...mug, name: `Mug ${n}` })), ...more],
      trips: [
        walk(1, { marks: more.map((item) => ({ item: (item as { name: string }).name, use: "used" })) }),
        walk(2, {
          marks: more.map((item) => ({
            item: (item as { name: string }).name,
            use: "used",
            trouble: "lost",
          })),
        }),
      ],
    });
  const lacking = (...more: object[]) => shelf(...more).map(({ what }) => what);

  test("is named once there is a whole list, and settled by whatever does it", () => {
    expect(lacking()).toContain("A light");
    expect(shelf().find(({ what }) => what === "A light")).toMatchObject({
      job: "light",
      urgency: "before next trip",
      settled: "Something on the shelf with that job",
    });
    expect(toAdd({ items: [mug], trips: [walk(1)] })).toEqual([]);
  });

  test("is not named beside the lost thing that is to be bought again", () => {
    expect(lacking({ name: "Torch", kind: "head torch" })).not.toContain("A light");
    expect(lacking({ name: "Torch", kind: "head torch" })).toContain("Shelter");
  });
});
