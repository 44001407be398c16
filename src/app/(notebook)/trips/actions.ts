"use server";

import { z } from "zod";
import { Text } from "@/core/units/text";
import { tripProblems } from "@/core/ledger/check/check";
import { againstTrip, packedOn } from "@/core/ledger/check/trip-change";
import { walked } from "@/core/ledger/intended";
import { withToldDay, withUntold } from "@/core/ledger/outing";
import { carriedOnStretches, stretchesOf, type Stretch } from "@/core/ledger/stretches";
import {
  BagWeighing,
  Carry,
  Day,
  ItemId,
  MOST_LEGS,
  type LegId,
  type Mark,
  Shared,
  Strength,
  Track,
  Trigger,
  Trip,
  TripHead,
  TripId,
  type ToldDay,
} from "@/core/model";
import { slug } from "@/core/model/slug";
import { carriesOf, removeCarries, saveCarries } from "@/data/records/carries";
import { conditionsOf } from "@/core/weather/desk";
import { store } from "@/data/connection";
import { fullOf } from "@/data/limits";
import type { Db } from "@/data/db";
import { refuseAfterExit } from "@/data/records/exits";
import { isRefused, Refused } from "@/data/refused";
import { allItems, findItem } from "@/data/records/items";
import { saveTracks } from "@/data/records/tracks";
import { allTrips, findTrip, keepAdvised, keepDaily, removeTrip, saveTrips } from "@/data/records/trips";
import { weatherDesk } from "@/standins/weather-desk";
import { acting } from "@/app/acting";
import { advisedFor } from "@/app/plans";
import { today } from "@/app/reading";
import { askAbout, changedSince } from "@/ui/follow/changed-since";
import { byField, refuse, type Answer, type No } from "@/ui/form/answer";
import { seenOf, type Seen } from "./seen";

/** A trip that is, or is no more, planned: what stood there before is kept as it begins. */
const Begins = z.object({ id: TripId, planned: z.literal(false).default(false) });
const Fields = z.record(Text, z.unknown());
const Packed = z.array(z.object({ item: ItemId, legs: Carry.shape.legs }));
type Packed = z.infer<typeof Packed>;

/**
 * Saves a trip, its track where one was read, and what was in the pack; marks already made stay, those of
 * things taken off the list go.
 *
 * @param seen what `seenOf` told of it when the form was opened; what was changed elsewhere since is asked
 * about
 */
export async function saveTrip(
  typed: Record<string, unknown>,
  packed: z.input<typeof Packed>,
  rawTrack: Omit<Track, "trip"> | null,
  sure: boolean,
  seen?: Seen | null,
): Promise<Answer<TripId>> {
  const begins = Begins.safeParse(typed);
  const advised = begins.success ? await advisedFor(begins.data.id) : null;
  return acting(async (tx) => {
    const raw = Fields.parse(typed);
    const others = await allTrips(tx);
    const id = raw.id
      ? TripId.parse(raw.id)
      : TripId.parse(
          slug(`${String(raw.name)} ${String(raw.starts)}`, new Set(others.map((trip): string => trip.id))),
        );
    const known = await findTrip(tx, id);
    const full = known ? null : await fullOf(tx, "trips");
    if (full) return refuse({ name: full });
    const parsed = TripHead.safeParse({
      ...(known ? TripHead.encode(known) : {}),
      ...raw,
      id,
      legs: legsOf(raw, known),
    });
    if (!parsed.success) return refuse(byField(parsed.error));
    const trip =
      known?.planned && !parsed.data.planned && parsed.data.intended === null
        ? { ...parsed.data, intended: walked(known).intended }
        : parsed.data;
    const now = seen && known && !sure ? seenOf(known, await carriesOf(tx, { trip: id })) : null;
    const elsewhere = seen && now ? changedSince(seen, now) : [];
    if (elsewhere.length > 0) return { ok: false, fields: {}, ask: askAbout(elsewhere) };
    const wrong = wrongWith(trip, others, sure);
    if (wrong) return wrong;
    const track = rawTrack && Track.safeParse({ ...rawTrack, trip: id });
    if (track && !track.success)
      return refuse({ "legs.0.distance": "The track can't be kept. Read it again." });
    const packing = packedOn(trip, Packed.parse(packed), await allItems(tx));
    if (!packing.ok) return refuse({ packed: packing.why });
    await saveTrips(tx, [trip]);
    // It was a plan until now: what stood there is kept, unless that was done as its list was made.
    if (advised && known && !known.advised) await keepAdvised(tx, id, advised);
    if (track) await saveTracks(tx, [track.data]);
    await pack(tx, trip, packing.value);
    return { ok: true, value: id };
  });
}

/** What is wrong with a trip by itself and beside the others, or is asked about; null where nothing. */
function wrongWith(trip: TripHead, trips: readonly TripHead[], sure: boolean): No | null {
  const { problems, ask } = againstTrip(trip, trips, today());
  const fieldOf = (path: string) => (path === "distance" ? "legs.0.distance" : path);
  if (problems.length > 0)
    return refuse(
      Object.fromEntries(problems.map(({ path, message }) => [fieldOf(path.join(".")), message])),
    );
  return ask && !sure ? { ok: false, fields: {}, ask } : null;
}

/** Puts what is packed into a trip's pack, and takes out what is not any more. */
async function pack(tx: Db, trip: TripHead, packing: readonly Packed[number][]): Promise<void> {
  const ids = new Set(trip.legs.map(({ id }) => id));
  const before = new Map((await carriesOf(tx, { trip: trip.id })).map((carry) => [carry.item, carry]));
  const now = new Set(packing.map(({ item }) => item));
  await removeCarries(
    tx,
    trip.id,
    [...before.keys()].filter((item) => !now.has(item)),
  );
  await saveCarries(
    tx,
    trip.id,
    packing.map(({ item, legs }) => ({
      item,
      legs,
      shared: sharedOn(before.get(item)?.shared ?? null, ids),
      mark: onLegs(before.get(item)?.mark ?? null, ids),
    })),
  );
  await refuseAfterExit(tx, [...now]).catch((error: unknown) => {
    throw isRefused(error) ? new Refused(error.message, { field: "starts" }) : error;
  });
}

/** What was shared on legs that are gone only is shared no more. */
function sharedOn(shared: Shared | null, legs: ReadonlySet<LegId>): Shared | null {
  if (!shared?.legs) return shared;
  const left = shared.legs.filter((id) => legs.has(id));
  return left.length > 0 ? { ...shared, legs: left } : null;
}

/** A mark on a leg that is gone says no more where on the trip it was. */
const onLegs = (mark: Mark | null, legs: ReadonlySet<LegId>): Mark | null =>
  mark?.at?.leg && !legs.has(mark.at.leg) ? { ...mark, at: { ...mark.at, leg: null } } : mark;

const Stretches = z.array(
  z.object({ from: z.number().min(0), to: z.number().positive() }).refine(({ from, to }) => from < to, {
    message: "It ends before it starts.",
  }),
);

/**
 * Says where on the way a thing was along, in metres from the start; none: not at all. Legs are cut where
 * that changes in mid-leg. Answers where it was along until now.
 */
export async function setStretches(
  trip: TripId,
  item: ItemId,
  raw: readonly Stretch[],
): Promise<Answer<readonly Stretch[]>> {
  return acting(async (tx) => {
    const stretches = Stretches.parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const thing = await findItem(tx, ItemId.parse(item));
    if (!thing || thing.state === "wished") return refuse({ "": "That thing is not on the shelf." });
    const carries = await carriesOf(tx, { trip: known.id });
    const before = carries.find((carry) => carry.item === thing.id);
    if (stretches.length === 0 && before?.mark)
      return refuse({
        "": `${thing.name} is marked on this trip. Take the mark back first, or leave it a stretch.`,
      });
    const next = carriedOnStretches({ ...known, carries }, thing.id, stretches);
    if (next.legs.length > MOST_LEGS) return refuse({ "": "That would be more legs than a trip can have." });
    await saveTrips(tx, [next]);
    if (stretches.length === 0) await removeCarries(tx, known.id, [thing.id]);
    await saveCarries(tx, known.id, next.carries);
    return { ok: true, value: before ? stretchesOf(known.legs, before.legs) : [] };
  });
}

const OnDay = z.object({ on: Day, trigger: Trigger, strength: Strength.nullable() });

/**
 * Says how strong a weather was on one day of a trip (null: nobody can say); answers the days as they were told
 * before.
 */
export async function setDay(id: TripId, raw: z.input<typeof OnDay>): Promise<Answer<readonly ToldDay[]>> {
  return acting(async (tx) => {
    const { on, trigger, strength } = OnDay.parse(raw);
    const trip = await findTrip(tx, TripId.parse(id));
    if (!trip) return noTrip;
    if (on < trip.starts || on > trip.ends) return refuse({ "": "That day is not one of the trip’s." });
    await keepDaily(tx, trip.id, withToldDay(trip.daily, on, trigger, strength));
    return { ok: true, value: trip.daily };
  });
}

/**
 * Asks the weather desk for the days of a trip that is over, where nobody told of them; answers what was told
 * before.
 */
export async function askDays(id: TripId, place: string): Promise<Answer<readonly ToldDay[]>> {
  const asked = TripId.safeParse(id);
  const trip = asked.success ? await findTrip(await store(), asked.data) : null;
  if (!trip) return noTrip;
  const known = weatherDesk.places.find((each) => each === place);
  if (!known) return refuse({ "": "The desk does not know that place." });
  const days = await weatherDesk.days(known, trip.starts, trip.ends, today());
  if (trip.ends >= today())
    return refuse({ "": "Those days are not over: what is only expected is not told." });
  return acting(async (tx) => {
    const now = await findTrip(tx, trip.id);
    if (!now) return noTrip;
    const daily = days.reduce(
      (told, day) => withUntold(told, { on: day.on, weather: conditionsOf([day]) }),
      now.daily,
    );
    await keepDaily(tx, trip.id, daily);
    return { ok: true, value: now.daily };
  });
}

/** Puts the told days of a trip back to what they were. */
export async function setDays(id: TripId, raw: readonly ToldDay[]): Promise<Answer> {
  return acting(async (tx) => {
    const trip = await findTrip(tx, TripId.parse(id));
    if (!trip) return noTrip;
    await keepDaily(tx, trip.id, TripHead.shape.daily.parse(raw));
    return { ok: true, value: undefined };
  });
}

/** Says with whom a thing was carried, and which part of it was the owner's (null: all of it, alone). */
export async function setShared(
  trip: TripId,
  item: ItemId,
  raw: z.input<typeof Shared> | null,
): Promise<Answer> {
  return acting(async (tx) => {
    const shared = Shared.nullable().parse(raw);
    const carry = (await carriesOf(tx, { trip: TripId.parse(trip) })).find((each) => each.item === item);
    if (!carry) return refuse({ item: "That was not in the pack of this trip." });
    const ids = (await findTrip(tx, carry.trip))?.legs.map(({ id }) => id);
    if (shared?.legs?.some((leg) => !ids?.includes(leg)))
      return refuse({ legs: "That leg is no longer there. Reload the page." });
    await saveCarries(tx, carry.trip, [{ ...carry, shared }]);
    return { ok: true, value: undefined };
  });
}

const noTrip = refuse({ "": "That trip is no longer here." });

/** Says what the packed bag weighed at the start (null: it was not weighed). */
export async function setScale(trip: TripId, raw: unknown): Promise<Answer> {
  return acting(async (tx) => {
    const scale = BagWeighing.nullable().parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    await saveTrips(tx, [{ ...known, scale }]);
    return { ok: true, value: undefined };
  });
}

/** What the form does not show of a leg (its dates, its own weather) stays as it was. */
function legsOf(raw: Record<string, unknown>, known: TripHead | null): unknown {
  if (!Array.isArray(raw.legs) || !known) return raw.legs;
  const before = new Map(TripHead.encode(known).legs.map((leg) => [String(leg.id), leg]));
  return raw.legs.map((leg: Record<string, unknown> | null) => ({ ...before.get(String(leg?.id)), ...leg }));
}

const LookBack = Trip.pick({
  made: true,
  stay: true,
  missed: true,
  felt: true,
  supplies: true,
  boiled: true,
});

/**
 * Saves what is said looking back: what made the trip, what could have stayed, what was missed, the nights,
 * what came home.
 */
export async function saveLookBack(trip: TripId, raw: unknown): Promise<Answer> {
  return acting(async (tx) => {
    const said = LookBack.parse(raw);
    const known = await findTrip(tx, TripId.parse(trip));
    if (!known) return noTrip;
    const next = { ...known, ...said };
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
}

/** Removes a trip with its marks. */
export async function deleteTrip(id: TripId): Promise<Answer> {
  return acting(async (tx) => {
    await removeTrip(tx, TripId.parse(id));
    return { ok: true, value: undefined };
  });
}
