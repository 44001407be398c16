import type { Advised, AdviceFamily, Item, ItemId, Mark, Sureness, Trip } from "../model";
import { isForeseen } from "../trade/triggers";
import { VERBS } from "../trade/verbs";
import { inPlain } from "../trade/words/names";
import type { Book } from "./book";
import type { Outing } from "./outing";

/** What became of a thing on the trip that something was advised for. */
type Came = "used" | "hardly" | "unused" | "failed" | "not marked" | "missed" | "not missed";

/** Something advised, whether it was done as said, and what came of it. */
export interface Followed extends Advised {
  /** It went along, whatever was said. */
  readonly packed: boolean;
  readonly came: Came;
}

export const gaveOut = (mark: Mark) => mark.troubles.includes("failed") || mark.exit?.how === "worn out";

/** What was advised before a walk, against what was packed and what happened; none where nothing was kept. */
export function followedOn(
  { advised, carries, missed }: Pick<Trip, "advised" | "carries" | "missed">,
  nameOf: (id: Item["id"]) => string | undefined,
): Followed[] {
  const carried = new Map(carries.map(({ item, mark }) => [item, mark]));
  const wanted = new Set(missed.map(({ what }) => inPlain(what)));
  return (advised?.said ?? []).map((said): Followed => {
    const name = nameOf(said.item);
    const packed = carried.has(said.item);
    const wasMissed = name !== undefined && wanted.has(inPlain(name));
    const mark = carried.get(said.item) ?? null;
    const absent = wasMissed ? "missed" : "not missed";
    return { ...said, packed, came: packed ? cameOf(mark) : absent };
  });
}

function cameOf(mark: Mark | null): Came {
  if (!mark) return "not marked";
  return gaveOut(mark) ? "failed" : mark.use;
}

/** What an owner did about something that they were shown. */
export interface Answered {
  readonly item: ItemId;
  readonly family: AdviceFamily;
  readonly sureness: Sureness;
  /** It was done as said, or agreed to. */
  readonly followed: boolean;
  /** It went along all the same, and was used. */
  readonly used: boolean;
  readonly on: string;
  /** The place of the walk among the outings; of a ruling, the last before it. */
  readonly n: number;
}

/**
 * All that the owner was shown and did something about, the oldest first: by ruling on it, and by what they
 * packed. What a walk doesn't tell is left out: whether less of it went along, and what was to be brought only
 * in a weather that came.
 */
export function answersIn(book: Book): Answered[] {
  const packed = book.outings.flatMap((outing) => {
    const trip = book.tripOf(outing);
    return followedOn(trip, (id) => book.item(id)?.name).flatMap((told): Answered[] => {
      const { family } = VERBS[told.verb];
      const followed = family ? wasDone(told, family, outing, book) : null;
      if (!family || followed === null) return [];
      const used = told.packed && (told.came === "used" || told.came === "failed");
      const { item, sureness } = told;
      return [{ item, family, sureness, followed, used, on: trip.starts, n: outing.n }];
    });
  });
  const ruled = book.items.flatMap(({ id }) =>
    book.rulingsOf(id).flatMap(({ verb, decision, on }): Answered[] => {
      const { family } = VERBS[verb];
      if (!family || decision === "later") return [];
      const n = book.outings.findLastIndex(({ trip }) => trip.starts <= on);
      const followed = decision === "agree";
      return [{ item: id, family, sureness: "sure", followed, used: false, on, n }];
    }),
  );
  return [...packed, ...ruled].sort((a, b) => a.n - b.n);
}

/** Was it done as said, as far as the walk tells? */
function wasDone(
  { item: id, packed, urgency }: Followed,
  family: AdviceFamily,
  outing: Outing,
  book: Book,
): boolean | null {
  switch (family) {
    case "leave it":
    case "another sort":
      return !packed;
    case "only when": {
      const calls = book.item(id)?.triggers.filter(isForeseen) ?? [];
      return calls.some((trigger) => outing.calls.has(trigger)) ? null : !packed;
    }
    case "see to it": {
      // What was only to be done some day is not refused by one walk.
      if (urgency !== "now" && urgency !== "before next trip") return null;
      const said = book.tripOf(outing).advised?.on ?? outing.trip.starts;
      return !packed || book.entriesOf(id).some(({ on }) => on >= said && on <= outing.trip.starts);
    }
    default:
      return null;
  }
}
