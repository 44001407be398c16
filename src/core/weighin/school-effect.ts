import { bySchool, type Kit } from "../advice/kit";
import type { Advice } from "../advice/advise";
import type { ItemId, SchoolName } from "../model";
import { VERBS } from "../trade/verbs";

/** A thing on the shelf that one school would leave at home and another would not. */
export interface Swayed {
  readonly id: ItemId;
  readonly name: string;
  readonly grams: number;
}

/**
 * What a school would leave beside the present one, what it would lean to leaving, and what it would take
 * that the present one leaves; the heaviest first.
 */
export interface SchoolEffect {
  readonly leaves: readonly Swayed[];
  readonly leans: readonly Swayed[];
  readonly takes: readonly Swayed[];
}

/** Sets another school's advice on the same things beside the present one's. */
export function schoolEffect(kit: Kit, school: SchoolName): SchoolEffect {
  const then = bySchool(kit, school);
  const only = (test: (now: Advice, then: Advice) => boolean) =>
    kit.things
      .filter((now) => test(now, then.of(now.case.item.id)!))
      .map(({ case: { item } }): Swayed => ({ id: item.id, name: item.name, grams: item.weight?.g ?? 0 }))
      .sort((a, b) => b.grams - a.grams);
  return {
    leaves: only((now, after) => now.leaves === null && after.leaves !== null),
    leans: only((now, after) => !speaksOfLeaving(now) && after.leaves === null && speaksOfLeaving(after)),
    takes: only((now, after) => now.leaves !== null && after.leaves === null),
  };
}

/** It is told to be left, be it as a leaning only. */
const speaksOfLeaving = ({ asks: [first] }: Advice) =>
  first !== undefined && VERBS[first.verb].leaves !== undefined;
