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

  /** A filter that froze wet, and is to come again all the same. */
  const frozen = one({ kind: "filter", id: "filter", weight: "90 g" }, 2, (at) => ({
    use: "used",
    frost: at === 1 ? "froze" : null,
    call: at === 1 ? "bring again" : null,
  }));

  test("a call that law speaks against is shown until the owner has ruled, not again and again", () => {
    const dissent = (rulings: object[]) => verdicts(logOf({ ...frozen, rulings }))[0]!.dissent;
    expect(dissent([])).toMatchObject({ call: "bring again" });
    const agreed = {
      item: "filter",
      verb: "replace",
      ground: "froze",
      decision: "agree",
      on: "2025-05-01",
      trips: 2,
    };
    expect(dissent([agreed])).toBeNull();
  });

  test("an overruled reason silences nothing: what it would have hidden leads, law above all", () => {
    const shoes = (rulings: object[], condition: number | null) => ({
      ...one({ kind: "trail shoes", id: "shoes", expires: "2025-02-01" }, 2, (at) => ({
        use: "used",
        ...(at === 1 && condition !== null && { troubles: ["damaged"], cause: "worn", condition }),
      })),
      rulings,
    });
    const overruled = {
      item: "shoes",
      verb: "replace",
      ground: "past its date",
      decision: "overrule",
      on: "2025-05-01",
      trips: 1,
    };
    expect(lead(shoes([overruled], null), "It").verb).toBe("keep");
    expect(lead(shoes([{ ...overruled, troubles: 1 }], 1), "It")).toMatchObject({
      verb: "replace",
      reason: "beyond mending",
    });
    const date = {
      item: "filter",
      verb: "replace",
      ground: "froze",
      decision: "overrule",
      on: "2025-05-01",
      trips: 2,
    };
    const old = {
      ...frozen,
      items: frozen.items.map((item) => ({ ...item, expires: "2025-02-01" })),
      rulings: [date],
    };
    expect(lead(old, "It")).toMatchObject({ verb: "replace", reason: "past its date" });
  });
});
