import { expect, test } from "vitest";
import { pandolfWatts, walkingKilocalories } from "./load-energy";

// Source: Pandolf, Givoni, Goldman, J. Appl. Physiol. 43:577, 1977; the equation worked by hand.
test("70 kg with no load at 1.34 m/s on the level: 1.5·70 + 0 + 70·1.5·1.34² = 105 + 188.538", () => {
  expect(pandolfWatts({ body: 70, load: 0, speed: 1.34, grade: 0, ground: 1 })).toBeCloseTo(293.538, 6);
});

test("70 kg with 20 kg at 1.2 m/s up 5 % on ground of 1.2", () => {
  // 1.5·70 = 105; 2·90·(20/70)² = 180·4/49 = 14.6939; 1.2·90·(1.5·1.44 + 0.35·1.2·5) = 108·(2.16 + 2.1) = 460.08
  expect(pandolfWatts({ body: 70, load: 20, speed: 1.2, grade: 5, ground: 1.2 })).toBeCloseTo(
    105 + 720 / 49 + 460.08,
    9,
  );
});

test("it refuses to go downhill", () => {
  expect(() => pandolfWatts({ body: 70, load: 10, speed: 1, grade: -3, ground: 1 })).toThrow(RangeError);
});

test("a kilogram less saves more on a climb, on sand, and over a longer way; none over no way", () => {
  const saved = (metres: number, ascent: number, terrain: "mixed" | "sand" = "mixed") =>
    walkingKilocalories([{ metres, ascent, terrain }], { body: 75, load: 12 }) -
    walkingKilocalories([{ metres, ascent, terrain }], { body: 75, load: 11 });
  expect(saved(0, 0)).toBe(0);
  expect(saved(50_000, 0)).toBeGreaterThan(0);
  expect(saved(50_000, 2500)).toBeGreaterThan(saved(50_000, 0));
  expect(saved(50_000, 0, "sand")).toBeGreaterThan(saved(50_000, 0));
  expect(saved(100_000, 0)).toBeCloseTo(2 * saved(50_000, 0), 9);
});
