import type { ItemId } from "@/core/model";
import type { Known } from "./places";

/** A thing to weigh, and what is known of its weight so far. */
export interface Thing {
  readonly id: ItemId;
  readonly name: string;
  readonly grams: number | null;
  readonly known: Known;
}

/** Where one is in the row of things, and what was weighed: plain data. */
export interface Weighing {
  /** As it was when the page came, whatever is weighed meanwhile. */
  readonly order: readonly Thing[];
  readonly at: number;
  /** Grams taken from the scale; null: typed, and read by the server. */
  readonly taken: ReadonlyMap<ItemId, number | null>;
}

export const beginWeighing = (order: readonly Thing[]): Weighing => ({ order, at: 0, taken: new Map() });

/** To a place in the row, or to the end that it would go beyond. */
export const goTo = (weighing: Weighing, to: number): Weighing => ({
  ...weighing,
  at: Math.max(0, Math.min(weighing.order.length - 1, to)),
});

export const weighed = (weighing: Weighing, id: ItemId, grams: number | null): Weighing => ({
  ...weighing,
  taken: new Map([...weighing.taken, [id, grams]]),
});

export const unweighed = (weighing: Weighing, id: ItemId): Weighing => ({
  ...weighing,
  taken: new Map([...weighing.taken].filter(([other]) => other !== id)),
});

/** Labels say less than scales by about this share: so the simulated scale finds it too. */
const HEAVIER_THAN_CLAIMED = 1.04;

/**
 * What the simulated scale finds, in grams; of what nobody weighed something made up, by its name, so that it
 * stays.
 */
export function lyingOn({ name, grams, known }: Thing): number {
  if (grams !== null) return grams * (known === "claimed" ? HEAVIER_THAN_CLAIMED : 1);
  return 30 + ([...name].reduce((sum, letter) => sum + (letter.codePointAt(0) ?? 0), 0) % 400);
}
