"use server";

import { Day, ItemId, Task, TripHead, TripId } from "@/core/model";
import { NOT_RIGHT } from "@/core/model/lists";
import { slug } from "@/core/model/slug";
import { NEAR } from "@/core/shakedown/shakedown";
import { daysAfter } from "@/core/sums/days";
import { conditionsOf } from "@/core/weather/desk";
import { fullOf } from "@/data/limits";
import { saveTasks } from "@/data/records/tasks";
import { allTrips, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { readBook } from "@/app/book";
import { today } from "@/app/reading";
import { refuse, type Answer } from "@/ui/form/answer";
import { logEntry } from "../../item/[id]/actions";
import { expectedAt } from "./shakedown-data";

/** Says of a thing that was tried whether it held; answers the entry, for undo. */
export async function sayTried(rawItem: string, held: boolean): Promise<Answer<string>> {
  const item = ItemId.safeParse(rawItem);
  if (!item.success) return refuse({ "": "That is no longer on the shelf." });
  return logEntry({
    item: item.data,
    on: today(),
    what: held ? "trial" : "check",
    condition: held ? null : NOT_RIGHT,
    note: held ? "" : "Tried near home: it did not hold.",
  });
}

/** Where a shakedown is entered: an evening is a job of the owner's own, a walk a trip to come. */
type Entered = { readonly at: "/bench" } | { readonly at: "/next"; readonly trip: TripId };

const METRES = { day: 15_000, night: 12_000 } as const;

/** Enters an outing near home, before a trip: its day, its weather as the desk expects it. */
export async function enterShakedown(
  rawTrip: string,
  sortName: string,
  rawOn: string,
  place: string | null,
): Promise<Answer<Entered>> {
  const { log } = await readBook();
  const before = log.trips.find(({ id }) => id === TripId.safeParse(rawTrip).data);
  const sort = NEAR.find(({ name }) => name === sortName);
  const on = Day.safeParse(rawOn);
  if (!before || !sort || !on.success)
    return refuse({ "": "That outing is no longer there. Reload the page." });
  const nights = sort.setting === "night" ? sort.days : 0;
  const ends = daysAfter(on.data, nights);
  const expected = await expectedAt(place ?? undefined, [on.data, ends], today());
  return acting<Entered>(async (tx) => {
    if (sort.setting === "evening") {
      const full = await fullOf(tx, "tasks");
      if (full) return refuse({ "": full });
      const what = `An evening in the garden, before ${before.name}`.slice(0, 120);
      await saveTasks(tx, [Task.parse({ id: crypto.randomUUID(), what, due: on.data })]);
      return { ok: true, value: { at: "/bench" } };
    }
    const full = await fullOf(tx, "trips");
    if (full) return refuse({ "": full });
    const name = `Shakedown before ${before.name}`.slice(0, 120);
    const taken = new Set((await allTrips(tx)).map(({ id }): string => id));
    const metres = METRES[sort.setting] * sort.days;
    const trip = TripHead.parse({
      id: slug(`${name} ${on.data}`, taken),
      name,
      starts: on.data,
      ends,
      planned: true,
      legs: [{ id: "leg-1", distance: `${metres / 1000} km` }],
      conditions: conditionsOf(expected),
      foreseen: {
        low: nights > 0 && expected.length > 0 ? Math.min(...expected.map(({ low }) => low)) : null,
      },
    });
    await saveTrips(tx, [trip]);
    return { ok: true, value: { at: "/next", trip: trip.id } };
  });
}
