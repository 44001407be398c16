import { BLANK_NIGHT } from "../../ledger/nights";
import { metresOnDay, placeAt, type Walked } from "../../ledger/place";
import {
  Mark,
  type Carry,
  type EntryWhat,
  type FeltNight,
  type ItemId,
  type Shared,
  type Supply,
  type TripHead,
} from "../../model";
import type { HeardFact, ThingFact } from "../../model";

/** What facts come to on a trip's debrief: nothing that was there is lost. */
export interface Debriefed {
  readonly trip: Pick<TripHead, "felt" | "boiled" | "missed" | "supplies" | "made" | "stay">;
  readonly marks: ReadonlyMap<ItemId, Mark>;
  /** Who carried or shared things. */
  readonly shared: ReadonlyMap<ItemId, Shared>;
  /** What was done about things on the way. */
  readonly done: readonly { readonly item: ItemId; readonly what: EntryWhat; readonly text: string }[];
  readonly joined: readonly Extract<HeardFact, { about: "joined" }>[];
}

/**
 * The debrief of a trip with some facts in it. A thing's mark keeps what it said, and has the words that it
 * stands on in its note; its use is asked at the debrief where nobody said it, and until then it counts as
 * used.
 *
 * @param on the day of the words, for a night that began on it; null: nobody knows
 */
export function intoDebrief(
  told: readonly { readonly fact: HeardFact; readonly text: string }[],
  { trip, carries }: { readonly trip: TripHead; readonly carries: readonly Carry[] },
  on: string | null,
): Debriefed {
  const marks = new Map<ItemId, Mark>();
  const known = (item: ItemId) => marks.get(item) ?? carries.find((each) => each.item === item)?.mark ?? null;
  const shared = new Map<ItemId, Shared>();
  const done: Debriefed["done"][number][] = [];
  const joined: Extract<HeardFact, { about: "joined" }>[] = [];
  let { felt, boiled, missed, supplies, made, stay } = trip;
  for (const { fact, text } of told) {
    if (fact.about === "thing") {
      if (fact.did) done.push({ item: fact.item, what: fact.did, text });
      if (fact.with)
        shared.set(fact.item, { with: fact.with, part: fact.use === "used" ? HALF : 0, legs: null });
      if (fact.made) made = withItem(made, fact.item);
      if (fact.stay) stay = withItem(stay, fact.item);
      if (isMark(fact)) marks.set(fact.item, intoMark(known(fact.item), fact, text, trip));
    } else if (fact.about === "night") felt = [...felt, ...nightsOf(fact, on)];
    else if (fact.about === "missed")
      missed = [...missed, { what: fact.what, job: null, cost: "discomfort" }];
    else if (fact.about === "joined") joined.push(fact);
    else if (fact.what === "boiled") boiled = Math.round(((boiled ?? 0) + fact.value) * 100) / 100;
    else supplies = withAmount(supplies, fact);
  }
  return { trip: { felt, boiled, missed, supplies, made, stay }, marks, shared, done, joined };
}

/** The owner's part of what is shared, where nobody says how much. */
const HALF = 0.5;

/** As many as a trip names, the first that were told. */
const MOST_NAMED = 3;
const withItem = (named: readonly ItemId[], item: ItemId): ItemId[] =>
  named.includes(item) || named.length >= MOST_NAMED ? [...named] : [...named, item];

/** What is only done about a thing, or only carried by another, is no mark. */
const NO_MARK: ReadonlySet<string> = new Set([
  "about",
  "item",
  "did",
  "with",
  "metres",
  "day",
  "made",
  "stay",
]);
const isMark = (fact: ThingFact) => Object.keys(fact).some((field) => !NO_MARK.has(field));

/** A thing's mark with what was heard of it. */
function intoMark(known: Mark | null, said: ThingFact, text: string, trip: Walked): Mark {
  const mark = known ?? Mark.parse({ use: said.use ?? "used" });
  const isUsed = said.trouble ?? said.symptoms ?? said.complaints ?? said.days ?? said.fix;
  const both = <Value>(was: readonly Value[], more: readonly Value[] | undefined, most: number) =>
    [...new Set([...was, ...(more ?? [])])].slice(0, most);
  return {
    ...mark,
    use: said.use ?? (isUsed !== undefined && mark.use === "unused" ? "used" : mark.use),
    troubles: both(mark.troubles, said.trouble && [said.trouble], 3),
    symptoms: both(mark.symptoms, said.symptoms, 6),
    complaints: [
      ...mark.complaints,
      ...(said.complaints ?? [])
        .filter((what) => !mark.complaints.some((each) => each.what === what))
        .map((what) => ({ what, on: said.on ?? null })),
    ].slice(0, 6),
    exit: said.exit ? { how: said.exit, for: said.for ?? null } : mark.exit,
    why: said.why ?? mark.why,
    call: said.call ?? mark.call,
    pieces: said.pieces ?? mark.pieces,
    enough: said.enough ?? mark.enough,
    left: said.left ?? mark.left,
    condition: said.condition ?? mark.condition,
    frost: said.frost ?? mark.frost,
    fix: said.fix ?? mark.fix,
    days: said.days ?? mark.days,
    at: whereSaid(said, trip) ?? mark.at,
    note: [mark.note, text.trim()].filter(Boolean).join("; "),
  };
}

/** At the distance told, or where one was on the day told. */
function whereSaid({ metres, day }: ThingFact, trip: Walked): Mark["at"] {
  const at = metres ?? (day === undefined ? null : metresOnDay(trip, day));
  return at === null ? null : placeAt(at, trip.legs);
}

const nightsOf = (
  { low, felt, slept, nights }: Extract<HeardFact, { about: "night" }>,
  on: string | null,
): FeltNight[] =>
  Array.from({ length: nights }, () => ({
    ...BLANK_NIGHT,
    on: nights === 1 ? on : null,
    low,
    felt,
    slept: [...slept],
  }));

const SUPPLY_NAMES = {
  gas: "gas",
  spirit: "spirit",
  food: "food",
  battery: "battery",
  "water drunk": "water",
  "water carried": "water",
} as const;

/**
 * What went out, came back or was used of a supply, in its row. A share of it is of what went out, where that
 * is told; of what nobody can size by, it stays in the words.
 */
function withAmount(
  supplies: readonly Supply[],
  { what, how, value, unit }: Extract<HeardFact, { about: "amount" }>,
): Supply[] {
  if (what === "boiled") return [...supplies];
  const name = SUPPLY_NAMES[what];
  const at = supplies.findIndex(
    (each) => each.what.toLowerCase() === name && (unit === "%" || each.unit === unit),
  );
  const was = supplies[at] ?? { what: name, unit, out: 0, back: 0, sort: null, reserve: 0 };
  if (unit === "%" && was.out === 0) return [...supplies];
  const amount = unit === "%" ? (was.out * value) / 100 : value;
  const row = rowAfter(was, how, Math.round(amount * 1000) / 1000);
  return at < 0 ? [...supplies, row] : supplies.map((each, n) => (n === at ? row : each));
}

/** Water is taken on more than once: what is carried adds up. */
function rowAfter(was: Supply, how: "out" | "left" | "used", amount: number): Supply {
  if (how === "out")
    return {
      ...was,
      out: was.what.toLowerCase() === SUPPLY_NAMES["water carried"] ? was.out + amount : amount,
    };
  const out = Math.max(was.out, amount);
  return { ...was, out, back: how === "left" ? amount : Math.round((out - amount) * 1000) / 1000 };
}
