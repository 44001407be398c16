import type { Trigger } from "@/core/model";

/** What is told of single days, and the head of its column. */
export const DAY_WEATHERS = [
  ["rain", "Rain"],
  ["freezing", "Frost"],
  ["cold", "Cold"],
  ["wind", "Wind"],
  ["sun", "Sun"],
  ["heat", "Heat"],
  ["bugs", "Bugs"],
  ["dry stretch", "Dry"],
] as const satisfies readonly (readonly [Trigger, string])[];
