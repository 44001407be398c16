import type { Item } from "../model";
import type { Mass } from "../units/quantity";
import type { Kind } from "./kind";

type Filled = Pick<Kind, "jobs" | "triggers" | "stow" | "load" | "cover" | "consequence" | "wears">;

/** An item with every blank filled in from its kind, and the kind's rules as its owner has them. */
export type FullItem = Omit<Item, keyof Filled> &
  Filled & {
    readonly rules: Kind;
    /** The last weight it was given; null where nobody has. */
    readonly weight: Mass | null;
    /** In euros or the owner's currency; the kind's usual one where it was not told. */
    readonly worthNew: number;
    /** Its owner has said what calls for it. */
    readonly ownTriggers: boolean;
  };

const tellsOfNothing = ({ distance, nights, days }: NonNullable<Item["opening"]>) =>
  distance === null && nights === 0 && days === 0;

export function withDefaults(item: Item, rules: Kind): FullItem {
  return {
    ...item,
    // Some forms of earlier versions kept one that tells of nothing.
    opening: item.opening && tellsOfNothing(item.opening) ? null : item.opening,
    rules,
    jobs: item.jobs ?? rules.jobs,
    triggers: item.triggers ?? rules.triggers,
    stow: item.stow ?? (item.bag ? "bag" : rules.stow),
    load: item.load ?? rules.load,
    cover: item.cover ?? rules.cover,
    consequence: item.consequence ?? rules.consequence,
    wears: item.wears ?? rules.wears,
    weight: item.weights.at(-1)?.weight ?? null,
    worthNew: item.price ?? rules.price,
    ownTriggers: item.triggers !== null,
  };
}
