import { expect, test } from "vitest";
import { Trip } from "../../model";
import { legNightProblems, legProblems } from "./check";

const trip = (legs: object[], more: object = {}) =>
  Trip.parse({
    id: "t",
    name: "T",
    starts: "2026-05-01",
    ends: "2026-05-05",
    legs: legs.map((leg, n) => ({ id: `leg-${n + 1}`, distance: "20 km", ...leg })),
    ...more,
  });
const told = (one: Trip) => legNightProblems(one).map(({ path, message }) => [path.join("."), message]);

test("nights that legs can't have are told by their leg", () => {
  expect(told(trip([{ nights: 2 }, { nights: 2 }]))).toEqual([]);
  expect(told(trip([{ nights: 3 }, { nights: 2 }]))).toEqual([
    ["legs.1.nights", "The legs have 5 nights together, and the trip has 4."],
  ]);
  expect(told(trip([{ nights: 2 }, { nights: 2 }], { nights: 3 }))).toHaveLength(1);
  expect(told(trip([{ nights: 3, starts: "2026-05-01", ends: "2026-05-02" }, {}]))).toEqual([
    ["legs.0.nights", "3 nights don't fit into 1–2 May 2026."],
  ]);
  expect(told(trip([{ nights: 2, starts: "2026-05-01", ends: "2026-05-02" }, {}]))).toEqual([]);
});

test("a trip that ends before it starts has no stray problem of its legs' nights beside that one", () => {
  expect(told(trip([{}, {}], { ends: "2026-04-20" }))).toEqual([]);
});

test("a leg outside its trip, or backwards, is told in days as people write them", () => {
  expect(
    legProblems(trip([{ starts: "2026-04-30", ends: "2026-05-02" }])).map(({ message }) => message),
  ).toEqual(["30 April 2026 is not within the trip, 1–5 May 2026."]);
  expect(
    legProblems(trip([{ starts: "2026-05-03", ends: "2026-05-02" }])).map(({ message }) => message),
  ).toEqual(["It ends on 2 May 2026, before it starts on 3 May 2026."]);
});
