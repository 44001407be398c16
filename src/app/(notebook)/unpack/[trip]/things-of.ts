import { hear, namedOf } from "@/core/hear/hear";
import { carriedOfTrip, type Book, type Carried } from "@/core/ledger/book";
import { outingOf, type Outing } from "@/core/ledger/outing";
import { STOWS, type ItemId, type Trip } from "@/core/model";
import type { FullItem } from "@/core/trade/full-item";
import { sayHeard } from "@/core/say/walk/heard";
import { sayTrigger } from "@/core/say/words";
import { CONDITION } from "@/core/trade/kind";
import { likelySymptoms } from "@/core/trade/symptoms";
import { isBed, isSleptIn } from "@/core/trade/warmth";
import { listWords, sayMass } from "@/core/units/speak";
import { strokeOf } from "@/ui/stroke/stroke-code";
import type { TakenLine, TrailLine } from "./from-the-trail";
import type { Thing } from "./pack/pockets";
import type { Way } from "./panel/where-it-was";

/** From so many days on, it is asked on how many of them a thing was used. */
const LONG_DAYS = 7;

/** Strokes of earlier trips shown beside a thing. */
const PATTERN = 8;

/** What was written on the way: what waits, as it is understood, and what was taken, as it was taken. */
export function linesOf(
  trip: Trip,
  book: Book,
): { readonly lines: TrailLine[]; readonly taken: TakenLine[] } {
  const along = new Set(trip.carries.map(({ item }) => item));
  const things = book.items.map((item) => namedOf(item, along.has(item.id)));
  const nameOf = (item: ItemId) => book.item(item)?.name ?? item;
  const heardIn = (text: string) => hear(text, things).flatMap(({ heard }) => heard.map(({ fact }) => fact));
  return {
    lines: trip.lines
      .filter(({ taken }) => !taken)
      .map(({ id, text }) => ({ id, text, facts: heardIn(text) })),
    taken: trip.lines
      .filter(({ taken }) => taken)
      .map(({ id, text, told }) => ({
        id,
        text,
        says: told
          ? sayHeard(told, book.settings.units, nameOf)
          : "Taken before what it was taken as was kept",
      })),
  };
}

/** What a fact may be about: what was along first, then what is at home. */
export function thingsToPick(trip: Trip, book: Book): { readonly id: ItemId; readonly name: string }[] {
  const along = new Set(trip.carries.map(({ item }) => item));
  return book.items
    .filter(({ id, state }) => along.has(id) || state === "active")
    .sort((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)) || a.name.localeCompare(b.name))
    .map(({ id, name }) => ({ id, name }));
}

/** Its legs, and what else there is: on the trip first, then at home. */
export function wayOf(trip: Trip, book: Book): Way {
  const along = new Set(trip.carries.map(({ item }) => item));
  const here = book.items.filter(({ id, state }) => along.has(id) || state === "active");
  return {
    legs: trip.legs.map(({ id, name }, n) => ({ id, name: name || `Leg ${n + 1}` })),
    walked: {
      starts: trip.starts,
      ends: trip.ends,
      legs: trip.legs.map(({ id, distance, starts, ends }) => ({ id, distance, starts, ends })),
    },
    units: book.settings.units,
    others: [...here]
      .sort((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)))
      .map(({ id, name }) => ({ id, name })),
  };
}

/** What was carried, in the order that it comes out of the pack. */
export function thingsOf(trip: Trip, book: Book): Thing[] {
  const outing = outingOf(trip);
  const things = carriedOfTrip(outing, trip.carries).flatMap((carried) => {
    const item = book.item(carried.carry.item);
    return item ? [thingOf(item, carried, outing, book)] : [];
  });
  return STOWS.flatMap((stow) => things.filter((thing) => thing.stow === stow));
}

function thingOf(item: FullItem, carried: Carried, outing: Outing, book: Book): Thing {
  const { carry, calls } = carried;
  const before = book
    .carriedOf(item.id)
    .filter(({ outing: { trip } }) => trip.id !== outing.trip.id && trip.starts <= outing.trip.starts)
    .slice(-PATTERN);
  return {
    id: item.id,
    name: item.name,
    stow: item.stow,
    weight: item.weight ? sayMass(item.weight.g, book.settings.units) : "",
    pieces: item.pieces,
    cover: item.cover,
    contents: item.rules.contents,
    symptoms: likelySymptoms(item.rules),
    freezes: item.rules.freezes && calls.has("freezing"),
    measure: item.rules.readings.find(({ what }) => what !== CONDITION.what) ?? null,
    days: outing.days >= LONG_DAYS ? outing.days : null,
    pattern: before.map((each) => strokeOf(each, item)),
    mark: carry.mark,
    code: strokeOf(carried, item),
    hint: hintOf(item, carried),
  };
}

/** Why nothing may have asked for it: weather that it is for, and that nobody noted. */
function hintOf({ cover, triggers }: FullItem, { calls }: Carried): string {
  const weather = triggers.filter((trigger) => trigger !== "injury" && trigger !== "breakage");
  const isCalled = triggers.some((trigger) => calls.has(trigger));
  return cover || isCalled || weather.length === 0
    ? ""
    : `no ${listWords(weather.map(sayTrigger), "or")} noted`;
}

/** What is looked back on: the things as they lie on the floor, and what was slept in. */
export const lyingOf = (things: readonly Thing[], book: Book) =>
  things.flatMap(({ id, name, stow, code, mark }) => {
    const item = book.item(id);
    if (!item) return [];
    return [
      {
        id,
        name,
        stow,
        code,
        grams: item.weight?.g ?? 0,
        use: mark?.use ?? null,
        sleep: isSleptIn(item),
        bed: isBed(item.kind) || item.jobs.includes("pad"),
        consumable: item.load === "consumable",
      },
    ];
  });
