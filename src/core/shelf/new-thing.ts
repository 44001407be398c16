import type { Item } from "../model";
import { cutTo, slug } from "../model/slug";
import { kindOf } from "../trade/words/names";
import type { HowCome, OlderIs } from "./how-come";
import type { ParsedLine } from "./parse-line";
import { ratingsIn } from "./ratings-in";

const PAST: Readonly<Record<HowCome, Item["past"]>> = {
  bought: "new",
  found: "unknown",
  borrowed: "unknown",
  "had already": "known",
};

/** What one line of typing puts on the shelf, not yet checked: in the shape of an item in a file. */
export const newThing = (
  { name, kind, stow, pieces, weight, claimed, price }: ParsedLine,
  taken: ReadonlySet<string>,
  {
    how,
    on,
    owner = null,
  }: { readonly how: HowCome; readonly on: string | null; readonly owner?: string | null } = {
    how: "had already",
    on: null,
  },
) => ({
  id: slug(name, taken),
  name,
  kind,
  stow,
  pieces,
  weights: weight ? [{ weight: weight.typed, ...(claimed && { how: "claimed" }) }] : [],
  ratings: ratingsIn(name, kind),
  price: price?.amount ?? null,
  currency: price?.currency ?? null,
  past: PAST[how],
  owner: how === "borrowed" ? (owner ?? "somebody else") : null,
  acquired: how === "had already" ? null : on,
});

/**
 * Whom a new thing of a kind may take over from: what is in use of that kind, if the kind wears; the last to
 * come first.
 */
export const mayTakeOver = <T extends Pick<Item, "kind" | "state">>(
  items: readonly T[],
  kind: string,
): T[] =>
  kindOf({ kind }).life === null
    ? []
    : items.filter((item) => item.state === "active" && item.kind === kind).reverse();

/** One after another in the same slot: the newer takes it over, and an older without one gives it its name. */
export function takeOver(
  older: Item,
  newer: Item,
  { is, on }: { readonly is: OlderIs; readonly on: string } = { is: "still in use", on: "" },
): [older: Item, newer: Item] {
  const slot = older.slot ?? cutTo(60, older.name);
  const gone = is === "still in use" ? {} : { state: is, since: on };
  return [
    { ...older, ...gone, slot },
    { ...newer, slot },
  ];
}
