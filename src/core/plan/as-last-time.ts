import { isAgreed, lastUse, leavesForGood, type Advice } from "../advice/advise";
import type { Kit } from "../advice/kit";
import { kitJobs } from "../advice/kit-law";
import type { ItemId, Trip } from "../model";

/** A list to start from. */
interface LastList {
  readonly trip: Trip;
  readonly items: readonly ItemId[];
}

/**
 * What went on the last trip and is still here, without what its owner agreed to leave. A job of the kit that
 * was done stays done: where that leaves nothing for it, the one used last goes after all, one that was not
 * agreed to be left first.
 */
export function asLastTime({ book, things, of }: Kit): LastList | null {
  const trip = book.outings.map(book.tripOf).at(-1);
  if (!trip) return null;
  const went = trip.carries.flatMap(({ item }) => of(item) ?? []).filter(isHere);
  const goes = new Set(went.filter((advice) => !isLeft(advice)));
  for (const job of kitJobs(book.next)) {
    const does = ({ case: { item } }: Advice) => item.jobs.includes(job);
    if ([...goes].some(does) || !went.some(does)) continue;
    const [first] = things
      .filter((advice) => isHere(advice) && does(advice))
      .toSorted((a, b) => Number(isLeft(a)) - Number(isLeft(b)) || lastUse(b) - lastUse(a));
    if (first) goes.add(first);
  }
  return { trip, items: [...goes].map(({ case: { item } }) => item.id) };
}

const isHere = ({ case: { state } }: Advice) => state === "active";
const isLeft = (advice: Advice) => leavesForGood(advice) && isAgreed(advice.leaves!);
