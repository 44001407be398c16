import { expect, test } from "vitest";
import { logOf } from "../../../tests/histories";
import { sayAgainstPlan } from "../say/walk/trip";
import { plannedAgainstWalked, walked } from "./intended";

const planned = logOf({
  items: [],
  trips: [{ id: "p", name: "P", starts: "2026-05-01", ends: "2026-05-05", distance: "74 km", planned: true }],
}).trips[0]!;
const UNITS = { weight: "g", distance: "km", temperature: "C" } as const;

test("walked as planned there is nothing to tell; cut short, both are told", () => {
  const went = walked(planned);
  expect(went).toMatchObject({ planned: false, intended: { nights: 4, distance: { m: 74_000 } } });
  expect(plannedAgainstWalked(went)).toBeNull();
  const [leg] = went.legs;
  const cut = { ...went, ends: "2026-05-02", legs: [{ ...leg!, distance: { m: 22_000, typed: "22 km" } }] };
  const against = plannedAgainstWalked(cut)!;
  expect(against).toEqual({
    nights: { planned: 4, walked: 1 },
    metres: { planned: 74_000, walked: 22_000 },
    daysShort: 3,
  });
  expect(sayAgainstPlan(against, UNITS).replaceAll(/[\u00a0\u202f]/g, " ")).toBe(
    "Planned: 4 nights, 74 km. It was 1 night, 22 km: 3 days fewer.",
  );
});

test("what was planned first stays, however often it is unpacked; a walk that was never planned has none", () => {
  const went = walked(planned);
  expect(walked({ ...went, ends: "2026-05-09", planned: true }).intended).toEqual(went.intended);
  expect(plannedAgainstWalked({ ...planned, planned: false })).toBeNull();
  const longer = { ...went, ends: "2026-05-07" };
  expect(sayAgainstPlan(plannedAgainstWalked(longer)!, UNITS)).toMatch(/: 2.days more\.$/);
});
