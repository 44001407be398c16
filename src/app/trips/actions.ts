"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { legNightProblems, legProblems, tripProblems } from "@/core/ledger/check";
import { daysBetween } from "@/core/ledger/days";
import { walked } from "@/core/ledger/intended";
import { carriedOnStretches, type Stretch } from "@/core/ledger/stretches";
import {
  BagWeighing,
  Carry,
  ItemId,
  MOST_LEGS,
  type LegId,
  type Mark,
  Shared,
  Track,
  Trip,
  TripId,
} from "@/core/model";
import { slug } from "@/core/model/slug";
import { sayDay, sayDays } from "@/core/units/speak";
import { carriesOf, removeCarries, saveCarries } from "@/data/carries";
import { fullOf } from "@/data/limits";
import { store } from "@/data/connection";
import type { Db } from "@/data/db";
import { refuseAfterExit } from "@/data/exits";
import { keepOrRefuse } from "@/data/refused";
import { allItems, findItem } from "@/data/items";
import { saveTracks } from "@/data/tracks";
import { allTrips, findTrip, removeTrip, saveTrips } from "@/data/trips";
import { askAbout, changedSince } from "@/ui/changed-since";
import { byField, refuse, type Answer } from "@/ui/answer";
import { seenOf, type Seen } from "./seen";
import { today } from "../reading";

const TripHead = Trip.omit({ carries: true });
const Packed = z.array(z.object({ item: ItemId, legs: Carry.shape.legs }));

/**
 * Saves a trip, its track where one was read, and what was in the pack; marks already made stay, those of things taken off the
 * list go.
 *
 * @param seen what `seenOf` told of it when the form was opened; what was changed elsewhere since is asked about
 */
export async function saveTrip(
  raw: Record<string, unknown>,
  packed: z.input<typeof Packed>,
  rawTrack: Omit<Track, "trip"> | null,
  sure: boolean,
  seen?: Seen | null,
): Promise<Answer<TripId>> {
  const db = await store();
  const others = await allTrips(db);
  const id = raw.id
    ? TripId.parse(raw.id)
    : TripId.parse(
        slug(`${String(raw.name)} ${String(raw.starts)}`, new Set(others.map((trip): string => trip.id))),
      );
  const known = await findTrip(db, id);
  const full = known ? null : await fullOf(db, "trips");
  if (full) return refuse({ name: full });
  const parsed = TripHead.safeParse({
    ...(known ? { ...TripHead.encode(known) } : {}),
    ...raw,
    id,
    legs: legsOf(raw, known),
  });
  if (!parsed.success) return refuse(byField(parsed.error));
  const trip =
    known?.planned && !parsed.data.planned && parsed.data.intended === null
      ? { ...parsed.data, intended: walked(known).intended }
      : parsed.data;
  const now = seen && known && !sure ? seenOf(known, await carriesOf(db, { trip: id })) : null;
  const elsewhere = seen && now ? changedSince(seen, now) : [];
  if (elsewhere.length > 0) return { ok: false, fields: {}, ask: askAbout(elsewhere) };
  const problems = [...tripProblems(trip), ...legProblems(trip), ...legNightProblems(trip)];
  if (problems.length)
    return refuse(
      Object.fromEntries(
        problems.map(({ path, message }) => [
          path[0] === "distance" ? "legs.0.distance" : path.join("."),
          message,
        ]),
      ),
    );
  if (trip.legs.length === 0)
    return refuse({ "legs.0.distance": "Say how far it was, or read it from a track." });
  if (!trip.planned && trip.starts > today())
    return refuse({ starts: "It starts in the future. Tick “not walked yet” if it is planned." });
  const twin = others.find(
    (other) =>
      other.id !== id && other.name === trip.name && other.starts === trip.starts && other.ends === trip.ends,
  );
  if (twin)
    return refuse({ name: `“${trip.name}”, ${sayDays(trip.starts, trip.ends)}, is in the log already.` });
  const overlap = others.find(
    (other) => other.id !== id && !other.planned && other.starts < trip.ends && trip.starts < other.ends,
  );
  if (overlap && trip.planned)
    return refuse({
      starts: `${overlap.name} (${sayDays(overlap.starts, overlap.ends)}) was walked on some of these days. Plan it for others.`,
    });
  if (overlap && !sure)
    return {
      ok: false,
      fields: {},
      ask: `${overlap.name} (${sayDays(overlap.starts, overlap.ends)}) covers some of these days. Keep both?`,
    };
  const things = [...new Map(Packed.parse(packed).map((thing) => [thing.item, thing])).values()];
  // A leg taken out takes its membership along; what was on no other leg is packed for none.
  const ids = new Set(trip.legs.map(({ id: leg }) => leg));
  const packedOn = things.map(({ item, legs }) => ({
    item,
    legs: legs && legs.filter((leg) => ids.has(leg)),
  }));
  const nowhere = packedOn.find(({ legs }) => legs?.length === 0);
  if (nowhere)
    return refuse({
      packed: "Something is packed only for a leg that is no longer there. Say which legs it went on.",
    });
  const shelf = new Map((await allItems(db)).map((item) => [item.id, item]));
  const gone = things
    .map(({ item }) => shelf.get(item))
    .find(
      (item) =>
        item && item.state !== "active" && item.since !== null && daysBetween(item.since, trip.starts) > 0,
    );
  if (gone)
    return refuse({
      packed: `${gone.name} has been ${gone.state} since ${sayDay(gone.since!)}, before this trip.`,
    });
  const wished = things.map(({ item }) => shelf.get(item)).find((item) => item?.state === "wished");
  if (wished) return refuse({ packed: `${wished.name} is only wished for.` });
  const track = rawTrack && Track.safeParse({ ...rawTrack, trip: id });
  if (track && !track.success)
    return refuse({ "legs.0.distance": "The track can't be kept. Read it again." });
  const refused = await keepOrRefuse(db, async (tx) => {
    await saveTrips(tx, [trip]);
    if (track) await saveTracks(tx, [track.data]);
    const before = new Map((await carriesOf(tx, { trip: id })).map((carry) => [carry.item, carry]));
    const now = new Set(things.map((thing) => thing.item));
    await removeCarries(
      tx,
      id,
      [...before.keys()].filter((item) => !now.has(item)),
    );
    await saveCarries(
      tx,
      id,
      packedOn
        .filter(({ item }) => shelf.has(item))
        .map(({ item, legs }) => ({
          item,
          legs,
          shared: before.get(item)?.shared ?? null,
          mark: onLegs(before.get(item)?.mark ?? null, ids),
        })),
    );
    await refuseAfterExit(
      tx,
      packedOn.map(({ item }) => item),
    );
  });
  if (refused) return refuse({ starts: refused });
  revalidatePath("/", "layout");
  return { ok: true, value: id };
}

/** A mark on a leg that is gone says no more where on the trip it was. */
const onLegs = (mark: Mark | null, legs: ReadonlySet<LegId>): Mark | null =>
  mark?.at?.leg && !legs.has(mark.at.leg) ? { ...mark, at: { ...mark.at, leg: null } } : mark;

const Stretches = z.array(
  z.object({ from: z.number().min(0), to: z.number().positive() }).refine(({ from, to }) => from < to, {
    message: "It ends before it starts.",
  }),
);

/** Says where on the way a thing was along, in metres from the start; none: not at all. Legs are cut where that changes in mid-leg. */
export async function setStretches(trip: TripId, item: ItemId, raw: readonly Stretch[]): Promise<Answer> {
  const stretches = Stretches.safeParse(raw);
  if (!stretches.success) return refuse(byField(stretches.error));
  const db = await store();
  // Read and written in one: a mark that comes in meanwhile is not put back to what it was.
  const answer = await db.transaction((tx) => moveStretches(tx, trip, item, stretches.data));
  revalidatePath("/", "layout");
  return answer;
}

async function moveStretches(
  db: Db,
  trip: TripId,
  item: ItemId,
  stretches: readonly Stretch[],
): Promise<Answer> {
  const known = await findTrip(db, TripId.parse(trip));
  if (!known) return refuse({ "": "That trip is no longer here." });
  const thing = await findItem(db, ItemId.parse(item));
  if (!thing || thing.state === "wished") return refuse({ "": "That thing is not on the shelf." });
  const carries = await carriesOf(db, { trip: known.id });
  const before = carries.find((carry) => carry.item === thing.id);
  if (stretches.length === 0 && before?.mark)
    return refuse({
      "": `${thing.name} is marked on this trip. Take the mark back first, or leave it a stretch.`,
    });
  const next = carriedOnStretches({ ...known, carries }, thing.id, stretches);
  if (next.legs.length > MOST_LEGS) return refuse({ "": "That would be more legs than a trip can have." });
  await saveTrips(db, [next]);
  if (stretches.length === 0) await removeCarries(db, known.id, [thing.id]);
  await saveCarries(
    db,
    known.id,
    next.carries.filter((carry) => carry.legs !== null || carry.item === thing.id),
  );
  return { ok: true, value: undefined };
}

/** Says with whom a thing was carried, and which part of it was the owner's (null: all of it, alone). */
export async function setShared(
  trip: TripId,
  item: ItemId,
  raw: z.input<typeof Shared> | null,
): Promise<Answer> {
  const shared = Shared.nullable().safeParse(raw);
  if (!shared.success) return refuse(byField(shared.error));
  const isThere = await (
    await store()
  ).transaction(async (tx) => {
    const carry = (await carriesOf(tx, { trip: TripId.parse(trip) })).find((each) => each.item === item);
    if (carry) await saveCarries(tx, carry.trip, [{ ...carry, shared: shared.data }]);
    return carry !== undefined;
  });
  if (!isThere) return refuse({ item: "That was not in the pack of this trip." });
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** Says what the packed bag weighed at the start (null: it was not weighed). */
export async function setScale(trip: TripId, raw: unknown): Promise<Answer> {
  const scale = BagWeighing.nullable().safeParse(raw);
  if (!scale.success) return refuse(byField(scale.error));
  const isThere = await (
    await store()
  ).transaction(async (tx) => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (known) await saveTrips(tx, [{ ...known, scale: scale.data }]);
    return known !== null;
  });
  if (!isThere) return refuse({ "": "That trip is no longer here." });
  revalidatePath("/", "layout");
  return { ok: true, value: undefined };
}

/** What the form does not show of a leg (its dates, its own weather) stays as it was. */
function legsOf(raw: Record<string, unknown>, known: Awaited<ReturnType<typeof findTrip>>): unknown {
  if (!Array.isArray(raw.legs) || !known) return raw.legs;
  const before = new Map(TripHead.encode(known).legs.map((leg) => [String(leg.id), leg]));
  return raw.legs.map((leg: Record<string, unknown>) => ({ ...before.get(String(leg.id)), ...leg }));
}

const LookBack = Trip.pick({
  made: true,
  stay: true,
  missed: true,
  felt: true,
  supplies: true,
  boiled: true,
});

/** Saves what is said looking back: what made the trip, what could have stayed, what was missed, the nights, what came home. */
export async function saveLookBack(trip: TripId, raw: unknown): Promise<Answer> {
  const said = LookBack.safeParse(raw);
  if (!said.success) return refuse(byField(said.error));
  const answer = await (
    await store()
  ).transaction(async (tx): Promise<Answer> => {
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return refuse({ "": "That trip is no longer here." });
    const next = { ...known, ...said.data };
    const shelf = new Set((await allItems(tx)).map(({ id }) => id));
    const named = [...next.made, ...next.stay, ...next.felt.flatMap(({ slept }) => slept)];
    if (named.some((item) => !shelf.has(item)))
      return refuse({ "": "Something named here is no longer on the shelf. Reload the page." });
    const problems = tripProblems(next);
    if (problems.length)
      return refuse(Object.fromEntries(problems.map(({ path, message }) => [path.join("."), message])));
    await saveTrips(tx, [next]);
    return { ok: true, value: undefined };
  });
  revalidatePath("/", "layout");
  return answer;
}

/** Removes a trip with its marks. */
export async function deleteTrip(id: TripId): Promise<void> {
  await removeTrip(await store(), TripId.parse(id));
  revalidatePath("/", "layout");
}
