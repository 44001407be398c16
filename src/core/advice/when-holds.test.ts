import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { openBook } from "../ledger/book";
import { planFor } from "../plan/plan";

// The trip ahead, and what is told of a thing: what it is brought for, and what its owner said of it.
const trip = (n: number, conditions: object, marks: readonly object[]) => ({
  name: `Walk ${n}`,
  starts: `2026-0${n}-10`,
  ends: `2026-0${n}-13`,
  distance: "50 km",
  conditions,
  marks,
});
const columnOf = (
  items: readonly object[],
  trips: readonly object[],
  ahead: object,
  rulings: readonly object[] = [],
) => {
  const book = openBook(
    logOf({
      items,
      trips: [
        ...trips,
        {
          id: "next",
          name: "Next",
          starts: "2026-12-10",
          ends: "2026-12-13",
          distance: "40 km",
          planned: true,
          ...ahead,
        },
      ],
      rulings,
    }),
    "2026-11-20",
  );
  return planFor(book, null).lines.find(({ item }) => item.name === "It")!.column;
};

describe("brought only when: the trip ahead decides", () => {
  const wet = [
    { name: "It", id: "it", kind: "water bag", weight: "130 g", triggers: ["always"] },
    { name: "Other", id: "other", kind: "water bag", weight: "90 g" },
  ];
  const slowInFrost = {
    item: "It",
    use: "used",
    complaints: [{ what: "slow", on: "freezing" }],
    call: "bring when",
  };
  const trips = [
    trip(1, { freezing: "none" }, [{ item: "It", use: "used" }]),
    trip(2, { freezing: "strong" }, [slowInFrost]),
  ];

  test("by its owner's word and its weather: with that weather ahead it goes, without it stays, unknown it waits", () => {
    const said = [{ ...wet[0]!, kind: "head net", triggers: ["bugs"] }];
    const bugs = [trip(1, { bugs: "some" }, [{ item: "It", use: "used", call: "bring when" }])];
    expect(columnOf(said, bugs, { conditions: { bugs: "strong" } })).toBe("take");
    expect(columnOf(said, bugs, { conditions: { bugs: "none" } })).toBe("leave");
    expect(columnOf(said, bugs, {})).toBe("take if");
  });

  test("what is agreed to be left is left, leaning or not", () => {
    const chair = [{ name: "It", id: "it", kind: "chair", weight: "500 g" }];
    const once = [trip(1, {}, [{ item: "It", use: "unused", why: "awkward" }])];
    const ruling = {
      item: "it",
      verb: "drop",
      ground: "disliked",
      decision: "agree",
      on: "2026-02-01",
      trips: 1,
    };
    expect(columnOf(chair, once, {})).toBe("take");
    expect(columnOf(chair, once, {}, [ruling])).toBe("leave");
  });

  test("the only one of its sort is not left at home for the weather that it was slow in", () => {
    expect(
      columnOf(
        [wet[0]!],
        trips.map((each) => ({ ...each, marks: [{ item: "It", use: "used" }] })),
        { conditions: { freezing: "strong" } },
      ),
    ).toBe("take");
  });
});
