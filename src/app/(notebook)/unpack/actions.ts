"use server";

import { z } from "zod";
import { walked } from "@/core/ledger/intended";
import { wrongSoFar } from "@/core/ledger/check/trip-change";
import { Day, TripId, type ItemId } from "@/core/model";
import { Text } from "@/core/units/text";
import { Distance } from "@/core/units/measures";
import { withUnit } from "@/core/units/quantity";
import { readSettings } from "@/data/records/settings";
import { findTrip, keepAdvised, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
import { advisedFor } from "@/app/plans";
import { refuse, type Answer } from "@/ui/form/answer";
import { join, Joined } from "./join";

const noTrip = refuse({ "": "That trip is no longer here." });

/** Puts a thing bought or found on the way on the shelf, and in the pack of the trip from its leg on. */
export async function joinOnTheWay(trip: TripId, raw: z.input<typeof Joined>): Promise<Answer<ItemId>> {
  return acting(async (tx) => {
    const joined = Joined.parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    return known ? join(tx, known, joined) : noTrip;
  });
}

const Typed = z.object({ on: Day, distance: Text.max(40) });

/** Says how far a walk that goes on has come; a bare number is in the owner's unit. */
export async function setSoFar(trip: TripId, raw: z.input<typeof Typed>): Promise<Answer> {
  return acting(async (tx) => {
    const typed = Typed.parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const { units } = await readSettings(tx);
    const distance = Distance.safeParse(withUnit(typed.distance, units.distance));
    if (!distance.success) return refuse({ distance: "Write how far, like 120." });
    const wrong = wrongSoFar(known, { on: typed.on, distance: distance.data });
    if (wrong) return refuse(wrong);
    await saveTrips(tx, [{ ...known, sofar: { on: typed.on, distance: distance.data } }]);
    return { ok: true, value: undefined };
  });
}

/** A planned trip whose days have come was walked: it can be unpacked. */
export async function setWalked(raw: TripId): Promise<Answer> {
  const trip = TripId.safeParse(raw);
  if (!trip.success) return noTrip;
  const advised = await advisedFor(trip.data);
  return acting(async (tx) => {
    const known = await findTrip(tx, trip.data);
    if (!known) return noTrip;
    await saveTrips(tx, [walked(known)]);
    // Where its list was made, what was said then stands.
    if (advised && !known.advised) await keepAdvised(tx, known.id, advised);
    return { ok: true, value: undefined };
  });
}
