import type { ItemId, Log, Trip } from "../../model";
import { carriedAfterExit, ridesInItself } from "./check";
import { entriesOf, recordOf } from "../../sums/keys";

/**
 * What an earlier version of the app let in, and this one would refuse, put right; what was put right is
 * told. A name that no thing ever had is no such fault: it is left for the checks to name.
 */
export function mendLog<T extends Log>(log: T): { readonly log: T; readonly mended: readonly string[] } {
  const mended: string[] = [];
  const items = new Map(log.items.map((item) => [item.id, item]));
  const bags = new Map(log.items.map(({ id, bag }) => [id, bag]));
  const carried = new Set(log.trips.flatMap(({ carries }) => carries.map(({ item }) => item)));
  const isHere = (trip: Trip, what: string) => (id: ItemId) => {
    if (items.has(id)) return true;
    mended.push(`${trip.name}: “${id}” is no longer among the things, and is taken out of ${what}.`);
    return false;
  };
  const next = {
    ...log,
    items: log.items.map((item) => {
      if (ridesInItself(item.id, bags)) {
        // Out of the first of a round, the others ride where they did.
        bags.set(item.id, null);
        mended.push(`${item.name}: it was inside itself, and now rides by itself.`);
        return { ...item, bag: null };
      }
      if (item.state !== "wished" || !carried.has(item.id)) return item;
      mended.push(`${item.name}: it was only wished for, and carried all the same: it is owned.`);
      return { ...item, state: "active" as const };
    }),
    trips: log.trips.map((trip) => {
      const legs = new Set(trip.legs.map(({ id }) => id));
      const found = {
        made: trip.made.filter(isHere(trip, "what made it")),
        stay: trip.stay.filter(isHere(trip, "what could have stayed")),
        felt: trip.felt.map((night) => ({ ...night, slept: night.slept.filter(isHere(trip, "a bed")) })),
        picks: recordOf(entriesOf(trip.picks).filter(([id]) => isHere(trip, "its list")(id))),
      };
      return {
        ...trip,
        ...found,
        carries: trip.carries.map((carry) => {
          const leg = carry.mark?.at?.leg;
          if (!carry.mark?.at || !leg || legs.has(leg)) return carry;
          mended.push(
            `${trip.name}: ${items.get(carry.item)?.name ?? carry.item} was marked on a leg that is gone.`,
          );
          return { ...carry, mark: { ...carry.mark, at: { ...carry.mark.at, leg: null } } };
        }),
      };
    }),
  };
  return { log: cameBack(next, mended), mended };
}

/** What is carried after it had left came back: that it left is unsaid. */
function cameBack<T extends Log>(log: T, mended: string[]): T {
  const wrong = carriedAfterExit(log);
  if (wrong.length === 0) return log;
  const last = new Map(wrong.map(({ item, exit }) => [`${exit.id}\n${item.id}`, item.name]));
  return {
    ...log,
    trips: log.trips.map((trip) => ({
      ...trip,
      carries: trip.carries.map((carry) => {
        const name = last.get(`${trip.id}\n${carry.item}`);
        if (!name || !carry.mark) return carry;
        mended.push(`${name}: it was carried after ${trip.name}, so it did not leave there for good.`);
        return { ...carry, mark: { ...carry.mark, exit: null } };
      }),
    })),
  };
}
