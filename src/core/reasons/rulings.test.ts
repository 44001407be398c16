import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { lead, one, verbs, verdicts } from "../../../tests/judged";

describe("rulings", () => {
  const chair = (more: object, n = 4) => ({
    ...one({ kind: "chair", weight: "480 g", id: "chair" }, n, () => ({ use: "unused" })),
    rulings: [
      {
        item: "chair",
        verb: "drop",
        decision: "overrule",
        reason: "my back",
        on: "2025-05-01",
        trips: 4,
        ...more,
      },
    ],
  });

  test("an overruled verdict gives way to the owner's, with the reason", () => {
    const kept = lead(chair({ again: 2 }), "It");
    expect(kept).toMatchObject({ verb: "keep", says: expect.stringContaining("my back") });
    expect(verbs(chair({ again: 2 }), "It")).toEqual(["keep", "drop"]);
  });

  test("it is asked again after the trips named, or when something new goes wrong, and not before", () => {
    expect(lead(chair({ again: 2 }, 5), "It").verb).toBe("keep");
    expect(lead(chair({ again: 2 }, 6), "It").verb).toBe("drop");
    expect(lead(chair({ again: null }, 11), "It").verb).toBe("keep");
    const broken = chair({ again: null }, 5);
    const trips = broken.trips.map((trip, at) =>
      at === 4 ? { ...trip, marks: [{ item: "It", use: "used", troubles: ["damaged"] }] } : trip,
    );
    expect(lead({ ...broken, trips }, "It").verb).toBe("repair");
  });

  test("a call that disagrees is shown until the owner has ruled, not again and again", () => {
    const called = one({ kind: "chair", id: "chair", weight: "480 g" }, 4, () => ({
      use: "unused",
      call: "bring again",
    }));
    const dissent = (rulings: object[]) => verdicts(logOf({ ...called, rulings }))[0]!.dissent;
    expect(dissent([])).toMatchObject({ call: "bring again" });
    expect(
      dissent([{ item: "chair", verb: "drop", decision: "agree", on: "2025-05-01", trips: 4 }]),
    ).toBeNull();
  });

  test("where the owner's call says otherwise, both are shown", () => {
    const file = one({ kind: "chair", weight: "480 g" }, 4, () => ({ use: "unused", call: "bring again" }));
    expect(verdicts(logOf(file))[0]!.dissent).toMatchObject({ call: "bring again" });
  });
});
