import { sayCameHome } from "../supplies";
import type { Kit } from "../../advice/kit";
import { gramMetresOf, gramsOf, unusedOf, wentAlong, type WentAlong } from "../../ledger/along";
import type { Book } from "../../ledger/book";
import { alikeNights } from "../../ledger/nights";
import { outingOf } from "../../ledger/outing";
import type { ItemId, Trip } from "../../model";
import {
  capital,
  count,
  listWords,
  sayDays,
  sayLugged,
  sayDistance,
  sayMass,
  type Units,
} from "../../units/speak";
import { weighIn } from "../../weighin/weigh-in";
import { says } from "../verdicts/says";
import { legName, sayMark } from "./mark";
import { sayNights } from "./nights";

/** A trip told to somebody who asks how it was: parts of plain sentences, each from a fact, and a row a thing. */
export interface Review {
  readonly title: string;
  readonly about: string;
  readonly parts: readonly { readonly head: string; readonly sentences: readonly string[] }[];
  readonly rows: readonly ReviewRow[];
}

/** One thing: what it weighs, how it was used, what was said of it, and what is to be done next. */
export interface ReviewRow {
  readonly name: string;
  readonly weight: string;
  readonly use: string;
  readonly said: string;
  readonly next: string;
}

/** What a trip came to, as the marks, the numbers and the verdicts have it. */
export function reviewOf(trip: Trip, book: Book, kit: Kit): Review {
  const { units } = book.settings;
  const along = wentAlong(trip, book);
  const nameOf = (item: ItemId) => book.item(item)?.name ?? item;
  const parts = [
    { head: "What it was", sentences: whatItWas(trip, units) },
    { head: "What went along", sentences: whatWent(trip, along, book) },
    { head: "What stayed in the pack", sentences: whatStayed(along, units) },
    { head: "What went wrong", sentences: whatWentWrong(trip, along, units, nameOf) },
    {
      head: "How the nights were",
      sentences: alikeNights(trip.felt).map((each) => `${capital(sayNights(each, nameOf, units))}.`),
    },
    {
      head: "What came home",
      sentences: trip.supplies.map((supply) => `${capital(supply.what)}: ${sayCameHome(supply, units)}.`),
    },
    { head: "Looking back", sentences: lookingBack(trip, nameOf) },
    { head: "What changes next time", sentences: whatChanges(along, kit) },
  ];
  return {
    title: trip.name,
    about: sayDays(trip.starts, trip.ends),
    parts: parts.filter(({ sentences }) => sentences.length > 0),
    rows: along.map((thing) => rowOf(thing, trip, units, nameOf, kit)),
  };
}

function whatItWas(trip: Trip, units: Units): string[] {
  const { metres, nights, days } = outingOf(trip);
  const called = Object.entries(trip.conditions)
    .filter(([, strength]) => strength !== "none")
    .map(([trigger, strength]) => `${strength} ${trigger}`);
  return [
    `${capital(sayDistance(metres, units))} in ${count(days, "day")} and ${count(nights, "night")}${trip.cut ? ", cut short" : ""}.`,
    ...(called.length > 0 ? [`It had ${listWords(called)}.`] : []),
  ];
}

function whatWent(trip: Trip, along: readonly WentAlong[], book: Book): string[] {
  const { units } = book.settings;
  const start = weighIn(trip, book.item, book.items).legs[0];
  const uses = (use: string) => along.filter(({ carry }) => carry.mark?.use === use).length;
  const open = along.filter(({ carry }) => carry.mark === null).length;
  const told = [
    `${count(uses("used"), "thing")} used`,
    ...(uses("hardly") > 0 ? [`${uses("hardly")} hardly`] : []),
    ...(uses("unused") > 0 ? [`${uses("unused")} not at all`] : []),
    ...(open > 0 ? [`${open} not unpacked yet`] : []),
  ];
  return [
    `${capital(count(along.length, "thing"))}: ${sayMass(start?.base ?? 0, units)} in the pack, ${sayMass(start?.worn ?? 0, units)} worn` +
      `${start && start.hobby > 0 ? `, ${sayMass(start.hobby, units)} for pleasure` : ""}.`,
    `${capital(listWords(told))}.`,
  ];
}

function whatStayed(along: readonly WentAlong[], units: Units): string[] {
  const { dead, cover } = unusedOf(along);
  // A name may hold a comma: "Socks, blue".
  const named = (things: readonly WentAlong[]) =>
    things
      .map(({ item, carry }) => (carry.mark?.why ? `${item.name} (${carry.mark.why})` : item.name))
      .join("; ");
  return [
    ...(dead.length > 0
      ? [
          `${named(dead)}: ${sayMass(gramsOf(dead), units)}, as much as ${sayLugged(gramMetresOf(dead), units)}, for nothing.`,
        ]
      : []),
    ...(cover.length > 0
      ? [`Carried in case, and not needed: ${named(cover)}, ${sayMass(gramsOf(cover), units)}.`]
      : []),
  ];
}

type NameOf = (item: ItemId) => string;

/** What its owner said of a thing beyond its use, but for why it stayed unused and the note. */
function saidOf({ carry: { mark } }: WentAlong, trip: Trip, units: Units, nameOf: NameOf): string[] {
  if (!mark) return [];
  return sayMark({ ...mark, why: null, note: "" }, units, {
    item: nameOf,
    leg: (leg) => legName(trip.legs, leg),
  });
}

function whatWentWrong(trip: Trip, along: readonly WentAlong[], units: Units, nameOf: NameOf): string[] {
  return along.flatMap((thing) => {
    const mark = thing.carry.mark;
    const isWrong =
      mark &&
      (mark.troubles.length + mark.symptoms.length + mark.complaints.length > 0 || mark.exit !== null);
    return isWrong ? [`${thing.item.name}: ${saidOf(thing, trip, units, nameOf).join(", ")}.`] : [];
  });
}

function lookingBack({ made, stay, missed }: Trip, nameOf: NameOf): string[] {
  const line = (head: string, names: readonly string[]) =>
    names.length > 0 ? [`${head}: ${listWords(names)}.`] : [];
  return [
    ...line("Made the trip", made.map(nameOf)),
    ...line("Could have stayed at home", stay.map(nameOf)),
    ...line(
      "Missed",
      missed.map(({ what }) => what),
    ),
  ];
}

function whatChanges(along: readonly WentAlong[], kit: Kit): string[] {
  return along.flatMap(({ item }) => {
    const advice = kit.of(item.id);
    const asked = advice?.asks[0];
    return advice && asked ? [`${capital(asked.verb)}: ${item.name}. ${says(advice.case, asked)}`] : [];
  });
}

function rowOf(thing: WentAlong, trip: Trip, units: Units, nameOf: NameOf, kit: Kit): ReviewRow {
  const { item, carry } = thing;
  return {
    name: item.name,
    weight: item.weight ? sayMass(item.weight.g, units) : "",
    use: carry.mark?.use ?? "",
    said: [carry.mark?.why, ...saidOf(thing, trip, units, nameOf)].filter(Boolean).join(", "),
    next: kit.of(item.id)?.asks[0]?.verb ?? "",
  };
}
