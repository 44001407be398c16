"use server";

import type { z } from "zod";
import { walked } from "@/core/ledger/intended";
import { TripId, type ItemId } from "@/core/model";
import { findTrip, saveTrips } from "@/data/records/trips";
import { acting } from "@/app/acting";
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

/** A planned trip whose days have come was walked: it can be unpacked. */
export async function setWalked(trip: TripId): Promise<Answer> {
  return acting(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    await saveTrips(tx, [walked(known)]);
    return { ok: true, value: undefined };
  });
}
