import { expect, test } from "vitest";
import { FeltNight, type ItemId } from "../model";
import { Units } from "../units/units";
import { alikeNights, isAlike } from "./nights";
import { sayNights } from "../say/walk/nights";

const night = (low: number | null, felt: string | null, ...slept: string[]) =>
  FeltNight.parse({ low, felt, slept });
const units = Units.parse({});
const nameOf = (id: ItemId) => ({ quilt: "Quilt", pad: "Air pad" })[id as string] ?? id;

test("nights told alike are one line, in the order first told", () => {
  const told = alikeNights([
    night(3, "right", "quilt"),
    night(-2, "cold", "quilt"),
    night(3, "right", "quilt"),
  ]);
  expect(told.map(({ low, nights }) => [low, nights])).toEqual([
    [3, 2],
    [-2, 1],
  ]);
  expect(alikeNights([])).toEqual([]);
});

test("another bed, another feeling or another low is another night", () => {
  const one = night(3, "right", "quilt");
  expect(isAlike(one, night(3, "right", "quilt"))).toBe(true);
  for (const other of [
    night(4, "right", "quilt"),
    night(3, "cool", "quilt"),
    night(3, "right", "quilt", "pad"),
    night(null, "right", "quilt"),
    night(3, null, "quilt"),
  ])
    expect(isAlike(one, other)).toBe(false);
});

test("what was not said is not spoken of", () => {
  const say = (told: FeltNight) => sayNights(alikeNights([told])[0]!, nameOf, units);
  expect(say(night(-9, "cold", "quilt", "pad"))).toBe(
    "1\u00a0night felt cold, down to −9\u00a0°C, in Quilt and Air pad",
  );
  expect(say(night(null, "right"))).toBe("1\u00a0night felt right");
  expect(say(night(4, null))).toBe("1\u00a0night, down to 4\u00a0°C");
  expect(sayNights({ ...night(-9, "cold"), nights: 2 }, nameOf, { ...units, temperature: "F" })).toBe(
    "2\u00a0nights felt cold, down to 16\u00a0°F",
  );
});
