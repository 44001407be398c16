import type { ItemId, Mark, Stow, Symptom } from "@/core/model";
import type { StrokeCode } from "@/ui/stroke/stroke";

/** One thing on the floor. */
export interface Thing {
  readonly id: ItemId;
  readonly name: string;
  readonly stow: Stow;
  readonly weight: string;
  readonly pieces: number;
  readonly cover: boolean;
  /** Used up or opened part by part: how much is left is worth saying. */
  readonly contents: boolean;
  /** Ask whether it froze wet. */
  readonly freezes: boolean;
  /** What may be seen on it, the likeliest of its kind first. */
  readonly symptoms: readonly Symptom[];
  /** What can be measured on it, beside its condition. */
  readonly measure: { readonly what: string; readonly unit: string } | null;
  /** Days it was along, where the trip was long enough for them to matter. */
  readonly days: number | null;
  readonly pattern: readonly StrokeCode[];
  readonly mark: Mark | null;
  readonly code: StrokeCode;
  /** Why nothing may have asked for it; never a preset. */
  readonly hint: string;
}

export type Marks = ReadonlyMap<ItemId, Mark | null>;

/** Pockets in the order they are emptied. */
export const pocketsOf = (things: readonly Thing[]): Stow[] => [
  ...new Set(things.map((thing) => thing.stow)),
];

/** The next thing without a mark after `from`, going round; null when all are marked. */
export function nextUnmarked(things: readonly Thing[], marks: Marks, from: ItemId): Thing | null {
  const at = things.findIndex((thing) => thing.id === from);
  return [...things.slice(at + 1), ...things.slice(0, at)].find((thing) => !marks.get(thing.id)) ?? null;
}
