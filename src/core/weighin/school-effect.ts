import type { ItemId, SchoolName } from "../model";
import { bySchool, type Kit } from "../advice/kit";

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

/** Sets one school's advice of a log beside the present one's. */
export function schoolEffect(kit: Kit, school: SchoolName): SchoolEffect {
  const [leftNow, leftThen] = [leftHome(kit), leftHome(bySchool(kit, school))];
  const without = (these: ReadonlyMap<ItemId, Swayed>, those: ReadonlyMap<ItemId, Swayed>) =>
    [...these.values()].filter(({ id }) => !those.has(id)).sort((a, b) => b.grams - a.grams);
  return { leaves: without(leftThen, leftNow), takes: without(leftNow, leftThen) };
}

const leftHome = ({ things }: Kit) =>
  new Map(
    things
      .filter(({ leaves }) => leaves !== null)
      .map(({ case: { item } }) => [item.id, { id: item.id, name: item.name, grams: item.weight?.g ?? 0 }]),
  );
