import { expect, test } from "vitest";
import { TripHead } from "@/core/model";
import { Units } from "@/core/units/units";
import { demoLog } from "../../../../demo/log";
import { blankLeg, legsOf, toPacked, toTrip, type TripValues } from "./form/trip-form-values";
import { BLANK_TRIP, tripValues } from "./trip-values";

const METRIC = Units.parse({});
const IMPERIAL = Units.parse({ weight: "oz", distance: "mi", temperature: "F" });
const { trips } = demoLog("2026-11-27");

/** A trip after its form was opened, changed so, and saved, as the server puts it together. */
function saved(trip: (typeof trips)[number], units: Units, change: Partial<TripValues> = {}) {
  const { carries, ...head } = trip;
  const before = TripHead.encode(head);
  const raw = toTrip(trip.id, { ...tripValues(head, carries, units), ...change }, units);
  const known = new Map(before.legs.map((leg) => [String(leg.id), leg]));
  return TripHead.parse({
    ...before,
    ...raw,
    legs: (raw.legs as { id: string }[]).map((leg) => ({ ...known.get(String(leg.id)), ...leg })),
  });
}

test.each([
  ["metric", METRIC],
  ["imperial", IMPERIAL],
])("opened and saved as it stands the form of a trip changes nothing, in %s units", (_, units) => {
  for (const trip of trips) {
    const { carries, ...head } = trip;
    expect(saved(trip, units)).toEqual(head);
    expect(toPacked(tripValues(head, carries, units))).toEqual(
      carries.map(({ item, legs }) => ({ item, legs })),
    );
  }
});

test("bare numbers are in the owner's units; what is blank is not told", () => {
  const [trip] = trips;
  const legs = (units: Units, distance: string, ascent: string) =>
    saved(trip!, units, {
      legs: [{ ...blankLeg([]), distance, ascent }],
      low: "",
      dry: "",
      nights: "",
      resupply: "",
    });
  expect(legs(METRIC, "12", "850").legs).toMatchObject([{ distance: { m: 12_000 }, ascent: { m: 850 } }]);
  // 1 mi is 1609.344 m, 1 ft 0.3048 m (NIST SP 811).
  const [leg] = legs(IMPERIAL, "10", "1000").legs;
  expect(leg!.distance.m).toBeCloseTo(16_093.44, 6);
  expect(leg!.ascent!.m).toBeCloseTo(304.8, 6);
  expect(legs(METRIC, "12", "").legs[0]!.ascent).toBeNull();
  expect(legs(METRIC, "12", "")).toMatchObject({
    nights: null,
    foreseen: { low: null, dry: null, resupply: null },
  });
});

test("a low that is no temperature goes on as it was typed, to be refused by its field", () => {
  const low = (text: string, units: Units) => toTrip(undefined, { ...BLANK_TRIP, low: text }, units).foreseen;
  expect(low("chilly", METRIC)).toMatchObject({ low: "chilly" });
  expect(low("23", IMPERIAL)).toMatchObject({ low: -5 });
});

test("legs from the days of a track have their dates; the night after a day is that day's, the last has none", () => {
  const part = (on: string | null, metres: number) =>
    ({ name: on ?? "Whole", on, sum: { metres, ascent: 212.6 } }) as Parameters<typeof legsOf>[0][number];
  const days = legsOf([part("2026-05-01", 21_340), part("2026-05-02", 9000)], METRIC);
  expect(days).toMatchObject([
    {
      leg: "leg-1",
      name: "2026-05-01",
      distance: "21.3 km",
      ascent: "213 m",
      starts: "2026-05-01",
      ends: "2026-05-02",
    },
    { leg: "leg-2", distance: "9.0 km", starts: "2026-05-02", ends: "2026-05-02" },
  ]);
  expect(legsOf([part(null, 16_093.44)], IMPERIAL)).toMatchObject([
    { name: "", distance: "10.0 mi", ascent: "698 ft", starts: "", ends: "" },
  ]);
});
