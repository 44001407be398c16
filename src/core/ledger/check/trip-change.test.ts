import { describe, expect, test } from "vitest";
import { Item, TripHead } from "../../model";
import { againstTrip, packedOn } from "./trip-change";

const trip = (more: Record<string, unknown> = {}) =>
  TripHead.parse({
    id: "ridge",
    name: "Ridge",
    starts: "2026-06-01",
    ends: "2026-06-03",
    legs: [
      { id: "leg-1", name: "up", distance: "20 km" },
      { id: "leg-2", name: "down", distance: "15 km" },
    ],
    ...more,
  });
const TODAY = "2026-07-01";
const said = (more: Record<string, unknown>, others: readonly TripHead[] = [], today = TODAY) => {
  const { problems, ask } = againstTrip(trip(more), others, today);
  return problems.length > 0 ? `${problems[0]!.path.join(".")}: ${problems[0]!.message}` : (ask ?? "sound");
};

describe("a trip beside the others", () => {
  const other = trip({ id: "bog", name: "Bog", starts: "2026-06-02", ends: "2026-06-05" });

  test("days that another walk has are asked about; a plan for them is refused; days that only touch are sound", () => {
    expect(said({}, [other])).toMatch(/^Bog \(.*\) covers some of these days\. Keep both\?$/);
    expect(said({ planned: true }, [other])).toMatch(/^starts: Bog .* was walked on some of these days/);
    expect(said({ ends: "2026-06-02" }, [other])).toBe("sound");
    expect(said({ starts: "2026-06-05", ends: "2026-06-07" }, [other])).toBe("sound");
    expect(said({}, [trip({ ...TripHead.encode(other), planned: true })])).toBe("sound");
    // The trip itself, as it was before, is none of the others.
    expect(said({}, [trip()])).toBe("sound");
  });

  test("the same walk twice is refused; so is one that begins tomorrow and is no plan, and one without a way", () => {
    expect(said({}, [trip({ id: "again" })])).toMatch(/^name: “Ridge”, .* is in the log already/);
    expect(said({ starts: "2026-07-02", ends: "2026-07-03" })).toMatch(/^starts: It starts in the future/);
    expect(said({ starts: "2026-07-01", ends: "2026-07-03" })).toBe("sound");
    expect(said({ starts: "2026-07-02", ends: "2026-07-03", planned: true })).toBe("sound");
    expect(said({ legs: [] })).toMatch(/^distance: Say how far it was/);
    expect(said({ nights: 9 })).toMatch(/^nights: /);
  });
});

describe("what is packed", () => {
  const item = (id: string, more: Record<string, unknown> = {}) =>
    Item.parse({ id, name: id, kind: "other", ...more });
  const shelf = [
    item("tent"),
    item("shoes", { state: "worn out", since: "2026-05-31" }),
    item("boots", { state: "worn out", since: "2026-06-01" }),
    item("lamp", { state: "wished" }),
  ];
  const packed = (...things: (readonly [string, string[] | null])[]) =>
    packedOn(
      trip(),
      things.map(([id, legs]) => ({
        item: item(id).id,
        legs:
          legs && trip({ legs: legs.map((each) => ({ id: each, distance: 1 })) }).legs.map((leg) => leg.id),
      })),
      shelf,
    );

  test("is packed once, on the legs that there are; what is not on the shelf is left out", () => {
    expect(packed(["tent", null], ["tent", ["leg-1", "leg-9"]], ["nothing", null])).toEqual({
      ok: true,
      value: [{ item: "tent", legs: ["leg-1"] }],
    });
  });

  test("what had left before the trip, is only wished for, or was on no leg that is left, can't be", () => {
    expect(packed(["shoes", null])).toMatchObject({
      why: expect.stringMatching(/^shoes has been worn out since/),
    });
    expect(packed(["boots", null])).toMatchObject({ ok: true });
    expect(packed(["lamp", null])).toMatchObject({ why: "lamp is only wished for." });
    expect(packed(["tent", ["leg-9"]])).toMatchObject({
      why: expect.stringMatching(/^Something is packed only/),
    });
  });
});
