import type { ItemId } from "../model";
import type { Judgement } from "../reasons/judge";
import { leavesHome } from "../reasons/verbs";

/** A thing on the shelf that one school would leave at home and another would not. */
export interface Swayed {
  readonly id: ItemId;
  readonly name: string;
  readonly grams: number;
}

/** What a school would leave beside the present one, and what it would take that the present one leaves; the heaviest first. */
export interface SchoolEffect {
  readonly leaves: readonly Swayed[];
  readonly takes: readonly Swayed[];
}

/** Sets one school's judgement of a log beside the present one's. */
export function schoolEffect(now: readonly Judgement[], other: readonly Judgement[]): SchoolEffect {
  const [leftNow, leftThen] = [leftHome(now), leftHome(other)];
  const without = (these: ReadonlyMap<ItemId, Swayed>, those: ReadonlyMap<ItemId, Swayed>) =>
    [...these.values()].filter(({ id }) => !those.has(id)).sort((a, b) => b.grams - a.grams);
  return { leaves: without(leftThen, leftNow), takes: without(leftNow, leftThen) };
}

const leftHome = (judgements: readonly Judgement[]) =>
  new Map(
    judgements
      .filter(({ case: { standing }, verdicts: [lead] }) => standing !== "gone" && leavesHome(lead.verb))
      .map(({ case: { item } }) => [item.id, { id: item.id, name: item.name, grams: item.weight?.g ?? 0 }]),
  );
