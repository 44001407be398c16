import { marked, openBook } from "../book";
import { daysBetween } from "../../sums/days";
import type { FullItem } from "../../trade/full-item";
import {
  MOST,
  type Carry,
  type Item,
  type ItemId,
  type Log,
  type Ruling,
  type Trip,
  type TripHead,
} from "../../model";
import { findKind } from "../../trade/words/names";
import type { Mass } from "../../units/quantity";
import { departureOf } from "../history";
import { sayDay, sayDays } from "../../units/speak";
import { keysOf } from "../../sums/keys";

/** Something that can't be right, with the field it sits in: `["trips", 3, "ends"]`. */
export interface Problem {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** Longest trip accepted, in days: two years. */
const LONGEST_TRIP = 731;
/** Furthest a person walks in one day, in metres; more is a slip of the unit. */
const FURTHEST_DAY = 200_000;

/** More than this, in grams, is asked about, not refused. */
const HEAVY = 20_000;
export const isHeavy = (weight: Mass | null) => weight !== null && weight.g > HEAVY;

/** No pad on sale comes near this R-value: it is asked about, not refused. */
const HIGHEST_R = 12;

/** Scales differ by so much, in grams. Common practice, no source. */
const SCALES_DIFFER = 5;

/** What is unusual about a thing, as a question; null where nothing is. */
export function oddOf({ kind, weights, ratings }: Pick<Item, "kind" | "weights" | "ratings">): string | null {
  const weight = weights.at(-1)?.weight ?? null;
  const before = weights.slice(0, -1).map((each) => each.weight.g);
  if (kind === "fuel" && weight && before.length > 0 && weight.g > Math.max(...before) + SCALES_DIFFER)
    return `${weight.typed} is more than it ever weighed: a can is not filled again. Is it another one?`;
  if (isHeavy(weight)) return `${weight!.typed} is a lot for one thing. Is that right?`;
  if ((ratings.rValue ?? 0) > HIGHEST_R)
    return `An R-value of ${ratings.rValue} is more than any pad has. Is that right?`;
  return null;
}

/** What can't be right within one thing. Paths start at the item. */
export function itemProblems({
  kind,
  weights,
  ratings: { empty },
}: Pick<Item, "kind" | "weights" | "ratings">): Problem[] {
  const weight = weights.at(-1)?.weight;
  const problems: Problem[] = [];
  if (findKind(kind)?.id !== kind)
    problems.push({ path: ["kind"], message: `“${kind}” is not a kind known here; “other” always is.` });
  if (empty && weight && weight.g < empty.g)
    problems.push({
      path: ["weights"],
      message:
        `${weight.typed} is less than it weighs empty (${empty.typed}). ` +
        `Weigh it again, or mend the empty weight.`,
    });
  return problems;
}

/** Does a thing ride inside itself, straight or through the bags that it rides in? Unknown bags end the way up. */
export function ridesInItself(id: ItemId, bags: ReadonlyMap<ItemId, ItemId | null>): boolean {
  const above = new Set<ItemId>();
  for (let bag = bags.get(id) ?? null; bag !== null && !above.has(bag); bag = bags.get(bag) ?? null)
    above.add(bag);
  return above.has(id);
}

/**
 * What can't be right of one thing among the others. Paths start at the item.
 *
 * @param bags of every thing there is, itself among them, what it rides in
 */
export function placeProblems(
  { id, bag, needs, instead, state, name }: Pick<Item, "id" | "bag" | "needs" | "instead" | "state" | "name">,
  bags: ReadonlyMap<ItemId, ItemId | null>,
  isCarried: (id: ItemId) => boolean,
): Problem[] {
  const named: readonly (readonly [Problem["path"], ItemId | null])[] = [
    [["bag"], bag],
    [["instead"], instead],
    ...needs.map((need, n) => [["needs", n], need] as const),
  ];
  const problems = named.flatMap(([path, other]): Problem[] =>
    other === null || bags.has(other) ? [] : [{ path, message: `“${other}” is not among the items.` }],
  );
  if (ridesInItself(id, bags)) problems.push({ path: ["bag"], message: "A thing can't ride inside itself." });
  if (state === "wished" && isCarried(id))
    problems.push({
      path: ["state"],
      message: `“${name}” is only wished for, and can’t have been carried.`,
    });
  return problems;
}

/** What is wrong within one trip. Paths start at the trip. */
export function tripProblems(trip: TripHead): Problem[] {
  const days = daysBetween(trip.starts, trip.ends) + 1;
  if (days < 1)
    return [
      {
        path: ["ends"],
        message: `It ends on ${sayDay(trip.ends)}, before it starts on ${sayDay(trip.starts)}.`,
      },
    ];
  const metres = trip.legs.reduce((sum, leg) => sum + leg.distance.m, 0);
  const problems: Problem[] = [];
  if (days > LONGEST_TRIP)
    problems.push({
      path: ["ends"],
      message: `That is ${days} days. A trip may last ${LONGEST_TRIP} at most: look at the year.`,
    });
  if (trip.nights !== null && trip.nights > days)
    problems.push({
      path: ["nights"],
      message:
        `${trip.nights} nights don't fit into ${days} ${days === 1 ? "day" : "days"}. ` +
        `At most ${days} are accepted.`,
    });
  if (metres > days * FURTHEST_DAY)
    problems.push({
      path: ["distance"],
      message: `That is over ${FURTHEST_DAY / 1000} km for each day. Look at the unit and the dates.`,
    });
  for (const [weather, told] of Object.entries(trip.counted))
    if (told > days)
      problems.push({
        path: ["counted", weather],
        message: `${told} days of ${days}: a trip can’t have more of it than days.`,
      });
  if (trip.felt.length > days)
    problems.push({
      path: ["felt"],
      message: `${trip.felt.length} nights are told of, and the trip had ${trip.nights ?? days - 1}.`,
    });
  trip.supplies.forEach(({ what, unit, out, back, reserve }, n) => {
    if (reserve > out)
      problems.push({
        path: ["supplies", n, "reserve"],
        message: `The reserve of ${what} (${reserve} ${unit}) is more than went out (${out} ${unit}).`,
      });
    if (back > out)
      problems.push({
        path: ["supplies", n, "back"],
        message:
          `More ${what} came home (${back} ${unit}) than went out (${out} ${unit}). ` +
          `What was bought on the way counts as gone out.`,
      });
  });
  return problems;
}

/** What is wrong between records: doubles, names of things that are not there, things carried after they were gone. */
export function logProblems(log: Log): Problem[] {
  const names: Names = new Map(log.items.map(({ id, name }) => [id, name]));
  const problems = [
    ...doubles(log.items, "items"),
    ...doubles(log.trips, "trips"),
    ...doubles(log.entries, "entries"),
    ...doubles(log.rulings, "rulings"),
    ...doubles(log.tasks, "tasks"),
    ...doubles(log.kits, "kits"),
    ...tooMany(log),
    ...ofItems(log),
    ...sameTrips(log),
    ...log.trips.flatMap((trip, t) => below(["trips", t], ofTrip(trip, names))),
    ...namesOutside(log, names),
    ...log.rulings.flatMap(rulingProblems),
  ];
  if (problems.length) return problems;
  return carriedAfterExit(log).map((wrong) => ({
    path: ["trips", log.trips.indexOf(wrong.trip), "marks", wrong.trip.carries.indexOf(wrong.carry)],
    message: sayAfterExit(wrong),
  }));
}

/** Names of the things that there are, by id. */
type Names = ReadonlyMap<string, string>;
type Path = Problem["path"];

/** Problems of a record, by their path from the log on. */
const below = (path: Path, problems: readonly Problem[]): Problem[] =>
  problems.map((problem) => ({ ...problem, path: [...path, ...problem.path] }));

/** A thing that is spoken of and is not there. */
const unknown = (id: string | null, names: Names, path: Path): Problem[] =>
  id === null || names.has(id) ? [] : [{ path, message: `“${id}” is not among the items.` }];

function ofItems(log: Log): Problem[] {
  const along = new Set(log.trips.flatMap(({ carries }) => carries.map(({ item }) => item)));
  const bags = new Map(log.items.map(({ id, bag }) => [id, bag]));
  return log.items.flatMap((item, i) =>
    below(["items", i], [...itemProblems(item), ...placeProblems(item, bags, (id) => along.has(id))]),
  );
}

function sameTrips({ trips }: Log): Problem[] {
  const seen = new Set<string>();
  return trips.flatMap(({ name, starts, ends }, t): Problem[] => {
    const same = `${name}\n${starts}\n${ends}`;
    const isTwice = seen.has(same);
    seen.add(same);
    return isTwice
      ? [{ path: ["trips", t], message: `“${name}”, ${sayDays(starts, ends)}, is here twice.` }]
      : [];
  });
}

/** All that is wrong with one trip, by its path from the trip on. */
function ofTrip(trip: Trip, names: Names): Problem[] {
  const items = trip.carries.map(({ item }) => item);
  return [
    ...tripProblems(trip),
    ...legProblems(trip),
    ...trip.carries.flatMap((carry, c) =>
      below(["marks", c], carryProblems(carry, trip, items.indexOf(carry.item) < c, names)),
    ),
    ...trip.made.flatMap((id, n) => unknown(id, names, ["made", n])),
    ...trip.stay.flatMap((id, n) => unknown(id, names, ["stay", n])),
    ...Object.keys(trip.picks).flatMap((id) => unknown(id, names, ["picks", id])),
    ...trip.felt.flatMap(({ slept }, n) =>
      slept.flatMap((id, s) => unknown(id, names, ["felt", n, "slept", s])),
    ),
  ];
}

/** @param isAgain it was marked on this trip before */
function carryProblems(
  { item, legs, shared, mark }: Carry,
  trip: Trip,
  isAgain: boolean,
  names: Names,
): Problem[] {
  const ids = trip.legs.map(({ id }) => id);
  const beyond = [...(legs ?? []), ...(shared?.legs ?? []), mark?.at?.leg ?? null].find(
    (leg) => leg !== null && !ids.includes(leg),
  );
  return [
    ...unknown(item, names, ["item"]),
    ...(isAgain
      ? [{ path: ["item"], message: `“${names.get(item) ?? item}” is marked twice on one trip.` }]
      : []),
    ...(beyond
      ? [{ path: ["legs"], message: `There is no leg “${beyond}”: the trip has ${ids.join(", ")}.` }]
      : []),
    ...unknown(mark?.exit?.for ?? null, names, ["exit", "for"]),
  ];
}

/** Things that entries, jobs and rulings speak of. */
const namesOutside = ({ entries, tasks, rulings, kits }: Log, names: Names): Problem[] => [
  ...entries.flatMap(({ item }, n) => unknown(item, names, ["entries", n, "item"])),
  ...tasks.flatMap(({ item }, n) => unknown(item, names, ["tasks", n, "item"])),
  ...rulings.flatMap(({ item }, n) => unknown(item, names, ["rulings", n, "item"])),
  ...kits.flatMap(({ items }, k) =>
    items.flatMap((item, n) => unknown(item, names, ["kits", k, "items", n])),
  ),
];

const rulingProblems = ({ item, what, verb }: Ruling, r: number): Problem[] =>
  (item === null) !== (verb === "add") || (what === null) !== (item !== null)
    ? [
        {
          path: ["rulings", r],
          message: "A ruling names its item, or, where the verb is “add”, what was to be added.",
        },
      ]
    : [];

/** Legs that share an id, end before they start, or lie outside the trip. */
export function legProblems({ legs, starts, ends }: Pick<Trip, "legs" | "starts" | "ends">): Problem[] {
  return [
    ...doubles(legs, "legs"),
    ...legs.flatMap((leg, n): Problem[] => {
      if (leg.starts !== null && leg.ends !== null && leg.ends < leg.starts)
        return [
          {
            path: ["legs", n, "ends"],
            message: `It ends on ${sayDay(leg.ends)}, before it starts on ${sayDay(leg.starts)}.`,
          },
        ];
      const outside = [leg.starts, leg.ends].find((day) => day !== null && (day < starts || day > ends));
      return outside
        ? [
            {
              path: ["legs", n, "starts"],
              message: `${sayDay(outside)} is not within the trip, ${sayDays(starts, ends)}.`,
            },
          ]
        : [];
    }),
  ];
}

/** Nights that a trip's legs can't have: more than their own days leave room for, or more than the whole trip. */
export function legNightProblems({
  legs,
  nights,
  starts,
  ends,
}: Pick<Trip, "legs" | "nights" | "starts" | "ends">): Problem[] {
  const all = nights ?? daysBetween(starts, ends);
  const told = legs.reduce((sum, leg) => sum + (leg.nights ?? 0), 0);
  const problems = legs.flatMap((leg, n): Problem[] => {
    if (leg.nights === null || !leg.starts || !leg.ends) return [];
    // The night after its last day may be told of it, or of the next leg.
    const room = daysBetween(leg.starts, leg.ends) + 1;
    return leg.nights > room
      ? [
          {
            path: ["legs", n, "nights"],
            message: `${leg.nights} nights don't fit into ${sayDays(leg.starts, leg.ends)}.`,
          },
        ]
      : [];
  });
  if (problems.length === 0 && told > Math.max(0, all))
    problems.push({
      path: ["legs", legs.findLastIndex((leg) => (leg.nights ?? 0) > 0), "nights"],
      message: `The legs have ${told} nights together, and the trip has ${all}.`,
    });
  return problems;
}

/** More of a sort than one log, and its file, may hold. */
const tooMany = (log: Log): Problem[] =>
  keysOf(MOST)
    .filter((sort) => log[sort].length > MOST[sort])
    .map((sort) => ({
      path: [sort],
      message: `A log holds ${MOST[sort]} ${sort} at most, and this would be ${log[sort].length}.`,
    }));

function doubles(records: readonly { readonly id: string }[], name: string): Problem[] {
  const seen = new Set<string>();
  return records.flatMap(({ id }, n) =>
    seen.has(id) ? [{ path: [name, n, "id"], message: `The id “${id}” is taken.` }] : (seen.add(id), []),
  );
}

/** A thing marked on a trip after it had left on another. */
export interface AfterExit {
  readonly item: FullItem;
  readonly exit: TripHead;
  readonly how: string;
  readonly trip: Trip;
  readonly carry: Carry;
}

/** Every thing that is marked on a trip after it had left: it can't have been there, or did not leave. */
export function carriedAfterExit(log: Pick<Log, "settings" | "items" | "trips">): AfterExit[] {
  const book = openBook({ ...log, entries: [], rulings: [], tasks: [], kits: [] }, "9999-12-31");
  return book.items.flatMap((item) => {
    const carries = marked(book.carriedOf(item.id));
    return carries.flatMap((one, n): AfterExit[] => {
      const gone = departureOf({ ...item, state: "active" }, carries.slice(0, n).slice(-1));
      // What was swapped for another on the way may be at home still, and go along again.
      return gone?.outing && gone.how !== "swapped"
        ? [{ item, exit: gone.outing.trip, how: gone.how, trip: book.tripOf(one.outing), carry: one.carry }]
        : [];
    });
  });
}

export const sayAfterExit = ({ item, exit, how, trip }: AfterExit): string =>
  `“${item.name}” is carried on ${trip.name}, after it was ${how} on ${exit.name}.`;
