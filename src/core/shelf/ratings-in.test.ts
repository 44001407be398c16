import { expect, test } from "vitest";
import { ratingsIn } from "./ratings-in";

// Worked by hand; 10 000 mAh at 3.7 V are 37 Wh.
test.each<[string, string, object]>([
  ["Water bottle 1 l", "water bottle", { litres: 1 }],
  ["Bottle 750 ml", "water bottle", { litres: 0.75 }],
  ["Soft bag 2,5 L", "water bag", { litres: 2.5 }],
  ["Pot 0.9 l", "pot", { litres: 0.9 }],
  ["65 L pack", "pack", { volume: 65 }],
  ["Pack 48l", "pack", { volume: 48 }],
  ["-2 °C bag", "sleeping bag", { label: { celsius: -2, means: "plain" } }],
  ["Quilt −7", "quilt", { label: { celsius: -7, means: "plain" } }],
  ["Summer bag +9 C", "sleeping bag", { label: { celsius: 9, means: "plain" } }],
  ["Winter bag 850 fill", "sleeping bag", {}],
  ["Down bag 600 g", "sleeping bag", {}],
  ["Power bank 10 000 mAh", "power bank", { wattHours: 37 }],
  ["Bank 20000mAh", "power bank", { wattHours: 74 }],
  ["Bank 20 Ah", "power bank", { wattHours: 74 }],
  ["Bank 37 Wh", "power bank", { wattHours: 37 }],
  ["Head torch 350 lm", "head torch", { lumens: 350 }],
  ["Air mat R 4.2", "inflatable pad", { rValue: 4.2 }],
  ["Trail shoes, pair 2", "trail shoes", {}],
  ["Pack", "pack", {}],
  ["Bottle 1", "water bottle", {}],
])("%s of the kind %s tells %j", (name, kind, ratings) => {
  expect(ratingsIn(name, kind)).toEqual(ratings);
});
