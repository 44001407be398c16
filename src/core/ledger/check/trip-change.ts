import type { Item, ItemId, LegId, SoFar, TripHead } from "../../model";
import { daysBetween } from "../../sums/days";
import { WARMEST_LOW } from "../../model/lists";
import type { Parsed } from "../../units/quantity";
import { sayDay, sayDays } from "../../units/speak";
import { legNightProblems, legProblems, tripProblems, type Problem } from "./check";

/** What stands against a trip: by field, or, where nothing does, a question to its owner. */
export interface Against {
  readonly problems: readonly Problem[];
  readonly ask: string | null;
}

const against = (field: string, message: string): Against => ({
  problems: [{ path: [field], message }],
  ask: null,
});

/** What stands against a trip by itself and beside the others: the first sort of it that is found. */
export function againstTrip(trip: TripHead, trips: readonly TripHead[], today: string): Against {
  const problems = [...tripProblems(trip), ...legProblems(trip), ...legNightProblems(trip)];
  if (problems.length > 0) return { problems, ask: null };
  if (trip.legs.length === 0) return against("distance", "Say how far it was, or read it from a track.");
  if (!trip.planned && trip.starts > today)
    return against("starts", "It starts in the future. Tick “not walked yet” if it is planned.");
  const { low, resupply } = trip.foreseen;
  const days = daysBetween(trip.starts, trip.ends) + 1;
  if (low !== null && low > WARMEST_LOW)
    return against("foreseen.low", `No night’s coldest is ${low} °C. Is it in °F? Write “${low} F”.`);
  if (resupply !== null && resupply > days)
    return against(
      "foreseen.resupply",
      `It ends after ${days} days, before the first shop. Leave it blank where there is no shop on the way.`,
    );
  const others = trips.filter(({ id }) => id !== trip.id);
  const isTwin = ({ name, starts, ends }: TripHead) =>
    name === trip.name && starts === trip.starts && ends === trip.ends;
  if (others.some(isTwin))
    return against("name", `“${trip.name}”, ${sayDays(trip.starts, trip.ends)}, is in the log already.`);
  const overlap = others.find(
    ({ planned, starts, ends }) => !planned && starts < trip.ends && trip.starts < ends,
  );
  if (!overlap) return { problems: [], ask: null };
  const other = `${overlap.name} (${sayDays(overlap.starts, overlap.ends)})`;
  return trip.planned
    ? against("starts", `${other} was walked on some of these days. Plan it for others.`)
    : { problems: [], ask: `${other} covers some of these days. Keep both?` };
}

/** What is packed, and on which legs; null: all. */
interface Packed {
  readonly item: ItemId;
  readonly legs: LegId[] | null;
}

/** What is packed, each once, on the legs that there are; or why it can't be. */
export function packedOn(
  trip: TripHead,
  packed: readonly Packed[],
  items: readonly Item[],
): Parsed<readonly Packed[]> {
  // A leg taken out takes its membership along; what was on no other leg is packed for none.
  const ids = new Set(trip.legs.map(({ id }) => id));
  const things = [...new Map(packed.map((thing) => [thing.item, thing])).values()].map(({ item, legs }) => ({
    item,
    legs: legs && legs.filter((leg) => ids.has(leg)),
  }));
  if (things.some(({ legs }) => legs?.length === 0))
    return {
      ok: false,
      why: "Something is packed only for a leg that is no longer there. Say which legs it went on.",
    };
  const shelf = new Map(items.map((item) => [item.id, item]));
  const owned = things.flatMap(({ item }) => shelf.get(item) ?? []);
  const gone = owned.find(
    ({ state, since }) => state !== "active" && since !== null && daysBetween(since, trip.starts) > 0,
  );
  if (gone?.since)
    return {
      ok: false,
      why: `${gone.name} has been ${gone.state} since ${sayDay(gone.since)}, before this trip.`,
    };
  const wished = owned.find(({ state }) => state === "wished");
  if (wished) return { ok: false, why: `${wished.name} is only wished for.` };
  return { ok: true, value: things.filter(({ item }) => shelf.has(item)) };
}

/** What can't be right of how far a walk has come, by field; null where nothing. */
export function wrongSoFar(
  { starts, ends, legs }: TripHead,
  { on, distance }: SoFar,
): Record<string, string> | null {
  if (on < starts || on > ends) return { on: `It goes from ${sayDay(starts)} to ${sayDay(ends)}.` };
  const metres = legs.reduce((sum, leg) => sum + leg.distance.m, 0);
  if (distance.m > metres) return { distance: "That is further than all of it. Mend the trip’s legs first." };
  return null;
}
