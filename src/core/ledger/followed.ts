import type { Advised, Item, Mark, Trip } from "../model";
import { inPlain } from "../trade/words/names";

/** What became of a thing on the trip that something was advised for. */
type Came = "used" | "hardly" | "unused" | "failed" | "not marked" | "missed" | "not missed";

/** Something advised, whether it was done as said, and what came of it. */
export interface Followed extends Advised {
  /** It went along, whatever was said. */
  readonly packed: boolean;
  readonly came: Came;
}

export const gaveOut = (mark: Mark) => mark.troubles.includes("failed") || mark.exit?.how === "worn out";

/** What was advised before a walk, against what was packed and what happened; none where nothing was kept. */
export function followedOn(
  { advised, carries, missed }: Pick<Trip, "advised" | "carries" | "missed">,
  nameOf: (id: Item["id"]) => string | undefined,
): Followed[] {
  const carried = new Map(carries.map(({ item, mark }) => [item, mark]));
  const wanted = new Set(missed.map(({ what }) => inPlain(what)));
  return (advised?.said ?? []).map((said): Followed => {
    const name = nameOf(said.item);
    const packed = carried.has(said.item);
    const wasMissed = name !== undefined && wanted.has(inPlain(name));
    const mark = carried.get(said.item) ?? null;
    const absent = wasMissed ? "missed" : "not missed";
    return { ...said, packed, came: packed ? cameOf(mark) : absent };
  });
}

function cameOf(mark: Mark | null): Came {
  if (!mark) return "not marked";
  return gaveOut(mark) ? "failed" : mark.use;
}
