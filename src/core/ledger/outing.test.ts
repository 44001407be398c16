import { describe, expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { callsOf, offeredOn, outingOf, strengthOn } from "./outing";

/** Ten days: two legs with their own weather and nights, and what is said of the whole. */
const [trip] = logOf({
  items: [],
  trips: [
    {
      name: "Two legs",
      starts: "2025-05-01",
      ends: "2025-05-11",
      conditions: { rain: "some", wind: "some", bugs: "none" },
      offers: { beds: "some" },
      legs: [
        {
          id: "low",
          distance: "30 km",
          nights: 2,
          conditions: { rain: "none", "dry stretch": "strong" },
          offers: { beds: "none" },
        },
        { id: "high", distance: "90 km", nights: 8, conditions: { rain: "strong", cold: "some" } },
      ],
    },
  ],
}).trips as [ReturnType<typeof logOf>["trips"][number]];
const [low, high] = trip.legs.map(({ id }) => id) as [
  (typeof trip.legs)[number]["id"],
  (typeof trip.legs)[number]["id"],
];

describe("weather by leg", () => {
  test("a leg's own word stands over the trip's, and the trip's where it has none", () => {
    expect(strengthOn(trip, [low], "rain")).toBe("none");
    expect(strengthOn(trip, [high], "rain")).toBe("strong");
    expect(strengthOn(trip, [high], "wind")).toBe("some");
    expect(strengthOn(trip, [low], "cold")).toBeUndefined();
    expect(offeredOn(trip, [low], "beds")).toBe("none");
    expect(offeredOn(trip, [high], "beds")).toBe("some");
  });

  test("of the whole trip it is the strongest that was met anywhere", () => {
    expect(outingOf(trip).strengths).toEqual({
      rain: "strong",
      wind: "some",
      bugs: "none",
      "dry stretch": "strong",
      cold: "some",
    });
    const plain = { ...trip, legs: trip.legs.map((leg) => ({ ...leg, conditions: {} })) };
    expect(outingOf(plain).strengths).toEqual(trip.conditions);
  });

  test("a leg calls for what it met, not for what the other did", () => {
    expect([...callsOf(trip, 2, [low])].sort()).toEqual([
      "always",
      "camp time",
      "darkness",
      "dry stretch",
      "wind",
    ]);
    expect([...callsOf(trip, 8, [high])].sort()).toEqual([
      "always",
      "camp time",
      "cold",
      "darkness",
      "rain",
      "wind",
    ]);
    expect(callsOf(trip, 10).has("bugs")).toBe(false);
    expect(callsOf(trip, 0, [high]).has("darkness")).toBe(false);
  });

  test("a leg's share is that of its nights; of its distance where these are not told of every leg", () => {
    expect([...outingOf(trip).shares.values()]).toEqual([0.2, 0.8]);
    const untold = {
      ...trip,
      legs: trip.legs.map((leg, n) => ({ ...leg, nights: n === 0 ? null : leg.nights })),
    };
    expect([...outingOf(untold).shares.values()]).toEqual([0.25, 0.75]);
    const dated = {
      ...trip,
      legs: trip.legs.map((leg, n) => ({
        ...leg,
        nights: null,
        starts: n === 0 ? "2025-05-01" : "2025-05-05",
        ends: n === 0 ? "2025-05-05" : "2025-05-11",
      })),
    } as typeof trip;
    expect([...outingOf(dated).shares.values()]).toEqual([0.4, 0.6]);
  });
});
